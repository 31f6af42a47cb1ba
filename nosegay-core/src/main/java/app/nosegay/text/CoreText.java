package app.nosegay.text;

/** The words of the core: findings, names of edits, errors in what was read, from {@code messages.properties} beside this class. */
public final class CoreText {
    private static final Messages MESSAGES = new Messages(CoreText.class);

    private CoreText() {}

    /** The text called {@code key} with its arguments filled in. */
    public static String of(String key, Object... args) {
        return MESSAGES.of(key, args);
    }
}
