package app.nosegay.desktop.plan;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.plan.check.Cautions;
import app.nosegay.plan.check.ChangeCosts;
import app.nosegay.plan.check.GearItem;
import app.nosegay.plan.check.GearList;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.time.Length;
import app.nosegay.workout.Settings;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What is needed and when, with household stand-ins; the usual cautions for the audience; what changing over costs. */
final class GearPanel {
    private static final String[] COSTS = {
        DesktopText.of("plan.gear-panel.pick-up-or-put-down"),
        DesktopText.of("plan.gear-panel.swap-weight"),
        DesktopText.of("plan.gear-panel.set-up-a-band"),
        DesktopText.of("plan.gear-panel.down-to-the-floor"),
        DesktopText.of("plan.gear-panel.up-from-the-floor"),
        DesktopText.of("plan.gear-panel.to-or-from-a-seat"),
        DesktopText.of("plan.gear-panel.turn-to-a-camera"),
        DesktopText.of("plan.gear-panel.change-side")
    };

    private final Session session;
    private final VBox gear = new VBox(4);
    private final VBox cautions = new VBox(4);
    private final TextField[] costs = new TextField[COSTS.length];
    private final ScrollPane view;

    GearPanel(Session session) {
        this.session = session;
        GridPane grid = new GridPane();
        grid.setHgap(10);
        grid.setVgap(4);
        for (int i = 0; i < COSTS.length; i++) {
            costs[i] = new TextField();
            costs[i].setPrefColumnCount(3);
            costs[i].setId("cost-" + i);
            costs[i].setAccessibleText(DesktopText.of("plan.gear-panel.seconds-to", COSTS[i]));
            costs[i].setOnAction(e -> set());
            costs[i].focusedProperty().addListener((o, was, is) -> {
                if (!is) {
                    set();
                }
            });
            grid.add(new Label(COSTS[i]), i % 2 * 2, i / 2);
            grid.add(costs[i], i % 2 * 2 + 1, i / 2);
        }
        Label deference = new Label(Cautions.DEFERENCE);
        deference.setWrapText(true);
        deference.getStyleClass().add("small");
        VBox all = new VBox(
                8,
                heading(DesktopText.of("plan.gear-panel.gear-by-first-use")),
                gear,
                heading(DesktopText.of("plan.gear-panel.cautions-for-this-audience")),
                cautions,
                deference,
                heading(DesktopText.of("plan.gear-panel.seconds-it-takes-to")),
                grid);
        view = new ScrollPane(all);
        view.setFitToWidth(true);
        view.getStyleClass().add("plain-scroll");
    }

    private static Label heading(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("subheading");
        return label;
    }

    Region view() {
        return view;
    }

    void show(PlanReport report) {
        gear.getChildren().clear();
        Set<String> told = new LinkedHashSet<>();
        for (GearList.Use use : report.gear().used()) {
            if (told.add(use.item().shown())) {
                gear.getChildren()
                        .add(line(
                                use.item(),
                                DesktopText.of("plan.gear-panel.from", use.from()),
                                report.gear().announced(use.item()).isPresent()));
            }
        }
        for (GearItem item : report.gear().announced()) {
            boolean used =
                    report.gear().used().stream().anyMatch(u -> u.item().name().equals(item.name()));
            if (!used && told.add(item.shown())) {
                gear.getChildren().add(line(item, "announced", true));
            }
        }
        if (gear.getChildren().isEmpty()) {
            gear.getChildren().add(new Label(DesktopText.of("plan.gear-panel.no-gear-write-gear-kettlebell")));
        }
        cautions.getChildren().clear();
        List<String> texts = report.cautions().stream()
                .map(r -> r.move().name() + " (" + r.rule().audience().word() + "): "
                        + r.rule().text())
                .distinct()
                .toList();
        texts.forEach(t -> cautions.getChildren().add(wrapped("△ " + t)));
        if (texts.isEmpty()) {
            cautions.getChildren()
                    .add(wrapped(
                            Cautions.audiences(report.timeline()).isEmpty()
                                    ? DesktopText.of("plan.gear-panel.name-an-audience-at-the")
                                    : DesktopText.of("plan.gear-panel.none-beyond-the-screening-line")));
        }
        ChangeCosts c = session.workout().settings().costs();
        Length[] now = {c.pickUpOrPutDown(), c.swap(), c.band(), c.down(), c.up(), c.seat(), c.turn(), c.side()};
        for (int i = 0; i < costs.length; i++) {
            if (!costs[i].isFocused()) {
                costs[i].setText(plain(now[i].seconds()));
            }
        }
    }

    private static String plain(double seconds) {
        return seconds == Math.rint(seconds) ? "" + (long) seconds : String.format(Locale.ROOT, "%.1f", seconds);
    }

    private static Label line(GearItem item, String when, boolean announced) {
        String stand = item.standIns().isEmpty()
                ? ""
                : DesktopText.of(
                        "plan.gear-panel.at-home", String.join(DesktopText.of("plan.gear-panel.or"), item.standIns()));
        return wrapped((announced ? "● " : "○ ") + item.shown() + ", " + when + stand);
    }

    private static Label wrapped(String text) {
        Label label = new Label(text);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        label.setAlignment(Pos.TOP_LEFT);
        return label;
    }

    private void set() {
        double[] s = new double[costs.length];
        for (int i = 0; i < costs.length; i++) {
            String text = costs[i].getText().strip().replace(',', '.');
            if (!text.matches("\\d{1,3}(\\.\\d)?")) {
                return; // not a number of seconds: the old one comes back with the next showing
            }
            s[i] = Double.parseDouble(text);
        }
        ChangeCosts set = ChangeCosts.ofSeconds(s[0], s[1], s[2], s[3], s[4], s[5], s[6], s[7]);
        Settings settings = session.workout().settings();
        if (!set.equals(settings.costs())) {
            session.apply(
                    DesktopText.of("plan.gear-panel.seconds-of-changing-over"),
                    session.workout().withSettings(new Settings(set, settings.ranges())));
        }
    }
}
