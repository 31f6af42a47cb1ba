package app.nosegay.calls.learnt;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.phrase.AnyOf;
import app.nosegay.calls.phrase.CallWords;
import app.nosegay.captions.Caption;
import app.nosegay.captions.Speech;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What each line of a transcript is like, for {@link CallModel}: its words, alone and two and three in a row, names of moves and numbers by
 * their kind; a little of the lines around it; and what was called before it and after.
 */
public final class CallLineFeatures {
    /** So many words of the line before and of the one after it are looked at. */
    private static final int AROUND = 8;
    /** Of these, so many also two in a row. */
    private static final int AROUND_IN_ROWS = 5;
    /** A sentence of no more words is a trait as a whole. */
    private static final int SHORT_SENTENCE = 3;
    /** Lengths of lines are told apart up to so many words. */
    private static final int LONGEST = 8;
    /** How far back calls are looked for, in lines. */
    private static final int BACK = 11;
    /** Times since are told apart in steps of so many seconds, so many of them. */
    private static final double STEP_SECONDS = 10;

    private static final double SHORT_STEP_SECONDS = 3;
    private static final int STEPS = 6;
    /** The place in the transcript is told in so many parts. */
    private static final int PARTS = 10;
    /** The first lines have a trait of their own. */
    private static final int FIRST = 3;

    private static final Set<CallKind> TELL_WHERE_WE_ARE = Set.of(
            CallKind.REST,
            CallKind.COUNT_OUT,
            CallKind.START,
            CallKind.COUNT_IN,
            CallKind.NEXT_UP,
            CallKind.HALF_WAY,
            CallKind.LAST_REP,
            CallKind.REPS_LEFT,
            CallKind.SECONDS_LEFT,
            CallKind.SWITCH_SIDE,
            CallKind.ORDINAL,
            CallKind.REP_COUNT);
    private static final Set<CallKind> BEGIN_OR_END =
            Set.of(CallKind.REST, CallKind.COUNT_OUT, CallKind.START, CallKind.COUNT_IN);
    private static final Pattern ENDING = Pattern.compile("(?:ing|ed|es|s|e|ly)$");
    /** Longer stems are also known by their first letters, so many. */
    private static final int HEAD = 4;

    private static final String MOVE = "MOVE";
    /** Stands for every letter of a name. */
    private static final String NAMED = "~";

    private static final String STOP = ".";

    /**
     * A line as it is looked at.
     *
     * @param words its words, names of moves as one word, numbers by their size, a point where a sentence ends
     * @param plain the same with the names as they were said
     */
    private record Line(
            Time<Axis.Take> start, Time<Axis.Take> end, List<String> words, List<String> plain, Set<String> names) {
        boolean namesAMove() {
            return words.contains(MOVE);
        }
    }

    private final Pattern move;
    private final List<Line> lines;
    /** Which line names a move first. */
    private final Map<String, Integer> firstNamed = new HashMap<>();

    private List<List<CallKind>> called = List.of();
    private List<Call> calls = List.of();
    private List<Before> before = List.of();

    /** The lines of {@code captions}, which are in order of time; {@code moves} are the names of moves to know. */
    public CallLineFeatures(List<Caption> captions, Collection<String> moves) {
        Set<String> names = moves.stream()
                .map(m -> m.toLowerCase(Locale.ROOT)
                        .replaceAll("[^\\p{L}\\p{N}]+", " ")
                        .strip())
                .filter(m -> !m.isEmpty())
                .collect(Collectors.toSet());
        move = Pattern.compile("\\b(?:" + AnyOf.pattern(names) + "(?:e?s)?|" + CallWords.MOVE_WORDS + ")\\b");
        lines = captions.stream().map(this::line).toList();
        before = before(calls);
        for (int i = 0; i < lines.size(); i++) {
            for (String name : lines.get(i).names()) {
                firstNamed.putIfAbsent(name, i);
            }
        }
    }

    /** {@code said} with a sign for each letter of a move's name, and so of the same length. */
    String named(String said) {
        return move.matcher(said).replaceAll(m -> NAMED.repeat(m.group().length()));
    }

    private Line line(Caption caption) {
        String said = new Speech(List.of(caption)).text();
        Set<String> names = new HashSet<>();
        String named = move.matcher(said).replaceAll(m -> {
            names.add(m.group().replaceAll("e?s$", ""));
            return " " + MOVE + " ";
        });
        return new Line(caption.start(), caption.end(), words(named, true), words(said, false), names);
    }

    private static List<String> words(String said, boolean sized) {
        List<String> words = new ArrayList<>();
        for (String word : said.strip().split("\\s+")) {
            if (!word.isEmpty() && !word.equals(",")) {
                words.add(Character.isDigit(word.charAt(0)) && sized ? size(word) : word);
            }
        }
        return words;
    }

    /** A number by what it is usually of: one, a count in, a count, ten, a short time, a time. */
    /** A word of {@link #named} as it is looked at. */
    static String word(String word) {
        return word.startsWith(NAMED) ? MOVE : Character.isDigit(word.charAt(0)) ? size(word) : word;
    }

    static String size(String number) {
        if (!number.matches("\\d{1,4}")) {
            return "#";
        }
        int n = Integer.parseInt(number);
        return n <= 1 ? "#1" : n <= 3 ? "#3" : n <= 9 ? "#9" : n == 10 ? "#10" : n <= 20 ? "#20" : "#60";
    }

    /** Takes note of the calls that were heard; what is said of a line depends on those around it. */
    public CallLineFeatures with(List<Call> calls) {
        List<List<CallKind>> by = new ArrayList<>();
        lines.forEach(l -> by.add(new ArrayList<>()));
        for (Call call : calls) {
            int at = lineOf(call);
            if (at >= 0) {
                by.get(at).add(call.kind());
            }
        }
        called = by;
        this.calls = calls;
        before = before(calls);
        return this;
    }

    /**
     * What was called before a line began: the last of each, and what was said first of the lengths.
     *
     * @param work seconds, as is {@code pause}; null where nobody said
     */
    private record Before(Call left, Call start, Call rest, Integer work, Integer pause) {
        private static final Before NOTHING = new Before(null, null, null, null, null);

        Before and(Call call) {
            return switch (call.kind()) {
                case SECONDS_LEFT -> new Before(call, start, rest, work, pause);
                case START, COUNT_IN -> new Before(left, call, rest, work, pause);
                case REST, COUNT_OUT -> new Before(left, start, call, work, pause);
                case TOTAL ->
                    new Before(
                            left,
                            start,
                            rest,
                            work == null && "work-seconds".equals(call.of()) ? call.value() : work,
                            pause == null && "rest-seconds".equals(call.of()) ? call.value() : pause);
                default -> this;
            };
        }
    }

    /** By line, in one pass: calls and lines are both in order of time. */
    private List<Before> before(List<Call> calls) {
        List<Before> all = new ArrayList<>();
        Before now = Before.NOTHING;
        int next = 0;
        for (Line line : lines) {
            while (next < calls.size() && calls.get(next).time().isBefore(line.start())) {
                now = now.and(calls.get(next++));
            }
            all.add(now);
        }
        return all;
    }

    /** What was heard. */
    List<Call> calls() {
        return calls;
    }

    /** The line a call is made in: the last that has begun; −1 before the first. */
    int lineOf(Call call) {
        return lineAt(call.time());
    }

    /** The last line that has begun by {@code time}; −1 before the first. */
    int lineAt(Time<Axis.Take> time) {
        int low = -1;
        int high = lines.size() - 1;
        while (low < high) {
            int mid = (low + high + 1) / 2;
            if (lines.get(mid).start().micros() <= time.micros()) {
                low = mid;
            } else {
                high = mid - 1;
            }
        }
        return low;
    }

    public int size() {
        return lines.size();
    }

    /** What line {@code i} is like. */
    public Set<String> of(int i) {
        Line line = lines.get(i);
        Set<String> traits = new HashSet<>();
        own(line, traits);
        if (i + 1 < lines.size()) {
            after(line, lines.get(i + 1), traits);
        } else {
            traits.add("end");
        }
        if (i > 0) {
            before(line, lines.get(i - 1), traits);
        }
        state(i, traits);
        if (line.namesAMove()) {
            boolean isNew = line.names().stream().anyMatch(n -> firstNamed.getOrDefault(n, i) >= i);
            traits.add("new name:" + isNew);
        }
        return traits;
    }

    /** Where line {@code i} is in the workout. */
    void state(int i, Set<String> traits) {
        traits.add("part:" + Math.min(PARTS - 1, i * PARTS / lines.size()));
        if (i < FIRST) {
            traits.add("first:" + i);
        }
        called(i, lines.get(i), traits);
        due(lines.get(i), before.get(i), traits);
    }

    private static void own(Line line, Set<String> traits) {
        List<String> words = line.words();
        words.forEach(w -> traits.add("w:" + w));
        line.plain().forEach(w -> traits.add("w:" + w));
        stems(words, traits);
        List<String> framed = new ArrayList<>(List.of("<"));
        framed.addAll(words);
        if (framed.get(framed.size() - 1).equals(STOP)) {
            framed.set(framed.size() - 1, ">");
        } else {
            framed.add(">");
        }
        for (int k = 0; k + 1 < framed.size(); k++) {
            traits.add("b:" + framed.get(k) + "_" + framed.get(k + 1));
            if (k + 2 < framed.size()) {
                traits.add("t:" + framed.get(k) + "_" + framed.get(k + 1) + "_" + framed.get(k + 2));
                traits.add("g:" + framed.get(k) + "_*_" + framed.get(k + 2));
            }
        }
        int many = (int) words.stream().filter(w -> !w.equals(STOP)).count();
        traits.add("length:" + Math.min(LONGEST, many));
        traits.add("lasts:" + steps(line.end().since(line.start()).seconds(), SHORT_STEP_SECONDS));
        if (line.namesAMove()) {
            traits.add("move of:" + Math.min(LONGEST, many));
        }
        sentences(words, traits);
    }

    /** Words without their endings: "pressing" is like "press". */
    private static void stems(List<String> words, Set<String> traits) {
        String last = "<";
        for (String word : words) {
            String stem = ENDING.matcher(word).replaceFirst("");
            traits.add("stem:" + stem);
            traits.add("stems:" + last + "_" + stem);
            if (stem.length() > HEAD) {
                traits.add("head:" + stem.substring(0, HEAD));
            }
            last = stem;
        }
    }

    private static void sentences(List<String> words, Set<String> traits) {
        List<String> sentence = new ArrayList<>();
        int many = 0;
        for (int k = 0; k <= words.size(); k++) {
            if (k < words.size() && !words.get(k).equals(STOP)) {
                sentence.add(words.get(k));
                continue;
            }
            if (!sentence.isEmpty()) {
                many++;
                if (sentence.size() <= SHORT_SENTENCE) {
                    traits.add("s:" + String.join("_", sentence));
                }
                traits.add("f:" + sentence.get(0));
                traits.add("l:" + sentence.get(sentence.size() - 1));
                traits.add("ff:" + String.join("_", sentence.subList(0, Math.min(2, sentence.size()))));
            }
            sentence.clear();
        }
        traits.add("sentences:" + Math.min(SHORT_SENTENCE, many));
    }

    private static void after(Line line, Line next, Set<String> traits) {
        List<String> words = next.words();
        words.subList(0, Math.min(AROUND, words.size())).forEach(w -> traits.add("n:" + w));
        String last = "<";
        for (String word : words.subList(0, Math.min(AROUND_IN_ROWS, words.size()))) {
            traits.add("nb:" + last + "_" + word);
            last = word;
        }
        traits.add("next length:" + Math.min(LONGEST, words.size()));
        traits.add("moves:" + line.namesAMove() + next.namesAMove());
    }

    private static void before(Line line, Line last, Set<String> traits) {
        List<String> words = last.words();
        words.subList(Math.max(0, words.size() - AROUND), words.size()).forEach(w -> traits.add("p:" + w));
        for (int k = Math.max(0, words.size() - AROUND_IN_ROWS); k < words.size(); k++) {
            String then = k + 1 < words.size() ? words.get(k + 1) : ">";
            traits.add("pb:" + words.get(k) + "_" + then);
        }
        traits.add("since line:" + steps(line.start().since(last.start()).seconds(), SHORT_STEP_SECONDS));
        traits.add("moved:" + line.namesAMove() + last.namesAMove());
    }

    /** What is due at this moment by what was said of its length. */
    private static void due(Line line, Before before, Set<String> traits) {
        Call left = before.left();
        Call start = before.start();
        Call rest = before.rest();
        Integer work = before.work();
        Integer pause = before.pause();
        due("left", left, left == null ? null : left.value(), line, traits);
        boolean working = start != null && (rest == null || start.time().isAfter(rest.time()));
        due(working ? "work" : "rest", working ? start : rest, working ? work : pause, line, traits);
        if (work != null && working) {
            due("half", start, work / 2, line, traits);
        }
    }

    private static void due(String what, Call since, Integer seconds, Line line, Set<String> traits) {
        if (since != null && seconds != null) {
            double late = line.start().since(since.time()).seconds() - seconds;
            int step = (int) Math.max(-3, Math.min(3, Math.round(late / 3)));
            traits.add("due " + what + ":" + step);
        }
    }

    private static int steps(double seconds, double each) {
        return (int) Math.max(0, Math.min(STEPS, seconds / each));
    }

    /** What was called before, the nearest first, and in the lines that follow. */
    private void called(int i, Line line, Set<String> traits) {
        List<CallKind> before = new ArrayList<>();
        for (int j = i - 1; j >= Math.max(0, i - BACK); j--) {
            List<CallKind> there = called.get(j);
            for (int c = there.size() - 1; c >= 0; c--) {
                if (TELL_WHERE_WE_ARE.contains(there.get(c))) {
                    if (before.isEmpty()) {
                        double since = line.start().since(lines.get(j).start()).seconds();
                        traits.add("since:" + steps(since, STEP_SECONDS) + there.get(c));
                    }
                    before.add(there.get(c));
                }
            }
        }
        for (int c = 0; c < Math.min(3, before.size()); c++) {
            traits.add("called " + c + ":" + before.get(c));
        }
        if (before.size() > 1) {
            traits.add("called:" + before.get(0) + before.get(1));
        }
        int at = 0;
        while (at < before.size() && !BEGIN_OR_END.contains(before.get(at))) {
            at++;
        }
        String state = at < before.size() ? before.get(at).toString() : "none";
        int named = before.indexOf(CallKind.NEXT_UP);
        traits.add("state:" + state);
        traits.add("state:" + state + line.namesAMove());
        traits.add("named:" + state + (named >= 0 && named < at));
        for (int ahead = 1; ahead <= 2 && i + ahead < called.size(); ahead++) {
            for (CallKind kind : called.get(i + ahead)) {
                traits.add("soon " + ahead + ":" + kind);
            }
        }
    }
}
