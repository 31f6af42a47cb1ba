package app.nosegay.desktop.plan;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Tabs;
import app.nosegay.desktop.session.FindingList;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.StageView;
import app.nosegay.jobs.Libraries;
import app.nosegay.jobs.PrintJob;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.edit.LengthEdit;
import app.nosegay.plan.edit.SheetOrder;
import app.nosegay.plan.fit.Offer;
import app.nosegay.plan.sheet.Problem;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.workout.Programme;
import java.io.File;
import java.util.List;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.SplitPane;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import org.fxmisc.flowless.VirtualizedScrollPane;

/** What, how long, with what, and does it keep its promise. */
public final class PlanStage implements StageView {
    private static final int MOST_PROBLEMS_SHOWN = 40;

    private final RunSheetEditor editor;
    private final VBox problems = new VBox(4);
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
    private Timeline shown;

    public PlanStage(Session session) {
        editor = new RunSheetEditor(session);
        findings = new FindingList(session, "plan-findings", this::goTo);
        fit = new FitPanel(session, this::preview);
        gear = new GearPanel(session);
        ScrollPane problemScroll = new ScrollPane(problems);
        problemScroll.setFitToWidth(true);
        problemScroll.setMaxHeight(130);
        problemScroll.getStyleClass().add("plain-scroll");
        problemScroll.visibleProperty().bind(Bindings.isNotEmpty(problems.getChildren()));
        problemScroll.managedProperty().bind(problemScroll.visibleProperty());
        VirtualizedScrollPane<RunSheetEditor> scroll = new VirtualizedScrollPane<>(editor);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        Label title = heading(DesktopText.of("plan.plan-stage.run-sheet"));
        title.setMinWidth(Region.USE_PREF_SIZE);
        HBox head = new HBox(8, title, space, print(session));
        head.setAlignment(Pos.CENTER_LEFT);
        VBox left = new VBox(6, head, scroll, problemScroll);
        left.getStyleClass().add("stage");
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
        HBox promised = new HBox(12, promise, ways);
        promised.setAlignment(Pos.CENTER_LEFT);
        previewed.getStyleClass().add("previewed");
        previewed.managedProperty().bind(previewed.visibleProperty());
        previewed.setVisible(false);
        ribbon.onChosen(editor::goToLine);
        ribbon.onStretched(
                (segment, length) -> LengthEdit.of(shown, segment, length).ifPresent(session::edit));
        ribbon.onMoved(
                (from, to) -> new SheetOrder(shown.sheet()).moved(from, to).ifPresent(session::edit));
        ScrollPane ribbonScroll = new ScrollPane(ribbon.view());
        ribbonScroll.setFitToWidth(true);
        ribbonScroll.getStyleClass().add("plain-scroll");
        HBox body = new HBox(14, bouquet.view(), figures.view());
        body.setAlignment(Pos.TOP_LEFT);
        tabs.add("body", DesktopText.of("plan.plan-stage.body"), body);
        tabs.add("findings", DesktopText.of("plan.plan-stage.findings"), findings.view());
        tabs.add("gear-and-cautions", DesktopText.of("plan.plan-stage.gear-and-cautions"), gear.view());
        tabs.add("fit", DesktopText.of("plan.plan-stage.ways-to-fit"), fit.view());
        tabs.onShown(name -> {
            if (name.equals("fit")) {
                fit.compute();
            } else {
                preview(null);
            }
        });
        SplitPane pictures = new SplitPane(new VBox(4, previewed, ribbonScroll), tabs.view());
        VBox.setVgrow(ribbonScroll, Priority.ALWAYS);
        pictures.setOrientation(javafx.geometry.Orientation.VERTICAL);
        pictures.setDividerPositions(0.5);
        VBox.setVgrow(pictures, Priority.ALWAYS);
        VBox right = new VBox(8, promised, pictures);
        right.getStyleClass().add("stage");
        view.getItems().addAll(left, right);
        view.setDividerPositions(0.44);
        view.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.F6) {
                crossOver();
                e.consume();
            }
        });
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

    private MenuButton print(Session session) {
        MenuButton menu = new MenuButton(DesktopText.of("plan.plan-stage.print-and-hand-out"));
        menu.setMinWidth(Region.USE_PREF_SIZE);
        menu.setId("print");
        menu.getStyleClass().add("quiet");
        for (PrintJob.Form form : PrintJob.Form.values()) {
            MenuItem item = new MenuItem(form.label());
            item.setOnAction(e -> session.exports().print(form, view.getScene().getWindow()));
            menu.getItems().add(item);
        }
        MenuItem pack = new MenuItem(DesktopText.of("plan.plan-stage.the-workout-and-its-recordings"));
        pack.setId("pack");
        pack.setOnAction(e -> pack(session));
        menu.getItems().addAll(new SeparatorMenuItem(), pack);
        return menu;
    }

    private void pack(Session session) {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(DesktopText.of("plan.plan-stage.an-empty-folder-for-the"));
        File chosen = chooser.showDialog(view.getScene().getWindow());
        if (chosen != null) {
            session.exports().pack(chosen.toPath());
        }
    }

    @Override
    public void goTo(Finding f) {
        editor.goToLine(Math.max(1, f.line()));
    }

    @Override
    public Region view() {
        return view;
    }

    /** From the run sheet, where Tab is a letter, to what is beside it, and back. */
    private void crossOver() {
        if (editor.isFocused()) {
            tabs.focus();
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
        problems(timeline.sheet().problems());
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

    private void problems(List<Problem> found) {
        problems.getChildren().clear();
        for (Problem p : found.subList(0, Math.min(found.size(), MOST_PROBLEMS_SHOWN))) {
            Label text = new Label((p.note() ? "○ " : "✗ ") + p.message());
            text.getStyleClass().add(p.note() ? "remark" : "problem");
            HBox.setHgrow(text, Priority.ALWAYS);
            HBox row = new HBox(8, text);
            row.setAlignment(Pos.CENTER_LEFT);
            if (p.nearest() != null) {
                Button fixIt = new Button(DesktopText.of("plan.plan-stage.write", p.nearest()));
                fixIt.getStyleClass().add("quiet");
                fixIt.setMinWidth(Region.USE_PREF_SIZE);
                fixIt.setTooltip(new Tooltip(DesktopText.of("plan.plan-stage.ctrl-on-the-line")));
                fixIt.setOnAction(e -> editor.fix(p));
                row.getChildren().add(fixIt);
            }
            text.setOnMouseClicked(e -> editor.goToLine(p.line()));
            problems.getChildren().add(row);
        }
        if (found.size() > MOST_PROBLEMS_SHOWN) {
            problems.getChildren()
                    .add(new Label(DesktopText.of("plan.plan-stage.and-more", found.size() - MOST_PROBLEMS_SHOWN)));
        }
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
