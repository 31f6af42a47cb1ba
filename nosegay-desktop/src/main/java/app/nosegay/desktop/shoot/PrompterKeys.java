package app.nosegay.desktop.shoot;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.ShootRun;
import app.nosegay.plan.Timeline;
import app.nosegay.shoot.ShootClock;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** What the presenter tells the clock while it runs: one key or one large button each, and what was understood. */
final class PrompterKeys {
    private final Timeline timeline;
    private final ShootRun run;
    private final Label told = new Label();
    private final Button hold = big(DesktopText.of("shoot.prompter.hold"), "H", this::hold);

    PrompterKeys(Timeline timeline, ShootRun run) {
        this.timeline = timeline;
        this.run = run;
        told.getStyleClass().add("prompt-small");
        told.setId("prompt-told");
    }

    /** What was understood last. */
    Label told() {
        return told;
    }

    void show(ShootClock.Moment m) {
        hold.setText(DesktopText.of("shoot.prompter.go-on-h", m.held()));
    }

    HBox buttons() {
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox keys = new HBox(
                10,
                big(
                        DesktopText.of("shoot.prompter.mark"),
                        "M",
                        () -> tell(ShootClock::mark, DesktopText.of("shoot.prompter.marked"))),
                big(
                        DesktopText.of("shoot.prompter.fluff"),
                        "F",
                        () -> tell(ShootClock::fluff, DesktopText.of("shoot.prompter.fluff-logged"))),
                big(
                        DesktopText.of("shoot.prompter.again-from-here"),
                        DesktopText.of("shoot.prompter.a-or-page-up"),
                        () -> tell(ShootClock::again, DesktopText.of("shoot.prompter.again"))),
                hold,
                big(
                        DesktopText.of("shoot.prompter.go-on"),
                        DesktopText.of("shoot.prompter.g-or-page-down"),
                        this::goOn),
                gap,
                big(DesktopText.of("shoot.prompter.end"), DesktopText.of("shoot.prompter.esc"), this::end));
        keys.setAlignment(Pos.CENTER_LEFT);
        keys.setMinHeight(Region.USE_PREF_SIZE);
        return keys;
    }

    private static Button big(String word, String key, Runnable action) {
        Button button = new Button(word + "\n" + key);
        button.getStyleClass().add("prompt-key");
        button.setId("shoot-" + word.toLowerCase(Locale.ROOT).split(" ")[0]);
        button.setFocusTraversable(false);
        button.setTooltip(new Tooltip(word + ": " + key));
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(e -> action.run());
        return button;
    }

    private void tell(Consumer<ShootClock> what, String word) {
        run.tell(what);
        told.setText(DesktopText.of(
                "shoot.prompter.at",
                word,
                timeline.spoken(run.moment().segment().id())));
    }

    private void hold() {
        tell(
                ShootClock::hold,
                run.moment().held()
                        ? DesktopText.of("shoot.prompter.going-on")
                        : DesktopText.of("shoot.prompter.held"));
    }

    private void goOn() {
        if (run.moment().held()) {
            hold();
        } else {
            tell(ShootClock::next, DesktopText.of("shoot.prompter.on"));
        }
    }

    private void said() {
        if (run.owed() != null) {
            run.said();
            told.setText(DesktopText.of("shoot.prompter.noted-as-said"));
        }
    }

    private void end() {
        if (!run.moment().finished()) {
            run.tell(ShootClock::stop);
            told.setText(DesktopText.of("shoot.prompter.ending-wait-for-the-tone"));
        }
    }

    void key(KeyEvent e) {
        if (e.isShortcutDown() || e.isAltDown()) {
            return;
        }
        switch (e.getCode()) {
            case M -> tell(ShootClock::mark, DesktopText.of("shoot.prompter.marked"));
            case F -> tell(ShootClock::fluff, DesktopText.of("shoot.prompter.fluff-logged"));
            case A, PAGE_UP -> tell(ShootClock::again, DesktopText.of("shoot.prompter.again"));
            case H, SPACE -> hold();
            case G, PAGE_DOWN -> goOn();
            case S -> said();
            case ESCAPE -> end();
            default -> {
                return;
            }
        }
        e.consume();
    }
}
