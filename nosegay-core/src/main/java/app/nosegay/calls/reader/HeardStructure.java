package app.nosegay.calls.reader;

import app.nosegay.calls.Call;
import app.nosegay.calls.phrase.CallWords;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a transcript alone tells of a workout's structure: when work and rest were, of which move, in which round, each with a doubt. */
public final class HeardStructure {
    /** Work shorter than this was a false start or a wrong reading, in seconds. */
    private static final double LEAST_WORK = 8;
    /** Work whose end nobody called is believed up to this long, in seconds. */
    private static final double MOST_WORK = 150;
    /** Both ends were called. */
    private static final double CALLED = 0.15;
    /** An end follows from what was said of the time left, or a start from the half. */
    private static final double COMPUTED = 0.4;
    /** Nobody called the end: work is taken to last until the next begins. */
    private static final double OPEN = 0.7;
    /** Longer than anybody works. */
    private static final double TOO_LONG = 0.8;
    /** Whose name was not understood. */
    private static final double UNNAMED = 0.4;

    /** What is left is called this exactly. */
    private static final Length LATE = Length.ofSeconds(1);

    private static final Pattern NAME = Pattern.compile(
            "\\b(?:(?!(?:is|are|the|a|an|our|some|your|got|have|to|up|with|of|then|and|now|do|doing|for|"
                    + "into|next|first|last|on|it|its|going|move|exercise|one|more) )[a-z]+ )?" + CallWords.MOVE_WORDS
                    + "\\b");

    private final List<Heard> heard = new ArrayList<>();
    private final Map<String, Integer> timesDone = new HashMap<>();
    private Time<Axis.Take> lastEnd = Time.zero();
    /** When the work that goes on began; null at rest. */
    private Time<Axis.Take> from;

    private double startDoubt;
    /** When work will be over by what was said of the time left since it began; null where nothing was. */
    private Time<Axis.Take> announced;
    /** When half of an interval was told of at rest: its start was not heard. */
    private Time<Axis.Take> half;

    private Call introduced;
    private String move;
    private boolean carried;
    private Integer round;
    private boolean switchedAtRest;
    private boolean switchedAtWork;

    private HeardStructure() {}

    /** Whether both sides of a move were done in turn: each in an interval of its own, or within one. */
    public enum Sides {
        NONE,
        SEPARATE,
        HALVES
    }

    /**
     * A stretch that was heard.
     *
     * @param kind work, rest or talk
     * @param move the move last introduced before it, or null
     * @param round its round from 1, or null where none was told of or seen
     * @param doubt 0 (both ends were called) to 1
     * @param sides how its sides were done: {@code SEPARATE} where it is the other side of the one before
     * @param carried whether nobody said its move, which is taken to be the same again
     */
    public record Heard(
            String kind, Span<Axis.Take> span, String move, Integer round, double doubt, Sides sides, boolean carried) {
        /** The same of a move by another name. */
        public Heard as(String name) {
            return new Heard(kind, span, name, round, doubt, sides, carried);
        }
    }

    /** The intervals of a recording of which {@code calls} were heard, in order. */
    public static List<Heard> of(List<Call> calls) {
        HeardStructure structure = new HeardStructure();
        calls.forEach(structure::hear);
        structure.finish(calls.isEmpty() ? null : calls.get(calls.size() - 1));
        return List.copyOf(structure.heard);
    }

    private void hear(Call c) {
        switch (c.kind()) {
            case NEXT_UP -> introduced = c;
            case ORDINAL -> {
                boolean ofRounds = c.text().toLowerCase(Locale.ROOT).contains("round");
                round = ofRounds && c.value() > 0 ? c.value() : round;
            }
            case COUNT_IN -> begin(c.end());
            case START -> begin(c.time());
            case COUNT_OUT -> end(c.end());
            case REST -> end(c.time());
            case SECONDS_LEFT -> left(c);
            case HALF_WAY -> {
                if (from == null && "interval".equals(c.of())) {
                    half = c.time();
                }
            }
            case SWITCH_SIDE -> {
                switchedAtWork |= from != null;
                switchedAtRest |= from == null;
            }
            default -> {
                // tells of no boundary
            }
        }
    }

    private void left(Call c) {
        if (announced != null && c.time().isAfter(announced.plus(LATE)) && isWork(announced)) {
            // What is told of then is the time left of the rest.
            work(announced, COMPUTED);
        } else if (from != null) {
            announced = c.time().plus(Length.ofSeconds(c.value()));
        }
    }

    private void begin(Time<Axis.Take> at) {
        if (isWork(at)) {
            boolean known = announced != null && !announced.isAfter(at);
            work(known ? announced : at, known ? COMPUTED : OPEN);
        }
        name();
        from = Time.max(at, lastEnd);
        startDoubt = CALLED;
        announced = null;
        half = null;
    }

    private void end(Time<Axis.Take> at) {
        if (from == null && half != null) {
            // As long before its half as its end is behind it.
            Time<Axis.Take> start = half.minus(at.since(half));
            if (!start.isBefore(lastEnd) && at.since(start).seconds() <= MOST_WORK) {
                name();
                from = start;
                startDoubt = COMPUTED;
            }
        }
        if (isWork(at)) {
            work(at, at.since(from).seconds() > MOST_WORK ? TOO_LONG : startDoubt);
        }
        half = null;
    }

    /** Work that goes on when the recording ends, or whose end was only foretold. */
    private void finish(Call last) {
        if (from != null && announced != null && isWork(announced)) {
            work(announced, COMPUTED);
        } else if (last != null
                && isWork(last.time())
                && last.time().since(from).seconds() <= MOST_WORK) {
            work(last.time(), OPEN);
        }
    }

    private boolean isWork(Time<Axis.Take> end) {
        return from != null && end.since(from).seconds() >= LEAST_WORK;
    }

    /** The move that begins: the one introduced since the last began; else what came after it in an earlier round; else the same again. */
    private void name() {
        carried = introduced == null && move != null;
        if (introduced != null) {
            move = introduced.of() != null ? introduced.of() : nameIn(introduced.text());
        } else if (!switchedAtRest) {
            String next = afterIt(move);
            carried &= Objects.equals(next, move);
            move = next;
        }
        introduced = null;
    }

    /** The move a "next up" names that no library knows, as it was said; null where nothing in it sounds like one. */
    private static String nameIn(String said) {
        Matcher m = NAME.matcher(said.toLowerCase(Locale.ROOT));
        String name = null;
        while (m.find()) {
            name = m.group();
        }
        return name;
    }

    private String afterIt(String before) {
        List<String> moves = heard.stream()
                .filter(h -> h.kind().equals("work"))
                .map(Heard::move)
                .toList();
        for (int i = 0; before != null && i + 1 < moves.size(); i++) {
            if (before.equals(moves.get(i)) && !before.equals(moves.get(i + 1))) {
                return moves.get(i + 1);
            }
        }
        return before;
    }

    private void work(Time<Axis.Take> to, double doubt) {
        if (from.isAfter(lastEnd)) {
            String kind = heard.isEmpty() ? "talk" : "rest";
            heard.add(new Heard(kind, new Span<>(lastEnd, from), null, null, doubt, Sides.NONE, false));
        }
        Heard before = heard.stream()
                .filter(h -> h.kind().equals("work"))
                .reduce((a, b) -> b)
                .orElse(null);
        boolean otherSide = switchedAtRest && before != null && Objects.equals(before.move(), move);
        Integer of = round;
        if (move != null && !otherSide) {
            int times = timesDone.merge(move, 1, Integer::sum);
            of = round == null ? Integer.valueOf(times) : round;
        } else if (otherSide) {
            of = before.round();
        }
        Sides sides = otherSide ? Sides.SEPARATE : switchedAtWork ? Sides.HALVES : Sides.NONE;
        double named = move == null ? Math.max(UNNAMED, doubt) : doubt;
        heard.add(new Heard("work", new Span<>(from, to), move, of, named, sides, carried && !otherSide));
        lastEnd = to;
        from = null;
        announced = null;
        switchedAtRest = false;
        switchedAtWork = false;
    }
}
