package app.nosegay.cli;

import app.nosegay.text.Messages;

/** The words of the command line, from {@code messages.properties} beside this class. */
public final class CliText {
    private static final Messages MESSAGES = new Messages(CliText.class);

    private CliText() {}

    /** The text called {@code key} with its arguments filled in. */
    public static String of(String key, Object... args) {
        return MESSAGES.of(key, args);
    }
}
