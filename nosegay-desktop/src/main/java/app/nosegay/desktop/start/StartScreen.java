package app.nosegay.desktop.start;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.StageView;
import app.nosegay.jobs.Demo;
import app.nosegay.jobs.FailureLog;
import app.nosegay.jobs.LogbookFile;
import app.nosegay.jobs.PlanFrom;
import app.nosegay.jobs.RecentWorkouts;
import app.nosegay.jobs.RecentWorkouts.Recent;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.logbook.Logbook;
import app.nosegay.plan.bed.Starter;
import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.stage.Stage;

/** The first screen: workouts to go on with, and ways to begin, each a drawing of its shape that plants a small complete example. */
public final class StartScreen implements StageView {
    private static final int MOST_RECENT = 8;
    /** Room for a drawing and two lines of words. */
    private static final double CARD_HIGH = 134;

    private final Session session;
    private final Stage stage;
    private final Runnable begun;
    private final FlowPane recents = new FlowPane(10, 10);
    private final Label goOn = new Label(DesktopText.of("start.go-on"));
    private final StackPane view = new StackPane();
    private final ScrollPane scroll;
    private final WordsPage words;
    private Recent last;

    /**
     * @param begun shows the plan
     */
    public StartScreen(Session session, Stage stage, Runnable begun) {
        this.session = session;
        this.stage = stage;
        this.begun = begun;
        words = new WordsPage(session.jobs(), this::back);
        goOn.getStyleClass().add("heading");
        recents.setId("start-recent");
        Label begin = new Label(DesktopText.of("start.begin"));
        begin.getStyleClass().add("heading");
        FlowPane ways = new FlowPane(10, 10);
        for (Starter starter : Starter.values()) {
            ways.getChildren()
                    .add(card(
                            starter.label(),
                            new ShapeDrawing(starter),
                            "start-" + starter.name().toLowerCase(java.util.Locale.ROOT),
                            () -> plant(starter.label(), starter.sheet())));
        }
        FlowPane froms = new FlowPane(10, 10);
        from(froms, "start-last", DesktopText.of("start.from-last"), this::fromLast);
        from(froms, "start-notes", DesktopText.of("start.from-notes"), () -> fromNotes(""));
        from(froms, "start-video", DesktopText.of("start.from-video"), this::fromVideo);
        from(froms, "start-request", DesktopText.of("start.from-request"), this::fromRequest);
        from(froms, "start-empty", DesktopText.of("start.empty"), () -> {
            session.begin();
            begun.run();
        });
        from(froms, "start-open", DesktopText.of("start.open"), this::open);
        from(froms, "start-demo", DesktopText.of("start.demo"), this::demo);
        Label drop = new Label(DesktopText.of("start.drop"));
        drop.getStyleClass().add("small");
        drop.setWrapText(true);
        VBox page = new VBox(10, goOn, recents, begin, ways, froms, drop);
        page.getStyleClass().add("start");
        scroll = new ScrollPane(page);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        view.getChildren().setAll(scroll);
        shown(List.of());
    }

    @Override
    public Region view() {
        return view;
    }

    @Override
    public void entered() {
        back();
        session.jobs().beside(DesktopText.of("start.go-on"), StartScreen::read, this::shown);
    }

    private static List<Recent> read() {
        try {
            return RecentWorkouts.read(MOST_RECENT);
        } catch (IOException e) {
            FailureLog.note("recent", e);
            return List.of();
        }
    }

    private void shown(List<Recent> found) {
        last = found.isEmpty() ? null : found.get(0);
        recents.getChildren().clear();
        found.forEach(r -> recents.getChildren()
                .add(new RecentCard(
                        r,
                        () -> {
                            session.open(r.file());
                            begun.run();
                        },
                        () -> forget(r))));
        recents.setVisible(!found.isEmpty());
        recents.setManaged(!found.isEmpty());
        goOn.setVisible(!found.isEmpty());
        goOn.setManaged(!found.isEmpty());
    }

    private void forget(Recent recent) {
        session.jobs()
                .beside(
                        DesktopText.of("start.forget"),
                        () -> {
                            try {
                                RecentWorkouts.forget(recent.file());
                            } catch (IOException e) {
                                FailureLog.note("recent", e);
                            }
                            return read();
                        },
                        this::shown);
    }

    private static Button card(String label, Node drawing, String id, Runnable does) {
        Label words = new Label(label);
        words.getStyleClass().add("card-title");
        words.setWrapText(true);
        words.setPrefWidth(ShapeDrawing.WIDTH);
        words.setMinHeight(Region.USE_PREF_SIZE);
        VBox inner = new VBox(2, drawing, words);
        inner.setAlignment(Pos.TOP_LEFT);
        Button card = new Button();
        card.setGraphic(inner);
        card.setAccessibleText(label);
        card.getStyleClass().setAll("start-card");
        card.setMinHeight(CARD_HIGH);
        card.setMaxHeight(CARD_HIGH);
        card.setPrefHeight(CARD_HIGH);
        card.setAlignment(Pos.TOP_LEFT);
        card.setId(id);
        card.setOnAction(e -> does.run());
        return card;
    }

    private static void from(FlowPane into, String id, String label, Runnable does) {
        Button button = new Button(label);
        button.getStyleClass().setAll("start-word");
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setId(id);
        button.setOnAction(e -> does.run());
        into.getChildren().add(button);
    }

    private void plant(String name, String sheet) {
        session.beginWith(DesktopText.of("start.begin-with", name), sheet);
        begun.run();
    }

    private void back() {
        view.getChildren().setAll(scroll);
    }

    private void page(String title, String hint, String text, java.util.function.UnaryOperator<String> reading) {
        view.getChildren().setAll(words.view());
        words.open(title, hint, text, reading, sheet -> plant(title, sheet));
    }

    /** The workout that was open last, as a pattern for a new one: its plan, not its recordings. */
    private void fromLast() {
        if (last == null) {
            choose(DesktopText.of("start.choose-pattern"), "*" + WorkoutFile.ENDING, this::pattern);
        } else {
            pattern(last.file());
        }
    }

    private void pattern(Path file) {
        session.jobs()
                .run(
                        DesktopText.of("start.from-last"),
                        progress -> WorkoutFile.open(file).sheet(),
                        sheet -> plant(DesktopText.of("start.from-last"), sheet));
    }

    /** Shows notes and what was understood of them. */
    public void fromNotes(String text) {
        page(DesktopText.of("start.from-notes"), DesktopText.of("start.notes-hint"), text, PlanFrom::notes);
    }

    private void fromRequest() {
        String wish = "";
        try {
            List<Logbook.Entry> wishes = LogbookFile.read().of(Logbook.Kind.REQUEST);
            wish = wishes.isEmpty() ? "" : wishes.get(0).text();
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
        page(DesktopText.of("start.from-request"), DesktopText.of("start.request-hint"), wish, PlanFrom::request);
    }

    private void fromVideo() {
        choose(DesktopText.of("start.choose-video"), "*.*", this::fromVideo);
    }

    /** Shows what was planned in an old video, by its transcript. */
    public void fromVideo(Path file) {
        session.jobs()
                .run(
                        DesktopText.of("start.reading", file.getFileName()),
                        progress -> PlanFrom.said(file, progress),
                        said -> page(
                                DesktopText.of("start.from-video"),
                                DesktopText.of("start.video-hint"),
                                said,
                                PlanFrom::transcript));
    }

    private void open() {
        choose(DesktopText.of("start.open"), "*" + WorkoutFile.ENDING, file -> {
            session.open(file);
            begun.run();
        });
    }

    private void demo() {
        session.jobs()
                .run(DesktopText.of("nosegay-app.opening-the-demo"), progress -> Demo.place(Demo.home()), file -> {
                    session.open(file);
                    begun.run();
                });
    }

    private void choose(String title, String pattern, Consumer<Path> then) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter(title, pattern));
        File chosen = chooser.showOpenDialog(stage);
        if (chosen != null) {
            then.accept(chosen.toPath());
        }
    }
}
