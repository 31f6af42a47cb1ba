package app.nosegay.desktop.proof;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.MovePicture;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.TakeScreen;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.library.Move;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Moment;
import app.nosegay.plan.Segment;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.nio.file.Path;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.Tooltip;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Where the chosen problem is in the recording: its picture, and the seconds around it; one key goes on to the next. */
final class ProblemScreen {
    private static final int WIDTH = 256;
    private static final int HEIGHT = 144;
    private static final int FIGURE = 104;
    private static final Length BEFORE = Length.ofSeconds(1);
    private static final Length AFTER = Length.ofSeconds(2);
    /** Nobody listens to more of a long moment. */
    private static final Length MOST = Length.ofSeconds(8);

    private final Session session;
    private final ListView<Finding> problems;
    private final TakeScreen screen;
    private final Label where = new Label();
    private final Button next;
    private final ImageView figure = new ImageView();
    private final Label planned = new Label();
    private final Canvas around = new Canvas(MomentPicture.WIDTH, MomentPicture.HEIGHT);
    private final VBox view;

    private record Place(Path file, Moment moment) {
        Time<Axis.Take> time() {
            return moment.span().start();
        }
    }

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
        planned.setId("problem-planned");
        planned.getStyleClass().add("small");
        planned.setWrapText(true);
        planned.setMinWidth(0);
        VBox besides = new VBox(4, figure, planned);
        besides.managedProperty().bind(besides.visibleProperty());
        besides.visibleProperty().bind(figure.imageProperty().isNotNull());
        HBox.setHgrow(besides, Priority.ALWAYS);
        around.setId("problem-around");
        around.managedProperty().bind(around.visibleProperty());
        view = new VBox(6, new HBox(12, screen.view(), besides), where, around);
        view.managedProperty().bind(view.visibleProperty());
        view.setId("problem");
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
        return moment(finding).flatMap(m -> Optional.ofNullable(
                        session.media().files(session.workout()).get(m.take()))
                .map(file -> new Place(file, m)));
    }

    /** The finding's own moment, or else where its segment begins. */
    private Optional<Moment> moment(Finding finding) {
        if (finding == null || finding.moment() != null) {
            return Optional.ofNullable(finding).map(Finding::moment);
        }
        return session.programme()
                .get()
                .match()
                .segment(finding.segment())
                .filter(Match.Placed::matched)
                .map(p -> Moment.at(p.take(), p.start()));
    }

    private void stand(Finding finding) {
        Optional<Place> place = place(finding);
        if (screen.isPlaying()) {
            screen.stop();
        }
        where.setText(place.map(p -> DesktopText.of(
                        "proof.problem-screen.at", p.time(), p.file().getFileName()))
                .orElse(finding == null ? "" : DesktopText.of("proof.problem-screen.of-the-whole")));
        screen.view().setVisible(place.isPresent());
        screen.view().setManaged(place.isPresent());
        place.ifPresent(p -> screen.stand(p.file(), p.time()));
        planned(finding);
        around(finding == null ? null : finding.moment());
    }

    /** The figure of what is planned, to compare what is shown with. */
    private void planned(Finding finding) {
        Segment segment = finding == null
                ? null
                : session.programme()
                        .get()
                        .timeline()
                        .segment(finding.segment())
                        .orElse(null);
        Optional<Move> move = segment == null || segment.move() == null
                ? Optional.empty()
                : segment.wholeMove(session.programme().get().library());
        figure.setImage(move.map(m -> MovePicture.of(m, FIGURE)).orElse(null));
        planned.setText(move.map(m -> DesktopText.of(
                        "proof.problem-screen.planned",
                        segment.move(),
                        segment.side() == null ? "none" : segment.side().word()))
                .orElse(""));
    }

    private void around(Moment moment) {
        Optional<TakeEvidence> take = moment == null
                ? Optional.empty()
                : session.programme().get().evidence().stream()
                        .filter(t -> t.id().equals(moment.take()))
                        .findFirst();
        around.setVisible(take.isPresent());
        take.ifPresent(t -> Lamplight.paint(around, () -> MomentPicture.paint(around, moment, t)));
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
        Time<Axis.Take> due = place.moment().due();
        Time<Axis.Take> first =
                due == null || place.time().since(due).compareTo(MOST) > 0 ? place.time() : Time.min(due, place.time());
        Time<Axis.Take> from = Time.max(Time.zero(), first.minus(BEFORE));
        Time<Axis.Take> to =
                Time.min(place.moment().span().end(), place.time().plus(MOST)).plus(AFTER);
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
