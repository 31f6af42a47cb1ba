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
     * @param countedTo the moment the last pip of a countdown counts to where the timer is silent then; 0 for others
     */
    record Signal(double seconds, boolean pip, double countedTo) {
        Signal alone() {
            return new Signal(seconds, pip, 0);
        }
    }

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
            signals.add(new Signal(at, pip, pip && !followed ? at + 1 : 0));
        }
        return soundsItself(signals) ? signals.stream().map(Signal::alone).toList() : signals;
    }

    /**
     * Whether the timer mostly beeps at the moment it counts to. Then that beep is what counts: where it was missed, pips may be missing as
     * well, and the last one heard counts to a second too early.
     */
    private static boolean soundsItself(List<Signal> signals) {
        int itself = 0;
        int lone = 0;
        for (int i = 0; i < signals.size(); i++) {
            lone += signals.get(i).countedTo() > 0 ? 1 : 0;
            itself += i > 0 && signals.get(i - 1).pip() && !signals.get(i).pip() ? 1 : 0;
        }
        return itself > lone;
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
