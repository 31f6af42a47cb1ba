package app.nosegay.desktop.series;

import app.nosegay.desktop.controls.Bouquet;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.DrawnPane;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.library.MuscleGroup;
import app.nosegay.series.SeriesReport;
import app.nosegay.time.Length;
import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;

/** A line per muscle group over the days: a seed as large as its load, thorns between days that leave it no rest. */
final class RecoveryChart extends DrawnPane {
    private static final double ROW = 17;
    private static final double NAMES = 118;
    private static final double LARGEST = 7;

    private SeriesReport report;

    RecoveryChart() {
        super("series-recovery", ROW * MuscleGroup.values().length + 4);
        setAccessibleText(DesktopText.of("series.recovery.load-per-day"));
    }

    void show(SeriesReport now) {
        report = now;
        redraw();
    }

    @Override
    protected void draw(GraphicsContext g, double width, double height) {
        if (report == null) {
            return;
        }
        int days = SeriesCalendar.weeks(report) * SeriesCalendar.WEEK;
        double step = (width - NAMES) / days;
        double most = report.days().stream()
                .flatMap(d -> d.balance().muscles().values().stream())
                .mapToDouble(Length::seconds)
                .max()
                .orElse(1);
        List<SeriesReport.Clash> clashes = report.clashes();
        double y = ROW / 2;
        for (MuscleGroup group : MuscleGroup.values()) {
            boolean worked = report.muscles().containsKey(group);
            g.setFont(Font.font("Source Sans 3", 13));
            g.setFill(worked ? Petals.ink() : Petals.faded());
            g.fillText(group.word().replace('-', ' '), 0, y + 4);
            g.setStroke(Petals.rule());
            g.setLineWidth(1);
            g.strokeLine(NAMES, y, width, y);
            Color colour = Bouquet.colour(group);
            for (SeriesReport.Day day : report.days()) {
                double load =
                        day.balance().muscles().getOrDefault(group, Length.ZERO).seconds();
                double r = LARGEST * Math.sqrt(load / most);
                g.setFill(colour);
                g.fillOval(x(day, step) - r, y - r, 2 * r, 2 * r);
            }
            double at = y;
            clashes.stream().filter(c -> c.group() == group).forEach(c -> thorns(g, c, step, at));
            y += ROW;
        }
    }

    private static double x(SeriesReport.Day day, double step) {
        return NAMES + (day.day() - 0.5) * step;
    }

    private static void thorns(GraphicsContext g, SeriesReport.Clash clash, double step, double y) {
        double from = x(clash.before(), step) + LARGEST;
        double to = x(clash.day(), step) - LARGEST;
        g.setStroke(Petals.caution());
        g.setLineWidth(2);
        for (double x = from; x < to; x += 5) {
            g.strokeLine(x, y + 3, x + 2.5, y - 3);
            g.strokeLine(x + 2.5, y - 3, x + 5, y + 3);
        }
    }
}
