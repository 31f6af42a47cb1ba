package app.nosegay.match.features;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.captions.Caption;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Where the moves of a plan are named in a transcript. People rarely say a name in full: "rows" where the plan has a bent-over row. A
 * move is also named by its last word, less surely so, and shared among the moves that have it in common.
 */
final class SpokenNames {
    /** Words that end a name without being what people call the move. */
    private static final Set<String> NO_NOUNS =
            Set.of("up", "down", "in", "out", "place", "side", "left", "right", "arm", "leg", "hold", "drill", "walk");
    /** A last word alone, said anywhere: "press through your feet" names no press. */
    private static final double LAST_WORD = 0.4;
    /** What is announced as the next move tells more than a name in passing. */
    private static final double ANNOUNCED = 2;

    private static final double LAST_WORD_ANNOUNCED = 1.6;
    /** Words this far behind the beginning of an announcement belong to it, in seconds. */
    private static final double ANNOUNCEMENT = 4;

    /** Said of what does not begin yet, so many words before a name or behind it. */
    private static final Set<String> TO_COME = Set.of("next", "coming", "later", "after");

    private static final int AROUND = 4;

    private final Map<String, List<String>> full = new HashMap<>();
    private final Map<String, List<String>> byLastWord = new HashMap<>();

    /**
     * One mention.
     *
     * @param weight 1 for a whole name in passing
     * @param ahead whether it is said to come, and not to begin
     */
    record Mention(String move, Time<Axis.Take> time, double weight, boolean ahead) {}

    private SpokenNames(Collection<String> moves) {
        for (String move : moves) {
            List<String> words = words(move);
            full.put(move, words);
            String last = words.isEmpty() ? "" : words.get(words.size() - 1);
            if (words.size() > 1 && last.length() > 2 && !NO_NOUNS.contains(last)) {
                byLastWord.computeIfAbsent(last, x -> new ArrayList<>()).add(move);
            }
        }
    }

    /** The mentions of {@code moves} in {@code captions}, in order of time; {@code calls} are those heard in them. */
    static List<Mention> in(List<Caption> captions, Collection<String> moves, List<Call> calls) {
        return new SpokenNames(moves).read(captions, calls);
    }

    private List<Mention> read(List<Caption> captions, List<Call> calls) {
        List<Caption.Word> said = new ArrayList<>();
        for (Caption c : captions) {
            for (Caption.Word w : c.words()) {
                words(w.text()).forEach(part -> said.add(new Caption.Word(w.start(), w.end(), part)));
            }
        }
        List<Call> announcements =
                calls.stream().filter(c -> c.kind() == CallKind.NEXT_UP).toList();
        List<Mention> mentions = new ArrayList<>();
        for (int i = 0; i < said.size(); i++) {
            int at = i;
            List<String> whole = full.keySet().stream()
                    .filter(m -> begins(full.get(m), said, at))
                    .sorted()
                    .toList();
            Time<Axis.Take> time = said.get(i).start();
            boolean announced = announcements.stream().anyMatch(c -> isIn(c, time));
            whole.forEach(
                    m -> mentions.add(new Mention(m, time, announced ? ANNOUNCED : 1, announced && isAhead(said, at))));
            List<String> alike = byLastWord.getOrDefault(said.get(i).text(), List.of());
            boolean inFull = alike.stream().anyMatch(m -> ends(full.get(m), said, at));
            if (!inFull) {
                double weight = (announced ? LAST_WORD_ANNOUNCED : LAST_WORD) / alike.size();
                alike.forEach(m -> mentions.add(new Mention(m, time, weight, announced && isAhead(said, at))));
            }
        }
        return mentions;
    }

    /** Whether the words around a name say that it comes next: it is not being begun. */
    private static boolean isAhead(List<Caption.Word> said, int at) {
        return said.subList(Math.max(0, at - AROUND), Math.min(said.size(), at + AROUND)).stream()
                .anyMatch(w -> TO_COME.contains(w.text()));
    }

    private static boolean isIn(Call announcement, Time<Axis.Take> time) {
        double after = time.since(announcement.time()).seconds();
        return after >= 0 && after <= ANNOUNCEMENT;
    }

    private static boolean begins(List<String> name, List<Caption.Word> said, int from) {
        if (name.isEmpty() || from + name.size() > said.size()) {
            return false;
        }
        for (int i = 0; i < name.size(); i++) {
            if (!name.get(i).equals(said.get(from + i).text())) {
                return false;
            }
        }
        return true;
    }

    private static boolean ends(List<String> name, List<Caption.Word> said, int last) {
        int from = last - name.size() + 1;
        return from >= 0 && begins(name, said, from);
    }

    /** The plain words of a text, in lower case and the singular. */
    private static List<String> words(String text) {
        List<String> words = new ArrayList<>();
        for (String word : text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+")) {
            if (!word.isEmpty()) {
                words.add(singular(word));
            }
        }
        return words;
    }

    private static String singular(String word) {
        if (word.length() > 5 && word.endsWith("sses") || word.endsWith("ches") || word.endsWith("shes")) {
            return word.substring(0, word.length() - 2);
        }
        boolean plural = word.length() > 2 && word.endsWith("s") && !word.endsWith("ss");
        return plural ? word.substring(0, word.length() - 1) : word;
    }
}
