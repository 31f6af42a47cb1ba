package app.nosegay.calls.reader;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalInt;
import java.util.Set;

/**
 * The blocks of a workout, from the intervals heard in it: the division that is told in the fewest words, where a repeated sequence is told
 * once (minimum description length, Rissanen 1978).
 */
final class HeardBlocks {
    /** What a block, a move, a time it is missing, a place out of turn and a length of its own cost, in moves. */
    private static final double BLOCK = 1.0;

    private static final double MISSING = 0.8;
    private static final double OUT_OF_TURN = 0.8;
    private static final double OTHER_LENGTH = 0.35;
    private static final double UNNAMED = 0.3;
    /** A pause within a block that is no pause between rounds. */
    private static final double TALKED = 0.8;

    /** A pause that is no pause of this block. */
    private static final double OTHER_PAUSE = 0.3;

    private static final double OTHER_PAUSE_SECONDS = 9;
    /** A length is its own from this share of the middle one on, and this many seconds. */
    private static final double LENGTH_SHARE = 0.25;

    private static final double LENGTH_SECONDS = 5;
    /** Longer than a rest: something was said or shown. */
    private static final double LONG_PAUSE = 50;
    /** No block has more intervals. */
    private static final int MOST = 120;
    /** Moves this close follow each other without a rest, in seconds. */
    private static final double AT_ONCE = 9;
    /** A pause between rounds is longer by this than one between moves, in seconds. */
    private static final double ROUND_REST = 10;
    /** Intervals that start once a minute do so within this, in seconds. */
    private static final double MINUTE_OFF = 3;

    private final List<Done> done;
    private final List<Call> calls;

    private HeardBlocks(List<Done> done, List<Call> calls) {
        this.done = done;
        this.calls = calls;
    }

    /** How the moves of a block follow each other. */
    enum Shape {
        ONE_ROUND,
        ROUNDS,
        SETS,
        BACK_TO_BACK,
        EVERY_MINUTE
    }

    /**
     * A block.
     *
     * @param moves in order; of a name of their own where none was understood
     * @param work the middle length of an interval, in seconds
     * @param rest the middle pause between two, in seconds
     * @param roundRest the middle pause between rounds where it is longer, in seconds, else 0
     * @param reps repetitions told for most of its moves, or null
     * @param times how often each move was heard
     * @param gap the pause behind its last interval, in seconds
     */
    record Block(
            Shape shape,
            List<Done> moves,
            int rounds,
            double work,
            double rest,
            double roundRest,
            Integer reps,
            Map<String, Integer> times,
            double gap) {
        /** How many intervals were heard of it. */
        int intervals() {
            return times.values().stream().mapToInt(i -> i).sum();
        }
    }

    /**
     * An interval with both of its sides.
     *
     * @param pause until the next, in seconds; 0 behind the last
     * @param carried whether nobody said its move
     * @param reps repetitions told for it, or null
     */
    record Done(
            String move,
            boolean carried,
            double start,
            double length,
            double pause,
            HeardStructure.Sides sides,
            double doubt,
            Integer reps) {
        Done as(String name) {
            return new Done(name, carried, start, length, pause, sides, doubt, reps);
        }
    }

    static List<Block> of(List<HeardStructure.Heard> heard, List<Call> calls) {
        HeardBlocks blocks = new HeardBlocks(new ArrayList<>(), calls);
        blocks.gather(heard.stream().filter(h -> h.kind().equals("work")).toList());
        return blocks.divided();
    }

    private void gather(List<HeardStructure.Heard> work) {
        double before = 0;
        for (int i = 0; i < work.size(); i++) {
            HeardStructure.Heard h = work.get(i);
            double start = h.span().start().seconds();
            double end = h.span().end().seconds();
            double pause = i + 1 < work.size() ? work.get(i + 1).span().start().seconds() - end : 0;
            if (h.sides() == HeardStructure.Sides.SEPARATE && !done.isEmpty()) {
                Done first = done.remove(done.size() - 1);
                done.add(new Done(
                        first.move(),
                        first.carried(),
                        first.start(),
                        first.length(),
                        pause,
                        h.sides(),
                        Math.max(first.doubt(), h.doubt()),
                        first.reps()));
            } else {
                done.add(new Done(
                        h.move(), h.carried(), start, end - start, pause, h.sides(), h.doubt(), reps(before, start)));
            }
            before = end;
        }
    }

    private Integer reps(double from, double to) {
        OptionalInt told = calls.stream()
                .filter(c -> c.kind() == CallKind.TOTAL && "reps".equals(c.of()) && c.value() != null)
                .filter(c -> c.time().seconds() >= from && c.time().seconds() < to + LENGTH_SECONDS)
                .mapToInt(Call::value)
                .reduce((a, b) -> b);
        return told.isPresent() ? told.getAsInt() : null;
    }

    /** The cheapest division, by dynamic programming over where blocks end. */
    private List<Block> divided() {
        int n = done.size();
        double[] best = new double[n + 1];
        int[] from = new int[n + 1];
        Arrays.fill(best, Double.MAX_VALUE);
        best[0] = 0;
        for (int to = 1; to <= n; to++) {
            for (int at = Math.max(0, to - MOST); at < to; at++) {
                double cost = best[at] + cheapest(at, to).cost();
                if (cost < best[to]) {
                    best[to] = cost;
                    from[to] = at;
                }
            }
        }
        List<Block> blocks = new ArrayList<>();
        for (int to = n; to > 0; to = from[to]) {
            blocks.add(0, cheapest(from[to], to).block());
        }
        return joined(blocks);
    }

    /** What nobody named is the move before it again, or one that was missed: whichever makes the plainer block. */
    private Stretch cheapest(int from, int to) {
        List<Done> items = done.subList(from, to);
        Stretch again = new Stretch(items);
        if (items.stream().noneMatch(Done::carried)) {
            return again;
        }
        Stretch missed = new Stretch(
                items.stream().map(d -> d.carried() ? d.as(null) : d).toList());
        return missed.cost() < again.cost() ? missed : again;
    }

    /** Moves that were each done in so many sets one after the other are one block of them. */
    private static List<Block> joined(List<Block> blocks) {
        List<Block> joined = new ArrayList<>();
        for (Block b : blocks) {
            Block last = joined.isEmpty() ? null : joined.get(joined.size() - 1);
            if (last != null && last.shape() == Shape.SETS && b.shape() == Shape.SETS && last.rounds() == b.rounds()) {
                List<Done> moves = new ArrayList<>(last.moves());
                moves.addAll(b.moves());
                Map<String, Integer> times = new HashMap<>(last.times());
                times.putAll(b.times());
                joined.set(
                        joined.size() - 1,
                        new Block(
                                Shape.SETS,
                                moves,
                                b.rounds(),
                                last.work(),
                                last.rest(),
                                0,
                                last.reps() == null ? b.reps() : last.reps(),
                                times,
                                b.gap()));
            } else {
                joined.add(b);
            }
        }
        return joined;
    }

    /** Intervals in a row, taken for a block. */
    private static final class Stretch {
        private final List<Done> items;
        private final List<String> names;
        private final Map<String, Integer> counts = new HashMap<>();
        private final int rounds;
        private final int unnamed;
        private final boolean sets;

        Stretch(List<Done> items) {
            this.items = items;
            Set<String> distinct = new LinkedHashSet<>();
            int same = 0;
            for (int i = 0; i < items.size(); i++) {
                String move = items.get(i).move();
                if (move != null) {
                    distinct.add(move);
                    counts.merge(move, 1, Integer::sum);
                    same += i > 0 && move.equals(items.get(i - 1).move()) ? 1 : 0;
                }
            }
            names = List.copyOf(distinct);
            unnamed = (int) items.stream().filter(d -> d.move() == null).count();
            rounds = counts.values().stream().max(Integer::compare).orElse(1);
            int repeats = items.size() - unnamed - names.size();
            sets = repeats > 0 && same * 2 > repeats;
        }

        double cost() {
            double cost = BLOCK
                    + names.size()
                    + UNNAMED
                            * items.stream()
                                    .filter(d -> d.carried() && d.move() != null)
                                    .count();
            if (rounds == 1) {
                cost += unnamed;
            } else {
                int missing = counts.values().stream().mapToInt(c -> rounds - c).sum();
                cost += MISSING * Math.max(0, missing - unnamed) + UNNAMED * unnamed + OUT_OF_TURN * outOfTurn();
            }
            double work = middle(items.stream().map(Done::length).toList());
            double pause = middle(pauses(false));
            for (int i = 0; i < items.size(); i++) {
                Done d = items.get(i);
                cost += isOwn(d.length(), work) ? OTHER_LENGTH : 0;
                boolean inside = i + 1 < items.size() && !wraps(i);
                cost += inside && d.pause() > LONG_PAUSE ? TALKED : 0;
                cost += inside && Math.abs(d.pause() - pause) > OTHER_PAUSE_SECONDS ? OTHER_PAUSE : 0;
            }
            return cost;
        }

        private boolean isOwn(double length, double middle) {
            return Math.abs(length - middle) > Math.max(LENGTH_SECONDS, LENGTH_SHARE * middle);
        }

        /** Whether a new round, or the sets of the next move, begin behind an interval. */
        private boolean wraps(int i) {
            String move = items.get(i).move();
            String next = items.get(i + 1).move();
            return move != null
                    && next != null
                    && (sets ? !move.equals(next) : rounds > 1 && names.indexOf(next) <= names.indexOf(move));
        }

        /** The pauses between rounds, or those within one. */
        private List<Double> pauses(boolean between) {
            List<Double> pauses = new ArrayList<>();
            for (int i = 0; i + 1 < items.size(); i++) {
                if (between == (names.size() > 1 && wraps(i))) {
                    pauses.add(items.get(i).pause());
                }
            }
            return pauses;
        }

        private int outOfTurn() {
            int out = 0;
            int laps = 0;
            Set<String> left = new LinkedHashSet<>();
            for (int i = 0; i + 1 < items.size(); i++) {
                String move = items.get(i).move();
                String next = items.get(i + 1).move();
                if (move == null || next == null) {
                    continue;
                }
                if (sets) {
                    left.add(move);
                    out += !next.equals(move) && left.contains(next) ? 1 : 0;
                } else {
                    out += next.equals(move) && names.size() > 1 ? 1 : 0;
                    laps += names.indexOf(next) <= names.indexOf(move) ? 1 : 0;
                }
            }
            return out + (sets ? 0 : Math.max(0, laps + 1 - rounds));
        }

        Block block() {
            List<Double> within = pauses(false);
            List<Double> between = pauses(true);
            double rest = middle(within.isEmpty() ? between : within);
            double roundRest = sets || between.isEmpty() ? 0 : middle(between);
            boolean apart = roundRest > rest + ROUND_REST;
            List<Integer> told = items.stream()
                    .map(Done::reps)
                    .filter(Objects::nonNull)
                    .sorted()
                    .toList();
            Integer reps = told.size() * 2 > items.size() ? told.get(told.size() / 2) : null;
            Shape shape = rounds == 1
                    ? Shape.ONE_ROUND
                    : sets || names.size() == 1
                            ? Shape.SETS
                            : apart && rest < AT_ONCE
                                    ? Shape.BACK_TO_BACK
                                    : reps != null && onTheMinute() ? Shape.EVERY_MINUTE : Shape.ROUNDS;
            double work = middle(items.stream().map(Done::length).toList());
            List<Done> moves = moves();
            Map<String, Integer> times = new HashMap<>();
            moves.forEach(d -> times.put(d.move(), counts.getOrDefault(d.move(), 1)));
            double gap = items.get(items.size() - 1).pause();
            return new Block(shape, moves, rounds, work, rest, apart ? roundRest : 0, reps, times, gap);
        }

        private boolean onTheMinute() {
            long on = 0;
            for (int i = 0; i + 1 < items.size(); i++) {
                on += Math.abs(items.get(i + 1).start() - items.get(i).start() - 60) < MINUTE_OFF ? 1 : 0;
            }
            return on * 4 >= 3 * (items.size() - 1L);
        }

        /** The moves in order, each with what was heard of it in all; what has no name has a place where nothing is repeated. */
        private List<Done> moves() {
            Map<String, List<Done>> byName = new LinkedHashMap<>();
            int nameless = 0;
            for (Done d : items) {
                String name = d.move() != null ? d.move() : rounds == 1 ? "move " + ++nameless : null;
                if (name != null) {
                    byName.computeIfAbsent(name, k -> new ArrayList<>()).add(d);
                }
            }
            if (byName.isEmpty()) {
                byName.put("move 1", items);
            }
            List<Done> moves = new ArrayList<>();
            byName.forEach((name, times) -> moves.add(together(name, times)));
            return moves;
        }

        private static Done together(String name, List<Done> times) {
            Done first = times.get(0);
            HeardStructure.Sides sides = times.stream()
                    .map(Done::sides)
                    .filter(w -> w != HeardStructure.Sides.NONE)
                    .findFirst()
                    .orElse(HeardStructure.Sides.NONE);
            double doubt = times.stream().mapToDouble(Done::doubt).max().orElse(1);
            Integer reps = times.stream()
                    .map(Done::reps)
                    .filter(Objects::nonNull)
                    .findFirst()
                    .orElse(null);
            double length = middle(times.stream().map(Done::length).toList());
            return new Done(name, first.carried(), first.start(), length, first.pause(), sides, doubt, reps);
        }
    }

    private static double middle(Collection<Double> values) {
        List<Double> sorted = values.stream().sorted().toList();
        return sorted.isEmpty() ? 0 : sorted.get(sorted.size() / 2);
    }
}
