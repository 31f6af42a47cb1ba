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
import app.nosegay.desktop.session.Notice;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.StageView;
import app.nosegay.desktop.shoot.ShootStage;
import app.nosegay.desktop.start.StartScreen;
import app.nosegay.jobs.LogbookFile;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.library.Move;
import app.nosegay.plan.Finding;
import app.nosegay.proof.Proof;
import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Pos;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.stage.Stage;

/** The frame of the window: the stage rail, the workout's name and file, what is running. */
public final class Shell {
    /** A glance at a stage is no work, in seconds; a night with the window open is not work either. */
    private static final long LEAST_NOTED = 20;

    private static final long MOST_NOTED = 4 * 3600;

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
    private final Label title = new Label();
    private final Button undo = new Button(DesktopText.of("shell.shell.undo"));
    private final Button redo = new Button(DesktopText.of("shell.shell.redo"));
    private final KeysOverlay keys = new KeysOverlay();
    private final StartScreen start;
    private final FileDrop drop;
    /** The workout that was open when the first screen came; another one takes its place. */
    private long openedAtStart;

    private int besides;
    private StageView shown;
    private long shownSince;

    public Shell(Stage stage, Session session) {
        this.stage = stage;
        this.session = session;
        viewMenu = new ViewMenu(session, zoom);
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
        VBox top = new VBox(head(), noticeBar());
        top.setMinHeight(Region.USE_PREF_SIZE);
        frame.setTop(top);
        Region foot = foot();
        foot.setMinHeight(Region.USE_PREF_SIZE);
        frame.setBottom(foot);
        root.getChildren().add(keys.view());
        session.programme().addListener((o, before, now) -> refreshHead());
        session.jobs().name().addListener((o, before, now) -> done(before, now));
        ChangeListener<Boolean> inFront = (o, was, is) -> {
            refreshHead();
            viewMenu.followSystem();
        };
        stage.focusedProperty().addListener(inFront);
        session.atClose(() -> stage.focusedProperty().removeListener(inFront));
        drop = new FileDrop(session, start, this::showStart, () -> go("plan"), () -> go("match"));
        drop.install(root);
        showStart();
        refreshHead();
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
        keepTime();
        shown = start;
        shownSince = System.nanoTime();
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

    private HBox head() {
        title.getStyleClass().add("workout-title");
        title.setMinWidth(60);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        undo.getStyleClass().add("quiet");
        redo.getStyleClass().add("quiet");
        undo.setId("undo");
        redo.setId("redo");
        undo.setOnAction(e -> session.undo());
        redo.setOnAction(e -> session.redo());
        Button begin = Buttons.quiet(DesktopText.of("shell.shell.new"), "new", this::showStart);
        Button open = Buttons.quiet(DesktopText.of("shell.shell.open"), this::chooseAndOpen);
        Button save = Buttons.quiet(DesktopText.of("shell.shell.save"), this::save);
        Button saveAs = Buttons.quiet(DesktopText.of("shell.shell.save-as"), this::saveAs);
        undo.setTooltip(new Tooltip(DesktopText.of("shell.shell.ctrl-z")));
        redo.setTooltip(new Tooltip(DesktopText.of("shell.shell.ctrl-shift-z")));
        HBox head = new HBox(title, space, undo, redo, begin, open, save, saveAs, viewMenu.button());
        head.getStyleClass().add("head");
        head.setAlignment(Pos.CENTER_LEFT);
        return head;
    }

    /** What has to be known or decided first, over all stages until it is. */
    private HBox noticeBar() {
        Label text = new Label();
        text.setId("notice");
        text.setWrapText(true);
        text.setMinHeight(Region.USE_PREF_SIZE);
        HBox.setHgrow(text, Priority.ALWAYS);
        text.setMaxWidth(Double.MAX_VALUE);
        HBox bar = new HBox(10);
        bar.getStyleClass().add("notice");
        bar.setAlignment(Pos.CENTER_LEFT);
        bar.setVisible(false);
        bar.setManaged(false);
        session.notices().shown().addListener((o, before, now) -> {
            bar.setVisible(now != null);
            bar.setManaged(now != null);
            bar.getChildren().setAll(text);
            if (now == null) {
                return;
            }
            text.setText(now.text());
            for (Notice.Way way : now.ways()) {
                Button button = Buttons.quiet(way.label(), () -> {
                    way.does().run();
                    session.notices().dismiss();
                });
                bar.getChildren().add(button);
            }
            if (session.isReadOnly()) {
                bar.getChildren().add(Buttons.quiet(DesktopText.of("shell.shell.save-a-copy"), this::saveAs));
            }
        });
        return bar;
    }

    private HBox foot() {
        Label running = new Label();
        running.setId("job-name");
        running.textProperty().bind(session.jobs().name());
        ProgressBar bar = new ProgressBar();
        bar.progressProperty().bind(session.jobs().share());
        bar.setPrefWidth(220);
        Button cancel = Buttons.quiet(DesktopText.of("shell.shell.cancel"), session.jobs()::cancel);
        cancel.setId("job-cancel");
        HBox job = new HBox(running, bar, cancel);
        job.setAlignment(Pos.CENTER_LEFT);
        job.setSpacing(10);
        job.visibleProperty().bind(Bindings.isNotEmpty(session.jobs().name()));
        job.managedProperty().bind(job.visibleProperty());
        Label looking = new Label();
        looking.setId("looking");
        looking.getStyleClass().add("small");
        looking.textProperty().bind(session.sight().state());
        Button stop = Buttons.quiet(DesktopText.of("shell.shell.stop-looking"), session.sight()::stop);
        HBox sight = new HBox(4, looking, stop);
        sight.setAlignment(Pos.CENTER_LEFT);
        sight.visibleProperty().bind(session.sight().state().isNotEmpty());
        sight.managedProperty().bind(sight.visibleProperty());
        Label message = new Label();
        message.setId("message");
        message.getStyleClass().add("message");
        message.textProperty().bind(session.jobs().message());
        message.setWrapText(true);
        session.jobs().news().addListener((o, was, is) -> message.getStyleClass()
                .setAll("label", is ? "news" : "message"));
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        Label state = new Label();
        state.setId("file-state");
        state.getStyleClass().add("small");
        state.textProperty()
                .bind(Bindings.when(session.outdated())
                        .then(DesktopText.of("shell.shell.outdated"))
                        .otherwise(session.state()));
        HBox foot = new HBox(job, message, space, sight, state);
        foot.getStyleClass().add("foot");
        foot.setAlignment(Pos.CENTER_LEFT);
        return foot;
    }

    /** Whoever looks at another window sees in the title that a job has ended. */
    private void done(String before, String now) {
        if (now.isEmpty() && !before.isEmpty() && !stage.isFocused()) {
            stage.setTitle(DesktopText.of("shell.shell.done", before.replaceAll(" ·.*", "")));
        }
    }

    private void refreshHead() {
        boolean another = shown == start && session.opened() != openedAtStart;
        if (another && !session.workout().sheet().isBlank()) {
            go("plan");
        }
        String name = session.programme().get() == null
                ? ""
                : session.programme().get().timeline().sheet().header().title();
        String file = session.file().map(f -> "  " + f.getFileName()).orElse("");
        title.setText(name.isEmpty() ? DesktopText.of("shell.shell.new-workout") : name);
        stage.setTitle(DesktopText.of(
                "shell.shell.nosegay-2", name.isEmpty() ? DesktopText.of("shell.shell.new-workout") : name, file));
        undo.setText(session.undoName()
                .map(n -> DesktopText.of("shell.shell.undo-2", n))
                .orElse(DesktopText.of("shell.shell.undo")));
        undo.setDisable(session.undoName().isEmpty());
        redo.setText(session.redoName()
                .map(n -> DesktopText.of("shell.shell.redo-2", n))
                .orElse(DesktopText.of("shell.shell.redo")));
        redo.setDisable(session.redoName().isEmpty());
    }

    /** Shows a stage by its place on the rail, from 0. */
    void go(int index) {
        if (shown != null) {
            shown.left();
        }
        keepTime();
        shown = places.get(index).view();
        shownSince = System.nanoTime();
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

    /** Notes in the logbook how long the shown stage was worked on; without a saved workout there is nothing to note it for. */
    private void keepTime() {
        long seconds = (System.nanoTime() - shownSince) / 1_000_000_000L;
        if (shown == null
                || shown == start
                || session.file().isEmpty()
                || seconds < LEAST_NOTED
                || session.programme().get() == null) {
            return;
        }
        String workout = session.programme().get().timeline().sheet().header().title();
        try {
            LogbookFile.change(l -> l.withTime(workout, shownName(), Math.min(seconds, MOST_NOTED)));
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
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
        KeyCode[] digits = {
            KeyCode.DIGIT1,
            KeyCode.DIGIT2,
            KeyCode.DIGIT3,
            KeyCode.DIGIT4,
            KeyCode.DIGIT5,
            KeyCode.DIGIT6,
            KeyCode.DIGIT7,
            KeyCode.DIGIT8,
            KeyCode.DIGIT9,
            KeyCode.DIGIT0
        };
        for (int i = 0; i < places.size(); i++) {
            int index = i;
            scene.getAccelerators().put(control(digits[i]), () -> go(index));
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
        scene.getAccelerators().put(control(KeyCode.S), this::save);
        scene.getAccelerators().put(control(KeyCode.O), this::chooseAndOpen);
        scene.getAccelerators().put(new KeyCodeCombination(KeyCode.F1), () -> keys.toggle(shownName()));
    }

    private static KeyCodeCombination control(KeyCode code) {
        return new KeyCodeCombination(code, KeyCombination.SHORTCUT_DOWN);
    }

    private void chooseAndOpen() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(DesktopText.of("shell.shell.open-a-workout"));
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter(DesktopText.of("shell.shell.workouts"), "*" + WorkoutFile.ENDING));
        File chosen = chooser.showOpenDialog(stage);
        if (chosen != null) {
            session.open(chosen.toPath());
        }
    }

    private void save() {
        if (session.file().isPresent()) {
            session.save(null);
        } else {
            saveAs();
        }
    }

    private void saveAs() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(DesktopText.of("shell.shell.save-the-workout"));
        chooser.setInitialFileName(DesktopText.of("shell.shell.workout", WorkoutFile.ENDING));
        File chosen = chooser.showSaveDialog(stage);
        if (chosen != null) {
            String path = chosen.getPath();
            session.save(Path.of(path.endsWith(WorkoutFile.ENDING) ? path : path + WorkoutFile.ENDING));
        }
    }

    public void close() {
        shown.left();
        keepTime();
        session.close();
    }
}
