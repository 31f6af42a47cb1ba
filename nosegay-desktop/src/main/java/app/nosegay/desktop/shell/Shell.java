package app.nosegay.desktop.shell;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.dress.DressStage;
import app.nosegay.desktop.library.LibraryScreen;
import app.nosegay.desktop.logbook.LogbookScreen;
import app.nosegay.desktop.match.MatchStage;
import app.nosegay.desktop.plan.PlanStage;
import app.nosegay.desktop.proof.ProofStage;
import app.nosegay.desktop.publish.PublishStage;
import app.nosegay.desktop.script.ScriptStage;
import app.nosegay.desktop.series.SeriesScreen;
import app.nosegay.desktop.session.FieldUndo;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.StageView;
import app.nosegay.desktop.shoot.ShootStage;
import app.nosegay.desktop.start.StartScreen;
import app.nosegay.library.Move;
import app.nosegay.plan.Finding;
import app.nosegay.proof.Proof;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.beans.value.ChangeListener;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;

/** The frame of the window: the stage rail, the workout's name and file, what is running. */
public final class Shell {
    /** The words at the foot of the rail wrap within this, in pixels, so that they do not widen it. */
    private static final double RAIL_WORDS = 118;

    private final Stage stage;
    private final Session session;
    private final BorderPane frame = new BorderPane();
    private final StackPane root = new StackPane(frame);
    private final ZoomPane zoom = new ZoomPane(root);
    private final ViewMenu viewMenu;
    private final List<Place> places = new ArrayList<>();
    private final List<ToggleButton> tabs = new ArrayList<>();
    private final Head head;
    private final WorkoutChooser chooser;
    private final StageTime time;
    private final KeysOverlay keys = new KeysOverlay();
    private final StartScreen start;
    private final FileDrop drop;
    /** The workout that was open when the first screen came; another one takes its place. */
    private long openedAtStart;

    private int besides;
    private StageView shown;

    public Shell(Stage stage, Session session) {
        this.stage = stage;
        this.session = session;
        viewMenu = new ViewMenu(session, zoom);
        head = new Head(session, stage);
        chooser = new WorkoutChooser(session, stage);
        time = new StageTime(session);
        start = new StartScreen(session, stage, () -> go("plan"));
        add("plan", () -> new PlanStage(session));
        add("script", () -> new ScriptStage(session));
        add("shoot", () -> new ShootStage(session, () -> go("match")));
        add("match", () -> new MatchStage(session, stage));
        add("dress", () -> new DressStage(session));
        add("proof", () -> new ProofStage(session, stage, this::jump, this::shootFrom, () -> go("publish")));
        add("publish", () -> new PublishStage(session, stage));
        besides = places.size();
        add("library", () -> new LibraryScreen(session, stage, this::addToPlan));
        add("series", () -> new SeriesScreen(session, stage));
        add("logbook", () -> new LogbookScreen(session, () -> go(0)));
        frame.getStyleClass().add("frame");
        frame.setLeft(rail());
        VBox top = new VBox(head.view(chooser, this::showStart, viewMenu.button()), NoticeBar.of(session, chooser));
        top.setMinHeight(Region.USE_PREF_SIZE);
        frame.setTop(top);
        Region foot = Foot.of(session);
        foot.setMinHeight(Region.USE_PREF_SIZE);
        frame.setBottom(foot);
        root.getChildren().add(keys.view());
        session.programme().addListener((o, before, now) -> refresh());
        session.jobs().name().addListener((o, before, now) -> done(before, now));
        ChangeListener<Boolean> inFront = (o, was, is) -> {
            refresh();
            viewMenu.followSystem();
        };
        stage.focusedProperty().addListener(inFront);
        session.atClose(() -> stage.focusedProperty().removeListener(inFront));
        drop = new FileDrop(session, start, this::showStart, () -> go("plan"), () -> go("match"));
        drop.install(root);
        showStart();
        refresh();
    }

    /** Takes a file as if it were dropped on the window. */
    public void take(Path file) {
        drop.take(file);
    }

    /** The first screen: no workout is open, or another is wanted. */
    private void showStart() {
        if (shown != null) {
            shown.left();
        }
        shown = start;
        time.begin("");
        openedAtStart = session.opened();
        tabs.forEach(t -> t.setSelected(false));
        frame.setCenter(start.view());
        start.entered();
    }

    /**
     * A place on the rail, by the name its texts and tests know it by; its view is made when it is first gone to, so that the window
     * opens at once.
     */
    private static final class Place {
        private final String name;
        private final Supplier<StageView> maker;
        private StageView view;

        Place(String name, Supplier<StageView> maker) {
            this.name = name;
            this.maker = maker;
        }

        StageView view() {
            view = view == null ? maker.get() : view;
            return view;
        }
    }

    private void add(String name, Supplier<StageView> maker) {
        places.add(new Place(name, maker));
    }

    public StackPane root() {
        return root;
    }

    /** What the scene shows: all of it, as large as the user wants it. */
    public Parent zoomed() {
        return zoom;
    }

    public Session session() {
        return session;
    }

    private VBox rail() {
        VBox rail = new VBox();
        rail.getStyleClass().add("rail");
        Label mark = new Label(DesktopText.of("shell.shell.nosegay"));
        mark.getStyleClass().add("mark");
        rail.getChildren().add(mark);
        ToggleGroup group = new ToggleGroup();
        for (int i = 0; i < places.size(); i++) {
            int index = i;
            ToggleButton tab = new ToggleButton(DesktopText.of("stage." + places.get(i).name));
            tab.setToggleGroup(group);
            tab.setId("stage-" + places.get(i).name);
            tab.getStyleClass().setAll("stage-tab");
            tab.setMaxWidth(Double.MAX_VALUE);
            tab.setMinWidth(Region.USE_PREF_SIZE);
            tab.setTooltip(new Tooltip(DesktopText.of("shell.shell.ctrl", (i + 1) % 10)));
            tab.setOnAction(e -> go(index));
            tabs.add(tab);
            if (i == besides) {
                Region gap = new Region();
                gap.setMinHeight(18);
                rail.getChildren().add(gap);
            }
            rail.getChildren().add(tab);
        }
        Region space = new Region();
        VBox.setVgrow(space, Priority.ALWAYS);
        Label local = new Label(DesktopText.of("shell.shell.no-picture-or-sound-leaves"));
        local.setWrapText(true);
        local.setPrefWidth(RAIL_WORDS);
        local.setMinHeight(Region.USE_PREF_SIZE);
        local.getStyleClass().add("small");
        Button help = Buttons.quiet(DesktopText.of("shell.shell.keys-f1"), () -> keys.toggle(shownName()));
        rail.getChildren().addAll(space, help, local);
        return rail;
    }

    /** Whoever looks at another window sees in the title that a job has ended. */
    private void done(String before, String now) {
        if (now.isEmpty() && !before.isEmpty() && !stage.isFocused()) {
            stage.setTitle(DesktopText.of("shell.shell.done", before.replaceAll(" ·.*", "")));
        }
    }

    private void refresh() {
        boolean another = shown == start && session.opened() != openedAtStart;
        if (another && !session.workout().sheet().isBlank()) {
            go("plan");
        }
        head.refresh();
    }

    /** Shows a stage by its place on the rail, from 0. */
    void go(int index) {
        if (shown != null) {
            shown.left();
        }
        shown = places.get(index).view();
        time.begin(places.get(index).name);
        tabs.get(index).setSelected(true);
        frame.setCenter(shown.view());
        shown.entered();
    }

    private String shownName() {
        return places.stream()
                .filter(p -> p.view == shown)
                .map(p -> p.name)
                .findFirst()
                .orElse("start");
    }

    /** Shows a stage by its name. */
    public void go(String name) {
        for (int i = 0; i < places.size(); i++) {
            if (places.get(i).name.equals(name)) {
                go(i);
                return;
            }
        }
        throw new IllegalArgumentException(name);
    }

    /** Goes to the stage a finding belongs to and shows its place there. */
    private void jump(Finding finding) {
        String stage = Proof.stage(finding);
        // The music is chosen where the programme is dressed; all other sound is in the takes.
        boolean ofMusic = finding.code().equals("sound.licence");
        String place = ofMusic ? "dress" : stage.equals("sound") ? "match" : stage;
        go(place);
        stage(place).goTo(finding);
    }

    /** Puts a move of the library into the open plan, behind what is chosen there. */
    private void addToPlan(Move move) {
        go("plan");
        ((PlanStage) stage("plan")).bed().add(move);
    }

    private void shootFrom(String segment) {
        go("shoot");
        ((ShootStage) stage("shoot")).select(segment);
    }

    /** The stage called {@code name}. */
    public StageView stage(String name) {
        return places.stream()
                .filter(p -> p.name.equals(name))
                .findFirst()
                .orElseThrow()
                .view();
    }

    public void installKeys(Scene scene) {
        viewMenu.installKeys(scene);
        for (int i = 0; i < places.size(); i++) {
            int index = i;
            KeyCode digit = KeyCode.getKeyCode(Integer.toString((i + 1) % 10));
            scene.getAccelerators().put(control(digit), () -> go(index));
        }
        FieldUndo.install(scene, session);
        scene.getAccelerators().put(control(KeyCode.Z), session::undo);
        scene.getAccelerators()
                .put(
                        new KeyCodeCombination(KeyCode.Z, KeyCombination.SHORTCUT_DOWN, KeyCombination.SHIFT_DOWN),
                        session::redo);
        scene.getAccelerators().put(control(KeyCode.T), () -> {
            go(0);
            ((PlanStage) stage("plan")).showWays();
        });
        scene.getAccelerators().put(control(KeyCode.S), chooser::save);
        scene.getAccelerators().put(control(KeyCode.O), chooser::open);
        scene.getAccelerators().put(new KeyCodeCombination(KeyCode.F1), () -> keys.toggle(shownName()));
    }

    private static KeyCodeCombination control(KeyCode code) {
        return new KeyCodeCombination(code, KeyCombination.SHORTCUT_DOWN);
    }

    public void close() {
        shown.left();
        time.end();
        session.close();
    }
}
