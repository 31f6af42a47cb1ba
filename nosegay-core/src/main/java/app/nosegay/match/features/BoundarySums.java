package app.nosegay.match.features;

import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** How strongly the evidence speaks at each bin for one segment going over into another, by what the two are. */
final class BoundarySums {
    private final Timeline timeline;
    private final int bins;
    private final boolean timed;
    private final Signs signs;
    private final NameFeatures names;
    private final TalkFeatures talk;
    private final VoiceFeatures voice;
    private final Map<String, float[]> sums = new ConcurrentHashMap<>();

    /** What is heard and seen at each bin: the timer, calls, and changes of posture and stillness. */
    record Signs(float[] beeps, CallFeatures calls, float[] steps, float[] calms) {}

    /** @param timed whether a timer is heard */
    BoundarySums(
            Timeline timeline, boolean timed, Signs signs, NameFeatures names, TalkFeatures talk, VoiceFeatures voice) {
        this.timeline = timeline;
        this.bins = signs.beeps().length;
        this.timed = timed;
        this.signs = signs;
        this.names = names;
        this.talk = talk;
        this.voice = voice;
    }

    BoundarySums without(VoiceFeatures none) {
        return new BoundarySums(timeline, timed, signs, names, talk, none);
    }

    private Segment segment(int k) {
        return k >= 0 && k < timeline.segments().size() ? timeline.segments().get(k) : null;
    }

    /** Of the end of one segment and the start of another; −1 for something unplanned. */
    float[] of(int ending, int starting) {
        Segment before = segment(ending);
        Segment after = segment(starting);
        float[] kinds = of(before, after);
        boolean talks = after != null && after.kind() == SegmentKind.TALK;
        boolean talkTells = Feature.TALK.isOn();
        boolean greets = talkTells && talks && starting == 0 && before == null;
        boolean closes = talkTells && talks && starting == timeline.segments().size() - 1;
        boolean over = talkTells
                && after == null
                && ending == timeline.segments().size() - 1
                && before.kind() == SegmentKind.TALK;
        List<Double> named =
                Feature.NAMED_AT_START.isOn() && isUnintroduced(before, after) ? names.first(after.move()) : List.of();
        if (!voice.isInformative() && named.isEmpty() && !greets && !closes && !over) {
            return kinds;
        }
        return sums.computeIfAbsent(ending + ">" + starting, x -> {
            float[] sum = kinds.clone();
            addTo(sum, peaks(named, MatchWeights.NAMED_SIGMA, MatchWeights.NAMED_AT_START), 1);
            if (greets) {
                addTo(sum, peaks(talk.greeting(), MatchWeights.GREETED_SIGMA, MatchWeights.GREETED), 1);
            }
            if (over) {
                addTo(sum, talk.unfinished(), 1);
            }
            if (closes) {
                addTo(sum, talk.closing(after.duration().seconds()), 1);
            }
            if (!voice.isInformative()) {
                return sum;
            }
            if (before != null) {
                addTo(sum, voice.ending(ending), 1);
            }
            if (after != null) {
                addTo(sum, voice.starting(starting), 1);
            }
            return sum;
        });
    }

    /** Whether there is no rest in which a move could be introduced: it is named as it begins. */
    private static boolean isUnintroduced(Segment before, Segment after) {
        boolean follows = before != null && before.kind() != SegmentKind.REST && before.kind() != SegmentKind.SWITCH;
        return follows
                && PlannedMovement.isWork(after)
                && after.move() != null
                && !after.move().equals(before.move());
    }

    /** Of two segments of their kinds; null for something unplanned. */
    float[] of(Segment before, Segment after) {
        boolean held = PlannedMovement.isStill(before) || PlannedMovement.isStill(after);
        String key = (before == null ? "-" : before.kind()) + " " + (after == null ? "-" : after.kind()) + held;
        return sums.computeIfAbsent(key, x -> {
            boolean was = before != null && before.kind().isMoving();
            boolean will = after != null && after.kind().isMoving();
            boolean signalled = was || will || before != null && after != null;
            float[] sum = new float[bins];
            addTo(sum, signs.beeps(), signalled ? 1 : MatchWeights.UNSIGNALLED_SHARE);
            if (timed && Feature.SILENT_TIMER.isOn() && isTurn(before, after)) {
                for (int i = 0; i < bins; i++) {
                    sum[i] -= (float) (MatchWeights.UNHEARD * (before == null ? MatchWeights.TAKEN_UP_SHARE : 1));
                }
            }
            if (will) {
                addTo(sum, signs.calls().go(), 1);
            }
            if (was) {
                addTo(sum, signs.calls().ends(), 1);
                if (!will) {
                    addTo(sum, signs.calls().stop(), after != null && after.kind() != SegmentKind.REST ? 0.5 : 1);
                }
            } else if (before != null && before.kind() == SegmentKind.REST) {
                addTo(sum, signs.calls().ends(), 0.5);
            }
            boolean changes = after != null && before != null && (after.kind() == SegmentKind.SWITCH || was && will);
            if (changes) {
                addTo(sum, signs.calls().change(), 1);
            }
            if (!timed && (was && will || held)) {
                addTo(sum, signs.steps(), was && will ? 1 : MatchWeights.STEP_OF_REST_SHARE);
                addTo(sum, signs.calms(), was && will ? 0 : 1);
            }
            return sum;
        });
    }

    /**
     * Whether a timer sounds where one segment or a pause (null) goes over into another: where work begins or ends, not at a change of
     * side.
     */
    private static boolean isTurn(Segment before, Segment after) {
        boolean side = isSwitch(before) || isSwitch(after);
        boolean restEnds = before != null && before.kind() == SegmentKind.REST && after == null;
        return !side && (PlannedMovement.isWork(before) != PlannedMovement.isWork(after) || restEnds);
    }

    private static boolean isSwitch(Segment s) {
        return s != null && s.kind() == SegmentKind.SWITCH;
    }

    private static void addTo(float[] sum, float[] part, double share) {
        for (int i = 0; i < sum.length; i++) {
            sum[i] += (float) (part[i] * share);
        }
    }

    private float[] peaks(List<Double> seconds, double sigma, double weight) {
        float[] peaks = new float[bins];
        seconds.forEach(t -> Grid.bump(peaks, t, sigma, weight));
        return peaks;
    }
}
