package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MediaInput;
import app.nosegay.media.MovieFormat;
import app.nosegay.media.MovieWriter;
import app.nosegay.paint.Typefaces;
import app.nosegay.publish.Description;
import app.nosegay.workout.Workout;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What an earlier window left behind, and where it goes. */
class LeftoversTest extends HomeFolder {
    @TempDir
    private Path folder;

    private static Workout titled(String title) {
        return Workout.EMPTY.withSheet("title: " + title + "\n");
    }

    private static Path film(Path movie) throws IOException {
        BufferedImage frame = new BufferedImage(64, 36, BufferedImage.TYPE_INT_RGB);
        try (MovieWriter writer = new MovieWriter(
                movie, new MovieFormat(64, 36, new FrameRate(25, 1), EncoderSettings.TAKE, false), "", List.of())) {
            for (int n = 0; n < 50; n++) {
                writer.picture(frame, n);
            }
            writer.finish();
        }
        return movie;
    }

    @Test
    void aWorkoutNeverSavedIsOfferedOnceItsWindowIsGone() throws IOException {
        assertThat(UnsavedWorkouts.left()).isEmpty();
        try (UnsavedWorkouts.Place place = UnsavedWorkouts.begin()) {
            WorkoutFile.save(place.file(), titled("Bean rows"));
            assertThat(UnsavedWorkouts.left()).as("its window is open").isEmpty();
            assertThatThrownBy(() -> UnsavedWorkouts.again(place.file())).hasMessageContaining("another window");
        }
        try (UnsavedWorkouts.Place second = UnsavedWorkouts.begin()) {
            WorkoutFile.save(second.file(), Workout.EMPTY.withSheet("circuit A\n"));
        }
        List<UnsavedWorkouts.Unsaved> left = UnsavedWorkouts.left();
        assertThat(left).extracting(UnsavedWorkouts.Unsaved::title).contains("Bean rows");
        assertThat(left).extracting(UnsavedWorkouts.Unsaved::title).anyMatch(t -> t.startsWith("Workout of 20"));
        for (UnsavedWorkouts.Unsaved one : left) {
            try (UnsavedWorkouts.Place again = UnsavedWorkouts.again(one.file())) {
                again.remove();
            }
        }
        assertThat(UnsavedWorkouts.left()).isEmpty();
    }

    @Test
    void aBrokenOneIsOfferedByItsDate() throws IOException {
        Path unsaved = Files.createDirectories(home.resolve("unsaved"));
        Files.writeString(unsaved.resolve("2026-01-02 03.04.05.nosegay.json"), "{ half");
        assertThat(UnsavedWorkouts.left())
                .extracting(UnsavedWorkouts.Unsaved::title)
                .containsExactly("Workout of 2026-01-02 03.04.05");
    }

    @Test
    void aRecordingThatWasCutOffIsFoundAndNamed() throws IOException {
        Path movie = folder.resolve("shoot-3.mp4");
        CutOffRecordings.begun(movie);
        assertThat(CutOffRecordings.anywhere()).as("nothing was recorded").isEmpty();
        CutOffRecordings.begun(movie);
        Files.move(film(folder.resolve("x.mp4")), CutOffRecordings.part(movie));
        Files.writeString(folder.resolve("shoot-4.mp4.part"), "not even a second");
        try (WriteLock going = WriteLock.take(movie).orElseThrow()) {
            assertThat(going).isNotNull();
            assertThat(CutOffRecordings.in(folder)).as("it is going on").isEmpty();
        }
        assertThat(CutOffRecordings.anywhere())
                .extracting(CutOffRecordings.CutOff::movie)
                .containsExactly(movie);
        CutOffRecordings.CutOff found = CutOffRecordings.in(folder).get(0);
        assertThat(found.seconds()).isGreaterThan(1.5);
        assertThat(CutOffRecordings.keep(found)).isEqualTo(movie);
        assertThat(MediaInput.probe(movie).length().seconds()).isGreaterThan(1.5);
        assertThat(CutOffRecordings.anywhere())
                .as("it has its name, and still belongs to no workout")
                .containsExactly(new CutOffRecordings.CutOff(movie, found.seconds(), true));
        CutOffRecordings.ended(movie);
        assertThat(CutOffRecordings.anywhere()).isEmpty();
        Files.copy(movie, CutOffRecordings.part(movie));
        Path beside = CutOffRecordings.keep(CutOffRecordings.in(folder).get(0));
        assertThat(beside.getFileName().toString()).startsWith("shoot-3 (cut off ");
        assertThat(CutOffRecordings.in(folder.resolve("gone"))).isEmpty();
    }

    /** Killed between its last picture and its place in the workout, a recording is offered again until it is in one. */
    @Test
    void aFinishedRecordingIsOfferedUntilItIsInAWorkout() throws IOException {
        Path movie = film(folder.resolve("shoot-5.mp4"));
        Path elsewhere = film(Files.createDirectories(folder.resolve("other")).resolve("shoot-1.mp4"));
        assertThat(CutOffRecordings.in(folder)).as("nobody recorded it here").isEmpty();
        CutOffRecordings.begun(movie);
        CutOffRecordings.begun(elsewhere);
        assertThat(CutOffRecordings.in(folder))
                .extracting(CutOffRecordings.CutOff::movie)
                .containsExactly(movie);
        CutOffRecordings.CutOff found = CutOffRecordings.in(folder).get(0);
        assertThat(found.finished()).isTrue();
        assertThat(CutOffRecordings.keep(found)).as("it has its name").isEqualTo(movie);
        CutOffRecordings.ended(movie);
        assertThat(CutOffRecordings.in(folder)).isEmpty();
        Files.delete(elsewhere);
        assertThat(CutOffRecordings.anywhere()).as("what is gone is forgotten").isEmpty();
    }

    @Test
    void aTakeThatComesLateGoesToItsWorkoutAndToWhatWasNotSavedOfIt() throws IOException {
        Path file = folder.resolve("w.nosegay.json");
        assertThat(LateTake.isPossible(file)).isFalse();
        WorkoutFile.save(file, titled("Saved"));
        WorkoutFile.autosave(file, titled("Changed"));
        Workout.TakeRef take = Media.reference(folder, "take-9", film(folder.resolve("late.mp4")), 2, null, null);
        assertThat(LateTake.isPossible(file)).isTrue();
        LateTake.add(file, take);
        LateTake.add(file, take);
        assertThat(WorkoutFile.open(file).takes())
                .extracting(Workout.TakeRef::id, Workout.TakeRef::file)
                .containsExactly(org.assertj.core.groups.Tuple.tuple("take-1", "late.mp4"));
        Workout changed = WorkoutFile.recovered(file).orElseThrow();
        assertThat(changed.sheet()).contains("Changed");
        assertThat(changed.takes()).hasSize(1);
        try (WriteLock elsewhere = WriteLock.take(file).orElseThrow()) {
            assertThat(elsewhere).isNotNull();
            assertThatThrownBy(() -> LateTake.add(file, take)).hasMessageContaining("late.mp4");
        }
    }

    @Test
    void anEndThatWasNoneIsToldOnce() throws IOException {
        assertThat(RunMarker.left()).isEmpty();
        try (RunMarker open = RunMarker.open()) {
            assertThat(open).isNotNull();
            assertThat(RunMarker.left()).as("it is running").isEmpty();
        }
        Files.writeString(FailureLog.folder().resolve("open-999999999"), "2026-01-02 03:04");
        assertThat(RunMarker.left()).containsExactly("2026-01-02 03:04");
        assertThat(RunMarker.left()).isEmpty();
    }

    @Test
    void fontsAreLaidOnceAndMendedWhereDamaged() throws IOException {
        String before = System.getProperty(Typefaces.FOLDER);
        try {
            ShippedFonts.lay();
            Path font = Typefaces.file(Typefaces.FILES.get(0)).orElseThrow();
            assertThat(font).startsWith(home);
            long size = Files.size(font);
            Files.writeString(font, "damaged");
            ShippedFonts.lay();
            assertThat(Files.size(font)).isEqualTo(size);
        } finally {
            if (before == null) {
                System.clearProperty(Typefaces.FOLDER);
            } else {
                System.setProperty(Typefaces.FOLDER, before);
            }
        }
    }

    @Test
    void theTemplateOfTheDescriptionIsKeptUntilItIsTheShippedOne() throws IOException {
        assertThat(DescriptionTemplate.current()).isEqualTo(Description.TEMPLATE);
        DescriptionTemplate.keep("{title}\nmine");
        assertThat(DescriptionTemplate.current()).isEqualTo("{title}\nmine");
        DescriptionTemplate.keep(Description.TEMPLATE);
        assertThat(home.resolve("description.txt")).doesNotExist();
    }

    @Test
    void whatIsReadIsNeverWrittenOverByWhateverPath() throws IOException {
        Path sheet = Files.writeString(folder.resolve("plan.txt"), "title: x\n");
        ProtectedFiles files = new ProtectedFiles().with(sheet).with((Path) null);
        files.check(folder.resolve("other.txt"));
        for (Path same :
                List.of(sheet, folder.resolve("a/../plan.txt"), Files.createLink(folder.resolve("linked"), sheet))) {
            assertThatThrownBy(() -> files.check(same)).hasMessageContaining("never written over");
        }
    }
}
