package app.nosegay.desktop.shoot;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Stillness;
import app.nosegay.jobs.ShootRun;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.Wordings;
import app.nosegay.shoot.OwedLines;
import app.nosegay.shoot.ShootClock;
import app.nosegay.time.Length;
import java.util.List;
import java.util.Locale;
import javafx.animation.AnimationTimer;
import javafx.beans.binding.Bindings;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What the presenter sees while the clock runs: to be read from four metres, worked with one key, a click or a remote. */
final class Prompter {
    /** Font size of the digits as a share of the height: what is said and the keys need the rest. */
    private static final double SHARE_OF_HEIGHT = 0.28;

    private static final double SHARE_OF_WIDTH = 0.26;
    private static final double LEAST_DIGITS = 110;
    /** Shown where nothing is heard. */
    private static final double SILENCE_DB = -60;

    /** A name longer than this is set smaller, in characters. */
    private static final int SHORT_NAME = 24;

    private static final PseudoClass LONG = PseudoClass.getPseudoClass("long");
    /** What is owed grows and fades once in this time, in seconds. */
    private static final double PULSE_SECONDS = 1.6;

    private static final double LEAST_OPACITY = 0.45;

    private final Timeline timeline;
    private final ShootRun run;
    private final Runnable ended;
    private final Label where = new Label();
    private final Label level = new Label();
    private final Label what = new Label();
    private final Label digits = new Label();
    private final ProgressBar share = new ProgressBar(0);
    private final PrompterFigures figures;
    private final PrompterKeys keys;
    private final Label next = new Label();
    private final Label line = new Label();
    private final Label then = new Label();
    private final Label owed = new Label();
    private final Label alert = new Label();
    /** The digits have room above and below: what they give up is shared by that. */
    private static final double ALERT_WEIGHS = 1.6;

    private final VBox view = new VBox(6);
    private final AnimationTimer timer = new AnimationTimer() {
        @Override
        public void handle(long now) {
            show();
        }
    };
    private boolean over;

    Prompter(Timeline timeline, ShootRun run, Runnable ended) {
        this.timeline = timeline;
        this.run = run;
        this.ended = ended;
        figures = new PrompterFigures(timeline);
        keys = new PrompterKeys(timeline, run);
        view.getChildren().addAll(parts());
        view.getStyleClass().add("prompter");
        view.addEventFilter(KeyEvent.KEY_PRESSED, keys::key);
        view.setFocusTraversable(true);
        view.setMinHeight(0);
        // The digits are as large as the window allows, with their room above and below: they are read from four
        // metres.
        digits.styleProperty()
                .bind(Bindings.createStringBinding(
                        () -> DesktopText.of("shoot.prompter.fx-font-size-px", digitSize()),
                        view.heightProperty(),
                        alert.heightProperty(),
                        alert.visibleProperty(),
                        view.widthProperty()));
        timer.start();
    }

    private int digitSize() {
        return (int) Math.max(LEAST_DIGITS, Math.min(room() * SHARE_OF_HEIGHT, view.getWidth() * SHARE_OF_WIDTH));
    }

    /** From top to bottom. */
    private List<Node> parts() {
        where.getStyleClass().add("prompt-small");
        level.getStyleClass().add("prompt-small");
        what.getStyleClass().add("prompt-what");
        what.setId("prompt-what");
        what.setWrapText(true);
        digits.getStyleClass().add("prompt-digits");
        digits.setId("prompt-digits");
        share.setMaxWidth(Double.MAX_VALUE);
        share.getStyleClass().add("prompt-share");
        next.getStyleClass().add("prompt-next");
        next.setWrapText(true);
        line.getStyleClass().add("prompt-line");
        line.setWrapText(true);
        line.setMinHeight(Region.USE_PREF_SIZE);
        then.getStyleClass().add("prompt-then");
        then.setWrapText(true);
        owed.getStyleClass().add("prompt-owed");
        owed.setId("prompt-owed");
        owed.setWrapText(true);
        owed.setMinHeight(Region.USE_PREF_SIZE);
        owed.managedProperty().bind(owed.visibleProperty());
        owed.setVisible(false);
        alert.setId("prompt-alert");
        alert.setWrapText(true);
        alert.setMaxWidth(Double.MAX_VALUE);
        alert.setMinHeight(Region.USE_PREF_SIZE);
        alert.managedProperty().bind(alert.visibleProperty());
        alert.setVisible(false);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        HBox top = new HBox(20, where, space, level);
        Region air = new Region();
        VBox.setVgrow(air, Priority.ALWAYS);
        HBox clock = new HBox(36, digits, what, figures.now());
        clock.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(what, Priority.ALWAYS);
        what.setMaxWidth(Double.MAX_VALUE);
        what.setMinWidth(0);
        digits.setMinWidth(Region.USE_PREF_SIZE);
        HBox coming = new HBox(16, figures.next(), next);
        coming.setAlignment(Pos.CENTER_LEFT);
        return List.of(top, alert, clock, share, coming, air, line, then, owed, keys.told(), keys.buttons());
    }

    /** The height the clock has: an alert takes its part of it, in pixels. */
    private double room() {
        return view.getHeight() - (alert.isVisible() ? ALERT_WEIGHS * alert.getHeight() : 0);
    }

    Region view() {
        return view;
    }

    private void show() {
        ShootClock.Moment m = run.moment();
        Segment s = m.segment();
        boolean waits = m.getReady().isPositive();
        where.setText(DesktopText.of(
                "shoot.prompter.of",
                s.block().name(),
                s.round() == null ? "" : DesktopText.of("shoot.prompter.round", s.round()),
                timeline.segments().indexOf(s) + 1,
                timeline.segments().size()));
        level.setText(recording());
        alert.setText(run.alert());
        showOwed();
        then.setManaged(alert.getText().isEmpty() && !owed.isVisible());
        then.setVisible(then.isManaged());
        figures.show(s);
        alert.setVisible(!alert.getText().isEmpty());
        alert.getStyleClass().setAll("label", run.isLosing() ? "prompt-losing" : "prompt-warning");
        String move = figures.now().isVisible() ? nameAlone(s) + reps(s) : name(s);
        what.setText(
                m.finished()
                        ? DesktopText.of("shoot.prompter.done-stop-your-camera-after")
                        : waits ? DesktopText.of("shoot.prompter.get-ready", move) : move);
        what.pseudoClassStateChanged(LONG, what.getText().length() > SHORT_NAME);
        Length shown = waits ? m.getReady() : m.left();
        long seconds = (long) Math.ceil(shown.seconds() - 1e-6);
        digits.setText(
                seconds >= 60 ? seconds / 60 + ":" + String.format(Locale.ROOT, "%02d", seconds % 60) : "" + seconds);
        share.setProgress(waits ? 0 : m.share());
        view.getStyleClass().removeAll("prompt-work", "prompt-rest", "prompt-held");
        view.getStyleClass()
                .add(m.held() ? "prompt-held" : s.kind().isMoving() && !waits ? "prompt-work" : "prompt-rest");
        next.setText(
                m.held()
                        ? DesktopText.of("shoot.prompter.held-h-goes-on")
                        : m.next() == null
                                ? ""
                                : DesktopText.of("shoot.prompter.next", name(m.next()), gear(m.next())));
        line.setText(text(m.line()));
        then.setText(text(m.then()));
        keys.show(m);
        if (run.isOver() && !over) {
            over = true;
            timer.stop();
            ended.run();
        }
    }

    private String recording() {
        if (run.isRehearsal()) {
            return DesktopText.of("shoot.prompter.rehearsal");
        }
        if (run.isStopped()) {
            return DesktopText.of("shoot.prompter.not-recording");
        }
        double db = run.level() > 0 ? 20 * Math.log10(run.level()) : SILENCE_DB;
        return run.level() < 0
                ? DesktopText.of("shoot.prompter.your-camera-records")
                : DesktopText.of("shoot.prompter.recording-peak-db", db);
    }

    /** What should have been said by now pulses until it is. */
    private void showOwed() {
        OwedLines.Owed now = run.owed();
        owed.setVisible(now != null);
        if (now != null) {
            owed.setText(
                    now.promised()
                            ? DesktopText.of(
                                    "shoot.prompter.promised", now.line().text())
                            : DesktopText.of("shoot.prompter.owed", now.line().text()));
            double turn = System.nanoTime() / 1e9 / PULSE_SECONDS * 2 * Math.PI;
            owed.setOpacity(
                    Stillness.wanted().get() ? 1 : LEAST_OPACITY + (1 - LEAST_OPACITY) * (0.5 + 0.5 * Math.cos(turn)));
        }
    }

    private static String text(ScriptLine of) {
        return of == null ? "" : of.text();
    }

    /** The name with its side. */
    private String name(Segment s) {
        boolean one = s.side() == Side.LEFT || s.side() == Side.RIGHT;
        return nameAlone(s)
                + (one ? DesktopText.of("shoot.prompter.your", s.side().word()) : "")
                + reps(s);
    }

    private static String reps(Segment s) {
        return s.reps() == null ? "" : "  ×" + s.reps();
    }

    private static String nameAlone(Segment s) {
        String move = s.move() == null
                ? s.kind() == SegmentKind.TALK ? s.block().name() : s.kind().word()
                : s.kind() == SegmentKind.REST ? DesktopText.of("shoot.prompter.rest", s.move()) : s.move();
        return Wordings.capital(move);
    }

    private static String gear(Segment s) {
        return s.teaches() != null && s.kind() == SegmentKind.REST
                ? DesktopText.of("shoot.prompter.then", s.teaches())
                : "";
    }
}
