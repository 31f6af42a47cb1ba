package app.nosegay.bench;

import app.nosegay.desktop.NosegayApp;
import app.nosegay.desktop.plan.bed.BedView;
import app.nosegay.desktop.session.Session;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.bed.Bed;
import app.nosegay.plan.bed.BedEdits;
import app.nosegay.plan.bed.BedItem;
import app.nosegay.plan.bed.BedRow;
import app.nosegay.plan.bed.FieldValues;
import app.nosegay.plan.bed.Leaf;
import app.nosegay.plan.check.ChangeCosts;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.plan.sheet.SheetEdit;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;

/** Steps leaves of a long plan on the bed and measures from the edit to the laid-out bed: for the bench. */
public final class BedGesture {
    private static final double WINDOW_WIDTH = 860;
    private static final double WINDOW_HEIGHT = 700;
    private static final int WARM_UP = 40;
    private static final int RUNS = 41;
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();

    /** The process the bench starts: prints the median gesture in milliseconds. */
    public static void main(String[] args) {
        Application.launch(OnScreen.class);
    }

    /** Java starts no class from the class path that is a JavaFX application itself. */
    public static final class OnScreen extends Application {
        @Override
        public void start(Stage stage) throws IOException {
            measure(stage);
        }
    }

    private final BedView bed;
    private final Runnable ended;
    private final double[] millis = new double[RUNS];
    private String text;
    private int gesture;
    private long computed;
    private long pulse;

    private BedGesture(BedView bed, Scene scene, String text, Runnable ended) {
        this.bed = bed;
        this.text = text;
        this.ended = ended;
        scene.addPreLayoutPulseListener(() -> pulse = System.nanoTime());
        scene.addPostLayoutPulseListener(this::laidOut);
    }

    private static void measure(Stage stage) throws IOException {
        String sheet = Files.readString(Path.of(System.getProperty("nosegay.bed-gesture")));
        Session session = new Session();
        BedView bed = new BedView(session);
        Parent root = new StackPane(bed.view());
        Scene scene = new Scene(root, WINDOW_WIDTH, WINDOW_HEIGHT);
        scene.getStylesheets().addAll(NosegayApp.styles());
        stage.setScene(scene);
        stage.show();
        bed.show(report(sheet));
        new BedGesture(bed, scene, sheet, () -> {
                    session.close();
                    Platform.exit();
                })
                .next();
    }

    /**
     * One gesture: the edit, the plan and the bed that follow from it, and the styling and layout of the next frame, as the window does
     * them by itself.
     */
    private void next() {
        // What the bed shows already is at hand when a key comes.
        SheetEdit edit = step(text, gesture);
        long began = System.nanoTime();
        text = edit.apply(text);
        bed.show(report(text));
        computed = System.nanoTime() - began;
        Platform.requestNextPulse();
    }

    private void laidOut() {
        if (computed == 0) {
            return; // a frame of its own, for the rule of the cursor or the like
        }
        long laidOut = System.nanoTime() - pulse;
        if (gesture >= WARM_UP) {
            millis[gesture - WARM_UP] = (computed + laidOut) / 1e6;
        }
        computed = 0;
        gesture++;
        if (gesture < WARM_UP + RUNS) {
            Platform.runLater(this::next);
        } else {
            Arrays.sort(millis);
            System.out.printf(Locale.ROOT, "%.1f%n", millis[RUNS / 2]);
            ended.run();
        }
    }

    private static PlanReport report(String text) {
        return PlanReport.of(
                Expansion.expand(RunSheetParser.parse(text, LIBRARY), LIBRARY), LIBRARY, ChangeCosts.DEFAULT);
    }

    /** Five seconds more, or less, for one of the leaves. */
    private static SheetEdit step(String text, int n) {
        PlanReport report = report(text);
        RunSheet sheet = report.timeline().sheet();
        List<BedRow> rows = Bed.rows(report, LIBRARY, Map.of());
        BedRow row = rows.get(2 + n % (rows.size() - 4));
        List<BedItem> leaves =
                row.block().items().stream().filter(Leaf.class::isInstance).toList();
        Leaf leaf = (Leaf) leaves.get(n % leaves.size());
        String more = FieldValues.stepped(leaf.ends(), n % 2 == 0 ? 1 : -1).orElseThrow();
        return new BedEdits(sheet).set(row.lineOf(leaf), leaf.ends(), more);
    }
}
