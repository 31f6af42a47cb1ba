package app.nosegay.library;

import app.nosegay.text.JsonText;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The words of a move's name ({@code name-words.json}): one spelling for what is spelt in many ways, stems for endings, and which words
 * only say with what, in which position, with which side or how it is done.
 */
final class NameWords {
    /** What a word adds to the name of a move. */
    enum Role {
        MANNER,
        GEAR,
        SIDE,
        POSITION
    }

    private static final Pattern NOT_WORD = Pattern.compile("[^\\p{L}\\p{N}]+");
    private static final int SHORTEST_STEM = 3;
    private static final JsonNode FILE = JsonText.shipped(NameWords.class, "name-words.json");
    private static final Map<String, String> SPELLINGS = spellings();
    private static final Pattern SPELLING = Pattern.compile("(?<= )(?:"
            + String.join(
                    "|",
                    SPELLINGS.keySet().stream()
                            .sorted((a, b) -> b.length() - a.length())
                            .toList()) + ")(?= )");
    private static final Set<String> FILLER = words("filler");
    private static final Set<String> MANNER = words("manner");
    private static final Set<String> SIDE = words("side");
    private static final Map<String, String> GEAR = map("gear");
    private static final Map<String, String> POSITION = map("position");

    private NameWords() {}

    private static Map<String, String> spellings() {
        Map<String, String> all = new LinkedHashMap<>();
        FILE.path("phrases").properties().forEach(e -> {
            for (String other : MoveJson.strings(e.getValue())) {
                all.put(plain(other), e.getKey());
            }
        });
        return all;
    }

    private static String plain(String phrase) {
        return java.util.Arrays.stream(phrase.split(" "))
                .map(NameWords::singular)
                .collect(Collectors.joining(" "));
    }

    /** Phrases become one token, joined by a hyphen. */
    private static Set<String> words(String key) {
        return MoveJson.strings(FILE.path(key)).stream().map(NameWords::token).collect(Collectors.toSet());
    }

    private static Map<String, String> map(String key) {
        Map<String, String> all = new LinkedHashMap<>();
        FILE.path(key)
                .properties()
                .forEach(e -> all.put(token(e.getKey()), e.getValue().asText()));
        return all;
    }

    private static String token(String phrase) {
        return java.util.Arrays.stream(phrase.split(" ")).map(NameWords::stem).collect(Collectors.joining("-"));
    }

    /** The words of {@code name} that matter, each as its stem, in their order. */
    static List<String> of(String name) {
        String words = " "
                + java.util.Arrays.stream(
                                NOT_WORD.matcher(name.toLowerCase(Locale.ROOT).replace("'", ""))
                                        .replaceAll(" ")
                                        .strip()
                                        .split(" "))
                        .map(NameWords::singular)
                        .collect(Collectors.joining(" "))
                + " ";
        Matcher spelling = SPELLING.matcher(words);
        String spelt = spelling.replaceAll(m -> SPELLINGS.get(m.group()));
        List<String> tokens = new ArrayList<>();
        String[] all = spelt.strip().split(" ");
        for (int i = 0; i < all.length; i++) {
            String two = i + 1 < all.length ? stem(all[i]) + "-" + stem(all[i + 1]) : "";
            if (GEAR.containsKey(two) || POSITION.containsKey(two) || SIDE.contains(two)) {
                tokens.add(two);
                i++;
            } else if (!FILLER.contains(stem(all[i])) && !all[i].isEmpty()) {
                tokens.add(stem(all[i]));
            }
        }
        return tokens;
    }

    private static String singular(String word) {
        return word.length() > SHORTEST_STEM && word.endsWith("s") && !word.endsWith("ss") && !word.endsWith("us")
                ? word.endsWith("ies")
                        ? word.substring(0, word.length() - 3) + "y"
                        : word.matches(".*(?:ch|sh|x|ss)es")
                                ? word.substring(0, word.length() - 2)
                                : word.substring(0, word.length() - 1)
                : word;
    }

    private static String stem(String word) {
        String w = singular(word);
        if (w.endsWith("ing") && w.length() > SHORTEST_STEM + 3) {
            w = w.substring(0, w.length() - 3);
            w = w.matches(".*([b-df-hj-np-rtv-z])\\1") && !w.endsWith("ll") ? w.substring(0, w.length() - 1) : w;
        } else if (w.endsWith("ed") && w.length() > SHORTEST_STEM + 2) {
            w = w.substring(0, w.length() - 2);
        }
        return w.length() > SHORTEST_STEM && w.endsWith("e") ? w.substring(0, w.length() - 1) : w;
    }

    /** Whether a word only adds {@code role} to a name. */
    static boolean is(String word, Role role) {
        return switch (role) {
            case MANNER -> MANNER.contains(word);
            case GEAR -> GEAR.containsKey(word);
            case SIDE -> SIDE.contains(word);
            case POSITION -> POSITION.containsKey(word);
        };
    }

    /** The gear a word names; empty for none at all. */
    static String gear(String word) {
        return GEAR.get(word);
    }

    static String position(String word) {
        return POSITION.get(word);
    }
}
