package app.nosegay.bench;

import app.nosegay.desktop.NosegayApp;
import app.nosegay.desktop.match.LinePictures;
import app.nosegay.desktop.match.ScoreView;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.standins.Performance;
import app.nosegay.time.SpeechRate;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.DoubleConsumer;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.ScrollBar;
import javafx.scene.layout.BorderPane;
import javafx.stage.Stage;

/** Scrolls through a long Score and measures the time from frame to frame: for the bench. */
public final class ScoreScroll {
    private static final double WINDOW_WIDTH = 1280;
    private static final double WINDOW_HEIGHT = 800;
    private static final double SECONDS = 10;
    /** As wide as in the window at its usual size, in pixels. */
    private static final double WIDTH = 800;

    /** Once through unmeasured, as every row of the bench is warmed up. */
    private static final double WARM_UP_SECONDS = 6;

    private final ScoreView score = new ScoreView(
            line -> {},
            (placed, end, time) -> {},
            (line, time) -> {},
            words -> {},
            new LinePictures(null, take -> null));

    /** The process the bench starts: prints the slow frames' time in milliseconds. */
    public static void main(String[] args) {
        Application.launch(OnScreen.class);
    }

    /** Java starts no class from the class path that is a JavaFX application itself. */
    public static final class OnScreen extends Application {
        @Override
        public void start(Stage stage) throws IOException {
            new ScoreScroll().show(stage);
        }
    }

    private void show(Stage stage) throws IOException {
        String sheet = Files.readString(Path.of(System.getProperty("nosegay.scroll-score")));
        Scene scene = new Scene(view(), WINDOW_WIDTH, WINDOW_HEIGHT);
        scene.getStylesheets().addAll(NosegayApp.styles());
        stage.setScene(scene);
        stage.show();
        scroll(sheet, seconds -> {
            System.out.printf(Locale.ROOT, "%.1f%n", 1000 * seconds);
            Platform.exit();
        });
    }

    private Parent view() {
        score.list().setMaxWidth(WIDTH);
        return new BorderPane(score.list());
    }

    /**
     * Shows a simulated run of {@code sheet} and scrolls it to its end; {@code ended} hears the 99th percentile of the time between two
     * frames, in seconds.
     */
    private void scroll(String sheet, DoubleConsumer ended) {
        MoveLibrary library = MoveLibrary.shipped();
        Timeline timeline = Expansion.expand(RunSheetParser.parse(sheet, library), library);
        CuePlan cues = CuePlanner.plan(timeline, library, SpeechRate.DEFAULT);
        Performance run = Performance.of(timeline, cues, 1, Set.of());
        score.show(Programme.of(
                Workout.EMPTY.withSheet(sheet), List.of(run.evidence("t")), Arrays.asList(run.log()), library));
        List<Double> frames = new ArrayList<>();
        new AnimationTimer() {
            private long began;
            private long last;

            @Override
            public void handle(long now) {
                began = began == 0 ? now : began;
                double seconds = (now - began) / 1e9 - WARM_UP_SECONDS;
                if (seconds > 0) {
                    frames.add((now - last) / 1e9);
                }
                scrollTo(seconds > 0 ? seconds / SECONDS : 1 + seconds / WARM_UP_SECONDS);
                last = now;
                if (seconds >= SECONDS) {
                    stop();
                    frames.sort(null);
                    ended.accept(frames.get((int) (frames.size() * 0.99)));
                }
            }
        }.start();
    }

    private void scrollTo(double share) {
        for (Node node : score.list().lookupAll(".scroll-bar")) {
            if (node instanceof ScrollBar bar && bar.getOrientation() == javafx.geometry.Orientation.VERTICAL) {
                bar.setValue(bar.getMin() + Math.min(1, share) * (bar.getMax() - bar.getMin()));
            }
        }
    }
}
