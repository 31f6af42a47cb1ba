package app.nosegay.review.seen;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.Posture;
import app.nosegay.evidence.sight.WorkingSide;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.Side;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.lang3.StringUtils;

/**
 * What whoever leads shows, against the plan: the working arm, and whether a move of the floor is done on the floor. Nothing is said where
 * they were not found, or not seen well enough to tell.
 */
public final class SightCheck {
    /** Somebody has to be found for this share of a set. */
    private static final double FOUND = 0.8;

    /** One arm works alone when it does so much more of all the way: the other three quarters less. */
    private static final double ALONE = 0.5;

    /** So many sets, all the other way round, are a mirrored picture and not slips. */
    private static final int MIRRORED = 3;

    /** A posture that is taken for this share of a set is the set's. */
    private static final double HELD = 0.85;

    private static final Set<String> LYING = Set.of("lying-back", "lying-front", "side-lying", "plank", "all-fours");

    private final Timeline timeline;
    private final MoveLibrary library;
    private final List<Finding> findings = new ArrayList<>();
    private final List<SeenSet> otherSide = new ArrayList<>();
    private int sides;

    private SightCheck(Timeline timeline, MoveLibrary library) {
        this.timeline = timeline;
        this.library = library;
    }

    /** What is shown otherwise than planned; nothing in takes nobody was looked for in. */
    public static List<Finding> findings(
            Timeline timeline, Match match, List<TakeEvidence> takes, MoveLibrary library) {
        List<SeenSet> sets = SeenSet.of(timeline, match, takes);
        SightCheck check = new SightCheck(timeline, library);
        sets.stream().filter(set -> set.found() >= FOUND).forEach(check::set);
        check.sides();
        check.findings.addAll(LookCheck.findings(timeline, sets));
        check.findings.addAll(RepCheck.findings(timeline, match, sets, library));
        check.findings.addAll(ViewCheck.findings(timeline, sets, library));
        check.findings.addAll(FrameCheck.findings(timeline, sets));
        check.findings.addAll(DriverCheck.findings(timeline, sets, library));
        check.findings.addAll(HoldCheck.findings(timeline, sets));
        return check.findings;
    }

    private void set(SeenSet set) {
        Segment s = set.segment();
        Optional<Move> move = s.wholeMove(library);
        if (move.isEmpty()) {
            return;
        }
        if (move.get().sided().contains("arm") && (s.side() == Side.LEFT || s.side() == Side.RIGHT)) {
            double works = WorkingSide.ARMS.of(set.leader(), set.start(), set.end());
            if (Math.abs(works) >= ALONE) {
                sides++;
                if (works > 0 != (s.side() == Side.RIGHT)) {
                    otherSide.add(set);
                }
            }
        }
        posture(set, move.get());
    }

    private void posture(SeenSet set, Move move) {
        double floor = Posture.share(set.leader(), set.start(), set.end(), Posture::isOnFloor);
        double feet = Posture.share(set.leader(), set.start(), set.end(), at -> at == Posture.STANDING);
        String spoken = timeline.spoken(set.segment().id());
        if (LYING.contains(move.position()) && feet >= HELD) {
            posture(set, CoreText.of("match.posture.standing", spoken));
        } else if (move.position().equals("standing") && floor >= HELD) {
            posture(set, CoreText.of("match.posture.floor", spoken));
        }
    }

    private void posture(SeenSet set, String message) {
        findings.add(Finding.at("match.posture", Severity.LOOK, set.segment(), StringUtils.capitalize(message))
                .withFix(CoreText.of("match.posture.fix"))
                .withMoment(set.middle()));
    }

    private void sides() {
        if (sides >= MIRRORED && otherSide.size() == sides) {
            findings.add(Finding.of("match.mirrored", Severity.LOOK, CoreText.of("match.mirrored.message", sides))
                    .withFix(CoreText.of("match.mirrored.fix")));
            return;
        }
        otherSide.forEach(set -> {
            Segment s = set.segment();
            String told = CoreText.of(
                    "match.side-shown.message",
                    timeline.spoken(s.id()),
                    s.side().word(),
                    s.side().other().word());
            findings.add(Finding.at("match.side-shown", Severity.FIX, s, StringUtils.capitalize(told))
                    .withFix(CoreText.of("match.side-shown.fix"))
                    .withMoment(set.middle()));
        });
    }
}
