package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.desktop.controls.Stillness;
import app.nosegay.desktop.shell.Shell;
import app.nosegay.jobs.WindowSettings;
import java.lang.ref.WeakReference;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SplitPane;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.junit.jupiter.api.Test;

/** The window as such: its size, its stillness, what a screen reader hears of it, and that it is gone when it is closed. */
class ViewWindowTest extends DrivenWindow {
    /** Whatever the keyboard reaches says what it is. */
    @Test
    void aScreenReaderHasAWordForEverythingTheKeyboardReaches() throws Exception {
        openWithTake();
        List<String> nameless = new ArrayList<>();
        for (String stage : List.of(
                "plan", "script", "shoot", "match", "dress", "proof", "publish", "library", "series", "logbook")) {
            clickOn("#stage-" + stage);
            interact(() -> nameless(stage, shell.root(), nameless));
        }
        assertThat(nameless).isEmpty();
    }

    private static void nameless(String stage, Node node, List<String> found) {
        if (!node.isVisible()) {
            return;
        }
        boolean holds = node instanceof ScrollPane || node instanceof SplitPane;
        boolean named = node.getAccessibleText() != null
                || node instanceof Labeled l && !l.getText().isBlank();
        if (node.isFocusTraversable() && !node.isDisabled() && !holds && !named) {
            found.add(
                    stage + ": " + node.getClass().getSimpleName() + " #" + node.getId() + " " + node.getStyleClass());
        }
        if (node instanceof Parent parent && (node instanceof Pane || holds || !node.isFocusTraversable())) {
            parent.getChildrenUnmodifiable().forEach(child -> nameless(stage, child, found));
        }
    }

    @Test
    void everythingGrowsByKeyAsFarAsTheWindowHasRoomAndIsKept() throws Exception {
        interact(() -> {
            Window window = shell.root().getScene().getWindow();
            window.setWidth(1400);
            window.setHeight(900);
        });
        double before = onScreen("#stage-plan");
        push(KeyCode.CONTROL, KeyCode.EQUALS);
        until(() -> onScreen("#stage-plan") > 1.05 * before);
        push(KeyCode.CONTROL, KeyCode.MINUS);
        until(() -> Math.abs(onScreen("#stage-plan") - before) < 1);
        for (int i = 0; i < 9; i++) {
            push(KeyCode.CONTROL, KeyCode.EQUALS);
        }
        until(() -> text("#message").contains("no room for more"));
        assertThat(shell.root().getWidth()).isGreaterThanOrEqualTo(1099);
        assertThat(WindowSettings.read().zoom()).isBetween(1.2, 1.5);
    }

    /** How wide a node is on the screen. */
    private double onScreen(String query) {
        Node node = lookup(query).query();
        return node.localToScreen(node.getBoundsInLocal()).getWidth();
    }

    @Test
    void figuresMoveUnlessNothingIsToMove() throws Exception {
        openWithTake();
        clickOn("#stage-shoot");
        ComboBox<?> from = lookup("#shoot-from").queryComboBox();
        interact(() -> from.getSelectionModel().select(1));
        clickOn("#shoot-rehearse");
        until(() -> lookup(".prompt-figure").tryQuery().isPresent());
        ImageView figure = (ImageView) ((Parent) lookup(".prompt-figure").query())
                .getChildrenUnmodifiable()
                .get(0);
        Image first = figure.getImage();
        until(() -> figure.getImage() != first);
        interact(() -> Stillness.wanted().set(true));
        try {
            Image standing = figure.getImage();
            String digits = text("#prompt-digits");
            until(() -> !text("#prompt-digits").equals(digits));
            assertThat(figure.getImage()).isSameAs(standing);
        } finally {
            interact(() -> Stillness.wanted().set(false));
        }
        push(KeyCode.ESCAPE);
        until(() -> lookup("#shoot-start").tryQuery().isPresent());
        assertThat(folder.resolve("shoot-0.log.json")).doesNotExist();
        assertThat(lookup("#takes").queryListView().getItems()).hasSize(1);
    }

    /** A window that is closed leaves nothing behind: neither the program nor its tests could open many. */
    @Test
    void aClosedWindowIsForgotten() throws Exception {
        AtomicReference<Shell> opened = new AtomicReference<>();
        interact(() -> {
            Stage stage = new Stage();
            opened.set(NosegayApp.show(stage));
            opened.get().go("plan");
            opened.get().close();
            stage.close();
        });
        WeakReference<Shell> closed = new WeakReference<>(opened.getAndSet(null));
        until(() -> {
            System.gc();
            return closed.get() == null;
        });
    }

    /** After a run with a camera one page says what to shoot again; from there the clock starts at any move. */
    @Test
    void aVerdictComesAfterTheTake() throws Exception {
        openWithTake();
        clickOn("#stage-shoot");
        ComboBox<String> camera = lookup("#shoot-camera").queryComboBox();
        interact(() -> camera.getSelectionModel().select("test picture and tone"));
        clickOn("#shoot-start");
        until(() -> lookup("#prompt-what").tryQuery().isPresent());
        push(KeyCode.ESCAPE);
        until(() -> lookup("#verdict").tryQuery().isPresent());
        assertThat(text("#verdict-found")).contains("2 takes").contains("there is no transcript");
        assertThat(lookup(".verdict-card").queryAll()).hasSize(2);
        clickOn(lookup(".verdict-card").nth(1).<Node>query());
        until(() -> lookup("#shoot-from").tryQuery().isPresent());
        assertThat(lookup("#shoot-from").queryComboBox().getValue().toString()).contains("push-up");
        clickOn("#shoot-verdict");
        until(() -> lookup("#verdict-back").tryQuery().isPresent());
        assertThat(lookup("#verdict").queryAs(Label.class).getText()).isNotBlank();
        clickOn("#verdict-match");
        until(() -> lookup("#score").tryQuery().isPresent());
    }

    /** Lines to say again come one by one in large type; what is recorded of them is a take of the workout. */
    @Test
    void linesAreSaidAgainFromTheVerdict() throws Exception {
        openWithTake("WEBVTT\n\n00:04.000 --> 00:06.000\nHello and welcome.\n\n"
                + "00:21.000 --> 00:22.500\nTen seconds left.\n\n00:37.000 --> 00:38.500\nTen seconds left.\n");
        until(() -> !programme().pickUps().lines().isEmpty());
        int lines = programme().pickUps().lines().size();
        clickOn("#stage-shoot");
        ComboBox<String> camera = lookup("#shoot-camera").queryComboBox();
        interact(() -> camera.getSelectionModel().select("test picture and tone"));
        clickOn("#shoot-verdict");
        until(() -> lookup("#verdict-say").tryQuery().isPresent());
        clickOn("#verdict-say");
        until(() -> lookup("#lines-say").tryQuery().isPresent());
        assertThat(text("#lines-count")).startsWith("Line 1 of " + lines).endsWith("recording");
        String first = text("#lines-say");
        assertThat(first).contains(programme().pickUps().lines().get(0).say());
        Path movie = folder.resolve("lines-1.mp4");
        for (int i = 1; i < lines; i++) {
            push(KeyCode.SPACE);
            assertThat(text("#lines-count")).startsWith("Line " + (i + 1) + " of " + lines);
        }
        if (lines > 1) {
            push(KeyCode.PAGE_UP);
            push(KeyCode.SPACE);
        }
        assertThat(lookup("#lines-next").queryAs(Button.class).getText()).startsWith("Done");
        clickOn("#lines-next");
        until(() -> shell.session().workout().takes().size() == 2);
        assertThat(movie).isNotEmptyFile();
        assertThat(shell.session().workout().takes().get(1).file()).isEqualTo("lines-1.mp4");
        until(() -> lookup("#verdict").tryQuery().isPresent());
    }
}
