package app.nosegay.desktop.series;

import app.nosegay.desktop.controls.Bouquet;
import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.StageView;
import app.nosegay.jobs.Libraries;
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
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.stage.Stage;

/** A week or a course of workouts: a calendar of bouquets, what is loaded heavily too soon again, variety, minutes. */
public final class SeriesScreen implements StageView {
    private static final int LAST_DAY = 366;
    private static final double DETAIL = 330;

    private final Session session;
    private final Stage stage;
    private final TextField name = new TextField();
    private final SeriesCalendar calendar = new SeriesCalendar(this::choose, (e, day) -> move(e, day));
    private final YearPicture year = new YearPicture(this::choose);
    private final RecoveryChart recovery = new RecoveryChart();
    private final VBox detail = new VBox(8);
    private final HBox filled = new HBox(20);
    private final VBox remarks = new VBox(4);
    private final Label sums = new Label();
    private final BorderPane view = new BorderPane();
    private final Label empty = new Label(DesktopText.of("series.series-screen.no-workouts-yet-add-the"));
    private final Button whole = Buttons.quiet(DesktopText.of("series.year.show"), "series-whole", this::turn);
    private Series series = Series.EMPTY;
    private SeriesFile.Read shown;
    private Series.Entry selected;
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
        HBox head = new HBox(8, name, space, whole, add, open, save);
        head.setAlignment(Pos.CENTER_LEFT);
        sums.setId("series-sums");
        sums.getStyleClass().add("sentence");
        sums.setMinHeight(Region.USE_PREF_SIZE);
        remarks.setId("series-remarks");
        Label load = new Label(DesktopText.of("series.series-screen.load-over-the-days"));
        load.getStyleClass().add("subheading");
        ScrollPane scroll = new ScrollPane(new VBox(10, calendar.view(), year.view(), load, recovery));
        appear(year.view(), false);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        HBox.setHgrow(scroll, Priority.ALWAYS);
        detail.setMinWidth(DETAIL);
        detail.setMaxWidth(DETAIL);
        filled.getChildren().setAll(scroll, detail);
        VBox.setVgrow(filled, Priority.ALWAYS);
        VBox all = new VBox(10, head, sums, remarks, filled, empty);
        all.getStyleClass().add("stage");
        empty.getStyleClass().add("empty");
        view.setCenter(all);
        show(new SeriesFile.Read(SeriesReport.of(List.of(), Libraries.current()), List.of(), List.of()));
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
        sums.setText(
                report.days().isEmpty()
                        ? ""
                        : DesktopText.of(
                                "series.series-screen.workout-minutes-in-all",
                                report.days().size(),
                                Math.round(report.total().seconds() / 60),
                                DesktopText.of("series.series-screen.0f-different-moves", 100 * report.variety())));
        boolean any = !series.entries().isEmpty();
        appear(filled, any);
        appear(whole, any);
        appear(empty, !any);
        showChosen(read);
        recovery.show(report);
        remarks.getChildren().clear();
        read.problems().forEach(p -> remarks.getChildren().add(remark("✗ " + p, "problem")));
        report.remarks().forEach(r -> remarks.getChildren().add(remark("◆ " + r, "remark")));
    }

    /** From weeks to the whole year and back. */
    private void turn() {
        boolean wide = !year.view().isVisible();
        appear(year.view(), wide);
        appear(calendar.view(), !wide);
        whole.setText(wide ? DesktopText.of("series.year.weeks") : DesktopText.of("series.year.show"));
    }

    private static void appear(Region part, boolean is) {
        part.setVisible(is);
        part.setManaged(is);
    }

    /** The calendar, and the chosen workout of it in full; the first where none is chosen. */
    private void showChosen(SeriesFile.Read read) {
        shown = read;
        if (selected == null || !read.entries().contains(selected)) {
            selected = read.entries().stream().findFirst().orElse(null);
        }
        calendar.show(read.report(), read.entries(), selected);
        year.show(read.report(), read.entries(), selected);
        detail.getChildren().clear();
        if (selected != null) {
            detail(read.report().days().get(read.entries().indexOf(selected)), selected);
        }
    }

    private void choose(Series.Entry entry) {
        selected = entry;
        showChosen(shown);
    }

    private void move(Series.Entry entry, int day) {
        Series next = series.moved(entry, day);
        selected = next.entries().stream()
                .filter(e -> e.file().equals(entry.file()) && e.day() == day)
                .findFirst()
                .orElse(null);
        change(next);
    }

    private static Label remark(String words, String style) {
        Label label = new Label(words);
        label.getStyleClass().add(style);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    private void detail(SeriesReport.Day day, Series.Entry entry) {
        Label title = new Label(day.title());
        title.getStyleClass().add("heading");
        title.setWrapText(true);
        title.setMinHeight(Region.USE_PREF_SIZE);
        Spinner<Integer> on = new Spinner<>(1, LAST_DAY, day.day());
        on.setId("series-day");
        on.setPrefWidth(74);
        on.setAccessibleText(DesktopText.of("series.series-screen.day-of", day.title()));
        on.valueProperty().addListener((o, was, is) -> move(entry, is));
        Button away = Buttons.quiet(
                DesktopText.of("series.series-screen.take-away"), () -> change(series.withoutEntry(entry)));
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
        about.setMinHeight(Region.USE_PREF_SIZE);
        detail.getChildren().setAll(title, head, bouquet.view(), about);
    }
}
