package app.nosegay.desktop.proof;

import app.nosegay.desktop.controls.Bouquet;
import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.desktop.controls.Tabs;
import app.nosegay.desktop.session.FindingList;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.StageView;
import app.nosegay.jobs.PrintJob;
import app.nosegay.plan.Finding;
import app.nosegay.plan.FindingPile;
import app.nosegay.proof.IntervalComparison;
import app.nosegay.proof.Proof;
import app.nosegay.script.Wordings;
import app.nosegay.workout.Programme;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Line;
import javafx.stage.Stage;

/** Planned, said and shown compared interval by interval; the findings of all stages; what to record again. */
public final class ProofStage implements StageView {
    private static final String ALL = DesktopText.of("proof.proof-stage.all-stages");
    /** Threads this far apart are worth a look. */
    static final double APART = 0.1;

    private final Session session;
    private final Stage window;
    private final Consumer<Finding> jump;
    private final BorderPane view = new BorderPane();
    private final Label sentence = new Label();
    private final CheckBox onlyApart = new CheckBox(DesktopText.of("proof.proof-stage.only-where-they-part"));
    private final ListView<IntervalComparison> comparisons = new ListView<>();
    private final FindingList findings;
    private final ProofBar bar = new ProofBar(this::select);
    private final ProblemScreen problems;
    private final Bouquet bouquet = new Bouquet();
    private final Button planned = Buttons.quiet("", "proof-of-plan", () -> {});
    private final ComboBox<String> stage = new ComboBox<>();
    private final Tabs sides = new Tabs("proof");
    private final PickUpsPage pickUps;
    /** What stands in place of the findings when there are none. */
    private final VBox done;

    private final Label nothing = new Label(DesktopText.of("proof.proof-stage.nothing-here"));
    private Programme programme;
    private Proof proof;

    /**
     * @param jump shows a finding's place on its stage
     * @param shootFrom opens the Shoot stage at a segment
     * @param publish opens the Publish stage
     */
    public ProofStage(
            Session session, Stage window, Consumer<Finding> jump, Consumer<String> shootFrom, Runnable publish) {
        this.session = session;
        this.window = window;
        pickUps = new PickUpsPage(session, window, shootFrom);
        this.jump = jump;
        findings = new FindingList(session, "proof-findings", jump, FindingPile::beforePublishing);
        findings.list().addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        problems = new ProblemScreen(session, findings.list());
        findings.list().getSelectionModel().selectedItemProperty().addListener((o, before, now) -> showInterval(now));
        done = done(publish);
        sentence.getStyleClass().add("sentence");
        sentence.setId("proof-sentence");
        onlyApart.setId("only-apart");
        onlyApart.setOnAction(e -> showComparisons());
        comparisons.setId("plaits");
        comparisons.setCellFactory(l -> new PlaitCell(l, jump));
        comparisons.setAccessibleText(DesktopText.of("proof.proof-stage.one-line-per-interval-planned"));
        stage.getItems().add(ALL);
        Proof.STAGES.stream().filter(s -> !s.equals("plan")).forEach(s -> stage.getItems()
                .add(Wordings.capital(s)));
        stage.getSelectionModel().select(0);
        stage.setId("proof-stage");
        stage.setAccessibleText(DesktopText.of("proof.proof-stage.which-stage"));
        stage.setOnAction(e -> showFindings());
        view.setCenter(threads());
        view.setRight(besides());
        session.programme().addListener((o, before, now) -> show(now));
        if (session.programme().get() != null) {
            show(session.programme().get());
        }
    }

    private Region threads() {
        Button print = Buttons.quiet(DesktopText.of("proof.proof-stage.print-the-proof-sheet"), () -> session.exports()
                .print(PrintJob.Form.PROOF_PDF, window));
        print.setId("print-proof");
        print.setMinWidth(Region.USE_PREF_SIZE);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        HBox legend = new HBox(
                16,
                key(Petals::ink, "planned"),
                key(Petals::voice, "said"),
                key(Petals::work, "shown"),
                space,
                onlyApart,
                print);
        legend.setAlignment(Pos.CENTER_LEFT);
        VBox.setVgrow(comparisons, Priority.ALWAYS);
        VBox left = new VBox(8, sentence, bar, legend, comparisons);
        left.getStyleClass().add("stage");
        return left;
    }

    private static HBox key(Supplier<Color> colour, String word) {
        Line line = new Line(0, 0, 22, 0);
        Lamplight.paint(line, () -> line.setStroke(colour.get()));
        line.setStrokeWidth(3);
        HBox key = new HBox(6, line, new Label(word));
        key.setAlignment(Pos.CENTER_LEFT);
        return key;
    }

    private Region besides() {
        stage.setMinWidth(130);
        HBox head = new HBox(10, problems.next(), stage);
        head.setAlignment(Pos.CENTER_LEFT);
        planned.managedProperty().bind(planned.visibleProperty());
        VBox found = new VBox(8, head, problems.view(), planned, findings.view());
        VBox.setVgrow(findings.view(), Priority.ALWAYS);
        sides.add("findings", DesktopText.of("proof.proof-stage.findings"), found);
        sides.add("pick-ups", DesktopText.of("proof.proof-stage.pick-ups"), pickUps.view());
        VBox.setVgrow(sides.view(), Priority.ALWAYS);
        VBox right = new VBox(8, sides.view());
        right.getStyleClass().add("stage");
        right.setMinWidth(440);
        right.setMaxWidth(440);
        return right;
    }

    @Override
    public Region view() {
        return view;
    }

    @Override
    public void entered() {
        ListView<Finding> list = findings.list();
        if (list.getSelectionModel().isEmpty() && !list.getItems().isEmpty()) {
            list.getSelectionModel().select(0);
        }
        list.requestFocus();
    }

    @Override
    public void left() {
        problems.stop();
    }

    private void key(KeyEvent e) {
        if (e.getCode() == KeyCode.N && !e.isShortcutDown() && !e.isAltDown()) {
            problems.goOn();
            e.consume();
        }
    }

    /** Everything agrees: the workout in flower, and the way on. */
    private VBox done(Runnable publish) {
        Label heading = new Label(DesktopText.of("proof.proof-stage.everything-agrees"));
        heading.getStyleClass().add("heading");
        Button on = Buttons.act(DesktopText.of("proof.proof-stage.publish"), publish);
        on.setId("proof-publish");
        VBox box = new VBox(12, bouquet.view(), heading, on);
        box.setAlignment(Pos.CENTER);
        box.setId("proof-done");
        return box;
    }

    private void showInterval(Finding finding) {
        if (finding != null && finding.segment() != null) {
            proof.comparisons().stream()
                    .filter(c -> c.interval().segments().stream().anyMatch(s -> s.id().equals(finding.segment())))
                    .findFirst()
                    .ifPresent(this::select);
        }
    }

    private void select(IntervalComparison comparison) {
        if (comparisons.getItems().contains(comparison)) {
            comparisons.getSelectionModel().select(comparison);
            comparisons.scrollTo(Math.max(0, comparisons.getItems().indexOf(comparison) - 1));
        }
    }

    /** Shows Findings or Pick-ups. */
    public void showPage(String name) {
        sides.show(name);
    }

    private void show(Programme now) {
        programme = now;
        proof = now.proof();
        boolean recorded = !now.match().takes().isEmpty();
        sentence.setText(
                recorded
                        ? DesktopText.of("proof.proof-stage.proven", proof.sentence(), proof.proven())
                        : proof.sentence());
        bar.show(proof);
        problems.showFor(recorded && proof.open().stream().anyMatch(f -> !isOfPlan(f)));
        bouquet.show(now.report().balance());
        findings.list().setPlaceholder(recorded && proof.open().isEmpty() ? done : nothing);
        sentence.getStyleClass().removeAll("kept", "plain", "broken");
        sentence.getStyleClass().add(proof.isClear() ? "kept" : proof.mayPublish() ? "plain" : "broken");
        showComparisons();
        showFindings();
        int n = pickUps.show(now);
        sides.rename("pick-ups", DesktopText.of("proof.proof-stage.to-record", n));
    }

    private void showComparisons() {
        comparisons
                .getItems()
                .setAll(proof.comparisons().stream()
                        .filter(p -> !onlyApart.isSelected() || p.apart() > APART)
                        .toList());
    }

    private void showFindings() {
        String wanted = stage.getValue();
        List<Finding> all = new ArrayList<>(proof.open());
        all.addAll(proof.waived());
        // They are worked through on Plan; here they are summed up.
        List<Finding> ofPlan =
                proof.open().stream().filter(ProofStage::isOfPlan).toList();
        all.removeIf(ProofStage::isOfPlan);
        planned.setVisible(!ofPlan.isEmpty());
        planned.setText(DesktopText.of("proof.proof-stage.of-plan", ofPlan.size()));
        planned.setOnAction(e -> jump.accept(ofPlan.get(0)));
        findings.show(
                all.stream()
                        .filter(f -> ALL.equals(wanted)
                                || Wordings.capital(Proof.stage(f)).equals(wanted))
                        .toList(),
                programme.workout());
        int open = proof.open().size();
        sides.rename("findings", DesktopText.of("proof.proof-stage.findings-open", open));
    }

    private static boolean isOfPlan(Finding finding) {
        return Proof.stage(finding).equals("plan");
    }
}
