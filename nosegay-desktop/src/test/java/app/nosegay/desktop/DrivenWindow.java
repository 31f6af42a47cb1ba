package app.nosegay.desktop;

import app.nosegay.desktop.plan.PlanStage;
import app.nosegay.desktop.shell.Shell;
import app.nosegay.jobs.Libraries;
import app.nosegay.jobs.SettingsNote;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.collections.ListChangeListener;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.framework.junit5.ApplicationTest;
import org.testfx.robot.KeyboardRobot;
import org.testfx.robot.MouseRobot;
import org.testfx.util.WaitForAsyncUtils;

/** Nosegay in a real window for one test, with a small workout and a recording of it at hand. */
abstract class DrivenWindow extends ApplicationTest {
    static final String SHEET =
            "title: Small\npromise: 1 min\ncalls: in 3, out 3\ntalk Hi  0:10\ncircuit A  work 0:12  rest "
                    + "0:06\n  squat\n  push-up\ntalk Bye  0:10\n";

    /** What the build gives all tests of the window. */
    private static final String SETTINGS = System.getProperty("nosegay.home");

    @TempDir
    Path folder;

    Shell shell;

    /** How often a button of the mouse was let go in a window of the program. */
    private final AtomicInteger released = new AtomicInteger();

    private final ListChangeListener<Window> windows = change -> {
        while (change.next()) {
            change.getAddedSubList().forEach(this::watch);
        }
    };

    @Override
    public void start(Stage stage) throws Exception {
        System.setProperty("nosegay.home", folder.toString());
        Libraries.change(own -> List.of());
        SettingsNote.SIGHT_OFF.set(!looksForPeople());
        Window.getWindows().addListener(windows);
        watch(stage);
        shell = NosegayApp.show(stage);
        shell.go("plan");
        ((PlanStage) shell.stage("plan")).showFace(face());
    }

    /** The side of the plan a test works on. */
    String face() {
        return "sheet";
    }

    @Override
    public void stop() throws Exception {
        interact(() -> shell.close());
        interact(() -> Window.getWindows().removeListener(windows));
        FxToolkit.cleanupStages();
        if (SETTINGS != null) {
            System.setProperty("nosegay.home", SETTINGS);
        }
    }

    /** Whether people are looked for in recordings, which takes the machine's time. */
    boolean looksForPeople() {
        return false;
    }

    void until(Callable<Boolean> condition) throws Exception {
        try {
            WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, condition);
        } catch (TimeoutException e) {
            throw new AssertionError(
                    "never came; to undo: " + shell.session().undoName() + ", to redo: "
                            + shell.session().redoName() + ", the sheet:\n"
                            + shell.session().workout().sheet(),
                    e);
        }
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** A key that is pressed before the window has the keyboard goes nowhere, which on a busy machine happens. */
    @Override
    public FxRobot push(KeyCode... keys) {
        try {
            WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, this::hasKeyboard);
        } catch (TimeoutException e) {
            throw new AssertionError("no window got the keyboard", e);
        }
        KeyboardRobot keyboard = robotContext().getKeyboardRobot();
        keyboard.pressNoWait(keys);
        List<KeyCode> held = new ArrayList<>(List.of(keys));
        Collections.reverse(held);
        keyboard.releaseNoWait(held.toArray(KeyCode[]::new));
        WaitForAsyncUtils.waitForFxEvents();
        return this;
    }

    /** The toolkit has one window for all tests: what listens there must not hold the test. */
    private void watch(Window window) {
        AtomicInteger count = released;
        window.addEventFilter(MouseEvent.MOUSE_RELEASED, e -> count.incrementAndGet());
    }

    /**
     * The keys of a text one after the other, and then one wait until all of them have arrived: the robot waits some seventy milliseconds
     * after each.
     */
    @Override
    public FxRobot write(String text) {
        Scene scene = listWindows().stream()
                .filter(Window::isFocused)
                .findFirst()
                .orElseThrow(() -> new AssertionError("no window has the keyboard"))
                .getScene();
        text.chars().forEach(c -> robotContext()
                .getBaseRobot()
                .typeKeyboard(
                        scene,
                        c == '\n' ? KeyCode.ENTER : c == '\t' ? KeyCode.TAB : KeyCode.UNDEFINED,
                        Character.toString(c)));
        WaitForAsyncUtils.waitForFxEvents();
        return this;
    }

    /**
     * A click comes by way of the display, which on a busy machine takes longer than what the program has to do just then. One wait for all
     * of it: the robot waits after each step of it.
     */
    @Override
    public FxRobot clickOn(String query, MouseButton... buttons) {
        int before = released.get();
        MouseRobot mouse = robotContext().getMouseRobot();
        mouse.moveNoWait(point(query).query());
        MouseButton[] pressed = buttons.length == 0 ? new MouseButton[] {MouseButton.PRIMARY} : buttons;
        mouse.pressNoWait(pressed);
        mouse.releaseNoWait(pressed);
        try {
            WaitForAsyncUtils.waitFor(1, TimeUnit.SECONDS, () -> released.get() > before);
        } catch (TimeoutException e) {
            // A window that closes when the button is pressed never hears that it was let go.
            return this;
        }
        WaitForAsyncUtils.waitForFxEvents();
        return this;
    }

    private boolean hasKeyboard() {
        return listWindows().stream().anyMatch(Window::isFocused);
    }

    Programme programme() {
        return shell.session().programme().get();
    }

    String text(String id) {
        return lookup(id).queryAs(Label.class).getText();
    }

    /** A workout of its own that refers to a recording beside it; {@code transcript} is what is said in it, null for nothing. */
    Path workoutWithTake(String transcript) throws IOException {
        Path movie = folder.resolve("take-1.mp4");
        Files.copy(SmallTake.whole(), movie);
        if (transcript != null) {
            Files.writeString(folder.resolve("take-1.vtt"), transcript);
        }
        Path file = folder.resolve("small" + WorkoutFile.ENDING);
        Workout.TakeRef take = new Workout.TakeRef(
                "take-1", "take-1.mp4", Files.size(movie), 56, "", transcript == null ? null : "take-1.vtt", null);
        WorkoutFile.save(file, new Workout(SHEET, List.of(take), List.of()));
        return file;
    }

    /** The recording was read before, as it mostly was when people open a workout. */
    void openWithTake() throws Exception {
        openWithTake(null);
    }

    void openWithTake(String transcript) throws Exception {
        Path file = workoutWithTake(transcript);
        SmallTake.layReading(folder);
        interact(() -> shell.session().open(file));
        until(() -> programme() != null
                && !programme().match().takes().isEmpty()
                && !shell.session().jobs().isRunning());
    }

    String sheet() {
        return shell.session().workout().sheet();
    }

    /** Whether what is shown is what is written. */
    boolean computed() {
        return programme() != null && programme().timeline().sheet().text().equals(sheet());
    }

    void waitFor(String query) throws Exception {
        until(() -> lookup(query).tryQuery().filter(Node::isVisible).isPresent());
    }
}
