package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.captions.Caption;
import app.nosegay.media.Progress;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Old videos with long captions: the words stand where the voice is. */
class SaidInVideoTest {
    private static final List<String> LINES = List.of(
            "Here we go, goblet squats.",
            "Halfway there, keep the chest up.",
            "Ten seconds left.",
            "And rest, shake out your arms.");
    private static final double[] QUIET = {2, 9, 4, 6};

    @TempDir
    Path folder;

    private final List<Double> starts = new ArrayList<>();

    /** The lines with pauses of very different lengths, and one caption over all of them, beside it. */
    private Path video(String text) throws IOException {
        SpokenSound sound = new SpokenSound();
        for (int i = 0; i < LINES.size(); i++) {
            starts.add(sound.quiet(QUIET[i]).seconds());
            sound.says(LINES.get(i));
        }
        sound.write(folder.resolve("old.wav"));
        Files.writeString(
                folder.resolve("old.vtt"),
                String.format("WEBVTT%n%n00:00.000 --> 00:%06.3f%n%s%n", sound.seconds(), text));
        return folder.resolve("old.wav");
    }

    @Test
    void aLongCaptionGoesWithTheVoice() throws IOException {
        Path video = video(String.join(" ", LINES));
        Caption caption = SaidInVideo.captions(video, Progress.NONE).get(0);
        assertThat(at(caption, "Here")).isCloseTo(starts.get(0), within(0.5));
        assertThat(at(caption, "Halfway")).isCloseTo(starts.get(1), within(0.5));
        assertThat(at(caption, "Ten")).isCloseTo(starts.get(2), within(0.5));
        assertThat(at(caption, "And")).isCloseTo(starts.get(3), within(0.5));
        assertThat(SaidInVideo.lines(List.of(caption)))
                .extracting(Caption::text)
                .containsExactlyElementsOf(LINES);
        assertThat(SaidInVideo.captions(folder.resolve("old.vtt"), Progress.NONE)
                        .get(0)
                        .timed())
                .as("without the recording nobody knows")
                .isEmpty();
    }

    @Test
    void itCanBeStoppedAndNeedsATranscript() throws IOException {
        Path video = video("Ten seconds left.");
        assertThatThrownBy(() -> SaidInVideo.captions(video, share -> {
                    throw new CancellationException();
                }))
                .isInstanceOf(CancellationException.class);
        Files.delete(folder.resolve("old.vtt"));
        assertThatThrownBy(() -> SaidInVideo.captions(video, Progress.NONE))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("old.wav");
    }

    private static double at(Caption caption, String word) {
        return caption.timed().stream()
                .filter(w -> w.text().equals(word))
                .findFirst()
                .orElseThrow()
                .start()
                .seconds();
    }
}
