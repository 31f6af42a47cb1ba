package app.nosegay.workout;

import app.nosegay.captions.CaptionText;
import app.nosegay.cut.MatchNotes;
import app.nosegay.cut.SecondCamera;
import app.nosegay.evidence.Bodies;
import app.nosegay.match.Match;
import app.nosegay.match.Pin;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Two takes become one: what was decided by hand about the second is found that much later in the whole. */
public final class JoinedTakes {
    private final String first;
    private final String second;
    private final Length offset;

    private JoinedTakes(String first, String second, Length offset) {
        this.first = first;
        this.second = second;
        this.offset = offset;
    }

    /**
     * {@code workout} with {@code whole}, which has the id of the first of the two, in their place.
     *
     * @param second the id of the other one
     * @param offset where it begins in the whole
     * @param match what was matched with the two apart: it tells which of them reps were tapped in
     */
    public static Workout of(Workout workout, Workout.TakeRef whole, String second, Length offset, Match match) {
        JoinedTakes joined = new JoinedTakes(whole.id(), second, offset);
        List<Workout.TakeRef> takes = workout.takes().stream()
                .filter(t -> !t.id().equals(second))
                .map(t -> t.id().equals(whole.id()) ? whole : t)
                .toList();
        List<Pin> pins = workout.pins().stream()
                .map(p -> new Pin(p.segment(), p.end(), joined.take(p.take()), joined.time(p.take(), p.time())))
                .toList();
        return workout.withTakes(takes, pins).withMatching(joined.notes(workout.matching(), match));
    }

    private String take(String id) {
        return id.equals(second) ? first : id;
    }

    private Time<Axis.Take> time(String id, Time<Axis.Take> time) {
        return id.equals(second) ? time.plus(offset) : time;
    }

    private Span<Axis.Take> span(String id, Span<Axis.Take> span) {
        return new Span<>(time(id, span.start()), time(id, span.end()));
    }

    private MatchNotes notes(MatchNotes notes, Match match) {
        Map<String, String> choices = notes.choices().entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, e -> take(e.getValue())));
        List<MatchNotes.CutDecision> cuts = notes.cuts().stream()
                .map(c -> new MatchNotes.CutDecision(take(c.take()), span(c.take(), c.span()), c.cut()))
                .toList();
        List<SecondCamera> cameras = notes.cameras().stream()
                .filter(c -> !c.take().equals(first) && !c.take().equals(second))
                .map(c -> c.of().equals(second)
                        ? new SecondCamera(c.take(), first, c.later().minus(offset), c.length())
                        : c)
                .toList();
        List<MatchNotes.Mute> mutes = notes.mutes().stream()
                .map(m -> new MatchNotes.Mute(take(m.take()), span(m.take(), m.span())))
                .toList();
        Map<String, List<Time<Axis.Take>>> taps = new HashMap<>(notes.taps());
        match.segments().stream()
                .filter(p -> second.equals(p.take()))
                .forEach(p -> taps.computeIfPresent(
                        p.id(),
                        (id, times) -> times.stream().map(t -> t.plus(offset)).toList()));
        List<CaptionText.Repair> repairs = notes.repairs().stream()
                .map(r -> new CaptionText.Repair(
                        take(r.take()), time(r.take(), r.time()), r.from(), r.to(), r.accepted()))
                .toList();
        List<MatchNotes.Nobody> nobody = notes.nobody().stream()
                .map(n -> new MatchNotes.Nobody(
                        take(n.take()),
                        new Bodies.Place(
                                time(n.take(), n.place().at()),
                                n.place().x(),
                                n.place().y())))
                .toList();
        return new MatchNotes(choices, cuts, notes.rule(), notes.rules(), taps, repairs, mutes, cameras, nobody);
    }
}
