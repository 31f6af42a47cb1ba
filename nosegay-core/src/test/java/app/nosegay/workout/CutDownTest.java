package app.nosegay.workout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.captions.Caption;
import app.nosegay.captions.TimedText;
import app.nosegay.cut.MatchNotes;
import app.nosegay.cut.Muting;
import app.nosegay.cut.SecondCamera;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Pin;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Segment;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Shorter versions of what was filmed. */
class CutDownTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    private static final String SHEET = """
            title: Three Beds
            promise: about 9 min, 5 moves

            talk Welcome  0:20
            warm-up  each 0:30
              arm circles
            circuit One  rounds 2  work 0:40  rest 0:20
              goblet squat
              push-up
            rest 0:30
            circuit Two  rounds 1  work 0:40  rest 0:20
              reverse lunge
              plank
            rest 0:30
            straight-sets Three  sets 2  reps 8  rest 0:20
              kettlebell deadlift
            cool-down  each 0:20
              calf stretch
            talk Goodbye  0:10
            """;

    /** The plan done as planned and pinned, from two seconds into the recording on, with what was said. */
    private static Programme filmed(Caption... said) {
        Workout.TakeRef ref = new Workout.TakeRef("take-1", "take-1.mp4", 1, 2000, "f", null, null);
        Programme plan = Programme.of(Workout.EMPTY.withSheet(SHEET), List.of(), List.of(), LIBRARY);
        List<Pin> pins = new ArrayList<>();
        for (Segment s : plan.timeline().segments()) {
            pins.add(new Pin(
                    s.id(), false, "take-1", Time.ofSeconds(2 + s.start().seconds())));
            pins.add(new Pin(s.id(), true, "take-1", Time.ofSeconds(2 + s.end().seconds())));
        }
        TakeEvidence take = new TakeEvidence(
                "take-1",
                "take-1.mp4",
                plan.timeline().total().plus(Length.ofSeconds(10)),
                List.of(),
                List.of(),
                Trace.NONE,
                Trace.NONE,
                null,
                List.of(said));
        Workout workout = Workout.EMPTY.withSheet(SHEET).withTakes(List.of(ref), pins);
        return Programme.of(workout, List.of(take), List.of(), LIBRARY);
    }

    private static Programme programme(Programme whole, CutDown version) {
        return Programme.of(version.workout(), whole.evidence(), whole.logs(), LIBRARY);
    }

    @Test
    void wholeBlocksOfWorkAreLeftOutAndTheOthersStayWhereTheyWere() {
        Programme whole = filmed();
        CutDown version = CutDown.of(whole, 6).orElseThrow();
        Programme shorter = programme(whole, version);
        assertThat(version.leftOut()).isNotEmpty().isSubsetOf("One", "Two", "Three");
        assertThat(shorter.timeline().sheet().problems()).isEmpty();
        assertThat(shorter.timeline().sheet().blocks())
                .extracting(RunSheet.Block::kind)
                .contains(BlockKind.WARM_UP, BlockKind.COOL_DOWN)
                .startsWith(BlockKind.TALK)
                .endsWith(BlockKind.TALK);
        // A rest has another number where the one before it is left out; it stays where it was all the same.
        List<Time<?>> starts = new ArrayList<>();
        whole.match().segments().forEach(p -> starts.add(p.start()));
        assertThat(shorter.match().segments()).allSatisfy(p -> {
            assertThat(starts).contains(p.start());
            assertThat(p.end().since(p.start()).seconds()).isCloseTo(p.planned().seconds(), within(0.01));
        });
        assertThat(shorter.cut().total().seconds()).isCloseTo(version.length().seconds(), within(1.0));
        assertThat(shorter.timeline().sheet().header().title()).startsWith("Three Beds, ");
    }

    /** Never longer than asked for, and longer where more is asked for. */
    @Property(tries = 12)
    void itIsTheLongestThatIsShortEnough(@ForAll @IntRange(min = 1, max = 12) int minutes) {
        Programme whole = filmed();
        Optional<CutDown> version = CutDown.of(whole, minutes);
        if (version.isPresent()) {
            assertThat(version.get().length().seconds()).isLessThanOrEqualTo(60.0 * minutes + 15);
            CutDown.of(whole, minutes + 1).ifPresent(longer -> assertThat(longer.length())
                    .isGreaterThanOrEqualTo(version.get().length()));
        }
        assertThat(CutDown.of(whole, 30)).as("all of it fits").isEmpty();
    }

    @Test
    void whatIsNotTrueAnyMoreIsTold() {
        Caption said = new Caption(Time.ofSeconds(8), Time.ofSeconds(10), "We have five moves today.");
        Programme whole = filmed(said);
        assertThat(whole.matchFindings()).extracting(Finding::code).doesNotContain("match.wrong-number");
        CutDown version = CutDown.of(whole, 5).orElseThrow();
        List<Finding> news = CutDown.becomesFalse(whole, programme(whole, version));
        assertThat(news).extracting(Finding::code).contains("match.wrong-number");
        assertThat(CutDown.becomesFalse(whole, whole)).isEmpty();
    }

    @Test
    void theSentenceThatIsNotTrueAnyMoreIsMutedAndNoOther() {
        Caption said = new Caption(
                Time.ofSeconds(8), Time.ofSeconds(14), "Good to see you. We have five moves today. Let's get going.");
        Programme whole = filmed(said);
        CutDown version = CutDown.of(whole, 5).orElseThrow();
        Programme loud = programme(whole, version);
        List<MatchNotes.Mute> untrue = CutDown.untrue(whole, loud);
        assertThat(untrue).singleElement().satisfies(m -> assertThat(Muting.words(loud.heard(), m))
                .isEqualTo("We have five moves today."));
        Workout muted = loud.workout().withMatching(loud.workout().matching().withMutes(untrue));
        Programme quiet = Programme.of(muted, whole.evidence(), whole.logs(), LIBRARY);
        assertThat(CutDown.becomesFalse(whole, quiet)).extracting(Finding::code).doesNotContain("match.wrong-number");
        assertThat(quiet.captions())
                .extracting(TimedText.Cue::text)
                .anyMatch(t -> t.contains("see you"))
                .noneMatch(t -> t.contains("five"));
        assertThat(quiet.match()).as("where everything is").isEqualTo(loud.match());
        assertThat(CutDown.untrue(whole, whole)).isEmpty();
    }

    @Test
    void whatAFindingIsAboutCanBeMuted() {
        Programme wrong = filmed(new Caption(Time.ofSeconds(8), Time.ofSeconds(10), "We have eight moves today."));
        Finding finding = wrong.matchFindings().stream()
                .filter(f -> f.code().equals("match.wrong-number"))
                .findFirst()
                .orElseThrow();
        assertThat(wrong.isOfWords(finding)).isTrue();
        Programme muted = Programme.of(wrong.muted(finding), wrong.evidence(), wrong.logs(), LIBRARY);
        assertThat(muted.matchFindings()).extracting(Finding::code).doesNotContain("match.wrong-number");
        assertThat(muted.captions()).isEmpty();
        Finding ofPlan = wrong.report().findings().get(0);
        assertThat(wrong.isOfWords(ofPlan)).isFalse();
        assertThat(wrong.muted(ofPlan)).isEqualTo(wrong.workout());
    }

    /** A camera whose recording was taken out of the workout is as if nobody had known of it. */
    @Test
    void aCameraThatIsNotThereShowsNothing() {
        Programme whole = filmed();
        String squats = whole.timeline().intervals().get(2).first().id();
        for (SecondCamera gone : List.of(
                new SecondCamera("gone", "take-1", Length.ZERO, Length.ofSeconds(900)),
                new SecondCamera("take-1", "gone", Length.ZERO, Length.ofSeconds(900)))) {
            Workout workout = whole.workout()
                    .withMatching(whole.workout().matching().withCamera(gone).withChoice(squats, gone.take()));
            Programme of = Programme.of(workout, whole.evidence(), whole.logs(), LIBRARY);
            assertThat(of.cut()).isEqualTo(whole.cut());
            assertThat(of.match()).isEqualTo(whole.match());
        }
    }
}
