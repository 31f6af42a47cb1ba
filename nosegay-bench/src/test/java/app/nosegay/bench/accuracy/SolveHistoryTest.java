package app.nosegay.bench.accuracy;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.jobs.Demo;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.match.Matcher;
import app.nosegay.match.Pin;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.shoot.ShootLog;
import app.nosegay.standins.Performance;
import app.nosegay.standins.Trouble;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The same evidence and pins give the same match, whatever was solved with that evidence before. */
class SolveHistoryTest {
    private static final List<ShootLog> NO_LOG = Arrays.asList((ShootLog) null);

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void aMatchDoesNotDependOnWhatWasSolvedBefore(long seed) throws IOException {
        MoveLibrary library = MoveLibrary.shipped();
        Timeline timeline = Expansion.expand(RunSheetParser.parse(Demo.sheets().get(0), library), library);
        CuePlan cues = CuePlanner.plan(timeline, library, SpeechRate.DEFAULT);
        Performance run = Performance.of(timeline, cues, seed, Set.of(Trouble.LATE_START, Trouble.MISSED_BEEPS));
        Pin pin = new Pin(timeline.segments().get(6).id(), false, "t", Time.ofSeconds(90 + seed));
        Match fresh = match(timeline, cues, silent(run), List.of(pin));
        TakeEvidence used = silent(run);
        match(timeline, cues, used, List.of());
        match(timeline, cues, used, List.of(new Pin(timeline.segments().get(3).id(), true, "t", Time.ofSeconds(60))));
        assertThat(match(timeline, cues, used, List.of(pin))).isEqualTo(fresh);
        // Another script was asked for in between: what it found is none of this one's business.
        match(timeline, CuePlanner.plan(timeline, library, new SpeechRate(3, 3)), used, List.of());
        assertThat(match(timeline, cues, used, List.of(pin))).isEqualTo(fresh);
    }

    /** Voice and motion alone: whether the script is spoken has to be found out. */
    private static TakeEvidence silent(Performance run) {
        TakeEvidence e = run.evidence("t");
        return new TakeEvidence(
                e.id(), e.file(), e.length(), List.of(), List.of(), e.loudness(), e.motion(), e.pose(), List.of());
    }

    private static Match match(Timeline timeline, CuePlan cues, TakeEvidence take, List<Pin> pins) {
        return Matcher.match(timeline, cues.lines(), List.of(take), NO_LOG, pins, Map.of());
    }
}
