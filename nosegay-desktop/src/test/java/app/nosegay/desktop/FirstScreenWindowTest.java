package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.jobs.WorkoutFile;
import app.nosegay.plan.bed.Starter;
import app.nosegay.workout.Workout;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextArea;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.Test;

/** The first screen and what is dropped on the window, in the real window. */
class FirstScreenWindowTest extends DrivenWindow {
    @Override
    String face() {
        return "bed";
    }

    @Test
    void theFirstScreenPlantsAShapeAndShowsWhatItUnderstood() throws Exception {
        clickOn("#new");
        waitFor("#start-by_count");
        clickOn("#start-by_count");
        until(() -> sheet().equals(Starter.BY_COUNT.sheet()) && computed());
        waitFor("#bed-row-0");
        clickOn("#new");
        waitFor("#start-notes");
        clickOn("#start-notes");
        waitFor("#start-words");
        clickOn("#start-words").write("squats 3 x 12\nwiggle of mine 30s\nrest 1 min");
        until(() -> lookup("#start-understood .label").queryAll().stream()
                .anyMatch(n -> ((javafx.scene.control.Label) n).getText().contains("squat  12 reps")));
        assertThat(sheet()).as("nothing is taken yet").isEqualTo(Starter.BY_COUNT.sheet());
        clickOn("#start-take");
        until(() -> sheet().contains("squat  sets 3  reps 12") && computed());
        assertThat(programme().timeline().sheet().blocks().get(0).moves()).hasSize(2);
    }

    @Test
    void whatIsDroppedOnTheWindowIsTakenForWhatItIs() throws Exception {
        Path notes = Files.writeString(folder.resolve("notes.txt"), "squats 3 x 12\n");
        interact(() -> shell.take(notes));
        waitFor("#start-words");
        until(() -> !lookup("#start-take").query().isDisabled());
        Path captions = Files.writeString(
                folder.resolve("old.vtt"),
                "WEBVTT\n\n00:10.000 --> 00:13.000\nFirst move, squats. Three, two, one, go!\n\n"
                        + "00:50.000 --> 00:52.000\nAnd rest.\n");
        interact(() -> shell.take(captions));
        until(() -> lookup("#start-words")
                .tryQueryAs(TextArea.class)
                .filter(t -> t.getText().contains("[0:10.0] First move, squats."))
                .isPresent());
        until(() -> !lookup("#start-take").query().isDisabled());
        Path odd = Files.writeString(folder.resolve("odd.xyz"), "?");
        interact(() -> shell.take(odd));
        until(() -> text("#message").contains("odd.xyz"));
        clickOn("#start-back");
        waitFor("#start-chair");
        clickOn("#start-request");
        waitFor("#start-words");
        clickOn("#start-words").write("20 minutes for the legs");
        until(() -> !lookup("#start-take").query().isDisabled());
    }

    @Test
    void anOldVideoIsReadBesideItsPlan() throws Exception {
        Path captions = Files.writeString(
                folder.resolve("old.vtt"),
                "WEBVTT\n\n00:10.000 --> 00:13.000\nFirst move, squats. Three, two, one, go!\n\n"
                        + "00:53.000 --> 00:55.000\nAnd rest. Next up, the bent over road.\n\n"
                        + "01:13.000 --> 01:15.000\nThree, two, one, go!\n\n01:55.000 --> 01:56.000\nAnd rest.\n");
        interact(() -> shell.take(captions));
        waitFor("#start-understood");
        until(() -> understood().stream().anyMatch(t -> t.matches("(?s).*squat.*at 0:1\\d.*")));
        assertThat(understood()).noneMatch(t -> t.contains("bent-over row"));
        TextArea said = lookup("#start-words").queryAs(TextArea.class);
        interact(() -> said.setText(said.getText().replace("over road", "over row")));
        until(() -> understood().stream().anyMatch(t -> t.contains("bent-over row")));
        Button row = lookup("#start-understood .button").queryAll().stream()
                .map(n -> (Button) n)
                .filter(b -> b.getText().contains("bent-over row"))
                .findFirst()
                .orElseThrow();
        interact(row::fire);
        assertThat(said.getSelectedText()).startsWith("[1:13.0]");
        assertThat(row.getStyleClass()).contains("here");
        clickOn("#start-chapters");
        until(() -> text("#message").contains("copied"));
        clickOn("#start-take");
        until(() -> sheet().contains("bent-over row") && computed());
    }

    private List<String> understood() {
        return lookup("#start-understood").queryAs(VBox.class).getChildren().stream()
                .map(n -> ((Labeled) n).getText())
                .toList();
    }

    @Test
    void aWorkoutThatIsOpenedTakesThePlaceOfTheFirstScreen() throws Exception {
        Path file = folder.resolve("one" + WorkoutFile.ENDING);
        WorkoutFile.save(file, Workout.EMPTY.withSheet(Starter.CHAIR.sheet()));
        clickOn("#new");
        waitFor("#start-chair");
        interact(() -> shell.session().open(file));
        waitFor("#bed-row-0");
        clickOn("#new");
        until(() -> lookup("#start-recent .start-card").tryQuery().isPresent());
        clickOn("#start-recent .start-card");
        waitFor("#bed-row-0");
    }
}
