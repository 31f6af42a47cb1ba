package app.nosegay.standins;

import app.nosegay.time.DurationText;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import app.nosegay.transcript.Call;
import app.nosegay.transcript.CallKind;
import app.nosegay.transcript.CallReader;
import app.nosegay.transcript.Caption;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Spoken recordings with the calls in them, written out by hand (CONTRACTS.md section 4), and how many of them the reader finds. Nobody's
 * words.
 */
public final class CallSheet {
    /** The sheets; what each was used for stands at its head. */
    public static final List<String> NAMES = List.of(
            "calls-a.txt",
            "calls-b.txt",
            "calls-c.txt",
            "calls-d.txt",
            "calls-e.txt",
            "calls-f.txt",
            "calls-g.txt",
            "calls-h.txt",
            "calls-i.txt",
            "calls-j.txt",
            "calls-k.txt",
            "calls-l.txt",
            "calls-m.txt",
            "calls-n.txt",
            "calls-o.txt",
            "calls-p.txt",
            "calls-q.txt",
            "calls-r.txt",
            "calls-s.txt",
            "calls-t.txt",
            "calls-u.txt");

    /** A call may be found this much before its caption begins … */
    private static final double BEFORE_SECONDS = 1.5;
    /** … and this much after, as its place inside a long caption is reckoned by syllables. */
    private static final double AFTER_SECONDS = 6;

    /**
     * How a sheet was read.
     *
     * @param wrong what was missed and what was made up, a line each
     */
    public record Score(int right, int found, int there, List<String> wrong) {
        public double precision() {
            return right / (double) Math.max(1, found);
        }

        public double recall() {
            return right / (double) Math.max(1, there);
        }
    }

    public record Expected(String call, double seconds) {}

    public record Recording(List<Caption> captions, List<Expected> expected) {}

    private CallSheet() {}

    public static List<Recording> read(String name) throws IOException {
        List<Recording> recordings = new ArrayList<>();
        List<Caption> captions = new ArrayList<>();
        List<Expected> expected = new ArrayList<>();
        try (InputStream in = CallSheet.class.getResourceAsStream(name)) {
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
                if (line.startsWith("---")) {
                    recordings.add(new Recording(List.copyOf(captions), List.copyOf(expected)));
                    captions.clear();
                    expected.clear();
                } else if (!line.startsWith("#") && !line.isBlank()) {
                    String[] parts = line.split("\\|", -1);
                    Length at = DurationText.parse(parts[0].strip()).orElseThrow();
                    Length takes = SpeechRate.DEFAULT.toSay(parts[1].strip(), false);
                    captions.add(new Caption(
                            new Time<>(at.micros()), new Time<>(at.plus(takes).micros()), parts[1].strip()));
                    for (String call : parts[2].split(";")) {
                        if (!call.isBlank()) {
                            expected.add(new Expected(call.strip(), at.seconds()));
                        }
                    }
                }
            }
        }
        recordings.add(new Recording(captions, expected));
        return recordings;
    }

    /** Reads the calls of every recording of a sheet and compares them with what is written there. */
    public static Score score(String name, List<String> moves) throws IOException {
        int right = 0;
        int found = 0;
        int there = 0;
        List<String> wrong = new ArrayList<>();
        for (Recording recording : read(name)) {
            List<Call> calls = new ArrayList<>(CallReader.read(recording.captions(), moves));
            there += recording.expected().size();
            found += calls.size();
            for (Expected e : recording.expected()) {
                Call hit = calls.stream()
                        .filter(c -> matches(c, e.call())
                                && c.time().seconds() > e.seconds() - BEFORE_SECONDS
                                && c.time().seconds() < e.seconds() + AFTER_SECONDS)
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
        }
        return new Score(right, found, there, wrong);
    }

    /** An expected next-up without a move takes any; all else has to agree. */
    private static boolean matches(Call c, String expected) {
        String written = written(c);
        boolean nextUp = c.kind() == CallKind.NEXT_UP && expected.startsWith("next-up");
        return written.equals(expected) || nextUp && (expected.equals("next-up") || c.of() == null);
    }

    /** A call as the sheet writes it. */
    private static String written(Call c) {
        String value = c.value() == null ? "" : " " + c.value() + (c.to() == null ? "" : "-" + c.to());
        return c.kind().word() + value + (c.of() == null ? "" : " " + c.of());
    }
}
