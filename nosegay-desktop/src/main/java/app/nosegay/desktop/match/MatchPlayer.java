package app.nosegay.desktop.match;

import app.nosegay.cut.CutProposal;
import app.nosegay.cut.MatchNotes;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.TakeScreen;
import app.nosegay.match.Match;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.application.Platform;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Plays what is chosen in the Score: a line, a boundary over and over, or a stretch to cut; reps are tapped along with it. */
final class MatchPlayer {
    private static final double HALF = 0.5;
    private static final double WORDS_HEIGHT = 46;
    /** What is heard before a boundary, and behind it while it goes round. */
    private static final Length BEFORE = Length.ofSeconds(1);

    private static final Length BEHIND = Length.ofSeconds(1.2);

    private final Session session;
    private final ScoreView score;
    private final TakeScreen screen;
    private final Label nowAt = new Label(DesktopText.of("match.match-stage.click-a-line-to-play"));
    private final ToggleButton slow = new ToggleButton(DesktopText.of("match.match-stage.half-speed"));
    private final List<Time<Axis.Take>> taps = new ArrayList<>();
    private ScoreLine tapped;
    private Time<Axis.Take> playing;
    private boolean looping;

    MatchPlayer(Session session, ScoreView score) {
        this.session = session;
        this.score = score;
        screen = new TakeScreen(session.jobs()::say, f -> session.media().proxy(f), 416, 234);
        slow.setId("half-speed");
        slow.getStyleClass().add("quiet");
        slow.setMinWidth(Region.USE_PREF_SIZE);
        slow.setTooltip(new Tooltip(DesktopText.of("match.match-stage.half-speed-tip")));
        slow.setOnAction(e -> changeSpeed());
        nowAt.setWrapText(true);
        // Two lines always: what is under it must not move while something plays.
        nowAt.setMinHeight(WORDS_HEIGHT);
        nowAt.setPrefHeight(WORDS_HEIGHT);
        nowAt.setMaxHeight(WORDS_HEIGHT);
        nowAt.setId("now-at");
    }

    TakeScreen screen() {
        return screen;
    }

    ToggleButton slow() {
        return slow;
    }

    /** The picture, and under it in words what is seen. */
    Region view() {
        return new VBox(8, screen.view(), nowAt);
    }

    void say(String words) {
        nowAt.setText(words);
    }

    void stop() {
        screen.stop();
    }

    private Path file(String take) {
        return session.media().files(session.workout()).get(take);
    }

    private Path fileOf(ScoreLine line) {
        return file(line.take().id());
    }

    void playStretch(CutProposal c) {
        Path file = file(c.take());
        if (file != null) {
            Time<Axis.Take> from = Time.max(Time.zero(), c.span().start().minus(BEFORE));
            screen.play(
                    file,
                    from,
                    time -> nowAt.setText(DesktopText.of("match.match-stage.of", c.kind(), time, c.take())),
                    () -> nowAt.setText(DesktopText.of("match.match-stage.stopped")));
        }
    }

    /** Plays the second before and behind the selected boundary over and over, until stopped. */
    void loop() {
        ScoreLine line = score.selected();
        if (line == null || line.isMissing()) {
            return;
        }
        Time<Axis.Take> from = Time.max(Time.zero(), line.recorded().start().minus(BEFORE));
        Time<Axis.Take> to = line.recorded().start().plus(BEHIND);
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
    void tap() {
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

    void playSelected() {
        ScoreLine line = score.selected();
        looping = false;
        if (screen.isPlaying()) {
            screen.stop();
            score.playhead(null, null);
            keepTaps();
            standAt(line);
        } else if (line != null && !line.isMissing()) {
            playFrom(line, line.recorded().start().minus(BEFORE));
        }
    }

    void playFrom(ScoreLine line, Time<Axis.Take> from) {
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

    /** Stands at the start of a line and says where that is. */
    void standAt(ScoreLine line) {
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
}
