package app.nosegay.jobs;

import app.nosegay.text.Messages;

/** The words of long work and of files, from {@code messages.properties} beside this class. */
public final class JobText {
    private static final Messages MESSAGES = new Messages(JobText.class);

    private JobText() {}

    /** The text called {@code key} with its arguments filled in. */
    public static String of(String key, Object... args) {
        return MESSAGES.of(key, args);
    }
}
