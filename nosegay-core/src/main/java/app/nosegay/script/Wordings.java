package app.nosegay.script;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.RunSheet.Cue;
import app.nosegay.plan.Segment;
import java.util.List;
import java.util.Optional;

/** The words for a cue: the sheet's own first, then the library's. */
public final class Wordings {
    private static final List<String> SMALL =
            List.of("zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten");

    private final MoveLibrary library;

    public Wordings(MoveLibrary library) {
        this.library = library;
    }

    /** All wordings of {@code kind} for the move of {@code segment}, best first. */
    public List<String> of(Segment segment, CueKind kind) {
        if (segment.line() == null || segment.move() == null) {
            return List.of();
        }
        List<String> own = segment.line().cues().stream()
                .filter(c -> c.kind() == kind)
                .map(Cue::text)
                .toList();
        if (!own.isEmpty()) {
            return own;
        }
        Optional<Move> move = library.find(segment.move());
        return move.map(m -> m.cues(kind)).orElse(List.of());
    }

    public Optional<String> first(Segment segment, CueKind kind) {
        return of(segment, kind).stream().findFirst();
    }

    /** A small number in words, a larger one in digits. */
    public static String number(int n) {
        return n >= 0 && n < SMALL.size() ? SMALL.get(n) : n == 15 ? "fifteen" : n == 20 ? "twenty" : "" + n;
    }

    /** A spoken countdown: {@code 3} gives "Three, two, one.". */
    public static String countdown(int from) {
        StringBuilder words = new StringBuilder();
        for (int n = from; n >= 1; n--) {
            words.append(words.isEmpty() ? "" : ", ").append(number(n));
        }
        return capital(words + ".");
    }

    public static String capital(String text) {
        return text.isEmpty() ? text : Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }
}
