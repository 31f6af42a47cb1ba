package app.nosegay.calibration;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.Match;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How fast a creator speaks, from the transcripts of takes that are matched (docs/domain.md, "Speech fit"): syllables over the seconds a
 * line took, its pauses taken off, at rest and while working apart.
 */
public final class SpeechCalibration {
    /** Shorter lines say little: the ends of captions are not that exact. */
    private static final int LEAST_SYLLABLES = 6;
    /** Fewer lines than this are no sample. */
    private static final int LEAST_LINES = 8;
    /** Captions often stay up after the last word, never the reverse: the upper quartile of rates is nearest to the truth. */
    private static final double QUARTILE = 0.75;
    /** Nobody is followed at more, or can stay awake at less, syllables a second than these. */
    private static final double SLOWEST = 2;

    private static final double FASTEST = 9;

    private SpeechCalibration() {}

    /** The rates heard; a rate without enough lines stays as in {@code otherwise}; empty when neither has enough. */
    public static Optional<SpeechRate> of(
            Timeline timeline, Match match, List<TakeEvidence> takes, SpeechRate otherwise) {
        Map<String, Boolean> moving = new HashMap<>();
        for (Segment s : timeline.segments()) {
            moving.put(s.id(), s.kind().isMoving());
        }
        List<Double> atRest = new ArrayList<>();
        List<Double> working = new ArrayList<>();
        for (TakeEvidence take : takes) {
            for (Caption c : take.words()) {
                double rate = rate(c);
                Boolean works =
                        segmentAt(match, take.id(), c.start()).map(moving::get).orElse(null);
                if (rate >= SLOWEST && rate <= FASTEST && works != null) {
                    (works ? working : atRest).add(rate);
                }
            }
        }
        if (atRest.size() < LEAST_LINES && working.size() < LEAST_LINES) {
            return Optional.empty();
        }
        return Optional.of(new SpeechRate(heard(atRest, otherwise.atRest()), heard(working, otherwise.working())));
    }

    private static double rate(Caption c) {
        int syllables = SpeechRate.syllables(c.text());
        Length spoken = c.end().since(c.start()).minus(SpeechRate.pauses(c.text()));
        return syllables < LEAST_SYLLABLES || !spoken.isPositive() ? 0 : syllables / spoken.seconds();
    }

    private static Optional<String> segmentAt(Match match, String take, Time<Axis.Take> time) {
        return match.segments().stream()
                .filter(p ->
                        p.matched() && p.take().equals(take) && !time.isBefore(p.start()) && time.isBefore(p.end()))
                .map(Match.Placed::id)
                .findFirst();
    }

    private static double heard(List<Double> rates, double otherwise) {
        if (rates.size() < LEAST_LINES) {
            return otherwise;
        }
        List<Double> sorted = new ArrayList<>(rates);
        Collections.sort(sorted);
        return Math.round(10 * sorted.get((int) (QUARTILE * (sorted.size() - 1)))) / 10.0;
    }
}
