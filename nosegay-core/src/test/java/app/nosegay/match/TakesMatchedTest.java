package app.nosegay.match;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.cut.Cut;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
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
    private static final String SHEET =
            "title: T\ntalk Hi  0:20\ncircuit A  rounds 3  work 0:40  rest 0:20\n  squat\n  push-up\n  plank\ntalk Bye  0:10\n";
    private final Timeline timeline = SampleSheets.timeline(SHEET);

    private static TakeEvidence take(double seconds, List<Double> beeps) {
        List<TakeEvidence.Beep> onsets = beeps.stream()
                .map(b -> new TakeEvidence.Beep(Time.ofSeconds(b), Length.ofMillis(300), 1000, -20))
                .toList();
        return new TakeEvidence(
                "t", "t.mp4", Length.ofSeconds(seconds), List.of(), onsets, Trace.NONE, Trace.NONE, null, List.of());
    }

    /** A beep at each planned boundary, the workout starting at {@code start}. */
    private List<Double> boundaries(double start) {
        List<Double> at = new ArrayList<>();
        timeline.segments().forEach(s -> at.add(start + s.start().seconds()));
        at.add(start + timeline.total().seconds());
        return at;
    }

    private Match match(TakeEvidence take, Pin... pins) {
        List<ShootLog> none = new ArrayList<>();
        none.add(null);
        return Matcher.match(timeline, List.of(take), none, List.of(pins));
    }

    private static Caption words(double at, String text) {
        return new Caption(Time.ofSeconds(at), Time.ofSeconds(at + 2.5), text);
    }

    @Test
    void aTakeGoesOnWhereTheOneBeforeItBrokeOff() {
        // Rounds are alike: the second file could be any of them but for the first one.
        List<Double> first = new ArrayList<>();
        List<Double> second = new ArrayList<>();
        double cut = timeline.segment("a/squat/r3").orElseThrow().start().seconds();
        double end = timeline.segment("a/plank/r3").orElseThrow().start().seconds();
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
        Match m = Matcher.match(timeline, List.of(before, named), none, List.of());
        assertThat(m.segment("a/squat/r3").orElseThrow().take()).isEqualTo("u");
        assertThat(m.segment("a/push-up/r3").orElseThrow().take()).isEqualTo("u");
        assertThat(m.segment("a/squat/r1").orElseThrow().take()).isEqualTo("t");
        assertThat(m.segment("a/plank/r2").orElseThrow().take()).isEqualTo("t");
        assertThat(m.segment("a/plank/r3").orElseThrow().matched()).isFalse();
    }

    @Test
    void aTakeThatStopsAndStartsIsMatchedAcrossItsParts() {
        List<Double> all = boundaries(4);
        double split = 4 + timeline.segments().get(7).start().seconds() + 1;
        TakeEvidence a = take(split, all.stream().filter(b -> b < split).toList());
        List<TakeEvidence.Beep> rest = all.stream()
                .filter(b -> b >= split)
                .map(b -> new TakeEvidence.Beep(Time.ofSeconds(b - split), Length.ofMillis(300), 1000, -20))
                .toList();
        TakeEvidence b = new TakeEvidence(
                "u",
                "u.mp4",
                Length.ofSeconds(timeline.total().seconds() + 10 - split),
                List.of(),
                rest,
                Trace.NONE,
                Trace.NONE,
                null,
                List.of());
        Match m = Matcher.match(timeline, List.of(a, b), Arrays.asList(null, null), List.of());
        assertThat(m.segments().get(0).take()).isEqualTo("t");
        assertThat(m.segments().get(m.segments().size() - 1).take()).isEqualTo("u");
        assertThat(Cut.of(m).clips()).hasSize(2);
    }

    @Test
    void aSetBrokenOffAndBegunAgainIsFoundWithItsFirstTry() {
        Segment set = timeline.segment("a/push-up/r2").orElseThrow();
        double broken = 4 + set.start().seconds() + 18;
        List<Double> beeps = new ArrayList<>();
        for (double b : boundaries(4)) {
            beeps.add(b > broken ? b + 25 : b);
        }
        beeps.add(4 + set.start().seconds() + 25);
        List<Caption> words = List.of(new Caption(
                Time.ofSeconds(broken + 0.5), Time.ofSeconds(broken + 2), "Sorry, let me start that again."));
        Match m = match(take(timeline.total().seconds() + 40, beeps).withWords(words));
        Match.Placed p = m.segment("a/push-up/r2").orElseThrow();
        assertThat(p.start().seconds())
                .isBetween(4 + set.start().seconds() + 24.9, 4 + set.start().seconds() + 25.1);
        assertThat(p.others()).hasSize(1);
        assertThat(p.others().get(0).kind()).isEqualTo("repeat");
        assertThat(m.unplanned()).extracting(Match.Unplanned::kind).containsExactly("fluff");
    }

    @Test
    void aRetakeOfOneSegmentIsChosenForThatOneAlone() {
        TakeEvidence whole = take(timeline.total().seconds() + 20, boundaries(5));
        Segment set = timeline.segment("a/push-up/r2").orElseThrow();
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
        Match m = Matcher.match(timeline, List.of(whole, again), Arrays.asList(null, log), List.of());
        assertThat(m.segment(set.id()).orElseThrow().take()).isEqualTo("u");
        assertThat(m.segment(set.id()).orElseThrow().reason()).contains("the last one made");
        assertThat(m.segment(set.id()).orElseThrow().others()).hasSize(1);
        assertThat(m.segments().stream().filter(p -> "t".equals(p.take())))
                .hasSize(timeline.segments().size() - 1);
        Match forced = Matcher.match(
                timeline,
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
