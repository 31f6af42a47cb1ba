package app.nosegay.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.jobs.WorkoutFile;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MovieFormat;
import app.nosegay.media.MovieWriter;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What leaves a creator's folder: a packed workout, a package before the stand-in channel. */
class HandOverTest {
    @TempDir
    private Path folder;

    private static void film(Path file, int width, int height, int seconds, boolean sound) throws IOException {
        BufferedImage frame = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        float[] silence = new float[2 * MovieWriter.SOUND_HZ / 5];
        try (MovieWriter writer = new MovieWriter(
                file,
                new MovieFormat(width, height, new FrameRate(5, 1), EncoderSettings.DRAFT, sound),
                "",
                List.of())) {
            for (int n = 0; n < seconds * 5; n++) {
                writer.picture(frame, n);
                if (sound) {
                    writer.sound(silence, 0, silence.length / 2);
                }
            }
            writer.finish();
        }
    }

    private Path packageOf(int seconds, boolean sound) throws IOException {
        Path published = Files.createDirectories(folder.resolve("published"));
        film(published.resolve("video.mp4"), 320, 180, seconds, sound);
        Files.writeString(published.resolve("description.txt"), "Potting Shed Strength\n\nSix moves.\n");
        Files.writeString(published.resolve("chapters.txt"), "0:00 Hello\n0:20 Work\n1:10 Goodbye\n");
        Files.write(published.resolve("cover-1280x720.png"), new byte[] {1});
        return published;
    }

    @Test
    void aPackageIsAcceptedAndTheAnswerIsKept() throws IOException {
        Path published = packageOf(80, true);
        Path json = folder.resolve("answer.json");
        assertThat(Ran.of("channel", published, "--json", json).code()).isZero();
        JsonNode answer = JsonMapper.builder().build().readTree(json.toFile());
        assertThat(answer.path("accepted").asBoolean()).isTrue();
        assertThat(answer.path("title").asText()).isEqualTo("Potting Shed Strength");
        JsonNode history = JsonMapper.builder()
                .build()
                .readTree(published.resolve("channel-history.json").toFile());
        assertThat(history).hasSize(1);
        Ran.of("channel", published, "--title", "Another");
        assertThat(JsonMapper.builder()
                        .build()
                        .readTree(published.resolve("channel-history.json").toFile()))
                .hasSize(2);
    }

    @Test
    void aRefusalGivesEveryReasonAndAnExitCodeOfItsOwn() throws IOException {
        Path published = packageOf(8, false);
        Files.writeString(published.resolve("chapters.txt"), "0:03 Hello\n0:05 Work\n1:10 Goodbye\n");
        Ran run = Ran.of("channel", published, "--title", "x".repeat(300));
        assertThat(run.code()).isEqualTo(Main.STOPPED_BY_FINDINGS);
        assertThat(run.out())
                .contains("refused")
                .contains("characters")
                .contains("no sound")
                .contains("lasts")
                .contains("0:00")
                .contains("shorter than 10 s");
    }

    @Test
    void whatIsNoPackageOrNoProfileIsBadInputInOneLine() throws IOException {
        Ran nowhere = Ran.of("channel", folder.resolve("nowhere"));
        assertThat(nowhere.code()).isEqualTo(Main.BAD_INPUT);
        assertThat(nowhere.err().strip().lines()).hasSize(1).first().asString().contains("nowhere");
        Ran unknown = Ran.of("channel", packageOf(5, true), "--profile", "cinema");
        assertThat(unknown.code()).isEqualTo(Main.BAD_INPUT);
        assertThat(unknown.err()).contains("cinema").contains("long-video");
    }

    /** A small workout matched with a recording made for it. */
    private Path matched(Path movie) throws IOException {
        film(movie, 160, 90, 6, true);
        Path sheet = Files.writeString(folder.resolve("plan.txt"), "title: Small\ntalk Hi  0:03\ntalk Bye  0:03\n");
        Path workout = folder.resolve("small" + WorkoutFile.ENDING);
        assertThat(Ran.of("match", sheet, "--footage", movie, "--save", workout).code())
                .isZero();
        return workout;
    }

    @Test
    void aWorkoutIsPackedWithItsRecordingAndNothingIsReplaced() throws IOException {
        Path movie = folder.resolve("kitchen.mp4");
        Path workout = matched(movie);
        Path target = folder.resolve("usb");
        Ran packed = Ran.of("pack", workout, "--out", target);
        assertThat(packed.code()).isZero();
        assertThat(packed.out().strip())
                .isEqualTo(target.resolve("small" + WorkoutFile.ENDING).toString());
        assertThat(target.resolve("kitchen.mp4")).hasSameBinaryContentAs(movie);
        Ran again = Ran.of("pack", workout, "--out", target);
        assertThat(again.code()).isEqualTo(Main.BAD_INPUT);
        assertThat(again.err()).contains("already");
    }

    @Test
    void twoTakesBecomeOneAndStayWhereTheyAre() throws IOException {
        Path first = folder.resolve("clip-1.mp4");
        Path second = folder.resolve("clip-2.mp4");
        film(first, 160, 90, 4, true);
        film(second, 160, 90, 3, true);
        Path sheet = Files.writeString(folder.resolve("plan.txt"), "title: Small\ntalk Hi  0:03\ntalk Bye  0:03\n");
        Path workout = folder.resolve("small" + WorkoutFile.ENDING);
        Ran.of("match", sheet, "--footage", first, "--footage", second, "--save", workout);
        Ran refused = Ran.of("join", workout, "take-1", "take-2", "--save", workout);
        assertThat(refused.code()).isEqualTo(Main.BAD_INPUT);
        assertThat(refused.err()).contains("--overwrite");
        Ran joined = Ran.of("join", workout, "take-1", "take-2", "--save", workout, "--overwrite");
        assertThat(joined.code()).as(joined.err()).isZero();
        assertThat(WorkoutFile.open(workout).takes()).singleElement().satisfies(t -> {
            assertThat(t.id()).isEqualTo("take-1");
            assertThat(t.file()).isEqualTo("clip-1-joined.mp4");
            assertThat(t.seconds()).isCloseTo(7, within(0.1));
        });
        assertThat(first).exists();
        assertThat(second).exists();
        Ran unknown = Ran.of("join", workout, "take-1", "take-9", "--save", workout, "--overwrite");
        assertThat(unknown.code()).isEqualTo(Main.BAD_INPUT);
        assertThat(unknown.err()).contains("no take \"take-9\"").contains("take-1");
    }

    @Test
    void takesOfDifferentSizesAreNotJoined() throws IOException {
        Path first = folder.resolve("clip-1.mp4");
        Path second = folder.resolve("clip-2.mp4");
        film(first, 160, 90, 4, true);
        film(second, 320, 180, 3, true);
        Path sheet = Files.writeString(folder.resolve("plan.txt"), "title: Small\ntalk Hi  0:03\ntalk Bye  0:03\n");
        Path workout = folder.resolve("small" + WorkoutFile.ENDING);
        Ran.of("match", sheet, "--footage", first, "--footage", second, "--save", workout);
        Ran refused = Ran.of("join", workout, "take-1", "take-2", "--save", folder.resolve("other.nosegay.json"));
        assertThat(refused.code()).isEqualTo(Main.BAD_INPUT);
        assertThat(refused.err()).contains("clip-2.mp4").contains("other settings");
        assertThat(folder.resolve("clip-1-joined.mp4")).doesNotExist();
        assertThat(folder.resolve("clip-1-joined.mp4.part")).doesNotExist();
        assertThat(folder.resolve("other.nosegay.json")).doesNotExist();
    }

    @Test
    void proofAndPublishFindARecordingThatWasMoved() throws IOException {
        Path movie = folder.resolve("kitchen.mp4");
        Path workout = matched(movie);
        Files.createDirectories(folder.resolve("camera"));
        Files.move(movie, folder.resolve("camera/moved.mp4"));
        Ran proof = Ran.of("proof", workout);
        assertThat(proof.code()).as(proof.err()).isNotEqualTo(Main.BAD_INPUT);
        Files.delete(folder.resolve("camera/moved.mp4"));
        Ran gone = Ran.of("proof", workout);
        assertThat(gone.code()).isEqualTo(Main.BAD_INPUT);
        assertThat(gone.err()).contains("kitchen.mp4");
    }
}
