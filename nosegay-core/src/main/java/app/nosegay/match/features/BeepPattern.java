package app.nosegay.match.features;

import app.nosegay.evidence.TakeEvidence;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Tells the pips of a countdown from the beeps that mark a boundary, by what usually follows a beep of their pitch and length. */
final class BeepPattern {
    /** Beeps within this ratio of each other in pitch are of one kind. */
    private static final double SAME_PITCH = 1.03;
    /** … and within this ratio in length: the beep behind three pips is often of their pitch, and longer. */
    private static final double SAME_LENGTH = 1.7;
    /** A kind of beep that is followed by another about a second later this often is a countdown. */
    private static final double USUALLY = 0.5;

    /**
     * A signal heard.
     *
     * @param pip whether it counts down to something
     * @param countedTo the moment the last pip of a countdown counts to; 0 for others
     */
    record Signal(double seconds, boolean pip, double countedTo) {}

    private BeepPattern() {}

    static List<Signal> of(List<TakeEvidence.Beep> beeps) {
        List<TakeEvidence.Beep> sorted = new ArrayList<>();
        double last = -9;
        for (TakeEvidence.Beep b : beeps.stream()
                .sorted(Comparator.comparing(TakeEvidence.Beep::time))
                .toList()) {
            // One signal may sound several times in quick succession: its first onset counts.
            if (b.time().seconds() - last > MatchWeights.ONE_SIGNAL) {
                sorted.add(b);
            }
            last = b.time().seconds();
        }
        List<Signal> signals = new ArrayList<>();
        for (int i = 0; i < sorted.size(); i++) {
            double at = sorted.get(i).time().seconds();
            double next = i + 1 < sorted.size() ? sorted.get(i + 1).time().seconds() - at : 9;
            boolean followed = isASecond(next);
            boolean pip = followed || isCountdown(sorted, sorted.get(i));
            // The boundary's own beep counts when it is there; a lone last pip counts to the second behind it.
            signals.add(new Signal(at, pip, pip && !followed ? at + 1 : 0));
        }
        return signals;
    }

    private static boolean isASecond(double gap) {
        return gap > 0.6 && gap < 1.4;
    }

    private static boolean isCountdown(List<TakeEvidence.Beep> all, TakeEvidence.Beep one) {
        int same = 0;
        int followed = 0;
        for (int i = 0; i + 1 < all.size(); i++) {
            if (isOfAKind(all.get(i), one)) {
                same++;
                double gap = all.get(i + 1).time().since(all.get(i).time()).seconds();
                followed += isASecond(gap) ? 1 : 0;
            }
        }
        return same >= 4 && followed >= USUALLY * same;
    }

    private static boolean isOfAKind(TakeEvidence.Beep one, TakeEvidence.Beep other) {
        return isWithin(SAME_PITCH, one.hz(), other.hz())
                && isWithin(SAME_LENGTH, one.length().seconds(), other.length().seconds());
    }

    private static boolean isWithin(double ratio, double one, double other) {
        return one <= ratio * other && other <= ratio * one;
    }
}
