package app.nosegay.dress;

import app.nosegay.cut.Cut;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.evidence.sight.OccupancyMap;
import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.Level;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.review.Misstatement;
import app.nosegay.review.ScriptLineMatch;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.Wordings;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Decides from match and cue plan what is on screen when. Timers follow the recording, never the plan. */
public final class Dresser {
    /** Reading speed of on-screen text for people who are moving: slower than captions. */
    private static final double CHARACTERS_PER_SECOND = 12;

    private static final Length LOOK_UP = Length.ofMillis(1500);
    private static final Length TITLE_STAYS = Length.ofSeconds(5);
    /** The end card leaves the upper part free for what the host puts there. */
    private static final Length END_STAYS = Length.ofSeconds(8);

    private static final Length SECTION_STAYS = Length.ofMillis(2500);
    private static final Length LEVELS_STAY = Length.ofSeconds(5);
    /** In a short interval level badges leave room for the cards. */
    private static final double LEVELS_SHARE = 0.3;

    /** An option nobody says is shown in the first third. */
    private static final double FIRST_THIRD = 1 / 3.0;

    private static final Length BETWEEN_CARDS = Length.ofMillis(400);

    private final Timeline timeline;
    private final Match match;
    private final Cut cut;
    private final CuePlan cues;
    private final Wordings wordings;
    private final MoveLibrary library;
    private final DressNotes notes;
    private final Frame frame;
    private final RecordedEvidence recorded;
    private final Map<ScriptLine, ScriptLineMatch> said = new HashMap<>();
    private final Map<String, TakeEvidence> takes = new HashMap<>();
    private final List<String> moves;
    private final List<Piece> pieces = new ArrayList<>();
    /** From when on the running interval has room for cards: after its section card and its level badges. */
    private Time<Axis.Cut> cardsFrom = Time.zero();

    private Dresser(
            Timeline timeline,
            Match match,
            Cut cut,
            CuePlan cues,
            RecordedEvidence recorded,
            MoveLibrary library,
            DressNotes notes,
            Frame frame) {
        this.timeline = timeline;
        this.frame = frame;
        this.match = match;
        this.cut = cut;
        this.cues = cues;
        this.library = library;
        this.notes = notes;
        this.wordings = new Wordings(library);
        this.moves = timeline.workMoves(true);
        recorded.said().stream().filter(ScriptLineMatch::isSaid).forEach(s -> said.put(s.line(), s));
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
            Timeline timeline,
            Match match,
            Cut cut,
            CuePlan cues,
            RecordedEvidence recorded,
            MoveLibrary library,
            DressNotes notes,
            Frame frame) {
        Dresser dresser = new Dresser(timeline, match, cut, cues, recorded, library, notes, frame);
        dresser.title();
        List<Interval> intervals = dresser.inShownOrder();
        List<Layout.Stretch> stretches = new ArrayList<>();
        for (int i = 0; i < intervals.size(); i++) {
            int before = dresser.pieces.size();
            Interval next = i + 1 < intervals.size() ? intervals.get(i + 1) : null;
            dresser.interval(intervals.get(i), next);
            List<Piece> own = dresser.pieces.subList(before, dresser.pieces.size());
            dresser.stretch(intervals.get(i), own).ifPresent(stretches::add);
        }
        dresser.corrections();
        dresser.progress();
        return new Dressing(dresser.pieces, Layout.of(stretches, frame, notes), notes);
    }

    /**
     * The intervals as they come in the programme: moves done in each other's place stay there; one that is missing keeps its place in
     * the plan.
     */
    private List<Interval> inShownOrder() {
        List<Interval> order = new ArrayList<>();
        for (Interval interval : timeline.intervals()) {
            Optional<Time<Axis.Cut>> start = shown(interval.first()).map(Span::start);
            int at = order.size();
            while (start.isPresent()
                    && at > 0
                    && shown(order.get(at - 1).first())
                            .filter(s -> s.start().isAfter(start.get()))
                            .isPresent()) {
                at--;
            }
            order.add(at, interval);
        }
        return order;
    }

    /** What the layout has to know of an interval. */
    private Optional<Layout.Stretch> stretch(Interval interval, List<Piece> own) {
        Optional<Span<Axis.Cut>> first = shown(interval.first());
        Optional<Span<Axis.Cut>> last = shown(interval.last());
        if (first.isEmpty() || last.isEmpty()) {
            return Optional.empty();
        }
        Set<Layout.Group> used = EnumSet.noneOf(Layout.Group.class);
        List<Box> blocked = new ArrayList<>();
        boolean countIn = false;
        for (Piece piece : own) {
            Face face = piece.at(piece.span().start());
            if (face instanceof Face.LevelBadge badge) {
                Box room = Layout.room(frame, notes.shows(DressNotes.Extra.PROGRESS));
                blocked.add(Dressing.level(
                        badge.place().ordinal(), frame, room, notes.style().scale()));
            } else {
                used.add(Dressing.group(face));
            }
            countIn |= face instanceof Face.GetReady;
        }
        Match.Placed placed = match.segment(interval.first().id()).orElseThrow();
        Match.Placed end = match.segment(interval.last().id()).orElseThrow();
        TakeEvidence take = takes.get(placed.take());
        OccupancyMap whole = take == null
                ? OccupancyMap.none()
                : OccupancyMap.of(take, new Span<>(placed.start(), Time.max(placed.end(), end.end())));
        OccupancyMap occupancy =
                frame.focus() == null ? whole : whole.cropped(frame.keeping(whole.extent(frame.focus())));
        return Optional.of(new Layout.Stretch(
                interval.id(),
                interval.first().block().slug(),
                new Span<>(first.get().start(), last.get().end()),
                used,
                countIn,
                blocked,
                occupancy));
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
            Optional<Span<Axis.Cut>> at = shown(s);
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
    private void corrections() {
        if (!notes.shows(DressNotes.Extra.CORRECTIONS)) {
            return;
        }
        for (Misstatement misstatement : recorded.misstatements()) {
            String text = Wordings.capital(misstatement.show());
            if (!text.isEmpty()) {
                cut.toCut(misstatement.take(), misstatement.span().start())
                        .ifPresent(at -> add(
                                new Span<>(at, at.plus(reading(text))),
                                new Face.Card(
                                        Face.CardKind.CORRECTION, CoreText.of("dress.dresser.correction"), text)));
            }
        }
    }

    /** Where a segment is in the programme; empty when it is missing or cut away. */
    private Optional<Span<Axis.Cut>> shown(Segment segment) {
        return match.segment(segment.id()).flatMap(cut::shown);
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
            String line = CoreText.of(
                    "dress.dresser.move-min",
                    moves.size(),
                    Math.round(timeline.total().seconds() / 60));
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
                add(
                        new Span<>(from, to),
                        new Face.Card(Face.CardKind.CAUTION, CoreText.of("dress.dresser.before-you-start"), caution));
            }
        });
    }

    private void interval(Interval interval, Interval next) {
        Optional<Span<Axis.Cut>> first = shown(interval.first());
        Optional<Span<Axis.Cut>> last = shown(interval.last());
        if (first.isPresent() && interval.kind() == SegmentKind.TALK && next == null) {
            end(first.get());
        }
        if (first.isEmpty() || last.isEmpty() || interval.kind() == SegmentKind.TALK) {
            return;
        }
        Span<Axis.Cut> span = new Span<>(first.get().start(), last.get().end());
        boolean up = timeline.sheet().header().countUp();
        switch (interval.kind()) {
            case WORK, WARMUP, COOLDOWN -> {
                pieces.add(new Piece.Timer(span, phase(interval.kind()), up));
                add(span, namePlate(interval.first()));
                cardsFrom = levels(interval, section(interval.first(), span), span);
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

    /** The last words: the title once more, the upper part free for the host. */
    private void end(Span<Axis.Cut> span) {
        String title = timeline.sheet().header().title();
        Time<Axis.Cut> from = Time.max(span.start(), span.end().minus(END_STAYS));
        if (!title.isEmpty() && span.end().since(from).compareTo(LOOK_UP) > 0) {
            add(
                    new Span<>(from, span.end()),
                    new Face.Card(Face.CardKind.END, title, CoreText.of("dress.dresser.thank-you-for-training-along")));
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
        for (Level level : levels) {
            String does = interval.first().line() == null
                    ? ""
                    : interval.first().line().levels().stream()
                            .filter(l -> l.level().equalsIgnoreCase(level.name()))
                            .map(l -> l.move() == null ? "" : l.move())
                            .findFirst()
                            .orElse("");
            add(new Span<>(from, until), new Face.LevelBadge(level.name(), level.place(), level.grade(), does));
        }
        return until.plus(BETWEEN_CARDS);
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
        int rounds = timeline.segments().stream()
                .filter(o -> o.block().slug().equals(s.block().slug()))
                .mapToInt(o -> sets ? (o.set() == null ? 0 : o.set()) : (o.round() == null ? 0 : o.round()))
                .max()
                .orElse(0);
        String word = sets
                ? CoreText.of("dress.dresser.set")
                : s.block().kind() == BlockKind.EVERY_MINUTE
                        ? CoreText.of("dress.dresser.minute")
                        : CoreText.of("dress.dresser.round");
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
            String side = isViewersChoice()
                    ? CoreText.of("dress.dresser.other-side")
                    : CoreText.of("dress.dresser.side", Wordings.capital(spoken(to)));
            add(span.get(), new Face.Card(Face.CardKind.SWITCH, CoreText.of("dress.dresser.switch"), side));
            return;
        }
        if ((s.side() == Side.LEFT || s.side() == Side.RIGHT) && !isViewersChoice()) {
            add(span.get(), new Face.SideBadge(Wordings.capital(spoken(s.side())), s.side() == Side.RIGHT));
        }
        if (s.kind() == SegmentKind.WORK) {
            repCounter(s, span.get());
            cards(s, span.get());
        }
    }

    /** Whether viewers choose the side they start on: then no side is named. */
    private boolean isViewersChoice() {
        return timeline.sheet().header().start() == Attribute.StartSide.FREE;
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
        if (counted && notes.shows(DressNotes.Extra.REP_COUNTERS)) {
            pieces.add(new Piece.RepCounter(span, completed, s.reps() == null ? 0 : s.reps()));
        }
        boolean guided = s.reps() != null && s.tempo() != null && completed.size() > 1;
        if (guided && notes.shows(DressNotes.Extra.TEMPO)) {
            boolean down = library.find(s.move()).map(Move::startsDown).orElse(true);
            pieces.add(new Piece.TempoGuide(span, completed, s.tempo(), down));
        }
    }

    /** The section, the first option and one form cue, each when its line is said, one after the other. */
    private void cards(Segment s, Span<Axis.Cut> span) {
        Time<Axis.Cut> free = Time.max(span.start(), cardsFrom);
        Optional<ScriptLine> form = line(s, CueKind.FORM);
        Optional<ScriptLine> option = line(s, CueKind.EASIER);
        boolean again = (s.round() != null && s.round() > 1) || (s.set() != null && s.set() > 1);
        String formText = form.map(ScriptLine::text)
                .or(() -> again ? Optional.empty() : wordings.first(s, CueKind.FORM))
                .orElse(null);
        if (formText != null && notes.shows(DressNotes.Extra.FORM_CUES)) {
            free = card(
                    s,
                    span,
                    free,
                    form.orElse(null),
                    new Face.Card(Face.CardKind.FORM, CoreText.of("dress.dresser.form"), formText));
        }
        String easier = wordings.first(s, CueKind.EASIER).orElse(null);
        if (easier != null && notes.shows(DressNotes.Extra.OPTIONS)) {
            card(
                    s,
                    span,
                    free,
                    option.orElse(null),
                    new Face.Card(Face.CardKind.OPTION, CoreText.of("dress.dresser.easier"), easier));
        }
    }

    /** Where a block of several moves begins, its name. */
    private Time<Axis.Cut> section(Segment s, Span<Axis.Cut> span) {
        boolean begins = timeline.segments().stream()
                .filter(o -> o.kind() == SegmentKind.WORK
                        && o.block().slug().equals(s.block().slug()))
                .findFirst()
                .filter(o -> o == s)
                .isPresent();
        String name = Wordings.capital(s.block().name());
        boolean recorded = !begins || name.isEmpty() || span.length().compareTo(SECTION_STAYS.times(3)) < 0;
        if (recorded || !notes.shows(DressNotes.Extra.SECTIONS)) {
            return span.start();
        }
        Time<Axis.Cut> until = span.start().plus(SECTION_STAYS);
        add(new Span<>(span.start(), until), new Face.Card(Face.CardKind.SECTION, name, ""));
        return until.plus(BETWEEN_CARDS);
    }

    /** Shows a card when its line was said; where nobody said it, at its planned place, an option in the first third at the latest. */
    private Time<Axis.Cut> card(Segment s, Span<Axis.Cut> span, Time<Axis.Cut> free, ScriptLine line, Face.Card card) {
        Time<Axis.Cut> wanted =
                line == null ? free : span.start().plus(line.start().since(s.start()));
        ScriptLineMatch heard = line == null ? null : said.get(line);
        if (heard != null) {
            wanted =
                    cut.toCut(heard.take(), heard.time()).filter(span::contains).orElse(wanted);
        } else if (card.kind() == Face.CardKind.OPTION) {
            wanted = Time.min(wanted, span.start().plus(span.length().times(FIRST_THIRD)));
        }
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
        String side = s.side() == Side.BOTH || s.side() == null || isViewersChoice()
                ? ""
                : Wordings.capital(spoken(s.side()))
                        + (bothFollow ? CoreText.of("dress.dresser.side-first") : CoreText.of("dress.dresser.side-2"));
        String with = gear.isEmpty()
                ? ""
                : CoreText.of("dress.dresser.with", String.join(CoreText.of("dress.dresser.and"), gear));
        String detail = side.isEmpty() ? with : with.isEmpty() ? side : side + " · " + with;
        add(
                span,
                new Face.Card(
                        Face.CardKind.NEXT,
                        CoreText.of("dress.dresser.next", s.move()),
                        detail,
                        library.find(s.move()).map(Move::motion).orElse(null)));
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
