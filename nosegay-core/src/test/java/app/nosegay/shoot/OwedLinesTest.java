package app.nosegay.shoot;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.CueKind;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.shoot.OwedLines.Ear;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is owed while the clock runs, in virtual time. */
class OwedLinesTest {
    private static final Timeline TIMELINE = SampleSheets.timeline(
            "title: T\ntalk Hi  0:10\ncircuit A  work 0:40  rest 0:20\n  goblet squat\n  push-up\n");
    private static final Segment SQUAT = TIMELINE.segments().stream()
            .filter(s -> s.kind() == SegmentKind.WORK)
            .findFirst()
            .orElseThrow();
    private static final ScriptLine PROMISE = line(CueKind.FORM, "I'll call it at half-way.", 2, 2);
    private static final ScriptLine EASIER = line(CueKind.EASIER, "Easier: sit back to a chair.", 5, 3);
    private static final ScriptLine CHEER = line(CueKind.CHEER, "Good, keep going, lovely work.", 9, 3);
    private static final ScriptLine HALF = line(CueKind.TIME, "Half-way.", 20, 1);
    private static final CuePlan CUES = new CuePlan(List.of(PROMISE, EASIER, CHEER, HALF), List.of(), List.of());

    private final OwedLines owed = new OwedLines(TIMELINE, CUES);

    private static ScriptLine line(CueKind kind, String text, double at, double spoken) {
        return new ScriptLine(SQUAT.id(), kind, text, into(at), Length.ofSeconds(spoken));
    }

    /** So many seconds into the squat. */
    private static Time<Axis.Plan> into(double seconds) {
        return SQUAT.start().plus(Length.ofSeconds(seconds));
    }

    private void run(double from, double to, Ear ear) {
        for (int i = 0; i <= Math.round((to - from) * 10); i++) {
            owed.at(into(from + i / 10.0), ear);
        }
    }

    private ScriptLine due() {
        return owed.now().map(OwedLines.Owed::line).orElse(null);
    }

    @Test
    void anOptionIsOwedFromItsSecondUntilItIsSaid() {
        run(0, 4.9, Ear.QUIET);
        assertThat(due()).isNull();
        run(4.9, 12, Ear.QUIET);
        assertThat(due()).isEqualTo(EASIER);
        // Said late, while the cheer was due: the cheer needs three seconds of it, the option gets the rest.
        run(12, 17, Ear.VOICE);
        assertThat(due()).isNull();
    }

    @Test
    void whatIsSaidInTimeIsNeverOwed() {
        run(0, 4.5, Ear.QUIET);
        run(4.5, 7, Ear.VOICE);
        run(7, 40, Ear.QUIET);
        assertThat(owed.missed()).containsExactly(HALF);
    }

    @Test
    void aPromisedCallIsOwedAsOneAndOnlyForAMoment() {
        run(0, 20.1, Ear.QUIET);
        owed.said();
        assertThat(owed.now()).hasValueSatisfying(o -> {
            assertThat(o.line()).isEqualTo(HALF);
            assertThat(o.promised()).isTrue();
        });
        run(20.1, 25, Ear.QUIET);
        assertThat(due()).isNull();
        assertThat(owed.missed()).containsExactly(HALF);
    }

    @Test
    void whereNobodyListensALineIsShownForAMomentAndNothingIsHeldAgainstAnyone() {
        run(0, 10, Ear.NONE);
        assertThat(due()).isEqualTo(EASIER);
        run(10, 15, Ear.NONE);
        assertThat(due()).isNull();
        run(15, 60, Ear.NONE);
        assertThat(owed.missed()).isEmpty();
    }

    @Test
    void anIntervalBegunAgainOwesItsLinesAgainAndARunFromTheMiddleNoneBefore() {
        run(4, 9, Ear.VOICE);
        run(0, 12, Ear.QUIET);
        assertThat(due()).isEqualTo(EASIER);

        OwedLines later = new OwedLines(TIMELINE, CUES);
        later.at(into(30), Ear.QUIET);
        later.at(into(45), Ear.QUIET);
        assertThat(later.missed()).isEmpty();
    }

    @Test
    void aVoiceIsTakenForOneAboveTheRoomAndAFanIsNotForLong() {
        VoiceMeter meter = new VoiceMeter();
        for (int i = 0; i < 100; i++) {
            assertThat(meter.hear(0.01, 0.02)).isFalse();
        }
        assertThat(meter.hear(0.2, 0.02)).isTrue();
        assertThat(meter.hear(0, 0.02)).isFalse();
        // As loud all the time: the room has got louder.
        boolean voice = true;
        for (int i = 0; i < 50 * 200; i++) {
            voice = meter.hear(0.05, 0.02);
        }
        assertThat(voice).isFalse();
        assertThat(new VoiceMeter().hear(0.001, 0.02)).isFalse();
    }
}
