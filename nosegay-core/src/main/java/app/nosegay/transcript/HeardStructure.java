package app.nosegay.transcript;

import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What a transcript alone tells of a workout's structure: when work and rest were, of which move, in which round, each with a doubt. */
public final class HeardStructure {
    /** Work shorter than this was a false start or a wrong reading, in seconds. */
    private static final double LEAST_WORK = 8;
    /** Work whose end nobody called is believed up to this long, in seconds. */
    private static final double MOST_WORK = 150;

    private HeardStructure() {}

    /**
     * A stretch that was heard.
     *
     * @param kind work, rest or talk
     * @param move the move last introduced before it, or null
     * @param round its round from 1, or null where none was told of or seen
     * @param doubt 0 (both ends were called) to 1
     */
    public record Heard(String kind, Span<Axis.Take> span, String move, Integer round, double doubt) {}

    /** The intervals of a recording of which {@code calls} were heard, in order. */
    public static List<Heard> of(List<Call> calls) {
        List<Heard> heard = new ArrayList<>();
        Map<String, Integer> timesDone = new LinkedHashMap<>();
        Time<Axis.Take> from = null;
        String move = null;
        Integer round = null;
        Time<Axis.Take> lastEnd = Time.zero();
        for (int i = 0; i < calls.size(); i++) {
            Call c = calls.get(i);
            switch (c.kind()) {
                case NEXT_UP -> {
                    // Introduced while still working, it is the one after: found when that begins.
                    move = from == null && c.of() != null ? c.of() : move;
                }
                case ORDINAL -> round = c.text().toLowerCase().contains("round") && c.value() > 0 ? c.value() : round;
                case COUNT_IN, START -> {
                    if (from != null && c.time().since(from).seconds() >= LEAST_WORK) {
                        lastEnd = work(heard, from, c.time(), move, round, timesDone, lastEnd, 0.7);
                    }
                    String named = introducedBefore(calls, i);
                    move = named != null ? named : move;
                    from = c.kind() == CallKind.COUNT_IN ? c.end() : c.time();
                }
                case COUNT_OUT, REST -> {
                    if (from != null && c.time().since(from).seconds() >= LEAST_WORK) {
                        Time<Axis.Take> end = c.kind() == CallKind.COUNT_OUT ? c.end() : c.time();
                        double doubt = end.since(from).seconds() > MOST_WORK ? 0.8 : 0.15;
                        lastEnd = work(heard, from, end, move, round, timesDone, lastEnd, doubt);
                        from = null;
                    }
                }
                default -> {
                    // tells of no boundary
                }
            }
        }
        return heard;
    }

    /** The move last introduced before call {@code index}, after the work before it began. */
    private static String introducedBefore(List<Call> calls, int index) {
        for (int i = index - 1; i >= 0; i--) {
            Call c = calls.get(i);
            if (c.kind() == CallKind.NEXT_UP && c.of() != null) {
                return c.of();
            }
            if (c.kind() == CallKind.COUNT_IN || c.kind() == CallKind.START) {
                return null;
            }
        }
        return null;
    }

    private static Time<Axis.Take> work(
            List<Heard> heard,
            Time<Axis.Take> from,
            Time<Axis.Take> to,
            String move,
            Integer round,
            Map<String, Integer> timesDone,
            Time<Axis.Take> lastEnd,
            double doubt) {
        if (from.isAfter(lastEnd)) {
            heard.add(new Heard(heard.isEmpty() ? "talk" : "rest", new Span<>(lastEnd, from), null, null, doubt));
        }
        Integer of = round;
        if (move != null) {
            int times = timesDone.merge(move, 1, Integer::sum);
            of = round == null ? Integer.valueOf(times) : round;
        }
        heard.add(new Heard("work", new Span<>(from, to), move, of, move == null ? Math.max(0.4, doubt) : doubt));
        return to;
    }
}
