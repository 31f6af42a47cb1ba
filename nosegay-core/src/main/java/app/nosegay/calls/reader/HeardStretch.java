package app.nosegay.calls.reader;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/** Intervals in a row, taken for a block. */
final class HeardStretch {
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

    static final double LENGTH_SECONDS = 5;

    /** Longer than a rest: something was said or shown. */
    private static final double LONG_PAUSE = 50;

    /** Moves this close follow each other without a rest, in seconds. */
    private static final double AT_ONCE = 9;

    /** A pause between rounds is longer by this than one between moves, in seconds. */
    private static final double ROUND_REST = 10;

    /** Intervals that start once a minute do so within this, in seconds. */
    private static final double MINUTE_OFF = 3;

    private final List<HeardBlocks.Done> items;
    private final List<String> names;
    private final Map<String, Integer> counts = new HashMap<>();
    private final int rounds;
    private final int unnamed;
    private final boolean sets;

    HeardStretch(List<HeardBlocks.Done> items) {
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
        double work = middle(items.stream().map(HeardBlocks.Done::length).toList());
        double pause = middle(pauses(false));
        for (int i = 0; i < items.size(); i++) {
            HeardBlocks.Done d = items.get(i);
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

    HeardBlocks.Block block() {
        List<Double> within = pauses(false);
        List<Double> between = pauses(true);
        double rest = middle(within.isEmpty() ? between : within);
        double roundRest = sets || between.isEmpty() ? 0 : middle(between);
        boolean apart = roundRest > rest + ROUND_REST;
        List<Integer> told = items.stream()
                .map(HeardBlocks.Done::reps)
                .filter(Objects::nonNull)
                .sorted()
                .toList();
        Integer reps = told.size() * 2 > items.size() ? told.get(told.size() / 2) : null;
        HeardBlocks.Shape shape = rounds == 1
                ? HeardBlocks.Shape.ONE_ROUND
                : sets || names.size() == 1
                        ? HeardBlocks.Shape.SETS
                        : apart && rest < AT_ONCE
                                ? HeardBlocks.Shape.BACK_TO_BACK
                                : reps != null && onTheMinute()
                                        ? HeardBlocks.Shape.EVERY_MINUTE
                                        : HeardBlocks.Shape.ROUNDS;
        double work = middle(items.stream().map(HeardBlocks.Done::length).toList());
        List<HeardBlocks.Done> moves = moves();
        Map<String, Integer> times = new HashMap<>();
        moves.forEach(d -> times.put(d.move(), counts.getOrDefault(d.move(), 1)));
        double gap = items.get(items.size() - 1).pause();
        return new HeardBlocks.Block(shape, moves, rounds, work, rest, apart ? roundRest : 0, reps, times, gap);
    }

    private boolean onTheMinute() {
        long on = 0;
        for (int i = 0; i + 1 < items.size(); i++) {
            on += Math.abs(items.get(i + 1).start() - items.get(i).start() - 60) < MINUTE_OFF ? 1 : 0;
        }
        return on * 4 >= 3 * (items.size() - 1L);
    }

    /** The moves in order, each with what was heard of it in all; what has no name has a place where nothing is repeated. */
    private List<HeardBlocks.Done> moves() {
        Map<String, List<HeardBlocks.Done>> byName = new LinkedHashMap<>();
        int nameless = 0;
        for (HeardBlocks.Done d : items) {
            String name = d.move() != null ? d.move() : rounds == 1 ? "move " + ++nameless : null;
            if (name != null) {
                byName.computeIfAbsent(name, k -> new ArrayList<>()).add(d);
            }
        }
        if (byName.isEmpty()) {
            byName.put("move 1", items);
        }
        List<HeardBlocks.Done> moves = new ArrayList<>();
        byName.forEach((name, times) -> moves.add(together(name, times)));
        return moves;
    }

    private static HeardBlocks.Done together(String name, List<HeardBlocks.Done> times) {
        HeardBlocks.Done first = times.get(0);
        HeardStructure.Sides sides = times.stream()
                .map(HeardBlocks.Done::sides)
                .filter(w -> w != HeardStructure.Sides.NONE)
                .findFirst()
                .orElse(HeardStructure.Sides.NONE);
        double doubt = times.stream().mapToDouble(HeardBlocks.Done::doubt).max().orElse(1);
        Integer reps = times.stream()
                .map(HeardBlocks.Done::reps)
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(null);
        double length = middle(times.stream().map(HeardBlocks.Done::length).toList());
        return new HeardBlocks.Done(name, first.carried(), first.start(), length, first.pause(), sides, doubt, reps);
    }

    static double middle(Collection<Double> values) {
        List<Double> sorted = values.stream().sorted().toList();
        return sorted.isEmpty() ? 0 : sorted.get(sorted.size() / 2);
    }
}
