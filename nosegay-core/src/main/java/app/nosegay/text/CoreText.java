package app.nosegay.text;

import java.util.Set;

/** The words of the core: findings, names of edits, errors in what was read, from {@code messages.properties} beside this class. */
public final class CoreText {
    private static final Messages MESSAGES = new Messages(CoreText.class);

    private CoreText() {}

    /** The text called {@code key} with its arguments filled in. */
    public static String of(String key, Object... args) {
        return MESSAGES.of(key, args);
    }

    /** The text called {@code key}; empty where there is none. */
    public static String find(String key) {
        return MESSAGES.find(key);
    }

    public static Set<String> keys() {
        return MESSAGES.keys();
    }
}
