package app.nosegay.transcript;

import app.nosegay.time.DurationText;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** Recordings with the calls in them, written out by hand in a text file of the tests. */
final class CallSheet {
    record Expected(String call, double seconds) {}

    record Recording(List<Caption> captions, List<Expected> expected) {}

    private CallSheet() {}

    static List<Recording> read(String name) throws IOException {
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

    /** A call as the sheet writes it. */
    static String written(Call c) {
        String value = c.value() == null ? "" : " " + c.value() + (c.to() == null ? "" : "-" + c.to());
        return c.kind().word() + value + (c.of() == null ? "" : " " + c.of());
    }
}
