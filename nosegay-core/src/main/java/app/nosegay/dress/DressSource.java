package app.nosegay.dress;

import app.nosegay.cut.Cut;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.terms.Side;
import app.nosegay.review.said.ScriptLineMatch;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What every on-screen item of a programme is made from.
 *
 * @param said the lines of the script that were said, with where
 * @param moves the counted moves in order
 */
record DressSource(
        Timeline timeline,
        Match match,
        Cut cut,
        CuePlan cues,
        Map<ScriptLine, ScriptLineMatch> said,
        MoveLibrary library,
        DressNotes notes,
        List<String> moves) {
    /** Where a segment is in the programme; empty when it is missing or cut away. */
    Optional<Span<Axis.Cut>> shown(Segment segment) {
        return match.segment(segment.id()).flatMap(cut::shown);
    }

    /** Whether viewers choose the side they start on: then no side is named. */
    boolean isViewersChoice() {
        return timeline.sheet().header().start() == Attribute.StartSide.FREE;
    }

    String spoken(Side side) {
        return side.spoken(timeline.sheet().header().mirrored());
    }
}
