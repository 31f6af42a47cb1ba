package app.nosegay.dress;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.review.said.ScriptLineMatch;
import app.nosegay.script.CuePlanner;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.Wordings;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Cards that come and go: title, section, form cue, option, what comes next, the end. */
final class CardDresser {
    /** Cards do not touch in time. */
    static final Length BETWEEN_CARDS = Length.ofMillis(400);

    /** Reading speed of on-screen text for people who are moving: slower than captions. */
    private static final double CHARACTERS_PER_SECOND = 12;

    private static final Length LOOK_UP = Length.ofMillis(1500);

    private static final Length TITLE_STAYS = Length.ofSeconds(5);

    /** The end card leaves the upper part free for what the host puts there. */
    private static final Length END_STAYS = Length.ofSeconds(8);

    private static final Length SECTION_STAYS = Length.ofMillis(2500);

    /** An option nobody says is shown in the first third. */
    private static final double FIRST_THIRD = 1 / 3.0;

    private final DressSource source;
    private final Wordings wordings;
    private final List<Piece> pieces;

    /** @param pieces where the cards are put */
    CardDresser(DressSource source, List<Piece> pieces) {
        this.source = source;
        this.wordings = new Wordings(source.library(), source.timeline().sheet().header());
        this.pieces = pieces;
    }

    /** The title over the welcome, and the screening line behind it. */
    void title() {
        String title = source.timeline().sheet().header().title();
        Segment first = source.timeline().segments().isEmpty()
                ? null
                : source.timeline().segments().get(0);
        if (first == null || first.kind() != SegmentKind.TALK || title.isEmpty()) {
            return;
        }
        source.shown(first).ifPresent(span -> {
            Time<Axis.Cut> until = Time.min(span.end(), span.start().plus(TITLE_STAYS));
            String line = CoreText.of(
                    "dress.dresser.move-min",
                    source.moves().size(),
                    Math.round(source.timeline().total().seconds() / 60));
            add(new Span<>(span.start(), until), new Face.Card(Face.CardKind.TITLE, title, line));
            boolean screened = source.cues().of(first.id()).stream().anyMatch(l -> l.kind() == CueKind.CAUTION);
            String caution = screened
                    ? source.cues().of(first.id()).stream()
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

    /** The last words: the title once more, the upper part free for the host. */
    void end(Span<Axis.Cut> span) {
        String title = source.timeline().sheet().header().title();
        Time<Axis.Cut> from = Time.max(span.start(), span.end().minus(END_STAYS));
        if (!title.isEmpty() && span.end().since(from).compareTo(LOOK_UP) > 0) {
            add(
                    new Span<>(from, span.end()),
                    new Face.Card(Face.CardKind.END, title, CoreText.of("dress.dresser.thank-you-for-training-along")));
        }
    }

    /** Where a block of several moves begins, its name. */
    Time<Axis.Cut> section(Segment s, Span<Axis.Cut> span) {
        boolean begins = source.timeline().segments().stream()
                .filter(o -> o.kind() == SegmentKind.WORK
                        && o.block().slug().equals(s.block().slug()))
                .findFirst()
                .filter(o -> o == s)
                .isPresent();
        String name = Wordings.capital(s.block().name());
        boolean recorded = !begins || name.isEmpty() || span.length().compareTo(SECTION_STAYS.times(3)) < 0;
        if (recorded || !source.notes().shows(DressNotes.Extra.SECTIONS)) {
            return span.start();
        }
        Time<Axis.Cut> until = span.start().plus(SECTION_STAYS);
        add(new Span<>(span.start(), until), new Face.Card(Face.CardKind.SECTION, name, ""));
        return until.plus(BETWEEN_CARDS);
    }

    /** The section, the first option and one form cue, each when its line is said, one after the other. */
    void cards(Segment s, Span<Axis.Cut> span, Time<Axis.Cut> cardsFrom) {
        Time<Axis.Cut> free = Time.max(span.start(), cardsFrom);
        Optional<ScriptLine> form = line(s, CueKind.FORM);
        Optional<ScriptLine> option = line(s, CueKind.EASIER);
        boolean again = (s.round() != null && s.round() > 1) || (s.set() != null && s.set() > 1);
        String formText = form.map(ScriptLine::text)
                .or(() -> again ? Optional.empty() : wordings.first(s, CueKind.FORM))
                .orElse(null);
        if (formText != null && source.notes().shows(DressNotes.Extra.FORM_CUES)) {
            free = card(
                    s,
                    span,
                    free,
                    form.orElse(null),
                    new Face.Card(Face.CardKind.FORM, CoreText.of("dress.dresser.form"), formText));
        }
        String easier = wordings.first(s, CueKind.EASIER).orElse(null);
        if (easier != null && source.notes().shows(DressNotes.Extra.OPTIONS)) {
            card(
                    s,
                    span,
                    free,
                    option.orElse(null),
                    new Face.Card(Face.CardKind.OPTION, CoreText.of("dress.dresser.easier"), easier));
        }
    }

    /** Shows a card when its line was said; where nobody said it, at its planned place, an option in the first third at the latest. */
    private Time<Axis.Cut> card(Segment s, Span<Axis.Cut> span, Time<Axis.Cut> free, ScriptLine line, Face.Card card) {
        Time<Axis.Cut> wanted =
                line == null ? free : span.start().plus(line.start().since(s.start()));
        ScriptLineMatch heard = line == null ? null : source.said().get(line);
        if (heard != null) {
            wanted = source.cut()
                    .toCut(heard.take(), heard.time())
                    .filter(span::contains)
                    .orElse(wanted);
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
        return source.cues().of(s.id()).stream().filter(l -> l.kind() == kind).findFirst();
    }

    static Length reading(String text) {
        return LOOK_UP.plus(Length.ofSeconds(text.length() / CHARACTERS_PER_SECOND));
    }

    /** What comes next, while resting, and the count to it. */
    void nextUp(Span<Axis.Cut> span, Interval next) {
        Segment s = next.first();
        List<String> gear = source.library().find(s.move()).map(m -> m.gear()).orElse(List.of());
        boolean bothFollow = s.way() == SideWay.HALVES || s.way() == SideWay.SEPARATE;
        String side = s.side() == Side.BOTH || s.side() == null || source.isViewersChoice()
                ? ""
                : Wordings.capital(source.spoken(s.side()))
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
                        s.wholeMove(source.library()).map(Move::figure).orElse(null)));
        int count = source.timeline().sheet().header().calls().countIn();
        boolean visible =
                source.shown(s).filter(n -> n.start().equals(span.end())).isPresent();
        if (count > 0 && visible && span.length().compareTo(Length.ofSeconds(count)) >= 0) {
            pieces.add(new Piece.GetReady(new Span<>(span.end().minus(Length.ofSeconds(count)), span.end())));
        }
    }

    private void add(Span<Axis.Cut> span, Face face) {
        if (span.length().isPositive()) {
            pieces.add(new Piece.Still(span, face));
        }
    }

    /**
     * The pieces of an interval with its cards when they are wanted: never outside the interval, never shorter than it takes to read them,
     * never two at once. A card for which there is no such time stays where it was.
     */
    static List<Piece> timed(List<Piece> pieces, String interval, Span<Axis.Cut> span, List<CardTiming> timings) {
        List<Piece> timed = new ArrayList<>(pieces);
        for (int i = 0; i < timed.size(); i++) {
            Piece piece = timed.get(i);
            Optional<Face.Card> card = CardTiming.card(piece);
            Optional<CardTiming> wanted = card.flatMap(c -> timings.stream()
                    .filter(t -> t.isOf(interval, c.kind(), CardTiming.words(c)))
                    .findFirst());
            if (wanted.isPresent()) {
                int own = i;
                free(wanted.get(), timed, own, span, reading(card.get().text()))
                        .ifPresent(free -> timed.set(own, new Piece.Still(free, card.get())));
            }
        }
        return timed;
    }

    /** The stretch nearest to the wanted one that no other card has. */
    private static Optional<Span<Axis.Cut>> free(
            CardTiming wanted, List<Piece> pieces, int own, Span<Axis.Cut> interval, Length least) {
        List<Span<Axis.Cut>> taken = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            if (i != own && Dressing.group(pieces.get(i).at(pieces.get(i).span().start())) == Layout.Group.CARD) {
                taken.add(pieces.get(i).span());
            }
        }
        taken.sort(Comparator.comparing(Span::start));
        taken.add(new Span<>(interval.end(), interval.end()));
        Time<Axis.Cut> begin = interval.start().plus(wanted.from());
        Length length = Length.max(least, wanted.to().minus(wanted.from()));
        Span<Axis.Cut> best = null;
        Time<Axis.Cut> free = interval.start();
        for (Span<Axis.Cut> next : taken) {
            Time<Axis.Cut> until = next.start();
            if (until.since(free).compareTo(least) >= 0) {
                Length fits = until.since(free).compareTo(length) < 0 ? until.since(free) : length;
                Time<Axis.Cut> at = Time.max(free, Time.min(begin, until.minus(fits)));
                boolean nearer = best == null || away(at, begin) < away(best.start(), begin);
                best = nearer ? new Span<>(at, at.plus(fits)) : best;
            }
            free = Time.max(free, next.end());
        }
        return Optional.ofNullable(best);
    }

    private static double away(Time<Axis.Cut> one, Time<Axis.Cut> other) {
        return Math.abs(one.since(other).seconds());
    }
}
