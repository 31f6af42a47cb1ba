package app.nosegay.workout;

import app.nosegay.captions.Caption;
import app.nosegay.captions.CaptionText;
import app.nosegay.captions.TimedText;
import app.nosegay.cut.Cut;
import app.nosegay.cut.Edit;
import app.nosegay.cut.MatchNotes;
import app.nosegay.cut.Muting;
import app.nosegay.dress.DressCheck;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Dresser;
import app.nosegay.dress.Dressing;
import app.nosegay.dress.Face;
import app.nosegay.dress.Layout;
import app.nosegay.dress.Piece;
import app.nosegay.evidence.Speakers;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.match.Matcher;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.sheet.Header;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.plan.terms.Presenter;
import app.nosegay.proof.IntervalComparison;
import app.nosegay.proof.PickUps;
import app.nosegay.proof.Proof;
import app.nosegay.publish.Captions;
import app.nosegay.publish.Chapters;
import app.nosegay.publish.PublishCheck;
import app.nosegay.review.AdLib;
import app.nosegay.review.CaptionRepair;
import app.nosegay.review.MatchCheck;
import app.nosegay.review.Misstatement;
import app.nosegay.review.RecordedVoice;
import app.nosegay.review.ReviewResult;
import app.nosegay.review.SoundCheck;
import app.nosegay.review.VoiceOver;
import app.nosegay.review.said.CallTruth;
import app.nosegay.review.said.HeardCall;
import app.nosegay.review.said.ScriptLineMatch;
import app.nosegay.review.said.Spoken;
import app.nosegay.review.seen.SightCheck;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.script.check.ScriptCheck;
import app.nosegay.shoot.ShootLog;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Everything that follows from a workout and the evidence in its takes, stage by stage. Pure: the same inputs give the same programme.
 *
 * @param workout what it follows from
 * @param library the moves it is computed with
 * @param report what is computed of the plan
 * @param scriptFindings what is wrong with the script
 * @param evidence per take, in order
 * @param calls the spoken calls, compared with what was true
 * @param said the scripted lines and where they were said
 * @param repairs corrections of captions worth offering
 * @param misstatements what was said wrong or not at all, with what would be right
 * @param overs lines said again, laid over the slips they mend
 * @param matchFindings what differs between plan, words and recording
 * @param logs per take in the same order; entries may be null
 * @param proof planned, said and shown compared, with the findings of every stage
 */
public record Programme(
        Workout workout,
        MoveLibrary library,
        Timeline timeline,
        PlanReport report,
        CuePlan cues,
        List<Finding> scriptFindings,
        List<TakeEvidence> evidence,
        List<ShootLog> logs,
        Match match,
        List<HeardCall> calls,
        List<ScriptLineMatch> said,
        List<CaptionRepair> repairs,
        List<Misstatement> misstatements,
        List<VoiceOver> overs,
        List<Finding> matchFindings,
        Cut cut,
        Dressing dressing,
        Proof proof) {

    public static Programme of(Workout workout, List<TakeEvidence> takes, List<ShootLog> logs, MoveLibrary library) {
        Timeline timeline = Expansion.expand(RunSheetParser.parse(workout.sheet(), library), library);
        List<TakeEvidence> evidence = workout.matching().seen(Speakers.told(takes, presenters(timeline)));
        PlanReport report = PlanReport.of(timeline, library, workout.settings().costs());
        CuePlan cues = CuePlanner.plan(timeline, library, workout.script());
        List<Finding> scriptFindings =
                ScriptCheck.findings(timeline, cues, workout.script(), library, report.changeOvers());
        MatchNotes notes = notes(workout, evidence);
        List<TakeEvidence> first = ofFirstCamera(evidence, notes);
        List<TakeEvidence> filmed = RecordedVoice.filmed(timeline, first);
        Match match = match(workout, timeline, cues, filmed, ofFilmed(logs, evidence, filmed));
        Cut cut = Cut.of(match, notes);
        // Where everything is does not change with what is muted; what is said does.
        List<TakeEvidence> heard = Muting.heard(first, notes.mutes());
        Spoken spoken = spoken(timeline, cues, match, RecordedVoice.filmed(timeline, heard), library);
        ReviewResult checked = MatchCheck.check(timeline, cues, match, notes, heard, spoken);
        Edit edit = new Edit(timeline, match, cut);
        List<Finding> matchFindings = matchFindings(checked, edit, first, filmed, library);
        List<TimedText.Cue> captions = captions(workout, heard, cut, checked.overs());
        Dresser.RecordedEvidence recorded =
                new Dresser.RecordedEvidence(spoken.lines(), checked.misstatements(), evidence);
        Dressing plain = Dresser.dress(edit, cues, recorded, library, workout.dressing(), Frame.LANDSCAPE);
        Dressing dressing = withCaptions(plain, timeline, captions);
        Proof proof = prove(
                workout,
                edit,
                spoken.calls(),
                List.of(report.findings(), scriptFindings, matchFindings),
                dressing,
                captions);
        return new Programme(
                workout,
                library,
                timeline,
                report,
                cues,
                scriptFindings,
                evidence,
                logs,
                match,
                spoken.calls(),
                spoken.lines(),
                CaptionRepair.of(timeline, match, heard, spoken.lines(), library),
                checked.misstatements(),
                checked.overs(),
                matchFindings,
                cut,
                dressing,
                proof);
    }

    /** What was decided, as far as it is about recordings that are there. */
    private static MatchNotes notes(Workout workout, List<TakeEvidence> takes) {
        return workout.matching().among(takes.stream().map(TakeEvidence::id).collect(Collectors.toSet()));
    }

    /** The takes in which something is matched, seen and heard. */
    private static List<TakeEvidence> ofFirstCamera(List<TakeEvidence> takes, MatchNotes notes) {
        return takes.stream().filter(t -> !notes.isSecondCamera(t.id())).toList();
    }

    private static Spoken spoken(
            Timeline timeline, CuePlan cues, Match match, List<TakeEvidence> heard, MoveLibrary library) {
        List<ScriptLineMatch> said = ScriptLineMatch.of(timeline, cues, match, heard);
        return new Spoken(CallTruth.of(timeline, match, heard, library.names(), said), said);
    }

    /** Of a voice recorded afterwards the takes' own sound says nothing. */
    private static List<Finding> matchFindings(
            ReviewResult checked,
            Edit edit,
            List<TakeEvidence> evidence,
            List<TakeEvidence> filmed,
            MoveLibrary library) {
        Header header = edit.timeline().sheet().header();
        List<Finding> findings = new ArrayList<>(checked.findings());
        if (!header.voiceAfterwards()) {
            findings.addAll(SoundCheck.findings(edit.match(), edit.cut(), evidence, header.voiceOnly()));
        }
        findings.addAll(SightCheck.findings(edit.timeline(), edit.match(), filmed, library));
        return findings;
    }

    private static Match match(
            Workout workout, Timeline timeline, CuePlan cues, List<TakeEvidence> filmed, List<ShootLog> logs) {
        MatchNotes notes = workout.matching();
        return Matcher.match(timeline, cues.lines(), filmed, logs, workout.pins(), notes.takeChoices())
                .withTaps(notes.taps());
    }

    /** The logs of the takes that were filmed: not of a voice that was recorded afterwards. */
    private static List<ShootLog> ofFilmed(
            List<ShootLog> logs, List<TakeEvidence> evidence, List<TakeEvidence> filmed) {
        List<ShootLog> filmedLogs = new ArrayList<>(logs);
        for (int i = evidence.size() - 1; i >= 0; i--) {
            if (i < logs.size() && !filmed.contains(evidence.get(i))) {
                filmedLogs.remove(i);
            }
        }
        return filmedLogs;
    }

    /** All findings: those of plan, script and match in {@code earlier}, and what dressing and publishing add. */
    private static Proof prove(
            Workout workout,
            Edit edit,
            List<HeardCall> calls,
            List<List<Finding>> earlier,
            Dressing dressing,
            List<TimedText.Cue> captions) {
        List<Finding> found = new ArrayList<>();
        earlier.forEach(found::addAll);
        found.addAll(DressCheck.findings(dressing));
        found.addAll(PublishCheck.findings(
                Chapters.of(edit.timeline(), edit.match(), edit.cut()),
                captions,
                !edit.cut().clips().isEmpty()));
        return Proof.of(
                IntervalComparison.of(edit.timeline(), edit.match(), edit.cut(), calls, found),
                found,
                f -> workout.waiver(f).isPresent());
    }

    /** The dressing for another shape of picture, or for another cut of the same takes. */
    public Dressing dressed(Cut other, Frame frame) {
        return withCaptions(
                Dresser.dress(
                        new Edit(timeline, match, other),
                        cues,
                        new Dresser.RecordedEvidence(said, misstatements, evidence),
                        library,
                        workout.dressing(),
                        frame),
                timeline,
                captions(workout, heard(), other, overs));
    }

    /** Where people are on the whole while they work, as a share of the picture's width. */
    public double focus() {
        return dressing.layout().areas().stream()
                .filter(a -> a.stretch().used().contains(Layout.Group.CLOCK))
                .mapToDouble(a -> a.stretch().occupancy().centre())
                .average()
                .orElse(0.5);
    }

    public List<TimedText.Cue> chapters() {
        return Chapters.of(timeline, match, cut);
    }

    /** What to film and to say once more. */
    public PickUps pickUps() {
        List<ScriptLineMatch> open = said.stream()
                .filter(l -> overs.stream()
                        .noneMatch(o -> o.misstatement().say().equals(l.line().text())))
                .toList();
        return PickUps.of(timeline, match, cut, misstatements, open, proof.open());
    }

    /** The takes as they are heard in the finished video: without the words that are muted. */
    public List<TakeEvidence> heard() {
        MatchNotes notes = notes(workout, evidence);
        return Muting.heard(ofFirstCamera(evidence, notes), notes.mutes());
    }

    /** Whether a finding is about words that were said. */
    public boolean isOfWords(Finding finding) {
        return misstatements.stream().anyMatch(m -> m.isSpoken() && finding.equals(m.finding()));
    }

    /** The workout without the words a finding is about. */
    public Workout muted(Finding finding) {
        List<MatchNotes.Mute> mutes = misstatements.stream()
                .filter(m -> m.isSpoken() && finding.equals(m.finding()))
                .flatMap(m -> Muting.clause(heard(), m.take(), m.span()).stream())
                .toList();
        return workout.withMatching(workout.matching().withMutes(mutes));
    }

    /** What was said of the moves that no script had. */
    public List<AdLib> adLibs() {
        return AdLib.of(timeline, match, heard(), said, calls);
    }

    /** Captions from the takes' transcripts; empty where none came with them. */
    public List<TimedText.Cue> captions() {
        return captions(workout, heard(), cut, overs);
    }

    private static List<TimedText.Cue> captions(
            Workout workout, List<TakeEvidence> evidence, Cut cut, List<VoiceOver> overs) {
        Map<String, List<Caption>> transcripts = new LinkedHashMap<>();
        evidence.forEach(e -> transcripts.put(
                e.id(),
                CaptionText.repaired(e.id(), e.words(), workout.matching().repairs())));
        return Captions.of(transcripts, cut, overs);
    }

    private static List<String> presenters(Timeline timeline) {
        return timeline.sheet().header().presenters().stream()
                .map(Presenter::name)
                .toList();
    }

    /** Captions in the picture; where several speak, each with who it is. */
    private static Dressing withCaptions(Dressing dressing, Timeline timeline, List<TimedText.Cue> captions) {
        if (!dressing.notes().shows(DressNotes.Extra.BURNED_CAPTIONS)) {
            return dressing;
        }
        Set<String> speaking = captions.stream()
                .map(TimedText.Cue::speaker)
                .filter(s -> !s.isBlank())
                .collect(Collectors.toCollection(LinkedHashSet::new));
        boolean several = speaking.size() > 1;
        Set<String> known = new LinkedHashSet<>(presenters(timeline));
        known.addAll(speaking);
        List<String> all = List.copyOf(known);
        return dressing.with(captions.stream()
                .map(c -> (Piece) new Piece.Still(
                        c.span(),
                        several && !c.speaker().isBlank()
                                ? new Face.Caption(c.text(), c.speaker(), all.indexOf(c.speaker()))
                                : new Face.Caption(c.text())))
                .toList());
    }
}
