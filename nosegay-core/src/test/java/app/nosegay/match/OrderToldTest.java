package app.nosegay.match;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.SegmentKind;
import app.nosegay.plan.Timeline;
import app.nosegay.shoot.ShootLog;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import app.nosegay.transcript.Caption;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Which segments a take holds, where lengths alone fit more than one order: names and the log tell it. */
class OrderToldTest {
    private final Timeline timeline = SampleSheets.timeline(
            "title: T\ntalk Hi  0:20\ncircuit A  rounds 3  work 0:40  rest 0:20\n  squat\n  push-up\n  plank\n  reverse lunge\ntalk Bye  0:10\n");

    private final List<Caption> words = new ArrayList<>();

    private void say(double at, String text) {
        words.add(new Caption(Time.ofSeconds(at), Time.ofSeconds(at + text.length() / 14.0), text));
    }

    /** A set of forty seconds and the rest before it, in which the move is announced. */
    private double done(double at, String move) {
        say(at + 0.2, "And rest. Next, " + move + ".");
        say(at + 20, "Go!");
        return at + 60;
    }

    private static TakeEvidence take(String id, double seconds, List<TakeEvidence.Beep> beeps, List<Caption> words) {
        return new TakeEvidence(
                id, id + ".mp4", Length.ofSeconds(seconds), List.of(), beeps, Trace.NONE, Trace.NONE, null, words);
    }

    /** One done twice and, five sets later, one left out: on the clock all fits, one interval off. */
    @Test
    void whatIsAnnouncedInARestIsWhatFollowsIt() {
        say(0.4, "Hello. The first one is the squat.");
        say(20, "Go!");
        List<String> order = List.of(
                "squat",
                "push-up",
                "plank",
                "reverse lunge",
                "squat",
                "push-up",
                "plank",
                "squat",
                "push-up",
                "plank",
                "reverse lunge");
        double at = 60;
        List<Double> starts = new ArrayList<>();
        for (String move : order) {
            starts.add(at + 20);
            at = done(at, move);
        }
        say(at + 0.2, "And rest. Bye for now.");
        Match m = Matcher.match(timeline, List.of(take("t", at + 12, List.of(), words)), noLogs(1), List.of());
        assertThat(m.segment("a/plank/r1").orElseThrow().start().seconds())
                .isBetween(starts.get(2) - 1, starts.get(2) + 1);
        assertThat(m.segment("a/squat/r2").orElseThrow().start().seconds())
                .isBetween(starts.get(4) - 1, starts.get(4) + 1);
        assertThat(m.segment("a/reverse-lunge/r2").orElseThrow().matched()).isFalse();
        assertThat(m.segment("a/squat/r3").orElseThrow().start().seconds())
                .isBetween(starts.get(7) - 1, starts.get(7) + 1);
    }

    /** The camera was off until late in the workout: what the log tells of the time before lies before the take. */
    @Property(tries = 12)
    void aTakeOfAnyPartOfWhatWasLoggedIsFoundInIt(@ForAll @IntRange(min = 4, max = 20) int first) {
        List<ShootLog.Entry> entries = new ArrayList<>();
        for (Segment s : timeline.segments()) {
            entries.add(new ShootLog.Entry(
                    s.id(),
                    new Span<>(
                            Time.ofSeconds(2 + s.start().seconds()),
                            Time.ofSeconds(2 + s.end().seconds()))));
        }
        ShootLog log = new ShootLog(
                "", 42, Time.zero(), Time.ofSeconds(timeline.total().seconds() + 3), entries);
        Segment from = timeline.segments().get(first);
        double off = from.start().seconds() - 3;
        List<TakeEvidence.Beep> late = beeps(off, Double.MAX_VALUE);
        List<TakeEvidence.Beep> early = beeps(0, off - 2);
        TakeEvidence before = take("a", off - 2, early, List.of());
        TakeEvidence rest = take("b", timeline.total().seconds() - off + 4, late, List.of());
        Match m = Matcher.match(timeline, List.of(before, rest), Arrays.asList(log, log), List.of());
        List<Segment> behind =
                timeline.segments().subList(first, timeline.segments().size());
        for (Segment s : behind) {
            Match.Placed placed = m.segment(s.id()).orElseThrow();
            assertThat(placed.take()).as(s.id()).isEqualTo("b");
            assertThat(placed.start().seconds())
                    .as(first + " " + s.id())
                    .isBetween(s.start().seconds() - off - 0.1, s.start().seconds() - off + 0.1);
        }
    }

    /** The beeps of the boundaries between two moments of the plan, in a take that begins with the first. */
    private List<TakeEvidence.Beep> beeps(double from, double to) {
        return timeline.segments().stream()
                .filter(s -> s.kind() == SegmentKind.WORK || s.kind() == SegmentKind.REST)
                .map(s -> s.start().seconds())
                .filter(t -> t >= from && t < to)
                .map(t -> new TakeEvidence.Beep(Time.ofSeconds(t - from), Length.ofMillis(300), 1000, -20))
                .toList();
    }

    private static List<ShootLog> noLogs(int takes) {
        return new ArrayList<>(java.util.Collections.nCopies(takes, null));
    }
}
