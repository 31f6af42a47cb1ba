package app.nosegay.library;

import app.nosegay.cache.TextMemo;
import app.nosegay.text.JsonText;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/** What people call the parts of the body: by muscle group, and joints and ends besides ({@code body-words.json}). */
public final class BodyWords {
    private static final JsonNode ALL = JsonText.shipped(BodyWords.class, "body-words.json");
    private static final Map<MuscleGroup, List<String>> MUSCLES = muscles();
    private static final Pattern ANY = any();
    /** The muscle words in a line, those it denies left out. */
    private static final TextMemo<List<String>> NAMED = new TextMemo<>(BodyWords::named);

    private BodyWords() {}

    static List<String> of(MuscleGroup group) {
        return MUSCLES.get(group);
    }

    /** The words for muscles in a line, those it denies ("not your lower back") left out. */
    static List<String> namedIn(String line) {
        return NAMED.of(line);
    }

    /** The words for muscles in a line where none of them is one that {@code moves} train; empty where one is, or none is named. */
    public static List<String> onlyOthers(String line, List<Move> moves) {
        Set<String> right = new HashSet<>();
        for (MuscleGroup g : MuscleGroup.values()) {
            if (moves.stream().anyMatch(m -> m.share(g) > 0)) {
                right.addAll(of(g));
            }
        }
        List<String> named = namedIn(line);
        return named.stream().anyMatch(right::contains) ? List.of() : named;
    }

    /** Whether a line names any part of the body. */
    public static boolean anyIn(String line) {
        return ANY.matcher(line).find();
    }

    private static Map<MuscleGroup, List<String>> muscles() {
        Map<MuscleGroup, List<String>> words = new EnumMap<>(MuscleGroup.class);
        for (MuscleGroup group : MuscleGroup.values()) {
            words.put(group, texts(ALL.path("words").path(group.word())));
        }
        return words;
    }

    private static List<String> texts(JsonNode list) {
        List<String> texts = new ArrayList<>();
        list.forEach(w -> texts.add(w.asText()));
        return texts;
    }

    private static Pattern any() {
        List<String> all = new ArrayList<>(texts(ALL.path("joints")));
        MUSCLES.values().forEach(all::addAll);
        return Pattern.compile("(?i)\\b(?:" + String.join("|", all) + ")(?:s|es)?\\b");
    }

    private static List<String> named(String line) {
        String text = line.toLowerCase(Locale.ROOT)
                .replaceAll("\\b(?:not|never|rather than) (?:in )?(?:the |your )?[\\p{L} ]+", " ");
        return MUSCLES.values().stream()
                .flatMap(List::stream)
                .distinct()
                .filter(w -> text.matches("(?s).*\\b" + w + "(?:s|es)?\\b.*"))
                .toList();
    }
}
