package app.nosegay.captions;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.cut.Cut;
import app.nosegay.publish.Captions;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class TimedTextTest {
    private static TimedText.Cue cue(double start, double end, String text) {
        return new TimedText.Cue(new Span<>(Time.ofSeconds(start), Time.ofSeconds(end)), text);
    }

    private static Cut cut(double from, double to) {
        return new Cut(List.of(new Cut.Clip("t", new Span<>(Time.ofSeconds(from), Time.ofSeconds(to)), Time.zero())));
    }

    private static Caption caption(double start, double end, String text) {
        return new Caption(Time.ofSeconds(start), Time.ofSeconds(end), text);
    }

    @Test
    void webVttIsEscapedAndReadsBack() throws IOException {
        String vtt = TimedText.webVtt(List.of(cue(0, 1.5, "Salt & <vinegar> --> now"), cue(3661.25, 3662, "Later")));
        assertThat(vtt).startsWith("WEBVTT\n\n1\n00:00:00.000 --> 00:00:01.500\nSalt &amp; &lt;vinegar> -&gt; now\n");
        assertThat(vtt).contains("01:01:01.250 --> 01:01:02.000\nLater\n");
        List<Caption> back = TranscriptReader.read(vtt.getBytes(StandardCharsets.UTF_8));
        assertThat(back).extracting(Caption::text).containsExactly("Salt & <vinegar> -> now", "Later");
    }

    @Test
    void subRipUsesCommas() {
        assertThat(TimedText.subRip(List.of(cue(1, 2, "Go!")))).isEqualTo("1\n00:00:01,000 --> 00:00:02,000\nGo!\n\n");
    }

    @Test
    void whoSpeaksIsToldInBothForms() throws IOException {
        List<TimedText.Cue> cues = List.of(
                new TimedText.Cue(cue(0, 1, "").span(), "Down we go", "Fern"),
                new TimedText.Cue(cue(1, 2, "").span(), "and up", "Fern"),
                new TimedText.Cue(cue(2, 3, "").span(), "And rest.", "Ash > Co"),
                cue(3, 4, "Music"));
        String vtt = TimedText.webVtt(cues);
        assertThat(vtt).contains("\n<v Fern>Down we go\n", "\n<v Ash Co>And rest.\n", "\nMusic\n");
        assertThat(TranscriptReader.read(vtt.getBytes(StandardCharsets.UTF_8)))
                .extracting(Caption::speaker)
                .containsExactly("Fern", "Fern", "Ash Co", "");
        assertThat(TimedText.subRip(cues))
                .contains("\nFern: Down we go\n", "\nand up\n", "\nAsh > Co: And rest.\n", "\nMusic\n");
        assertThat(TimedText.subRip(cues.subList(0, 2))).doesNotContain("Fern");
    }

    @Test
    void metadataEscapesItsOwnSigns() {
        String text = TimedText.ffMetadata("A=B;C", List.of(cue(0, 10, "#1 \\ up")));
        assertThat(text)
                .isEqualTo(
                        ";FFMETADATA1\ntitle=A\\=B\\;C\n\n[CHAPTER]\nTIMEBASE=1/1000\nSTART=0\nEND=10000\ntitle=\\#1 \\\\ up\n");
    }

    @Test
    void descriptionLinesAreWhatHostsRead() {
        assertThat(TimedText.descriptionLines(
                        List.of(cue(0, 75, "Welcome"), cue(75.9, 4000, "Main"), cue(4000, 4100, "End"))))
                .isEqualTo("0:00 Welcome\n1:15 Main\n1:06:40 End\n");
    }

    @Test
    void captionsFollowTheCutAndNeverOverlap() {
        List<Caption> said = List.of(
                caption(1, 2, "cut away"),
                caption(11, 15, "first"),
                caption(13, 14, "second"),
                caption(19.9, 25, "runs over the end"));
        List<TimedText.Cue> cues = Captions.of(Map.of("t", said), cut(10, 20));
        assertThat(cues).extracting(TimedText.Cue::text).containsExactly("first", "second", "runs over the end");
        assertThat(cues.get(0).span().end()).isEqualTo(Time.ofSeconds(3));
        assertThat(cues.get(2).span().end()).isEqualTo(Time.ofSeconds(10));
    }

    @Test
    void longCaptionsBreakBetweenWords() {
        String text = "Take one long step back and drop straight down until the knee is a fist above the floor";
        List<TimedText.Cue> cues = Captions.of(Map.of("t", List.of(caption(1, 9, text))), cut(0, 20));
        assertThat(cues).hasSize(2).allSatisfy(c -> {
            assertThat(c.text().split("\n")).hasSizeLessThanOrEqualTo(2);
            assertThat(c.text().split("\n"))
                    .allSatisfy(l -> assertThat(l.length()).isLessThanOrEqualTo(42));
        });
        assertThat(cues.get(1).span().start()).isEqualTo(cues.get(0).span().end());
        String all = cues.get(0).text() + " " + cues.get(1).text();
        assertThat(all.replace('\n', ' ')).isEqualTo(text);
    }

    @Test
    void theCutMapsBothWaysAndKnowsWhatItLeftOut() {
        Cut cut = cut(10, 20);
        assertThat(cut.toCut("t", Time.ofSeconds(12))).contains(Time.<Axis.Cut>ofSeconds(2));
        assertThat(cut.toCut("t", Time.ofSeconds(9))).isEmpty();
        assertThat(cut.toCut("other", Time.ofSeconds(12))).isEmpty();
        assertThat(cut.clipAt(Time.ofSeconds(99))).isPresent();
        assertThat(new Cut(List.of()).clipAt(Time.zero())).isEmpty();
    }
}
