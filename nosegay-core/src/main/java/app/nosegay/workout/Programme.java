package app.nosegay.workout;

import app.nosegay.dress.Dresser;
import app.nosegay.dress.Dressing;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Caption;
import app.nosegay.match.Cut;
import app.nosegay.match.Match;
import app.nosegay.match.Matcher;
import app.nosegay.match.TakeEvidence;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Finding;
import app.nosegay.plan.RunSheetParser;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.publish.Captions;
import app.nosegay.publish.Chapters;
import app.nosegay.publish.TimedText;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.script.ScriptCheck;
import app.nosegay.shoot.ShootLog;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Everything that follows from a workout and the evidence in its takes, stage by stage. Pure: the same inputs give the same programme.
 *
 * @param workout what it follows from
 * @param report what is reckoned of the plan
 * @param scriptFindings what is wrong with the script
 * @param evidence per take, in order
 * @param logs per take in the same order; entries may be null
 */
public record Programme(
        Workout workout,
        Timeline timeline,
        PlanReport report,
        CuePlan cues,
        List<Finding> scriptFindings,
        List<TakeEvidence> evidence,
        List<ShootLog> logs,
        Match match,
        Cut cut,
        Dressing dressing) {

    public static Programme of(Workout workout, List<TakeEvidence> evidence, List<ShootLog> logs, MoveLibrary library) {
        Timeline timeline = Expansion.expand(RunSheetParser.parse(workout.sheet(), library), library);
        PlanReport report = PlanReport.of(timeline, library, workout.settings().costs());
        CuePlan cues = CuePlanner.plan(timeline, library, workout.script());
        List<Finding> scriptFindings =
                ScriptCheck.findings(timeline, cues, workout.script(), library, report.changeOvers());
        Match match = Matcher.match(timeline, evidence, logs, workout.pins());
        Cut cut = Cut.of(match);
        return new Programme(
                workout,
                timeline,
                report,
                cues,
                scriptFindings,
                evidence,
                logs,
                match,
                cut,
                Dresser.dress(timeline, match, cut, cues, library));
    }

    /** The findings of plan and script that are not waived, the gravest first. */
    public List<Finding> openFindings() {
        return Stream.concat(report.findings().stream(), scriptFindings.stream())
                .filter(f -> workout.waiver(f).isEmpty())
                .sorted(Comparator.comparing(Finding::severity))
                .toList();
    }

    public List<TimedText.Cue> chapters() {
        return Chapters.of(timeline, match, cut);
    }

    /** Captions from the takes' transcripts; empty where none came with them. */
    public List<TimedText.Cue> captions() {
        Map<String, List<Caption>> transcripts = new LinkedHashMap<>();
        evidence.forEach(e -> transcripts.put(e.id(), e.words()));
        return Captions.of(transcripts, cut);
    }
}
