package app.nosegay.standins;

import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;

/** The order in which a plan is really run: what is left out, repeated, swapped, cut short or put in between, by the troubles asked for. */
public final class Scenario {
    /** What a step is to the plan. */
    enum Role {
        /** A planned segment as it counts. */
        PLANNED,
        /** A planned segment broken off, to be done again. */
        ABORTED,
        /** A planned segment done whole that is done again later. */
        REPEATED,
        /** Movement nobody planned. */
        UNPLANNED,
        /** Nothing: water, a fluff, dead air. */
        PAUSE
    }

    /**
     * One stretch of the run.
     *
     * @param segment what is done, or what the pause comes after
     * @param seconds how long it is announced to last
     * @param kind what an unplanned stretch is called in the truth
     */
    record Step(Segment segment, Role role, double seconds, String kind) {}

    /** A trouble as it happened. */
    public record Event(Trouble trouble, String segment, String detail) {}

    /** A quarter of less is too little for anyone to notice, in seconds. */
    private static final double LEAST_UNEVEN = 10;

    private final List<Step> steps = new ArrayList<>();
    private final List<Event> events = new ArrayList<>();
    private final Random random;

    private Scenario(List<Segment> segments, long seed) {
        random = new Random(seed * 104729 + 11);
        segments.forEach(s -> steps.add(new Step(s, Role.PLANNED, s.duration().seconds(), "")));
    }

    static Scenario of(Timeline timeline, long seed, Set<Trouble> troubles) {
        Scenario s = new Scenario(timeline.segments(), seed);
        if (troubles.contains(Trouble.SWAP)) {
            s.swap();
        }
        if (troubles.contains(Trouble.SKIP)) {
            s.skip();
        }
        if (troubles.contains(Trouble.REPEAT)) {
            s.repeat();
        }
        if (troubles.contains(Trouble.FLUFF)) {
            s.fluff();
        }
        if (troubles.contains(Trouble.HAND_CLOCK)) {
            s.handClock();
        }
        if (troubles.contains(Trouble.UNEVEN_SIDES)) {
            s.unevenSides();
        }
        if (troubles.contains(Trouble.UNPLANNED_MOVE)) {
            s.after(Trouble.UNPLANNED_MOVE, Role.UNPLANNED, 20 + 15 * s.random.nextDouble(), "unplanned");
        }
        if (troubles.contains(Trouble.DEAD_AIR)) {
            s.after(Trouble.DEAD_AIR, Role.PAUSE, 15 + 15 * s.random.nextDouble(), "dead air");
        }
        return s;
    }

    List<Step> steps() {
        return steps;
    }

    List<Event> events() {
        return events;
    }

    private void event(Trouble trouble, Segment segment, String detail) {
        events.add(new Event(trouble, segment.id(), detail));
    }

    private boolean isSet(int i) {
        Step s = steps.get(i);
        return s.role() == Role.PLANNED
                && s.segment().kind() == SegmentKind.WORK
                && s.segment().interval().equals(s.segment().id())
                && alone(i)
                && s.seconds() > 10;
    }

    /** Whether no neighbour belongs to the same interval. */
    private boolean alone(int i) {
        String interval = steps.get(i).segment().interval();
        boolean before = i > 0 && steps.get(i - 1).segment().interval().equals(interval);
        boolean after =
                i + 1 < steps.size() && steps.get(i + 1).segment().interval().equals(interval);
        return !before && !after;
    }

    private List<Integer> sets() {
        List<Integer> sets = new ArrayList<>();
        for (int i = 1; i + 1 < steps.size(); i++) {
            if (isSet(i)) {
                sets.add(i);
            }
        }
        return sets;
    }

    private int any(List<Integer> of) {
        return of.isEmpty() ? -1 : of.get(random.nextInt(of.size()));
    }

    private boolean restsAfter(int i) {
        return i + 1 < steps.size() && steps.get(i + 1).segment().kind() == SegmentKind.REST;
    }

    private void skip() {
        int i = any(sets().stream().filter(this::restsAfter).toList());
        if (i >= 0) {
            event(Trouble.SKIP, steps.get(i).segment(), "left out with the rest behind it");
            steps.remove(i + 1);
            steps.remove(i);
        }
    }

    private void repeat() {
        int i = any(sets().stream().filter(this::restsAfter).toList());
        if (i >= 0) {
            Step set = steps.get(i);
            Step rest = steps.get(i + 1);
            event(Trouble.REPEAT, set.segment(), "done twice");
            steps.set(i, new Step(set.segment(), Role.REPEATED, set.seconds(), ""));
            steps.set(i + 1, new Step(rest.segment(), Role.REPEATED, rest.seconds(), ""));
            steps.add(i + 2, set);
            steps.add(i + 3, rest);
        }
    }

    private void swap() {
        List<Integer> sets = sets();
        List<Integer> firsts = sets.stream()
                .filter(i -> sets.contains(i + 2)
                        && restsAfter(i)
                        && steps.get(i)
                                .segment()
                                .block()
                                .equals(steps.get(i + 2).segment().block())
                        && !steps.get(i)
                                .segment()
                                .move()
                                .equals(steps.get(i + 2).segment().move()))
                .toList();
        int i = any(firsts);
        if (i >= 0) {
            Step first = steps.get(i);
            event(
                    Trouble.SWAP,
                    first.segment(),
                    "swapped with " + steps.get(i + 2).segment().id());
            steps.set(i, steps.get(i + 2));
            steps.set(i + 2, first);
        }
    }

    private void fluff() {
        int i = any(sets());
        if (i >= 0) {
            Step set = steps.get(i);
            double until = 5 + random.nextDouble() * 0.5 * set.seconds();
            event(Trouble.FLUFF, set.segment(), String.format(java.util.Locale.ROOT, "broken off after %.1f s", until));
            steps.add(i, new Step(set.segment(), Role.PAUSE, 3 + 5 * random.nextDouble(), "fluff"));
            steps.add(i, new Step(set.segment(), Role.ABORTED, Math.min(until, set.seconds() * 0.7), ""));
        }
    }

    private void handClock() {
        for (int i = 0; i < steps.size(); i++) {
            Step s = steps.get(i);
            if (s.role() == Role.PLANNED && alone(i) && random.nextDouble() < 0.33 && s.seconds() > 14) {
                double by = (2 + 5 * random.nextDouble()) * (random.nextBoolean() ? 1 : -1);
                double most = 0.3 * s.seconds();
                by = Math.max(-most, Math.min(most, by));
                event(Trouble.HAND_CLOCK, s.segment(), String.format(java.util.Locale.ROOT, "%+.1f s", by));
                steps.set(i, new Step(s.segment(), s.role(), s.seconds() + by, ""));
            }
        }
    }

    private void unevenSides() {
        List<Integer> sided = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            Step s = steps.get(i);
            boolean one = s.segment().side() == app.nosegay.plan.terms.Side.LEFT;
            if (s.role() == Role.PLANNED
                    && one
                    && s.segment().kind() == SegmentKind.WORK
                    && s.segment().reps() == null
                    && s.seconds() >= LEAST_UNEVEN) {
                sided.add(i);
            }
        }
        int i = any(sided);
        if (i >= 0) {
            Step s = steps.get(i);
            event(Trouble.UNEVEN_SIDES, s.segment(), "a quarter shorter");
            steps.set(i, new Step(s.segment(), s.role(), 0.75 * s.seconds(), ""));
        }
    }

    private void after(Trouble trouble, Role role, double seconds, String kind) {
        List<Integer> rests = new ArrayList<>();
        for (int i = 1; i + 2 < steps.size(); i++) {
            if (steps.get(i).segment().kind() == SegmentKind.REST
                    && steps.get(i).role() == Role.PLANNED) {
                rests.add(i);
            }
        }
        int i = any(rests);
        if (i < 0) {
            return;
        }
        Segment moved = role == Role.PAUSE
                ? steps.get(i).segment()
                : steps.get(any(sets()) < 0 ? i : any(sets())).segment();
        event(trouble, steps.get(i).segment(), String.format(java.util.Locale.ROOT, "%.1f s", seconds));
        steps.add(i + 1, new Step(moved, role, seconds, kind));
    }
}
