package app.nosegay.review;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.review.said.CallTruth;
import app.nosegay.review.said.HeardCall;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Figures, places and moments that are said, against what the plan and the recording hold. */
class CallTruthTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    private static final Timeline TIMELINE = SampleSheets.timeline("""
            title: T
            talk Hi  0:30

            warm-up  each 0:30
              march in place
              arm circle
              hip hinge drill
              bodyweight squat

            circuit A  rounds 3  work 0:40  rest 0:20
              goblet squat
              single-arm row  sides halves
              reverse lunge  sides alternate

            straight-sets B  sets 4  rest 0:45
              push-up  reps 12

            superset C  sets 2  reps 10  rest 0:30
              kettlebell deadlift
              push press

            straight-sets D  sets 1  rest 0:30
              split squat  reps 6 each-side  sides alternate  dose 5 x 15

            cool-down  each 0:30
              calf stretch  sides separate

            talk Bye  0:30
            """);

    private static Match asPlanned() {
        List<Match.Placed> placed = new ArrayList<>();
        Map<String, List<Time<Axis.Take>>> reps = new HashMap<>();
        for (Segment s : TIMELINE.segments()) {
            Time<Axis.Take> from = Time.ofSeconds(s.start().seconds());
            Time<Axis.Take> to = Time.ofSeconds(s.end().seconds());
            placed.add(new Match.Placed(s.id(), s.duration(), "t", from, to, from, to, 0, 0, false, false));
            List<Time<Axis.Take>> times = new ArrayList<>();
            for (int i = 1; s.reps() != null && i <= s.reps(); i++) {
                times.add(from.plus(s.duration().times(i / (double) s.reps())));
            }
            if (!times.isEmpty()) {
                reps.put(s.id(), times);
            }
        }
        Match.Take take = new Match.Take("t", "t.mp4", TIMELINE.total(), null, 0, List.of());
        return new Match(List.of(take), placed, List.of(), reps);
    }

    private static HeardCall heard(String segment, double seconds, String words) {
        Time<Axis.Take> start =
                Time.ofSeconds(TIMELINE.segment(segment).orElseThrow().start().seconds() + seconds);
        Caption caption = new Caption(start, start.plus(Length.ofSeconds(2)), words);
        TakeEvidence take = new TakeEvidence(
                "t", "t.mp4", TIMELINE.total(), List.of(), List.of(), Trace.NONE, Trace.NONE, null, List.of(caption));
        List<HeardCall> calls = CallTruth.of(TIMELINE, asPlanned(), List.of(take), LIBRARY.names());
        assertThat(calls).as("calls in \"" + words + "\"").hasSize(1);
        return calls.get(0);
    }

    @ParameterizedTest
    @CsvSource({
        "hi, 5, we have eight moves today",
        "hi, 5, it is three rounds",
        "hi, 5, four sets of push ups",
        "hi, 5, and then two sets",
        "hi, 5, twelve reps each",
        "hi, 5, six reps on each leg",
        "hi, 5, ten reps",
        "hi, 5, do fifteen reps at home",
        "hi, 5, five sets of them",
        "hi, 5, forty seconds of work",
        "hi, 5, twenty seconds of rest",
        "hi, 5, forty five seconds of rest",
        "hi, 5, after a two minute warm up",
        "a/goblet-squat/r1/rest, 4, exercise two",
        "a/goblet-squat/r2, 2, round two",
        "a/goblet-squat/r3, 2, last round",
        "a/goblet-squat/r2, 2, two more rounds",
        "a/reverse-lunge/r2/rest, 2, one more round",
        "a/reverse-lunge/r3, 2, last exercise of this round",
        "b/push-up/s2, 1, second set",
        "b/push-up/s4, 1, last set",
        "b/push-up/s1, 18, six more",
        "b/push-up/s1, 33.5, last one",
        "a/single-arm-row/r1/right, 17, switch sides",
        "a/single-arm-row/r1/right, 7.5, ten seconds",
        "a/single-arm-row/r1/right, 14.5, 'three, two, one'",
        "a/single-arm-row/r1/right, 30, ten seconds left",
        "hi, 5, seventeen seconds on each side"
    })
    void isTrue(String segment, double seconds, String words) {
        HeardCall call = heard(segment, seconds, words);
        assertThat(call.truth()).as(call.call().kind() + " " + call.call().of()).isNotNull();
        assertThat(Math.abs(call.error()))
                .as(call.call() + ", true is " + call.truth())
                .isLessThan(1.6);
    }

    @ParameterizedTest
    @CsvSource({
        "a/single-arm-row/r1/right, 3, ten seconds",
        "hi, 5, we have five moves today",
        "hi, 5, it is five rounds",
        "hi, 5, seven sets of push ups",
        "hi, 5, twenty reps each",
        "hi, 5, fifty seconds of work",
        "hi, 5, ninety seconds of rest",
        "hi, 5, after a five minute warm up",
        "a/goblet-squat/r1/rest, 4, exercise five",
        "a/goblet-squat/r2, 2, round three",
        "a/goblet-squat/r1, 2, last round",
        "a/goblet-squat/r1, 2, last exercise of this round",
        "b/push-up/s2, 1, fourth set",
        "b/push-up/s1, 6, two more",
        "a/goblet-squat/r1, 10, and rest"
    })
    void isFalse(String segment, double seconds, String words) {
        HeardCall call = heard(segment, seconds, words);
        assertThat(call.truth()).as(call.call().kind() + " " + call.call().of()).isNotNull();
        assertThat(Math.abs(call.error()))
                .as(call.call() + ", true is " + call.truth())
                .isGreaterThan(0.9);
    }

    @Test
    void halfOfTheWorkoutIsHalfOfWhatWasDone() {
        double middle = TIMELINE.total().seconds() / 2;
        Segment running = TIMELINE.segments().stream()
                .filter(s -> s.start().seconds() <= middle && s.end().seconds() > middle)
                .findFirst()
                .orElseThrow();
        double into = middle - running.start().seconds();
        HeardCall call = heard(running.id(), into, "we are halfway through the workout");
        assertThat(Math.abs(call.error())).isLessThan(1);
        assertThat(Math.abs(heard("a/goblet-squat/r1", 5, "we are halfway through the workout")
                        .error()))
                .isGreaterThan(60);
    }

    @Test
    void halfOfARoundIsInItsMiddle() {
        double from =
                TIMELINE.segment("a/goblet-squat/r2").orElseThrow().start().seconds();
        double to =
                TIMELINE.segment("a/reverse-lunge/r2/rest").orElseThrow().end().seconds();
        HeardCall call = heard("a/goblet-squat/r2", (to - from) / 2, "halfway through this round");
        assertThat(Math.abs(call.error())).isLessThan(1);
    }

    @Test
    void whatNobodyCanKnowIsNotJudged() {
        assertThat(heard("warm-up/arm-circle", 5, "next up goblet squats").truth())
                .isNull();
        assertThat(heard("hi", 5, "I will count you down").error()).isNull();
    }
}
