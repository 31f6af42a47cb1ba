package app.nosegay.review.seen;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.JointRows;
import app.nosegay.evidence.sight.Posture;
import app.nosegay.evidence.sight.WorkingSide;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
    private final Map<Segment, Match.Placed> otherSide = new LinkedHashMap<>();
    private int sides;

    private SightCheck(Timeline timeline, MoveLibrary library) {
        this.timeline = timeline;
        this.library = library;
    }

    /** What is shown otherwise than planned; nothing in takes nobody was looked for in. */
    public static List<Finding> findings(
            Timeline timeline, Match match, List<TakeEvidence> takes, MoveLibrary library) {
        SightCheck check = new SightCheck(timeline, library);
        for (Segment s : timeline.segments()) {
            Match.Placed p = match.segment(s.id()).filter(Match.Placed::matched).orElse(null);
            if (p != null && s.kind() == SegmentKind.WORK && s.move() != null) {
                takes.stream().filter(t -> t.id().equals(p.take())).findFirst().ifPresent(t -> check.set(s, p, t));
            }
        }
        check.sides();
        return check.findings;
    }

    private void set(Segment s, Match.Placed p, TakeEvidence take) {
        double start = p.performedStart().seconds();
        double end = p.performedEnd().seconds();
        Optional<JointRows> leader = JointRows.ofLeader(take).filter(j -> j.seen(start, end) >= FOUND);
        Optional<Move> move = s.wholeMove(library);
        if (leader.isEmpty() || move.isEmpty()) {
            return;
        }
        if (move.get().sided().contains("arm") && (s.side() == Side.LEFT || s.side() == Side.RIGHT)) {
            double works = WorkingSide.ARMS.of(leader.get(), start, end);
            if (Math.abs(works) >= ALONE) {
                sides++;
                if (works > 0 != (s.side() == Side.RIGHT)) {
                    otherSide.put(s, p);
                }
            }
        }
        posture(s, p, move.get(), leader.get());
    }

    private void posture(Segment s, Match.Placed p, Move move, JointRows leader) {
        double start = p.performedStart().seconds();
        double end = p.performedEnd().seconds();
        double floor = Posture.share(leader, start, end, Posture::isOnFloor);
        double feet = Posture.share(leader, start, end, at -> at == Posture.STANDING);
        if (LYING.contains(move.position()) && feet >= HELD) {
            posture(s, p, CoreText.of("match.posture.standing", timeline.spoken(s.id())));
        } else if (move.position().equals("standing") && floor >= HELD) {
            posture(s, p, CoreText.of("match.posture.floor", timeline.spoken(s.id())));
        }
    }

    private void posture(Segment s, Match.Placed p, String message) {
        findings.add(Finding.at("match.posture", Severity.LOOK, s, StringUtils.capitalize(message))
                .withFix(CoreText.of("match.posture.fix"))
                .withMoment(middle(p)));
    }

    /** In the middle of a set it is shown best. */
    private static Finding.Moment middle(Match.Placed p) {
        Length half = p.performedEnd().since(p.performedStart()).times(0.5);
        return Finding.Moment.at(p.take(), p.performedStart().plus(half));
    }

    private void sides() {
        if (sides >= MIRRORED && otherSide.size() == sides) {
            findings.add(Finding.of("match.mirrored", Severity.LOOK, CoreText.of("match.mirrored.message", sides))
                    .withFix(CoreText.of("match.mirrored.fix")));
            return;
        }
        otherSide.forEach((s, p) -> {
            String told = CoreText.of(
                    "match.side-shown.message",
                    timeline.spoken(s.id()),
                    s.side().word(),
                    s.side().other().word());
            findings.add(Finding.at("match.side-shown", Severity.FIX, s, StringUtils.capitalize(told))
                    .withFix(CoreText.of("match.side-shown.fix"))
                    .withMoment(middle(p)));
        });
    }
}
