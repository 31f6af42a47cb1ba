package app.nosegay.media;

import app.nosegay.text.Messages;

/** The words about recordings and films, from {@code messages.properties} beside this class. */
public final class MediaText {
    private static final Messages MESSAGES = new Messages(MediaText.class);

    private MediaText() {}

    /** The text called {@code key} with its arguments filled in. */
    public static String of(String key, Object... args) {
        return MESSAGES.of(key, args);
    }
}
