package app.nosegay.standins;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.calibration.SpeechCalibration;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.match.Matcher;
import app.nosegay.media.Progress;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.shoot.ShootLog;
import app.nosegay.time.SpeechRate;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The simulated run, and how well the matcher finds its truth again at each level of evidence. */
class PerformanceTest {
    private static final Timeline TIMELINE = SampleSheets.timeline(SampleSheets.wheelbarrow());
    private static final CuePlan CUES = CuePlanner.plan(TIMELINE, MoveLibrary.shipped(), SpeechRate.DEFAULT);

    private static Performance run(long seed, Trouble... troubles) {
        return Performance.of(
                TIMELINE, CUES, seed, troubles.length == 0 ? Set.of() : EnumSet.copyOf(Arrays.asList(troubles)));
    }

    @Test
    void theSameSeedGivesTheSameRunAndAnotherAnother() {
        assertThat(run(5, Trouble.LATE_START).truth("t", "f"))
                .isEqualTo(run(5, Trouble.LATE_START).truth("t", "f"));
        assertThat(run(5, Trouble.LATE_START).truth("t", "f"))
                .isNotEqualTo(run(6, Trouble.LATE_START).truth("t", "f"));
    }

    @Test
    void withoutTroublesEverySegmentLastsAsPlanned() {
        Match truth = run(3).truth("t", "f");
        assertThat(truth.segments())
                .allSatisfy(p -> assertThat(p.drift().abs().seconds()).isLessThan(1e-5));
        assertThat(truth.unplanned()).isEmpty();
    }

    @Test
    void countedSetsHoldTheirReps() {
        Performance p = run(4, Trouble.LATE_START);
        for (Played played : p.played()) {
            if (played.segment().kind() == SegmentKind.WORK && played.segment().reps() != null) {
                assertThat(played.reps())
                        .as(played.segment().id())
                        .hasSize(played.segment().reps());
            }
        }
    }

    @Test
    void troublesDoWhatTheySay() {
        assertThat(run(9, Trouble.HOLD).truth("t", "f").unplanned()).hasSize(1);
        assertThat(run(9, Trouble.NO_TONES).tones()).isEmpty();
        assertThat(run(9, Trouble.NO_BEEPS).beeps()).isEmpty();
        assertThat(run(9, Trouble.MISSED_BEEPS).beeps().size())
                .isLessThan(run(9).beeps().size());
        assertThat(Math.abs(run(9, Trouble.CLOCK_RATE).ratePpm())).isBetween(40.0, 120.0);
        long late = run(9, Trouble.LATE_START).truth("t", "f").segments().stream()
                .filter(s -> s.performedStart().since(s.start()).seconds() > 0.9)
                .count();
        assertThat(late).isPositive();
        assertThat(Trouble.parse("late-start, hold")).containsExactlyInAnyOrder(Trouble.LATE_START, Trouble.HOLD);
        assertThatThrownBy(() -> Trouble.parse("late-start, gremlins"))
                .hasMessageContaining("\"gremlins\"")
                .hasMessageContaining("no-beeps");
    }

    private enum Level {
        TONES,
        BEEPS,
        WORDS,
        MOTION
    }

    /** The share of boundaries within {@code tolerance} seconds of the truth, over many runs with mixed troubles. */
    private static double share(Level level, double tolerance) {
        int right = 0;
        int all = 0;
        for (long seed = 1; seed <= 25; seed++) {
            Performance p = run(
                    seed, Trouble.LATE_START, Trouble.CLOCK_RATE, seed % 2 == 0 ? Trouble.HOLD : Trouble.MISSED_BEEPS);
            TakeEvidence e = p.evidence("t");
            boolean tones = level == Level.TONES;
            TakeEvidence used = new TakeEvidence(
                    e.id(),
                    e.file(),
                    e.length(),
                    tones ? e.tones() : List.of(),
                    level == Level.BEEPS ? e.beeps() : List.of(),
                    Trace.NONE,
                    level == Level.WORDS ? Trace.NONE : e.motion(),
                    null,
                    level == Level.WORDS ? e.words() : List.of());
            List<ShootLog> logs = new ArrayList<>();
            logs.add(tones ? p.log() : null);
            Match found = Matcher.match(TIMELINE, List.of(used), logs, List.of());
            Match truth = p.truth("t", "f");
            for (int k = 0; k < truth.segments().size(); k++) {
                Match.Placed f = found.segments().get(k);
                Match.Placed t = truth.segments().get(k);
                all++;
                right += f.matched() && Math.abs(f.start().since(t.start()).seconds()) <= tolerance ? 1 : 0;
            }
        }
        System.out.printf("%s: %.1f %% of %d boundaries within %.3f s%n", level, 100.0 * right / all, all, tolerance);
        return right / (double) all;
    }

    @Test
    void syncTonesPlaceEveryBoundaryWithinAFrame() {
        assertThat(share(Level.TONES, 1 / 30.0)).isEqualTo(1);
    }

    @Test
    void beepsPlaceNineInTenWithin150Milliseconds() {
        assertThat(share(Level.BEEPS, 0.15)).isGreaterThanOrEqualTo(0.9);
    }

    @Test
    void wordsPlaceNineInTenWithinASecond() {
        assertThat(share(Level.WORDS, 1.0)).isGreaterThanOrEqualTo(0.9);
    }

    @Test
    void motionPlacesMostWithinTwoSeconds() {
        assertThat(share(Level.MOTION, 2.0)).isGreaterThanOrEqualTo(0.8);
    }

    @Test
    void anEvidenceStreamIsWrittenWithoutAFilm(@TempDir Path folder) throws Exception {
        SimulatedTake.Written written = SimulatedTake.make(
                TIMELINE,
                MoveLibrary.shipped(),
                new SimulatedTake.Run(folder, "take-1", 8, Set.of(Trouble.HOLD)),
                null,
                Progress.NONE);
        assertThat(written.movie()).isNull();
        assertThat(Files.readString(written.transcript())).startsWith("WEBVTT");
        ShootLog log = ShootLog.fromJson(Files.readString(written.log()));
        assertThat(log.entries()).hasSize(TIMELINE.segments().size());
        assertThat(log.sheet()).isEqualTo(SampleSheets.wheelbarrow());
        assertThat(Files.readString(written.truth())).contains("\"troubles\" : [ \"hold\" ]");
    }

    @Test
    void theRateOfSpeechIsHeardFromAMatchedTake() {
        Performance p = run(9);
        TakeEvidence take = p.evidence("t");
        var heard = SpeechCalibration.of(TIMELINE, p.truth("t", "f"), List.of(take), new SpeechRate(9, 9))
                .orElseThrow();
        assertThat(heard.atRest()).isBetween(4.4, 4.6);
        assertThat(heard.working()).isBetween(4.2, 4.4);
        assertThat(SpeechCalibration.of(TIMELINE, Match.NOTHING, List.of(take), SpeechRate.DEFAULT))
                .isEmpty();
    }
}
