package app.nosegay.desktop.script;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Tabs;
import app.nosegay.desktop.session.FindingList;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.StageView;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Segment;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.TalkWindow;
import app.nosegay.standins.ReadThrough;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import java.util.List;
import javafx.application.Platform;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SplitPane;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What will be said when, and does it fit in the seconds there are. */
public final class ScriptStage implements StageView {
    /** Words stay readable for a moment after they were said. */
    private static final Length STAYS = Length.ofMillis(600);

    private final Session session;
    private final ListView<Segment> windows = new ListView<>();
    private final Label title = new Label();
    private final Label fit = new Label();
    private final Label words = new Label();
    private final Button read = new Button(DesktopText.of("script.script-stage.read-through-space"));
    private final Ruler ruler = new Ruler();
    private final ScriptHeat heat = new ScriptHeat(this::choose);
    private final Label whole = new Label();
    private final LineEditor line;
    private final FindingList findings;
    private final TalkPanel talk;
    private final VoicePanel voice;
    private final Tabs tabs = new Tabs("script");
    private final Label empty = new Label(DesktopText.of("script.script-stage.nothing-to-say-yet-write"));
    private final BorderPane view = new BorderPane();
    private final Region filled;
    private Programme programme;
    private ReadThrough reading;

    public ScriptStage(Session session) {
        this.session = session;
        line = new LineEditor(session);
        findings = new FindingList(session, "script-findings", this::goTo);
        talk = new TalkPanel(session);
        voice = new VoicePanel(session);
        windows.setId("windows");
        windows.setAccessibleText(DesktopText.of("script.script-stage.talk-windows"));
        windows.setCellFactory(l -> new WindowCell(l, () -> programme));
        windows.setMinWidth(322);
        windows.setMaxWidth(322);
        windows.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> showSegment());
        windows.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        ruler.view().addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        ruler.onSelected(l -> line.show(selected(), l));
        ruler.onMoved(line::fix);
        empty.getStyleClass().add("empty");
        filled = filled();
        view.setCenter(empty);
        session.programme().addListener((o, was, is) -> show(is));
        if (session.programme().get() != null) {
            show(session.programme().get());
        }
    }

    private Region filled() {
        title.getStyleClass().add("heading");
        title.setId("script-title");
        fit.setId("script-fit");
        fit.setMinWidth(Region.USE_PREF_SIZE);
        words.getStyleClass().add("spoken");
        words.setId("spoken");
        words.setMinHeight(28);
        read.getStyleClass().add("act");
        read.setId("read-through");
        read.setMinWidth(Region.USE_PREF_SIZE);
        read.setTooltip(new Tooltip(DesktopText.of("script.script-stage.hear-the-script-in-time")));
        read.setOnAction(e -> toggleReading());
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        title.setMinWidth(0);
        HBox head = new HBox(12, title, space, read);
        head.setAlignment(Pos.CENTER_LEFT);
        HBox below = new HBox(18, fit, words);
        below.setAlignment(Pos.CENTER_LEFT);
        ScrollPane scroll = new ScrollPane(ruler.view());
        scroll.setFitToWidth(true);
        scroll.setFitToHeight(true);
        scroll.getStyleClass().add("plain-scroll");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox upper = new VBox(4, head, below, scroll, line.view());
        tabs.add("findings", DesktopText.of("script.script-stage.findings"), findings.view());
        tabs.add("opening-and-closing", DesktopText.of("script.script-stage.opening-and-closing"), talk.view());
        tabs.add("voice-and-words", DesktopText.of("script.script-stage.voice-and-words"), voice.view());
        SplitPane centre = new SplitPane(upper, tabs.view());
        centre.setOrientation(Orientation.VERTICAL);
        centre.setDividerPositions(0.64);
        VBox right = new VBox(centre);
        VBox.setVgrow(centre, Priority.ALWAYS);
        right.getStyleClass().add("stage");
        Label heading = new Label(DesktopText.of("script.script-stage.talk-windows"));
        heading.getStyleClass().add("heading");
        VBox.setVgrow(windows, Priority.ALWAYS);
        VBox left = new VBox(8, heading, windows);
        left.getStyleClass().add("stage");
        whole.getStyleClass().add("small");
        whole.setId("script-whole");
        VBox top = new VBox(4, whole, heat);
        top.getStyleClass().add("script-top");
        BorderPane pane = new BorderPane(right);
        pane.setLeft(left);
        pane.setTop(top);
        return pane;
    }

    @Override
    public Region view() {
        return view;
    }

    @Override
    public void left() {
        stopReading();
    }

    private Segment selected() {
        return windows.getSelectionModel().getSelectedItem();
    }

    private void show(Programme now) {
        programme = now;
        List<Segment> segments = now.timeline().segments();
        view.setCenter(segments.isEmpty() ? empty : filled);
        String before = selected() == null ? null : selected().id();
        windows.getItems().setAll(segments);
        int index = 0;
        for (int i = 0; i < segments.size(); i++) {
            index = segments.get(i).id().equals(before) ? i : index;
        }
        if (!segments.isEmpty()) {
            windows.getSelectionModel().select(index);
        }
        findings.show(now.scriptFindings(), now.workout());
        long open = now.scriptFindings().stream()
                .filter(f -> now.workout().waiver(f).isEmpty())
                .count();
        tabs.rename(
                "findings",
                open == 0
                        ? DesktopText.of("script.script-stage.findings")
                        : DesktopText.of("script.script-stage.findings-2", open));
        showWhole();
        talk.show(now);
        voice.show(now);
        showSegment();
    }

    /** How much of the workout is too full, and how much of it silent. */
    private void showWhole() {
        long over = programme.cues().windows().stream()
                .filter(TalkWindow::isOverfull)
                .count();
        long silent = programme.cues().windows().stream()
                .filter(w -> w.lines() == 0 && w.left() == 0)
                .count();
        whole.setText(DesktopText.of("script.heat.summary", over, silent));
    }

    private void choose(Segment s) {
        windows.getSelectionModel().select(s);
        windows.scrollTo(Math.max(0, windows.getItems().indexOf(s) - 4));
        ruler.view().requestFocus();
    }

    private void showSegment() {
        Segment s = selected();
        if (s == null || programme == null) {
            return;
        }
        title.setText(WindowCell.name(s) + "  " + s.duration());
        programme.cues().window(s.id()).ifPresent(w -> {
            fit.setText(DesktopText.of(
                    "script.script-stage.s-to-say-s-to",
                    w.needed().seconds(),
                    w.available().seconds(),
                    w.left() == 0
                            ? w.isOverfull()
                                    ? DesktopText.of("script.script-stage.too-much")
                                    : w.isJustFull() ? DesktopText.of("script.script-stage.just-full") : ""
                            : w.left() == 1
                                    ? DesktopText.of("script.script-stage.one-line-without-room")
                                    : DesktopText.of("script.script-stage.lines-without-room", w.left())));
            fit.getStyleClass().removeAll("kept", "broken");
            fit.getStyleClass().add(w.isOverfull() ? "broken" : "kept");
        });
        ruler.show(s, programme.cues());
        heat.show(programme, s);
    }

    @Override
    public void goTo(Finding f) {
        windows.getItems().stream()
                .filter(s -> s.id().equals(f.segment()))
                .findFirst()
                .ifPresent(s -> {
                    windows.getSelectionModel().select(s);
                    windows.scrollTo(s);
                });
    }

    private void key(KeyEvent e) {
        if (e.getCode() == KeyCode.SPACE) {
            toggleReading();
            e.consume();
        } else if (e.getCode() == KeyCode.J || e.getCode() == KeyCode.K) {
            int by = e.getCode() == KeyCode.J ? 1 : -1;
            int next = windows.getSelectionModel().getSelectedIndex() + by;
            if (next >= 0 && next < windows.getItems().size()) {
                windows.getSelectionModel().select(next);
                windows.scrollTo(Math.max(0, next - 4));
            }
            e.consume();
        } else if (e.getCode() == KeyCode.W) {
            line.otherWords();
            e.consume();
        } else if (e.getCode() == KeyCode.E) {
            line.text().requestFocus();
            e.consume();
        }
    }

    private void toggleReading() {
        if (reading != null) {
            stopReading();
            return;
        }
        Segment s = selected();
        if (s == null) {
            return;
        }
        Programme now = programme;
        session.jobs()
                .run(
                        DesktopText.of("script.script-stage.waking-the-guide-voice"),
                        progress -> session.guideVoice(),
                        guide -> {
                            reading = new ReadThrough(
                                    now.timeline(),
                                    now.cues(),
                                    guide,
                                    s.start(),
                                    time -> Platform.runLater(() -> follow(now.cues(), time)),
                                    () -> Platform.runLater(this::stopReading));
                            read.setText(DesktopText.of("script.script-stage.stop-space"));
                            reading.start();
                        });
    }

    /** Shows the words that are being said, and moves on with them from segment to segment. */
    private void follow(CuePlan cues, Time<Axis.Plan> time) {
        if (reading == null) {
            return;
        }
        for (Segment s : windows.getItems()) {
            if (s.span().contains(time) && s != selected()) {
                windows.getSelectionModel().select(s);
                windows.scrollTo(Math.max(0, windows.getItems().indexOf(s) - 4));
            }
        }
        heat.hear(time);
        ScriptLine said = cues.lines().stream()
                .filter(l -> !time.isBefore(l.start()) && time.isBefore(l.end().plus(STAYS)))
                .reduce((a, b) -> b)
                .orElse(null);
        ruler.hear(time, said);
        words.setText(said == null ? "" : said.text());
    }

    private void stopReading() {
        if (reading != null) {
            reading.close();
            reading = null;
        }
        read.setText(DesktopText.of("script.script-stage.read-through-space"));
        words.setText("");
        ruler.hear(null, null);
        heat.hear(null);
    }
}
