package app.nosegay.standins;

import app.nosegay.text.Messages;

/** The words of the stand-ins, from {@code messages.properties} beside this class. */
public final class StandInText {
    private static final Messages MESSAGES = new Messages(StandInText.class);

    private StandInText() {}

    /** The text called {@code key} with its arguments filled in. */
    public static String of(String key, Object... args) {
        return MESSAGES.of(key, args);
    }
}
