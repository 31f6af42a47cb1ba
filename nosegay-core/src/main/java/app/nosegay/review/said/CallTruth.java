package app.nosegay.review.said;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.reader.CallReader;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.Match;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** Settles the units of spoken calls by the plan, and what was true at their moment by the match. */
public final class CallTruth {
    /** Calls this long after a boundary still speak of it, in seconds. */
    private static final double AFTERWARDS = 4;

    private final Timeline timeline;
    private final Match match;
    private final Map<String, Segment> byId = new HashMap<>();
    private final List<Match.Placed> inTake = new ArrayList<>();

    private CallTruth(Timeline timeline, Match match, String take) {
        this.timeline = timeline;
        this.match = match;
        timeline.segments().forEach(s -> byId.put(s.id(), s));
        match.segments().stream().filter(p -> take.equals(p.take())).forEach(inTake::add);
        inTake.sort(Comparator.comparing(Match.Placed::start));
    }

    /** The calls in the takes' transcripts, in order of take and time. */
    public static List<HeardCall> of(
            Timeline timeline, Match match, List<TakeEvidence> takes, Collection<String> moves) {
        List<HeardCall> heard = new ArrayList<>();
        for (TakeEvidence take : takes) {
            CallTruth truth = new CallTruth(timeline, match, take.id());
            for (Call call : CallReader.in(take, moves)) {
                heard.add(truth.heard(take.id(), call));
            }
        }
        return heard;
    }

    /** The same without what is a part of a coaching line of the script: "one foot and the other arm" asks nobody to change sides. */
    public static List<HeardCall> of(
            Timeline timeline,
            Match match,
            List<TakeEvidence> takes,
            Collection<String> moves,
            List<ScriptLineMatch> said) {
        return of(timeline, match, takes, moves).stream()
                .filter(c -> said.stream().noneMatch(s -> s.coaches(c.take(), c.call())))
                .toList();
    }

    private HeardCall heard(String take, Call said) {
        Match.Placed p = at(said.time());
        Call call = settled(said, p);
        Double truth = truth(call, p);
        Double value = saidValue(call);
        Double error = truth == null || value == null ? null : round(value - truth);
        return new HeardCall(take, call, p == null ? null : p.id(), truth == null ? null : round(truth), error);
    }

    private static double round(double value) {
        return Math.round(value * 1000) / 1000.0;
    }

    private Match.Placed at(Time<Axis.Take> time) {
        return inTake.stream()
                .filter(p -> !time.isBefore(p.start()) && time.isBefore(p.end()))
                .findFirst()
                .orElse(null);
    }

    /** The running interval's end, in seconds of the take. */
    private double intervalEnd(Match.Placed p) {
        String interval = byId.get(p.id()).interval();
        return inTake.stream()
                .filter(o -> byId.get(o.id()).interval().equals(interval))
                .mapToDouble(o -> o.end().seconds())
                .max()
                .orElse(p.end().seconds());
    }

    /** The end a call is of that is said to be due at a moment: that of the running interval, or of the side before the change. */
    private double endNear(Match.Placed p, double due) {
        double interval = intervalEnd(p);
        double part = p.end().seconds();
        return Math.abs(part - due) < Math.abs(interval - due) ? part : interval;
    }

    private double intervalStart(Match.Placed p) {
        String interval = byId.get(p.id()).interval();
        return inTake.stream()
                .filter(o -> byId.get(o.id()).interval().equals(interval))
                .mapToDouble(o -> o.start().seconds())
                .min()
                .orElse(p.start().seconds());
    }

    /** "Last five" are reps in a counted set and seconds on the clock; a count ends work or starts it by where it is. */
    private Call settled(Call c, Match.Placed p) {
        if (p == null) {
            return c;
        }
        Segment s = byId.get(p.id());
        boolean unitless = !c.text().matches("(?i).*\\b(?:seconds?|secs?|reps?|each|side|leg|arm)\\b.*");
        if ((c.kind() == CallKind.REPS_LEFT || c.kind() == CallKind.SECONDS_LEFT) && unitless) {
            double due = c.time().seconds() + c.value();
            double secondsOff = Math.abs(endNear(p, due) - due);
            double repsOff = Math.abs(repsAfter(p, c.time()) - c.value());
            boolean reps = s.kind() == SegmentKind.WORK && (s.reps() != null || repsOff < secondsOff);
            return c.as(reps ? CallKind.REPS_LEFT : CallKind.SECONDS_LEFT);
        }
        if (c.kind() == CallKind.COUNT_IN || c.kind() == CallKind.COUNT_OUT) {
            double to = c.time().seconds() + c.value();
            double toEnd = Math.abs(to - endNear(p, to));
            boolean late = c.time().seconds() - p.start().seconds() < AFTERWARDS;
            boolean near = toEnd < AFTERWARDS + c.value() && !late;
            return near ? c.as(s.kind().isMoving() ? CallKind.COUNT_OUT : CallKind.COUNT_IN) : c;
        }
        return c;
    }

    private int repsAfter(Match.Placed p, Time<Axis.Take> time) {
        return (int) match.reps().getOrDefault(p.id(), List.of()).stream()
                .filter(t -> t.isAfter(time))
                .count();
    }

    private static Double saidValue(Call c) {
        return switch (c.kind()) {
            case LAST_REP -> 1.0;
            case HALF_WAY, REST, START, SWITCH_SIDE -> 0.0;
            default -> c.value() == null ? null : Double.valueOf(c.value());
        };
    }

    private Double truth(Call c, Match.Placed p) {
        double t = c.time().seconds();
        return switch (c.kind()) {
            case SECONDS_LEFT, COUNT_IN, COUNT_OUT -> p == null ? null : left(c, p, t);
            case HALF_WAY -> half(c, p, t);
            case REPS_LEFT, LAST_REP -> {
                boolean counted = p != null && match.reps().containsKey(p.id());
                yield counted
                        ? Double.valueOf(Math.max(c.kind() == CallKind.LAST_REP ? 1 : 0, repsAfter(p, c.time())))
                        : null;
            }
            case ROUNDS_LEFT -> roundsLeft(c, p, t);
            case ORDINAL -> ordinal(c, p, t);
            case TOTAL -> nearest(c.value(), PlanTotals.of(timeline, c.of()));
            case REST -> off(t, true);
            case START -> off(t, false);
            case SWITCH_SIDE -> switchOff(t);
            case REP_COUNT, NEXT_UP, PROMISE -> null;
        };
    }

    /** What is left of the running interval or side; just behind a boundary the one that ended is meant. */
    private Double left(Call c, Match.Placed p, double t) {
        double left = endNear(p, t + c.value()) - t;
        boolean count = c.kind() != CallKind.SECONDS_LEFT;
        if (count && t - p.start().seconds() < AFTERWARDS && Math.abs(left - c.value()) > AFTERWARDS) {
            return p.start().seconds() - t;
        }
        return left;
    }

    private Double half(Call c, Match.Placed p, double t) {
        if ("workout".equals(c.of())) {
            if (inTake.isEmpty()) {
                return null;
            }
            double from = inTake.get(0).start().seconds();
            double to = inTake.get(inTake.size() - 1).end().seconds();
            return (from + to) / 2 - t;
        }
        if (p == null || !byId.get(p.id()).kind().isMoving() && !"round".equals(c.of())) {
            return null;
        }
        if ("round".equals(c.of())) {
            Segment s = byId.get(p.id());
            List<Match.Placed> round = inTake.stream()
                    .filter(o -> byId.get(o.id()).block().equals(s.block())
                            && Objects.equals(byId.get(o.id()).round(), s.round()))
                    .toList();
            return (round.get(0).start().seconds()
                                    + round.get(round.size() - 1).end().seconds())
                            / 2
                    - t;
        }
        return (intervalStart(p) + intervalEnd(p)) / 2 - t;
    }

    /** The segment spoken of: the running one, or while resting the next that moves. */
    private Segment about(Match.Placed p, double t) {
        if (p != null && byId.get(p.id()).kind().isMoving()) {
            return byId.get(p.id());
        }
        return inTake.stream()
                .filter(o -> o.start().seconds() >= t && byId.get(o.id()).kind().isMoving())
                .map(o -> byId.get(o.id()))
                .findFirst()
                .orElse(null);
    }

    private Double roundsLeft(Call c, Match.Placed p, double t) {
        Segment s = about(p, t);
        Integer round = s == null ? null : s.round() != null ? s.round() : s.set();
        if (round == null) {
            return null;
        }
        int of = timeline.segments().stream()
                .filter(o -> o.block().equals(s.block()))
                .mapToInt(o -> o.round() != null ? o.round() : o.set() != null ? o.set() : 1)
                .max()
                .orElse(1);
        // While one runs people count it in or leave it out.
        return nearest(c.value(), List.of(of - round + 1.0, (double) of - round));
    }

    private Double ordinal(Call c, Match.Placed p, double t) {
        Segment s = about(p, t);
        if (s == null) {
            return null;
        }
        String words = c.text().toLowerCase();
        List<String> all = timeline.workMoves(true);
        List<String> block = timeline.segments().stream()
                .filter(o -> o.block().equals(s.block()) && o.kind() == SegmentKind.WORK && o.move() != null)
                .map(Segment::move)
                .distinct()
                .toList();
        if (words.matches(".*\\b(?:round|circuit|set|lap|time)s?\\b.*")) {
            Integer round = s.round() != null ? s.round() : s.set();
            // Said behind a round, its own number is meant.
            Match.Placed before = before(t);
            Integer ended = before == null ? null : byId.get(before.id()).round();
            List<Double> right = new ArrayList<>();
            if (round != null) {
                right.add((double) round);
            }
            if (ended != null) {
                right.add((double) ended);
            }
            return right.isEmpty() ? null : nearest(c.value(), right);
        }
        if (words.contains("block") || words.contains("section") || s.move() == null) {
            return null;
        }
        if (c.value() < 0) {
            boolean last = all.indexOf(s.move()) == all.size() - 1 || block.indexOf(s.move()) == block.size() - 1;
            return last ? -1.0 : block.indexOf(s.move()) + 1.0;
        }
        List<Double> places = new ArrayList<>(List.of(all.indexOf(s.move()) + 1.0, block.indexOf(s.move()) + 1.0));
        Match.Placed before = before(t);
        String done = before == null ? null : byId.get(before.id()).move();
        if (words.startsWith("that") && done != null) {
            places.add(all.indexOf(done) + 1.0);
        }
        return nearest(c.value(), places.stream().filter(v -> v > 0).toList());
    }

    private Match.Placed before(double t) {
        Match.Placed last = null;
        for (Match.Placed o : inTake) {
            if (o.start().seconds() <= t && byId.get(o.id()).kind() == SegmentKind.WORK) {
                last = o;
            }
        }
        return last;
    }

    private static Double nearest(Integer said, Collection<Double> right) {
        return said == null
                ? null
                : right.stream()
                        .min(Comparator.comparingDouble(v -> Math.abs(v - said)))
                        .orElse(null);
    }

    /** Seconds from the nearest end (or start) of work to {@code t}, turned so that said − true is how late it is said. */
    private Double off(double t, boolean end) {
        return inTake.stream()
                .filter(p -> byId.get(p.id()).kind().isMoving())
                .map(p -> (end ? p.end() : p.start()).seconds() - t)
                .min(Comparator.comparingDouble(Math::abs))
                .orElse(null);
    }

    private Double switchOff(double t) {
        List<Double> offs = new ArrayList<>();
        for (int i = 0; i < inTake.size(); i++) {
            Segment s = byId.get(inTake.get(i).id());
            boolean sided = s.kind() == SegmentKind.SWITCH
                    || i > 0
                            && s.side() != null
                            && byId.get(inTake.get(i - 1).id()).side() != null
                            && s.side() != byId.get(inTake.get(i - 1).id()).side();
            if (sided) {
                offs.add(inTake.get(i).start().seconds() - t);
            }
        }
        return offs.stream().min(Comparator.comparingDouble(Math::abs)).orElse(null);
    }
}
