package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.desktop.plan.PlanStage;
import app.nosegay.jobs.RecentWorkouts;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.workout.Workout;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.control.ListView;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.stage.Window;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.testfx.util.WaitForAsyncUtils;

/** A plan made on the bed, by the mouse alone and by the keyboard alone: the text is what a person would have typed. */
class BedWindowTest extends DrivenWindow {
    @Override
    String face() {
        return "bed";
    }

    private PlanStage plan() {
        return (PlanStage) shell.stage("plan");
    }

    private void becomes(String expected) throws Exception {
        until(() -> sheet().strip().equals(expected.strip()) && computed());
    }

    private void given(String sheet, int line) throws Exception {
        interact(() -> shell.session().apply("set up", shell.session().workout().withSheet(sheet)));
        until(this::computed);
        interact(() -> {
            plan().bed().chooseLine(line);
            plan().bed().requestFocus();
        });
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** What was lifted last time is beside the move, as soon as the other workouts have been looked at. */
    @Test
    void theLastTimeOfAMoveIsToldBesideIt() throws Exception {
        Path older = folder.resolve("older" + WorkoutFile.ENDING);
        WorkoutFile.save(
                older,
                Workout.EMPTY.withSheet("title: Older\npromise: about 3 min, 1 move\n"
                        + "gear: kettlebell heavy\ncircuit  rounds 2  work 0:30  rest 0:20\n  goblet squat\n"));
        RecentWorkouts.touch(older);
        Path next = folder.resolve("next" + WorkoutFile.ENDING);
        WorkoutFile.save(next, Workout.EMPTY.withSheet("title: Next\n"));
        interact(() -> shell.session().open(next));
        until(() -> sheet().startsWith("title: Next") && computed());
        given("circuit  rounds 2  work 0:40  rest 0:20\n  goblet squat\n", 2);
        interact(() -> plan().tabs().show("move"));
        waitFor("#last-time");
        assertThat(text("#last-promise"))
                .startsWith("Last time, in \"Older\": you promised about 3 min, 1 move, and the plan");
        assertThat(text("#last-time")).isEqualTo("Last time, in \"Older\": 2 × 0:30, heavy kettlebell.");
    }

    /** What went wrong with a move in the recording of another workout is remembered when it is planned again. */
    @Test
    void whatWasSaidWrongTheLastTimeIsToldWithIt() throws Exception {
        openWithTake("WEBVTT\n\n00:21.000 --> 00:22.500\nTen seconds left.\n");
        until(() -> !programme().pickUps().lines().isEmpty());
        String right = programme().pickUps().lines().get(0).say();
        Path next = folder.resolve("next" + WorkoutFile.ENDING);
        WorkoutFile.save(next, Workout.EMPTY.withSheet("circuit  rounds 2  work 0:40  rest 0:20\n  squat\n"));
        interact(() -> shell.session().open(next));
        until(() -> sheet().startsWith("circuit") && computed());
        given("circuit  rounds 3  work 0:40  rest 0:20\n  squat\n", 2);
        interact(() -> plan().tabs().show("move"));
        waitFor("#last-time");
        assertThat(text("#last-time"))
                .startsWith("Last time, in \"Small\": 1 × 0:12")
                .endsWith("What was forgotten, late or wrong there: \"" + right + "\"");
    }

    @Test
    void aValueThatLeftTheWindowMeanwhileOpensNothing() throws Throwable {
        given("circuit  rounds 2  work 0:40  rest 0:20\ngoblet squat\n", 1);
        waitFor(".value-rounds");
        Set<Window> before = Set.copyOf(Window.getWindows());
        interact(() -> {
            lookup(".value-rounds").queryButton().fire();
            shell.go("match");
        });
        WaitForAsyncUtils.waitForFxEvents();
        WaitForAsyncUtils.checkException();
        assertThat(lookup("#value-text").tryQuery()).isEmpty();
        assertThat(Set.copyOf(Window.getWindows())).isEqualTo(before);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "circuit | circuit  rounds 2  work 0:40  rest 0:20;  goblet squat;  side lunge  sides halves",
                "superset | superset  sets 2  reps 10  rest 0:45;  goblet squat;  side lunge  sides halves",
                "straight-sets | straight-sets  sets 3  reps 10  rest 1:00;  goblet squat;  side lunge  sides separate",
                "amrap | amrap  for 8:00;  goblet squat;  side lunge  sides alternate",
                "every-minute | every-minute  minutes 4  reps 10;  goblet squat;  side lunge  sides halves",
                "phrase | phrase  bpm 120  rest 0:20;  goblet squat  counts 2-2 x8;  side lunge  sides separate  counts 2-2 x8",
                "build | build  work 0:40  rest 0:15;  goblet squat;  side lunge  sides halves",
                "warm-up | warm-up  each 0:30;  goblet squat;  side lunge  sides halves",
                "cool-down | cool-down  each 0:20;  goblet squat;  side lunge  sides separate"
            })
    void everyKindOfBlockIsBuiltByHand(String kind, String lines) throws Exception {
        clickOn("#bed-add-block");
        waitFor("#bed-kind-" + kind);
        clickOn("#bed-kind-" + kind);
        until(() -> sheet().startsWith(kind) && computed());
        for (String move : List.of("goblet squat", "side lunge")) {
            waitFor("#bed-add-0");
            clickOn("#bed-add-0");
            waitFor("#bed-what");
            clickOn("#bed-what").write(move);
            push(KeyCode.ENTER);
            until(() -> sheet().contains(move) && computed());
        }
        becomes(String.join("\n", lines.split(";")));
    }

    @Test
    void theMouseAloneMakesAPlanOfWhatIsSuggested() throws Exception {
        clickOn("#bed-add-block");
        waitFor("#bed-kind-circuit");
        clickOn("#bed-kind-circuit");
        until(() -> sheet().startsWith("circuit") && computed());
        for (int i = 1; i <= 3; i++) {
            int moves = i;
            clickOn("#bed-add-0");
            waitFor("#bed-moves");
            ListView<?> list = lookup("#bed-moves").query();
            until(() -> !list.getItems().isEmpty());
            clickOn(list.lookup(".list-cell"));
            until(() -> sheet().strip().lines().count() == moves + 1 && computed());
        }
        assertThat(shell.session().programme().get().timeline().sheet().errors())
                .isEmpty();
        // A value is changed by its choices.
        clickOn("#bed-row-0 .value-rounds");
        waitFor("#value-choices");
        ListView<?> choices = lookup("#value-choices").query();
        clickOn(choices.lookupAll(".list-cell").stream()
                .filter(c -> ((javafx.scene.control.ListCell<?>) c).getText() != null
                        && ((javafx.scene.control.ListCell<?>) c).getText().equals("3 rounds"))
                .findFirst()
                .orElseThrow());
        until(() -> sheet().startsWith("circuit  rounds 3") && computed());
        assertThat(shell.session().undoName()).contains("rounds 2 rounds → 3 rounds");
    }

    @Test
    void theKeyboardAloneMakesAPlan() throws Exception {
        interact(() -> plan().bed().requestFocus());
        push(KeyCode.ENTER);
        waitFor("#bed-what");
        write("squat 12");
        push(KeyCode.ENTER);
        becomes("circuit  work 0:40  rest 0:20\n  squat  reps 12");
        push(KeyCode.ENTER);
        waitFor("#bed-what");
        write("plank half a minute");
        push(KeyCode.ENTER);
        becomes("circuit  work 0:40  rest 0:20\n  squat  reps 12\n  plank  work 0:30");
        press(KeyCode.PLUS);
        release(KeyCode.PLUS);
        until(() -> sheet().contains("plank  work 0:35") && computed());
        push(KeyCode.MINUS);
        until(() -> sheet().contains("plank  work 0:30") && computed());
        push(KeyCode.ALT, KeyCode.LEFT);
        becomes("circuit  work 0:40  rest 0:20\n  plank  work 0:30\n  squat  reps 12");
        push(KeyCode.S);
        until(() -> sheet().contains("plank  work 0:30  sides halves") && computed());
        push(KeyCode.SHORTCUT, KeyCode.D);
        until(() -> sheet().split("plank", -1).length == 3 && computed());
        push(KeyCode.DELETE);
        until(() -> sheet().split("plank", -1).length == 2 && computed());
        push(KeyCode.R);
        WaitForAsyncUtils.waitForFxEvents();
        push(KeyCode.PLUS);
        until(() -> sheet().contains("rest 0:25") && computed());
        assertThat(shell.session().undoName())
                .hasValueSatisfying(n -> assertThat(n).startsWith("rest"));
        while (shell.session().undoName().isPresent()) {
            push(KeyCode.SHORTCUT, KeyCode.Z);
        }
        until(() -> sheet().isEmpty());
    }

    @Test
    void aValueIsSteppedTypedAndRefused() throws Exception {
        given("circuit Main  rounds 2  work 0:40  rest 0:20\n  squat\n", 1);
        interact(() -> lookup("#bed-row-0 .value-rest").query().requestFocus());
        push(KeyCode.UP);
        until(() -> sheet().contains("rest 0:25") && computed());
        interact(() -> lookup("#bed-row-0 .value-rest").query().requestFocus());
        write("1 min");
        push(KeyCode.ENTER);
        until(() -> sheet().contains("rest 1:00") && computed());
        interact(() -> lookup("#bed-row-0 .value-ends").query().requestFocus());
        write("soon");
        push(KeyCode.ENTER);
        until(() -> lookup(".problem").queryAll().stream().anyMatch(Node::isVisible));
        assertThat(sheet()).contains("work 0:40");
        push(KeyCode.ESCAPE);
    }

    @Test
    void leavesAreDraggedAndJoined() throws Exception {
        given("circuit Main  work 0:40  rest 0:20\n  squat\n  curl\n  lunge\n", 1);
        waitFor("#bed-row-0 .leaf");
        List<Node> leaves = List.copyOf(lookup("#bed-row-0 .leaf").queryAll());
        drag(leaves.get(0)).dropTo(leaves.get(1));
        waitFor("#bed-join-superset");
        clickOn("#bed-join-one_rep");
        becomes("circuit Main  work 0:40  rest 0:20\n  curl + squat\n  lunge");
        List<Node> two = List.copyOf(lookup("#bed-row-0 .leaf").queryAll());
        drag(two.get(1))
                .moveTo(two.get(0))
                .moveBy(-two.get(0).getBoundsInLocal().getWidth() / 2 + 8, 0)
                .drop();
        becomes("circuit Main  work 0:40  rest 0:20\n  lunge\n  curl + squat");
        Node gap = lookup("#bed-row-0 .gap").queryAll().iterator().next();
        drag(gap).moveBy(27, 0).drop();
        becomes("circuit Main  work 0:40  rest 0:20\n  lunge  rest 0:30\n  curl + squat");
    }

    @Test
    void roundTwoIsChangedAlone() throws Exception {
        given("circuit Main  rounds 2  work 0:40  rest 0:20\n  squat\n  lunge\n", 2);
        clickOn("#bed-round-0-2");
        interact(() -> {
            plan().bed().chooseLine(2);
            plan().bed().requestFocus();
        });
        push(KeyCode.MINUS);
        becomes("circuit Main  rounds 2  work 0:40  rest 0:20\n  squat\n    round 2: work 0:35\n  lunge");
        assertThat(lookup("#bed-row-0 .leaf-amount").queryAll().stream()
                        .map(n -> ((javafx.scene.control.Label) n).getText()))
                .containsExactly("0:35", "0:40");
    }

    @Test
    void aMissingOptionIsFilledWithAWording() throws Exception {
        given("circuit Main  work 0:40  rest 0:20\n  wiggle of mine\n", 2);
        waitFor(".leaf-tag-missing");
        clickOn(".leaf-tag-missing");
        waitFor(".wording");
        assertThat(lookup(".wording").queryAll()).hasSize(3);
        clickOn(lookup(".wording").queryAll().iterator().next());
        until(() -> sheet().contains("    easier: ") && computed());
        until(() -> lookup("#bed-row-0 .leaf-tag-missing").queryAll().isEmpty());
    }

    @Test
    void bedAndWrittenSheetAreTwoSidesOfOnePaper() throws Exception {
        given("circuit Main  work 0:40  rest 0:20\n  squat\n  lunge\n", 3);
        push(KeyCode.F7);
        waitFor("#run-sheet");
        until(() -> lookup("#run-sheet").query().isFocused());
        push(KeyCode.SHORTCUT, KeyCode.END);
        write("  curl");
        until(() -> sheet().contains("curl") && computed());
        push(KeyCode.F7);
        waitFor("#bed-row-0");
        until(() -> lookup("#bed-row-0 .leaf").queryAll().size() == 3);
        interact(() -> plan().showFace("both"));
        waitFor("#run-sheet");
        waitFor("#bed-row-0");
        interact(() -> plan().showFace("bed"));
    }

    @Test
    void linesAreCopiedBetweenWorkoutsAsNotation() throws Exception {
        given("circuit Main  work 0:40  rest 0:20\n  squat\n    form: Chest tall.\n", 2);
        push(KeyCode.SHORTCUT, KeyCode.C);
        String[] copied = {""};
        interact(() -> copied[0] = Clipboard.getSystemClipboard().getString());
        assertThat(copied[0]).isEqualTo("  squat\n    form: Chest tall.\n");
        given("superset  reps 10\n  curl\n", 2);
        push(KeyCode.SHORTCUT, KeyCode.V);
        becomes("superset  reps 10\n  curl\n  squat\n    form: Chest tall.");
        interact(() -> {
            var content = new javafx.scene.input.ClipboardContent();
            content.putString("- push ups x 12\n- row 10 each side\n");
            Clipboard.getSystemClipboard().setContent(content);
        });
        push(KeyCode.SHORTCUT, KeyCode.V);
        until(() -> sheet().contains("push-up  reps 12") && computed());
    }

    @Test
    void aMoveOfTheLibraryGoesIntoThePlan() throws Exception {
        given("circuit Main  work 0:40  rest 0:20\n  squat\n", 2);
        interact(() -> shell.go("library"));
        waitFor("#moves");
        ListView<?> moves = lookup("#moves").query();
        interact(() -> moves.getSelectionModel().select(0));
        clickOn("#move-to-plan");
        until(() -> sheet().strip().lines().count() == 3 && computed());
        waitFor("#bed-row-0");
    }

    @Test
    void theLeafInFullChangesAllOfIt() throws Exception {
        given("levels: Easy easier left, Main main right\ncircuit Main  work 0:40  rest 0:20\n  side lunge\n", 3);
        push(KeyCode.SPACE);
        waitFor("#bed-sides-separate");
        clickOn("#bed-sides-separate");
        until(() -> sheet().contains("side lunge  sides separate") && computed());
        interact(() -> plan().bed().requestFocus());
        push(KeyCode.O);
        waitFor(".wording");
        clickOn("#say-words").write("Hold the fence.");
        push(KeyCode.ENTER);
        until(() -> sheet().contains("easier: Hold the fence.") && computed());
        push(KeyCode.T);
        until(() -> sheet().contains("demo before") && computed());
        push(KeyCode.L);
        WaitForAsyncUtils.waitForFxEvents();
        push(KeyCode.ESCAPE);
        interact(() -> plan().bed().requestFocus());
        push(KeyCode.LEFT);
        push(KeyCode.ALT, KeyCode.DOWN);
        push(KeyCode.F2);
        waitFor("#value-text");
        write("Wheel");
        push(KeyCode.ENTER);
        until(() -> sheet().contains("circuit Wheel") && computed());
    }
}
