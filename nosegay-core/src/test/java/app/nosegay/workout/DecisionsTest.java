package app.nosegay.workout;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.CaptionText;
import app.nosegay.cut.LengthRule;
import app.nosegay.cut.MatchNotes;
import app.nosegay.cut.SecondCamera;
import app.nosegay.dress.CardTiming;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Face;
import app.nosegay.dress.FrameShape;
import app.nosegay.dress.Layout;
import app.nosegay.dress.Style;
import app.nosegay.evidence.Bodies;
import app.nosegay.library.CueKind;
import app.nosegay.match.Pin;
import app.nosegay.plan.check.ChangeCosts;
import app.nosegay.plan.fit.FitRanges;
import app.nosegay.script.ScriptNotes;
import app.nosegay.script.ScriptNotes.Decided;
import app.nosegay.script.ScriptNotes.Source;
import app.nosegay.script.SpeechStyle;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What hangs on segments survives edits; decisions survive their file. */
class DecisionsTest {
    private static final String SHEET =
            "title: T\ntalk Hi  0:20\ncircuit Ground Work  rounds 2  work 0:40  rest 0:20\n  squat\n "
                    + " push-up\n  single-arm row  sides halves\n";

    private static Workout hanging(String segment) {
        return new Workout(SHEET, List.of(), List.of(new Pin(segment, false, "take-1", Time.ofSeconds(12))))
                .withScript(ScriptNotes.NONE.with(
                        new Decided(segment, "Old words.", CueKind.FORM, "New words.", Length.ofSeconds(3))))
                .withWaiver(new Waiver("plan.overlap " + segment, "meant", "2026-01-01"));
    }

    private static void hangsOn(Workout w, String segment) {
        assertThat(w.pins()).extracting(Pin::segment).containsExactly(segment);
        assertThat(w.script().lines()).extracting(Decided::segment).containsExactly(segment);
        assertThat(w.waivers()).extracting(Waiver::key).containsExactly("plan.overlap " + segment);
    }

    @Test
    void renamingABlockOrAMoveKeepsWhatHangsOnIt() {
        Workout w = hanging("ground-work/push-up/r2");
        hangsOn(w.withSheet(SHEET.replace("Ground Work", "Beds")), "beds/push-up/r2");
        hangsOn(w.withSheet(SHEET.replace("push-up", "incline push-up")), "ground-work/incline-push-up/r2");
        hangsOn(w.withSheet("# a line more\n" + SHEET.replace("Ground Work", "Beds")), "beds/push-up/r2");
    }

    @Test
    void typingANameLetterByLetterKeepsIt() {
        Workout w = hanging("ground-work/push-up/r1");
        for (int cut = 1; cut <= 6; cut++) {
            w = w.withSheet(SHEET.replace("push-up", "push-up".substring(0, 7 - cut)));
        }
        for (String name : List.of("d", "di", "dip", "dip now")) {
            w = w.withSheet(SHEET.replace("push-up", name));
        }
        hangsOn(w, "ground-work/dip-now/r1");
    }

    @Test
    void movingAMoveAndSidesKeepThem() {
        Workout w = hanging("ground-work/single-arm-row/r1/left");
        String moved = "title: T\ntalk Hi  0:20\ncircuit Ground Work  rounds 2  work 0:40  rest 0:20\n  single-arm "
                + "row  sides halves\n  squat\n  push-up\n";
        hangsOn(w.withSheet(moved), "ground-work/single-arm-row/r1/left");
        hangsOn(
                w.withSheet(SHEET.replace("single-arm row", "single-arm press")),
                "ground-work/single-arm-press/r1/left");
    }

    @Test
    void aDeletedLineKeepsItsDecisionsForItsReturn() {
        Workout gone = hanging("ground-work/push-up/r2").withSheet(SHEET.replace("  push-up\n", ""));
        hangsOn(gone.withSheet(SHEET), "ground-work/push-up/r2");
    }

    @Test
    void decisionsSurviveTheFileAndOlderFilesOpen() throws IOException {
        Workout w = hanging("ground-work/push-up/r2")
                .withScript(new ScriptNotes(
                        List.of(new Decided("hi", "a", CueKind.CHEER, "", null)),
                        new SpeechRate(5.1, 4.0),
                        List.of("girls"),
                        List.of(new Source("bone", "a review", "2025")),
                        new SpeechStyle("Begin!", "And relax.", false, List.of("Lovely work."))))
                .withSettings(new Settings(
                        ChangeCosts.ofSeconds(4, 5, 8, 6, 8, 4, 2, 2),
                        new FitRanges(
                                Length.ofSeconds(15),
                                Length.ofSeconds(60),
                                Length.ofSeconds(20),
                                Length.ofSeconds(50),
                                2,
                                4)));
        assertThat(WorkoutJson.read(WorkoutJson.write(w))).isEqualTo(w);
        Workout old = WorkoutJson.read("{\"format\":1,\"sheet\":[\"title: Old\"],\"takes\":[],\"pins\":[]}");
        assertThat(old.sheet()).isEqualTo("title: Old");
        assertThat(old.settings()).isEqualTo(Settings.DEFAULT);
        assertThat(old.script()).isEqualTo(ScriptNotes.NONE);
    }

    @Test
    void matchDecisionsSurviveTheFileAndFollowARenamedBlock() throws IOException {
        Time<Axis.Take> at = Time.ofSeconds(61.5);
        MatchNotes notes = MatchNotes.NONE
                .withRule(LengthRule.CARD)
                .withRule("ground-work/push-up/r2", LengthRule.CLOCK)
                .withChoice("ground-work/push-up/r2", "take-2")
                .withCut(new MatchNotes.CutDecision("take-1", new Span<>(at, at.plus(Length.ofSeconds(4))), true))
                .withTaps("ground-work/push-up/r2", List.of(at))
                .withRepair(new CaptionText.Repair("take-1", at, "goblin", "goblet", true))
                .withMutes(List.of(new MatchNotes.Mute("take-1", new Span<>(at, at.plus(Length.ofSeconds(2))))))
                .withNobody(new MatchNotes.Nobody("take-1", new Bodies.Place(at, 0.31, 0.625)))
                .withCamera(new SecondCamera("take-3", "take-1", Length.ofSeconds(-2.5), Length.ofSeconds(600)));
        Workout w = hanging("ground-work/push-up/r2").withMatching(notes);
        assertThat(WorkoutJson.read(WorkoutJson.write(w))).isEqualTo(w);
        Workout renamed = w.withSheet(SHEET.replace("Ground Work", "Beds"));
        assertThat(renamed.matching().rule("beds/push-up/r2")).isEqualTo(LengthRule.CLOCK);
        assertThat(renamed.matching().choices()).containsEntry("beds/push-up/r2", "take-2");
        assertThat(renamed.matching().taps()).containsKey("beds/push-up/r2");
        assertThat(renamed.matching().mutes()).isEqualTo(notes.mutes());
    }

    @Test
    void dressingDecisionsSurviveTheFileAndFollowARenamedBlock() throws IOException {
        DressNotes notes = DressNotes.NONE
                .withStyle(Style.SHIPPED.get(2))
                .with(DressNotes.Extra.PROGRESS, false)
                .with(DressNotes.Extra.BURNED_CAPTIONS, true)
                .with(new DressNotes.Put(Layout.Group.CLOCK, "ground-work/squat/r1", Layout.Anchor.TOP))
                .with(new DressNotes.Put(Layout.Group.REPS, "", Layout.Anchor.UPPER_RIGHT, FrameShape.TALL))
                .withSound(new DressNotes.Sound(false, true, "bed.wav", "own recording", -21, false, true))
                .withCover(new DressNotes.Cover(
                        "take-1", Time.ofSeconds(71.25), "Big Words", "small words", Layout.Anchor.TOP_RIGHT))
                .with(new CardTiming(
                        "ground-work/squat/r1",
                        Face.CardKind.FORM,
                        "Form Chest tall",
                        Length.ofSeconds(4),
                        Length.ofSeconds(9.5)));
        Workout w = hanging("ground-work/push-up/r2").withDressing(notes);
        assertThat(WorkoutJson.read(WorkoutJson.write(w))).isEqualTo(w);
        assertThat(w.withSheet(SHEET.replace("Ground Work", "Beds")).dressing().places())
                .extracting(DressNotes.Put::scope)
                .containsExactly("beds/squat/r1", "");
        assertThat(w.withSheet(SHEET.replace("Ground Work", "Beds")).dressing().timings("beds/squat/r1"))
                .singleElement()
                .satisfies(t -> assertThat(t.from()).isEqualTo(Length.ofSeconds(4)));
    }
}
