package app.nosegay.desktop.match;

import app.nosegay.desktop.Pictures;
import app.nosegay.desktop.Session;
import app.nosegay.desktop.StageView;
import app.nosegay.match.Match;
import app.nosegay.match.Pin;
import app.nosegay.plan.SegmentKind;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.File;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.Cursor;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;
import javafx.stage.FileChooser;
import javafx.stage.Stage;

/** Where in the takes everything planned is: the Score, the player, the doubt queue. */
public final class MatchStage implements StageView {
    /** How near to a boundary a drag takes hold of it, in pixels. */
    private static final double GRIP = 6;
    /** Doubt below this is not worth a person's time. */
    private static final double WORTH_A_LOOK = 0.1;

    private final Session session;
    private final Stage window;
    private final ListView<ScoreLine> score = new ListView<>();
    private final ListView<Doubtful> doubts = new ListView<>();
    private final Label doubtHeading = new Label("Doubts");
    private final Label summary = new Label();
    private final TakeScreen screen;
    private final Label nowAt = new Label("Click a line to play from there.");
    private final BorderPane view = new BorderPane();
    private final VBox empty;
    private final Region filled;
    private final Map<ScoreLine, Image> images = new HashMap<>();
    private final Set<String> lookedAt = new HashSet<>();
    private ScorePainter painter = new ScorePainter(700, 40);
    private Programme programme;

    /** A boundary in the doubt queue. */
    private record Doubtful(Match.Placed placed, boolean end, double doubt, int line) {
        String key() {
            return placed.id() + (end ? " end" : " start");
        }
    }

    /** One end of a segment. */
    private record Boundary(Match.Placed placed, boolean end) {}

    public MatchStage(Session session, Stage window) {
        this.session = session;
        this.window = window;
        this.screen = new TakeScreen(session.jobs()::say);
        score.getStyleClass().add("score-list");
        score.setId("score");
        score.setAccessibleText("Score: one line per interval");
        score.setCellFactory(list -> new ScoreCell());
        score.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        score.addEventFilter(KeyEvent.KEY_TYPED, this::typed);
        score.widthProperty().addListener((o, before, now) -> repaint());
        score.getSelectionModel().selectedItemProperty().addListener((o, before, now) -> standAt(now));
        doubts.setCellFactory(list -> new DoubtCell());
        doubts.setId("doubts");
        doubts.getSelectionModel().selectedItemProperty().addListener((o, before, now) -> showDoubt(now));
        doubts.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        doubts.setPlaceholder(new Label("Nothing is in doubt."));
        summary.setId("match-summary");
        summary.setWrapText(true);
        HBox.setHgrow(summary, Priority.ALWAYS);
        filled = filled();
        empty = empty();
        view.setCenter(empty);
        session.programme().addListener((o, before, now) -> show(now));
        if (session.programme().get() != null) {
            show(session.programme().get());
        }
    }

    private Region filled() {
        Button film = action("Film again …", "quiet", this::film);
        Button bring = action("Bring in a recording …", "quiet", this::bringIn);
        summary.setMaxWidth(Double.MAX_VALUE);
        HBox head = new HBox(10, summary, film, bring);
        head.setAlignment(Pos.CENTER_LEFT);
        VBox.setVgrow(score, Priority.ALWAYS);
        VBox left = new VBox(8, head, score);
        left.getStyleClass().add("stage");
        doubtHeading.getStyleClass().add("heading");
        Button keep = action("Keep as it is  (B)", "act", this::pinSelected);
        keep.setId("keep");
        keep.setTooltip(new Tooltip("Pins the boundary where it is"));
        Button play = action("Play  (Space)", "quiet", this::playSelected);
        play.setId("play");
        HBox buttons = new HBox(8, play, keep);
        buttons.setAlignment(Pos.CENTER_LEFT);
        VBox.setVgrow(doubts, Priority.ALWAYS);
        nowAt.setWrapText(true);
        nowAt.setId("now-at");
        VBox right = new VBox(10, screen.view(), nowAt, buttons, doubtHeading, doubts);
        right.getStyleClass().add("stage");
        right.setMinWidth(456);
        right.setMaxWidth(456);
        BorderPane pane = new BorderPane(left);
        pane.setRight(right);
        return pane;
    }

    private VBox empty() {
        Label heading = new Label("No recording yet");
        heading.getStyleClass().add("heading");
        Label text = new Label(
                "Have the simulated camera film the plan to see how it plays, or bring in a video you recorded. "
                        + "A transcript or shoot log with the same name beside it is used as well.");
        text.getStyleClass().add("empty");
        text.setMaxWidth(560);
        Button film = action("Film with the simulated camera", "act", this::film);
        film.setId("film");
        Button bring = action("Bring in a recording …", "quiet", this::bringIn);
        VBox box = new VBox(16, heading, text, new HBox(10, film, bring));
        box.setAlignment(Pos.CENTER_LEFT);
        box.setMaxWidth(600);
        return box;
    }

    private static Button action(String text, String style, Runnable run) {
        Button button = new Button(text);
        button.getStyleClass().add(style);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(e -> run.run());
        return button;
    }

    @Override
    public String name() {
        return "Match";
    }

    @Override
    public Region view() {
        return view;
    }

    @Override
    public void entered() {
        score.requestFocus();
    }

    @Override
    public void left() {
        screen.stop();
    }

    /** Takes are kept beside the workout, so it needs a place first. */
    private boolean hasPlace() {
        if (session.file().isEmpty()) {
            session.jobs().say("Save the workout first (Ctrl+S): its takes are kept beside it.");
        }
        return session.file().isPresent();
    }

    private void film() {
        if (!hasPlace()) {
            return;
        }
        session.film(System.nanoTime() & 0xffff);
    }

    private void bringIn() {
        if (!hasPlace()) {
            return;
        }
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Bring in a recording");
        File chosen = chooser.showOpenDialog(window);
        if (chosen != null) {
            session.bringIn(chosen.toPath());
        }
    }

    private void show(Programme now) {
        programme = now;
        boolean any = !now.match().takes().isEmpty();
        view.setCenter(any ? filled : empty);
        if (!any) {
            return;
        }
        int selected = score.getSelectionModel().getSelectedIndex();
        List<ScoreLine> lines = ScoreLine.of(now);
        images.clear();
        measure(lines);
        score.getItems().setAll(lines);
        if (selected >= 0) {
            score.getSelectionModel().select(Math.min(selected, lines.size() - 1));
        }
        long found =
                now.match().segments().stream().filter(Match.Placed::matched).count();
        List<String> evidence = new ArrayList<>();
        now.match().takes().forEach(t -> t.evidence().stream()
                .filter(e -> !evidence.contains(e))
                .forEach(evidence::add));
        summary.setText(found + " of " + now.match().segments().size() + " segments found from "
                + String.join(", ", evidence) + ". Recorded " + now.cut().total() + ", planned "
                + now.timeline().total() + ".");
        List<Doubtful> queue = queue(lines);
        doubts.getItems().setAll(queue);
        doubtHeading.setText(
                queue.isEmpty()
                        ? "No doubts"
                        : queue.size() + (queue.size() == 1 ? " doubt, " : " doubts, ") + "worst first");
    }

    private void measure(List<ScoreLine> lines) {
        double longest = lines.stream()
                .filter(l -> !l.isUnplanned() && l.interval().kind() == SegmentKind.WORK)
                .mapToDouble(l -> Math.max(
                        l.planned().seconds(),
                        l.isMissing() ? 0 : l.recorded().length().seconds()))
                .max()
                .orElse(40);
        double width = score.getWidth() > 100 ? score.getWidth() : 620;
        painter = new ScorePainter((int) width - 30, longest);
    }

    private void repaint() {
        images.clear();
        measure(score.getItems());
        score.refresh();
    }

    private List<Doubtful> queue(List<ScoreLine> lines) {
        List<Doubtful> queue = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            for (Match.Placed p : lines.get(i).placed()) {
                if (!p.startPinned() && p.startDoubt() > WORTH_A_LOOK) {
                    queue.add(new Doubtful(p, false, p.startDoubt(), i));
                }
                boolean last = i == lines.size() - 1;
                if (last && !p.endPinned() && p.endDoubt() > WORTH_A_LOOK) {
                    queue.add(new Doubtful(p, true, p.endDoubt(), i));
                }
            }
        }
        queue.sort(Comparator.comparingDouble(Doubtful::doubt).reversed());
        return queue;
    }

    private void showDoubt(Doubtful doubtful) {
        if (doubtful != null && doubtful.line() < score.getItems().size()) {
            lookedAt.add(doubtful.key());
            score.getSelectionModel().select(doubtful.line());
            score.scrollTo(Math.max(0, doubtful.line() - 2));
        }
    }

    private void standAt(ScoreLine line) {
        if (line != null && !line.isMissing() && !screen.isPlaying()) {
            screen.stand(fileOf(line), line.recorded().start());
            nowAt.setText(line.title() + ", " + line.detail() + ": starts at "
                    + line.recorded().start() + " of " + line.take().id() + ".");
        } else if (line != null && line.isMissing()) {
            nowAt.setText(line.title() + " was not found in the recording.");
        }
    }

    private Path fileOf(ScoreLine line) {
        return session.media().files(session.workout()).get(line.take().id());
    }

    private void playSelected() {
        ScoreLine line = score.getSelectionModel().getSelectedItem();
        if (screen.isPlaying()) {
            screen.stop();
            standAt(line);
        } else if (line != null && !line.isMissing()) {
            playFrom(line, line.recorded().start().minus(Length.ofSeconds(1)));
        }
    }

    private void playFrom(ScoreLine line, Time<Axis.Take> from) {
        Time<Axis.Take> start = Time.max(Time.zero(), from);
        screen.play(
                fileOf(line),
                start,
                time -> nowAt.setText(String.format(
                        Locale.ROOT,
                        "%s: %s, second %.1f of the line",
                        line.title(),
                        time,
                        time.since(line.recorded().start()).seconds())),
                () -> nowAt.setText("Stopped."));
    }

    /** Fixes the selected doubt, or the selected line's start, where it is. */
    private void pinSelected() {
        Doubtful doubtful = doubts.getSelectionModel().getSelectedItem();
        ScoreLine line = score.getSelectionModel().getSelectedItem();
        if (doubtful != null && doubtful.placed().matched()) {
            Match.Placed p = doubtful.placed();
            pin(p, doubtful.end(), doubtful.end() ? p.end() : p.start(), "keep");
        } else if (line != null && !line.isMissing() && !line.isUnplanned()) {
            Match.Placed p = line.placed().get(0);
            pin(p, false, p.start(), "keep");
        }
    }

    private void pin(Match.Placed p, boolean end, Time<Axis.Take> time, String verb) {
        Workout next = session.workout().withPin(new Pin(p.id(), end, p.take(), time));
        session.apply(verb + " " + (end ? "end" : "start") + " of " + p.id() + " at " + time, next);
    }

    /** Moves a boundary of the selected line by whole frames and pins it there. */
    private void nudge(boolean end, int frames) {
        ScoreLine line = score.getSelectionModel().getSelectedItem();
        if (line == null || line.isMissing() || line.isUnplanned()) {
            return;
        }
        List<Match.Placed> found =
                line.placed().stream().filter(Match.Placed::matched).toList();
        Match.Placed p = end ? found.get(found.size() - 1) : found.get(0);
        var video = session.media().readings().get(p.take()).info().video();
        double fps = video == null || video.framesPerSecond() <= 0 ? 30 : video.framesPerSecond();
        Time<Axis.Take> moved = (end ? p.end() : p.start()).plus(Length.ofSeconds(frames / fps));
        pin(p, end, moved, "move");
    }

    private void key(KeyEvent e) {
        if (e.isShortcutDown() || e.isAltDown()) {
            return;
        }
        if (e.getCode() == KeyCode.SPACE) {
            playSelected();
            e.consume();
        } else if (e.getCode() == KeyCode.J || e.getCode() == KeyCode.K) {
            int next = score.getSelectionModel().getSelectedIndex() + (e.getCode() == KeyCode.J ? 1 : -1);
            if (next >= 0 && next < score.getItems().size()) {
                score.getSelectionModel().select(next);
                score.scrollTo(Math.max(0, next - 2));
            }
            e.consume();
        } else if (e.getCode() == KeyCode.D) {
            doubts.getItems().stream()
                    .filter(d -> !lookedAt.contains(d.key()))
                    .findFirst()
                    .ifPresent(d -> doubts.getSelectionModel().select(d));
            e.consume();
        } else if (e.getCode() == KeyCode.B) {
            pinSelected();
            e.consume();
        }
    }

    private void typed(KeyEvent e) {
        switch (e.getCharacter()) {
            case "[" -> nudge(false, -1);
            case "]" -> nudge(false, 1);
            case "{" -> nudge(true, -1);
            case "}" -> nudge(true, 1);
            default -> {
                return;
            }
        }
        e.consume();
    }

    /** A line of the Score: a cached picture, a line while a boundary is dragged. */
    private final class ScoreCell extends ListCell<ScoreLine> {
        private final ImageView picture = new ImageView();
        private final Line drag = new Line();
        private final Pane pane = new Pane(picture, drag);
        private Match.Placed held;
        private boolean heldEnd;

        ScoreCell() {
            drag.setVisible(false);
            drag.setStrokeWidth(2);
            pane.setOnMouseMoved(e -> pane.setCursor(boundaryAt(e) == null ? Cursor.DEFAULT : Cursor.H_RESIZE));
            pane.setOnMousePressed(this::press);
            pane.setOnMouseDragged(this::drag);
            pane.setOnMouseReleased(this::release);
        }

        @Override
        protected void updateItem(ScoreLine line, boolean none) {
            super.updateItem(line, none);
            setText(null);
            if (none || line == null) {
                setGraphic(null);
                return;
            }
            picture.setImage(images.computeIfAbsent(line, l -> Pictures.toFx(painter.paint(l))));
            pane.setPrefHeight(painter.height(line));
            pane.setMinHeight(painter.height(line));
            setAccessibleText(line.title() + ", " + line.detail());
            setGraphic(pane);
        }

        private Boundary boundaryAt(MouseEvent e) {
            ScoreLine line = getItem();
            if (line == null || line.isMissing() || line.isUnplanned()) {
                return null;
            }
            double seconds = painter.seconds(e.getX(), e.getY());
            for (Match.Placed p : line.placed()) {
                if (p.matched()) {
                    double start = p.start().since(line.recorded().start()).seconds();
                    double end = p.end().since(line.recorded().start()).seconds();
                    if (Math.abs(seconds - start) * painter.scale() < GRIP) {
                        return new Boundary(p, false);
                    }
                    if (Math.abs(seconds - end) * painter.scale() < GRIP) {
                        return new Boundary(p, true);
                    }
                }
            }
            return null;
        }

        private void press(MouseEvent e) {
            Boundary boundary = boundaryAt(e);
            held = boundary == null ? null : boundary.placed();
            heldEnd = boundary != null && boundary.end();
        }

        private void drag(MouseEvent e) {
            if (held != null) {
                int row = (int) Math.max(0, e.getY() / ScorePainter.ROW);
                drag.setStartX(e.getX());
                drag.setEndX(e.getX());
                drag.setStartY(row * ScorePainter.ROW);
                drag.setEndY((row + 1) * ScorePainter.ROW - 4);
                drag.setVisible(true);
                double seconds = painter.seconds(e.getX(), e.getY());
                nowAt.setText(String.format(
                        Locale.ROOT,
                        "%s of %s at second %+.2f of the line",
                        heldEnd ? "end" : "start",
                        held.id(),
                        seconds));
            }
        }

        private void release(MouseEvent e) {
            ScoreLine line = getItem();
            drag.setVisible(false);
            if (held != null && !e.isStillSincePress()) {
                Time<Axis.Take> time =
                        line.recorded().start().plus(Length.ofSeconds(painter.seconds(e.getX(), e.getY())));
                pin(held, heldEnd, Time.max(Time.zero(), time), "move");
            } else if (line != null && !line.isMissing() && e.getX() > ScorePainter.LEFT) {
                playFrom(line, line.recorded().start().plus(Length.ofSeconds(painter.seconds(e.getX(), e.getY()))));
            }
            held = null;
        }
    }

    /** A doubt: which boundary, how unsure. */
    private final class DoubtCell extends ListCell<Doubtful> {
        @Override
        protected void updateItem(Doubtful d, boolean none) {
            super.updateItem(d, none);
            setGraphic(null);
            if (none || d == null || d.line() >= score.getItems().size()) {
                setText(null);
                return;
            }
            ScoreLine line = score.getItems().get(d.line());
            String where = d.placed().matched()
                    ? " at " + (d.end() ? d.placed().end() : d.placed().start())
                    : "";
            setText(String.format(
                    Locale.ROOT,
                    "%.2f  %s of %s (%s)%s",
                    d.doubt(),
                    d.end() ? "end" : "start",
                    line.title().toLowerCase(Locale.ROOT),
                    line.detail(),
                    where));
        }
    }
}
