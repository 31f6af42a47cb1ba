package app.nosegay.review;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.cut.MatchNotes;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.review.said.CallTruth;
import app.nosegay.review.said.HeardCall;
import app.nosegay.review.said.Spoken;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Calls the script has that nobody made, and sets that stop before their time. */
class MissedCallsTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    private static final Timeline TIMELINE = SampleSheets.timeline(
            "title: T\ncalls: half, 10\nwarm-up  each 0:40\n  march in place\n  arm circle\n"
                    + "circuit A  rounds 2  work 0:40  rest 0:20\n  goblet squat\n  push-up\n  plank\ntalk Bye  0:10\n");
    private static final CuePlan CUES = CuePlanner.plan(TIMELINE, LIBRARY, SpeechRate.DEFAULT);

    /**
     * Everything as planned but that the set {@code id} stops {@code early} seconds before its end, after repetitions of {@code rep}
     * seconds.
     */
    private static Match match(String id, double early, double rep) {
        List<Match.Placed> placed = new ArrayList<>();
        Map<String, List<Time<Axis.Take>>> reps = new HashMap<>();
        for (Segment s : TIMELINE.segments()) {
            Time<Axis.Take> from = Time.ofSeconds(s.start().seconds());
            Time<Axis.Take> to = Time.ofSeconds(s.end().seconds());
            Time<Axis.Take> stops = s.id().equals(id) ? to.minus(Length.ofSeconds(early)) : to;
            placed.add(new Match.Placed(s.id(), s.duration(), "t", from, to, from, stops, 0, 0, false, false));
            if (s.kind() == SegmentKind.WORK) {
                List<Time<Axis.Take>> times = new ArrayList<>();
                for (double t = rep; t <= stops.since(from).seconds() + 1e-6; t += rep) {
                    times.add(from.plus(Length.ofSeconds(t)));
                }
                reps.put(s.id(), times);
            }
        }
        Match.Take take = new Match.Take("t", "t.mp4", TIMELINE.total(), null, 0, List.of());
        return new Match(List.of(take), placed, List.of(), reps);
    }

    private static List<String> codes(Match m, List<Caption> captions, String code) {
        TakeEvidence take = new TakeEvidence(
                "t", "t.mp4", TIMELINE.total(), List.of(), List.of(), Trace.NONE, Trace.NONE, null, captions);
        List<HeardCall> calls = CallTruth.of(TIMELINE, m, List.of(take), LIBRARY.names());
        return MatchCheck.check(TIMELINE, CUES, m, MatchNotes.NONE, List.of(take), new Spoken(calls, List.of()))
                .findings()
                .stream()
                .filter(f -> f.code().equals(code))
                .map(Finding::segment)
                .toList();
    }

    /** "Ten seconds." where it is due in each interval of {@code kind} but {@code without}. */
    private static List<Caption> tenSeconds(SegmentKind kind, String without) {
        return TIMELINE.segments().stream()
                .filter(s -> s.kind() == kind && !s.id().equals(without))
                .map(s -> Time.<Axis.Take>ofSeconds(s.end().seconds() - 10))
                .map(t -> new Caption(t, t.plus(Length.ofSeconds(1)), "Ten seconds."))
                .toList();
    }

    @Test
    void aCallMadeInTheOtherSetsIsMissedInOne() {
        List<Caption> said = tenSeconds(SegmentKind.WORK, "a/push-up/r2");
        assertThat(codes(match("", 0, 3), said, "match.call-missing")).containsExactly("a/push-up/r2");
    }

    @Test
    void whoNeverCallsInAWarmUpHasForgottenNothing() {
        List<Caption> said = tenSeconds(SegmentKind.WORK, "");
        assertThat(codes(match("", 0, 3), said, "match.call-missing")).isEmpty();
    }

    @Test
    void aSetThatStopsBeforeItsTimeIsTold() {
        assertThat(codes(match("a/push-up/r1", 5, 3), List.of(), "match.short-set"))
                .containsExactly("a/push-up/r1");
    }

    @Test
    void nobodyBeginsARepetitionThereIsNoTimeFor() {
        assertThat(codes(match("a/push-up/r1", 3.5, 4), List.of(), "match.short-set"))
                .isEmpty();
    }

    @Test
    void aHoldLooksTheSameToItsEndAndAfter() {
        assertThat(codes(match("a/plank/r1", 6, 3), List.of(), "match.short-set"))
                .isEmpty();
    }
}
