package app.nosegay.plan.check;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Balance;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.terms.SegmentKind;
import java.util.List;

/** What the checks look at, computed once. */
record PlanContext(
        Timeline timeline,
        MoveLibrary library,
        Balance balance,
        List<ChangeOver> changeOvers,
        GearList gear,
        List<Cautions.Raised> cautions,
        String[] lines) {
    List<Segment> segments() {
        return timeline.segments();
    }

    List<Segment> work() {
        return timeline.segments().stream()
                .filter(s -> s.kind() == SegmentKind.WORK)
                .toList();
    }

    List<Move> moves(Segment s) {
        return s.moves(library);
    }

    String line(int number) {
        return number >= 1 && number <= lines.length ? lines[number - 1] : "";
    }

    /** Whether a move of a block is done on the floor. */
    boolean isLow(Block block, MoveLine move) {
        Attributes merged = move.attributes().over(block.attributes());
        String written = merged.words(Attribute.POSITION).orElse("");
        return written.isEmpty()
                ? library.parts(move.name()).stream().anyMatch(Move::isOnFloor)
                : written.matches(".*(floor|lying|fours|kneel).*");
    }
}
