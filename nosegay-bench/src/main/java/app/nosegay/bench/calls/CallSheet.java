package app.nosegay.bench.calls;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.reader.CallReader;
import app.nosegay.captions.Caption;
import app.nosegay.time.Axis;
import app.nosegay.time.DurationText;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Spoken recordings with the calls in them, written out by hand (docs/format/calls.md), and how many of them the reader finds. Nobody's
 * words.
 */
public final class CallSheet {
    /** The sheets; what each was used for stands at its head. */
    public static final List<String> NAMES = Stream.of(
                    ("a b c d e f g h i j k l m n o p q r s t u v w x y z aa bb cc dd ee ff gg hh ii jj kk ll "
                                    + "mm nn oo pp qq rr ss tt uu vv ww xx yy zz talk1 talk2 talk3 talk4 talk5 talk6 talk7 talk8 "
                                    + "talk9 own" + " hard")
                            .split(" "))
            .map(sheet -> "calls-" + sheet + ".txt")
            .toList();

    /** Every fourth is left out of learning for good: what is learnt is judged by these alone. */
    private static final int EVERY = 4;

    /** A call may be found this much before its caption begins … */
    private static final double BEFORE_SECONDS = 1.5;
    /** … and this much after, as its place inside a caption is computed by syllables; or before its caption ends. */
    private static final double AFTER_SECONDS = 6;
    /** How captions are put together. */
    private static final long SEED = 3;

    /** Between recordings laid one behind the other. */
    private static final double BETWEEN_SECONDS = 5;

    /**
     * How a sheet was read.
     *
     * @param right with a time as close as the form allows
     * @param rightInCaption with a time as close as its caption tells: no closer than the silence in it
     * @param wrong what was missed and what was made up, a line each
     */
    public record Score(int right, int rightInCaption, int found, int there, List<String> wrong) {
        public double precision() {
            return right / (double) Math.max(1, found);
        }

        public double recall() {
            return right / (double) Math.max(1, there);
        }

        /** The harmonic mean of precision and recall. */
        public double balance() {
            return 2.0 * right / Math.max(1, found + there);
        }

        /** The same with times as close as captions tell them. */
        public double balanceInCaptions() {
            return 2.0 * rightInCaption / Math.max(1, found + there);
        }

        private Score plus(Score other) {
            List<String> all = new ArrayList<>(wrong);
            all.addAll(other.wrong);
            return new Score(
                    right + other.right,
                    rightInCaption + other.rightInCaption,
                    found + other.found,
                    there + other.there,
                    all);
        }
    }

    /** @param until when its caption ends, in seconds */
    public record Expected(String call, double seconds, double until) {}

    public record Recording(List<Caption> captions, List<Expected> expected) {}

    private CallSheet() {}

    /** The recordings of a sheet, each line up to the next one, as {@link TranscriptReader} reads pasted text. */
    public static List<Recording> read(String name) throws IOException {
        List<Recording> recordings = new ArrayList<>();
        List<String[]> lines = new ArrayList<>();
        try (InputStream in = CallSheet.class.getResourceAsStream(name)) {
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
                if (line.startsWith("---")) {
                    recordings.add(recording(lines));
                    lines.clear();
                } else if (!line.startsWith("#") && !line.isBlank()) {
                    lines.add(line.split("\\|", -1));
                }
            }
        }
        recordings.add(recording(lines));
        return recordings;
    }

    /** A long transcript of {@code lines} lines: the recordings of a sheet one behind the other, again and again. */
    public static List<Caption> longTranscript(String name, int lines) throws IOException {
        List<Recording> recordings = read(name);
        List<Caption> captions = new ArrayList<>();
        double end = 0;
        for (int i = 0; captions.size() < lines; i++) {
            for (Caption c : recordings.get(i % recordings.size()).captions()) {
                captions.add(c.later(Length.ofSeconds(end)));
            }
            end = captions.get(captions.size() - 1).end().seconds() + BETWEEN_SECONDS;
        }
        return captions.subList(0, lines);
    }

    private static Recording recording(List<String[]> lines) {
        List<Caption> captions = new ArrayList<>();
        List<Expected> expected = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            Time<Axis.Take> at = time(lines.get(i));
            String words = lines.get(i)[1].strip();
            Time<Axis.Take> said = at.plus(SpeechRate.DEFAULT.toSay(words, false));
            Time<Axis.Take> next = i + 1 < lines.size() ? time(lines.get(i + 1)) : said;
            Caption caption = new Caption(at, next.isAfter(at) ? next : said, words);
            captions.add(caption);
            for (String call : lines.get(i)[2].split(";")) {
                if (!call.isBlank()) {
                    expected.add(new Expected(
                            call.strip(), at.seconds(), caption.end().seconds()));
                }
            }
        }
        return new Recording(List.copyOf(captions), List.copyOf(expected));
    }

    private static Time<Axis.Take> time(String[] line) {
        return new Time<>(DurationText.parse(line[0].strip()).orElseThrow().micros());
    }

    /** The sheets marks are learnt from, or those that are left out. */
    public static List<String> names(boolean leftOut) {
        return IntStream.range(0, NAMES.size())
                .filter(i -> i % EVERY == EVERY - 1 == leftOut)
                .mapToObj(NAMES::get)
                .toList();
    }

    /** Reads the calls of every recording of some sheets in a form and compares them with what is written there. */
    public static Score score(List<String> names, TranscriptForms.Form form, Collection<String> moves)
            throws IOException {
        Score score = new Score(0, 0, 0, 0, List.of());
        for (String name : names) {
            for (Recording recording : read(name)) {
                score = score.plus(score(recording, form, moves));
            }
        }
        return score;
    }

    private static Score score(Recording recording, TranscriptForms.Form form, Collection<String> moves) {
        List<Caption> captions = form.of(recording.captions(), SEED);
        List<Call> calls = CallReader.read(captions, moves);
        List<String> wrong = new ArrayList<>();
        int right = right(recording, calls, e -> form.slack(), wrong);
        int inCaption =
                right(recording, calls, e -> Math.max(form.slack(), silence(captions, e.seconds())), new ArrayList<>());
        return new Score(right, inCaption, calls.size(), recording.expected().size(), wrong);
    }

    private static int right(
            Recording recording, List<Call> found, ToDoubleFunction<Expected> slack, List<String> wrong) {
        List<Call> calls = new ArrayList<>(found);
        int right = 0;
        for (Expected e : recording.expected()) {
            double may = slack.applyAsDouble(e);
            Call hit = calls.stream()
                    .filter(c -> matches(c, e.call())
                            && c.time().seconds() > e.seconds() - BEFORE_SECONDS - may
                            && c.time().seconds() < Math.max(e.seconds() + AFTER_SECONDS, e.until()) + may)
                    .findFirst()
                    .orElse(null);
            if (hit == null) {
                wrong.add(String.format(Locale.ROOT, "not found at %.0f s: %s", e.seconds(), e.call()));
            } else {
                right++;
                calls.remove(hit);
            }
        }
        calls.forEach(c -> wrong.add(String.format(
                Locale.ROOT, "not there: %.1f s %s in \"%s\"", c.time().seconds(), written(c), c.text())));
        return right;
    }

    /** The seconds of the caption at a moment in which nothing is said. */
    private static double silence(List<Caption> captions, double seconds) {
        return captions.stream()
                .filter(c -> c.start().seconds() <= seconds && seconds < c.end().seconds())
                .mapToDouble(c -> c.end().since(c.start()).seconds()
                        - SpeechRate.DEFAULT.toSay(c.text(), true).seconds())
                .max()
                .orElse(0);
    }

    /** An expected next-up without a move takes any, a count of repetitions to the end is a count out as well; all else has to agree. */
    private static boolean matches(Call c, String expected) {
        String written = written(c);
        boolean nextUp = c.kind() == CallKind.NEXT_UP && expected.startsWith("next-up");
        boolean countsOut = c.kind() == CallKind.COUNT_OUT && expected.equals("rep-count " + c.value() + "-1");
        return written.equals(expected) || countsOut || nextUp && (expected.equals("next-up") || c.of() == null);
    }

    /** A call as the sheet writes it. */
    private static String written(Call c) {
        String value = c.value() == null ? "" : " " + c.value() + (c.to() == null ? "" : "-" + c.to());
        return c.kind().word() + value + (c.of() == null ? "" : " " + c.of());
    }
}
