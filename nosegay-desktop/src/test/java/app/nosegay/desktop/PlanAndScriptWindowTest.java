package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.desktop.series.SeriesScreen;
import app.nosegay.jobs.Libraries;
import app.nosegay.jobs.PrintJob;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.library.Move;
import app.nosegay.library.MuscleGroup;
import app.nosegay.plan.Finding;
import app.nosegay.time.Length;
import app.nosegay.workout.Workout;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;

/** Plan, Script, Library and Series in the real window, by keys and mouse. */
class PlanAndScriptWindowTest extends DrivenPlan {

    private void cursorAt(String text) {
        interact(() -> {
            editor().requestFocus();
            editor().moveTo(editor().getText().indexOf(text));
        });
    }

    @Test
    void aMoveIsCompletedByKeyboard() throws Exception {
        clickOn("#run-sheet");
        write("circuit A  work 0:40").push(KeyCode.ENTER).write("gobl");
        until(() -> lookup("#completions").tryQuery().isPresent());
        push(KeyCode.TAB);
        until(() -> sheet().endsWith("\n  goblet squat"));
        write("  tem");
        until(() -> lookup("#completions").tryQuery().isPresent());
        push(KeyCode.DOWN).push(KeyCode.ENTER);
        until(() -> sheet().endsWith("goblet squat  tempo"));
    }

    @Test
    void blocksAndMovesAreReorderedAndFoldedByKeyboard() throws Exception {
        plan(PLAN);
        cursorAt("  push-up");
        push(KeyCode.ALT, KeyCode.SHIFT, KeyCode.UP);
        until(() -> sheet().contains("  push-up\n  squat\n"));
        cursorAt("circuit Panes");
        push(KeyCode.ALT, KeyCode.SHIFT, KeyCode.UP);
        until(() -> sheet().indexOf("circuit Panes") < sheet().indexOf("circuit Beds"));
        assertThat(editor().getParagraph(editor().getCurrentParagraph()).getText())
                .startsWith("circuit Panes");
        push(KeyCode.ALT, KeyCode.F);
        int head = editor().getCurrentParagraph();
        until(() -> editor().isFolded(head + 1));
        push(KeyCode.ALT, KeyCode.F);
        until(() -> !editor().isFolded(head + 1));
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> sheet().indexOf("circuit Beds") < sheet().indexOf("circuit Panes"));
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> sheet().equals(PLAN));
    }

    @Test
    void pastedNotesBecomeMoves() throws Exception {
        plan("circuit A  work 0:40\n");
        interact(() -> {
            ClipboardContent notes = new ClipboardContent();
            notes.putString("- Squats 3x12\n- Plank 45 sec\n");
            Clipboard.getSystemClipboard().setContent(notes);
            editor().requestFocus();
            editor().moveTo(editor().getLength());
        });
        push(KeyCode.CONTROL, KeyCode.V);
        until(() -> sheet().contains("  squat  sets 3  reps 12\n  plank  work 0:45"));
    }

    @Test
    void theRibbonIsStretchedWithTheMouse() throws Exception {
        plan(PLAN);
        Node ribbon = lookup("#ribbon").query();
        Bounds b = ribbon.localToScreen(ribbon.getBoundsInLocal());
        // The first strand is the talk: find its right edge and pull it.
        for (double x = b.getMinX() + 4; x < b.getMaxX(); x += 2) {
            moveTo(x, b.getMinY() + 2 + 18 + 10);
            if (ribbon.getCursor() == javafx.scene.Cursor.H_RESIZE) {
                double to = x + 60;
                press(MouseButton.PRIMARY).moveTo(to, b.getMinY() + 30).release(MouseButton.PRIMARY);
                break;
            }
        }
        until(() -> !sheet().contains("talk Hi  0:30"));
        assertThat(sheet()).containsPattern("talk Hi  0:[345]|talk Hi  1:");
        assertThat(shell.session().undoName().orElse("")).startsWith("talk 0:30 → ");
    }

    @Test
    void aWayToKeepThePromiseIsTakenWithOneKey() throws Exception {
        plan(PLAN);
        assertThat(programme().report().promiseKept()).isFalse();
        push(KeyCode.CONTROL, KeyCode.T);
        ListView<?> offers = lookup("#offers").query();
        until(() -> offers.getItems().size() >= 3);
        interact(offers::requestFocus);
        push(KeyCode.DOWN);
        until(() -> lookup(".previewed").queryAs(Label.class).isVisible());
        push(KeyCode.ENTER);
        until(() -> programme().report().promiseKept());
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> sheet().equals(PLAN));
    }

    @Test
    void aFindingIsMendedLeftAndBroughtBack() throws Exception {
        plan("talk Hi  0:30\ncircuit A  work 0:40  rest 0:20\n  single-arm row\n  squat\n");
        clickOn("#plan-tab-findings");
        ListView<Finding> list = lookup("#plan-findings").query();
        until(() -> list.getItems().stream().anyMatch(f -> f.code().equals("plan.side-missing")));
        interact(() -> {
            list.requestFocus();
            list.getSelectionModel()
                    .select(list.getItems().stream()
                            .filter(f -> f.code().equals("plan.side-missing"))
                            .findFirst()
                            .orElseThrow());
        });
        push(KeyCode.M);
        until(() -> sheet().contains("single-arm row  sides halves"));
        until(() -> list.getItems().stream().noneMatch(f -> f.code().equals("plan.side-missing")));
        interact(() -> list.getSelectionModel()
                .select(list.getItems().stream()
                        .filter(f -> f.code().equals("plan.warm-up-missing"))
                        .findFirst()
                        .orElseThrow()));
        push(KeyCode.L);
        until(() -> lookup(".dialog-pane .text-field").tryQuery().isPresent());
        clickOn(".dialog-pane .text-field").write("We warm up before").push(KeyCode.ENTER);
        until(() -> list.getItems().stream().noneMatch(f -> f.code().equals("plan.warm-up-missing")));
        assertThat(shell.session().workout().waivers()).singleElement().satisfies(w -> assertThat(w.reason())
                .isEqualTo("We warm up before"));
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> list.getItems().stream().anyMatch(f -> f.code().equals("plan.warm-up-missing")));
    }

    @Test
    void theFitterKeepsToTheRangesThatAreSet() throws Exception {
        plan(PLAN);
        push(KeyCode.CONTROL, KeyCode.T);
        ListView<?> offers = lookup("#offers").query();
        until(() -> offers.getItems().size() >= 3);
        TextField rest = lookup("#fit-rest").query();
        interact(() -> {
            rest.requestFocus();
            rest.setText("0:05-0:20");
            lookup("#fit-rounds").query().requestFocus();
        });
        until(() -> shell.session().workout().settings().ranges().restMost().equals(Length.ofSeconds(20)));
        TextField rounds = lookup("#fit-rounds").query();
        interact(() -> {
            rounds.setText("nine");
            rest.requestFocus();
        });
        until(() -> rounds.getText().contains("-"));
        interact(() -> {
            rounds.requestFocus();
            rounds.setText("1-2");
            rest.requestFocus();
        });
        until(() -> shell.session().workout().settings().ranges().roundsMost() == 2);
    }

    @Test
    void anOwnMoveIsMadeKeptApartAndForgotten() throws Exception {
        plan("talk Hi  0:10\ncircuit A  work 0:40\n  watering dance\n");
        assertThat(programme().report().balance().muscles()).isEmpty();
        clickOn("#stage-library");
        clickOn("#move-search").write("watering dance");
        until(() -> lookup("#moves").queryAs(ListView.class).getItems().isEmpty()
                || !((Move) lookup("#moves").queryAs(ListView.class).getItems().get(0))
                        .name()
                        .equals("farmer march"));
        clickOn("#move-new");
        interact(() -> {
            lookup("#move-name").queryAs(TextField.class).setText("watering dance");
            lookup("#move-primary").queryAs(TextField.class).setText("kalves");
        });
        clickOn("#move-keep");
        until(() -> lookup("#move-wrong").queryAs(Label.class).getText().contains("kalves"));
        interact(() -> {
            lookup("#move-primary").queryAs(TextField.class).setText("calves");
            lookup("#move-cue-easier").queryAs(TextArea.class).setText("Without the can.");
        });
        clickOn("#move-keep");
        until(() -> programme().report().balance().muscles().containsKey(MuscleGroup.CALVES));
        assertThat(Libraries.own()).extracting(Move::name).containsExactly("watering dance");
        clickOn("#move-forget");
        until(() -> programme().report().balance().muscles().isEmpty());
        assertThat(Libraries.own()).isEmpty();
    }

    @Test
    void aSeriesShowsItsDaysAndRemarks() throws Exception {
        Path one = folder.resolve("one" + WorkoutFile.ENDING);
        Path two = folder.resolve("two" + WorkoutFile.ENDING);
        String legs = "talk Hi  0:10\ncircuit A  rounds 4  work 0:40  rest 0:20\n  squat\n  goblet squat\n";
        WorkoutFile.save(one, Workout.EMPTY.withSheet("title: One\n" + legs));
        WorkoutFile.save(two, Workout.EMPTY.withSheet("title: Two\n" + legs));
        clickOn("#stage-series");
        interact(() -> ((SeriesScreen) shell.stage("series")).add(List.of(one, two)));
        until(() -> lookup("#series-sums").queryAs(Label.class).getText().startsWith("2 workouts"));
        assertThat(lookup(".day").queryAll()).hasSize(2);
        clickOn(lookup(".day").nth(1).<Node>query());
        until(() -> lookup("#series-day").queryAs(Spinner.class).getValue().equals(3));
        interact(() -> lookup("#series-day").queryAs(Spinner.class).decrement(1));
        until(() -> lookup("#series-remarks .label").queryAllAs(Label.class).stream()
                .anyMatch(l -> l.getText().contains("leave a day between")));
        // Carried a week on by a key, and back to the day behind it by the mouse.
        interact(() -> lookup(".day").nth(1).<Node>query().requestFocus());
        push(KeyCode.ALT, KeyCode.DOWN);
        until(() -> lookup("#series-day").queryAs(Spinner.class).getValue().equals(9));
        drag(lookup(".day").nth(1).<Node>query())
                .moveTo(lookup(".calendar-day").nth(9).<Node>query())
                .drop();
        until(() -> lookup("#series-day").queryAs(Spinner.class).getValue().equals(10));
        assertThat(lookup("#series-remarks .label").queryAllAs(Label.class))
                .noneMatch(l -> l.getText().contains("leave a day between"));
    }

    @Test
    void planAndPrompterArePrinted() throws Exception {
        plan(PLAN);
        Path pdf = folder.resolve("prompter.pdf");
        interact(() -> shell.session().exports().print(PrintJob.Form.PROMPTER_PDF, pdf));
        until(() -> Files.exists(pdf) && !shell.session().jobs().isRunning());
        assertThat(Files.size(pdf)).isGreaterThan(2000);
    }

    @Test
    void aFiveThousandLineSheetDoesNotFreezeTheWindow() throws Exception {
        StringBuilder big = new StringBuilder("title: Big\n");
        for (int b = 0; b < 1000; b++) {
            big.append("circuit Bed ")
                    .append(b)
                    .append(
                            "  rounds 1  work 0:40  rest 0:20\n  squat\n  push-up  sides halves\n    form: Tidy.\n  watering dance\n");
        }
        interact(() -> shell.session().apply("big", shell.session().workout().withSheet(big.toString())));
        // As many as a sheet can have.
        until(() -> programme() != null && programme().timeline().segments().size() >= 2000);
        until(() -> editor().getText().length() == big.length());
        clickOn("#run-sheet");
        push(KeyCode.CONTROL, KeyCode.HOME);
        long worst = 0;
        for (int i = 0; i < 5; i++) {
            long begun = System.nanoTime();
            write("#");
            WaitForAsyncUtils.waitForFxEvents(1);
            worst = Math.max(worst, (System.nanoTime() - begun) / 1_000_000);
        }
        assertThat(sheet()).startsWith("#####title: Big");
        System.out.println("a letter in 5,000 lines: at worst " + worst + " ms with the robot's own pauses");
        assertThat(worst).isLessThan(4000);
    }

    @Test
    void fSixLeavesTheRunSheetAndComesBack() throws Exception {
        plan(PLAN);
        cursorAt("  squat");
        push(KeyCode.F6);
        until(() -> lookup("#plan-tab-body").query().isFocused());
        push(KeyCode.F6);
        until(() -> editor().isFocused());
    }
}
