package app.nosegay.desktop.series;

import app.nosegay.desktop.controls.Bouquet;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.series.Series;
import app.nosegay.series.SeriesReport;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Weeks under each other, a bouquet on each day that has a workout. A workout is dragged to another day, or carried there with Alt. */
final class SeriesCalendar {
    static final int WEEK = 7;
    private static final double BOUQUET = 78;
    /** Two lines: all bouquets of a week stand at one height. */
    private static final double TITLE = 44;

    /** The last day a series can have. */
    private static final int LAST_DAY = 366;

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final GridPane grid = new GridPane();
    private final Consumer<Series.Entry> chosen;
    private final BiConsumer<Series.Entry, Integer> moved;
    private Series.Entry dragged;

    /**
     * @param chosen told the workout that was chosen
     * @param moved told a workout and the day it was carried to
     */
    SeriesCalendar(Consumer<Series.Entry> chosen, BiConsumer<Series.Entry, Integer> moved) {
        this.chosen = chosen;
        this.moved = moved;
        grid.setHgap(6);
        grid.setVgap(6);
        grid.setId("series-calendar");
        for (int i = 0; i < WEEK; i++) {
            ColumnConstraints column = new ColumnConstraints();
            column.setPercentWidth(100.0 / WEEK);
            grid.getColumnConstraints().add(column);
        }
    }

    Region view() {
        return grid;
    }

    /** How many weeks are shown for a series: a free one is always there to carry a workout to. */
    static int weeks(SeriesReport report) {
        int last = report.days().stream().mapToInt(SeriesReport.Day::day).max().orElse(1);
        return Math.max(2, (last + WEEK - 1) / WEEK);
    }

    void show(SeriesReport report, List<Series.Entry> entries, Series.Entry selected) {
        grid.getChildren().clear();
        for (int day = 1; day <= weeks(report) * WEEK; day++) {
            VBox cell = cell(day);
            for (int i = 0; i < entries.size(); i++) {
                if (report.days().get(i).day() == day) {
                    cell.getChildren().add(card(report.days().get(i), entries.get(i), entries.get(i) == selected));
                }
            }
            grid.add(cell, (day - 1) % WEEK, (day - 1) / WEEK);
        }
    }

    private VBox cell(int day) {
        Label number = new Label(DesktopText.of("series.calendar.day", day));
        number.getStyleClass().add("small");
        VBox cell = new VBox(2, number);
        cell.getStyleClass().add("calendar-day");
        cell.setMaxHeight(Double.MAX_VALUE);
        cell.setMinWidth(0);
        cell.setOnMouseDragReleased(e -> {
            if (dragged != null) {
                moved.accept(dragged, day);
            }
            dragged = null;
        });
        cell.setOnMouseDragEntered(e -> cell.pseudoClassStateChanged(CHOSEN, dragged != null));
        cell.setOnMouseDragExited(e -> cell.pseudoClassStateChanged(CHOSEN, false));
        return cell;
    }

    private Node card(SeriesReport.Day day, Series.Entry entry, boolean selected) {
        Label title = new Label(day.title());
        title.setWrapText(true);
        title.setMinHeight(TITLE);
        title.setMaxHeight(TITLE);
        Bouquet bouquet = Bouquet.small(BOUQUET);
        bouquet.show(day.balance());
        Label length = new Label(day.timeline().total().clock());
        length.getStyleClass().add("small");
        Button card = new Button(null, new VBox(2, title, bouquet.view(), length));
        card.getStyleClass().add("day");
        card.pseudoClassStateChanged(CHOSEN, selected);
        card.setMaxWidth(Double.MAX_VALUE);
        card.setMinWidth(0);
        card.setAccessibleText(DesktopText.of("series.calendar.workout", day.title(), day.day()));
        card.setTooltip(new Tooltip(DesktopText.of("series.calendar.drag", day.title())));
        card.setOnAction(e -> chosen.accept(entry));
        card.setOnDragDetected(e -> {
            dragged = entry;
            card.startFullDrag();
            e.consume();
        });
        card.addEventFilter(KeyEvent.KEY_PRESSED, e -> carry(e, entry));
        return card;
    }

    private void carry(KeyEvent e, Series.Entry entry) {
        int by =
                switch (e.getCode()) {
                    case LEFT -> -1;
                    case RIGHT -> 1;
                    case UP -> -WEEK;
                    case DOWN -> WEEK;
                    default -> 0;
                };
        int day = entry.day() + by;
        if (e.isAltDown() && by != 0 && day >= 1 && day <= LAST_DAY) {
            moved.accept(entry, day);
            e.consume();
        }
    }
}
