package app.nosegay.desktop.match;

import app.nosegay.cut.MatchNotes;
import app.nosegay.cut.SecondCamera;
import app.nosegay.cut.SplitSegment;
import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.TakeScreen;
import app.nosegay.jobs.SecondCameras;
import app.nosegay.match.Match;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * Every time the selected interval was done, side by side: each plays in a picture of its own, and one of another take can be used
 * instead.
 */
final class TakesPanel {
    private static final int WIDTH = 200;
    private static final int HEIGHT = 112;
    /** More are not told apart on a page. */
    private static final int MOST = 4;

    private final Session session;
    private final Label heading = new Label(DesktopText.of("match.takes-panel.select-a-line-of-the"));
    private final FlowPane tries = new FlowPane(12, 12);
    private final List<TakeScreen> screens = new ArrayList<>();
    private final Button join = Buttons.act("", () -> {});
    private final VBox view;

    TakesPanel(Session session) {
        this.session = session;
        heading.setWrapText(true);
        heading.setMinHeight(Region.USE_PREF_SIZE);
        heading.setId("takes-heading");
        tries.setId("tries");
        ScrollPane scroll = new ScrollPane(tries);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        join.setId("join");
        join.setTooltip(new Tooltip(DesktopText.of("match.takes-panel.copies-both-into-one-new")));
        offer(Optional.empty());
        view = new VBox(8, heading, join, scroll);
    }

    Region view() {
        return view;
    }

    /** Offers to make one take of the two that cut the selected interval in two. */
    private void offer(Optional<SplitSegment> cut) {
        join.setVisible(cut.isPresent());
        join.setManaged(cut.isPresent());
        cut.ifPresent(c -> {
            join.setText(DesktopText.of("match.takes-panel.join-and", c.first(), c.second()));
            join.setOnAction(e -> session.takes().join(c.first(), c.second()));
        });
    }

    void stop() {
        screens.forEach(TakeScreen::stop);
    }

    /** Shows the tries of a line; what was played before stops. */
    void show(ScoreLine line) {
        stop();
        screens.forEach(TakeScreen::close);
        screens.clear();
        tries.getChildren().clear();
        offer(Optional.empty());
        if (line == null || line.isUnplanned()) {
            heading.setText(DesktopText.of("match.takes-panel.select-a-line-of-the"));
            return;
        }
        Match.Placed p = line.placed().get(0);
        int n = (p.matched() ? 1 : 0) + p.others().size();
        String why = p.reason() == null ? "" : DesktopText.of("match.takes-panel.used", p.reason());
        Optional<SplitSegment> cut = line.placed().stream()
                .flatMap(each -> SplitSegment.of(session.programme().get().match(), each).stream())
                .findFirst();
        offer(cut);
        if (cut.isPresent()) {
            heading.setText(DesktopText.of("match.takes-panel.the-camera-began-a-new", line.title()));
        } else {
            heading.setText(DesktopText.of(
                    "match.takes-panel.was-done",
                    line.title(),
                    n == 1 ? DesktopText.of("match.takes-panel.once") : DesktopText.of("match.takes-panel.times", n),
                    why));
        }
        if (p.matched()) {
            tries.getChildren().add(attempt(p, p.take(), p.start(), p.end(), isSeenByAnother(p) ? "heard" : "used"));
        }
        for (Match.Other o : p.others().subList(0, Math.min(MOST - 1, p.others().size()))) {
            tries.getChildren().add(attempt(p, o.take(), o.start(), o.end(), o.kind()));
        }
        cameras(line);
    }

    /** What other cameras saw of a line, each to be shown instead. */
    private void cameras(ScoreLine line) {
        Match.Placed p = line.placed().get(0);
        MatchNotes notes = session.workout().matching();
        for (SecondCamera camera : notes.cameras()) {
            if (p.matched() && camera.of().equals(p.take())) {
                boolean shown = camera.take().equals(notes.choices().get(p.id()));
                Span<Axis.Take> there = camera.at(new Span<>(p.start(), p.end()));
                VBox seen = attempt(p, camera.take(), there.start(), there.end(), shown ? "shown" : "camera");
                Button show = Buttons.quiet(
                        shown
                                ? DesktopText.of("match.takes-panel.show-the-first-camera")
                                : DesktopText.of("match.takes-panel.show-this-camera"),
                        "show-camera",
                        () -> see(p, shown ? null : camera.take()));
                Button apart = Buttons.quiet(
                        DesktopText.of("match.takes-panel.no-second-camera"),
                        "no-second-camera",
                        () -> session.apply(
                                DesktopText.of("match.takes-panel.a-take-of-its-own", camera.take()),
                                SecondCameras.unmarked(session.workout(), camera.take())));
                seen.getChildren().addAll(show, apart);
                tries.getChildren().add(seen);
            }
        }
    }

    /** Whether another camera's picture is shown with the sound of this one. */
    private boolean isSeenByAnother(Match.Placed p) {
        MatchNotes notes = session.workout().matching();
        String choice = notes.choices().get(p.id());
        return choice != null && notes.isSecondCamera(choice);
    }

    private void see(Match.Placed p, String camera) {
        session.programme().get().timeline().intervals().stream()
                .filter(i -> i.segments().stream().anyMatch(s -> s.id().equals(p.id())))
                .findFirst()
                .ifPresent(i -> session.apply(
                        DesktopText.of("match.takes-panel.use-for", camera == null ? p.take() : camera, i.id()),
                        SecondCameras.seen(session.workout(), i, camera)));
    }

    private static void play(TakeScreen screen, Path file, Span<Axis.Take> span) {
        screen.play(
                file,
                span.start(),
                time -> {
                    if (!time.isBefore(span.end())) {
                        screen.stop();
                    }
                },
                () -> {});
    }

    private VBox attempt(Match.Placed p, String take, Time<Axis.Take> start, Time<Axis.Take> end, String kind) {
        TakeScreen screen =
                new TakeScreen(session.jobs()::say, f -> session.media().proxy(f), WIDTH, HEIGHT);
        screens.add(screen);
        Path file = session.media().files(session.workout()).get(take);
        Length length = end.since(start);
        if (file != null) {
            screen.stand(file, start.plus(length.times(0.5)));
        }
        double off = length.minus(p.planned()).seconds();
        String against = Math.abs(off) < 0.1
                ? DesktopText.of("match.takes-panel.as-planned")
                : String.format(Locale.ROOT, "%+.1f s", off);
        String note = session.workout().takes().stream()
                .filter(t -> t.id().equals(take) && !t.note().isEmpty())
                .map(t -> "\n\u201c" + t.note() + "\u201d")
                .findFirst()
                .orElse("");
        Label words = new Label(
                DesktopText.of("match.takes-panel.at-s", kind, take, start, length.seconds(), against) + note);
        words.setWrapText(true);
        words.setMinHeight(Region.USE_PREF_SIZE);
        words.setMaxWidth(WIDTH);
        Button play = Buttons.quiet(DesktopText.of("match.takes-panel.play"), () -> {
            if (file != null) {
                play(screen, file, new Span<>(start, end));
            }
        });
        HBox buttons = new HBox(4, play);
        if (kind.equals("retake")) {
            buttons.getChildren().add(Buttons.quiet(DesktopText.of("match.takes-panel.use-this"), () -> use(p, take)));
            Button camera = Buttons.quiet(
                    DesktopText.of("match.takes-panel.is-a-second-camera"), "second-camera", () -> session.takes()
                            .secondCamera(take, p.take()));
            camera.setTooltip(new Tooltip(DesktopText.of("match.takes-panel.second-camera-tip", p.take())));
            return new VBox(3, screen.view(), words, buttons, camera);
        }
        return new VBox(3, screen.view(), words, buttons);
    }

    private void use(Match.Placed p, String take) {
        session.apply(
                DesktopText.of("match.takes-panel.use-for", take, p.id()),
                session.workout().withMatching(session.workout().matching().withChoice(p.id(), take)));
    }
}
