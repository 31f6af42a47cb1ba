package app.nosegay.match;

import static app.nosegay.match.SmallTakes.SHEET;
import static app.nosegay.match.SmallTakes.TIMELINE;
import static app.nosegay.match.SmallTakes.boundaries;
import static app.nosegay.match.SmallTakes.match;
import static app.nosegay.match.SmallTakes.take;
import static app.nosegay.match.SmallTakes.words;
import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.cut.Cut;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.plan.Segment;
import app.nosegay.shoot.ShootLog;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A plan found in several takes, in broken-off ones and in retakes. */
class TakesMatchedTest {

    @Test
    void aTakeGoesOnWhereTheOneBeforeItBrokeOff() {
        // Rounds are alike: the second file could be any of them but for the first one.
        List<Double> first = new ArrayList<>();
        List<Double> second = new ArrayList<>();
        double cut = TIMELINE.segment("a/squat/r3").orElseThrow().start().seconds();
        double end = TIMELINE.segment("a/plank/r3").orElseThrow().start().seconds();
        for (double b : boundaries(0)) {
            if (b > 0 && b < cut) {
                first.add(b + 3);
            } else if (b >= cut && b <= end) {
                second.add(b - cut + 4);
            }
        }
        TakeEvidence before = take(cut + 3, first);
        TakeEvidence after = take(end - cut + 8, second);
        TakeEvidence named = new TakeEvidence(
                "u", "u.mp4", after.length(), List.of(), after.beeps(), Trace.NONE, Trace.NONE, null, List.of());
        List<ShootLog> none = new ArrayList<>(java.util.Arrays.asList(null, null));
        Match m = Matcher.match(TIMELINE, List.of(before, named), none, List.of());
        assertThat(m.segment("a/squat/r3").orElseThrow().take()).isEqualTo("u");
        assertThat(m.segment("a/push-up/r3").orElseThrow().take()).isEqualTo("u");
        assertThat(m.segment("a/squat/r1").orElseThrow().take()).isEqualTo("t");
        assertThat(m.segment("a/plank/r2").orElseThrow().take()).isEqualTo("t");
        assertThat(m.segment("a/plank/r3").orElseThrow().matched()).isFalse();
    }

    @Test
    void aTakeThatStopsAndStartsIsMatchedAcrossItsParts() {
        List<Double> all = boundaries(4);
        double split = 4 + TIMELINE.segments().get(7).start().seconds() + 1;
        TakeEvidence a = take(split, all.stream().filter(b -> b < split).toList());
        List<TakeEvidence.Beep> rest = all.stream()
                .filter(b -> b >= split)
                .map(b -> new TakeEvidence.Beep(Time.ofSeconds(b - split), Length.ofMillis(300), 1000, -20))
                .toList();
        TakeEvidence b = new TakeEvidence(
                "u",
                "u.mp4",
                Length.ofSeconds(TIMELINE.total().seconds() + 10 - split),
                List.of(),
                rest,
                Trace.NONE,
                Trace.NONE,
                null,
                List.of());
        Match m = Matcher.match(TIMELINE, List.of(a, b), Arrays.asList(null, null), List.of());
        assertThat(m.segments().get(0).take()).isEqualTo("t");
        assertThat(m.segments().get(m.segments().size() - 1).take()).isEqualTo("u");
        assertThat(Cut.of(m).clips()).hasSize(2);
    }

    @Test
    void aSetBrokenOffAndBegunAgainIsFoundWithItsFirstTry() {
        Segment set = TIMELINE.segment("a/push-up/r2").orElseThrow();
        double broken = 4 + set.start().seconds() + 18;
        List<Double> beeps = new ArrayList<>();
        for (double b : boundaries(4)) {
            beeps.add(b > broken ? b + 25 : b);
        }
        beeps.add(4 + set.start().seconds() + 25);
        List<Caption> words = List.of(new Caption(
                Time.ofSeconds(broken + 0.5), Time.ofSeconds(broken + 2), "Sorry, let me start that again."));
        Match m = match(take(TIMELINE.total().seconds() + 40, beeps).withWords(words));
        Match.Placed p = m.segment("a/push-up/r2").orElseThrow();
        assertThat(p.start().seconds())
                .isBetween(4 + set.start().seconds() + 24.9, 4 + set.start().seconds() + 25.1);
        assertThat(p.others()).hasSize(1);
        assertThat(p.others().get(0).kind()).isEqualTo("repeat");
        assertThat(m.unplanned()).extracting(Match.Unplanned::kind).containsExactly("fluff");
    }

    @Test
    void aRetakeOfOneSegmentIsChosenForThatOneAlone() {
        TakeEvidence whole = take(TIMELINE.total().seconds() + 20, boundaries(5));
        Segment set = TIMELINE.segment("a/push-up/r2").orElseThrow();
        TakeEvidence again = new TakeEvidence(
                "u",
                "u.mp4",
                Length.ofSeconds(50),
                List.of(),
                List.of(3.0, 43.0).stream()
                        .map(b -> new TakeEvidence.Beep(Time.ofSeconds(b), Length.ofMillis(300), 1000, -20))
                        .toList(),
                Trace.NONE,
                Trace.NONE,
                null,
                List.of());
        ShootLog log = new ShootLog(
                SHEET,
                3,
                Time.zero(),
                null,
                List.of(new ShootLog.Entry(set.id(), new Span<>(Time.ofSeconds(3), Time.ofSeconds(43)))));
        Match m = Matcher.match(TIMELINE, List.of(whole, again), Arrays.asList(null, log), List.of());
        assertThat(m.segment(set.id()).orElseThrow().take()).isEqualTo("u");
        assertThat(m.segment(set.id()).orElseThrow().reason()).contains("the last one made");
        assertThat(m.segment(set.id()).orElseThrow().others()).hasSize(1);
        assertThat(m.segments().stream().filter(p -> "t".equals(p.take())))
                .hasSize(TIMELINE.segments().size() - 1);
        Match forced = Matcher.match(
                TIMELINE,
                List.of(),
                List.of(whole, again),
                Arrays.asList(null, log),
                List.of(),
                java.util.Map.of(set.id(), "t"));
        assertThat(forced.segment(set.id()).orElseThrow().take()).isEqualTo("t");
    }

    @Test
    void somethingElseIsSaidToBeSomethingElse() {
        List<Caption> words = List.of(
                new Caption(Time.ofSeconds(3), Time.ofSeconds(6), "Today we repot the tomatoes and talk about frost."));
        Match m = match(take(640, List.of()).withWords(words));
        assertThat(m.takes().get(0).foreign()).isTrue();
        assertThat(m.segments()).noneMatch(Match.Placed::matched);
    }
}
