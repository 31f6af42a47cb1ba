package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.desktop.plan.RunSheetEditor;
import app.nosegay.dress.Box;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Layout;
import app.nosegay.jobs.LogbookFile;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.logbook.Logbook;
import app.nosegay.match.LengthRule;
import app.nosegay.match.Match;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MovieWriter;
import app.nosegay.media.Progress;
import app.nosegay.paint.Figure;
import app.nosegay.paint.Motion;
import app.nosegay.paint.PottingShed;
import app.nosegay.shoot.ShootLog;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.Slider;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxToolkit;
import org.testfx.framework.junit5.ApplicationTest;
import org.testfx.util.WaitForAsyncUtils;

/** The real window, driven by clicks and keys. */
class WindowTest extends ApplicationTest {
    private static final String SHEET =
            "title: Small\npromise: 1 min\ncalls: in 3, out 3\ntalk Hi  0:10\ncircuit A  work 0:12  rest 0:06\n  squat\n  push-up\ntalk Bye  0:10\n";

    @TempDir
    private static Path folder;

    private Shell shell;

    @Override
    public void start(Stage stage) {
        shell = NosegayApp.show(stage);
    }

    @Override
    public void stop() throws Exception {
        interact(() -> shell.close());
        FxToolkit.cleanupStages();
    }

    private static void until(Callable<Boolean> condition) throws Exception {
        WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, condition);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private Programme programme() {
        return shell.session().programme().get();
    }

    private String text(String id) {
        return lookup(id).queryAs(Label.class).getText();
    }

    /** A recording of the small plan without sound, and the workout that refers to it. */
    private static Path workoutWithTake() throws IOException {
        Path movie = folder.resolve("take-1.mp4");
        if (!Files.exists(movie)) {
            BufferedImage set = PottingShed.paint(320, 180);
            BufferedImage frame = new BufferedImage(320, 180, BufferedImage.TYPE_INT_RGB);
            try (MovieWriter writer = new MovieWriter(
                    movie, 320, 180, new FrameRate(30, 1), EncoderSettings.TAKE, false, "", List.of())) {
                for (int n = 0; n < 56 * 30; n++) {
                    double t = n / 30.0 - 3;
                    boolean moves = (t > 10 && t < 22) || (t > 28 && t < 40);
                    Graphics2D g = frame.createGraphics();
                    g.drawImage(set, 0, 0, null);
                    Figure.presenter()
                            .draw(
                                    g,
                                    Motion.of("squat"),
                                    moves ? 0.5 - 0.5 * Math.cos(t * 2) : 0,
                                    false,
                                    Figure.Prop.NONE,
                                    160,
                                    165,
                                    110);
                    g.dispose();
                    writer.picture(frame, n);
                }
                writer.finish();
            }
        }
        Path file = folder.resolve("small" + WorkoutFile.ENDING);
        Workout.TakeRef take = new Workout.TakeRef("take-1", "take-1.mp4", Files.size(movie), 56, "", null, null);
        WorkoutFile.save(file, new Workout(SHEET, List.of(take), List.of()));
        return file;
    }

    private void openWithTake() throws Exception {
        Path file = workoutWithTake();
        interact(() -> shell.session().open(file));
        until(() -> programme() != null
                && !programme().match().takes().isEmpty()
                && !shell.session().jobs().isRunning());
    }

    @Test
    void typingAPlanShowsItsPromiseAndUndoTakesItBack() throws Exception {
        clickOn("#run-sheet");
        write("promise: 1 min").push(KeyCode.ENTER).write("talk Hi  1:10");
        until(() -> text("#promise").contains("holds: the workout lasts 1:10"));
        type(KeyCode.BACK_SPACE, 4);
        write("9:00");
        until(() ->
                text("#promise").contains("does not hold") && text("#promise").contains("8:00 longer"));
        assertThat(lookup("#undo").queryAs(Button.class).getText()).startsWith("Undo: edit line 2");
        clickOn("#undo");
        clickOn("#undo");
        until(() -> lookup("#run-sheet").queryAs(RunSheetEditor.class).getText().isEmpty()
                || shell.session().undoName().isEmpty());
        clickOn("#redo");
        until(() ->
                !lookup("#run-sheet").queryAs(RunSheetEditor.class).getText().isEmpty());
    }

    @Test
    void anErrorIsMendedWithOneKey() throws Exception {
        clickOn("#run-sheet");
        write("circut Legs  work 0:40");
        until(() -> !programme().timeline().sheet().errors().isEmpty());
        push(KeyCode.CONTROL, KeyCode.PERIOD);
        until(() -> programme().timeline().sheet().errors().isEmpty());
        assertThat(shell.session().workout().sheet()).isEqualTo("circuit Legs  work 0:40");
    }

    @Test
    void numbersStepUnderTheCursor() throws Exception {
        clickOn("#run-sheet");
        write("talk Hi  0:40");
        push(KeyCode.ALT, KeyCode.UP);
        until(() -> shell.session().workout().sheet().equals("talk Hi  0:45"));
        push(KeyCode.ALT, KeyCode.DOWN).push(KeyCode.ALT, KeyCode.DOWN);
        until(() -> shell.session().workout().sheet().equals("talk Hi  0:35"));
    }

    @Test
    void theScoreShowsEveryIntervalAndABoundaryCanBeDraggedAndUndone() throws Exception {
        openWithTake();
        clickOn("#stage-match");
        ListView<?> score = lookup("#score").query();
        until(() ->
                score.getItems().size() == programme().timeline().intervals().size());
        until(() -> lookup("#score .list-cell").queryAll().size() > 2);
        Match.Placed before = programme().match().segments().get(1);
        clickOn("#score");
        interact(() -> score.getSelectionModel().select(1));
        clickOn("#keep");
        until(() -> shell.session().workout().pins().size() == 1);
        interact(() -> score.requestFocus());
        write("]]]");
        until(() -> programme()
                        .match()
                        .segment(before.id())
                        .orElseThrow()
                        .start()
                        .since(before.start())
                        .seconds()
                > 0.09);
        assertThat(programme().match().segment(before.id()).orElseThrow().startPinned())
                .isTrue();
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> programme()
                        .match()
                        .segment(before.id())
                        .orElseThrow()
                        .start()
                        .since(before.start())
                        .seconds()
                < 0.09);
        Node cell = lookup("#score .list-cell").nth(2).query();
        double scaleStart = cell.localToScreen(cell.getBoundsInLocal()).getMinX();
        assertThat(scaleStart).isPositive();
        dragBoundary(score);
    }

    /** Takes hold of the first visible boundary of the second line, the stem at its start, and pulls it a little to the right. */
    private void dragBoundary(ListView<?> score) throws Exception {
        int pins = shell.session().workout().pins().size();
        double at = score.localToScreen(score.getBoundsInLocal()).getMinX();
        double y =
                lookup("#score .list-cell").nth(1).query().localToScreen(0, 30).getY();
        for (double x = at + 158;
                x < at + 330 && shell.session().workout().pins().size() == pins;
                x += 4) {
            moveTo(x, y);
            Node under = lookup("#score .list-cell").nth(1).query();
            boolean grip = under.lookupAll("*").stream().anyMatch(n -> n.getCursor() == javafx.scene.Cursor.H_RESIZE);
            if (grip) {
                drag(x, y).moveBy(14, 0).drop();
                until(() -> shell.session().workout().pins().size() >= pins
                        && shell.session().undoName().orElse("").startsWith("move"));
                return;
            }
        }
        assertThat(shell.session().workout().pins().size())
                .as("a boundary was found to drag")
                .isGreaterThan(pins);
    }

    @Test
    void theTakePlaysFromALineAndStops() throws Exception {
        openWithTake();
        clickOn("#stage-match");
        ListView<?> score = lookup("#score").query();
        interact(() -> score.getSelectionModel().select(1));
        clickOn("#play");
        until(() -> text("#now-at").contains("second"));
        clickOn("#play");
        until(() -> text("#now-at").contains("starts at"));
    }

    @Test
    void theDressedFrameFollowsTheScrubber() throws Exception {
        openWithTake();
        clickOn("#stage-dress");
        ListView<?> stretches = lookup("#stretches").query();
        until(() -> !stretches.getItems().isEmpty());
        interact(() -> stretches.getSelectionModel().select(1));
        until(() -> text("#dress-at").contains("of 12"));
        String before = text("#dress-at");
        interact(stretches::requestFocus);
        push(KeyCode.RIGHT).push(KeyCode.RIGHT);
        until(() -> !text("#dress-at").equals(before));
        assertThat(lookup("#scrub").queryAs(Slider.class).getValue()).isPositive();
        assertThat(lookup("#pieces .chip").queryAll()).hasSizeGreaterThan(2);
    }

    @Test
    void everythingIsWrittenFromThePublishStage() throws Exception {
        openWithTake();
        clickOn("#stage-publish");
        clickOn("#render");
        until(() -> Files.exists(folder.resolve("published/video.mp4"))
                && !shell.session().jobs().isRunning());
        assertThat(Files.readString(folder.resolve("published/chapters.txt"))).startsWith("0:00 Hi\n");
        until(() -> lookup("#outputs .label").queryAllAs(Label.class).stream()
                .anyMatch(l -> l.getText().startsWith("✓ ")));
    }

    @Test
    void theProofListsEveryIntervalAndAFindingIsLeftWithAReasonAndComesBack() throws Exception {
        openWithTake();
        clickOn("#stage-proof");
        ListView<?> plaits = lookup("#plaits").queryListView();
        assertThat(plaits.getItems()).hasSize(programme().timeline().intervals().size());
        int open = programme().proof().open().size();
        assertThat(open).isPositive();
        assertThat(text("#proof-sentence")).isEqualTo(programme().proof().sentence());
        ListView<?> findings = lookup("#proof-findings").queryListView();
        assertThat(findings.getItems()).hasSize(open);
        interact(() -> {
            findings.getSelectionModel().select(0);
            findings.requestFocus();
        });
        push(KeyCode.L);
        until(() -> lookup(".dialog-pane .text-field").tryQuery().isPresent());
        clickOn(".dialog-pane .text-field");
        write("known and meant");
        push(KeyCode.ENTER);
        until(() -> programme().proof().waived().size() == 1);
        assertThat(shell.session().workout().waivers().get(0).reason()).isEqualTo("known and meant");
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> programme().proof().waived().isEmpty());
    }

    @Test
    void whereThreadsPartCanBeShownAloneAndLeadsToItsStage() throws Exception {
        openWithTake();
        clickOn("#stage-proof");
        clickOn("#only-apart");
        ListView<?> plaits = lookup("#plaits").queryListView();
        assertThat(plaits.getItems())
                .hasSizeLessThan(programme().timeline().intervals().size());
        ListView<?> findings = lookup("#proof-findings").queryListView();
        interact(() -> {
            findings.getSelectionModel().select(0);
            findings.requestFocus();
        });
        push(KeyCode.ENTER);
        until(() -> lookup("#plaits").tryQuery().isEmpty());
    }

    @Test
    void aStyleAndAPieceAreChosenAndAPieceIsDraggedElsewhere() throws Exception {
        openWithTake();
        clickOn("#stage-dress");
        ListView<?> stretches = lookup("#stretches").queryListView();
        interact(() -> stretches.getSelectionModel().select(1));
        clickOn("#dress-tab-style");
        clickOn("#style-lantern");
        until(() -> programme().dressing().notes().style().name().equals("Lantern"));
        clickOn("#dress-tab-pieces");
        clickOn("#shows-progress");
        until(() -> !programme().dressing().notes().shows(DressNotes.Extra.PROGRESS));
        clickOn("#dress-tab-places");
        Node pane = lookup("#drag-pane").query();
        Bounds at = pane.localToScreen(pane.getBoundsInLocal());
        double scale = Math.min(at.getWidth() / 1280, at.getHeight() / 720);
        double left = at.getMinX() + (at.getWidth() - 1280 * scale) / 2;
        Box clock = programme().dressing().layout().areas().get(1).boxes().get(Layout.Group.CLOCK);
        drag(left + (clock.x() + 40) * scale, at.getMinY() + (clock.y() + 40) * scale)
                .moveTo(left + 150 * scale, at.getMinY() + 620 * scale)
                .drop();
        until(() -> !programme().workout().dressing().places().isEmpty());
        assertThat(programme().workout().dressing().places().get(0).group()).isEqualTo(Layout.Group.CLOCK);
        assertThat(programme().dressing().layout().areas().get(1).anchors().get(Layout.Group.CLOCK))
                .isEqualTo(programme().workout().dressing().places().get(0).anchor());
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> programme().workout().dressing().places().isEmpty());
    }

    @Test
    void aLessonIsWrittenDownAndShownBeforeTheNextShoot() throws Exception {
        openWithTake();
        clickOn("#stage-logbook");
        clickOn("#entry-text");
        write("Shoes are loud");
        push(KeyCode.ENTER);
        until(() -> LogbookFile.read().of(Logbook.Kind.LESSON).stream()
                .anyMatch(e -> e.text().equals("Shoes are loud")));
        clickOn("#stage-shoot");
        until(() -> lookup(".check-box").queryAllAs(CheckBox.class).stream()
                .anyMatch(c -> c.getText().equals("Shoes are loud")));
    }

    @Test
    void aFileThatIsNoRecordingIsRefusedWithAMessageAndNothingIsLost() throws Exception {
        openWithTake();
        Path text = Files.writeString(folder.resolve("notes.mp4"), "no film at all");
        Workout before = shell.session().workout();
        interact(() -> shell.session().bringIn(text));
        until(() -> text("#message").startsWith("notes.mp4: this is not a video"));
        assertThat(shell.session().workout()).isEqualTo(before);
    }

    @Test
    void changesAreKeptWithinTwoSecondsAndComeBack() throws Exception {
        openWithTake();
        Path file = shell.session().file().orElseThrow();
        clickOn("#stage-plan");
        interact(() -> lookup("#run-sheet").queryAs(RunSheetEditor.class).moveTo(0));
        interact(() -> lookup("#run-sheet").query().requestFocus());
        write("# ");
        until(() -> WorkoutFile.recovered(file)
                .filter(w -> w.sheet().startsWith("# title"))
                .isPresent());
        assertThat(WorkoutFile.open(file).sheet()).isEqualTo(SHEET);
        interact(() -> shell.session().open(file));
        until(() -> shell.session().undoName().orElse("").contains("recovered"));
        assertThat(shell.session().workout().sheet()).startsWith("# title");
        Files.deleteIfExists(WorkoutFile.autosave(file));
    }

    @Test
    void filmingFromTheWindowCanBeCancelled() throws Exception {
        interact(() -> shell.session()
                .jobs()
                .run(
                        "Filming",
                        (Progress p) -> {
                            for (int i = 0; ; i++) {
                                p.at(Math.min(0.9, i / 1e6));
                            }
                        },
                        (Object done) -> {}));
        until(() -> shell.session().jobs().isRunning());
        clickOn("#job-cancel");
        until(() -> text("#message").contains("was cancelled"));
        assertThat(shell.session().jobs().isRunning()).isFalse();
    }

    @Test
    void filmingAsksForAPlaceFirst() throws Exception {
        clickOn("#stage-match");
        clickOn("#film");
        until(() -> text("#message").startsWith("Save the workout first"));
        assertThat(shell.session().workout().takes()).isEmpty();
    }

    @Test
    void allStagesAndKeysAreReachableWithoutAMouse() throws Exception {
        push(KeyCode.CONTROL, KeyCode.DIGIT4);
        until(() -> lookup("#film").tryQuery().isPresent());
        push(KeyCode.CONTROL, KeyCode.DIGIT6);
        until(() -> lookup("#plaits").tryQuery().isPresent());
        push(KeyCode.CONTROL, KeyCode.DIGIT8);
        until(() -> lookup("#moves").tryQuery().isPresent());
        push(KeyCode.CONTROL, KeyCode.DIGIT9);
        until(() -> lookup("#series-add").tryQuery().isPresent());
        push(KeyCode.CONTROL, KeyCode.DIGIT0);
        until(() -> lookup("#entry-text").tryQuery().isPresent());
        push(KeyCode.CONTROL, KeyCode.DIGIT1);
        until(() -> lookup("#run-sheet").tryQuery().isPresent());
        push(KeyCode.F1);
        until(() -> lookup(".shade").query().isVisible());
        push(KeyCode.F1);
        until(() -> !lookup(".shade").query().isVisible());
    }

    @Test
    void theClockRunsThePlanInTheRoomAndKeepsALog() throws Exception {
        openWithTake();
        interact(() -> shell.go("Shoot"));
        until(() -> lookup("#shoot-start").tryQuery().isPresent());
        clickOn("#shoot-start");
        until(() -> lookup("#prompt-what").tryQuery().isPresent()
                && text("#prompt-what").startsWith("Get ready: Hi"));
        until(() -> text("#prompt-what").equals("Hi"));
        push(KeyCode.F);
        push(KeyCode.H);
        until(() -> text("#prompt-told").startsWith("Held"));
        push(KeyCode.PAGE_DOWN);
        push(KeyCode.A);
        until(() -> text("#prompt-what").startsWith("Get ready: Hi"));
        push(KeyCode.ESCAPE);
        until(() -> lookup("#shoot-start").tryQuery().isPresent());
        ShootLog log = ShootLog.fromJson(Files.readString(folder.resolve("shoot-1.log.json")));
        assertThat(log.events()).extracting(ShootLog.Event::kind).containsExactly("fluff", "hold", "go-on", "again");
        assertThat(lookup("#takes").queryListView().getItems()).hasSize(1);
    }

    @Test
    void aConnectedCameraIsTestedBeforeTheRun() throws Exception {
        openWithTake();
        clickOn("#stage-shoot");
        ComboBox<String> camera = lookup("#shoot-camera").queryComboBox();
        assertThat(lookup("#shoot-test").query().isVisible()).isFalse();
        interact(() -> camera.getSelectionModel().select("test picture and tone"));
        clickOn("#shoot-test");
        until(() -> text("#shoot-test-result").startsWith("Recorded 640 × 360; the sound is good"));
    }

    @Test
    void everyTryOfAnIntervalIsShownAndPlays() throws Exception {
        openWithTake();
        clickOn("#stage-match");
        ListView<?> score = lookup("#score").queryListView();
        interact(() -> score.getSelectionModel().select(1));
        clickOn("#match-tab-takes");
        until(() -> text("#takes-heading").equals("Squat was done once."));
        until(() -> lookup("#tries .picture .image-view").tryQuery().isPresent()
                && lookup("#tries .image-view").queryAs(ImageView.class).getImage() != null);
        Image before = lookup("#tries .image-view").queryAs(ImageView.class).getImage();
        clickOn("Play");
        until(() -> lookup("#tries .image-view").queryAs(ImageView.class).getImage() != before);
        interact(() -> score.getSelectionModel().select(3));
        until(() -> text("#takes-heading").equals("Push-up was done once."));
    }

    @Test
    void oneIntervalGetsALengthRuleOfItsOwn() throws Exception {
        openWithTake();
        clickOn("#stage-match");
        ListView<?> score = lookup("#score").queryListView();
        interact(() -> score.getSelectionModel().select(1));
        clickOn("#match-tab-cuts");
        ComboBox<String> own = lookup("#own-length-rule").queryComboBox();
        interact(() -> own.getSelectionModel().select(2));
        until(() -> programme().workout().matching().rules().containsValue(LengthRule.CLOCK));
        assertThat(programme().workout().matching().rules().keySet()).allMatch(id -> id.startsWith("a/squat"));
        interact(() -> own.getSelectionModel().select(0));
        until(() -> programme().workout().matching().rules().isEmpty());
    }

    @Test
    void whatIsDecidedAboutTheMatchIsKeptAndUndone() throws Exception {
        openWithTake();
        interact(() -> shell.go("Match"));
        until(() -> lookup("#score").tryQuery().isPresent());
        clickOn("#match-tab-cuts");
        until(() -> text("#cut-length").startsWith("The programme lasts"));
        String before = text("#cut-length");
        interact(
                () -> lookup("#length-rule").queryComboBox().getSelectionModel().select(1));
        until(() -> shell.session().workout().matching().rule() == LengthRule.CLOCK);
        until(() -> programme().workout().matching().rule() == LengthRule.CLOCK);
        assertThat(lookup("#undo").queryAs(Button.class).getText()).startsWith("Undo: trust the clock");
        clickOn("#undo");
        until(() -> text("#cut-length").equals(before));
        clickOn("#match-tab-words");
        until(() -> text("#words-summary").startsWith("No transcript came with the recordings."));
        clickOn("#match-tab-findings");
        until(() -> lookup("#match-findings").tryQuery().isPresent());
        int lines = lookup("#score").queryListView().getItems().size();
        interact(
                () -> lookup("#score-order").queryComboBox().getSelectionModel().select("Work only"));
        until(() -> lookup("#score").queryListView().getItems().size() < lines);
    }

    @Test
    void aLineIsNudgedByTenthsAndSeconds() throws Exception {
        openWithTake();
        interact(() -> shell.go("Match"));
        until(() -> lookup("#score").tryQuery().isPresent());
        interact(() -> lookup("#score").queryListView().getSelectionModel().select(1));
        clickOn("#score");
        interact(() -> lookup("#score").queryListView().getSelectionModel().select(1));
        double before = programme().match().segments().get(1).start().seconds();
        push(KeyCode.PERIOD);
        until(() -> !programme().workout().pins().isEmpty());
        assertThat(programme().match().segments().get(1).start().seconds()).isBetween(before + 0.09, before + 0.11);
        push(KeyCode.SHIFT, KeyCode.COMMA);
        until(() -> programme().match().segments().get(1).start().seconds() < before - 0.5);
        assertThat(programme().match().segments().get(1).startPinned()).isTrue();
    }
}
