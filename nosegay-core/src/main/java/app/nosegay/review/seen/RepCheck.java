package app.nosegay.review.seen;

import app.nosegay.evidence.sight.DrivingJoint;
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
import app.nosegay.time.Axis;
import app.nosegay.time.Tempo;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.commons.lang3.StringUtils;

/** How the repetitions of whoever leads are done: as far as each other, as far with either side, and as fast as planned. */
final class RepCheck {
    /** Somebody has to be found for this share of a set. */
    private static final double FOUND = 0.9;

    /** Fewer repetitions have no usual way. */
    private static final int FEWEST = 4;

    /** What goes less than this share of the usual way does not count to most trainers: about half of it. */
    private static final double HALF = 0.6;

    /** Of more than this share of a set it is not told: then it is a way of doing the move. */
    private static final double FEW = 0.25;

    /** All others have to be as even as this, or the joints are not seen well enough to say anything. */
    private static final double EVEN = 0.75;

    /** A side that goes less than this share of the other's way is seen to. */
    private static final double UNEVEN = 0.75;

    /** A joint that goes less far, in trunks, only trembles. */
    private static final double TREMBLES = 0.15;

    /** Repetitions that take this share of a written tempo, or its inverse, are another tempo. */
    private static final double OFF_TEMPO = 0.75;

    private record Done(SeenSet set, List<Time<Axis.Take>> ends, double[] ways) {
        Segment segment() {
            return set.segment();
        }

        double usual() {
            return median(ways);
        }

        /** Which go about half as far as the others; none where the others differ as well. */
        List<Integer> shallow() {
            return isEven()
                    ? IntStream.range(0, ways.length)
                            .filter(i -> ways[i] < HALF * usual())
                            .boxed()
                            .toList()
                    : List.of();
        }

        boolean isEven() {
            return Arrays.stream(ways).allMatch(w -> w < HALF * usual() || w > EVEN * usual() && w < usual() / EVEN);
        }
    }

    private final Timeline timeline;
    private final MoveLibrary library;
    private final List<Finding> findings = new ArrayList<>();
    /** Sets of one side that wait for the other, by all that is the same. */
    private final Map<List<Object>, Done> oneSide = new HashMap<>();

    private RepCheck(Timeline timeline, MoveLibrary library) {
        this.timeline = timeline;
        this.library = library;
    }

    static List<Finding> findings(Timeline timeline, Match match, List<SeenSet> sets, MoveLibrary library) {
        RepCheck check = new RepCheck(timeline, library);
        for (SeenSet set : sets) {
            List<Time<Axis.Take>> ends = match.reps().getOrDefault(set.segment().id(), List.of());
            if (ends.size() >= FEWEST && set.found() >= FOUND) {
                check.set(set, ends);
            }
        }
        return check.findings;
    }

    private void set(SeenSet set, List<Time<Axis.Take>> ends) {
        DrivingJoint joint = DrivingJoint.of(set.leader(), set.start(), set.end());
        double[] ways = new double[ends.size()];
        double from = set.start();
        for (int i = 0; i < ways.length; i++) {
            ways[i] = joint.range(set.leader(), from, ends.get(i).seconds());
            from = ends.get(i).seconds();
        }
        Done done = new Done(set, ends, ways);
        if (done.usual() >= TREMBLES) {
            depth(done);
            sides(done);
        }
        tempo(done);
    }

    private void depth(Done done) {
        List<Integer> shallow = done.shallow();
        if (shallow.isEmpty() || shallow.size() > Math.max(1, FEW * done.ways().length)) {
            return;
        }
        String numbers = shallow.stream().map(i -> "" + (i + 1)).collect(Collectors.joining(", "));
        Time<Axis.Take> at = done.ends().get(shallow.get(0));
        add(
                done,
                "match.rep-range",
                CoreText.of("match.rep-range.fix"),
                at,
                CoreText.of("match.rep-range.message", spoken(done.segment()), shallow.size(), numbers));
    }

    private void sides(Done done) {
        Segment s = done.segment();
        boolean oneSided = s.side() == Side.LEFT || s.side() == Side.RIGHT;
        if (!oneSided || !done.isEven() || isFromTheSide(done.set())) {
            return;
        }
        List<Object> same = new ArrayList<>(
                List.of(s.move(), s.block().name(), s.line(), s.side().other()));
        same.add(s.round());
        same.add(s.set());
        Done other = oneSide.get(same);
        if (other == null) {
            same.set(3, s.side());
            oneSide.put(same, done);
            return;
        }
        Done less = done.usual() < other.usual() ? done : other;
        Done more = less == done ? other : done;
        if (less.usual() < UNEVEN * more.usual()) {
            add(
                    less,
                    "match.range-uneven",
                    CoreText.of("match.range-uneven.fix"),
                    less.ends().get(0),
                    CoreText.of(
                            "match.range-uneven.message",
                            spoken(less.segment()),
                            Math.round(100 * less.usual() / more.usual()),
                            more.segment().side().word()));
        }
    }

    /** From the side one arm or leg hides the other. */
    private static boolean isFromTheSide(SeenSet set) {
        return WorkingSide.ARMS.of(set.leader(), set.start(), set.end()) == 0;
    }

    /** Only where a tempo was written: what the library says is usual binds nobody. */
    private void tempo(Done done) {
        Segment s = done.segment();
        boolean written = s.tempo() != null
                && !s.tempo().equals(s.wholeMove(library).map(Move::tempo).orElse(Tempo.DEFAULT));
        if (!written) {
            return;
        }
        double[] lengths = new double[done.ends().size() - 1];
        for (int i = 0; i < lengths.length; i++) {
            lengths[i] = done.ends().get(i + 1).since(done.ends().get(i)).seconds();
        }
        double planned = s.tempo().repLength().seconds();
        double taken = median(lengths);
        if (taken < OFF_TEMPO * planned || taken > planned / OFF_TEMPO) {
            add(
                    done,
                    "match.tempo",
                    CoreText.of("match.tempo.fix"),
                    done.ends().get(0),
                    CoreText.of(
                            "match.tempo.message",
                            spoken(s),
                            taken,
                            planned,
                            s.tempo().text()));
        }
    }

    private void add(Done done, String code, String fix, Time<Axis.Take> at, String message) {
        findings.add(Finding.at(code, Severity.LOOK, done.segment(), StringUtils.capitalize(message))
                .withFix(fix)
                .withMoment(Finding.Moment.at(done.set().placed().take(), at)));
    }

    private String spoken(Segment s) {
        return timeline.spoken(s.id());
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }
}
