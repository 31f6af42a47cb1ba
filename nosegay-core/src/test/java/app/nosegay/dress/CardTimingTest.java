package app.nosegay.dress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.cut.Cut;
import app.nosegay.cut.Edit;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.Interval;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlanner;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Cards that come when it was wanted. */
class CardTimingTest {
    private static final Timeline TIMELINE = SampleSheets.timeline("title: T\ntalk Hi  0:10\n"
            + "circuit Ground  rounds 2  work 0:40  rest 0:20\n  goblet squat\n  push-up\ntalk Bye  0:05\n");
    private static final Match MATCH = asPlanned();

    /** Everything as planned, from the start of the take on. */
    private static Match asPlanned() {
        List<Match.Placed> placed = new ArrayList<>();
        for (Segment s : TIMELINE.segments()) {
            Time<Axis.Take> from = Time.ofSeconds(s.start().seconds());
            Time<Axis.Take> to = Time.ofSeconds(s.end().seconds());
            placed.add(new Match.Placed(s.id(), s.duration(), "t", from, to, from, to, 0, 0, false, false));
        }
        Match.Take take = new Match.Take("t", "t.mp4", TIMELINE.total(), null, 0, List.of());
        return new Match(List.of(take), placed, List.of(), Map.of());
    }

    private static Dressing dressed(DressNotes notes) {
        return Dresser.dress(
                new Edit(TIMELINE, MATCH, Cut.of(MATCH)),
                CuePlanner.plan(TIMELINE, MoveLibrary.shipped(), SpeechRate.DEFAULT),
                Dresser.RecordedEvidence.NOTHING,
                MoveLibrary.shipped(),
                notes,
                Frame.LANDSCAPE);
    }

    private static Span<Axis.Cut> span(Interval interval) {
        return new Span<>(
                Cut.of(MATCH)
                        .toCut("t", Time.ofSeconds(interval.first().start().seconds()))
                        .orElseThrow(),
                Cut.of(MATCH)
                        .toCut("t", Time.ofSeconds(interval.first().start().seconds()))
                        .orElseThrow()
                        .plus(interval.length()));
    }

    private static List<Piece> cards(Dressing dressing, Span<Axis.Cut> in) {
        return dressing.pieces().stream()
                .filter(p -> in.contains(p.span().start()) && CardTiming.card(p).isPresent())
                .toList();
    }

    private static final Interval SQUATS = TIMELINE.intervals().stream()
            .filter(i -> i.id().equals("ground/goblet-squat/r1"))
            .findFirst()
            .orElseThrow();

    private static CardTiming timing(Piece piece, double from, double to) {
        Face.Card card = CardTiming.card(piece).orElseThrow();
        return new CardTiming(
                SQUATS.id(), card.kind(), CardTiming.words(card), Length.ofSeconds(from), Length.ofSeconds(to));
    }

    @Test
    void aCardComesWhenItIsWantedAndBackAgain() {
        Dressing usual = dressed(DressNotes.NONE);
        Piece last = cards(usual, span(SQUATS)).get(cards(usual, span(SQUATS)).size() - 1);
        CardTiming wanted = timing(last, 30, 37);
        DressNotes notes = DressNotes.NONE.with(wanted);
        Piece moved = cards(dressed(notes), span(SQUATS)).stream()
                .filter(p -> p.at(p.span().start()).equals(last.at(last.span().start())))
                .findFirst()
                .orElseThrow();
        assertThat(moved.span().start().since(span(SQUATS).start()).seconds()).isCloseTo(30, within(0.01));
        assertThat(moved.span().length().seconds()).isCloseTo(7, within(0.01));
        assertThat(dressed(notes).pieces()).hasSameSizeAs(usual.pieces());
        assertThat(dressed(notes.withoutTiming(wanted.interval(), wanted.kind(), wanted.words()))
                        .pieces())
                .isEqualTo(usual.pieces());
        assertThat(notes.with(timing(last, 5, 12)).timings())
                .as("one time a card")
                .hasSize(1);
    }

    @Test
    void whatTheCardSaysIsItsName() {
        Dressing usual = dressed(DressNotes.NONE);
        CardTiming other = new CardTiming(
                SQUATS.id(), Face.CardKind.FORM, "Something it never says", Length.ZERO, Length.ofSeconds(9));
        assertThat(dressed(DressNotes.NONE.with(other)).pieces()).isEqualTo(usual.pieces());
        assertThat(CardTiming.card(usual.pieces().get(0)))
                .as("the title follows the recording")
                .isEmpty();
    }

    /** Whatever is asked for: in its interval, long enough to read, never two cards at once. */
    @Property(tries = 120)
    void cardsNeverMeet(
            @ForAll @IntRange(min = 0, max = 3) int which,
            @ForAll @DoubleRange(min = -3, max = 60) double from,
            @ForAll @DoubleRange(min = 0, max = 50) double length,
            @ForAll @IntRange(min = 0, max = 3) int other,
            @ForAll @DoubleRange(min = 0, max = 45) double otherFrom) {
        Span<Axis.Cut> span = span(SQUATS);
        List<Piece> usual = cards(dressed(DressNotes.NONE), span);
        assertThat(usual).isNotEmpty();
        DressNotes notes = DressNotes.NONE
                .with(timing(usual.get(which % usual.size()), from, from + length))
                .with(timing(usual.get(other % usual.size()), otherFrom, otherFrom + 4));
        List<Piece> cards = cards(dressed(notes), span);
        assertThat(cards).hasSameSizeAs(usual);
        for (Piece one : cards) {
            assertThat(one.span().end().isAfter(span.end())).isFalse();
            Face.Card card = CardTiming.card(one).orElseThrow();
            assertThat(one.span().length()).isGreaterThanOrEqualTo(CardDresser.reading(card.text()));
            assertThat(cards).noneMatch(c -> c != one && c.span().overlaps(one.span()));
        }
    }
}
