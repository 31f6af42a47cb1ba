package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.media.Progress;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Plans that begin with something else, and the workouts that were open lately. */
class PlanFromTest {
    @TempDir
    Path folder;

    private String before;

    @BeforeEach
    void aSettingsFolderOfItsOwn() {
        before = System.getProperty("nosegay.home");
        System.setProperty("nosegay.home", folder.resolve("home").toString());
    }

    @AfterEach
    void asItWas() {
        if (before == null) {
            System.clearProperty("nosegay.home");
        } else {
            System.setProperty("nosegay.home", before);
        }
    }

    @Test
    void notesBecomeASheetAndASheetStays() {
        String sheet = PlanFrom.notes("Squats 3x12\nwiggle of mine 30s\n");
        assertThat(RunSheetParser.parse(sheet, MoveLibrary.shipped()).errors()).isEmpty();
        assertThat(sheet).contains("  squat  sets 3  reps 12", "  wiggle of mine  work 0:30");
        String written = "circuit  work 0:30\n  squat\n";
        assertThat(PlanFrom.notes(written)).isEqualTo(written);
        assertThat(PlanFrom.request("20 min legs with a kettlebell please")).contains("20 min");
    }

    @Test
    void anOldVideoIsReadFromItsCaptions() throws IOException {
        Path captions = folder.resolve("old.vtt");
        Files.writeString(
                captions,
                "WEBVTT\n\n00:10.000 --> 00:13.000\nFirst move, squats. Three, two, one, go!\n\n"
                        + "00:50.000 --> 00:52.000\nAnd rest.\n\n01:05.000 --> 01:09.000\n"
                        + "Next up, push-ups. Three, two, one, go!\n\n01:50.000 --> 01:52.000\nAnd rest.\n");
        assertThat(PlanFrom.video(captions)).contains("squat", "push-up");
        Path movie = Files.write(folder.resolve("old.mp4"), new byte[] {1});
        assertThat(PlanFrom.video(movie)).contains("squat");
        assertThat(PlanFrom.text(captions)).contains("squat");
        Path lonely = Files.write(folder.resolve("lonely.mp4"), new byte[] {1});
        assertThatThrownBy(() -> PlanFrom.video(lonely))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("lonely.mp4");
        Path chat = Files.writeString(folder.resolve("chat.vtt"), "WEBVTT\n\n00:01.000 --> 00:02.000\nHello there.\n");
        assertThatThrownBy(() -> PlanFrom.video(chat))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("chat.vtt");
        Path notes = Files.writeString(folder.resolve("notes.txt"), "squats 3 x 12\n");
        assertThat(PlanFrom.isText(notes)).isTrue();
        assertThat(PlanFrom.isMovie(movie)).isTrue();
        assertThat(PlanFrom.isTranscript(captions)).isTrue();
        assertThat(PlanFrom.text(notes)).contains("squat  sets 3  reps 12");
    }

    @Test
    void aCorrectedLineChangesThePlan() throws IOException {
        Path captions = Files.writeString(
                folder.resolve("old.vtt"),
                "WEBVTT\n\n00:10.000 --> 00:13.000\nFirst move, squats. Three, two, one, go!\n\n"
                        + "00:53.000 --> 00:55.000\nAnd rest. Next up, the bent over road.\n\n"
                        + "01:13.000 --> 01:15.000\nThree, two, one, go!\n\n01:55.000 --> 01:56.000\nAnd rest.\n");
        String said = PlanFrom.said(captions, Progress.NONE);
        assertThat(said).startsWith("[0:10.0] First move, squats.").contains("[1:13.0] Three, two, one, go!");
        assertThat(PlanFrom.transcript(said)).contains("  squat\n").doesNotContain("bent-over row");
        assertThat(PlanFrom.transcript(said.replace("road", "row"))).contains("  bent-over row\n");
        assertThat(PlanFrom.chapters(said)).startsWith("0:00 Welcome\n0:1");
        assertThat(PlanFrom.transcript("nothing with a time")).startsWith("# No interval");
        assertThat(PlanFrom.chapters("")).isEmpty();
    }

    @Test
    void aDraftSaysWhereItIsNotWhatWasPromised() throws IOException {
        Path captions = folder.resolve("promise.vtt");
        Files.writeString(
                captions,
                "WEBVTT\n\n00:01.000 --> 00:04.000\nWelcome to twenty minutes of legs, three rounds.\n\n"
                        + "00:06.000 --> 00:08.000\nFirst up, goblet squats. Three, two, one, go!\n\n"
                        + "00:48.000 --> 00:50.000\nAnd rest. Next up, the goblet squat.\n\n"
                        + "01:00.000 --> 01:02.000\nThree, two, one, go!\n\n01:40.000 --> 01:42.000\nAnd rest.\n");
        String draft = PlanFrom.video(captions);
        assertThat(draft.lines().findFirst().orElseThrow()).startsWith("# ").contains("20 min");
        assertThat(draft)
                .contains("promise: 20 min", "rounds 3", "  goblet squat\n")
                .doesNotContain("goblet squats");
    }

    @Test
    void recentWorkoutsSayHowFarTheyHaveCome() throws IOException {
        Path planned = folder.resolve("a" + WorkoutFile.ENDING);
        WorkoutFile.save(planned, Workout.EMPTY.withSheet("title: A\ncircuit  work 0:30\n  squat\n"));
        Path filmed = folder.resolve("b" + WorkoutFile.ENDING);
        WorkoutFile.save(
                filmed,
                Workout.EMPTY
                        .withSheet("circuit  work 0:30\n  lunge\n")
                        .withTake(Media.reference(folder, "take-1", movie(), 10, null, null)));
        Files.delete(folder.resolve("gone.mp4"));
        RecentWorkouts.touch(planned);
        RecentWorkouts.touch(filmed);
        assertThat(RecentWorkouts.read(5))
                .extracting(RecentWorkouts.Recent::stage)
                .containsExactly(RecentWorkouts.Stage.FILMED, RecentWorkouts.Stage.PLANNED);
        assertThat(RecentWorkouts.read(5).get(0).missing()).containsExactly("gone.mp4");
        assertThat(RecentWorkouts.read(5).get(1).title()).isEqualTo("A");
        assertThat(RecentWorkouts.movesOfOthers(planned, 3)).containsExactly("lunge");
        RecentWorkouts.touch(planned);
        assertThat(RecentWorkouts.read(1).get(0).file()).isEqualTo(planned);
        RecentWorkouts.forget(planned);
        Files.delete(filmed);
        assertThat(RecentWorkouts.read(5)).isEmpty();
    }

    private Path movie() throws IOException {
        return Files.write(folder.resolve("gone.mp4"), new byte[] {1, 2, 3});
    }

    @Test
    void anOwnMoveInheritsFromOneThatIsKnown() throws IOException {
        Move like = MoveLibrary.shipped().find("goblet squat").orElseThrow();
        Libraries.addLike("Barrow Squat", like);
        Move own = Libraries.current().find("barrow squat").orElseThrow();
        assertThat(own.primary()).isEqualTo(like.primary());
        assertThat(own.cues(app.nosegay.library.CueKind.EASIER))
                .isEqualTo(like.cues(app.nosegay.library.CueKind.EASIER));
        Libraries.change(all -> java.util.List.of());
    }
}
