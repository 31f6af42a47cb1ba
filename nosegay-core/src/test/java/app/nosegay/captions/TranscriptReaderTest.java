package app.nosegay.captions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.reader.CallReader;
import app.nosegay.time.Time;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;

class TranscriptReaderTest {
    private static List<Caption> read(String text) throws IOException {
        return TranscriptReader.read(text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void webVttWithTagsSettingsAndNotes() throws IOException {
        List<Caption> c = read(
                "WEBVTT\n\nNOTE hello\n\nintro\n00:01.000 --> 00:02.500 align:start\n<v Ann>Next, <b>rows</b>\nright "
                        + "side\n\n00:03.000 --> 00:04.000\n\n");
        assertThat(c).hasSize(1);
        assertThat(c.get(0).text()).isEqualTo("Next, rows right side");
        assertThat(c.get(0).start().seconds()).isEqualTo(1);
        assertThat(c.get(0).end().seconds()).isEqualTo(2.5);
    }

    @Test
    void subRipWithoutBlankLines() throws IOException {
        List<Caption> c = read("1\n00:00:01,000 --> 00:00:02,000\nGo\n2\n00:00:03,000 --> 00:00:04,000\nRest\n");
        assertThat(c).extracting(Caption::text).containsExactly("Go", "Rest");
    }

    @Test
    void pastedStampsInAnyBracket() throws IOException {
        List<Caption> c = read("[0:05] Welcome\n0:12 first move\nand more\n(1:02:03) the end\n");
        assertThat(c).extracting(Caption::text).containsExactly("Welcome", "first move and more", "the end");
        assertThat(c.get(2).start().seconds()).isEqualTo(3723);
        assertThat(c.get(0).end()).isEqualTo(c.get(1).start());
    }

    @Test
    void jsonWordsAreJoinedAtPauses() throws IOException {
        List<Caption> c = read(
                "[{\"word\":\"Three\",\"start\":1.0,\"end\":1.3},{\"word\":\"two\",\"start\":1.5,\"end\":1.8},{\"word\":\""
                        + "Go\",\"start\":4,\"end\":4.2}," + "{\"word\":\"bad\",\"start\":-1,\"end\":0}]");
        assertThat(c).extracting(Caption::text).containsExactly("Three two", "Go");
    }

    @Test
    void latinOneWithWindowsLineEnds() throws IOException {
        String srt = "1\r\n00:00:01,000 --> 00:00:02,000\r\nDéjà prêt? Pliés doucement, à gauche\r\n\r\n";
        assertThat(TranscriptReader.read(srt.getBytes(StandardCharsets.ISO_8859_1)))
                .extracting(Caption::text)
                .containsExactly("Déjà prêt? Pliés doucement, à gauche");
        assertThat(TranscriptReader.read(srt.getBytes(Charset.forName("UTF-16"))))
                .hasSize(1);
    }

    @Test
    void linesOutOfOrderAreSortedAndImpossibleOnesDropped() throws IOException {
        List<Caption> c = read(
                "WEBVTT\n\n00:09.000 --> 00:10.000\nlate\n\n00:01.000 --> 00:02.000\nearly\n\n00:05.000 --> 00:04.000\nbackwards\n");
        assertThat(c).extracting(Caption::text).containsExactly("early", "late");
    }

    @Test
    void whatIsNotTimedSaysSo() {
        for (String text : new String[] {"", "just words", "[1, 2", "{\"a\":1}"}) {
            assertThatThrownBy(() -> read(text))
                    .isInstanceOf(IOException.class)
                    .hasMessageMatching("(?s).*(timed line|JSON).*");
        }
    }

    @Test
    void wordsInsideACaptionGoOnInOrder() {
        Caption c = new Caption(
                app.nosegay.time.Time.ofSeconds(10),
                app.nosegay.time.Time.ofSeconds(14),
                "Three, two, one, and go now");
        List<Caption.Word> words = c.words();
        assertThat(words).hasSize(6);
        for (int i = 1; i < words.size(); i++) {
            assertThat(words.get(i).start())
                    .isGreaterThanOrEqualTo(words.get(i - 1).end());
        }
        assertThat(words.get(0).start()).isEqualTo(c.start());
        assertThat(words.get(5).end()).isLessThanOrEqualTo(c.end());
    }

    @Test
    void rollingCaptionsAreReadOnceAndKeepTheTimesOfTheirWords() throws IOException {
        String vtt = "WEBVTT\n\n00:00:01.000 --> 00:00:03.000\n \nhello<00:00:01.500><c> gardeners</c>\n\n"
                + "00:00:03.000 --> 00:00:03.010\nhello gardeners\n \n\n"
                + "00:00:03.010 --> 00:00:05.000\nhello gardeners\nfive<00:00:04.000><c> more</c><00:00:04.500><c> seconds</c>\n";
        List<Caption> captions = TranscriptReader.read(vtt.getBytes(StandardCharsets.UTF_8));
        assertThat(captions).extracting(Caption::text).containsExactly("hello gardeners", "five more seconds");
        assertThat(captions.get(1).words().get(1).start()).isEqualTo(Time.ofSeconds(4));
    }

    @Test
    void aLineShownAgainAfterAPauseIsReadOnce() throws IOException {
        String vtt =
                "WEBVTT\n\n00:00:01.000 --> 00:00:03.000\n \nthree<00:00:01.500><c> two</c><00:00:02.100><c> one</c>\n\n"
                        + "00:00:03.000 --> 00:00:03.010\nthree two one\n \n\n"
                        + "00:00:13.500 --> 00:00:15.000\nthree two one\nthat's<00:00:14.000><c> half</c>\n\n"
                        + "00:00:40.000 --> 00:00:42.000\nthat's half\nrest now\n";
        List<Caption> captions = TranscriptReader.read(vtt.getBytes(StandardCharsets.UTF_8));
        assertThat(captions).extracting(Caption::text).containsExactly("three two one", "that's half", "rest now");
        assertThat(captions.get(1).start()).isEqualTo(Time.ofSeconds(13.5));
    }

    @Test
    void aRefrainInOrdinaryCaptionsIsKept() throws IOException {
        String srt =
                "1\n00:00:01,000 --> 00:00:03,000\nkeep going\n\n2\n00:00:08,000 --> 00:00:10,000\nkeep going\nalmost there\n";
        assertThat(TranscriptReader.read(srt.getBytes(StandardCharsets.UTF_8)))
                .extracting(Caption::text)
                .containsExactly("keep going", "keep going almost there");
    }

    @Test
    void leaveToPauseIsNoRest() {
        List<Caption> said = List.of(
                new Caption(Time.ofSeconds(0), Time.ofSeconds(3), "three two one go"),
                new Caption(Time.ofSeconds(10), Time.ofSeconds(12), "now take a break whenever you need to"),
                new Caption(Time.ofSeconds(20), Time.ofSeconds(22), "feel free to take a rest"),
                new Caption(Time.ofSeconds(40), Time.ofSeconds(42), "okay take a break."));
        assertThat(CallReader.read(said, List.of("squat")).stream().filter(c -> c.kind() == CallKind.REST))
                .extracting(Call::time)
                .containsExactly(Time.ofSeconds(40));
    }

    @Test
    void wordTimesOfJsonAreKept() throws IOException {
        String json = "[{\"word\":\"and\",\"start\":7.1,\"end\":7.3},{\"word\":\"rest\",\"start\":7.9,\"end\":8.2}]";
        List<Caption> captions = TranscriptReader.read(json.getBytes(StandardCharsets.UTF_8));
        assertThat(captions.get(0).words().get(1).start()).isEqualTo(Time.ofSeconds(7.9));
    }

    @Test
    void whoSpeaksIsReadFromVoiceTagsAndWordLists() throws IOException {
        List<Caption> vtt = TranscriptReader.read(("WEBVTT\n\n00:01.000 --> 00:02.000\n<v.loud Fern>Down we go</v>\n\n"
                        + "00:03.000 --> 00:06.000\n<v Fern>One more.</v> <v Ash>And rest now.</v>\n\n"
                        + "00:07.000 --> 00:08.000\nMusic\n")
                .getBytes(StandardCharsets.UTF_8));
        assertThat(vtt).extracting(Caption::text).containsExactly("Down we go", "One more.", "And rest now.", "Music");
        assertThat(vtt).extracting(Caption::speaker).containsExactly("Fern", "Fern", "Ash", "");
        assertThat(vtt.get(1).start()).isEqualTo(Time.ofSeconds(3));
        assertThat(vtt.get(2).start()).isEqualTo(vtt.get(1).end()).isLessThan(Time.ofSeconds(6));
        List<Caption> words = TranscriptReader.read(("[{\"word\":\"Go\",\"start\":1,\"end\":1.2,\"speaker\":\"Fern\"},"
                        + "{\"word\":\"Rest\",\"start\":1.3,\"end\":1.6,\"speaker\":\"Ash\"}]")
                .getBytes(StandardCharsets.UTF_8));
        assertThat(words).extracting(Caption::speaker).containsExactly("Fern", "Ash");
    }
}
