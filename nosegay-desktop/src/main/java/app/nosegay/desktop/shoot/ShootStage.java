package app.nosegay.desktop.shoot;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Labels;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.SessionTakes;
import app.nosegay.desktop.session.StageView;
import app.nosegay.jobs.ShootRun;
import app.nosegay.script.ScriptLine;
import app.nosegay.shoot.ShootClock;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Slider;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Shoot: what has to be ready, the clock and prompter, the takes made so far. */
public final class ShootStage implements StageView {
    private final Session session;
    private final BorderPane view = new BorderPane();
    private final SetUpList checklist;
    private final StartFrom from = new StartFrom();
    private final DeviceChoice devices;
    private final Slider volume = new Slider(0, 1, 0.5);
    private final CheckBox tones = new CheckBox(DesktopText.of("shoot.shoot-stage.sync-tones-at-start-and"));
    private final CheckBox claps = new CheckBox(DesktopText.of("shoot.shoot-stage.two-claps-go-on-or"));
    private final TakeList takes;
    private final Button start = new Button(DesktopText.of("shoot.shoot-stage.start-the-clock"));
    private final Button rehearse =
            Buttons.quiet(DesktopText.of("shoot.shoot-stage.rehearse"), "shoot-rehearse", this::rehearse);
    private final Button verdict =
            Buttons.quiet(DesktopText.of("shoot.shoot-stage.verdict"), "shoot-verdict", this::showVerdict);
    private final Runnable openMatch;
    private Region ready;
    private Programme programme;
    /** The takes there were when the last run ended; null when no verdict is waited for. */
    private List<Workout.TakeRef> before;

    private List<ScriptLine> unheard = List.of();
    /** The workout the last run, or the page that is shown, is of. */
    private long opened;

    private Region verdictPage;
    private ShootRun run;
    private final SayingAgain saying;
    private SessionTakes.Recipient recipient;

    /** @param openMatch shows the Match stage */
    public ShootStage(Session session, Runnable openMatch) {
        this.session = session;
        this.openMatch = openMatch;
        devices = new DeviceChoice(session);
        takes = new TakeList(session);
        saying = new SayingAgain(session, devices, view::setCenter, this::said);
        checklist = new SetUpList(session, this::showTrial, this::showReady);
        ready = ready();
        view.setCenter(ready);
        view.getStyleClass().add("shoot");
        session.atClose(() -> {
            if (run != null) {
                run.close();
            }
        });
        session.programme().addListener((o, before, now) -> show(now));
        if (session.programme().get() != null) {
            show(session.programme().get());
        }
    }

    private Region ready() {
        Region left = checklist.view();
        HBox.setHgrow(left, Priority.ALWAYS);
        return new HBox(left, controls());
    }

    private Region controls() {
        start.getStyleClass().add("act");
        start.setId("shoot-start");
        start.setMaxWidth(Double.MAX_VALUE);
        start.setTooltip(new Tooltip(DesktopText.of("shoot.shoot-stage.the-start-tone-plays-then")));
        start.setOnAction(e -> begin());
        tones.setSelected(true);
        volume.setAccessibleText(DesktopText.of("shoot.shoot-stage.volume-of-the-beeps"));
        rehearse.setTooltip(new Tooltip(DesktopText.of("shoot.shoot-stage.rehearse-tip")));
        verdict.setTooltip(new Tooltip(DesktopText.of("shoot.shoot-stage.verdict-tip")));
        verdict.managedProperty().bind(verdict.visibleProperty());
        Region made = takes.view();
        VBox.setVgrow(made, Priority.ALWAYS);
        VBox right = new VBox(
                8,
                Labels.subheading(DesktopText.of("shoot.shoot-stage.camera-and-microphone")),
                devices.view(),
                Labels.subheading(DesktopText.of("shoot.shoot-stage.start-from")),
                from.view(),
                Labels.subheading(DesktopText.of("shoot.shoot-stage.beeps-in-the-room")),
                volume,
                tones,
                claps,
                start,
                rehearse,
                made,
                verdict);
        right.getStyleClass().add("stage");
        right.setMinWidth(400);
        right.setMaxWidth(400);
        return right;
    }

    @Override
    public Region view() {
        return view;
    }

    @Override
    public void entered() {
        if (run == null && !saying.isOn()) {
            // A lesson may have been written down since.
            show(session.programme().get());
            start.requestFocus();
        } else {
            view.getCenter().requestFocus();
        }
    }

    @Override
    public void left() {
        // The clock goes on: it runs in the room, not on the screen.
    }

    private void show(Programme now) {
        programme = now;
        boolean any = !now.timeline().segments().isEmpty();
        start.setDisable(!any);
        rehearse.setDisable(!any);
        verdict.setVisible(!now.match().takes().isEmpty());
        boolean isShown = view.getCenter() != null && view.getCenter() == verdictPage;
        if (isShown && (!session.isOpen(opened) || now.match().takes().isEmpty())) {
            view.setCenter(ready);
        } else if (isShown || before != null && run == null && session.isOpen(opened) && isNewMatched(now)) {
            showVerdict();
        }
        from.show(now.timeline());
        checklist.show(now);
        takes.show(now);
    }

    /** Whether a take that came since the run has been read and matched. */
    private boolean isNewMatched(Programme now) {
        return now.workout().takes().stream()
                .filter(t -> !before.contains(t))
                .anyMatch(t -> now.match().takes().stream().anyMatch(m -> m.id().equals(t.id())));
    }

    /** Shows what is to be filmed and said once more. */
    public void showVerdict() {
        before = null;
        opened = session.opened();
        VerdictPage page = new VerdictPage(session, programme, unheard, new VerdictPage.Ways() {
            @Override
            public void filmFrom(String segment) {
                back();
                select(segment);
            }

            @Override
            public void back() {
                showReady();
            }

            @Override
            public void match() {
                back();
                openMatch.run();
            }

            @Override
            public void listen() {
                session.takes().listen();
            }

            @Override
            public void say(List<LinesPage.Said> lines) {
                if (isSaved()) {
                    saying.begin(lines);
                }
            }
        });
        verdictPage = page.view();
        view.setCenter(verdictPage);
        verdictPage.lookup("#verdict-match").requestFocus();
    }

    /** Back from the page of lines, and waiting for what was recorded of them. */
    private void said() {
        showReady();
        before = session.workout().takes();
        opened = session.opened();
    }

    /** Chooses the segment the next run starts from. */
    public void select(String segment) {
        from.select(segment);
    }

    /** Starts the clock from a segment, as the button does. */
    public void startFrom(int segment) {
        from.select(segment);
        begin();
    }

    public boolean isRunning() {
        return run != null;
    }

    /** What is left of the running interval, in seconds; a long time while none runs. */
    public double secondsLeft() {
        boolean waits = run == null || run.moment().getReady().isPositive();
        return waits ? 999 : run.moment().left().seconds();
    }

    /** Ends the run, as the key does. */
    public void end() {
        if (run != null) {
            run.tell(ShootClock::stop);
        }
    }

    /** Looks at a test clip, as after the button has asked for one. */
    public void tryFrame(Path clip) {
        checklist.tryFrame(clip);
    }

    private void showTrial(Region page) {
        // What is shown while the camera runs goes before it.
        if (run == null && !saying.isOn()) {
            view.setCenter(page);
        }
    }

    private void showReady() {
        view.setCenter(ready);
        start.requestFocus();
    }

    private void begin() {
        if (!isSaved()) {
            return;
        }
        if (devices.isSimulated()) {
            unheard = List.of();
            before = session.workout().takes();
            opened = session.opened();
            session.takes().film(System.nanoTime() & 0xffff);
            return;
        }
        Path folder = session.folder();
        recipient = session.takes().new Recipient();
        try {
            run(folder, ShootRun.freeRun(folder), settings());
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
    }

    /** Whether there is a folder for recordings; says so where there is none. */
    private boolean isSaved() {
        if (session.file().isEmpty()) {
            session.jobs().say(DesktopText.of("shoot.shoot-stage.save-the-workout-first-ctrl"));
        }
        return session.file().isPresent();
    }

    private ShootRun.Settings settings() {
        return new ShootRun.Settings(
                volume.getValue(),
                tones.isSelected(),
                claps.isSelected(),
                devices.camera(),
                devices.microphone(),
                false);
    }

    /** Runs the clock without keeping anything of it. */
    private void rehearse() {
        try {
            run(session.folder(), 0, settings().rehearsed());
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
    }

    private void run(Path folder, int number, ShootRun.Settings settings) throws IOException {
        run = new ShootRun(
                programme.timeline(),
                programme.cues(),
                new ShootRun.Run(from.index(), number, folder),
                settings,
                text -> Platform.runLater(() -> session.jobs().say(text)));
        Prompter prompter = new Prompter(programme.timeline(), run, this::ended);
        view.setCenter(prompter.view());
        prompter.view().requestFocus();
    }

    private void ended() {
        ShootRun done = run;
        SessionTakes.Recipient madeFor = recipient;
        run = null;
        showReady();
        if (done.isRehearsal()) {
            done.end();
            return;
        }
        unheard = done.missed();
        before = session.workout().takes();
        opened = session.opened();
        session.jobs()
                .run(
                        DesktopText.of("shoot.shoot-stage.finishing-the-take"),
                        progress -> Optional.ofNullable(done.finish()),
                        recorded -> {
                            if (!done.alert().isEmpty()) {
                                session.notices().say(done.alert());
                            }
                            if (recorded.isPresent()) {
                                session.takes().bringIn(recorded.get(), madeFor);
                            } else {
                                session.jobs()
                                        .tell(DesktopText.of(
                                                "shoot.shoot-stage.the-run-is-logged-in",
                                                done.logFile().getFileName()));
                            }
                        });
    }
}
