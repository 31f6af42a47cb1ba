package app.nosegay.match;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

/** Which of several times a segment was done is used, and why. */
class TakeChoiceTest {
    private final Timeline timeline =
            SampleSheets.timeline("title: T\ncircuit A  rounds 1  work 0:40  rest 0:20\n  squat\n  push-up\n  plank\n");

    private static TakeEvidence take(String id, Caption... words) {
        return new TakeEvidence(
                id,
                id + ".mp4",
                Length.ofSeconds(900),
                List.of(),
                List.of(),
                Trace.NONE,
                Trace.NONE,
                null,
                List.of(words));
    }

    private static SegmentOccurrence occurrence(int segment, double from, double length, double doubt) {
        return new SegmentOccurrence(segment, from, from + length, doubt, doubt, false, false, false);
    }

    private static TakeSolver.Found found(SegmentOccurrence... occurrences) {
        return new TakeSolver.Found(List.of(occurrences), null, false, null);
    }

    private TakeChoice choice(List<TakeEvidence> takes, Map<String, String> wanted, TakeSolver.Found... found) {
        return new TakeChoice(timeline, takes, List.of(found), List.of(), wanted);
    }

    private int squat() {
        return timeline.indexes()
                .get(timeline.segments().stream()
                        .filter(s -> s.kind() == SegmentKind.WORK && "squat".equals(s.move()))
                        .findFirst()
                        .orElseThrow()
                        .id());
    }

    @Test
    void theLaterOfTwoThatAreAlikeIsUsed() {
        TakeChoice choice = choice(
                List.of(take("one"), take("two")),
                Map.of(),
                found(occurrence(squat(), 10, 40, 0.1)),
                found(occurrence(squat(), 12, 40, 0.1)));
        assertThat(choice.chosen(squat()).take()).isEqualTo(1);
        assertThat(choice.others(squat())).hasSize(1);
        assertThat(choice.reason(squat())).isEqualTo("two: the last one made");
    }

    @Test
    void aWholeOneIsUsedBeforeALaterOneCutShort() {
        TakeChoice choice = choice(
                List.of(take("one"), take("two")),
                Map.of(),
                found(occurrence(squat(), 10, 40, 0.1)),
                found(occurrence(squat(), 12, 20, 0.1)));
        assertThat(choice.chosen(squat()).take()).isZero();
        assertThat(choice.reason(squat())).contains("one: whole, where another is cut short");
    }

    @Test
    void aCleanOneIsUsedBeforeALaterOneWithAFluff() {
        Caption fluff = new Caption(Time.ofSeconds(20), Time.ofSeconds(22), "sorry, let me start again");
        TakeChoice choice = choice(
                List.of(take("one"), take("two", fluff)),
                Map.of(),
                found(occurrence(squat(), 10, 40, 0.1)),
                found(occurrence(squat(), 12, 40, 0.1)));
        assertThat(choice.chosen(squat()).take()).isZero();
        assertThat(choice.reason(squat())).contains("without the fluff");
    }

    @Test
    void whatTheUserWantsIsUsedWhateverSpeaksAgainstIt() {
        String id = timeline.segments().get(squat()).id();
        TakeChoice choice = choice(
                List.of(take("one"), take("two")),
                Map.of(id, "two"),
                found(occurrence(squat(), 10, 40, 0)),
                found(occurrence(squat(), 12, 15, 0.9)));
        assertThat(choice.chosen(squat()).take()).isEqualTo(1);
    }

    @Test
    void aSliverIsNotATimeItWasDone() {
        TakeChoice choice = choice(List.of(take("one")), Map.of(), found(occurrence(squat(), 10, 2, 0.1)));
        assertThat(choice.chosen(squat())).isNull();
        assertThat(choice.others(squat())).isEmpty();
        assertThat(choice.reason(squat())).isNull();
    }

    /** Of segments done in both takes the neighbours come from one of them, unless one is clearly worse. */
    @Property(tries = 100)
    void oneTakeIsKeptToWhereNothingSpeaksAgainstIt(
            @ForAll @Size(5) List<@DoubleRange(min = 0, max = 0.05) Double> doubts) {
        List<SegmentOccurrence> first = new ArrayList<>();
        List<SegmentOccurrence> second = new ArrayList<>();
        double at = 5;
        for (int k = 0; k < timeline.segments().size() && k < doubts.size(); k++) {
            double length = timeline.segments().get(k).duration().seconds();
            first.add(occurrence(k, at, length, doubts.get(k)));
            second.add(occurrence(k, at, length, doubts.get(doubts.size() - 1 - k)));
            at += length;
        }
        TakeChoice choice = new TakeChoice(
                timeline,
                List.of(take("one"), take("two")),
                List.of(
                        new TakeSolver.Found(first, null, false, null),
                        new TakeSolver.Found(second, null, false, null)),
                List.of(),
                Map.of());
        for (int k = 0; k < first.size(); k++) {
            assertThat(choice.chosen(k).take()).as("segment %s", k).isEqualTo(1);
        }
    }
}
