package app.nosegay.calls.learnt;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.phrase.CountRuns;
import app.nosegay.captions.Caption;
import app.nosegay.captions.Speech;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What each number of a transcript is like, for {@link CallModel}: the words before and behind it, across lines, its size, and what would
 * be due if it were seconds left.
 */
public final class NumberFeatures {
    /** So many words to either side are looked at. */
    private static final int AROUND = 8;
    /** Of these, so many also by their place. */
    private static final int PLACED = 4;
    /** Larger numbers are known by their size alone. */
    private static final int LARGEST = 60;
    /** A call as many seconds away as the number says, give or take so many, bears it out. */
    private static final double CLOSE_SECONDS = 2.5;

    private static final double NEAR_SECONDS = 5;
    private static final Pattern WORD = Pattern.compile("[^ ]+");

    /** A word and where it is in the text. */
    private record Word(String text, int from) {}

    private final CallLineFeatures around;
    private final List<SpokenNumber> numbers;
    private final List<Word> words = new ArrayList<>();
    private final Set<Integer> counted = new HashSet<>();

    private NumberFeatures(Speech speech, CallLineFeatures around) {
        this.around = around;
        numbers = SpokenNumber.in(speech);
        String text = around.named(speech.text());
        Matcher m = WORD.matcher(text);
        while (m.find()) {
            words.add(new Word(m.group(), m.start()));
        }
        for (CountRuns.Run run : CountRuns.in(speech)) {
            run.numbers().forEach(n -> counted.add(n[0]));
        }
    }

    /** The numbers of {@code captions}; {@code around} knows of their lines, and what was called. */
    public static NumberFeatures of(List<Caption> captions, CallLineFeatures around) {
        return new NumberFeatures(new Speech(captions), around);
    }

    List<SpokenNumber> numbers() {
        return numbers;
    }

    public int size() {
        return numbers.size();
    }

    /** When number {@code i} is said, in seconds. */
    public double seconds(int i) {
        return numbers.get(i).start().seconds();
    }

    /** The value a call of a kind would have of number {@code i}; null where it can be none. */
    public Integer value(int i, CallKind kind, String of) {
        return numbers.get(i).value(kind, of);
    }

    /** What number {@code i} is like. */
    public Set<String> of(int i) {
        SpokenNumber n = numbers.get(i);
        Set<String> traits = new HashSet<>();
        int first = at(n.from());
        int last = at(n.until() - 1);
        String size = n.isPlace() ? n.text() : CallLineFeatures.size(String.valueOf(n.value()));
        traits.add("size:" + size);
        traits.add("value:" + (n.isPlace() ? n.text() : n.value() <= LARGEST ? "" + n.value() : "more"));
        traits.add("counted:" + counted.contains(n.from()));
        traits.add("kind:" + n.isPlace() + n.secondsEach() + (n.to() != null));
        String[] before = new String[AROUND];
        String[] behind = new String[AROUND];
        for (int k = 0; k < AROUND; k++) {
            before[k] = word(first - 1 - k);
            behind[k] = word(last + 1 + k);
            traits.add("before:" + before[k]);
            traits.add("behind:" + behind[k]);
            if (k < PLACED) {
                traits.add("-" + k + ":" + before[k]);
                traits.add("+" + k + ":" + behind[k]);
            }
        }
        pairs(before, behind, size, traits);
        around.state(Math.max(0, around.lineAt(n.start())), traits);
        then(n, traits);
        return traits;
    }

    private static void pairs(String[] before, String[] behind, String size, Set<String> traits) {
        traits.add("-10:" + before[1] + "_" + before[0]);
        traits.add("-210:" + before[2] + "_" + before[1] + "_" + before[0]);
        traits.add("+01:" + behind[0] + "_" + behind[1]);
        traits.add("+012:" + behind[0] + "_" + behind[1] + "_" + behind[2]);
        traits.add("-0+0:" + before[0] + "_" + behind[0]);
        traits.add("-1+0:" + before[1] + "_" + before[0] + "_" + behind[0]);
        traits.add("-0+1:" + before[0] + "_" + behind[0] + "_" + behind[1]);
        traits.add("+0" + size + behind[0]);
        traits.add("-0" + size + before[0]);
    }

    /** Whether work begins or ends as many seconds later as the number says. */
    private void then(SpokenNumber n, Set<String> traits) {
        Integer seconds = n.value(CallKind.SECONDS_LEFT, null);
        if (seconds == null) {
            return;
        }
        double then = n.start().seconds() + seconds;
        List<Call> calls = around.calls();
        for (Call call : calls.subList(firstAfter(calls, n.end()), calls.size())) {
            boolean ends = call.kind() == CallKind.REST
                    || call.kind() == CallKind.COUNT_OUT
                    || call.kind() == CallKind.SWITCH_SIDE;
            boolean starts = call.kind() == CallKind.START || call.kind() == CallKind.COUNT_IN;
            if (ends || starts) {
                boolean counts = call.kind() == CallKind.COUNT_OUT || call.kind() == CallKind.COUNT_IN;
                double at = counts ? call.end().seconds() : call.time().seconds();
                double off = Math.abs(at - then);
                String how = off <= CLOSE_SECONDS ? "close" : off <= NEAR_SECONDS ? "near" : "not";
                traits.add("then " + (ends ? "ends " : "starts ") + how);
                traits.add("then ends:" + ends);
                return;
            }
        }
        traits.add("then nothing");
    }

    /** The place of the first call later than {@code time}; calls are in order of time. */
    private static int firstAfter(List<Call> calls, Time<Axis.Take> time) {
        int low = 0;
        int high = calls.size();
        while (low < high) {
            int mid = (low + high) >>> 1;
            if (calls.get(mid).time().isAfter(time)) {
                high = mid;
            } else {
                low = mid + 1;
            }
        }
        return low;
    }

    private String word(int at) {
        if (at < 0 || at >= words.size()) {
            return "<>";
        }
        return CallLineFeatures.word(words.get(at).text());
    }

    /** The word that holds character {@code at}. */
    private int at(int character) {
        int low = 0;
        int high = words.size() - 1;
        while (low < high) {
            int mid = (low + high + 1) / 2;
            if (words.get(mid).from() <= character) {
                low = mid;
            } else {
                high = mid - 1;
            }
        }
        return low;
    }
}
