package app.nosegay.desktop.shoot;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.LinesRun;
import java.util.List;
import javafx.animation.AnimationTimer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Lines that are said once more, one at a time, in type that is read from four metres; recorded where a camera is connected. */
final class LinesPage {
    /** How wide the level is drawn, in pixels. */
    private static final double LEVEL = 260;

    /**
     * A line.
     *
     * @param say its words
     * @param where it belongs, and what was wrong
     */
    record Said(String say, String where) {}

    private final List<Said> lines;
    private final LinesRun run;
    private final Runnable ended;
    private final Label count = new Label();
    private final Label where = new Label();
    private final Label say = new Label();
    private final Label then = new Label();
    private final Label alert = new Label();
    private final ProgressBar level = new ProgressBar(0);
    private final Button next = Buttons.act("", this::next);
    private final Button back = Buttons.quiet(DesktopText.of("shoot.lines.back"), "lines-back", this::back);
    private final VBox view = new VBox(14);
    private final AnimationTimer timer = new AnimationTimer() {
        @Override
        public void handle(long now) {
            watch();
        }
    };

    /** @param ended told once when all is said, or it was ended before */
    LinesPage(List<Said> lines, LinesRun run, Runnable ended) {
        this.lines = lines;
        this.run = run;
        this.ended = ended;
        count.getStyleClass().add("prompt-small");
        count.setId("lines-count");
        where.getStyleClass().add("prompt-then");
        where.setWrapText(true);
        say.getStyleClass().add("prompt-say");
        say.setId("lines-say");
        say.setWrapText(true);
        say.setMinHeight(Region.USE_PREF_SIZE);
        then.getStyleClass().add("prompt-then");
        then.setWrapText(true);
        alert.getStyleClass().add("prompt-warning");
        alert.setWrapText(true);
        alert.managedProperty().bind(alert.visibleProperty());
        level.setPrefWidth(LEVEL);
        level.setVisible(run.level() >= 0);
        level.setAccessibleText(DesktopText.of("shoot.lines.level"));
        next.setId("lines-next");
        Button end = Buttons.quiet(DesktopText.of("shoot.lines.end"), "lines-end", this::end);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        HBox top = new HBox(20, count, space, level);
        top.setAlignment(Pos.CENTER_LEFT);
        Region above = new Region();
        VBox.setVgrow(above, Priority.ALWAYS);
        Region below = new Region();
        VBox.setVgrow(below, Priority.ALWAYS);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox keys = new HBox(12, next, back, gap, end);
        keys.setAlignment(Pos.CENTER_LEFT);
        view.getChildren().addAll(top, alert, where, above, say, below, then, keys);
        view.getStyleClass().add("prompter");
        view.setFocusTraversable(true);
        view.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        show();
        timer.start();
    }

    Region view() {
        return view;
    }

    private void show() {
        int at = run.at();
        boolean last = at == lines.size() - 1;
        count.setText(DesktopText.of("shoot.lines.count", at + 1, lines.size(), run.level() >= 0));
        where.setText(lines.get(at).where());
        say.setText(DesktopText.of("shoot.verdict.quoted", lines.get(at).say()));
        then.setText(
                last
                        ? DesktopText.of("shoot.lines.last")
                        : DesktopText.of("shoot.lines.then", lines.get(at + 1).say()));
        next.setText(DesktopText.of("shoot.lines.next", last));
        back.setDisable(at == 0);
    }

    private void watch() {
        alert.setText(run.alert());
        alert.setVisible(!alert.getText().isEmpty());
        level.setProgress(Math.max(0, Math.min(1, run.level())));
    }

    private void next() {
        if (run.next()) {
            show();
            view.requestFocus();
        } else {
            end();
        }
    }

    private void back() {
        run.back();
        show();
        view.requestFocus();
    }

    private void end() {
        timer.stop();
        run.end();
        ended.run();
    }

    private void key(KeyEvent e) {
        if (e.isShortcutDown() || e.isAltDown()) {
            return;
        }
        switch (e.getCode()) {
            case SPACE, ENTER, PAGE_DOWN -> next();
            case PAGE_UP, BACK_SPACE -> back();
            case ESCAPE -> end();
            default -> {
                return;
            }
        }
        e.consume();
    }
}
