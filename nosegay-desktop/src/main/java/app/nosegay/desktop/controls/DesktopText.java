package app.nosegay.desktop.controls;

import app.nosegay.text.Messages;

/** The words of the window, from {@code messages.properties} beside this class. */
public final class DesktopText {
    private static final Messages MESSAGES = new Messages(DesktopText.class);

    private DesktopText() {}

    /** The text called {@code key} with its arguments filled in. */
    public static String of(String key, Object... args) {
        return MESSAGES.of(key, args);
    }
}
