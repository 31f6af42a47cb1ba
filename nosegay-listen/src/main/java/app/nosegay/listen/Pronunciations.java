package app.nosegay.listen;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * How English words sound, in the 39 phones of the CMU dictionary: that dictionary, our own list of gym words it lacks
 * ({@code gym-words.dict}), joined words taken apart, and for what is left a reading by letters.
 */
public final class Pronunciations {
    private static final String GENERAL = "/edu/cmu/sphinx/models/en-us/cmudict-en-us.dict";
    private static final String OURS = "/app/nosegay/listen/gym-words.dict";
    /** A part of a joined word has at least this many letters. */
    private static final int LEAST_PART = 3;

    private static final Map<String, String> ENDINGS = Map.of("s", "Z", "es", "IH Z", "ed", "D", "ing", "IH NG");

    private Pronunciations() {}

    private static final class Holder {
        static final Map<String, List<String>> WORDS = read();
    }

    /** Reads the dictionaries now rather than at the first word; takes about a second. */
    static void load() {
        of("a");
    }

    /** Whether {@code word} is in the dictionaries or is two of their words joined, so that nothing is guessed by letters. */
    public static boolean known(String word) {
        return !looked(word.toLowerCase(Locale.ROOT)).isEmpty();
    }

    /** The ways to say {@code word}, at least one: phones separated by spaces. Numerals have to be written out before. */
    public static List<String> of(String word) {
        String key = word.toLowerCase(Locale.ROOT);
        List<String> known = looked(key);
        return known.isEmpty() ? List.of(Letters.phones(key)) : known;
    }

    private static List<String> looked(String key) {
        List<String> exact = Holder.WORDS.get(key);
        if (exact != null) {
            return exact;
        }
        if (key.endsWith("'s")) {
            return ended(looked(key.substring(0, key.length() - 2)), "Z");
        }
        for (Map.Entry<String, String> ending : ENDINGS.entrySet()) {
            String stem = key.endsWith(ending.getKey())
                    ? key.substring(0, key.length() - ending.getKey().length())
                    : "";
            List<String> ways = Holder.WORDS.getOrDefault(stem, List.of());
            if (!ways.isEmpty()) {
                return ended(ways, ending.getValue());
            }
        }
        for (int cut = key.length() - LEAST_PART; cut >= LEAST_PART; cut--) {
            List<String> left = Holder.WORDS.getOrDefault(key.substring(0, cut), List.of());
            List<String> right = Holder.WORDS.getOrDefault(key.substring(cut), List.of());
            if (!left.isEmpty() && !right.isEmpty()) {
                return List.of(left.get(0) + " " + right.get(0));
            }
        }
        return List.of();
    }

    private static List<String> ended(List<String> ways, String ending) {
        return ways.stream().map(w -> w + " " + ending).toList();
    }

    private static Map<String, List<String>> read() {
        Map<String, List<String>> words = new HashMap<>(200_000);
        read(GENERAL, words);
        read(OURS, words);
        return words;
    }

    /** Lines of {@code word phones…}; further ways of a word have a number in brackets behind it. */
    private static void read(String resource, Map<String, List<String>> words) {
        try (InputStream in = Pronunciations.class.getResourceAsStream(resource);
                BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                int space = line.indexOf(' ');
                if (space <= 0 || line.startsWith("#")) {
                    continue;
                }
                int bracket = line.lastIndexOf('(', space);
                String word = line.substring(0, bracket > 0 ? bracket : space);
                words.computeIfAbsent(word, w -> new ArrayList<>(1))
                        .add(line.substring(space + 1).strip());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(resource + " cannot be read", e);
        }
    }
}
