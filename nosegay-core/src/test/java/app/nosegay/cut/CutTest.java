package app.nosegay.cut;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.match.Match;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** What of which take is shown, by the decisions taken. */
class CutTest {
    private static Time<Axis.Take> s(double seconds) {
        return Time.ofSeconds(seconds);
    }

    private static Match.Placed placed(
            String id, double planned, String take, double from, double to, Match.Other... others) {
        return new Match.Placed(
                id,
                Length.ofSeconds(planned),
                take,
                s(from),
                s(to),
                s(from),
                s(to),
                0,
                0,
                false,
                false,
                List.of(others),
                null);
    }

    private static Match match(List<Match.Placed> segments, Match.Unplanned... unplanned) {
        List<Match.Take> takes = segments.stream()
                .map(Match.Placed::take)
                .distinct()
                .map(t -> new Match.Take(t, t + ".mp4", Length.ofSeconds(300), null, 0, List.of()))
                .toList();
        return new Match(takes, segments, List.of(unplanned), Map.of());
    }

    private static final Match SIMPLE = match(
            List.of(
                    placed("a", 40, "t", 10, 50),
                    placed("a/rest", 20, "t", 50, 62),
                    placed("b", 40, "t", 82, 130, new Match.Other("t", s(62), s(75), "repeat"))),
            new Match.Unplanned("t", new Span<>(s(75), s(82)), "fluff"));

    @Test
    void fluffsAndFirstTriesAreLeftOutUnlessKept() {
        Cut cut = Cut.of(SIMPLE);
        assertThat(cut.clips()).hasSize(2);
        assertThat(cut.clips().get(0).source()).isEqualTo(new Span<>(s(9.5), s(62)));
        assertThat(cut.clips().get(1).source().start()).isEqualTo(s(82));
        MatchNotes keep = MatchNotes.NONE
                .withCut(new MatchNotes.CutDecision("t", new Span<>(s(62), s(75)), false))
                .withCut(new MatchNotes.CutDecision("t", new Span<>(s(75), s(82)), false));
        assertThat(Cut.of(SIMPLE, keep).clips()).hasSize(1);
        assertThat(CutProposal.of(SIMPLE, keep).stream().filter(CutProposal::decided))
                .hasSize(2);
    }

    @Test
    void theClockTrimsWhatIsLongAndHoldsWhatIsShort() {
        Cut cut = Cut.of(SIMPLE, MatchNotes.NONE.withRule(LengthRule.CLOCK));
        assertThat(cut.shown(SIMPLE.segments().get(1)).orElseThrow().length()).isEqualTo(Length.ofSeconds(20));
        assertThat(cut.shown(SIMPLE.segments().get(2)).orElseThrow().length()).isEqualTo(Length.ofSeconds(40));
        assertThat(cut.clips().get(0).hold()).isEqualTo(Length.ofSeconds(8));
    }

    @Test
    void theClockCountsWhatIsLeftOfARestThatWasCut() {
        Match m = match(
                List.of(
                        placed("a", 40, "t", 10, 50),
                        placed("a/rest", 20, "t", 50, 110),
                        placed("b", 40, "t", 110, 150)),
                new Match.Unplanned("t", new Span<>(s(60), s(95)), "long rest"));
        Match.Placed rest = m.segments().get(1);
        assertThat(Cut.of(m).shown(rest).orElseThrow().length())
                .as("stays unless it is cut")
                .isEqualTo(Length.ofSeconds(60));
        MatchNotes cut = MatchNotes.NONE.withCut(new MatchNotes.CutDecision("t", new Span<>(s(60), s(95)), true));
        assertThat(Cut.of(m, cut).shown(rest).orElseThrow().length()).isEqualTo(Length.ofSeconds(25));
        Cut byClock = Cut.of(m, cut.withRule(LengthRule.CLOCK));
        assertThat(byClock.shown(rest).orElseThrow().length()).isEqualTo(Length.ofSeconds(20));
        assertThat(byClock.toCut("t", s(100)))
                .as("ten seconds before the cut, ten behind it")
                .isPresent();
        assertThat(byClock.toCut("t", s(107))).isEmpty();
    }

    @Test
    void aCardExtendsAShortRestAlone() {
        Cut cut = Cut.of(SIMPLE, MatchNotes.NONE.withRule(LengthRule.CARD));
        assertThat(cut.shown(SIMPLE.segments().get(1)).orElseThrow().length()).isEqualTo(Length.ofSeconds(20));
        assertThat(cut.shown(SIMPLE.segments().get(2)).orElseThrow().length()).isEqualTo(Length.ofSeconds(48));
        Cut one = Cut.of(SIMPLE, MatchNotes.NONE.withRule("b", LengthRule.CLOCK));
        assertThat(one.shown(SIMPLE.segments().get(2)).orElseThrow().length()).isEqualTo(Length.ofSeconds(40));
    }

    @Test
    void segmentsThatOverlapAreNotShownTwice() {
        Match m = match(List.of(
                placed("a", 40, "t", 10, 50),
                placed("a/rest", 20, "t", 50, 90),
                placed("b", 40, "t", 70, 130),
                placed("c", 5, "t", 125, 129)));
        Cut cut = Cut.of(m);
        assertThat(cut.clips()).hasSize(1);
        assertThat(cut.total().seconds()).isBetween(119.0, 122.0);
    }

    @Test
    void aRetakeIsCutIn() {
        Match m = match(
                List.of(placed("a", 40, "t", 10, 50), placed("b", 40, "u", 5, 45), placed("c", 20, "t", 100, 120)));
        Cut cut = Cut.of(m);
        assertThat(cut.clips()).extracting(Cut.Clip::take).containsExactly("t", "u", "t");
        assertThat(cut.takes()).containsExactly("t", "u");
    }

    @Test
    void whatTheCameraFilmedAfterwardsIsOffered() {
        assertThat(CutProposal.of(SIMPLE, MatchNotes.NONE))
                .extracting(CutProposal::kind)
                .containsExactly("repeat", "fluff", "after the end");
    }

    @Test
    void whatWasFilmedAfterwardsStaysAsFarAsItIsKept() {
        Time<Axis.Take> end = s(130);
        assertThat(lastOf(MatchNotes.NONE)).isEqualTo(end);
        assertThat(lastOf(MatchNotes.NONE.withCut(new MatchNotes.CutDecision("t", new Span<>(end, s(300)), false))))
                .isEqualTo(s(300));
        assertThat(lastOf(MatchNotes.NONE.withCut(new MatchNotes.CutDecision("t", new Span<>(end, s(180)), false))))
                .isEqualTo(s(180));
        assertThat(lastOf(MatchNotes.NONE.withCut(new MatchNotes.CutDecision("t", new Span<>(s(150), s(300)), true))))
                .as("cut only from there")
                .isEqualTo(s(150));
        // A decision about a stretch in the middle says nothing of the end.
        assertThat(lastOf(MatchNotes.NONE.withCut(new MatchNotes.CutDecision("t", new Span<>(s(75), s(82)), false))))
                .isEqualTo(end);
    }

    private static Time<Axis.Take> lastOf(MatchNotes notes) {
        List<Cut.Clip> clips = Cut.of(SIMPLE, notes).clips();
        return clips.get(clips.size() - 1).source().end();
    }

    @Property(tries = 60)
    void clipsFollowEachOtherAndNothingCutIsShown(@ForAll @IntRange(min = 1, max = 10_000) int seed) {
        Random random = new Random(seed);
        List<Match.Placed> segments = new ArrayList<>();
        List<Match.Unplanned> unplanned = new ArrayList<>();
        double at = 3;
        for (int k = 0; k < 8; k++) {
            double length = 5 + 30 * random.nextDouble();
            segments.add(placed("s" + k + (k % 2 == 1 ? "/rest" : ""), 20, "t", at, at + length));
            at += length;
            if (random.nextInt(3) == 0) {
                double gap = 3 + 5 * random.nextDouble();
                unplanned.add(new Match.Unplanned("t", new Span<>(s(at), s(at + gap)), "fluff"));
                at += gap;
            }
        }
        Match m = match(segments, unplanned.toArray(Match.Unplanned[]::new));
        MatchNotes notes = MatchNotes.NONE.withRule(LengthRule.values()[random.nextInt(3)]);
        Cut cut = Cut.of(m, notes);
        Time<Axis.Cut> end = Time.zero();
        for (Cut.Clip c : cut.clips()) {
            assertThat(c.start()).isEqualTo(end);
            assertThat(c.length().isPositive()).isTrue();
            for (Match.Unplanned u : unplanned) {
                assertThat(c.source().overlaps(u.span())).isFalse();
            }
            end = c.end();
        }
        assertThat(cut.total().micros()).isEqualTo(end.micros());
        if (notes.rule() == LengthRule.CLOCK) {
            for (Match.Placed p : segments.subList(1, 7)) {
                assertThat(cut.shown(p).orElseThrow().length().seconds()).isBetween(19.8, 20.2);
            }
        }
    }

    @Test
    void movesFilmedInAnotherOrderAreShownOnceEach() {
        // Planned a, b, c, d; filmed a, d, b, c with a breath between.
        Match other = match(List.of(
                placed("a", 15, "t", 10, 25),
                placed("b", 15, "t", 45, 60),
                placed("c", 15, "t", 62, 77),
                placed("d", 15, "t", 27, 42)));
        Cut cut = Cut.of(other);
        noMomentTwice(cut);
        for (Match.Placed p : other.segments()) {
            assertThat(cut.shown(p).orElseThrow().length()).as(p.id()).isEqualTo(Length.ofSeconds(15));
        }
    }

    @Property(tries = 300)
    void noMomentOfATakeIsShownTwice(
            @ForAll @IntRange(min = 1, max = 100_000) int seed, @ForAll LengthRule rule, @ForAll boolean overlapping) {
        Random random = new Random(seed);
        int n = 2 + random.nextInt(7);
        List<double[]> places = new ArrayList<>();
        double at = 3;
        for (int i = 0; i < n; i++) {
            double length = 4 + random.nextInt(20);
            places.add(new double[] {at, at + length});
            at += length + (overlapping ? random.nextDouble() * 8 - 4 : random.nextInt(5));
        }
        java.util.Collections.shuffle(places, random);
        List<Match.Placed> segments = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            String take = random.nextInt(4) == 0 ? "u" : "t";
            segments.add(placed("s" + i, 12, take, places.get(i)[0], places.get(i)[1]));
        }
        noMomentTwice(Cut.of(match(segments), MatchNotes.NONE.withRule(rule)));
    }

    private static void noMomentTwice(Cut cut) {
        for (Cut.Clip one : cut.clips()) {
            for (Cut.Clip other : cut.clips()) {
                boolean twice = one != other
                        && one.take().equals(other.take())
                        && one.source().start().isBefore(other.source().end())
                        && other.source().start().isBefore(one.source().end());
                assertThat(twice).as(one + " and " + other).isFalse();
            }
        }
    }
}
