package app.nosegay.bench.faults;

import app.nosegay.desktop.NosegayApp;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.shell.Shell;
import app.nosegay.jobs.FailureLog;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.control.Slider;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextInputControl;
import javafx.stage.Stage;
import org.fxmisc.richtext.CodeArea;

/** A person who does anything: buttons, fields, lists, undo, while jobs run; in the real window. */
public final class RandomActions {
    private static final List<String> STAGES =
            List.of("plan", "script", "shoot", "match", "dress", "proof", "publish", "library", "series", "logbook");
    private static final String[] TYPED = {
        "x",
        "\n",
        "  squat\n",
        "circuit B  work 0:20\n",
        "12",
        "-1",
        "title: a\n",
        "é🌱",
        "rest 0:30\n",
        " ",
        "0:45",
        "push-up  reps 12\n"
    };
    /** The window has to answer within this; anything longer is stuck. */
    private static final int STUCK_SECONDS = 30;
    /** So much of a logged failure says where it came from. */
    private static final int TRACE_LINES = 14;

    private final Shell shell;
    private final Random random;
    private final Map<String, String> faults = new TreeMap<>();
    private int actions;
    private String last = "";

    /** Acts in {@code shell}; what failed so far is not counted. */
    public RandomActions(Shell shell, long seed) {
        this.shell = shell;
        this.random = new Random(seed);
    }

    /** How many things were done. */
    public int actions() {
        return actions;
    }

    public Map<String, String> faults() {
        return faults;
    }

    /** Opens a window of its own on {@code workout}, acts for that long, and at least so often, and closes it. */
    public static RandomActions inAWindow(Path workout, Duration length, int least, long seed) throws Exception {
        FailureLog.install();
        CountDownLatch up = new CountDownLatch(1);
        try {
            Platform.startup(up::countDown);
            up.await();
        } catch (IllegalStateException running) {
            // The toolkit is up already.
        }
        Platform.setImplicitExit(false);
        Shell shell = onFx(() -> NosegayApp.show(new Stage()));
        onFx(() -> {
            shell.session().open(workout);
            return null;
        });
        RandomActions acting = new RandomActions(shell, seed);
        acting.settle();
        acting.act(length, least);
        onFx(() -> {
            shell.close();
            shell.root().getScene().getWindow().hide();
            return null;
        });
        return acting;
    }

    private interface Step<T> {
        T run() throws Exception;
    }

    private static <T> T onFx(Step<T> step) throws Exception {
        FutureTask<T> task = new FutureTask<>(step::run);
        Platform.runLater(task);
        return task.get(STUCK_SECONDS, TimeUnit.SECONDS);
    }

    private Session session() {
        return shell.session();
    }

    /**
     * Acts for {@code length}, longer where fewer than {@code least} things were done by then, then goes back to the start by undo and
     * looks at what came of it.
     */
    public void act(Duration length, int least) throws Exception {
        Workout first = onFx(() -> session().workout());
        long until = System.nanoTime() + length.toNanos();
        while (System.nanoTime() < until || actions < least) {
            try {
                onFx(() -> {
                    one();
                    return null;
                });
            } catch (TimeoutException e) {
                faults.putIfAbsent("the window is stuck", last);
                return;
            } catch (Exception e) {
                if (faults.putIfAbsent("" + e.getCause(), last) == null) {
                    FailureLog.record(last, e.getCause());
                }
            }
            actions++;
        }
        settle();
        onFx(() -> {
            while (session().undoName().isPresent()) {
                session().undo();
            }
            return null;
        });
        settle();
        if (!onFx(() -> session().workout()).equals(first)) {
            faults.putIfAbsent("undo to the start gives another workout", last);
        }
        if (Boolean.TRUE.equals(onFx(() -> session().outdated().get()))) {
            faults.putIfAbsent("the programme stays outdated", last);
        }
        logged();
    }

    /** Until no job runs. */
    private void settle() throws Exception {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(STUCK_SECONDS);
        while (onFx(() -> session().jobs().isRunning() || session().programme().get() == null)) {
            onFx(() -> {
                if (System.nanoTime() > until - TimeUnit.SECONDS.toNanos(STUCK_SECONDS / 2)) {
                    session().jobs().cancel();
                }
                return null;
            });
            if (System.nanoTime() > until) {
                faults.putIfAbsent(
                        "a job never ends: "
                                + onFx(() -> session().jobs().name().get()),
                        last);
                return;
            }
        }
    }

    private void logged() throws IOException {
        try (Stream<Path> files = Files.list(FailureLog.folder())) {
            for (Path file : files.filter(f -> f.toString().endsWith(".log")).toList()) {
                severe(Files.readAllLines(file));
            }
        }
    }

    private void severe(List<String> lines) {
        for (int i = 0; i < lines.size(); i++) {
            if (lines.get(i).contains(" SEVERE ")) {
                String trace = String.join("\n    ", lines.subList(i, Math.min(lines.size(), i + TRACE_LINES)));
                faults.putIfAbsent("logged: " + trace.replaceFirst("^\\S+ ", ""), last);
            }
        }
    }

    private void one() {
        int what = random.nextInt(20);
        if (what == 0) {
            last = STAGES.get(random.nextInt(STAGES.size()));
            shell.go(last);
        } else if (what == 1) {
            last = "undo";
            session().undo();
        } else if (what == 2) {
            last = "redo";
            session().redo();
        } else if (what == 3) {
            last = "read";
            session().takes().read();
        } else {
            List<Node> nodes = new ArrayList<>();
            usable(shell.root(), nodes);
            if (!nodes.isEmpty()) {
                Node node = nodes.get(random.nextInt(nodes.size()));
                last = node.getClass().getSimpleName() + " " + node.getId()
                        + (node instanceof ButtonBase b ? " " + b.getText() : "");
                use(node);
            }
        }
    }

    private static void usable(Node node, List<Node> into) {
        if (!node.isVisible() || node.isDisabled()) {
            return;
        }
        boolean control = node instanceof ButtonBase
                || node instanceof TextInputControl
                || node instanceof CodeArea
                || node instanceof ComboBox<?>
                || node instanceof Slider
                || node instanceof Spinner<?>
                || node instanceof ListView<?>;
        if (control && !opensADialog(node)) {
            into.add(node);
        }
        if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().forEach(child -> usable(child, into));
        }
    }

    /** A dialog of the system waits for a person; an ellipsis says that one follows. Folders are opened by other programs. */
    private static boolean opensADialog(Node node) {
        return node instanceof MenuButton
                || node instanceof ButtonBase b
                        && b.getText() != null
                        && (b.getText().contains("…")
                                || b.getText().contains("folder")
                                || b.getText().equals("New"));
    }

    private void use(Node node) {
        if (node instanceof CheckBox box) {
            box.fire();
        } else if (node instanceof ButtonBase button) {
            button.fire();
        } else if (node instanceof TextInputControl field && field.isEditable()) {
            field.insertText(random.nextInt(field.getLength() + 1), TYPED[random.nextInt(TYPED.length)].strip());
        } else if (node instanceof CodeArea area) {
            int at = random.nextInt(area.getLength() + 1);
            if (random.nextInt(3) == 0) {
                area.deleteText(at, Math.min(area.getLength(), at + random.nextInt(12)));
            } else {
                area.insertText(at, TYPED[random.nextInt(TYPED.length)]);
            }
        } else if (node instanceof ComboBox<?> box && !box.getItems().isEmpty()) {
            box.getSelectionModel().select(random.nextInt(box.getItems().size()));
        } else if (node instanceof Slider slider) {
            slider.setValue(slider.getMin() + random.nextDouble() * (slider.getMax() - slider.getMin()));
        } else if (node instanceof Spinner<?> spinner) {
            spinner.increment(random.nextInt(5) - 2);
        } else if (node instanceof ListView<?> list && !list.getItems().isEmpty()) {
            list.getSelectionModel().select(random.nextInt(list.getItems().size()));
        }
    }
}
