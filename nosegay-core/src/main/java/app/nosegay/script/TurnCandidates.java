package app.nosegay.script;

import static app.nosegay.script.Wordings.capital;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Segment;
import app.nosegay.plan.sheet.RunSheet.Cue;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.script.CueCandidate.Window;
import java.util.List;
import java.util.function.Supplier;

/**
 * What is said in one window for a whole list: each move has its turn, again and again: first how it begins, its form, its easier way; then
 * what to avoid and to feel; then a word of encouragement.
 */
final class TurnCandidates {
    /** About how long one goes at a move of a list that is gone through as often as possible. */
    private static final double TURN_SECONDS = 45;

    /** In its turn a move's cues are spread, the first behind the start. */
    private static final double FIRST_IN_TURN = 0.08;

    private static final double LAST_IN_TURN = 0.95;
    private static final double TURN_STEP = 0.2;

    /** What is said of each move at its first turn, its second, and all others. */
    private static final List<List<CueKind>> TURNS = List.of(
            List.of(CueKind.SETUP, CueKind.FORM, CueKind.EASIER, CueKind.BREATH),
            List.of(CueKind.AVOID, CueKind.FEEL),
            List.of(CueKind.CHEER));

    private final MoveLibrary library;
    private final Fields fields;
    private final Supplier<String> cheer;

    /** @param cheer the next of the cheers, which go round in a workout */
    TurnCandidates(MoveLibrary library, Fields fields, Supplier<String> cheer) {
        this.library = library;
        this.fields = fields;
        this.cheer = cheer;
    }

    void of(Segment s, List<CueCandidate> wishes) {
        List<MoveLine> lines = s.block().moves();
        double turn = Math.min(1.0 / lines.size(), TURN_SECONDS / s.duration().seconds());
        int turns = (int) Math.floor(1 / turn);
        for (int t = 0; t < turns; t++) {
            List<CueKind> kinds = TURNS.get(Math.min(t / lines.size(), TURNS.size() - 1));
            MoveLine line = lines.get(t % lines.size());
            for (int k = 0; k < kinds.size(); k++) {
                Window place = new Window(s, (t + FIRST_IN_TURN + k * TURN_STEP) * turn, (t + LAST_IN_TURN) * turn);
                String text = kinds.get(k) == CueKind.CHEER ? cheer.get() : ofLine(line, kinds.get(k));
                if (!text.isEmpty()) {
                    boolean own = line.cues().stream().anyMatch(c -> c.text().equals(text));
                    wishes.add(new CueCandidate(
                            s, kinds.get(k), List.of(text), List.of(place), own, kinds.get(k) == CueKind.SETUP));
                }
            }
        }
    }

    /** What is said of a kind for a line of a window: its own words, else the library's; empty for nothing. */
    private String ofLine(MoveLine line, CueKind kind) {
        Cue own = line.cues().stream().filter(c -> c.kind() == kind).findFirst().orElse(null);
        List<String> known = library.find(line.name()).map(m -> m.cues(kind)).orElse(List.of());
        if (own != null) {
            return fields.filled(kind.isOption() ? Phrases.option(own) : own.text());
        }
        if (known.isEmpty()) {
            return "";
        }
        String text = known.get(0);
        return kind == CueKind.SETUP
                ? capital(Phrases.name(line.name())) + ": " + lower(text)
                : kind == CueKind.EASIER ? "Easier: " + text : text;
    }

    private static String lower(String text) {
        return Character.toLowerCase(text.charAt(0)) + text.substring(1);
    }
}
