package app.nosegay.desktop.plan;

import app.nosegay.desktop.controls.Bouquet;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Tabs;
import app.nosegay.desktop.plan.bed.BedView;
import app.nosegay.desktop.session.FindingList;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.StageView;
import app.nosegay.jobs.FailureLog;
import app.nosegay.jobs.Libraries;
import app.nosegay.jobs.RecentWorkouts;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Finding;
import app.nosegay.plan.FindingPile;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.edit.LengthEdit;
import app.nosegay.plan.edit.SheetOrder;
import app.nosegay.plan.fit.Offer;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.workout.Programme;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Set;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SplitPane;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.fxmisc.flowless.VirtualizedScrollPane;

/** What, how long, with what, and does it keep its promise. */
public final class PlanStage implements StageView {
    private static final double BED_SHARE = 0.66;
    private static final double RIGHT_LEAST = 356;
    /** So many workouts are about a week of a series. */
    private static final int NEIGHBOURS = 4;

    private static final double SHEET_SHARE = 0.44;

    private final Session session;
    private final RunSheetEditor editor;
    private final BedView bed;
    private final ProblemList problems;
    private final Label promise = new Label();
    private final Label previewed = new Label();
    private final Button ways = new Button(DesktopText.of("plan.plan-stage.ways-to-keep-it"));
    private final Figures figures = new Figures();
    private final Ribbon ribbon = new Ribbon();
    private final Bouquet bouquet = new Bouquet();
    private final FindingList findings;
    private final FitPanel fit;
    private final GearPanel gear;
    private final Tabs tabs = new Tabs("plan");
    private final SplitPane view = new SplitPane();
    private final Face face;
    private final SplitPane pictures = new SplitPane();
    private final VBox ribbonBox;
    private Timeline shown;

    public PlanStage(Session session) {
        this.session = session;
        editor = new RunSheetEditor(session);
        problems = new ProblemList(editor);
        bed = new BedView(session);
        findings = new FindingList(session, "plan-findings", this::goTo, FindingPile::of);
        fit = new FitPanel(session, this::preview);
        gear = new GearPanel(session);
        face = new Face(bed.view(), written());
        face.onShown(this::faceShown);
        ribbonBox = ribbonBox();
        bed.onLine(editor::showLine);
        bed.onOpened(() -> tabs.show("move"));
        editor.currentParagraphProperty().addListener((o, before, now) -> {
            if (editor.isFocused()) {
                bed.chooseLine(now + 1);
            }
        });
        addTabs();
        view.getItems().addAll(sheets(), besides());
        faceShown();
        view.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.F6) {
                crossOver();
                e.consume();
            } else if (e.getCode() == KeyCode.F7) {
                face.next(e.isShiftDown());
                e.consume();
            }
        });
        session.programme().addListener((o, before, now) -> show(now));
        if (session.programme().get() != null) {
            show(session.programme().get());
        }
    }

    private Region written() {
        VirtualizedScrollPane<RunSheetEditor> scroll = new VirtualizedScrollPane<>(editor);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        return new VBox(6, scroll, problems.view());
    }

    /** The bed and the written sheet. */
    private Region sheets() {
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        HBox head = new HBox(8, face.words(), space, PrintMenu.of(session));
        head.setAlignment(Pos.CENTER_LEFT);
        VBox left = new VBox(6, head, face.view());
        VBox.setVgrow(face.view(), Priority.ALWAYS);
        left.getStyleClass().add("stage");
        return left;
    }

    /** The promise, and what follows from the plan, in pictures. */
    private Region besides() {
        promise.getStyleClass().add("sentence");
        promise.setId("promise");
        promise.setMinHeight(Region.USE_PREF_SIZE);
        HBox.setHgrow(promise, Priority.ALWAYS);
        promise.setMaxWidth(Double.MAX_VALUE);
        ways.getStyleClass().add("act");
        ways.setId("ways");
        ways.setMinWidth(Region.USE_PREF_SIZE);
        ways.managedProperty().bind(ways.visibleProperty());
        ways.setTooltip(new Tooltip(DesktopText.of("plan.plan-stage.ctrl-t")));
        ways.setOnAction(e -> showWays());
        VBox promised = new VBox(6, promise, ways);
        pictures.setOrientation(Orientation.VERTICAL);
        VBox.setVgrow(pictures, Priority.ALWAYS);
        VBox right = new VBox(8, promised, pictures);
        right.getStyleClass().add("stage");
        right.setMinWidth(RIGHT_LEAST);
        return right;
    }

    private VBox ribbonBox() {
        previewed.getStyleClass().add("previewed");
        previewed.managedProperty().bind(previewed.visibleProperty());
        previewed.setVisible(false);
        ribbon.onChosen(this::goToLine);
        ribbon.onStretched(
                (segment, length) -> LengthEdit.of(shown, segment, length).ifPresent(session::edit));
        ribbon.onMoved(
                (from, to) -> new SheetOrder(shown.sheet()).moved(from, to).ifPresent(session::edit));
        ScrollPane ribbonScroll = new ScrollPane(ribbon.view());
        ribbonScroll.setFitToWidth(true);
        ribbonScroll.getStyleClass().add("plain-scroll");
        VBox.setVgrow(ribbonScroll, Priority.ALWAYS);
        return new VBox(4, previewed, ribbonScroll);
    }

    private void addTabs() {
        FlowPane flow = new FlowPane(14, 10, bouquet.view(), figures.view());
        ScrollPane body = new ScrollPane(flow);
        body.setFitToWidth(true);
        body.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        body.getStyleClass().add("plain-scroll");
        tabs.add("body", DesktopText.of("plan.plan-stage.body"), body);
        tabs.add("move", DesktopText.of("plan.plan-stage.move"), bed.inspector());
        tabs.add("findings", DesktopText.of("plan.plan-stage.findings"), findings.view());
        tabs.add("gear-and-cautions", DesktopText.of("plan.plan-stage.gear-and-cautions"), gear.view());
        tabs.add("fit", DesktopText.of("plan.plan-stage.ways-to-fit"), fit.view());
        tabs.onShown(name -> {
            if (name.equals("fit")) {
                fit.compute();
            } else {
                preview(null);
            }
            ribbonShown();
        });
    }

    /** The bed has room for its leaves; the written sheet leaves more to the pictures beside it. */
    private void faceShown() {
        view.setDividerPositions(face.hasBed() ? BED_SHARE : SHEET_SHARE);
        ribbonShown();
        if (face.hasBed()) {
            bed.requestFocus();
        } else {
            editor.requestFocus();
        }
    }

    /** Beside the bed the ribbon makes room for a leaf that is shown in full. */
    private void ribbonShown() {
        boolean wide =
                face.hasBed() && (tabs.shown().equals("move") || tabs.shown().equals("findings"));
        if (wide) {
            pictures.getItems().setAll(tabs.view());
        } else if (pictures.getItems().size() != 2) {
            pictures.getItems().setAll(ribbonBox, tabs.view());
            pictures.setDividerPositions(0.5);
        }
    }

    /** Shows the bed, the written sheet, or both: {@code bed}, {@code sheet} or {@code both}. */
    public void showFace(String name) {
        face.show(name);
    }

    /** The bed, for tests and pictures. */
    public BedView bed() {
        return bed;
    }

    private void goToLine(int line) {
        if (face.hasBed()) {
            bed.chooseLine(line);
            bed.requestFocus();
            editor.showLine(line);
        } else {
            editor.goToLine(line);
        }
    }

    @Override
    public void goTo(Finding f) {
        goToLine(Math.max(1, f.line()));
    }

    @Override
    public void entered() {
        if (face.hasBed()) {
            bed.requestFocus();
        }
        session.jobs()
                .beside(
                        DesktopText.of("plan.plan-stage.bed"),
                        () -> movesOfOthers(session.file().orElse(null)),
                        bed::lastWeek);
    }

    /** What the workouts that were open lately have: it is not proposed first. */
    private static Set<String> movesOfOthers(Path but) {
        try {
            return Set.copyOf(RecentWorkouts.movesOfOthers(but, NEIGHBOURS));
        } catch (IOException e) {
            FailureLog.note("recent", e);
            return Set.of();
        }
    }

    @Override
    public Region view() {
        return view;
    }

    /** From the run sheet, where Tab is a letter, to what is beside it, and back. */
    private void crossOver() {
        if (editor.isFocused() || bed.isFocused()) {
            tabs.focus();
        } else if (face.hasBed()) {
            bed.requestFocus();
        } else {
            editor.requestFocus();
        }
    }

    /** Opens the fitter's offers. */
    public void showWays() {
        tabs.show("fit");
    }

    private void show(Programme programme) {
        Timeline timeline = programme.timeline();
        PlanReport report = programme.report();
        shown = timeline;
        editor.show(timeline.sheet());
        boolean none = timeline.sheet().header().promise().text().isEmpty();
        boolean kept = report.promiseKept();
        promise.setText((none ? "" : kept ? "✓ " : "✗ ") + report.sentence());
        promise.getStyleClass().removeAll("kept", "broken", "plain");
        promise.getStyleClass().add(none ? "plain" : kept ? "kept" : "broken");
        ways.setVisible(report.findings().stream().anyMatch(f -> f.code().equals("plan.promise-length")));
        preview(null);
        bed.show(report);
        bouquet.show(report.balance());
        figures.show(report);
        findings.show(report.findings(), programme.workout());
        long open = report.findings().stream()
                .filter(f -> programme.workout().waiver(f).isEmpty())
                .count();
        tabs.rename(
                "findings",
                open == 0
                        ? DesktopText.of("plan.plan-stage.findings")
                        : DesktopText.of("plan.plan-stage.findings-2", open));
        gear.show(report);
        fit.show(timeline);
        problems.show(timeline.sheet().problems());
    }

    /** Shows an offer on the ribbon as it would be; the plan itself for null. */
    private void preview(Offer offer) {
        previewed.setVisible(offer != null);
        if (shown == null) {
            return;
        }
        if (offer == null) {
            ribbon.show(shown);
            return;
        }
        previewed.setText(DesktopText.of(
                "plan.plan-stage.as-it-would-be", offer.name(), offer.measured().clock()));
        ribbon.show(Expansion.expand(RunSheetParser.parse(offer.sheet(), Libraries.current()), Libraries.current()));
    }

    /** The views beside the run sheet. */
    public Tabs tabs() {
        return tabs;
    }

    /** The editor, for tests and pictures. */
    public RunSheetEditor editor() {
        return editor;
    }
}
