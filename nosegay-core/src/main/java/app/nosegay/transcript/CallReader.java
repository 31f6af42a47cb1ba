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
            Pattern.compile("(?:hold|holding|squeeze|pause|pulse|pulses|stay|freeze)(?: [a-z]+){0,6}[ .,]*$");
    private static final Pattern OF_A_MOVE = Pattern.compile(
            "exercise|move|movement|number|station|drill|stretch|(?:first|second|third|fourth|fifth|sixth|last|final) 1");
    /** What moves are called that no library knows: the last word, with one or two before it. */
    private static final String MOVE_WORDS =
            "(?:squats?|lunges?|press(?:es)?|rows?|curls?|raises?|fl(?:y|ies|yes)|planks?|bridges?|thrusts?|thrusters?|deadlifts?|(?:push|press|sit|pull|step|chin) ups?|crunch(?:es)?|twists?|kick ?backs?|extensions?|pull ?(?:downs?|overs?|aparts?)|jacks?|climbers?|burpees?|swings?|cleans?|snatch(?:es)?|march(?:es)?|hinges?|dips?|crawls?|taps?|bugs?|dogs?|skaters?|crushers?|shrugs?|wall sits?|sit to stands?|clams?|clamshells?|leg lifts?|knee drives?|high knees|butt kicks?|good mornings?)";

    /** Says only that something comes, its start or its end. */
    private static final Pattern IN_BEFORE = Pattern.compile("(?:^|[ .,])(?:and )?in $");

    private static final Pattern READY_BEFORE = Pattern.compile(
            "(?:start|starting|begin|beginning|ready|set|go|here we go|count you in)[ .,]* (?:and )?in $");
    private static final Pattern NAMES_A_MOVE = Pattern.compile("\\b" + MOVE_WORDS + "\\b");
    private static final Pattern OF_THESE =
            Pattern.compile("^ (?:of (?:these|those|them)|just like|like (?:that|this)|each|per)\\b");
    /** Said when work ends, and as advice in the middle of it. */
    private static final Pattern PUT_DOWN = Pattern.compile(" down$|^(?:and )?(?:put|set|pop|place|lay|drop)\\b");

    private static final Pattern NAMES_ROUNDS = Pattern.compile("round|circuit|set|lap");
    private static final Pattern OF_ROUNDS = Pattern.compile(
            "(?:round|circuit|set|lap)s?(?: \\d+)?(?: (?:done|complete|completed|finished|down|over|in the books))?[ .,]*(?:and )?$");

    /** What ends a set, and not only a hold within it. */
    private static final Pattern ENDS_AFTER = Pattern.compile(
            "^[ .,]*(?:and |okay |good )*(?:rest|stop|done|time|switch|swap|change|other side|relax|take a)\\b");

    private static final Pattern TEMPO_BEFORE =
            Pattern.compile("(?:down|up|lower|lift|slow|slowly|lowering|out|in|count of)[ .,]*$");
    /** A count from above this is of reps unless it goes by the second. */
    private static final int MOST_SECONDS_COUNTED = 10;

    private static final double A_SECOND_EACH = 1.7;
    /** Fewer seconds than this are of a hold or a tempo, not of the plan. */
    private static final int SHORTEST_INTERVAL = 5;

    /** No workout has more moves or rounds than this. */
    private static final int MOST_MOVES = 30;

    /** Of fewer repetitions nobody makes a figure of the plan: "two dumbbell rows" are rows with two of them. */
    private static final int FEWEST_REPS = 4;

    /** Two calls that say the same within this many seconds are one. */
    private static final double SAME_CALL = 3;

    /** Work of unknown length is taken to be over after this, in seconds, though nobody said so. */
    private static final double LONGEST_WORK = 100;

    /** Words of starting said sooner after the start, in seconds, are still of it. */
    private static final double CHEERED_WITHIN = 12;

    /** Words of starting that nobody cheers with. */
    private static final Pattern BEGINS =
            Pattern.compile("begin|start|ready|set go|off (?:we|you) go|away we go|go time");
    /** Words that lead on to something new, whatever goes on. */
    private static final Pattern MOVES_ON = Pattern.compile(
            "^(?:on to|onto|now (?:we have|its)|time for|its time for|we are (?:moving|heading)|up is|next is|it is time)");

    /** A count ends this near to where a call of the seconds left put the end, in seconds. */
    private static final double FORETOLD_WITHIN = 4;

    /** A move's name this soon behind its number, in seconds, belongs to it. */
    private static final double AT_ONCE = 4;

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
            // What is said between the numbers may be a call of its own.
            run.numbers().forEach(n -> claim(n[0], n[1]));
            found.add(new Found(null, run, run.from(), run.to(), run.first(), run.last(), null));
        }
        for (CallPatterns.Rule rule : CallPatterns.RULES) {
            // A promise goes on until something else is said.
            String heard = rule.kind() == CallKind.PROMISE ? unclaimed() : text;
            Matcher m = rule.pattern().matcher(heard);
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
        if (value == null) {
            String first = first(m);
            value = first == null
                    ? null
                    : "nth".equals(rule.of()) ? Integer.valueOf(NTH.indexOf(first) + 1) : Integer.valueOf(first);
        }
        boolean both = m.groupCount() >= 2 && m.group(1) != null && m.group(2) != null;
        if (both && m.end(2) <= m.end()) {
            second = Integer.valueOf(m.group(2));
        }
        boolean shortMinutes = rule.kind() == CallKind.TOTAL
                && "minutes".equals(rule.of())
                && value < 4
                && second == null
                && !m.group().matches(".*(?:workout|session|video|class|routine).*");
        boolean tempo = rule.kind() == CallKind.TOTAL
                && ("work-seconds".equals(rule.of()) || "rest-seconds".equals(rule.of()))
                && value < SHORTEST_INTERVAL;
        boolean few = rule.kind() == CallKind.TOTAL && "reps".equals(rule.of()) && value < FEWEST_REPS;
        boolean unitless = rule.kind() == CallKind.REPS_LEFT && value != null && value < 2;
        boolean farOrdinal = rule.kind() == CallKind.ORDINAL && value > MOST_MOVES;
        if (farOrdinal || shortMinutes || tempo || few || unitless) {
            return;
        }
        claim(m.start(), m.end());
        if (rule.kind() != null) {
            found.add(new Found(rule, null, m.start(), m.end(), value, second, null));
        }
    }

    /** The number of a call: the first group that is there. */
    private static String first(Matcher m) {
        for (int g = 1; g <= m.groupCount(); g++) {
            if (m.group(g) != null) {
                return m.group(g);
            }
        }
        return null;
    }

    private void introductions(Collection<String> moves) {
        Map<String, String> names =
                new TreeMap<>(Comparator.comparing((String s) -> -s.length()).thenComparing(s -> s));
        moves.forEach(m -> names.put(plain(m), m));
        names.remove("");
        String any = names.keySet().stream().map(Pattern::quote).collect(Collectors.joining("|"));
        String planned = any.isEmpty() ? "(?!)" : "(" + any + ")(?:e?s)?";
        introduced(names, planned);
        afterOrdinals(names, planned);
        named(names, planned);
        String anyWord = "((?:[a-z]+ ){0,2}?" + MOVE_WORDS + ")";
        afterOrdinals(names, anyWord);
        named(names, anyWord);
    }

    /** "Exercise five, everyone, is the row": the name soon behind its number. */
    private void afterOrdinals(Map<String, String> names, String name) {
        Pattern after = Pattern.compile("^(?:[ .,]+[a-z0-9]+){0,6}?[ .,]+" + name + "(?= )");
        List<Found> ordinals = found.stream()
                .filter(f -> f.rule() != null && f.rule().kind() == CallKind.ORDINAL)
                .filter(f -> OF_A_MOVE.matcher(text.substring(f.from(), f.to())).find())
                .toList();
        for (Found ordinal : ordinals) {
            Matcher m = after.matcher(text.substring(ordinal.to(), Math.min(text.length(), ordinal.to() + 60)));
            if (m.find()) {
                int from = ordinal.to() + m.start(1);
                int to = ordinal.to() + m.end();
                if (isFree(ordinal.to(), to)) {
                    claim(from, to);
                    found.add(new Found(null, null, from, to, null, null, known(names, m.group(1))));
                }
            }
        }
    }

    /** Moves brought up by their names alone. */
    private void named(Map<String, String> names, String name) {
        List<Pattern> ways = List.of(
                Pattern.compile(
                        "(?<= )(?:lets (?:do|go (?:in)?to|get into|try)|now (?:its |we have |for )?|on to|onto|into|we have(?: got)?|we ~ (?:do|be doing)|we are (?:doing|going for|on)|this (?:1|next 1) is|this is|its time for|time for|back to|ready for|then|start(?:ing)? with|called|we got|you have|we (?:move|are moving|head|shift) (?:on |over |down |up |straight |right |back )*(?:to|into|onto)|move (?:on |over |down |up |straight |right |back )*(?:to|into|onto)|show you|for this 1|up is|next is|it is|its)(?: (?:a|an|our|some|the|your|set of|with|\\d+|for|into|to|more|back|heavy|light|weighted|slow|quick|nice))* "
                                        .replace("~", "(?:will|are going to)")
                                + name + "(?= )"),
                Pattern.compile(
                        "(?<=(?:exercise|move|movement|number|station|drill|round) (?:number )?\\d{1,2} |(?:first|second|third|fourth|fifth|sixth|last|final) (?:exercise|move|movement|1) )(?:(?:of (?:this|the|our) (?:round|circuit|block|workout|session)|is|is going to be|will be|its|the|a|our|some|,) )*"
                                + name + "(?= )"),
                Pattern.compile(
                        "(?<=[.,] )(?:(?:and|okay|so|now|its|then|a|our|some|the|into|to|heavy|light|weighted|alternating|same|more|next) )*"
                                + name + "(?= [.,])"),
                Pattern.compile("(?<= )(?:(?:and|okay|so|now|our|the|some|then) )*" + name
                        + " (?:(?:is|are|is coming|coming|come) (?:up )?next|coming (?:up|at you|in)|up next)(?= )"),
                Pattern.compile("(?<=[.,] )(?:(?:and|okay|so|now|our|the|some|then) )*" + name + " next(?= )"),
                Pattern.compile("(?<=[.,] )(?:(?:and|okay|so|now|then|our|the|some) )*" + name
                        + "(?= (?:with|grab|on|we|so|you|feet|hands|lie|right|left|in)\\b)"));
        for (Pattern pattern : ways) {
            Matcher m = pattern.matcher(text);
            while (m.find()) {
                if (isFree(m.start(), m.end())) {
                    claim(m.start(), m.end());
                    found.add(new Found(null, null, m.start(), m.end(), null, null, known(names, m.group(1))));
                }
            }
        }
    }

    /** "Next up" and the like, with the move where it is one of {@code names}. */
    private void introduced(Map<String, String> names, String name) {
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
                            rule, null, m.start(), to, null, null, hasMove ? known(names, move.group(1)) : null));
                }
            }
        }
    }

    /** The move of that name, also in the plural; null for one nobody planned. */
    private static String known(Map<String, String> names, String said) {
        return names.getOrDefault(
                said, names.getOrDefault(said.replaceAll("e?s$", ""), names.get(said.replaceAll("s$", ""))));
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

    /** The text with what is understood already struck out. */
    private String unclaimed() {
        StringBuilder open = new StringBuilder(text);
        for (int i = 0; i < claimed.length; i++) {
            if (claimed[i]) {
                open.setCharAt(i, '#');
            }
        }
        return open.toString();
    }

    private void claim(int from, int to) {
        for (int i = from; i < to; i++) {
            claimed[i] = true;
        }
    }

    private final List<Call> calls = new ArrayList<>();
    private boolean working;
    private Time<Axis.Take> lastStart;
    /** Whether something new was brought up since work was last heard to start: the rest between was perhaps not said. */
    private boolean previewed;

    private List<Call> settle() {
        for (int i = 0; i < found.size(); i++) {
            Found f = found.get(i);
            if (f.run() != null) {
                count(f);
            } else if (f.rule() == null) {
                boolean free = !isWorking(f)
                        || saidWithin(CallKind.ORDINAL, AT_ONCE, f)
                        || MOVES_ON.matcher(text.substring(f.from(), f.to())).find();
                if (free && !saidWithin(CallKind.NEXT_UP, SAME_NEXT, f)) {
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
            case REST -> {
                boolean left = f.value() != null && !isWorking(f);
                if (left) {
                    say(CallKind.SECONDS_LEFT, f);
                } else {
                    rest(f);
                }
            }
            case NEXT_UP -> {
                if (!saidWithin(CallKind.NEXT_UP, 4, f)) {
                    say(CallKind.NEXT_UP, f);
                }
            }
            case REPS_LEFT -> {
                if (!isWorking(f) && OF_ROUNDS.matcher(saidBefore(f)).find()) {
                    say(CallKind.ROUNDS_LEFT, f);
                } else {
                    repsLeft(f);
                }
            }
            case ROUNDS_LEFT -> {
                boolean unnamed = CallPatterns.TO_GO.equals(f.rule().of())
                        && !OF_ROUNDS.matcher(saidBefore(f)).find()
                        && !NAMES_ROUNDS
                                .matcher(text.substring(f.from(), f.to()))
                                .find();
                if (!unnamed) {
                    say(CallKind.ROUNDS_LEFT, f);
                } else if (isWorking(f)) {
                    say(CallKind.REPS_LEFT, f);
                }
            }
            case SECONDS_LEFT, HALF_WAY, LAST_REP, ORDINAL, TOTAL -> {
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

    /** Whether the time left was called since work started, and no repetition. */
    private boolean isBySeconds() {
        return lastStart != null
                && since(CallKind.SECONDS_LEFT, lastStart)
                && !since(CallKind.REP_COUNT, lastStart)
                && !since(CallKind.REPS_LEFT, lastStart);
    }

    private boolean since(CallKind kind, Time<Axis.Take> moment) {
        Call last = last(kind);
        return last != null && !last.time().isBefore(moment);
    }

    private String saidBefore(Found f) {
        return text.substring(Math.max(0, f.from() - 40), f.from());
    }

    /** Tens of "last ten" are seconds, and so is a "last five" that is then counted down. */
    private void repsLeft(Found f) {
        String words = text.substring(f.from(), f.to());
        boolean reps = NAMES_A_MOVE.matcher(words).find()
                || OF_THESE.matcher(soonAfter(f.to())).find()
                || words.contains("rep")
                || words.contains("side")
                || words.contains("each")
                || words.contains("leg");
        boolean countedDown = found.stream()
                .anyMatch(r -> r.run() != null
                        && r.run().isDown()
                        && r.run().first() <= f.value()
                        && r.run().secondsEach() < A_SECOND_EACH
                        && r.from() >= f.to()
                        && speech.start(r.from()).since(speech.end(f.to() - 1)).seconds() < f.value() + 1);
        boolean tens = f.value() >= 10 && f.value() % 5 == 0 || f.value() == 5 && isBySeconds();
        Call last = last(CallKind.REPS_LEFT);
        boolean again = last != null
                && f.value().equals(last.value())
                && speech.start(f.from()).since(last.time()).seconds() < SAME_CALL;
        if (again) {
            return;
        }
        say(!reps && (tens || f.value() == 5 && countedDown) ? CallKind.SECONDS_LEFT : CallKind.REPS_LEFT, f);
    }

    private void start(Found f) {
        boolean counted = saidWithin(CallKind.COUNT_IN, 2.5, f);
        boolean startedAlready = isWorking(f)
                && lastStart != null
                && !previewed
                && !(sinceStart(f) > CHEERED_WITHIN
                        && BEGINS.matcher(text.substring(f.from(), f.to())).find());
        if (!counted && !startedAlready && !saidWithin(CallKind.START, 5, f)) {
            say(CallKind.START, f);
        }
        if (!startedAlready) {
            work(f);
        }
    }

    private void rest(Found f) {
        boolean weak = text.substring(f.from(), f.to())
                .matches(
                        ".*(?:thats it|done|shake|catch|relax|release|pause|break|breather|down|drop|grab|water|drink|sip|finish).*");
        Call counted = last(CallKind.COUNT_OUT);
        // A count down lasts at least its seconds, whatever the caption's times.
        boolean afterCount =
                counted != null && speech.start(f.from()).since(counted.time()).seconds() < counted.value() + 4.0;
        boolean resting = !isWorking(f) && lastStart != null && !afterCount;
        boolean tied = PUT_DOWN.matcher(text.substring(f.from(), f.to())).find();
        if (tied && !afterCount && !isForetold(f.to())) {
            return;
        }
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
        boolean working = isWorking(f);
        boolean onlyIn = working
                && !previewed
                && IN_BEFORE.matcher(before).find()
                && !READY_BEFORE.matcher(before).find();
        boolean starts = STARTS_AFTER.matcher(after).find()
                || STARTS_BEFORE.matcher(before).find() && !onlyIn;
        boolean stops = STOPS_AFTER.matcher(after).find();
        boolean bySecond = run.secondsEach() < A_SECOND_EACH && run.first() <= MOST_SECONDS_COUNTED;
        boolean toTheEnd = run.last() <= 1 || run.last() <= 3 && (starts || stops);
        CallKind kind;
        if (!toTheEnd || run.first() > MOST_SECONDS_COUNTED && !stops && !starts) {
            kind = CallKind.REP_COUNT;
        } else if (STARTS_AFTER.matcher(after).find()) {
            kind = CallKind.COUNT_IN;
        } else if (HOLDS_BEFORE.matcher(before).find()
                && !(stops && ENDS_AFTER.matcher(after).find())) {
            kind = CallKind.REP_COUNT;
        } else if (stops && working) {
            kind = CallKind.COUNT_OUT;
        } else if (starts) {
            kind = CallKind.COUNT_IN;
        } else if (!bySecond && working) {
            kind = run.length() > 3 ? CallKind.REP_COUNT : CallKind.COUNT_OUT;
        } else {
            boolean ends = working && (!previewed || isForetold(run.to()));
            kind = ends || stops ? CallKind.COUNT_OUT : CallKind.COUNT_IN;
        }
        say(kind, f);
        if (kind == CallKind.COUNT_IN) {
            work(f);
        } else if (kind == CallKind.COUNT_OUT) {
            this.working = after.matches("^[ .,]*(?:and |now )*(?:switch|swap|change|other side).*");
        }
    }

    /** Whether work goes on: it was heard to start, and that is not so long ago that its end must have been missed. */
    private boolean isWorking(Found f) {
        return working && !isStale(f);
    }

    private boolean isStale(Found f) {
        return working && lastStart != null && sinceStart(f) > longestWork();
    }

    private double sinceStart(Found f) {
        return speech.start(f.from()).since(lastStart).seconds();
    }

    /** What work lasts at the most, in seconds: by what was said of it, else by what is usual. */
    private double longestWork() {
        return calls.stream()
                .filter(c -> c.kind() == CallKind.TOTAL && "work-seconds".equals(c.of()))
                .mapToDouble(c -> 1.3 * Math.max(c.value(), c.to() == null ? 0 : c.to()) + 8)
                .max()
                .orElse(LONGEST_WORK);
    }

    private void work(Found f) {
        working = true;
        previewed = false;
        lastStart = speech.start(f.from());
    }

    /** Whether "ten seconds left" was said, as long before the end of what is said up to {@code to}. */
    private boolean isForetold(int to) {
        Call left = last(CallKind.SECONDS_LEFT);
        if (left == null || lastStart == null || left.time().isBefore(lastStart)) {
            return false;
        }
        double end = speech.end(to - 1).since(left.time()).seconds();
        return Math.abs(end - left.value()) < FORETOLD_WITHIN;
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
                || kind == CallKind.SWITCH_SIDE && lastStart == null
                || kind == CallKind.HALF_WAY && "interval".equals(of(f));
        if (busy && !working) {
            work(f);
        }
        boolean brings = kind == CallKind.NEXT_UP
                || kind == CallKind.ORDINAL
                        && OF_A_MOVE.matcher(text.substring(f.from(), f.to())).find();
        previewed |= working && brings;
        Integer to = kind == CallKind.REP_COUNT || kind == CallKind.TOTAL ? f.second() : null;
        calls.add(new Call(
                kind,
                kind == CallKind.LAST_REP || kind == CallKind.PROMISE || kind == CallKind.REST ? null : f.value(),
                to,
                of(f),
                speech.start(f.from()),
                speech.end(f.to() - 1),
                speech.asSaid(f.from(), f.to())));
    }

    private static String of(Found f) {
        return f.move() != null
                ? f.move()
                : f.rule() == null
                                || "nth".equals(f.rule().of())
                                || CallPatterns.TO_GO.equals(f.rule().of())
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
