package app.nosegay.desktop.plan;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.library.MuscleGroup;
import app.nosegay.plan.Balance;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.ChangeOver;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.time.Length;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;
import javafx.util.Duration;

/** The figures of a plan; each explains itself on hover: what it is, from what, and what to aim for. */
final class Figures {
    private static final double BAR = 84;

    private final GridPane grid = new GridPane();

    Figures() {
        grid.setId("figures");
        grid.setHgap(9);
        grid.setVgap(6);
    }

    Region view() {
        return grid;
    }

    void show(PlanReport report) {
        grid.getChildren().clear();
        Timeline t = report.timeline();
        if (t.segments().isEmpty()) {
            return;
        }
        pace(t, report.balance());
        shares(report.balance());
        changeOvers(report);
    }

    private void pace(Timeline t, Balance b) {
        row(
                DesktopText.of("plan.figures.work"),
                DesktopText.of("plan.figures.of", clock(t.total(SegmentKind.WORK)), clock(t.total())),
                null,
                DesktopText.of("plan.figures.the-work-segments-without-warm"));
        row(
                DesktopText.of("plan.figures.density"),
                String.format(Locale.ROOT, "%.0f %%", 100 * b.density()),
                null,
                DesktopText.of("plan.figures.work-work-rest-50-70"));
        row(
                DesktopText.of("plan.figures.without-rest"),
                clock(b.longestWithoutRest()),
                null,
                DesktopText.of("plan.figures.the-longest-stretch-of-movement"));
    }

    /** What is worked against what. */
    private void shares(Balance b) {
        row(
                DesktopText.of("plan.figures.push-pull"),
                b.push().clock() + " : " + b.pull().clock(),
                pair(b.push(), b.pull(), Petals::work, Petals::rest),
                DesktopText.of("plan.figures.work-seconds-of-pushing-and"));
        Length upper = b.regions().get(MuscleGroup.Region.UPPER);
        Length lower = b.regions().get(MuscleGroup.Region.LOWER);
        row(
                DesktopText.of("plan.figures.upper-lower"),
                upper.clock() + " : " + lower.clock(),
                pair(upper, lower, Petals::work, Petals::count),
                DesktopText.of("plan.figures.work-seconds-by-where-the"));
        row(
                DesktopText.of("plan.figures.front-back"),
                b.front().clock() + " : " + b.back().clock(),
                pair(b.front(), b.back(), Petals::option, Petals::voice),
                DesktopText.of("plan.figures.load-of-the-muscle-groups"));
        boolean even = b.left().equals(b.right());
        row(
                DesktopText.of("plan.figures.left-right"),
                b.left().time().clock() + " : " + b.right().time().clock()
                        + (even ? "" : DesktopText.of("plan.figures.uneven")),
                pair(b.left().time(), b.right().time(), Petals::rest, Petals::rest),
                DesktopText.of(
                        "plan.figures.seconds-sets-and-reps-of",
                        b.left().sets(),
                        b.left().reps(),
                        b.right().sets(),
                        b.right().reps()));
    }

    private void changeOvers(PlanReport report) {
        List<ChangeOver> tight = report.changeOvers().stream()
                .filter(c -> c.inRest() && c.missing().seconds() > 0.5)
                .toList();
        row(
                DesktopText.of("plan.figures.change-overs"),
                tight.isEmpty()
                        ? DesktopText.of("plan.figures.all-fit")
                        : DesktopText.of("plan.figures.too-short", tight.size()),
                null,
                DesktopText.of(
                        "plan.figures.getting-ready-takes-the-larger",
                        tight.isEmpty()
                                ? ""
                                : tight.get(0).segment().move() + ": "
                                        + tight.get(0).describe()));
    }

    private static String clock(Length length) {
        return length.clock();
    }

    private void row(String name, String value, Node picture, String explained) {
        Label n = new Label(name);
        n.getStyleClass().add("small");
        n.setMinWidth(Region.USE_PREF_SIZE);
        Label v = new Label(value);
        v.setMinWidth(Region.USE_PREF_SIZE);
        Tooltip tip = new Tooltip(explained);
        tip.setShowDelay(Duration.millis(200));
        tip.setWrapText(true);
        tip.setMaxWidth(380);
        Tooltip.install(n, tip);
        Tooltip.install(v, tip);
        v.setAccessibleHelp(explained);
        GridPane.setValignment(n, VPos.CENTER);
        int y = grid.getRowCount();
        grid.add(n, 0, y);
        grid.add(v, 1, y);
        if (picture != null) {
            Tooltip.install(picture, tip);
            grid.add(picture, 2, y);
        }
    }

    /** Two lengths as two parts of one bar. */
    private static HBox pair(Length a, Length b, Supplier<Color> left, Supplier<Color> right) {
        double sum = a.seconds() + b.seconds();
        double share = sum == 0 ? 0.5 : a.seconds() / sum;
        Rectangle l = new Rectangle(Math.max(1, BAR * share), 8);
        Lamplight.paint(l, () -> l.setFill(left.get()));
        Rectangle r = new Rectangle(Math.max(1, BAR * (1 - share)), 8);
        Lamplight.paint(r, () -> r.setFill(right.get().deriveColor(0, 0.8, 1.2, 0.75)));
        HBox bar = new HBox(2, l, r);
        bar.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        return bar;
    }
}
