package app.nosegay.dress;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Cut;
import app.nosegay.match.Match;
import app.nosegay.plan.Attribute;
import app.nosegay.plan.BlockKind;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.SegmentKind;
import app.nosegay.plan.Side;
import app.nosegay.plan.SideWay;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.Wordings;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Decides from match and cue plan what is on screen when. Timers follow the recording, never the plan. */
public final class Dresser {
    /** Reading speed of on-screen text for people who are moving: slower than captions. */
    private static final double CHARACTERS_PER_SECOND = 12;

    private static final Length LOOK_UP = Length.ofMillis(1500);
    private static final Length TITLE_STAYS = Length.ofSeconds(5);
    private static final Length BETWEEN_CARDS = Length.ofMillis(400);

    private final Timeline timeline;
    private final Match match;
    private final Cut cut;
    private final CuePlan cues;
    private final Wordings wordings;
    private final MoveLibrary library;
    private final List<String> moves;
    private final List<Piece> pieces = new ArrayList<>();

    private Dresser(Timeline timeline, Match match, Cut cut, CuePlan cues, MoveLibrary library) {
        this.timeline = timeline;
        this.match = match;
        this.cut = cut;
        this.cues = cues;
        this.library = library;
        this.wordings = new Wordings(library);
        this.moves = timeline.workMoves(true);
    }

    public static Dressing dress(Timeline timeline, Match match, Cut cut, CuePlan cues, MoveLibrary library) {
        Dresser dresser = new Dresser(timeline, match, cut, cues, library);
        dresser.title();
        List<Interval> intervals = timeline.intervals();
        for (int i = 0; i < intervals.size(); i++) {
            dresser.interval(intervals.get(i), i + 1 < intervals.size() ? intervals.get(i + 1) : null);
        }
        return new Dressing(dresser.pieces);
    }

    /** Where a segment is in the programme; empty when it is missing or cut away. */
    private Optional<Span<Axis.Cut>> shown(Segment segment) {
        return match.segment(segment.id()).filter(Match.Placed::matched).flatMap(p -> {
            Optional<Time<Axis.Cut>> start = cut.toCut(p.take(), p.start());
            Optional<Time<Axis.Cut>> end = cut.toCut(p.take(), p.end());
            return start.isPresent() && end.isPresent() && end.get().isAfter(start.get())
                    ? Optional.of(new Span<>(start.get(), end.get()))
                    : Optional.empty();
        });
    }

    private void title() {
        String title = timeline.sheet().header().title();
        Segment first =
                timeline.segments().isEmpty() ? null : timeline.segments().get(0);
        if (first == null || first.kind() != SegmentKind.TALK || title.isEmpty()) {
            return;
        }
        shown(first).ifPresent(span -> {
            Time<Axis.Cut> until = Time.min(span.end(), span.start().plus(TITLE_STAYS));
            String line = moves.size() + (moves.size() == 1 ? " move · " : " moves · ")
                    + Math.round(timeline.total().seconds() / 60) + " min";
            add(new Span<>(span.start(), until), new Face.Card(Face.CardKind.TITLE, title, line));
            boolean screened = cues.of(first.id()).stream().anyMatch(l -> l.kind() == CueKind.CAUTION);
            String caution = screened
                    ? cues.of(first.id()).stream()
                            .filter(l -> l.kind() == CueKind.CAUTION)
                            .findFirst()
                            .orElseThrow()
                            .text()
                    : CuePlanner.SCREENING;
            Time<Axis.Cut> from = until.plus(BETWEEN_CARDS);
            Time<Axis.Cut> to = Time.min(span.end(), from.plus(reading(caution)));
            if (to.isAfter(from.plus(LOOK_UP))) {
                add(new Span<>(from, to), new Face.Card(Face.CardKind.CAUTION, "Before you start", caution));
            }
        });
    }

    private void interval(Interval interval, Interval next) {
        Optional<Span<Axis.Cut>> first = shown(interval.first());
        Optional<Span<Axis.Cut>> last = shown(interval.last());
        if (first.isEmpty() || last.isEmpty() || interval.kind() == SegmentKind.TALK) {
            return;
        }
        Span<Axis.Cut> span = new Span<>(first.get().start(), last.get().end());
        boolean up = timeline.sheet().header().countUp();
        switch (interval.kind()) {
            case WORK, WARMUP, COOLDOWN -> {
                pieces.add(new Piece.Timer(span, phase(interval.kind()), up));
                add(span, namePlate(interval.first()));
                interval.segments().forEach(this::moving);
            }
            default -> {
                if (interval.kind() == SegmentKind.REST) {
                    pieces.add(new Piece.Timer(span, Face.Phase.REST, up));
                }
                if (next != null && next.kind().isMoving()) {
                    nextUp(span, next);
                }
            }
        }
    }

    private static Face.Phase phase(SegmentKind kind) {
        return kind == SegmentKind.WARMUP
                ? Face.Phase.WARM_UP
                : kind == SegmentKind.COOLDOWN ? Face.Phase.COOL_DOWN : Face.Phase.WORK;
    }

    private Face namePlate(Segment s) {
        int move = s.kind() == SegmentKind.WORK ? moves.indexOf(s.move()) + 1 : 0;
        boolean sets = s.set() != null;
        int round = sets ? s.set() : s.round() == null ? 0 : s.round();
        int rounds = (int) timeline.segments().stream()
                .filter(o -> o.block().slug().equals(s.block().slug()))
                .mapToInt(o -> sets ? (o.set() == null ? 0 : o.set()) : (o.round() == null ? 0 : o.round()))
                .max()
                .orElse(0);
        String word = sets ? "Set" : s.block().kind() == BlockKind.EVERY_MINUTE ? "Minute" : "Round";
        boolean shown = rounds > 1;
        return new Face.NamePlate(
                Wordings.capital(s.move()),
                move,
                move == 0 ? 0 : moves.size(),
                word,
                shown ? round : 0,
                shown ? rounds : 0);
    }

    private void moving(Segment s) {
        Optional<Span<Axis.Cut>> span = shown(s);
        if (span.isEmpty()) {
            return;
        }
        if (s.kind() == SegmentKind.SWITCH) {
            int k = timeline.segments().indexOf(s);
            Side to = timeline.segments().get(k + 1).side();
            add(span.get(), new Face.Card(Face.CardKind.SWITCH, "Switch", Wordings.capital(spoken(to)) + " side"));
            return;
        }
        if (s.side() == Side.LEFT || s.side() == Side.RIGHT) {
            boolean free = timeline.sheet().header().start() == Attribute.StartSide.FREE;
            if (!free) {
                add(span.get(), new Face.SideBadge(Wordings.capital(spoken(s.side())), s.side() == Side.RIGHT));
            }
        }
        if (s.kind() == SegmentKind.WORK) {
            repCounter(s, span.get());
            cards(s, span.get());
        }
    }

    private String spoken(Side side) {
        return side.spoken(timeline.sheet().header().mirrored());
    }

    private void repCounter(Segment s, Span<Axis.Cut> span) {
        List<Time<Axis.Take>> reps = match.reps().getOrDefault(s.id(), List.of());
        String take = match.segment(s.id()).orElseThrow().take();
        List<Time<Axis.Cut>> completed =
                reps.stream().flatMap(t -> cut.toCut(take, t).stream()).toList();
        boolean counted = s.reps() != null || !completed.isEmpty();
        if (counted) {
            pieces.add(new Piece.RepCounter(span, completed, s.reps() == null ? 0 : s.reps()));
        }
    }

    /** The first option and one form cue, each when its line is said, one after the other. */
    private void cards(Segment s, Span<Axis.Cut> span) {
        Time<Axis.Cut> free = span.start();
        Optional<ScriptLine> form = line(s, CueKind.FORM);
        Optional<ScriptLine> option = line(s, CueKind.EASIER);
        boolean again = (s.round() != null && s.round() > 1) || (s.set() != null && s.set() > 1);
        String formText = form.map(ScriptLine::text)
                .or(() -> again ? Optional.empty() : wordings.first(s, CueKind.FORM))
                .orElse(null);
        if (formText != null) {
            free = card(s, span, free, form.orElse(null), new Face.Card(Face.CardKind.FORM, "Form", formText));
        }
        String easier = wordings.first(s, CueKind.EASIER).orElse(null);
        if (easier != null) {
            card(s, span, free, option.orElse(null), new Face.Card(Face.CardKind.OPTION, "Easier", easier));
        }
    }

    private Time<Axis.Cut> card(Segment s, Span<Axis.Cut> span, Time<Axis.Cut> free, ScriptLine said, Face.Card card) {
        Time<Axis.Cut> wanted =
                said == null ? free : span.start().plus(said.start().since(s.start()));
        Time<Axis.Cut> from = Time.max(free, wanted);
        Time<Axis.Cut> to = from.plus(reading(card.text()));
        if (to.isAfter(span.end())) {
            return free;
        }
        add(new Span<>(from, to), card);
        return to.plus(BETWEEN_CARDS);
    }

    private Optional<ScriptLine> line(Segment s, CueKind kind) {
        return cues.of(s.id()).stream().filter(l -> l.kind() == kind).findFirst();
    }

    private static Length reading(String text) {
        return LOOK_UP.plus(Length.ofSeconds(text.length() / CHARACTERS_PER_SECOND));
    }

    private void nextUp(Span<Axis.Cut> span, Interval next) {
        Segment s = next.first();
        List<String> gear = library.find(s.move()).map(m -> m.gear()).orElse(List.of());
        boolean bothFollow = s.way() == SideWay.HALVES || s.way() == SideWay.SEPARATE;
        String side = s.side() == Side.BOTH || s.side() == null
                ? ""
                : Wordings.capital(spoken(s.side())) + (bothFollow ? " side first" : " side");
        String with = gear.isEmpty() ? "" : "With " + String.join(" and ", gear);
        String detail = side.isEmpty() ? with : with.isEmpty() ? side : side + " · " + with;
        add(span, new Face.Card(Face.CardKind.NEXT, "Next: " + s.move(), detail));
        int count = timeline.sheet().header().calls().countIn();
        boolean visible = shown(s).filter(n -> n.start().equals(span.end())).isPresent();
        if (count > 0 && visible && span.length().compareTo(Length.ofSeconds(count)) >= 0) {
            pieces.add(new Piece.GetReady(new Span<>(span.end().minus(Length.ofSeconds(count)), span.end())));
        }
    }

    private void add(Span<Axis.Cut> span, Face face) {
        if (span.length().isPositive()) {
            pieces.add(new Piece.Still(span, face));
        }
    }
}
