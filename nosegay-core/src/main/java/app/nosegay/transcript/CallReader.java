package app.nosegay.transcript;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Recognises spoken calls in a transcript ({@link CallPatterns}, {@link CountRuns}) and settles by what went before what each means: a count
 * down ends work while working and starts it while resting, "let's go" starts work or only cheers.
 */
public final class CallReader {
    private static final List<String> NTH = List.of(
            "first",
            "second",
            "third",
            "fourth",
            "fifth",
            "sixth",
            "seventh",
            "eighth",
            "ninth",
            "tenth",
            "eleventh",
            "twelfth");
    private static final Pattern STARTS_AFTER = Pattern.compile(
            "^[ .,]*(?:and |okay |now )*(?:go|lets go|start|begin|work|here we go|off (?:we|you) go|lets start|lets begin|lets do)\\b");
    private static final Pattern STOPS_AFTER = Pattern.compile(
            "^[ .,0]*(?:and |okay |now |good |nice |great )*(?:rest|stop|relax|done|release|time|switch|swap|change|other side|take a|shake|catch|well done|good job|good work|nice work|great job|nice job|great work|breathe|lower|drop|down|pause|we are done|you are done|thats it|excellent|beautiful|awesome|perfect|and down|come down|let go|good|nice)\\b");
    private static final Pattern STARTS_BEFORE = Pattern.compile(
            "(?:starting|start|begin|beginning|going|go|off|ready|set|we start|lets start|here we go|begin|work|working)(?: (?:in|and|get|set))*[ .,]*$|(?:get ready|ready|here we go|count you in|in we go|coming in|going in) ?[ .,]*$|(?:^|[.,]) in $");
    private static final Pattern HOLDS_BEFORE =
            Pattern.compile("(?:hold|holding|squeeze|pause|pulse|pulses|stay|freeze)(?: [a-z]+){0,6}[ ,]*$");
    private static final Pattern TEMPO_BEFORE =
            Pattern.compile("(?:down|up|lower|lift|slow|slowly|lowering|out|in|count of)[ .,]*$");
    /** A count from above this is of reps unless it goes by the second. */
    private static final int MOST_SECONDS_COUNTED = 10;

    private static final double A_SECOND_EACH = 1.7;
    /** Two calls that say the same within this many seconds are one. */
    private static final double SAME_CALL = 3;

    private static final double SAME_REST = 8;
    private static final double SAME_NEXT = 12;
    private static final Pattern SIDE_NAMED = Pattern.compile("(?i)side|leg|arm|over");
    /** "Switch, switch, switch" this close together is the beat of an alternating move. */
    private static final double BEAT = 6;

    private final Speech speech;
    private final String text;
    private final boolean[] claimed;
    private final List<Found> found = new ArrayList<>();

    /** A candidate at its place in the text. */
    private record Found(
            CallPatterns.Rule rule, CountRuns.Run run, int from, int to, Integer value, Integer second, String move) {}

    private CallReader(List<Caption> captions) {
        speech = new Speech(captions);
        text = speech.text();
        claimed = new boolean[text.length()];
    }

    /** The calls in {@code captions}, in order of time; {@code moves} are the names of moves to know. */
    public static List<Call> read(List<Caption> captions, Collection<String> moves) {
        CallReader reader = new CallReader(captions);
        if (reader.speech.isEmpty()) {
            return List.of();
        }
        reader.collect(moves);
        return reader.settle();
    }

    private void collect(Collection<String> moves) {
        for (CountRuns.Run run : CountRuns.in(speech)) {
            claim(run.from(), run.to());
            found.add(new Found(null, run, run.from(), run.to(), run.first(), run.last(), null));
        }
        for (CallPatterns.Rule rule : CallPatterns.RULES) {
            Matcher m = rule.pattern().matcher(text);
            while (m.find()) {
                if (isFree(m.start(), m.end())) {
                    apply(rule, m);
                }
            }
        }
        introductions(moves);
        found.sort(Comparator.comparingInt(Found::from));
    }

    private void apply(CallPatterns.Rule rule, Matcher m) {
        Integer value = rule.value();
        Integer second = null;
        if (value == null && m.groupCount() >= 1 && m.group(1) != null) {
            value = "nth".equals(rule.of())
                    ? Integer.valueOf(NTH.indexOf(m.group(1)) + 1)
                    : Integer.valueOf(m.group(1));
        }
        if (m.groupCount() >= 2 && m.group(2) != null && m.end(2) <= m.end()) {
            second = Integer.valueOf(m.group(2));
        }
        boolean shortMinutes = rule.kind() == CallKind.TOTAL
                && "minutes".equals(rule.of())
                && value < 4
                && second == null
                && !m.group().matches(".*(?:workout|session|video|class|routine).*");
        boolean unitless = rule.kind() == CallKind.REPS_LEFT && value != null && value < 2;
        if (shortMinutes || unitless) {
            return;
        }
        claim(m.start(), m.end());
        if (rule.kind() != null) {
            found.add(new Found(rule, null, m.start(), m.end(), value, second, null));
        }
    }

    private void introductions(Collection<String> moves) {
        Map<String, String> names =
                new TreeMap<>(Comparator.comparing((String s) -> -s.length()).thenComparing(s -> s));
        moves.forEach(m -> names.put(plain(m), m));
        names.remove("");
        String any = names.keySet().stream().map(Pattern::quote).collect(Collectors.joining("|"));
        String name = any.isEmpty() ? "(?!)" : "(" + any + ")(?:e?s)?";
        List<Pattern> named = List.of(
                Pattern.compile(
                        "(?<= )(?:lets (?:do|go (?:in)?to|get into|try)|now (?:its |we have |for )?|on to|onto|into|we have(?: got)?|we ~ (?:do|be doing)|we are (?:doing|going for|on)|this (?:1|next 1) is|this is|its time for|time for|back to|ready for|then|start(?:ing)? with|called)(?: (?:a|an|our|some|the|your|set of|with|\\d+|for|into|to|more|back|heavy|light|weighted|slow|quick|nice))* "
                                        .replace("~", "(?:will|are going to)")
                                + name + "(?= )"),
                Pattern.compile(
                        "(?<=(?:exercise|move|movement|number|station|drill|round) (?:number )?\\d{1,2} |(?:first|second|third|fourth|fifth|sixth|last|final) (?:exercise|move|movement|1) )(?:(?:of (?:this|the|our) (?:round|circuit|block|workout|session)|is|is going to be|will be|its|the|a|our|some|,) )*"
                                + name + "(?= )"),
                Pattern.compile(
                        "(?<=[.,] )(?:(?:and|okay|so|now|its|then|a|our|some|the|into|to|heavy|light|weighted|alternating|same|more|next) )*"
                                + name + "(?= [.,])"));
        for (CallPatterns.Rule rule : CallPatterns.INTRODUCTIONS) {
            Matcher m = rule.pattern().matcher(text);
            Pattern after = Pattern.compile("^(?:[ .,]+[a-z0-9]+){0,5}?[ .,]+" + name + "(?= )");
            while (m.find()) {
                if (isFree(m.start(), m.end())) {
                    Matcher move = after.matcher(text.substring(m.end(), Math.min(text.length(), m.end() + 90)));
                    boolean hasMove = move.find();
                    int to = hasMove ? m.end() + move.end() : m.end();
                    claim(m.start(), to);
                    found.add(new Found(
                            rule, null, m.start(), to, null, null, hasMove ? names.get(move.group(1)) : null));
                }
            }
        }
        for (int i = 0; i < named.size(); i++) {
            Matcher m = named.get(i).matcher(text);
            while (m.find()) {
                if (isFree(m.start(), m.end())) {
                    claim(m.start(), m.end());
                    found.add(new Found(null, null, m.start(), m.end(), null, null, names.get(m.group(1))));
                }
            }
        }
    }

    /** A move's name as {@link Speech} writes it. */
    private static String plain(String move) {
        return move.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", " ").strip();
    }

    private boolean isFree(int from, int to) {
        for (int i = from; i < to; i++) {
            if (claimed[i]) {
                return false;
            }
        }
        return true;
    }

    private void claim(int from, int to) {
        for (int i = from; i < to; i++) {
            claimed[i] = true;
        }
    }

    private final List<Call> calls = new ArrayList<>();
    private boolean working;
    private Time<Axis.Take> lastStart;

    private List<Call> settle() {
        for (int i = 0; i < found.size(); i++) {
            Found f = found.get(i);
            if (f.run() != null) {
                count(f);
            } else if (f.rule() == null) {
                if (!working && !saidWithin(CallKind.NEXT_UP, SAME_NEXT, f)) {
                    say(CallKind.NEXT_UP, f);
                }
            } else {
                rule(f);
            }
        }
        return withoutBeats();
    }

    private void rule(Found f) {
        switch (f.rule().kind()) {
            case START -> start(f);
            case REST -> rest(f);
            case NEXT_UP -> {
                if (!saidWithin(CallKind.NEXT_UP, 4, f)) {
                    say(CallKind.NEXT_UP, f);
                }
            }
            case REPS_LEFT -> repsLeft(f);
            case SECONDS_LEFT, HALF_WAY, LAST_REP, ROUNDS_LEFT, ORDINAL, TOTAL -> {
                Call last = last(f.rule().kind());
                boolean again = last != null
                        && java.util.Objects.equals(last.value(), f.value())
                        && java.util.Objects.equals(last.of(), of(f))
                        && speech.start(f.from()).since(last.time()).seconds() < SAME_CALL;
                if (!again) {
                    say(f.rule().kind(), f);
                }
            }
            default -> say(f.rule().kind(), f);
        }
    }

    /** Tens of "last ten" are seconds, and so is a "last five" that is then counted down. */
    private void repsLeft(Found f) {
        String words = text.substring(f.from(), f.to());
        boolean reps =
                words.contains("rep") || words.contains("side") || words.contains("each") || words.contains("leg");
        boolean countedDown = found.stream()
                .anyMatch(r -> r.run() != null
                        && r.run().isDown()
                        && r.run().first() <= f.value()
                        && r.run().secondsEach() < A_SECOND_EACH
                        && r.from() >= f.to()
                        && speech.start(r.from()).since(speech.end(f.to() - 1)).seconds() < f.value() + 1);
        boolean tens = f.value() >= 10 && f.value() % 5 == 0;
        say(!reps && (tens || f.value() == 5 && countedDown) ? CallKind.SECONDS_LEFT : CallKind.REPS_LEFT, f);
    }

    private void start(Found f) {
        boolean counted = saidWithin(CallKind.COUNT_IN, 2.5, f);
        boolean startedAlready = working && lastStart != null;
        if (!counted && !startedAlready && !saidWithin(CallKind.START, 5, f)) {
            say(CallKind.START, f);
        }
        if (!startedAlready) {
            working = true;
            lastStart = speech.start(f.from());
        }
    }

    private void rest(Found f) {
        boolean weak = text.substring(f.from(), f.to())
                .matches(".*(?:thats it|done|shake|catch|relax|release|pause|break|breather|down).*");
        boolean afterCount = saidWithin(CallKind.COUNT_OUT, 4, f);
        boolean resting = !working && lastStart != null && !afterCount;
        if (saidWithin(CallKind.REST, SAME_REST, f) || weak && (resting || lastStart == null)) {
            return;
        }
        say(CallKind.REST, f);
        working = false;
        lastStart = lastStart == null ? speech.start(f.from()) : lastStart;
    }

    private void count(Found f) {
        CountRuns.Run run = f.run();
        String before = text.substring(Math.max(0, f.from() - 40), f.from());
        String after = soonAfter(f.to());
        if (!run.isDown()) {
            boolean tempo = run.first() == 2
                    && run.length() <= 4
                    && TEMPO_BEFORE.matcher(before).find();
            boolean repeated = run.length() <= 4
                    && saidWithin(CallKind.REP_COUNT, 5, f)
                    && last(CallKind.REP_COUNT).value() == run.first();
            if (!tempo && !repeated) {
                say(CallKind.REP_COUNT, f);
            }
            return;
        }
        boolean starts = STARTS_AFTER.matcher(after).find()
                || STARTS_BEFORE.matcher(before).find();
        boolean stops = STOPS_AFTER.matcher(after).find();
        boolean bySecond = run.secondsEach() < A_SECOND_EACH && run.first() <= MOST_SECONDS_COUNTED;
        boolean toTheEnd = run.last() <= 1 || run.last() <= 3 && (starts || stops);
        CallKind kind;
        if (!toTheEnd || run.first() > MOST_SECONDS_COUNTED && !stops && !starts) {
            kind = CallKind.REP_COUNT;
        } else if (STARTS_AFTER.matcher(after).find()) {
            kind = CallKind.COUNT_IN;
        } else if (HOLDS_BEFORE.matcher(before).find() && !stops) {
            kind = CallKind.REP_COUNT;
        } else if (stops && working) {
            kind = CallKind.COUNT_OUT;
        } else if (starts) {
            kind = CallKind.COUNT_IN;
        } else if (!bySecond && working) {
            kind = run.length() > 3 ? CallKind.REP_COUNT : CallKind.COUNT_OUT;
        } else {
            kind = working || stops ? CallKind.COUNT_OUT : CallKind.COUNT_IN;
        }
        say(kind, f);
        if (kind == CallKind.COUNT_IN) {
            working = true;
            lastStart = speech.start(f.from());
        } else if (kind == CallKind.COUNT_OUT) {
            working = after.matches("^[ .,]*(?:and |now )*(?:switch|swap|change|other side).*");
        }
    }

    /** What is said in the moments after character {@code at}. */
    private String soonAfter(int at) {
        int to = Math.min(text.length(), at + 40);
        while (to > at + 1 && speech.start(to - 1).since(speech.end(at - 1)).seconds() > SAME_CALL) {
            to--;
        }
        return text.substring(at, to);
    }

    private void say(CallKind kind, Found f) {
        boolean busy = kind == CallKind.REP_COUNT
                || kind == CallKind.REPS_LEFT
                || kind == CallKind.LAST_REP
                || kind == CallKind.SWITCH_SIDE
                || kind == CallKind.HALF_WAY && "interval".equals(of(f));
        if (busy && !working) {
            working = true;
            lastStart = speech.start(f.from());
        }
        Integer to = kind == CallKind.REP_COUNT || kind == CallKind.TOTAL ? f.second() : null;
        calls.add(new Call(
                kind,
                kind == CallKind.LAST_REP || kind == CallKind.PROMISE ? null : f.value(),
                to,
                of(f),
                speech.start(f.from()),
                speech.end(f.to() - 1),
                speech.asSaid(f.from(), f.to())));
    }

    private static String of(Found f) {
        return f.move() != null
                ? f.move()
                : f.rule() == null || "nth".equals(f.rule().of())
                        ? null
                        : f.rule().of();
    }

    private Call last(CallKind kind) {
        for (int i = calls.size() - 1; i >= 0; i--) {
            if (calls.get(i).kind() == kind) {
                return calls.get(i);
            }
        }
        return null;
    }

    private boolean saidWithin(CallKind kind, double seconds, Found f) {
        Call last = last(kind);
        return last != null && speech.start(f.from()).since(last.end()).seconds() < seconds;
    }

    /** Without the "switch" of every rep of an alternating move. */
    private List<Call> withoutBeats() {
        List<Call> switches = calls.stream()
                .filter(c -> c.kind() == CallKind.SWITCH_SIDE
                        && !SIDE_NAMED.matcher(c.text()).find())
                .toList();
        List<Call> beats = new ArrayList<>();
        for (int i = 0; i + 2 < switches.size(); i++) {
            boolean beat =
                    switches.get(i + 1).time().since(switches.get(i).time()).seconds() < BEAT
                            && switches.get(i + 2)
                                            .time()
                                            .since(switches.get(i + 1).time())
                                            .seconds()
                                    < BEAT;
            if (beat) {
                beats.addAll(switches.subList(i, i + 3));
            }
        }
        return calls.stream().filter(c -> beats.stream().noneMatch(b -> b == c)).toList();
    }
}
