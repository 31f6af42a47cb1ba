package app.nosegay.captions;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.time.Time;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;

class TranscriptWriterTest {
    @Test
    void wordsComeBackAtTheirOwnTimes() throws Exception {
        Caption timed = Caption.of(List.of(
                new Caption.Word(Time.ofSeconds(1.25), Time.ofSeconds(1.5), "Ten"),
                new Caption.Word(Time.ofSeconds(1.6), Time.ofSeconds(2), "seconds"),
                new Caption.Word(Time.ofSeconds(2.1), Time.ofSeconds(2.4), "left.")));
        Caption plain = new Caption(Time.ofSeconds(3725.5), Time.ofSeconds(3727), "Rest & breathe <out>");

        List<Caption> read = TranscriptReader.read(
                TranscriptWriter.webVtt(List.of(timed, plain)).getBytes(StandardCharsets.UTF_8));

        assertThat(read).hasSize(2);
        assertThat(read.get(0).text()).isEqualTo("Ten seconds left.");
        assertThat(read.get(0).words().get(1).start().seconds()).isEqualTo(1.6);
        assertThat(read.get(1).start().seconds()).isEqualTo(3725.5);
        assertThat(read.get(1).text()).isEqualTo("Rest & breathe <out>");
    }
}
