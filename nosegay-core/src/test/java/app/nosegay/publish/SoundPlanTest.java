package app.nosegay.publish;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.captions.Caption;
import app.nosegay.cut.Cut;
import app.nosegay.dress.DressNotes;
import app.nosegay.evidence.SoundLevels;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.match.Match;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What is done to the sound of a programme, by what was asked for and what the takes hold. */
class SoundPlanTest {
    private static final Timeline TIMELINE = SampleSheets.timeline(
            "title: T\ntalk Hi  0:10\ncircuit A  work 0:20  rest 0:10\n  squat\n  push-up\ntalk Bye  0:05\n");
    private static final DressNotes.Sound USUAL = DressNotes.Sound.USUAL;

    private static Match match() {
        List<Match.Placed> placed = new ArrayList<>();
        for (Segment s : TIMELINE.segments()) {
            Time<Axis.Take> from = Time.ofSeconds(s.start().seconds());
            Time<Axis.Take> to = from.plus(s.duration());
            placed.add(new Match.Placed(s.id(), s.duration(), "t", from, to, from, to, 0, 0, false, false));
        }
        Length length = Length.ofSeconds(TIMELINE.total().seconds() + 2);
        return new Match(
                List.of(new Match.Take("t", "t.mp4", length, null, 0, List.of())), placed, List.of(), Map.of());
    }

    /** A take with speech from 2 to 6 s, that many beeps, and a loudness of {@code lufs} all the time. */
    private static TakeEvidence take(int beeps, float lufs) {
        List<TakeEvidence.Beep> heard = new ArrayList<>();
        for (int i = 0; i < beeps; i++) {
            heard.add(new TakeEvidence.Beep(Time.ofSeconds(5 + 5 * i), Length.ofMillis(200), 880, -20));
        }
        float[] momentary = new float[680];
        Arrays.fill(momentary, lufs);
        float[] peak = new float[680];
        Arrays.fill(peak, lufs + 8);
        Caption words = new Caption(Time.ofSeconds(2), Time.ofSeconds(6), "Hello and welcome.");
        return new TakeEvidence(
                "t",
                "t.mp4",
                Length.ofSeconds(68),
                List.of(),
                heard,
                Trace.NONE,
                Trace.NONE,
                null,
                List.of(words),
                new SoundLevels(new Trace(10, momentary), new Trace(10, peak)));
    }

    private static SoundPlan plan(TakeEvidence take, DressNotes.Sound sound) {
        Match m = match();
        return SoundPlan.of(TIMELINE, m, Cut.of(m), List.of(take), List.of(), sound);
    }

    @Test
    void aQuietVoiceIsLiftedToTheTargetAndALoudOneLowered() {
        assertThat(plan(take(0, -24), USUAL).gainDb().get("t")).isCloseTo(10, within(0.2));
        assertThat(plan(take(0, -8), USUAL).gainDb().get("t")).isCloseTo(-6, within(0.2));
        assertThat(plan(take(0, -50), USUAL).gainDb().get("t"))
                .as("never so far that the room is heard")
                .isEqualTo(20);
        assertThat(plan(take(0, -24), USUAL).ceilingDb()).isLessThan(-1);
    }

    @Test
    void soundThatIsLeftAloneStaysAsItWasRecorded() {
        SoundPlan plan = plan(take(0, -24), new DressNotes.Sound(false, false, "", "", -18, false, false));
        assertThat(plan.gainDb()).isEmpty();
        assertThat(plan.tones()).isEmpty();
        assertThat(plan.ceilingDb()).isZero();
        assertThat(plan.downbeat()).isNull();
    }

    @Test
    void timerSoundsAreMixedInWhereTheRoomHadNone() {
        DressNotes.Sound timer = new DressNotes.Sound(true, true, "", "", -18, false, false);
        SoundPlan plan = plan(take(0, -20), timer);
        double squat = start("a/squat");
        assertThat(plan.tones())
                .extracting(t -> Math.round(t.time().seconds() * 10) / 10.0)
                .contains(squat - 3, squat - 2, squat - 1, squat, squat + 20);
        assertThat(plan.tones().stream().filter(t -> t.hz() == 880))
                .as("one per interval of work")
                .hasSize(2);
        assertThat(plan.tones().stream().filter(t -> t.hz() == 440)).hasSize(2);
        assertThat(plan(take(12, -20), timer).tones())
                .as("the room had a timer")
                .isEmpty();
        assertThat(plan(take(0, -20), USUAL).tones())
                .as("nobody asked for them")
                .isEmpty();
    }

    private static double start(String segment) {
        Match m = match();
        return Cut.of(m)
                .shown(m.segment(segment).orElseThrow())
                .orElseThrow()
                .start()
                .seconds();
    }

    @Test
    void musicStepsBackWhileSomebodySpeaksAndStartsOnTheFirstMove() {
        SoundPlan plan = plan(take(0, -20), USUAL.withMusic("bed.wav"));
        assertThat(plan.music()).isEqualTo("bed.wav");
        assertThat(plan.musicLufs()).isEqualTo(-32);
        assertThat(plan.duckDb()).isNegative();
        assertThat(plan.speech()).hasSize(1);
        Span<Axis.Cut> said = plan.speech().get(0);
        assertThat(said.length().seconds()).isCloseTo(4, within(0.01));
        assertThat(plan.downbeat().seconds()).isCloseTo(start("a/squat"), within(0.01));
    }

    @Test
    void aVoiceOnlyEpisodeHasALowerTarget() {
        Timeline spoken = SampleSheets.timeline("title: T\npicture: voice-only\ntalk Hi  0:10\n");
        Segment s = spoken.segments().get(0);
        Time<Axis.Take> to = Time.ofSeconds(10);
        Match.Placed placed =
                new Match.Placed(s.id(), s.duration(), "t", Time.zero(), to, Time.zero(), to, 0, 0, false, false);
        Match m = new Match(
                List.of(new Match.Take("t", "t.wav", Length.ofSeconds(12), null, 0, List.of())),
                List.of(placed),
                List.of(),
                Map.of());
        SoundPlan plan = SoundPlan.of(spoken, m, Cut.of(m), List.of(take(0, -24)), List.of(), USUAL);
        assertThat(plan.gainDb().get("t")).isCloseTo(8, within(0.2));
    }
}
