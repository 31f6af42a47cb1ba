package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.files.Fingerprint;
import app.nosegay.media.Progress;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What lies in the target folder already is never lost to an export. */
class FilesInTheWayTest {

    @TempDir
    private static Path folder;

    private static WorkoutMedia media;
    private static Programme programme;

    @BeforeAll
    static void film() throws IOException {
        SmallBeds filmed = SmallBeds.film(folder);
        media = filmed.media();
        programme = filmed.programme();
    }

    private static final PublishJob.Choices DRAFT = new PublishJob.Choices(
            PublishVideo.Shape.AS_FILMED, PublishVideo.Quality.DRAFT, PublishJob.Choices.USUAL.template());

    @Test
    void aRecordingOrItsWordsInTheTargetFolderAreNeverWrittenOver() throws IOException {
        Path take = Files.copy(
                folder.resolve("take-1.mp4"),
                Files.createDirectory(folder.resolve("mixed")).resolve("video.mp4"));
        Workout.TakeRef named = Media.reference(take.getParent(), "take-1", take, 60, null, null);
        Workout workout = programme
                .workout()
                .withTakes(List.of(named), programme.workout().pins());
        WorkoutMedia mixed = WorkoutMedia.read(workout, take.getParent(), Progress.NONE);
        String before = Fingerprint.of(take);
        assertThatThrownBy(() -> PublishJob.write(
                        Output.VIDEO,
                        new PublishJob.Export(mixed.programme(workout), mixed, take.getParent(), true, DRAFT),
                        Progress.NONE))
                .hasMessageContaining("never written over");
        assertThat(Fingerprint.of(take)).isEqualTo(before);
    }

    @Test
    void aTextChangedByHandIsKeptBesideAndOurOwnIsReplaced() throws IOException {
        Path out = folder.resolve("hand");
        PublishJob.texts(programme, media, out, false);
        Path description = out.resolve("description.txt");
        Path chapters = out.resolve("chapters.txt");
        Files.writeString(description, "A much better description.");
        assertThat(PublishJob.inTheWay(List.of(Output.DESCRIPTION, Output.CHAPTER_LINES, Output.VIDEO), out))
                .containsExactly(new Replacing.InTheWay(description, true), new Replacing.InTheWay(chapters, false));
        PublishJob.texts(programme, media, out, true);
        assertThat(Files.readString(description)).contains("Small Beds");
        assertThat(beside(out, "yours")).singleElement().satisfies(f -> {
            assertThat(f.getFileName().toString()).startsWith("description (yours ");
            assertThat(f).hasContent("A much better description.");
        });
    }

    @Test
    void whatCannotBeWrittenLeavesTheHandWrittenFileInItsPlace() throws IOException {
        Path out = Files.createDirectories(folder.resolve("place"));
        Path mine = Files.writeString(out.resolve("video.mp4"), "not a video, but mine");
        assertThatThrownBy(() -> PublishJob.write(
                        Output.VIDEO, new PublishJob.Export(programme, media, out, true, DRAFT), share -> {
                            throw new CancellationException();
                        }))
                .isInstanceOf(CancellationException.class);
        assertThat(mine).hasContent("not a video, but mine");
        assertThat(beside(out, "yours")).isEmpty();
    }

    @Test
    void theFolderOfLayerPicturesKeepsWhatIsNotNosegays() throws IOException {
        Path out = folder.resolve("layers");
        Path layer = Files.createDirectories(out.resolve("layer"));
        Path mine = Files.writeString(layer.resolve("notes.txt"), "mine");
        Path clash = Files.writeString(layer.resolve("layer-0000000.png"), "also mine");
        PublishJob.write(
                Output.LAYER_PICTURES, new PublishJob.Export(programme, media, out, true, DRAFT), Progress.NONE);
        long pictures = pictures(layer);
        assertThat(pictures).isGreaterThan(10);
        PublishJob.write(
                Output.LAYER_PICTURES, new PublishJob.Export(programme, media, out, true, DRAFT), Progress.NONE);
        assertThat(pictures(layer)).as("the old ones went").isEqualTo(pictures);
        assertThat(mine).hasContent("mine");
        assertThat(beside(layer, "yours")).singleElement().satisfies(f -> assertThat(f)
                .hasContent("also mine"));
        assertThat(clash).isNotEmptyFile();
    }

    private static long pictures(Path layer) throws IOException {
        try (Stream<Path> files = Files.list(layer)) {
            return files.filter(f -> f.getFileName().toString().matches("layer-\\d+\\.png"))
                    .count();
        }
    }

    private static List<Path> beside(Path folder, String why) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(f -> f.getFileName().toString().contains("(" + why + " "))
                    .toList();
        }
    }
}
