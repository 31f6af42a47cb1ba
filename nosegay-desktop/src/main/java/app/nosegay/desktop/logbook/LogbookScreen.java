package app.nosegay.desktop.logbook;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.StageView;
import app.nosegay.jobs.Libraries;
import app.nosegay.jobs.LogbookFile;
import app.nosegay.logbook.Logbook;
import app.nosegay.logbook.Request;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.publish.Retention;
import app.nosegay.script.Wordings;
import app.nosegay.standins.Channel;
import app.nosegay.workout.Programme;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A dated diary page over all workouts, and the stand-in channel's answers and news of this one. */
public final class LogbookScreen implements StageView {
    private static final int LOSSES_SHOWN = 3;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE, d MMMM yyyy", Locale.ENGLISH);

    private final Session session;
    private final Runnable openPlan;
    private final ComboBox<String> kind = new ComboBox<>();
    private final TextField text = new TextField();
    private final VBox page = new VBox(6);
    private final VBox leaving = new VBox(4);
    private final Label spent = new Label();
    /** In the order of the work. */
    private static final List<String> STAGES = List.of("plan", "script", "shoot", "match", "dress", "proof", "publish");

    private final ComboBox<String> profile = new ComboBox<>();
    private final HBox view;
    private Logbook logbook = Logbook.EMPTY;

    /**
     * @param openPlan shows the Plan stage, where an idea begins
     */
    public LogbookScreen(Session session, Runnable openPlan) {
        this.session = session;
        this.openPlan = openPlan;
        kind.getItems()
                .setAll(
                        DesktopText.of("logbook.logbook-screen.lesson"),
                        DesktopText.of("logbook.logbook-screen.request"));
        kind.getSelectionModel().select(0);
        kind.setMinWidth(110);
        kind.setId("entry-kind");
        kind.setAccessibleText(DesktopText.of("logbook.logbook-screen.kind"));
        text.setPromptText(DesktopText.of("logbook.logbook-screen.what-to-remember-shoes-are"));
        text.setId("entry-text");
        text.setAccessibleText(DesktopText.of("logbook.logbook-screen.entry"));
        text.setOnAction(e -> add());
        HBox.setHgrow(text, Priority.ALWAYS);
        Button write = Buttons.act(DesktopText.of("logbook.logbook-screen.write-it-down"), this::add);
        write.setId("entry-add");
        HBox entry = new HBox(8, kind, text, write);
        entry.setAlignment(Pos.CENTER_LEFT);
        page.setId("logbook-page");
        ScrollPane scroll = new ScrollPane(page);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox left = new VBox(12, entry, scroll);
        HBox.setHgrow(left, Priority.ALWAYS);
        view = new HBox(22, left, channel());
        view.getStyleClass().add("stage");
    }

    private Region channel() {
        Label heading = heading(DesktopText.of("logbook.logbook-screen.practice-channel"));
        Label what = new Label(DesktopText.of("logbook.logbook-screen.a-stand-in-on-this"));
        what.setWrapText(true);
        what.setMinHeight(Region.USE_PREF_SIZE);
        Channel.profiles().forEach(p -> profile.getItems().add(p.label()));
        profile.getSelectionModel().select(0);
        profile.setId("profile");
        profile.setAccessibleText(DesktopText.of("logbook.logbook-screen.profile"));
        Button submit = Buttons.quiet(DesktopText.of("logbook.logbook-screen.hand-it-in"), this::submit);
        submit.setId("submit");
        Button news = Buttons.quiet(DesktopText.of("logbook.logbook-screen.ask-for-news"), this::news);
        news.setId("news");
        HBox buttons = new HBox(8, profile, submit, news);
        buttons.setAlignment(Pos.CENTER_LEFT);
        leaving.setId("leaving");
        spent.setWrapText(true);
        spent.setMinHeight(Region.USE_PREF_SIZE);
        spent.setId("spent");
        VBox box = new VBox(
                10,
                heading,
                what,
                buttons,
                heading(DesktopText.of("logbook.logbook-screen.where-people-leave")),
                leaving,
                heading(DesktopText.of("logbook.logbook-screen.time-spent")),
                spent);
        box.setMinWidth(380);
        box.setMaxWidth(380);
        return box;
    }

    private static Label heading(String words) {
        Label heading = new Label(words);
        heading.getStyleClass().add("heading");
        heading.setMinHeight(Region.USE_PREF_SIZE);
        return heading;
    }

    @Override
    public Region view() {
        return view;
    }

    @Override
    public void entered() {
        try {
            logbook = LogbookFile.read();
            show();
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
    }

    private static String today() {
        return LocalDate.now().toString();
    }

    private String title() {
        Programme now = session.programme().get();
        return now == null ? "" : now.timeline().sheet().header().title();
    }

    private Path published() {
        return session.folder().resolve("published");
    }

    private void add() {
        String words = text.getText().strip();
        if (!words.isEmpty()) {
            Logbook.Kind of =
                    kind.getSelectionModel().getSelectedIndex() == 0 ? Logbook.Kind.LESSON : Logbook.Kind.REQUEST;
            Logbook.Entry entry = new Logbook.Entry(today(), of, title(), words);
            change(l -> l.with(entry));
            text.clear();
        }
    }

    private void change(UnaryOperator<Logbook> step) {
        try {
            logbook = LogbookFile.change(step);
            show();
        } catch (IOException e) {
            session.jobs().say(DesktopText.of("logbook.logbook-screen.the-logbook-cannot-be-written", e.getMessage()));
        }
    }

    private void submit() {
        Programme of = session.programme().get();
        Channel.Profile chosen =
                Channel.profiles().get(profile.getSelectionModel().getSelectedIndex());
        Path folder = published();
        session.jobs()
                .run(
                        DesktopText.of("logbook.logbook-screen.handing-in"),
                        p -> LogbookFile.submit(of, folder, chosen, today()),
                        entry -> change(l -> l.with(entry)));
    }

    private void news() {
        Programme of = session.programme().get();
        Path folder = published();
        session.jobs()
                .run(
                        DesktopText.of("logbook.logbook-screen.asking-for-news"),
                        p -> LogbookFile.news(of, folder, today()),
                        news -> change(l -> l.withNews(news)));
    }

    private void show() {
        page.getChildren().clear();
        if (logbook.entries().isEmpty()) {
            Label empty = new Label(DesktopText.of("logbook.logbook-screen.nothing-yet-write-down-a"));
            empty.getStyleClass().add("empty");
            page.getChildren().add(empty);
        }
        List<Request> requests = logbook.of(Logbook.Kind.REQUEST).stream()
                .map(e -> Request.of(e.text(), Libraries.current()))
                .toList();
        Map<String, Integer> wishes = Request.counted(requests);
        if (requests.size() > 1 && !wishes.isEmpty()) {
            Label asked = new Label(DesktopText.of(
                    "logbook.logbook-screen.asked-for",
                    requests.size(),
                    wishes.entrySet().stream()
                            .map(w -> DesktopText.of("logbook.logbook-screen.wish", w.getKey(), w.getValue()))
                            .collect(Collectors.joining(", "))));
            asked.setId("asked-for");
            asked.getStyleClass().add("sentence");
            asked.setWrapText(true);
            asked.setMinHeight(Region.USE_PREF_SIZE);
            page.getChildren().add(asked);
        }
        for (Map.Entry<String, List<Logbook.Entry>> day : logbook.days().entrySet()) {
            Label date = new Label(shown(day.getKey()));
            date.getStyleClass().add("subheading");
            page.getChildren().add(date);
            day.getValue().forEach(e -> page.getChildren().add(row(e)));
        }
        Map<String, Long> own = logbook.spent().getOrDefault(title(), Map.of());
        spent.setText(
                own.isEmpty()
                        ? DesktopText.of("logbook.logbook-screen.nothing-is-known-of-this")
                        : own.entrySet().stream()
                                .sorted(Comparator.comparing(
                                        e -> STAGES.indexOf(e.getKey().toLowerCase(Locale.ROOT))))
                                .map(e -> DesktopText.of(
                                        "logbook.logbook-screen.min",
                                        Wordings.capital(e.getKey()),
                                        Math.max(1, Math.round(e.getValue() / 60.0))))
                                .collect(Collectors.joining(", ")));
        leaving();
    }

    private static String shown(String isoDate) {
        try {
            return LocalDate.parse(isoDate).format(DAY);
        } catch (DateTimeParseException e) {
            return isoDate;
        }
    }

    private HBox row(Logbook.Entry e) {
        Label mark = new Label(
                switch (e.kind()) {
                    case LESSON -> "◆ lesson";
                    case REQUEST -> "○ request";
                    case TAKE -> "● take";
                    case PUBLISHED -> "■ published";
                    case NEWS -> "▲ news";
                });
        mark.getStyleClass().setAll("label", "small");
        mark.setMinWidth(92);
        boolean request = e.kind() == Logbook.Kind.REQUEST;
        Request read = request ? Request.of(e.text(), Libraries.current()) : null;
        String of = e.workout().isEmpty() ? "" : "  (" + e.workout() + ")";
        Label words = new Label(e.text() + of + (request ? "\n" + read.tags() : ""));
        words.setWrapText(true);
        words.setMinWidth(0);
        words.setMinHeight(Region.USE_PREF_SIZE);
        words.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox row = new HBox(8, mark, words);
        row.setAlignment(Pos.BASELINE_LEFT);
        if (request) {
            Button idea = Buttons.quiet(DesktopText.of("logbook.logbook-screen.make-it-an-idea"), () -> idea(read));
            idea.setTooltip(new Tooltip(DesktopText.of("logbook.logbook-screen.begins-a-run-sheet-with")));
            row.getChildren().add(idea);
        }
        row.getChildren()
                .add(Buttons.quiet(
                        DesktopText.of("logbook.logbook-screen.strike-out"), () -> change(l -> l.without(e))));
        return row;
    }

    /** The request as a run sheet in place of the plan; one undo brings the plan back. */
    private void idea(Request request) {
        session.apply(
                DesktopText.of("logbook.logbook-screen.idea-from-a-request"),
                session.workout().withSheet(request.sheet(Libraries.current())));
        openPlan.run();
    }

    private void leaving() {
        leaving.getChildren().clear();
        Programme of = session.programme().get();
        Retention curve = null;
        try {
            curve = LogbookFile.retention(published());
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
        if (of == null || curve == null) {
            leaving.getChildren().add(new Label(DesktopText.of("logbook.logbook-screen.no-curve-yet-put-retention")));
            return;
        }
        List<Retention.Loss> losses = curve.losses(of.timeline(), of.match(), of.cut());
        RetentionPicture picture = new RetentionPicture();
        picture.show(curve, losses, LOSSES_SHOWN);
        leaving.getChildren().add(picture);
        int number = 0;
        for (Retention.Loss loss : losses.stream().limit(LOSSES_SHOWN).toList()) {
            var s = loss.interval().first();
            String what = Wordings.capital(
                    s.move() != null
                            ? s.move()
                            : s.kind() == SegmentKind.TALK
                                    ? s.block().name()
                                    : s.kind().word());
            Label line = new Label(DesktopText.of(
                    "logbook.logbook-screen.s-at-s-1f-leave",
                    ++number,
                    what,
                    loss.at().start().toString().replaceAll("\\..*", ""),
                    loss.lost() * 100));
            line.setWrapText(true);
            leaving.getChildren().add(line);
        }
    }
}
