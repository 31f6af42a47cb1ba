package app.nosegay.calls.phrase;

import app.nosegay.captions.Speech;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Unbroken counts in {@link Speech}: numbers that go up or down by one, with little said between them. */
public final class CountRuns {
    /** A count: where it is in the text, its first and last number, how fast it goes, and where each number is. */
    public record Run(int from, int to, int first, int last, double secondsEach, List<int[]> numbers) {
        public boolean isDown() {
            return last < first;
        }

        public int length() {
            return Math.abs(last - first) + 1;
        }
    }

    private static final Pattern NUMBER =
            Pattern.compile("(?<= )(?<!(?<!get )set )(?<!\\b(?:last|final|round|number|exercise|move|superset|week|day|"
                    + "episode|part|level|phase) )(?:(\\d{1,3}) to(?= 1 )|(\\d{1,3}))(?! (?:seconds?|minutes?|more|"
                    + "reps?|rounds?|sets?(?! (?:it|them|the|your|down))|left(?! (?:side|arm|leg|hand|foot|knee)"
                    + "\\b)|to go|times|time (?:each|through|around|per)|exercises?|moves?|of|on each|each|per|"
                    + "inch|pounds?|kilos?|percent|degrees?)\\b)(?= |$)");
    /** Words between two numbers of one count, at most. */
    private static final int MOST_WORDS = 9;

    private static final double MOST_SECONDS = 8;
    /** Two numbers further apart, in seconds, are no count. */
    private static final double SLOWEST_OF_TWO = 2.2;

    private static final Pattern BETWEEN = Pattern.compile("[a-z]+");
    /** "Two down, one up". */
    private static final Pattern TEMPO = Pattern.compile("\\b(?:down|up)\\b");

    /** "One, two, one, two": the beat of a march. */
    private static final Pattern BEAT = Pattern.compile("\\b1[ ,.]+$");

    private static final Pattern BREAKS_A_COUNT = Pattern.compile(
            "\\b(?:seconds?|minutes?|rounds?|sets?|more|left|go|number|exercise|move|last|final|next|first)\\b");

    private static final Pattern COUNTED_ON =
            Pattern.compile("^[ .,]*(?:and |ready )?(?:go|begin|start|rest|stop|lets go|done|switch|relax)\\b|^ and "
                    + CallWords.ANY_VERB + "\\b");

    private CountRuns() {}

    public static List<Run> in(Speech speech) {
        String text = speech.text();
        List<Run> runs = new ArrayList<>();
        List<int[]> run = new ArrayList<>();
        Matcher number = NUMBER.matcher(text);
        while (number.find()) {
            int value = Integer.parseInt(number.group(1) != null ? number.group(1) : number.group(2));
            int end = number.group(1) != null ? number.end(1) : number.end(2);
            int[] now = {number.start(), end, value};
            if (number.group(1) != null && value == 3) {
                // A recogniser's "three to one" is a count of three, two, one.
                extend(run, now, runs, speech);
                run.add(new int[] {end + 1, number.end(), 2});
                continue;
            }
            extend(run, now, runs, speech);
        }
        close(run, runs, speech);
        return runs;
    }

    private static void extend(List<int[]> run, int[] now, List<Run> runs, Speech speech) {
        if (run.isEmpty()) {
            run.add(now);
            return;
        }
        int[] last = run.get(run.size() - 1);
        int step = now[2] - last[2];
        boolean sameWay = run.size() < 2 ? Math.abs(step) == 1 : step == last[2] - run.get(run.size() - 2)[2];
        if (Math.abs(step) != 1 || !sameWay || !near(last, now, speech)) {
            boolean shared = Math.abs(step) == 1 && run.size() >= 2 && near(last, now, speech);
            int before = runs.size();
            close(run, runs, speech);
            if (shared && runs.size() == before) {
                run.add(last);
            }
        }
        run.add(now);
    }

    private static boolean near(int[] last, int[] now, Speech speech) {
        String between = speech.text().substring(last[1], now[0]);
        return BETWEEN.matcher(between).results().count() <= MOST_WORDS
                && !BREAKS_A_COUNT.matcher(between).find()
                && speech.start(now[0]).since(speech.end(last[0])).seconds() <= MOST_SECONDS;
    }

    /** Two numbers alone are a count only when next to nothing is said between them. */
    private static boolean isClose(int[] first, int[] last, Speech speech) {
        String between = speech.text().substring(first[1], last[0]);
        return BETWEEN.matcher(between).results().count() <= 1
                && !TEMPO.matcher(between).find();
    }

    /** "Three, two, go": the last number is the word itself; or "in three, two" and a breath. */
    private static boolean isCountedOn(int from, int to, Speech speech) {
        String text = speech.text();
        return COUNTED_ON
                        .matcher(text.substring(to, Math.min(text.length(), to + 20)))
                        .find()
                || text.substring(0, from).endsWith(" in ");
    }

    private static void close(List<int[]> run, List<Run> runs, Speech speech) {
        if (!run.isEmpty()) {
            int[] first = run.get(0);
            int[] last = run.get(run.size() - 1);
            double seconds = speech.start(last[0]).since(speech.start(first[0])).seconds();
            boolean down = first[2] > last[2] && isClose(first, last, speech);
            boolean beat = run.size() == 2
                    && BEAT.matcher(speech.text().substring(0, first[0])).find();
            boolean countdown =
                    !beat && down && (last[2] <= 1 || last[2] == 2 && isCountedOn(first[0], last[1], speech));
            boolean slow = seconds > SLOWEST_OF_TWO;
            if (run.size() >= 3 || run.size() == 2 && countdown && !slow) {
                runs.add(new Run(first[0], last[1], first[2], last[2], seconds / (run.size() - 1), List.copyOf(run)));
            }
        }
        run.clear();
    }
}
