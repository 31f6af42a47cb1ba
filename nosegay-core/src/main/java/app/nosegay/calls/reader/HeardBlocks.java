package app.nosegay.calls.reader;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;

/**
 * The blocks of a workout, from the intervals heard in it: the division that is told in the fewest words, where a repeated sequence is told
 * once (minimum description length, Rissanen 1978).
 */
final class HeardBlocks {
    /** No block has more intervals. */
    private static final int MOST = 120;

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
                .filter(c -> c.time().seconds() >= from && c.time().seconds() < to + HeardStretch.LENGTH_SECONDS)
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
    private HeardStretch cheapest(int from, int to) {
        List<Done> items = done.subList(from, to);
        HeardStretch again = new HeardStretch(items);
        if (items.stream().noneMatch(Done::carried)) {
            return again;
        }
        HeardStretch missed = new HeardStretch(
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
}
