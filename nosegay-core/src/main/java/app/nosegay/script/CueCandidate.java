package app.nosegay.script;

import app.nosegay.library.CueKind;
import app.nosegay.plan.Segment;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A line that is wanted.
 *
 * @param home the segment it is about
 * @param kind its kind
 * @param texts wordings, the best first; shorter ones may follow
 * @param places where it may go, the best first
 * @param own whether the creator wrote it
 * @param needed whether it is said even beyond the chosen talk density
 */
record CueCandidate(Segment home, CueKind kind, List<String> texts, List<Window> places, boolean own, boolean needed) {
    /** How what is ahead begins. */
    static final String COMING = "Next, ";

    static final String AFTERWARDS = "Then ";

    CueCandidate {
        texts = List.copyOf(texts);
        places = List.copyOf(places);
    }

    /** A stretch of a segment, in shares of it. */
    record Window(Segment segment, double from, double to) {
        /** Those that there are, in order; null for none. */
        static List<Window> both(Window first, Window second) {
            return Stream.of(Optional.ofNullable(first), Optional.ofNullable(second))
                    .flatMap(Optional::stream)
                    .toList();
        }

        /** Where a kind belongs inside and before its interval. */
        static List<Window> of(CueKind kind, Segment s, Window pause, boolean shortWork) {
            return switch (kind) {
                case SETUP, NAME, GEAR, NEXT -> both(pause, new Window(s, 0, 0.25));
                case FORM ->
                    both(shortWork ? pause : new Window(s, 0, 0.25), shortWork ? new Window(s, 0, 0.4) : pause);
                // Behind the easier way, which is said as the work begins.
                case HARDER -> both(shortWork ? pause : new Window(s, 0, 0.6), null);
                case EASIER, INSTEAD, CAUTION ->
                    both(shortWork ? pause : new Window(s, 0, 0.33), shortWork ? new Window(s, 0, 0.33) : pause);
                case AVOID, CHECK, FEEL, TEMPO -> both(new Window(s, 0.1, 0.75), pause);
                default -> both(new Window(s, 0.2, 0.9), pause);
            };
        }
    }

    /** A text at a place. */
    record Wording(Window window, String text) {}

    /** What to try, in order: the best text wherever it fits, but what is next rather shorter than late. */
    List<Wording> wordings() {
        return kind == CueKind.NEXT
                ? places.stream()
                        .flatMap(p -> texts.stream().map(t -> new Wording(p, t)))
                        .toList()
                : texts.stream()
                        .flatMap(t -> places.stream().map(p -> new Wording(p, t)))
                        .toList();
    }

    static CueCandidate of(Segment home, CueKind kind, String text, List<Window> places) {
        return new CueCandidate(home, kind, List.of(text), places, false, false);
    }

    /** A wording as it is said in a window: what was announced as coming is there once its own segment runs. */
    String in(Window window, String text) {
        if (own || window.segment() != home) {
            return text;
        }
        return text.startsWith(COMING)
                ? "Now " + text.substring(COMING.length())
                : text.startsWith(AFTERWARDS) ? Wordings.capital(text.substring(AFTERWARDS.length())) : text;
    }
}
