package app.nosegay.standins;

import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.DoubleFunction;

/** The beeps of the interval clock over one run. */
final class RoomClock {
    private final Set<Trouble> troubles;
    private final Random random;
    private final DoubleFunction<Time<Axis.Take>> take;
    private final List<Performance.Beep> beeps = new ArrayList<>();

    RoomClock(
            Timeline timeline,
            List<Performance.Played> played,
            Set<Trouble> troubles,
            Random random,
            DoubleFunction<Time<Axis.Take>> take) {
        this.troubles = troubles;
        this.random = random;
        this.take = take;
        if (troubles.contains(Trouble.NO_BEEPS)) {
            return;
        }
        int countIn = timeline.sheet().header().calls().countIn();
        List<Performance.Played> run =
                played.stream().filter(Performance.Played::ofPlan).toList();
        for (int i = 0; i < run.size(); i++) {
            Performance.Played p = run.get(i);
            Performance.Played before = i > 0 ? run.get(i - 1) : null;
            Performance.Played after = i + 1 < run.size() ? run.get(i + 1) : null;
            boolean newInterval = before == null || !together(before, p);
            double start = p.clock().start().seconds();
            if (newInterval && moving(p)) {
                boolean roomBefore = before != null
                        && !moving(before)
                        && start - before.clock().start().seconds() > countIn;
                for (int n = countIn; n >= 1 && roomBefore; n--) {
                    add(start - n, Performance.PIP_HZ, 90);
                }
                add(start, Performance.START_HZ, 350);
            } else if (!newInterval) {
                add(start, Performance.CHANGE_HZ, 250);
            }
            boolean ends = after == null || !together(p, after);
            boolean movesOn = after != null && moving(after);
            boolean announced = p.role() != Scenario.Role.ABORTED;
            boolean wasMoving = moving(p) || p.segment().kind() == SegmentKind.SWITCH;
            if (ends && !movesOn && announced && wasMoving) {
                add(p.clock().end().seconds(), Performance.END_HZ, 500);
            }
        }
    }

    private static boolean together(Performance.Played a, Performance.Played b) {
        return a.segment().interval().equals(b.segment().interval()) && a.role() == b.role();
    }

    private static boolean moving(Performance.Played p) {
        return p.segment().kind().isMoving();
    }

    private void add(double clock, double hz, long millis) {
        boolean missed = random.nextDouble() < 0.25;
        if (!(missed && troubles.contains(Trouble.MISSED_BEEPS))) {
            beeps.add(new Performance.Beep(take.apply(clock), hz, Length.ofMillis(millis)));
        }
    }

    List<Performance.Beep> beeps() {
        return beeps;
    }
}
