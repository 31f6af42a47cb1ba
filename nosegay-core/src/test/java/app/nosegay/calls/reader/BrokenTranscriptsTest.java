package app.nosegay.calls.reader;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.calls.Call;
import app.nosegay.captions.Caption;
import app.nosegay.captions.TranscriptReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

/** Transcripts cut off, in odd encodings or no transcripts at all: read as far as they go, or refused with words. */
class BrokenTranscriptsTest {
    private static final List<String> WHOLE = List.of(
            "WEBVTT\n\n00:01.000 --> 00:02.500\nNext, rows\n\n00:03.000 --> 00:04.000\nand rest\n",
            "1\n00:00:01,000 --> 00:00:02,000\nGo\n\n2\n00:00:03,000 --> 00:00:04,000\nRest\n",
            "[0:05] Welcome\n0:12 first move\nand more\n(1:02:03) the end\n",
            "{\"words\":[{\"word\":\"go\",\"start\":1.0,\"end\":1.2},{\"word\":\"rest\",\"start\":3.0,\"end\":3.5}]}");

    @Provide
    Arbitrary<byte[]> damaged() {
        return Arbitraries.longs().map(seed -> {
            Random random = new Random(seed);
            String text = WHOLE.get(random.nextInt(WHOLE.size()));
            byte[] bytes = text.getBytes(random.nextBoolean() ? StandardCharsets.UTF_8 : StandardCharsets.UTF_16);
            byte[] cut = java.util.Arrays.copyOf(bytes, random.nextInt(bytes.length + 1));
            for (int i = 0; i < random.nextInt(5) && cut.length > 0; i++) {
                cut[random.nextInt(cut.length)] = (byte) random.nextInt(256);
            }
            return cut;
        });
    }

    @Property(tries = 500)
    void damagedTranscriptsGiveCaptionsInOrderOrASentence(@ForAll("damaged") byte[] bytes) {
        check(bytes);
    }

    @Test
    void numbersInOtherScriptsAndOfAnyLengthAreRead() {
        check("0:01 \u0663\u0660 seconds left\n0:05 \uff11\uff12 reps, 99999999999 more\n"
                .getBytes(StandardCharsets.UTF_8));
    }

    @Property(tries = 200)
    void anyBytesDo(@ForAll byte[] bytes) {
        check(bytes);
    }

    private static void check(byte[] bytes) {
        try {
            List<Caption> captions = TranscriptReader.read(bytes);
            for (int i = 0; i < captions.size(); i++) {
                Caption c = captions.get(i);
                assertThat(c.end()).isGreaterThanOrEqualTo(c.start());
                assertThat(c.text()).isNotBlank();
                if (i > 0) {
                    assertThat(c.start())
                            .isGreaterThanOrEqualTo(captions.get(i - 1).start());
                }
            }
            List<Call> calls = CallReader.read(captions, List.of("goblet squat"));
            assertThat(DraftSheet.of(HeardStructure.of(calls), calls)).isNotNull();
        } catch (IOException e) {
            assertThat(e.getMessage()).isNotBlank();
        }
    }
}
