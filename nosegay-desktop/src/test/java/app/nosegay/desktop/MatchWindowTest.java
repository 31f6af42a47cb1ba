package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.cut.LengthRule;
import app.nosegay.jobs.Libraries;
import app.nosegay.library.CueKind;
import app.nosegay.match.Match;
import app.nosegay.match.Pin;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.junit.jupiter.api.Test;

/** Match in the real window: the Score, the player, takes, cuts and words. */
class MatchWindowTest extends DrivenScore {
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
        Node cell = line(2);
        double scaleStart = cell.localToScreen(cell.getBoundsInLocal()).getMinX();
        assertThat(scaleStart).isPositive();
        dragBoundary(score);
    }

    /**
     * Takes hold of the first visible boundary of the second line, the stem at its start, and pulls it a little to the right. The
     * pointer goes by way of the display, and on a busy machine it may be over the stem before the window knows: it comes again.
     */
    private void dragBoundary(ListView<?> score) throws Exception {
        int pins = shell.session().workout().pins().size();
        double at = score.localToScreen(score.getBoundsInLocal()).getMinX();
        double y = line(1).localToScreen(0, 30).getY();
        for (int pass = 0; pass < 5; pass++) {
            for (double x = at + 158; x < at + 330; x += 4) {
                moveTo(x, y);
                boolean grip =
                        line(1).lookupAll("*").stream().anyMatch(n -> n.getCursor() == javafx.scene.Cursor.H_RESIZE);
                if (grip) {
                    drag(x, y).moveBy(14, 0).drop();
                    until(() -> shell.session().workout().pins().size() >= pins
                            && shell.session().undoName().orElse("").startsWith("move"));
                    return;
                }
            }
        }
        org.assertj.core.api.Assertions.fail("no boundary was found to drag");
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

    /** Keys pressed all at once. */
    private void typed(String keys) {
        Node score = lookup("#score").query();
        for (String key : keys.split("")) {
            score.fireEvent(new KeyEvent(KeyEvent.KEY_TYPED, key, key, KeyCode.UNDEFINED, false, false, false, false));
        }
    }

    @Test
    void boundariesMoveByAFrameATenthAndASecond() throws Exception {
        openWithTake();
        onLine(1);
        double end = end("a/squat");
        // Faster than the match is solved again: none is lost.
        interact(() -> typed("}}}}}"));
        until(() -> end("a/squat") > end + 0.15);
        assertThat(end("a/squat")).isCloseTo(end + 5 / 30.0, within(0.005));
        push(KeyCode.ALT, KeyCode.COMMA);
        until(() -> end("a/squat") < end + 0.1);
        assertThat(end("a/squat")).isCloseTo(end + 5 / 30.0 - 0.1, within(0.005));
        double start = start("a/squat");
        push(KeyCode.SHIFT, KeyCode.PERIOD);
        until(() -> start("a/squat") > start + 0.9);
        assertThat(start("a/squat")).isCloseTo(start + 1, within(0.005));
        assertThat(shell.session().workout().pins()).hasSize(2);
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> Math.abs(start("a/squat") - start) < 0.005);
    }

    @Test
    void repsAreTappedAlongWhileItPlays() throws Exception {
        openWithTake();
        onLine(1);
        push(KeyCode.T);
        until(() -> shell.session().jobs().message().get().startsWith("Play a line first"));
        push(KeyCode.SPACE);
        until(() -> text("#now-at").contains("second 1."));
        for (int n = 1; n <= 3; n++) {
            int taps = n;
            String before = text("#now-at");
            until(() -> !text("#now-at").equals(before));
            push(KeyCode.T);
            until(() -> text("#now-at").contains(taps + (taps == 1 ? " rep" : " reps")));
        }
        push(KeyCode.SPACE);
        until(() -> shell.session().workout().matching().taps().containsKey("a/squat"));
        assertThat(shell.session().workout().matching().taps().get("a/squat")).hasSize(3);
        assertThat(programme().match().reps().get("a/squat")).hasSize(3);
        assertThat(shell.session().undoName()).contains("3 reps tapped in Squat");
    }

    @Test
    void theMomentsAroundABoundaryPlayOverAndOver() throws Exception {
        openWithTake();
        onLine(1);
        double start = start("a/squat");
        push(KeyCode.R);
        until(() -> text("#now-at").startsWith("Around the start of Squat"));
        String first = text("#now-at");
        until(() -> !text("#now-at").equals(first));
        // 2.2 s further the same moment comes again.
        until(() -> text("#now-at").equals(first) || seconds(text("#now-at")) < start);
        // Slower, from the beginning of the stretch, and still over and over.
        push(KeyCode.V);
        assertThat(lookup("#half-speed").queryAs(ToggleButton.class).isSelected())
                .isTrue();
        until(() -> seconds(text("#now-at")) > start);
        until(() -> seconds(text("#now-at")) < start);
        push(KeyCode.SPACE);
        until(() -> text("#now-at").contains("starts at"));
    }

    /** The end is told by hand 8 s before the recording's: what is behind it is offered to be cut. */
    @Test
    void aCutIsKeptMovedAndPlayed() throws Exception {
        openWithTake();
        interact(() -> shell.session()
                .apply(
                        "the end",
                        shell.session().workout().withPin(new Pin("bye", true, "take-1", Time.ofSeconds(48)))));
        clickOn("#stage-match");
        clickOn("#match-tab-cuts");
        ListView<?> cuts = lookup("#cuts").queryListView();
        until(() -> cuts.getItems().size() == 1);
        double length = programme().cut().total().seconds();
        interact(() -> {
            cuts.getSelectionModel().select(0);
            cuts.requestFocus();
        });
        push(KeyCode.C);
        until(() -> programme().cut().total().seconds() > length + 5);
        assertThat(shell.session().undoName().orElse("")).startsWith("keep after the end");
        push(KeyCode.C);
        until(() -> Math.abs(programme().cut().total().seconds() - length) < 0.01);
        // Right moves its start by a step, also twice in a row.
        push(KeyCode.RIGHT);
        push(KeyCode.RIGHT);
        until(() -> shell.session().workout().matching().cuts().size() == 1
                && shell.session()
                                .workout()
                                .matching()
                                .cuts()
                                .get(0)
                                .span()
                                .start()
                                .seconds()
                        > 48.15);
        push(KeyCode.SHIFT, KeyCode.LEFT);
        until(() ->
                shell.session().workout().matching().cuts().get(0).span().end().seconds() < 55.95);
        assertThat(cuts.getSelectionModel().getSelectedIndex()).isZero();
        push(KeyCode.ENTER);
        until(() -> text("#now-at").startsWith("after the end"));
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
        interact(() -> shell.go("match"));
        until(() -> lookup("#score").tryQuery().isPresent());
        clickOn("#match-tab-cuts");
        until(() -> text("#cut-length").startsWith("The finished video lasts"));
        String before = text("#cut-length");
        interact(
                () -> lookup("#length-rule").queryComboBox().getSelectionModel().select(1));
        until(() -> shell.session().workout().matching().rule() == LengthRule.CLOCK);
        until(() -> programme().workout().matching().rule() == LengthRule.CLOCK);
        assertThat(lookup("#undo").queryAs(Button.class).getText()).startsWith("Undo: trust the clock");
        clickOn("#undo");
        until(() -> text("#cut-length").equals(before));
        clickOn("#match-tab-words");
        until(() -> text("#words-summary").startsWith("These recordings have no transcript."));
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
        interact(() -> shell.go("match"));
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

    /** The start of a move is moved behind a pin that ends it: that pin goes, and undo brings it back. */
    @Test
    void aPinThatCannotStandGoes() throws Exception {
        openWithTake();
        interact(() -> shell.go("match"));
        until(() -> lookup("#score").tryQuery().isPresent());
        Match.Placed squat = programme().match().segments().get(1);
        Pin end = new Pin(squat.id(), true, "take-1", squat.start().plus(Length.ofMillis(600)));
        interact(() -> shell.session().apply("an end", shell.session().workout().withPin(end)));
        until(() -> programme().workout().pins().size() == 1);
        interact(() -> {
            lookup("#score").queryListView().getSelectionModel().select(1);
            lookup("#score").queryListView().requestFocus();
        });
        for (int second = 0; shell.session().workout().pins().contains(end) && second < 20; second++) {
            push(KeyCode.SHIFT, KeyCode.PERIOD);
        }
        until(() -> programme().workout().pins().size() == 1
                && !programme().workout().pins().contains(end));
        assertThat(programme().match().segments().get(1).startPinned()).isTrue();
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> programme().workout().pins().contains(end));
    }

    @Test
    void whatWasSaidOffTheScriptIsKeptAsACue() throws Exception {
        openWithTake("WEBVTT\n\n00:00:16.000 --> 00:00:18.000\nSpread the mat apart with both feet.\n");
        clickOn("#stage-match");
        clickOn("#match-tab-words");
        until(() -> lookup("Save as a cue").tryQuery().isPresent());
        clickOn("Save as a cue");
        until(() -> Libraries.own().stream()
                .anyMatch(m -> m.name().equals("squat")
                        && m.cues(CueKind.FORM).contains("Spread the mat apart with both feet.")));
        until(() -> programme().adLibs().isEmpty()
                || lookup("Save as a cue").tryQuery().isEmpty());
    }
}
