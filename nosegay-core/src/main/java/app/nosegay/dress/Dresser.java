package app.nosegay.dress;

import app.nosegay.cut.Cut;
import app.nosegay.cut.Edit;
import app.nosegay.cut.SecondCamera;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.evidence.sight.OccupancyMap;
import app.nosegay.evidence.sight.Presenters;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.Level;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.review.Misstatement;
import app.nosegay.review.said.ScriptLineMatch;
import app.nosegay.script.CuePlan;
import app.nosegay.script.Phrases;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.Wordings;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Decides from match and cue plan what is on screen when. Timers follow the recording, never the plan. */
public final class Dresser {
    private static final Length LEVELS_STAY = Length.ofSeconds(5);
    /** In a short interval level badges leave room for the cards. */
    private static final double LEVELS_SHARE = 0.3;

    private final Timeline timeline;
    private final Match match;
    private final Cut cut;
    private final DressNotes notes;
    private final Frame frame;
    private final RecordedEvidence recorded;
    private final Map<String, TakeEvidence> takes = new HashMap<>();
    private final List<Piece> pieces = new ArrayList<>();
    private final DressSource source;
    private final CardDresser cards;
    private final CounterDresser counters;
    /** From when on the running interval has room for cards: after its section card and its level badges. */
    private Time<Axis.Cut> cardsFrom = Time.zero();

    private Dresser(
            Edit edit, CuePlan cues, RecordedEvidence recorded, MoveLibrary library, DressNotes notes, Frame frame) {
        timeline = edit.timeline();
        match = edit.match();
        cut = edit.cut();
        this.frame = frame;
        this.notes = notes;
        Map<ScriptLine, ScriptLineMatch> said = new HashMap<>();
        recorded.said().stream().filter(ScriptLineMatch::isSaid).forEach(s -> said.put(s.line(), s));
        source = new DressSource(timeline, match, cut, cues, said, library, notes, timeline.workMoves(true));
        cards = new CardDresser(source, pieces);
        counters = new CounterDresser(source, pieces);
        this.recorded = recorded;
        recorded.takes().forEach(t -> takes.put(t.id(), t));
    }

    /** What was heard and seen in the takes; all of it may be empty. */
    public record RecordedEvidence(
            List<ScriptLineMatch> said, List<Misstatement> misstatements, List<TakeEvidence> takes) {
        public static final RecordedEvidence NOTHING = new RecordedEvidence(List.of(), List.of(), List.of());
    }

    /**
     * The dressing of a programme.
     *
     * @param frame the shape of the finished picture
     */
    public static Dressing dress(
            Edit edit, CuePlan cues, RecordedEvidence recorded, MoveLibrary library, DressNotes notes, Frame frame) {
        Dresser dresser = new Dresser(edit, cues, recorded, library, notes, frame);
        dresser.cards.title();
        List<Piece> corrections = dresser.corrections();
        List<Interval> intervals = dresser.inShownOrder();
        List<Layout.Stretch> stretches = new ArrayList<>();
        for (int i = 0; i < intervals.size(); i++) {
            int before = dresser.pieces.size();
            Interval next = i + 1 < intervals.size() ? intervals.get(i + 1) : null;
            dresser.interval(intervals.get(i), next);
            // What stands over the opening came before it.
            dresser.timed(intervals.get(i), dresser.pieces.subList(i == 0 ? 0 : before, dresser.pieces.size()));
            List<Piece> own = new ArrayList<>(dresser.pieces.subList(before, dresser.pieces.size()));
            dresser.stretch(intervals.get(i), own, corrections).ifPresent(stretches::add);
        }
        dresser.pieces.addAll(corrections);
        dresser.progress();
        return new Dressing(dresser.pieces, Layout.of(stretches, frame, notes), notes);
    }

    /** Puts the cards of an interval where they are wanted. */
    private void timed(Interval interval, List<Piece> own) {
        Optional<Span<Axis.Cut>> first = source.shown(interval.first());
        Optional<Span<Axis.Cut>> last = source.shown(interval.last());
        if (!notes.timings().isEmpty() && first.isPresent() && last.isPresent()) {
            Span<Axis.Cut> span = new Span<>(first.get().start(), last.get().end());
            List<Piece> timed = CardDresser.timed(own, interval.id(), span, notes.timings());
            for (int i = 0; i < timed.size(); i++) {
                own.set(i, timed.get(i));
            }
        }
    }

    /**
     * The intervals as they come in the programme: moves done in each other's place stay there; one that is missing keeps its place in
     * the plan.
     */
    private List<Interval> inShownOrder() {
        List<Interval> order = new ArrayList<>();
        for (Interval interval : timeline.intervals()) {
            Optional<Time<Axis.Cut>> start = source.shown(interval.first()).map(Span::start);
            int at = order.size();
            while (start.isPresent()
                    && at > 0
                    && source.shown(order.get(at - 1).first())
                            .filter(s -> s.start().isAfter(start.get()))
                            .isPresent()) {
                at--;
            }
            order.add(at, interval);
        }
        return order;
    }

    /** What the layout has to know of an interval. */
    private Optional<Layout.Stretch> stretch(Interval interval, List<Piece> own, List<Piece> corrections) {
        Optional<Span<Axis.Cut>> first = source.shown(interval.first());
        Optional<Span<Axis.Cut>> last = source.shown(interval.last());
        if (first.isEmpty() || last.isEmpty()) {
            return Optional.empty();
        }
        Set<Layout.Group> used = EnumSet.noneOf(Layout.Group.class);
        Match.Placed placed = match.segment(interval.first().id()).orElseThrow();
        Match.Placed end = match.segment(interval.last().id()).orElseThrow();
        Optional<SecondCamera> camera = cut.clipAt(first.get().start()).map(Cut.Clip::camera);
        TakeEvidence take = takes.get(camera.map(SecondCamera::take).orElse(placed.take()));
        Span<Axis.Take> filmed = new Span<>(placed.start(), Time.max(placed.end(), end.end()));
        OccupancyMap whole = take == null
                ? OccupancyMap.none()
                : OccupancyMap.of(take, camera.map(c -> c.at(filmed)).orElse(filmed));
        OccupancyMap occupancy =
                frame.focus() == null ? whole : whole.cropped(frame.keeping(whole.extent(frame.focus())));
        Span<Axis.Cut> span = new Span<>(first.get().start(), last.get().end());
        Layout.Needs needs = Layout.Needs.LEAST;
        List<Face.LevelBadge> badges = new ArrayList<>();
        List<Piece> shown = new ArrayList<>(own);
        corrections.stream().filter(c -> span.contains(c.span().start())).forEach(shown::add);
        for (Piece piece : shown) {
            Face face = piece.at(piece.span().start());
            if (face instanceof Face.LevelBadge badge) {
                badges.add(badge);
            } else {
                used.add(Dressing.group(face));
            }
            needs = needs.with(face);
        }
        return Optional.of(new Layout.Stretch(
                interval.id(), interval.first().block().slug(), span, used, needs, badges, occupancy));
    }

    /** The strip that shows how far the workout is, with a mark where each block begins. */
    private void progress() {
        Length total = cut.total();
        if (!notes.shows(DressNotes.Extra.PROGRESS) || !total.isPositive()) {
            return;
        }
        List<Integer> marks = new ArrayList<>();
        String block = "";
        for (Segment s : timeline.segments()) {
            Optional<Span<Axis.Cut>> at = source.shown(s);
            if (at.isPresent() && !s.block().slug().equals(block)) {
                block = s.block().slug();
                marks.add((int) Math.round(
                        Piece.Progress.steps(total) * at.get().start().seconds() / total.seconds()));
            }
        }
        pieces.add(
                new Piece.Progress(new Span<>(Time.zero(), Time.<Axis.Cut>zero().plus(total)), marks));
    }

    /** Where something was said wrong, the right figure, side or name is shown with it. */
    private List<Piece> corrections() {
        List<Piece> corrections = new ArrayList<>();
        if (!notes.shows(DressNotes.Extra.CORRECTIONS)) {
            return corrections;
        }
        for (Misstatement misstatement : recorded.misstatements()) {
            String text = Wordings.capital(misstatement.show());
            if (!text.isEmpty()) {
                cut.toCut(misstatement.take(), misstatement.span().start())
                        .ifPresent(at -> corrections.add(new Piece.Still(
                                new Span<>(at, at.plus(CardDresser.reading(text))),
                                new Face.Card(
                                        Face.CardKind.CORRECTION, CoreText.of("dress.dresser.correction"), text))));
            }
        }
        return corrections;
    }

    private void interval(Interval interval, Interval next) {
        Optional<Span<Axis.Cut>> first = source.shown(interval.first());
        Optional<Span<Axis.Cut>> last = source.shown(interval.last());
        if (first.isPresent() && interval.kind() == SegmentKind.TALK && next == null) {
            cards.end(first.get());
        }
        if (first.isEmpty() || last.isEmpty() || interval.kind() == SegmentKind.TALK) {
            return;
        }
        Span<Axis.Cut> span = new Span<>(first.get().start(), last.get().end());
        boolean up = timeline.sheet().header().countUp();
        switch (interval.kind()) {
            case WORK, WARMUP, COOLDOWN -> {
                pieces.add(new Piece.Timer(span, phase(interval.kind()), up));
                add(span, counters.namePlate(interval.first()));
                cardsFrom = levels(interval, cards.section(interval.first(), span), span);
                interval.segments().forEach(this::moving);
            }
            default -> {
                if (interval.kind() == SegmentKind.REST) {
                    pieces.add(new Piece.Timer(span, Face.Phase.REST, up));
                }
                if (next != null && next.kind().isMoving()) {
                    cards.nextUp(span, next);
                }
            }
        }
    }

    /**
     * Who shows which level (in a cropped picture the others are not seen), at the start of every move, with what that level does
     * differently; gives when the badges are gone.
     */
    private Time<Axis.Cut> levels(Interval interval, Time<Axis.Cut> from, Span<Axis.Cut> span) {
        List<Level> levels = timeline.sheet().header().levels();
        boolean cropped = frame.focus() != null;
        if (cropped
                || !notes.shows(DressNotes.Extra.LEVELS)
                || levels.size() < 2
                || interval.kind() != SegmentKind.WORK) {
            return from;
        }
        Length stay = span.length().times(LEVELS_SHARE);
        Time<Axis.Cut> until = from.plus(stay.compareTo(LEVELS_STAY) < 0 ? stay : LEVELS_STAY);
        List<Double> stands = standing(interval, levels.size());
        List<Level> fromLeft =
                levels.stream().sorted(Comparator.comparing(Level::place)).toList();
        for (Level level : levels) {
            Segment first = interval.first();
            String does = first.line() == null
                    ? ""
                    : first.line().levels().stream()
                            .filter(l -> l.level().equalsIgnoreCase(level.name()))
                            .map(l -> Phrases.difference(l, first.line(), first.block(), false))
                            .findFirst()
                            .orElse("");
            Span<Axis.Cut> shown = new Span<>(from, until);
            add(
                    shown,
                    stands.isEmpty()
                            ? new Face.LevelBadge(level.name(), level.place(), level.grade(), does)
                            : new Face.LevelBadge(
                                    level.name(), stands.get(fromLeft.indexOf(level)), level.grade(), does));
        }
        return until.plus(CardDresser.BETWEEN_CARDS);
    }

    /** Where those who show the levels stand in an interval, from left to right; empty where that cannot be told of each. */
    private List<Double> standing(Interval interval, int count) {
        Match.Placed placed = match.segment(interval.first().id()).orElseThrow();
        Span<Axis.Take> filmed = new Span<>(placed.start(), placed.end());
        Optional<SecondCamera> camera = source.shown(interval.first())
                .flatMap(s -> cut.clipAt(s.start()))
                .map(Cut.Clip::camera);
        TakeEvidence take = takes.get(camera.map(SecondCamera::take).orElse(placed.take()));
        return take == null
                ? List.of()
                : Presenters.across(take, camera.map(c -> c.at(filmed)).orElse(filmed), count);
    }

    private static Face.Phase phase(SegmentKind kind) {
        return kind == SegmentKind.WARMUP
                ? Face.Phase.WARM_UP
                : kind == SegmentKind.COOLDOWN ? Face.Phase.COOL_DOWN : Face.Phase.WORK;
    }

    private void moving(Segment s) {
        Optional<Span<Axis.Cut>> span = source.shown(s);
        if (span.isEmpty()) {
            return;
        }
        if (s.kind() == SegmentKind.SWITCH) {
            int k = timeline.segments().indexOf(s);
            Side to = timeline.segments().get(k + 1).side();
            String side = source.isViewersChoice()
                    ? CoreText.of("dress.dresser.other-side")
                    : CoreText.of("dress.dresser.side", Wordings.capital(source.spoken(to)));
            add(span.get(), new Face.Card(Face.CardKind.SWITCH, CoreText.of("dress.dresser.switch"), side));
            return;
        }
        if ((s.side() == Side.LEFT || s.side() == Side.RIGHT) && !source.isViewersChoice()) {
            add(span.get(), new Face.SideBadge(Wordings.capital(source.spoken(s.side())), s.side() == Side.RIGHT));
        }
        if (s.kind() == SegmentKind.WORK) {
            counters.repCounter(s, span.get());
            cards.cards(s, span.get(), cardsFrom);
        }
    }

    private void add(Span<Axis.Cut> span, Face face) {
        if (span.length().isPositive()) {
            pieces.add(new Piece.Still(span, face));
        }
    }
}
