package app.nosegay.text;

import com.ibm.icu.text.MessageFormat;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.MissingResourceException;
import java.util.Properties;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The texts of one module: {@code messages.properties} beside a class of it, in UTF-8. A text is an ICU message pattern with numbered
 * arguments ({@code {0,plural,one{# rep}other{# reps}}}).
 *
 * <p>With the system property {@code nosegay.pseudo} set to true every text comes out about a third longer and in brackets, which shows
 * what a translation would cut off and what is not in a bundle.
 */
public final class Messages {
    private static final boolean PSEUDO = Boolean.getBoolean("nosegay.pseudo");
    /** Translations into longer languages need about this much more room. */
    private static final double PSEUDO_GROWTH = 0.3;

    private final String source;
    private final Properties patterns = new Properties();
    private final Set<String> keys;
    private final Map<String, MessageFormat> formats = new ConcurrentHashMap<>();

    /** The texts beside {@code anchor}. */
    public Messages(Class<?> anchor) {
        source = anchor.getPackageName().replace('.', '/') + "/messages.properties";
        try (InputStream in = anchor.getResourceAsStream("messages.properties")) {
            if (in == null) {
                throw new MissingResourceException(source + " is missing", anchor.getName(), source);
            }
            patterns.load(new InputStreamReader(in, StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(source + " cannot be read", e);
        }
        keys = Set.copyOf(patterns.stringPropertyNames());
    }

    /**
     * The text called {@code key}.
     *
     * @throws MissingResourceException where there is none
     */
    public String of(String key, Object... args) {
        String pattern = patterns.getProperty(key);
        if (pattern == null) {
            throw new MissingResourceException("no text \"" + key + "\" in " + source, source, key);
        }
        String text = args.length == 0 ? unquoted(pattern) : filled(key, pattern, args);
        return PSEUDO ? pseudo(text) : text;
    }

    /** The text called {@code key}; empty where there is none. */
    public String find(String key) {
        return patterns.containsKey(key) ? of(key) : "";
    }

    public Set<String> keys() {
        return keys;
    }

    private String filled(String key, String pattern, Object... args) {
        MessageFormat format = formats.computeIfAbsent(key, k -> new MessageFormat(pattern, Locale.ENGLISH));
        synchronized (format) {
            return format.format(args);
        }
    }

    private static String unquoted(String pattern) {
        return pattern.replace("'{'", "{").replace("'}'", "}");
    }

    private static String pseudo(String text) {
        StringBuilder longer = new StringBuilder("[").append(text);
        int letters = (int) text.codePoints().filter(Character::isLetter).count();
        for (int i = 0; i < Math.ceil(PSEUDO_GROWTH * letters); i++) {
            longer.append(i % 6 == 5 ? ' ' : 'ė');
        }
        return longer.append(']').toString();
    }
}
