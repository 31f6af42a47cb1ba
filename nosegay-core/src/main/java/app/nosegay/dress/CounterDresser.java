package app.nosegay.dress;

import app.nosegay.library.Move;
import app.nosegay.plan.Segment;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.Wordings;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.List;

/** What counts: the name plate with move and round, the repetitions, the tempo guide. */
final class CounterDresser {
    private final DressSource source;
    private final List<Piece> pieces;

    /** @param pieces where the counters are put */
    CounterDresser(DressSource source, List<Piece> pieces) {
        this.source = source;
        this.pieces = pieces;
    }

    Face namePlate(Segment s) {
        int move = s.kind() == SegmentKind.WORK ? source.moves().indexOf(s.move()) + 1 : 0;
        boolean sets = s.set() != null;
        int round = sets ? s.set() : s.round() == null ? 0 : s.round();
        int rounds = source.timeline().segments().stream()
                .filter(o -> o.block().slug().equals(s.block().slug()))
                .mapToInt(o -> sets ? (o.set() == null ? 0 : o.set()) : (o.round() == null ? 0 : o.round()))
                .max()
                .orElse(0);
        String word = sets
                ? CoreText.of("dress.dresser.set")
                : s.block().kind() == BlockKind.EVERY_MINUTE
                        ? CoreText.of("dress.dresser.minute")
                        : CoreText.of("dress.dresser.round");
        boolean shown = rounds > 1;
        return new Face.NamePlate(
                Wordings.capital(s.move()),
                move,
                move == 0 ? 0 : source.moves().size(),
                word,
                shown ? round : 0,
                shown ? rounds : 0);
    }

    /** The repetitions of a set, and the tempo guide that follows them. */
    void repCounter(Segment s, Span<Axis.Cut> span) {
        List<Time<Axis.Take>> reps = source.match().reps().getOrDefault(s.id(), List.of());
        String take = source.match().segment(s.id()).orElseThrow().take();
        List<Time<Axis.Cut>> completed =
                reps.stream().flatMap(t -> source.cut().toCut(take, t).stream()).toList();
        boolean counted = s.reps() != null || !completed.isEmpty();
        if (counted && source.notes().shows(DressNotes.Extra.REP_COUNTERS)) {
            pieces.add(new Piece.RepCounter(span, completed, s.reps() == null ? 0 : s.reps()));
        }
        boolean guided = s.reps() != null && s.tempo() != null && completed.size() > 1;
        if (guided && source.notes().shows(DressNotes.Extra.TEMPO)) {
            boolean down = source.library().find(s.move()).map(Move::startsDown).orElse(true);
            pieces.add(new Piece.TempoGuide(span, completed, s.tempo(), down));
        }
    }
}
