package app.nosegay.desktop.series;

import app.nosegay.desktop.controls.Bouquet;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.series.Series;
import app.nosegay.series.SeriesReport;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;

/** The whole year on one page: four weeks a line, the bouquets standing on it, and what the line adds up to at its end. */
final class YearPicture {
    /** Days a line, and lines a year. */
    private static final int DAYS = 28;

    private static final int LINES = 13;
    private static final double HEIGHT = 40;
    /** The largest a bouquet gets, in pixels … */
    private static final double BOUQUET = 36;
    /** … and as a share of a day: few train every day, so petals may reach over the next. */
    private static final double OVER = 1.7;

    private static final double NAMES = 92;
    private static final double SUMS = 84;
    /** Between weeks, in pixels. */
    private static final double WEEKS_APART = 8;

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final VBox view = new VBox(2);
    private final Consumer<Series.Entry> chosen;

    /** @param chosen told the workout that was chosen */
    YearPicture(Consumer<Series.Entry> chosen) {
        this.chosen = chosen;
        view.setId("series-year");
    }

    Region view() {
        return view;
    }

    void show(SeriesReport report, List<Series.Entry> entries, Series.Entry selected) {
        view.getChildren().clear();
        int last = report.days().stream().mapToInt(SeriesReport.Day::day).max().orElse(1);
        for (int line = 0; line < Math.max(LINES, (last + DAYS - 1) / DAYS); line++) {
            List<FourWeeks.Flower> flowers = new ArrayList<>();
            Length length = Length.ZERO;
            for (int i = 0; i < entries.size(); i++) {
                SeriesReport.Day day = report.days().get(i);
                if ((day.day() - 1) / DAYS == line) {
                    boolean isChosen = entries.get(i) == selected;
                    flowers.add(new FourWeeks.Flower((day.day() - 1) % DAYS, flower(day, entries.get(i), isChosen)));
                    length = length.plus(day.timeline().total());
                }
            }
            int first = line * DAYS + 1;
            view.getChildren().add(new FourWeeks(first, flowers, length));
        }
    }

    private Button flower(SeriesReport.Day day, Series.Entry entry, boolean isChosen) {
        Bouquet bouquet = Bouquet.small(BOUQUET);
        bouquet.show(day.balance());
        Button flower = new Button(null, bouquet.view());
        flower.getStyleClass().add("year-day");
        flower.pseudoClassStateChanged(CHOSEN, isChosen);
        flower.setAccessibleText(DesktopText.of("series.calendar.workout", day.title(), day.day()));
        flower.setTooltip(new Tooltip(DesktopText.of("series.calendar.workout", day.title(), day.day())));
        flower.setOnAction(e -> chosen.accept(entry));
        return flower;
    }

    /** One line. */
    private static final class FourWeeks extends Pane {
        private final List<Line> weeks = new ArrayList<>();
        private final List<Flower> flowers;
        private final Label sum;

        /** A workout at its day of the line, from 0. */
        record Flower(int day, Button button) {}

        FourWeeks(int first, List<Flower> flowers, Length length) {
            this.flowers = flowers;
            Label name = new Label(DesktopText.of("series.year.days", first, first + DAYS - 1));
            name.getStyleClass().add("small");
            name.relocate(0, HEIGHT / 2 - 9);
            sum = new Label(flowers.isEmpty() ? "" : DesktopText.of("series.year.sum", flowers.size(), length.clock()));
            sum.getStyleClass().add("small");
            for (int week = 0; week < DAYS / SeriesCalendar.WEEK; week++) {
                Line line = new Line();
                line.getStyleClass().add("year-week");
                weeks.add(line);
            }
            getChildren().add(name);
            getChildren().addAll(weeks);
            flowers.forEach(f -> getChildren().add(f.button()));
            getChildren().add(sum);
            setMinHeight(HEIGHT);
            setPrefHeight(HEIGHT);
        }

        @Override
        protected void layoutChildren() {
            super.layoutChildren();
            double day = (getWidth() - NAMES - SUMS - WEEKS_APART * weeks.size()) / DAYS;
            for (int week = 0; week < weeks.size(); week++) {
                Line line = weeks.get(week);
                line.setStartX(x(week * SeriesCalendar.WEEK, day));
                line.setEndX(x((week + 1) * SeriesCalendar.WEEK - 1, day) + day);
                line.setStartY(HEIGHT - 1);
                line.setEndY(HEIGHT - 1);
            }
            for (Flower flower : flowers) {
                double size = Math.min(BOUQUET, OVER * day);
                flower.button().setScaleX(size / BOUQUET);
                flower.button().setScaleY(size / BOUQUET);
                double middle = x(flower.day(), day) + day / 2;
                flower.button().relocate(middle - BOUQUET / 2, HEIGHT - 2 - (BOUQUET + size) / 2);
            }
            sum.relocate(getWidth() - SUMS + WEEKS_APART, HEIGHT / 2 - 9);
        }

        private static double x(int day, double width) {
            return NAMES + day * width + WEEKS_APART * (day / SeriesCalendar.WEEK);
        }
    }
}
