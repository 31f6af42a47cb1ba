package app.nosegay.desktop.proof;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.TakeScreen;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.nio.file.Path;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** Where the chosen problem is in the recording: its picture, and the seconds around it; one key goes on to the next. */
final class ProblemScreen {
    private static final int WIDTH = 256;
    private static final int HEIGHT = 144;
    private static final Length BEFORE = Length.ofSeconds(1);
    private static final Length AFTER = Length.ofSeconds(2);

    private final Session session;
    private final ListView<Finding> problems;
    private final TakeScreen screen;
    private final Label where = new Label();
    private final Button next;
    private final HBox view;

    private record Place(Path file, Time<Axis.Take> time) {}

    ProblemScreen(Session session, ListView<Finding> problems) {
        this.session = session;
        this.problems = problems;
        screen = new TakeScreen(session.jobs()::say, f -> session.media().proxy(f), WIDTH, HEIGHT);
        next = Buttons.act(DesktopText.of("proof.problem-screen.next"), this::goOn);
        next.setMinWidth(Region.USE_PREF_SIZE);
        next.managedProperty().bind(next.visibleProperty());
        next.setId("next-problem");
        next.setTooltip(new Tooltip(DesktopText.of("proof.problem-screen.next-tip")));
        where.setId("problem-where");
        where.getStyleClass().add("small");
        where.setWrapText(true);
        where.setMinWidth(0);
        HBox.setHgrow(where, Priority.ALWAYS);
        view = new HBox(10, screen.view(), where);
        view.managedProperty().bind(view.visibleProperty());
        view.setVisible(false);
        problems.getSelectionModel().selectedItemProperty().addListener((o, before, now) -> stand(now));
    }

    Region view() {
        return view;
    }

    Button next() {
        return next;
    }

    /** Whether there is anything to look at: without a recording there is not. */
    void showFor(boolean recorded) {
        view.setVisible(recorded);
        next.setVisible(recorded);
    }

    void stop() {
        screen.stop();
    }

    private Optional<Place> place(Finding finding) {
        if (finding == null || finding.segment() == null) {
            return Optional.empty();
        }
        return session.programme()
                .get()
                .match()
                .segment(finding.segment())
                .filter(Match.Placed::matched)
                .flatMap(p -> Optional.ofNullable(
                                session.media().files(session.workout()).get(p.take()))
                        .map(file -> new Place(file, p.start())));
    }

    private void stand(Finding finding) {
        Optional<Place> place = place(finding);
        if (screen.isPlaying()) {
            screen.stop();
        }
        where.setText(place.map(p -> DesktopText.of(
                        "proof.problem-screen.at", p.time(), p.file().getFileName()))
                .orElse(finding == null ? "" : DesktopText.of("proof.problem-screen.of-the-whole")));
        place.ifPresent(p -> screen.stand(p.file(), p.time()));
    }

    /** Chooses the next problem, after the last the first, and plays what is around it. */
    void goOn() {
        int count = problems.getItems().size();
        if (count == 0) {
            return;
        }
        int index = (problems.getSelectionModel().getSelectedIndex() + 1) % count;
        problems.getSelectionModel().select(index);
        problems.scrollTo(Math.max(0, index - 1));
        problems.requestFocus();
        place(problems.getItems().get(index)).ifPresent(this::play);
    }

    private void play(Place place) {
        Time<Axis.Take> from = Time.max(Time.zero(), place.time().minus(BEFORE));
        Time<Axis.Take> to = place.time().plus(AFTER);
        screen.play(
                place.file(),
                from,
                time -> {
                    if (!time.isBefore(to)) {
                        Platform.runLater(screen::stop);
                    }
                },
                () -> {});
    }
}
