package app.nosegay.desktop.match;

import app.nosegay.cut.CutProposal;
import app.nosegay.cut.MatchNotes;
import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Tabs;
import app.nosegay.desktop.session.FindingList;
import app.nosegay.desktop.session.RecordingSource;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.StageView;
import app.nosegay.desktop.session.TakeScreen;
import app.nosegay.match.Match;
import app.nosegay.match.Pin;
import app.nosegay.match.Pins;
import app.nosegay.plan.Finding;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;

/** Where in the takes everything planned is: the Score, the player, the doubt queue. */
public final class MatchStage implements StageView {
    private final Session session;
    private final RecordingSource recordings;
    private final ScoreView score;
    private final DoubtQueue doubts;
    private final Candidates candidates;
    private final Label summary = new Label();
    private final TakeScreen screen;
    private final Label nowAt = new Label(DesktopText.of("match.match-stage.click-a-line-to-play"));
    private final BorderPane view = new BorderPane();
    private final Tabs sides = new Tabs("match");
    private final FindingList findings;
    private final CutPanel cuts;
    private final WordsPanel words;
    private final TakesPanel tries;
    private final PeopleMenu people;
    private final List<Time<Axis.Take>> taps = new ArrayList<>();
    private ScoreLine tapped;
    private Time<Axis.Take> playing;
    private final VBox empty;
    private final VBox unread;
    private final Region filled;
    private static final double HALF = 0.5;
    private boolean looping;
    private final ToggleButton slow = new ToggleButton(DesktopText.of("match.match-stage.half-speed"));

    public MatchStage(Session session, Stage window) {
        this.session = session;
        this.recordings = new RecordingSource(session, () -> window);
        this.screen = new TakeScreen(session.jobs()::say, f -> session.media().proxy(f), 416, 234);
        score = new ScoreView(
                this::standAt,
                (p, end, time) -> pin(p, end, time, "move"),
                this::playFrom,
                nowAt::setText,
                new LinePictures(session.pictures(), this::file));
        score.list().addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        score.list().addEventFilter(KeyEvent.KEY_TYPED, this::typed);
        doubts = new DoubtQueue(score::select);
        candidates = new Candidates(session.pictures(), this::file, this::pin);
        doubts.onSelected(candidates::show);
        doubts.list().addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        summary.setId("match-summary");
        summary.setWrapText(true);
        HBox.setHgrow(summary, Priority.ALWAYS);
        findings = new FindingList(session, "match-findings", this::goTo);
        cuts = new CutPanel(session, this::playStretch);
        words = new WordsPanel(session);
        tries = new TakesPanel(session);
        people = new PeopleMenu(session, screen);
        filled = filled();
        empty = recordings.none(DesktopText.of("match.match-stage.have-the-simulated-camera-film"));
        unread = unread();
        view.setCenter(empty);
        session.programme().addListener((o, before, now) -> show(now));
        if (session.programme().get() != null) {
            show(session.programme().get());
        }
    }

    private Region filled() {
        Button film = Buttons.quiet(DesktopText.of("match.match-stage.film-again"), recordings::film);
        film.setTooltip(new Tooltip(DesktopText.of("match.match-stage.film-again-tip")));
        Button bring = Buttons.quiet(DesktopText.of("match.match-stage.bring-in-a-recording"), recordings::bringIn);
        summary.setMaxWidth(Double.MAX_VALUE);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        HBox tools = new HBox(10, score.order(), people.view(), score.compare(), space, film, bring);
        tools.setAlignment(Pos.CENTER_LEFT);
        VBox head = new VBox(6, summary, tools);
        VBox.setVgrow(score.view(), Priority.ALWAYS);
        VBox left = new VBox(8, head, score.view());
        left.getStyleClass().add("stage");
        Button keep = Buttons.act(DesktopText.of("match.match-stage.keep-as-it-is-b"), this::pinSelected);
        keep.setId("keep");
        keep.setTooltip(new Tooltip(DesktopText.of("match.match-stage.pins-the-boundary-where-it")));
        Button play = Buttons.quiet(DesktopText.of("match.match-stage.play-space"), this::playSelected);
        play.setId("play");
        Button loop = Buttons.quiet(DesktopText.of("match.match-stage.loop-r"), this::loop);
        loop.setId("loop");
        loop.setTooltip(new Tooltip(DesktopText.of("match.match-stage.loop-tip")));
        slow.setId("half-speed");
        slow.getStyleClass().add("quiet");
        slow.setMinWidth(Region.USE_PREF_SIZE);
        slow.setTooltip(new Tooltip(DesktopText.of("match.match-stage.half-speed-tip")));
        slow.setOnAction(e -> changeSpeed());
        HBox buttons = new HBox(4, play, loop, slow, keep);
        buttons.setAlignment(Pos.CENTER_LEFT);
        VBox doubtPage = new VBox(8, candidates.view(), buttons, doubts.list());
        VBox.setVgrow(doubts.list(), Priority.ALWAYS);
        sides.add("doubts", DesktopText.of("match.match-stage.doubts"), doubtPage);
        sides.add("findings", DesktopText.of("match.match-stage.findings"), findings.view());
        sides.add("cuts", DesktopText.of("match.match-stage.cuts"), cuts.view());
        sides.add("words", DesktopText.of("match.match-stage.words"), words.view());
        sides.add("takes", DesktopText.of("match.match-stage.takes"), tries.view());
        // Pictures of every try are only fetched while they are looked at.
        sides.onShown(name -> {
            tries.stop();
            if (name.equals("takes")) {
                tries.show(score.selected());
            }
        });
        VBox.setVgrow(sides.view(), Priority.ALWAYS);
        nowAt.setWrapText(true);
        // Two lines always: what is under it must not move while something plays.
        nowAt.setMinHeight(46);
        nowAt.setPrefHeight(46);
        nowAt.setMaxHeight(46);
        nowAt.setId("now-at");
        VBox right = new VBox(8, screen.view(), nowAt, sides.view());
        right.getStyleClass().add("stage");
        right.setMinWidth(456);
        right.setMaxWidth(456);
        BorderPane pane = new BorderPane(left);
        pane.setRight(right);
        return pane;
    }

    /** There are recordings, but reading them was cancelled, or one of them is missing. */
    private VBox unread() {
        Label heading = new Label(DesktopText.of("match.match-stage.not-read-yet"));
        heading.getStyleClass().add("heading");
        Label text = new Label(DesktopText.of("match.match-stage.read-them-to-match"));
        text.getStyleClass().add("empty");
        text.setMaxWidth(560);
        Button read = Buttons.act(DesktopText.of("match.match-stage.read-the-recordings"), session.takes()::read);
        read.setId("read-takes");
        read.disableProperty().bind(session.jobs().name().isNotEmpty());
        VBox box = new VBox(16, heading, text, read);
        box.setAlignment(Pos.CENTER_LEFT);
        box.setMaxWidth(600);
        return box;
    }

    @Override
    public Region view() {
        return view;
    }

    @Override
    public void entered() {
        score.list().requestFocus();
    }

    @Override
    public void left() {
        tries.stop();
        screen.stop();
    }

    private void show(Programme now) {
        boolean any = !now.match().takes().isEmpty();
        view.setCenter(any ? filled : now.workout().takes().isEmpty() ? empty : unread);
        if (!any) {
            return;
        }
        score.show(now);
        people.show(now.evidence());
        long found =
                now.match().segments().stream().filter(Match.Placed::matched).count();
        List<String> evidence = new ArrayList<>();
        now.match().takes().forEach(t -> t.evidence().stream()
                .filter(e -> !evidence.contains(e))
                .forEach(evidence::add));
        summary.setText(DesktopText.of(
                "match.match-stage.of-segments-found-from-recorded",
                found,
                now.match().segments().size(),
                String.join(", ", evidence),
                now.cut().total(),
                now.timeline().total()));
        sides.rename("doubts", doubts.show(score.lines()));
        findings.show(now.matchFindings(), now.workout());
        int open = findings.list().getItems().size();
        sides.rename(
                "findings",
                open == 0
                        ? DesktopText.of("match.match-stage.no-findings")
                        : open
                                + (open == 1
                                        ? DesktopText.of("match.match-stage.finding")
                                        : DesktopText.of("match.match-stage.findings-2")));
        cuts.show(now);
        words.show(now);
    }

    private void standAt(ScoreLine line) {
        if (sides.shown().equals("takes")) {
            tries.show(line);
        }
        cuts.select(line == null || line.isUnplanned() ? List.of() : line.placed());
        if (line != null && !line.isMissing() && !screen.isPlaying()) {
            screen.stand(fileOf(line), line.recorded().start());
            nowAt.setText(DesktopText.of(
                    "match.match-stage.starts-at-of",
                    line.title(),
                    line.detail(),
                    line.recorded().start(),
                    line.take().id()));
        } else if (line != null && line.isMissing()) {
            nowAt.setText(DesktopText.of("match.match-stage.was-not-found-in-the", line.title()));
        }
    }

    private Path fileOf(ScoreLine line) {
        return file(line.take().id());
    }

    private Path file(String take) {
        return session.media().files(session.workout()).get(take);
    }

    /** Shows one of the pages beside the Score: Doubts, Findings, Cuts, Words or Takes. */
    public void showPage(String name) {
        sides.show(name);
    }

    @Override
    public void goTo(Finding f) {
        if (f != null && f.segment() != null) {
            score.lineOf(f.segment()).ifPresent(score::select);
        }
    }

    private void playStretch(CutProposal c) {
        Path file = file(c.take());
        if (file != null) {
            Time<Axis.Take> from = Time.max(Time.zero(), c.span().start().minus(Length.ofSeconds(1)));
            screen.play(
                    file,
                    from,
                    time -> nowAt.setText(DesktopText.of("match.match-stage.of", c.kind(), time, c.take())),
                    () -> nowAt.setText(DesktopText.of("match.match-stage.stopped")));
        }
    }

    /** Plays the second before and behind the selected boundary over and over, until stopped. */
    private void loop() {
        ScoreLine line = score.selected();
        if (line == null || line.isMissing()) {
            return;
        }
        Time<Axis.Take> from = Time.max(Time.zero(), line.recorded().start().minus(Length.ofSeconds(1)));
        Time<Axis.Take> to = line.recorded().start().plus(Length.ofSeconds(1.2));
        looping = true;
        screen.play(
                fileOf(line),
                from,
                time -> {
                    score.playhead(line, time);
                    nowAt.setText(DesktopText.of("match.match-stage.around-the-start-of-space", line.title(), time));
                    if (looping && !time.isBefore(to)) {
                        screen.stop();
                        Platform.runLater(this::loop);
                    }
                },
                () -> {});
    }

    /** What is playing goes on from where it is, at the other speed. */
    private void changeSpeed() {
        screen.speed(slow.isSelected() ? HALF : 1);
        ScoreLine line = score.selected();
        if (!screen.isPlaying() || line == null || line.isMissing()) {
            return;
        }
        if (looping) {
            loop();
        } else if (playing != null) {
            playFrom(line, playing);
        }
    }

    /** Counts a rep of the playing line at the moment that is seen. */
    private void tap() {
        ScoreLine line = score.selected();
        if (!screen.isPlaying() || playing == null || line == null || line.isMissing() || line.isUnplanned()) {
            session.jobs().say(DesktopText.of("match.match-stage.play-a-line-first-space"));
            return;
        }
        if (tapped != line) {
            taps.clear();
            tapped = line;
        }
        taps.add(playing);
        nowAt.setText(DesktopText.of("match.match-stage.rep-tapped-in", taps.size(), line.title()));
    }

    /** Tapped reps replace those found, per segment. */
    private void keepTaps() {
        if (taps.isEmpty() || tapped == null) {
            return;
        }
        MatchNotes notes = session.workout().matching();
        for (Match.Placed p : tapped.placed()) {
            List<Time<Axis.Take>> inside = taps.stream()
                    .filter(t -> p.matched() && !t.isBefore(p.start()) && t.isBefore(p.end()))
                    .toList();
            notes = inside.isEmpty() ? notes : notes.withTaps(p.id(), inside);
        }
        String name = DesktopText.of("match.match-stage.reps-tapped-in", taps.size(), tapped.title());
        taps.clear();
        tapped = null;
        session.apply(name, session.workout().withMatching(notes));
    }

    /** Takes the next of several times the selected segment was done. */
    private void useOther() {
        ScoreLine line = score.selected();
        if (line == null || line.isUnplanned()) {
            return;
        }
        MatchNotes notes = session.workout().matching();
        boolean any = false;
        for (Match.Placed p : line.placed()) {
            List<String> retakes = p.others().stream()
                    .filter(o -> o.kind().equals("retake"))
                    .map(Match.Other::take)
                    .distinct()
                    .sorted()
                    .toList();
            if (!retakes.isEmpty()) {
                String next = retakes.stream()
                        .filter(t -> p.take() == null || t.compareTo(p.take()) > 0)
                        .findFirst()
                        .orElse(retakes.get(0));
                notes = notes.withChoice(p.id(), next);
                any = true;
            }
        }
        if (any) {
            session.apply(
                    DesktopText.of("match.match-stage.use-another-take-of", line.title()),
                    session.workout().withMatching(notes));
        } else {
            session.jobs().say(DesktopText.of("match.match-stage.is-in-no-other-take", line.title()));
        }
    }

    private void playSelected() {
        ScoreLine line = score.selected();
        looping = false;
        if (screen.isPlaying()) {
            screen.stop();
            score.playhead(null, null);
            keepTaps();
            standAt(line);
        } else if (line != null && !line.isMissing()) {
            playFrom(line, line.recorded().start().minus(Length.ofSeconds(1)));
        }
    }

    private void playFrom(ScoreLine line, Time<Axis.Take> from) {
        Time<Axis.Take> start = Time.max(Time.zero(), from);
        screen.play(
                fileOf(line),
                start,
                time -> {
                    playing = time;
                    score.playhead(line, time);
                    nowAt.setText(DesktopText.of(
                            "match.match-stage.second-of-the-line",
                            line.title(),
                            time,
                            time.since(line.recorded().start()).seconds(),
                            taps.isEmpty() ? "" : DesktopText.of("match.match-stage.reps-tapped", taps.size())));
                },
                () -> {
                    score.playhead(null, null);
                    nowAt.setText(DesktopText.of("match.match-stage.stopped"));
                    keepTaps();
                });
    }

    /** Fixes the selected doubt, or the selected line's start, where it is. */
    private void pinSelected() {
        DoubtQueue.Doubtful doubtful = doubts.selected();
        ScoreLine line = score.selected();
        if (doubtful != null && doubtful.placed().matched()) {
            Match.Placed p = doubtful.placed();
            pin(p, doubtful.end(), doubtful.end() ? p.end() : p.start(), "keep");
        } else if (line != null && !line.isMissing() && !line.isUnplanned()) {
            Match.Placed p = line.placed().get(0);
            pin(p, false, p.start(), "keep");
        }
    }

    private String spoken(String segment) {
        return session.programme().get().timeline().spoken(segment);
    }

    private void pin(Match.Placed p, boolean end, Time<Axis.Take> time, String verb) {
        Pin pin = new Pin(p.id(), end, p.take(), time);
        Workout next = session.workout();
        List<Pin> against =
                Pins.against(pin, next.pins(), session.programme().get().match());
        for (Pin gone : against) {
            next = next.withoutPin(gone);
        }
        session.apply(
                DesktopText.of("match.match-stage.end-of-at", verb, end, spoken(p.id()), time), next.withPin(pin));
        against.forEach(gone -> session.jobs()
                .say(DesktopText.of(
                        "match.match-stage.that-cannot-be-with-pinned", spoken(gone.segment()), gone.time())));
    }

    /** Moves a boundary of the selected line by whole frames and pins it there. */
    private void nudge(boolean end, int frames) {
        nudge(end, frames, null);
    }

    private void nudge(boolean end, int frames, Length by) {
        ScoreLine line = score.selected();
        if (line == null || line.isMissing() || line.isUnplanned()) {
            return;
        }
        List<Match.Placed> found =
                line.placed().stream().filter(Match.Placed::matched).toList();
        Match.Placed p = end ? found.get(found.size() - 1) : found.get(0);
        var video = session.media().readings().get(p.take()).info().video();
        double fps = video == null || video.framesPerSecond() <= 0 ? 30 : video.framesPerSecond();
        pin(p, end, now(p, end).plus(by != null ? by : Length.ofSeconds(frames / fps)), "move");
    }

    /** Where a boundary is by now: keys come faster than the match is solved again. */
    private Time<Axis.Take> now(Match.Placed p, boolean end) {
        return session.workout().pins().stream()
                .filter(pin -> pin.segment().equals(p.id())
                        && pin.end() == end
                        && pin.take().equals(p.take()))
                .map(Pin::time)
                .findFirst()
                .orElse(end ? p.end() : p.start());
    }

    private void key(KeyEvent e) {
        if (e.isShortcutDown()) {
            return;
        }
        if (e.getCode() == KeyCode.COMMA || e.getCode() == KeyCode.PERIOD) {
            double seconds = (e.isShiftDown() ? 1 : 0.1) * (e.getCode() == KeyCode.COMMA ? -1 : 1);
            nudge(e.isAltDown(), 0, Length.ofSeconds(seconds));
            e.consume();
            return;
        }
        if (e.isAltDown()) {
            return;
        }
        switch (e.getCode()) {
            case R -> loop();
            case T -> tap();
            case V -> slow.fire();
            case U -> useOther();
            case SPACE -> playSelected();
            case J -> score.step(1);
            case K -> score.step(-1);
            case D -> doubts.next();
            case F -> score.fold();
            case B -> pinSelected();
            case C -> score.compare().fire();
            case DIGIT1, NUMPAD1 -> candidates.choose(0);
            case DIGIT2, NUMPAD2 -> candidates.choose(1);
            case DIGIT3, NUMPAD3 -> candidates.choose(2);
            default -> {
                return;
            }
        }
        e.consume();
    }

    private void typed(KeyEvent e) {
        switch (e.getCharacter()) {
            case "[" -> nudge(false, -1);
            case "]" -> nudge(false, 1);
            case "{" -> nudge(true, -1);
            case "}" -> nudge(true, 1);
            default -> {
                return;
            }
        }
        e.consume();
    }
}
