package app.nosegay.review.seen;

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
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.commons.lang3.StringUtils;

/** How the repetitions of whoever leads are done: as far as each other, as far with either side, and as fast as planned. */
final class RepCheck {
    /** A side that goes less than this share of the other's way is seen to. */
    private static final double UNEVEN = 0.75;

    /** Repetitions that take this share of a written tempo, or its inverse, are another tempo. */
    private static final double OFF_TEMPO = 0.75;

    /** By how much of the movement the way out is longer or shorter than written, before it is another tempo. */
    private static final double OFF_SHARE = 0.2;

    private record Done(SeenSet set, List<Time<Axis.Take>> ends, RepWays ways) {
        Segment segment() {
            return set.segment();
        }

        double usual() {
            return ways.usual();
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
            RepWays ways = RepWays.of(set.leader(), set.start(), set.end(), ends);
            if (ways != null) {
                check.set(new Done(set, ends, ways));
            }
        }
        return check.findings;
    }

    private void set(Done done) {
        depth(done);
        if (done.ways().isSeen()) {
            sides(done);
        }
        tempo(done);
    }

    private void depth(Done done) {
        List<Time<Axis.Take>> halves = done.ways().halves();
        if (halves.isEmpty()) {
            return;
        }
        String when = halves.stream().map(Time::toString).collect(Collectors.joining(", "));
        add(
                done,
                "match.rep-range",
                CoreText.of("match.rep-range.fix"),
                halves.get(0),
                CoreText.of("match.rep-range.message", spoken(done.segment()), halves.size(), when));
    }

    private void sides(Done done) {
        Segment s = done.segment();
        boolean oneSided = s.side() == Side.LEFT || s.side() == Side.RIGHT;
        if (!oneSided || !done.ways().isEven() || isFromTheSide(done.set())) {
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
        double planned = s.tempo().repLength().seconds();
        double taken = done.ways().length();
        if (taken < OFF_TEMPO * planned || taken > planned / OFF_TEMPO) {
            tempo(
                    done,
                    CoreText.of(
                            "match.tempo.message",
                            spoken(s),
                            taken,
                            planned,
                            s.tempo().text()));
            return;
        }
        double out = s.tempo().seconds().get(0);
        double back = s.tempo().seconds().get(2);
        double moving = taken / planned * (out + back);
        done.ways().outShare().ifPresent(share -> {
            if (Math.abs(share - out / (out + back)) > OFF_SHARE) {
                tempo(
                        done,
                        CoreText.of(
                                "match.tempo.phases",
                                spoken(s),
                                share * moving,
                                (1 - share) * moving,
                                out,
                                back,
                                s.tempo().text()));
            }
        });
    }

    private void tempo(Done done, String message) {
        add(done, "match.tempo", CoreText.of("match.tempo.fix"), done.ends().get(0), message);
    }

    private void add(Done done, String code, String fix, Time<Axis.Take> at, String message) {
        findings.add(Finding.at(code, Severity.LOOK, done.segment(), StringUtils.capitalize(message))
                .withFix(fix)
                .withMoment(Finding.Moment.at(done.set().placed().take(), at)));
    }

    private String spoken(Segment s) {
        return timeline.spoken(s.id());
    }
}
