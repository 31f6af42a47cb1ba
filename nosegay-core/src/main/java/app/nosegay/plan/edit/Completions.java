package app.nosegay.plan.edit;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.library.Nearest;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.SheetHeaders;
import app.nosegay.plan.terms.BlockKind;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** What may be meant by the word before the cursor in a run sheet: block and header words, moves, attributes and their values. */
public final class Completions {
    private static final int MOST = 8;
    private static final Map<String, List<String>> HEADER_VALUES = Map.of(
            "count", List.of("down", "up"),
            "sides-spoken", List.of("own", "mirrored"),
            "start", List.of("right", "left", "free"),
            "picture", List.of("video", "voice-only"),
            "voice", List.of("live", "afterwards"),
            "talk-density", List.of("sparing", "normal", "talkative"),
            "calls", List.of("half, 10, 5, in 3, out 3", "10, in 3, out 3", "none"),
            "promise", List.of("20 min", "under 20 min", "about 15 min", "10-12 min"),
            "policy", List.of("end-card left", "warm-up elsewhere", "knee over toes"),
            "audience",
                    List.of(
                            "general",
                            "beginner",
                            "older adult",
                            "chair-based",
                            "pregnancy 2",
                            "after birth",
                            "shoulder trouble",
                            "knee trouble",
                            "lower-back trouble",
                            "wrist trouble",
                            "returning after treatment"));

    private Completions() {}

    /**
     * One proposal.
     *
     * @param text what is written
     * @param from the first character it replaces, from 0
     * @param note what it is, for people
     */
    public record Candidate(String text, int from, String note) {}

    /**
     * The proposals for a line, the likeliest first.
     *
     * @param before the line's text up to the cursor
     * @param asked whether they were asked for; else only words that have begun are completed
     */
    public static List<Candidate> at(String before, MoveLibrary library, boolean asked) {
        boolean indented = !before.isEmpty() && Character.isWhitespace(before.charAt(0));
        int gap = lastGap(before);
        String word = before.substring(gap);
        boolean first = before.substring(0, gap).isBlank();
        if (word.isBlank() && !asked || before.contains("#")) {
            return List.of();
        }
        if (!indented) {
            return head(before, word, gap, first);
        }
        if (first) {
            return item(word, gap, library);
        }
        return attribute(word, gap, before, library);
    }

    private static int lastGap(String before) {
        for (int i = before.length(); i > 0; i--) {
            boolean two = i >= 2 && before.charAt(i - 1) == ' ' && before.charAt(i - 2) == ' ';
            boolean bar = i >= 2 && before.charAt(i - 1) == ' ' && before.charAt(i - 2) == '|';
            if (two || bar || before.charAt(i - 1) == '\t') {
                return i;
            }
        }
        return 0;
    }

    private static List<Candidate> head(String before, String word, int gap, boolean first) {
        int colon = before.indexOf(':');
        if (colon > 0) {
            String key = before.substring(0, colon).strip();
            int comma = before.lastIndexOf(',');
            int from = Math.max(colon, comma) + 1;
            while (from < before.length() && before.charAt(from) == ' ') {
                from++;
            }
            return starting(before.substring(from), from, HEADER_VALUES.getOrDefault(key, List.of()), key);
        }
        if (!first || word.indexOf(' ') >= 0) {
            return first ? List.of() : attributeWords(word, gap);
        }
        List<Candidate> found = new ArrayList<>(starting(word, gap, BlockKind.words(), "block"));
        SheetHeaders.words().stream()
                .filter(h -> h.startsWith(word.toLowerCase(Locale.ROOT)))
                .forEach(h -> found.add(new Candidate(h + ": ", gap, "header")));
        return nearestWhereNone(found, word, gap, BlockKind.words(), "block");
    }

    private static List<Candidate> item(String word, int gap, MoveLibrary library) {
        List<Candidate> found = new ArrayList<>();
        int plus = word.lastIndexOf('+');
        int from = gap + (plus < 0 ? 0 : plus + 1);
        String name = word.substring(plus + 1);
        from += name.length() - name.stripLeading().length();
        int at = from;
        if (name.isBlank()) {
            return List.of();
        }
        List<Move> moves = library.search(name.strip());
        boolean whole = library.find(name.strip()).isPresent();
        for (Move move : moves.subList(0, Math.min(MOST, moves.size()))) {
            if (!(whole && move.name().equals(name.strip()))) {
                found.add(new Candidate(move.name(), at, move.pattern() + aliases(move, name)));
            }
        }
        if (plus < 0) {
            CueKind.words().stream()
                    .filter(k -> k.startsWith(name.strip().toLowerCase(Locale.ROOT)))
                    .limit(3)
                    .forEach(k -> found.add(new Candidate(k + ": ", at, "cue")));
        }
        return found;
    }

    private static String aliases(Move move, String typed) {
        String t = typed.strip().toLowerCase(Locale.ROOT);
        return move.aliases().stream()
                .filter(a -> a.toLowerCase(Locale.ROOT).startsWith(t))
                .findFirst()
                .map(a -> ", also " + a)
                .orElse("");
    }

    private static List<Candidate> attribute(String word, int gap, String before, MoveLibrary library) {
        int space = word.indexOf(' ');
        if (space < 0) {
            return attributeWords(word, gap);
        }
        String name = word.substring(0, space);
        String value = word.substring(space + 1);
        int from = gap + space + 1;
        Attribute attribute = Attribute.of(name).orElse(null);
        if (attribute == null) {
            return List.of();
        }
        if (!attribute.choices().isEmpty()) {
            return starting(value, from, attribute.choices(), name);
        }
        String move = before.strip().split(" {2,}|\t| \\| ")[0];
        if (attribute == Attribute.TEMPO) {
            Set<String> tempos = new LinkedHashSet<>();
            library.find(move).ifPresent(m -> tempos.add(m.tempo().text()));
            tempos.addAll(List.of("2-0-1", "3-1-1", "4-0-1"));
            return starting(value, from, List.copyOf(tempos), name);
        }
        if (attribute == Attribute.GEAR) {
            Set<String> gear = new LinkedHashSet<>();
            library.find(move).ifPresent(m -> gear.addAll(m.gear()));
            library.moves().forEach(m -> gear.addAll(m.gear()));
            return starting(value, from, List.copyOf(gear), name);
        }
        return List.of();
    }

    private static List<Candidate> attributeWords(String word, int gap) {
        List<Candidate> found = starting(word, gap, Attribute.allWords(), "attribute");
        return nearestWhereNone(found, word, gap, Attribute.allWords(), "attribute");
    }

    private static List<Candidate> starting(String typed, int from, List<String> words, String note) {
        String t = typed.toLowerCase(Locale.ROOT);
        return words.stream()
                .filter(w -> w.startsWith(t) && !w.equals(t))
                .limit(MOST)
                .map(w -> new Candidate(w, from, note))
                .toList();
    }

    /** A slip of the finger is forgiven: where nothing begins like it, the nearest word is proposed. */
    private static List<Candidate> nearestWhereNone(
            List<Candidate> found, String word, int from, List<String> words, String note) {
        if (!found.isEmpty() || word.strip().length() < 3 || words.contains(word)) {
            return found;
        }
        String nearest = Nearest.of(word.strip(), words);
        return nearest == null ? found : List.of(new Candidate(nearest, from, note));
    }
}
