package app.nosegay.desktop.plan;

import app.nosegay.desktop.Session;
import app.nosegay.desktop.StageView;
import app.nosegay.jobs.Libraries;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Balance;
import app.nosegay.plan.Finding;
import app.nosegay.plan.check.PlanCheck;
import app.nosegay.plan.Problem;
import app.nosegay.plan.SegmentKind;
import app.nosegay.plan.Timeline;
import app.nosegay.workout.Programme;
import java.util.List;
import java.util.Locale;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SplitPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.fxmisc.flowless.VirtualizedScrollPane;

/** What, how long, with what, and does it keep its promise. */
public final class PlanStage implements StageView {
    private static final int MOST_PROBLEMS_SHOWN = 40;

    private final RunSheetEditor editor;
    private final VBox problems = new VBox(4);
    private final Label promise = new Label();
    private final Label figures = new Label();
    private final Ribbon ribbon = new Ribbon();
    private final Bouquet bouquet = new Bouquet();
    private final SplitPane view = new SplitPane();

    public PlanStage(Session session) {
        editor = new RunSheetEditor(session);
        Label sheetHeading = heading("Run sheet");
        ScrollPane problemScroll = new ScrollPane(problems);
        problemScroll.setFitToWidth(true);
        problemScroll.setMaxHeight(150);
        problemScroll.setStyle("-fx-background-color: transparent; -fx-background: transparent;");
        problemScroll.visibleProperty().bind(Bindings.isNotEmpty(problems.getChildren()));
        problemScroll.managedProperty().bind(problemScroll.visibleProperty());
        VirtualizedScrollPane<RunSheetEditor> scroll = new VirtualizedScrollPane<>(editor);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox left = new VBox(8, sheetHeading, scroll, problemScroll);
        left.getStyleClass().add("stage");
        promise.getStyleClass().add("sentence");
        promise.setId("promise");
        promise.setMinHeight(Region.USE_PREF_SIZE);
        figures.setWrapText(true);
        figures.setId("figures");
        ribbon.onChosen(editor::goToLine);
        ScrollPane ribbonScroll = new ScrollPane(ribbon.view());
        ribbonScroll.setFitToWidth(true);
        ribbonScroll.setStyle("-fx-background-color: transparent; -fx-background: transparent;");
        VBox.setVgrow(ribbonScroll, Priority.ALWAYS);
        HBox.setHgrow(figures, Priority.ALWAYS);
        HBox below = new HBox(18, bouquet.view(), figures);
        below.setAlignment(Pos.CENTER_LEFT);
        VBox right = new VBox(
                10,
                heading("Promise"),
                promise,
                heading("Timeline"),
                ribbonScroll,
                heading("What the work loads"),
                below);
        right.getStyleClass().add("stage");
        view.getItems().addAll(left, right);
        view.setDividerPositions(0.47);
        session.programme().addListener((o, before, now) -> show(now));
        if (session.programme().get() != null) {
            show(session.programme().get());
        }
    }

    private static Label heading(String text) {
        Label heading = new Label(text);
        heading.getStyleClass().add("heading");
        heading.setMinHeight(Region.USE_PREF_SIZE);
        return heading;
    }

    @Override
    public String name() {
        return "Plan";
    }

    @Override
    public Region view() {
        return view;
    }

    private void show(Programme programme) {
        Timeline timeline = programme.timeline();
        MoveLibrary library = Libraries.current();
        List<Finding> findings = PlanCheck.findings(timeline, library);
        editor.show(timeline.sheet());
        boolean kept = PlanCheck.promiseKept(findings);
        promise.setText((timeline.sheet().header().promise().text().isEmpty() ? "" : kept ? "✓ " : "✗ ")
                + PlanCheck.sentence(timeline, findings));
        promise.getStyleClass().removeAll("kept", "broken");
        promise.getStyleClass()
                .add(timeline.sheet().header().promise().text().isEmpty() ? "plain" : kept ? "kept" : "broken");
        ribbon.show(timeline);
        Balance balance = Balance.of(timeline, library);
        bouquet.show(balance);
        figures.setText(figures(timeline, balance));
        problems(timeline.sheet().problems(), findings);
    }

    private static String figures(Timeline timeline, Balance b) {
        if (timeline.segments().isEmpty()) {
            return "";
        }
        return String.format(
                Locale.ROOT,
                "Work %s of %s, density %.0f %%%nLongest without rest %s%nPush %s · pull %s%nLeft %s · right %s",
                timeline.total(SegmentKind.WORK),
                timeline.total(),
                100 * b.density(),
                b.longestWithoutRest(),
                b.push(),
                b.pull(),
                b.left().time(),
                b.right().time());
    }

    private void problems(List<Problem> found, List<Finding> findings) {
        problems.getChildren().clear();
        for (Problem p : found.subList(0, Math.min(found.size(), MOST_PROBLEMS_SHOWN))) {
            Label text = new Label((p.note() ? "○ " : "✗ ") + p.message());
            text.getStyleClass().add(p.note() ? "remark" : "problem");
            HBox.setHgrow(text, Priority.ALWAYS);
            HBox row = new HBox(8, text);
            row.setAlignment(Pos.CENTER_LEFT);
            if (p.nearest() != null) {
                Button fix = new Button("Write \"" + p.nearest() + "\"");
                fix.getStyleClass().add("quiet");
                fix.setMinWidth(Region.USE_PREF_SIZE);
                fix.setTooltip(new Tooltip("Ctrl+. on the line"));
                fix.setOnAction(e -> editor.fix(p));
                row.getChildren().add(fix);
            }
            text.setOnMouseClicked(e -> editor.goToLine(p.line()));
            problems.getChildren().add(row);
        }
        if (found.size() > MOST_PROBLEMS_SHOWN) {
            problems.getChildren().add(new Label("and " + (found.size() - MOST_PROBLEMS_SHOWN) + " more"));
        }
        for (Finding f : findings) {
            boolean shownElsewhere = f.code().startsWith("plan.promise")
                    || f.code().equals("plan.unread")
                    || f.code().equals("plan.unknown-move");
            if (!shownElsewhere) {
                Label text = new Label("○ " + f.message());
                text.getStyleClass().add("remark");
                problems.getChildren().add(text);
            }
        }
    }

    /** The editor, for tests and pictures. */
    public RunSheetEditor editor() {
        return editor;
    }
}
