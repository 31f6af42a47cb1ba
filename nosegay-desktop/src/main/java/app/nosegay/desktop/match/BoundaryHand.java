package app.nosegay.desktop.match;

import app.nosegay.cut.MatchNotes;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.match.Match;
import app.nosegay.match.Pin;
import app.nosegay.match.Pins;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import app.nosegay.workout.Workout;
import java.util.List;
import java.util.Optional;

/** What is decided by hand in the Score: where a boundary is, and which of several times is used. */
final class BoundaryHand {
    /** What a frame is taken to last where the take does not say. */
    private static final double USUAL_FRAME_RATE = 30;

    private final Session session;
    private final ScoreView score;

    BoundaryHand(Session session, ScoreView score) {
        this.session = session;
        this.score = score;
    }

    /** Fixes the selected doubt, or the selected line's start, where it is. */
    void pinSelected(DoubtQueue.Doubtful doubtful) {
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

    void pin(Match.Placed p, boolean end, Time<Axis.Take> time, String verb) {
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
    void nudge(boolean end, int frames) {
        chosen(end).ifPresent(p -> nudge(p, end, Length.ofSeconds(frames / frameRate(p))));
    }

    void nudge(boolean end, Length by) {
        chosen(end).ifPresent(p -> nudge(p, end, by));
    }

    private void nudge(Match.Placed p, boolean end, Length by) {
        pin(p, end, now(p, end).plus(by), "move");
    }

    private double frameRate(Match.Placed p) {
        var video = session.media().readings().get(p.take()).info().video();
        return video == null || video.framesPerSecond() <= 0 ? USUAL_FRAME_RATE : video.framesPerSecond();
    }

    /** The segment the selected line begins or ends with. */
    private Optional<Match.Placed> chosen(boolean end) {
        ScoreLine line = score.selected();
        if (line == null || line.isMissing() || line.isUnplanned()) {
            return Optional.empty();
        }
        List<Match.Placed> found =
                line.placed().stream().filter(Match.Placed::matched).toList();
        return Optional.of(end ? found.get(found.size() - 1) : found.get(0));
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

    /** Takes the next of several times the selected segment was done. */
    void useOther() {
        ScoreLine line = score.selected();
        if (line == null || line.isUnplanned()) {
            return;
        }
        MatchNotes notes = session.workout().matching();
        boolean any = false;
        for (Match.Placed p : line.placed()) {
            Optional<String> next = nextTake(p);
            any |= next.isPresent();
            notes = next.isPresent() ? notes.withChoice(p.id(), next.get()) : notes;
        }
        if (any) {
            session.apply(
                    DesktopText.of("match.match-stage.use-another-take-of", line.title()),
                    session.workout().withMatching(notes));
        } else {
            session.jobs().say(DesktopText.of("match.match-stage.is-in-no-other-take", line.title()));
        }
    }

    /** The take behind the one that is used among those the segment was done in again, after the last the first. */
    private static Optional<String> nextTake(Match.Placed p) {
        List<String> retakes = p.others().stream()
                .filter(o -> o.kind().equals("retake"))
                .map(Match.Other::take)
                .distinct()
                .sorted()
                .toList();
        Optional<String> behind = retakes.stream()
                .filter(t -> p.take() == null || t.compareTo(p.take()) > 0)
                .findFirst();
        return behind.or(() -> retakes.stream().findFirst());
    }
}
