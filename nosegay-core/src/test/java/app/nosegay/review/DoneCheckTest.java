package app.nosegay.review;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.cut.LengthRule;
import app.nosegay.cut.MatchNotes;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Which lengths are promised, and which of them were kept. */
class DoneCheckTest {
    private static final Timeline TIMELINE = SampleSheets.timeline("title: T\ntalk Hi  0:20\n"
            + "every-minute Top  minutes 3  reps 10\n  goblet squat  tempo 2-0-1\n"
            + "circuit A  work 0:30  rest 0:20\n  push-up\n  kettlebell deadlift\ntalk Bye  0:10\n");

    /** As planned but for segments that last so many seconds more. */
    private static Match longer(Map<String, Double> by) {
        List<Match.Placed> placed = new ArrayList<>();
        Time<Axis.Take> at = Time.zero();
        for (Segment s : TIMELINE.segments()) {
            Time<Axis.Take> end = at.plus(s.duration()).plus(Length.ofSeconds(by.getOrDefault(s.id(), 0.0)));
            placed.add(new Match.Placed(s.id(), s.duration(), "t", at, end, at, end, 0, 0, false, false));
            at = end;
        }
        Match.Take take = new Match.Take("t", "t.mp4", at.since(Time.zero()), null, 0, List.of());
        return new Match(List.of(take), placed, List.of(), Map.of());
    }

    private static List<Finding> findings(Match match, MatchNotes notes) {
        return DoneCheck.findings(TIMELINE, match, notes).stream()
                .filter(f -> f.code().equals("match.long") || f.code().equals("match.short"))
                .toList();
    }

    @Test
    void aSetOfRepetitionsPromisesNoSeconds() {
        Match m = longer(Map.of("top/goblet-squat/r2", 6.0, "top/goblet-squat/r2/rest", -6.0));
        assertThat(findings(m, MatchNotes.NONE)).isEmpty();
    }

    @Test
    void aMinuteIsPromisedAsAWhole() {
        Match m = longer(Map.of("top/goblet-squat/r2", 6.0));
        assertThat(findings(m, MatchNotes.NONE)).singleElement().satisfies(f -> {
            assertThat(f.code()).isEqualTo("match.long");
            assertThat(f.message()).startsWith("Minute 2 of Top lasts 66.0 s, 6.0 s more than the 60.0 s");
        });
        List<Match.Placed> without = m.segments().stream()
                .map(p -> p.id().equals("top/goblet-squat/r2")
                        ? new Match.Placed(p.id(), p.planned(), null, null, null, null, null, 1, 1, false, false)
                        : p)
                .toList();
        assertThat(findings(new Match(m.takes(), without, m.unplanned(), m.reps()), MatchNotes.NONE))
                .as("nobody knows how long a minute was whose set is missing")
                .isEmpty();
    }

    @Test
    void workOnTheClockPromisesItsSeconds() {
        assertThat(findings(longer(Map.of("a/push-up", 5.0)), MatchNotes.NONE))
                .extracting(Finding::code, Finding::severity)
                .containsExactly(org.assertj.core.groups.Tuple.tuple("match.long", Finding.Severity.FIX));
        assertThat(findings(longer(Map.of("a/push-up", 5.0)), MatchNotes.NONE.withRule(LengthRule.CLOCK)))
                .isEmpty();
    }

    @Test
    void whatIsCutOfALongRestIsNotTooLong() {
        Match m = longer(Map.of("a/push-up/rest", 40.0));
        assertThat(findings(m, MatchNotes.NONE)).singleElement().satisfies(f -> assertThat(f.fix())
                .contains("Cuts"));
        Time<Axis.Take> from = m.segment("a/push-up/rest").orElseThrow().start().plus(Length.ofSeconds(10));
        Span<Axis.Take> out = new Span<>(from, from.plus(Length.ofSeconds(40)));
        Match offered = new Match(
                m.takes(), m.segments(), List.of(new Match.Unplanned("t", out, Match.Unplanned.LONG_REST)), m.reps());
        assertThat(findings(offered, MatchNotes.NONE))
                .as("offered, not yet cut")
                .hasSize(1);
        MatchNotes cut = MatchNotes.NONE.withCut(new MatchNotes.CutDecision("t", out, true));
        assertThat(findings(offered, cut)).isEmpty();
    }
}
