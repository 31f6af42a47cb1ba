package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.media.Device;
import app.nosegay.media.MediaCheck;
import app.nosegay.media.Progress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Lines that are said once more before the camera are recorded, and heard each where it was up. */
class LinesRunTest {
    private static final int HZ = 16000;
    private static final List<String> LINES =
            List.of("Keep your chest tall, weight through the whole foot.", "Put your hands on a wall.");

    @TempDir
    private Path folder;

    @Test
    void whatIsSaidIsRecordedAndHeard() throws Exception {
        Path voice = folder.resolve("voice.wav");
        double[] ends = spoken(voice);
        // As a camera would: picture and sound come as fast as time goes.
        Device room = new Device(
                "lavfi",
                "testsrc2=size=320x180:rate=30,realtime[out0];amovie=" + voice + ",aresample=48000,arealtime[out1]",
                "room");
        Path movie = KeptRecording.freeLines(folder);
        assertThat(movie).hasFileName("lines-1.mp4");
        LinesRun run = new LinesRun(LINES, new KeptRecording(room, null, movie, LINES.size() * LinesRun.EACH, s -> {}));
        assertThat(KeptRecording.freeLines(folder)).as("while it is recorded").hasFileName("lines-2.mp4");
        Thread.sleep(Math.round(1000 * ends[0]));
        assertThat(run.level()).isNotNegative();
        assertThat(run.next()).isTrue();
        assertThat(run.at()).isEqualTo(1);
        Thread.sleep(Math.round(1000 * (ends[1] - ends[0])));
        assertThat(run.next()).as("there is no third").isFalse();
        run.end();

        LinesRun.Heard heard = run.heard(Progress.NONE);

        assertThat(heard.movie()).isEqualTo(movie);
        assertThat(MediaCheck.check(movie).length().seconds()).isBetween(ends[1] - 1, ends[1] + 3);
        List<Caption> captions = WorkoutMedia.transcript(Media.transcriptBeside(movie));
        assertThat(captions).hasSize(heard.lines());
        assertThat(captions).extracting(Caption::text).anyMatch(t -> t.contains("weight through the whole foot"));
        assertThat(captions).extracting(Caption::text).anyMatch(t -> t.contains("hands on a wall"));
        assertThat(captions.get(captions.size() - 1).start().seconds()).isGreaterThan(ends[0] - 1);
    }

    /** Whoever films with a camera of their own reads the same page. */
    @Test
    void withoutACameraNothingIsKept() throws Exception {
        try (LinesRun run = new LinesRun(LINES, null)) {
            assertThat(run.level()).isNegative();
            assertThat(run.back()).as("there is none before the first").isFalse();
            assertThat(run.next()).isTrue();
            assertThat(run.back()).isTrue();
            assertThat(run.at()).isZero();
            run.end();
            assertThat(run.heard(Progress.NONE).movie()).isNull();
        }
        assertThat(folder).isEmptyDirectory();
    }

    /** The lines with a second of quiet around each; where each of these parts ends. */
    private static double[] spoken(Path wav) throws Exception {
        SpokenSound sound = new SpokenSound();
        double[] ends = new double[LINES.size()];
        for (int i = 0; i < LINES.size(); i++) {
            ends[i] = sound.quiet(1).says(LINES.get(i)).quiet(1).seconds();
        }
        // The room goes on after the last word.
        sound.quiet(5).write(wav);
        assertThat(Files.size(wav)).isPositive();
        return ends;
    }
}
