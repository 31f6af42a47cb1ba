package app.nosegay.desktop.series;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.plan.Bouquet;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.StageView;
import app.nosegay.jobs.Media;
import app.nosegay.jobs.SeriesFile;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.library.MuscleGroup;
import app.nosegay.series.Series;
import app.nosegay.series.SeriesReport;
import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.stage.Stage;

/** A week or a course of workouts: one bouquet per day, what is loaded heavily too soon again, variety, minutes. */
public final class SeriesScreen implements StageView {
    private static final int LAST_DAY = 366;

    private final Session session;
    private final Stage stage;
    private final TextField name = new TextField();
    private final FlowPane days = new FlowPane(14, 14);
    private final VBox remarks = new VBox(4);
    private final Label sums = new Label();
    private final BorderPane view = new BorderPane();
    private final Label empty = new Label(DesktopText.of("series.series-screen.no-workouts-yet-add-the"));
    private Series series = Series.EMPTY;
    private Path file;
    private Path folder;
    private int asked;

    public SeriesScreen(Session session, Stage stage) {
        this.session = session;
        this.stage = stage;
        name.setId("series-name");
        name.setPrefColumnCount(22);
        name.setAccessibleText(DesktopText.of("series.series-screen.name-of-the-series"));
        name.setOnAction(e -> change(series.named(name.getText().strip())));
        Button add = Buttons.quiet(DesktopText.of("series.series-screen.add-workouts"), "series-add", this::add);
        Button open = Buttons.quiet(DesktopText.of("series.series-screen.open-series"), "series-open", this::open);
        Button save = Buttons.quiet(DesktopText.of("series.series-screen.save-series"), "series-save", this::save);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        HBox head = new HBox(8, name, space, add, open, save);
        head.setAlignment(Pos.CENTER_LEFT);
        sums.setId("series-sums");
        sums.getStyleClass().add("sentence");
        sums.setMinHeight(Region.USE_PREF_SIZE);
        remarks.setId("series-remarks");
        ScrollPane scroll = new ScrollPane(days);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox all = new VBox(10, head, sums, remarks, scroll);
        all.getStyleClass().add("stage");
        empty.getStyleClass().add("empty");
        view.setCenter(all);
        show(new SeriesFile.Read(SeriesReport.of(List.of(), app.nosegay.jobs.Libraries.current()), List.of()));
    }

    @Override
    public Region view() {
        return view;
    }

    @Override
    public void entered() {
        if (folder == null) {
            folder = session.folder();
        }
        compute();
    }

    private void change(Series next) {
        series = next;
        compute();
    }

    /** Adds workout files, each two days behind the one before. */
    public void add(List<Path> files) {
        if (folder == null) {
            folder = session.folder();
        }
        Series next = series;
        for (Path f : files) {
            next = next.withEntry(new Series.Entry(next.nextDay(), Media.stored(folder, f)));
        }
        change(next);
    }

    private void add() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(DesktopText.of("series.series-screen.add-workouts-2"));
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter(
                        DesktopText.of("series.series-screen.workouts"), "*" + WorkoutFile.ENDING));
        List<File> chosen = chooser.showOpenMultipleDialog(stage);
        if (chosen != null) {
            add(chosen.stream().map(File::toPath).toList());
        }
    }

    private void open() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(DesktopText.of("series.series-screen.open-a-series"));
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter(
                        DesktopText.of("series.series-screen.series"), "*" + SeriesFile.ENDING));
        File chosen = chooser.showOpenDialog(stage);
        if (chosen != null) {
            try {
                series = SeriesFile.open(chosen.toPath());
                file = chosen.toPath();
                folder = file.toAbsolutePath().getParent();
                compute();
            } catch (IOException e) {
                session.jobs().say(e.getMessage());
            }
        }
    }

    private void save() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(DesktopText.of("series.series-screen.save-the-series"));
        chooser.setInitialFileName(
                file == null
                        ? DesktopText.of("series.series-screen.week", SeriesFile.ENDING)
                        : file.getFileName().toString());
        File chosen = chooser.showSaveDialog(stage);
        if (chosen != null && session.exports().mayWrite(chosen.toPath())) {
            Path to = chosen.toPath().toAbsolutePath();
            Path target = to.getParent();
            List<Series.Entry> entries = new ArrayList<>();
            series.entries()
                    .forEach(e -> entries.add(
                            new Series.Entry(e.day(), Media.stored(target, Media.resolved(folder, e.file())))));
            Series moved = new Series(series.name(), entries);
            try {
                SeriesFile.save(to, moved);
                series = moved;
                folder = target;
                file = to;
            } catch (IOException e) {
                session.jobs()
                        .say(DesktopText.of(
                                "series.series-screen.cannot-be-written", to.getFileName(), e.getMessage()));
            }
        }
    }

    private void compute() {
        int mine = ++asked;
        Series now = series;
        Path from = folder;
        session.jobs().beside("series", () -> SeriesFile.read(now, from), read -> {
            if (mine == asked) {
                show(read);
            }
        });
    }

    private void show(SeriesFile.Read read) {
        SeriesReport report = read.report();
        if (!name.isFocused()) {
            name.setText(series.name());
        }
        days.getChildren().clear();
        sums.setText(
                report.days().isEmpty()
                        ? ""
                        : DesktopText.of(
                                "series.series-screen.workout-minutes-in-all",
                                report.days().size(),
                                Math.round(report.total().seconds() / 60),
                                DesktopText.of("series.series-screen.0f-different-moves", 100 * report.variety())));
        if (series.entries().isEmpty()) {
            days.getChildren().add(empty);
        }
        int index = 0;
        for (SeriesReport.Day day : report.days()) {
            days.getChildren().add(card(day, entryOf(index++, read)));
        }
        remarks.getChildren().clear();
        read.problems().forEach(p -> remarks.getChildren().add(remark("✗ " + p, "problem")));
        report.remarks().forEach(r -> remarks.getChildren().add(remark("◆ " + r, "remark")));
    }

    private Series.Entry entryOf(int index, SeriesFile.Read read) {
        // Workouts that could not be read have no day on screen; with none of those the order is the same.
        return read.problems().isEmpty() && index < series.entries().size()
                ? series.entries().get(index)
                : null;
    }

    private static Label remark(String words, String style) {
        Label label = new Label(words);
        label.getStyleClass().add(style);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    private VBox card(SeriesReport.Day day, Series.Entry entry) {
        Label title = new Label(day.title());
        title.getStyleClass().add("subheading");
        Spinner<Integer> on = new Spinner<>(1, LAST_DAY, day.day());
        on.setPrefWidth(74);
        on.setAccessibleText(DesktopText.of("series.series-screen.day-of", day.title()));
        on.setDisable(entry == null);
        on.valueProperty().addListener((o, was, is) -> {
            if (entry != null) {
                change(series.moved(entry, is));
            }
        });
        Button away = Buttons.quiet(DesktopText.of("series.series-screen.take-away"), () -> {
            if (entry != null) {
                change(series.withoutEntry(entry));
            }
        });
        HBox head = new HBox(8, new Label(DesktopText.of("series.series-screen.day")), on, away);
        head.setAlignment(Pos.CENTER_LEFT);
        Bouquet bouquet = new Bouquet();
        bouquet.show(day.balance());
        String heavy = Arrays.stream(MuscleGroup.values())
                .filter(g -> SeriesReport.isHeavy(day.balance(), g))
                .map(g -> g.word().replace('-', ' '))
                .collect(Collectors.joining(", "));
        Label about = new Label(day.timeline().total().clock()
                + (heavy.isEmpty() ? "" : DesktopText.of("series.series-screen.heavy", heavy)));
        about.setWrapText(true);
        about.setMaxWidth(320);
        about.setMinHeight(Region.USE_PREF_SIZE);
        VBox card = new VBox(4, title, head, bouquet.view(), about);
        card.getStyleClass().addAll("card", "day");
        return card;
    }
}
