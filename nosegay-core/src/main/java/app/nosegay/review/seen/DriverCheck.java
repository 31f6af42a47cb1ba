package app.nosegay.review.seen;

import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import app.nosegay.evidence.sight.JointRows;
import app.nosegay.library.Driver;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Timeline;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import org.apache.commons.lang3.StringUtils;

/** Sets in which another part of the body does the work than the one that drives the planned move: another move was filmed. */
final class DriverCheck {
    /** Somebody has to be found for this share of a set. */
    private static final double FOUND = 0.9;

    /** Hips that go less far than this in most of a set, in trunks, stay where they are: a squat is four times as deep. */
    private static final double STAYS = 0.15;

    /** What goes farther does the work; the dip before a push press is half as deep. */
    private static final double WORKS = 0.5;

    /** The ends of a set, and what joints jump to now and then, are left out: this share of its samples on either side. */
    private static final double ODD = 0.1;

    private DriverCheck() {}

    static List<Finding> findings(Timeline timeline, List<SeenSet> sets, MoveLibrary library) {
        List<Finding> findings = new ArrayList<>();
        for (SeenSet set : sets) {
            Driver planned = set.segment()
                    .wholeMove(library)
                    .filter(m -> set.found() >= FOUND)
                    .map(m -> m.driver())
                    .orElse(Driver.OTHER);
            Driver seen = planned == Driver.OTHER ? planned : driver(set.leader(), set.start(), set.end());
            if (seen != Driver.OTHER && seen != planned) {
                String spoken = timeline.spoken(set.segment().id());
                String message = planned == Driver.HIPS
                        ? CoreText.of("match.other-move.arms", spoken)
                        : CoreText.of("match.other-move.hips", spoken);
                findings.add(
                        Finding.at("match.other-move", Severity.LOOK, set.segment(), StringUtils.capitalize(message))
                                .withFix(CoreText.of("match.other-move.fix"))
                                .withMoment(set.middle()));
            }
        }
        return findings;
    }

    /** The hips where they go up and down, whatever arms do: they often balance. The arms only while the hips stay. */
    static Driver driver(JointRows person, double start, double end) {
        Body body = person.body();
        int[] samples = IntStream.range(person.sample(start), person.sample(end))
                .filter(body::isIn)
                .toArray();
        double hips = way(samples, s -> body.middleY(s, Joint.LEFT_HIP)) / person.trunk();
        double arms = 0;
        for (Joint wrist : List.of(Joint.LEFT_WRIST, Joint.RIGHT_WRIST)) {
            Joint shoulder = wrist == Joint.LEFT_WRIST ? Joint.LEFT_SHOULDER : Joint.RIGHT_SHOULDER;
            arms = Math.max(arms, way(samples, s -> body.x(s, wrist) - body.x(s, shoulder)));
            arms = Math.max(arms, way(samples, s -> body.y(s, wrist) - body.y(s, shoulder)));
        }
        arms /= person.trunk();
        if (hips > WORKS) {
            return Driver.HIPS;
        }
        return arms > WORKS && hips < STAYS ? Driver.ARMS : Driver.OTHER;
    }

    /** How far a place goes in most of some samples. */
    private static double way(int[] samples, IntToDoubleFunction place) {
        double[] places = Arrays.stream(samples).mapToDouble(place).sorted().toArray();
        int odd = (int) (ODD * places.length);
        return places.length == 0 ? 0 : places[places.length - 1 - odd] - places[odd];
    }
}
