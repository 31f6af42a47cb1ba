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
    static final double PIP_HZ = 880;
    static final double START_HZ = 1320;
    static final double END_HZ = 660;
    static final double CHANGE_HZ = 990;

    private final Set<Trouble> troubles;
    private final Random random;
    private final DoubleFunction<Time<Axis.Take>> take;
    private final List<RoomBeep> beeps = new ArrayList<>();

    RoomClock(
            Timeline timeline,
            List<Played> played,
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
        List<Played> run = played.stream().filter(Played::ofPlan).toList();
        for (int i = 0; i < run.size(); i++) {
            Played p = run.get(i);
            Played before = i > 0 ? run.get(i - 1) : null;
            Played after = i + 1 < run.size() ? run.get(i + 1) : null;
            boolean newInterval = before == null || !together(before, p);
            double start = p.clock().start().seconds();
            if (newInterval && moving(p)) {
                boolean roomBefore = before != null
                        && !moving(before)
                        && start - before.clock().start().seconds() > countIn;
                for (int n = countIn; n >= 1 && roomBefore; n--) {
                    add(start - n, PIP_HZ, 90);
                }
                add(start, START_HZ, 350);
            } else if (!newInterval) {
                add(start, CHANGE_HZ, 250);
            }
            boolean ends = after == null || !together(p, after);
            boolean movesOn = after != null && moving(after);
            boolean announced = p.role() != Scenario.Role.ABORTED;
            boolean wasMoving = moving(p) || p.segment().kind() == SegmentKind.SWITCH;
            if (ends && !movesOn && announced && wasMoving) {
                add(p.clock().end().seconds(), END_HZ, 500);
            }
        }
    }

    private static boolean together(Played a, Played b) {
        return a.segment().interval().equals(b.segment().interval()) && a.role() == b.role();
    }

    private static boolean moving(Played p) {
        return p.segment().kind().isMoving();
    }

    private void add(double clock, double hz, long millis) {
        boolean missed = random.nextDouble() < 0.25;
        if (!(missed && troubles.contains(Trouble.MISSED_BEEPS))) {
            beeps.add(new RoomBeep(take.apply(clock), hz, Length.ofMillis(millis)));
        }
    }

    List<RoomBeep> beeps() {
        return beeps;
    }
}
