package app.nosegay.bench;

import app.nosegay.bench.accuracy.Accuracy;
import app.nosegay.bench.accuracy.FilmedAccuracy;
import app.nosegay.bench.accuracy.FindingAccuracy;
import app.nosegay.bench.accuracy.LoudnessSignals;
import app.nosegay.bench.accuracy.OtherPresenter;
import app.nosegay.bench.accuracy.RepAccuracy;
import app.nosegay.bench.accuracy.VoiceAccuracy;
import app.nosegay.bench.calls.CallSheet;
import app.nosegay.bench.calls.TranscriptForms;
import app.nosegay.bench.sight.SightAccuracy;
import app.nosegay.evidence.SoundLevels;
import app.nosegay.jobs.Demo;
import app.nosegay.jobs.Libraries;
import app.nosegay.library.MoveLibrary;
import app.nosegay.media.Progress;
import app.nosegay.media.TakeReader;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.standins.GuideVoice;
import app.nosegay.standins.Trouble;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/**
 * {@code nosegay bench --accuracy}: how far from the truth the matcher, the counter, the ear for calls, the findings and the meter
 * are.
 */
final class AccuracyBench {
    /** Runs of each trouble alone, per plan. */
    private static final int ALONE = 5;

    private static final int FINDING_SEEDS = 10;
    private static final int REP_RUNS = 24;
    private static final int OTHER_SEEDS = 12;
    /** What reads joints was made by the takes from 0 to 15; these were left out. */
    private static final int FIRST_SOLID = 100;

    private static final int SOLID_TAKES = 10;

    private final PrintWriter out;

    AccuracyBench(PrintWriter out) {
        this.out = out;
    }

    /** Everything, weakest evidence included; {@code folder} is for films and is left full. */
    void rows(int runs, Path folder) throws IOException {
        calls();
        loudness(folder);
        voices();
        reps();
        findings();
        Accuracy.table(Demo.sheets(), runs, ALONE, this::line);
        line("another figure, MOTION within 2.000 s: %s", OtherPresenter.errors(Demo.sheets(), OTHER_SEEDS));
        FilmedAccuracy.table(folder, GuideVoice.loaded(), this::line);
    }

    private void line(String line) {
        out.println(line);
        out.flush();
    }

    private void line(String form, Object... values) {
        line(String.format(Locale.ROOT, form, values));
    }

    private void calls() throws IOException {
        for (boolean leftOut : new boolean[] {false, true}) {
            for (TranscriptForms.Form form : TranscriptForms.Form.values()) {
                CallSheet.Score score = CallSheet.score(
                        CallSheet.names(leftOut), form, Libraries.current().names());
                line(
                        "calls, sheets %-9s %-20s precision %.3f, recall %.3f, balance %.3f of %d",
                        leftOut ? "left out," : "learnt,",
                        form.name().toLowerCase(Locale.ROOT).replace('_', ' ') + ":",
                        score.precision(),
                        score.recall(),
                        score.balance(),
                        score.there());
            }
        }
    }

    private void loudness(Path folder) throws IOException {
        Span<Axis.Take> all = new Span<>(Time.zero(), Time.<Axis.Take>zero().plus(Length.ofSeconds(600)));
        for (LoudnessSignals.Signal signal : LoudnessSignals.PROGRAMME) {
            Path file = LoudnessSignals.write(folder.resolve("signal.wav"), 1000, 0, signal.steps());
            SoundLevels levels =
                    TakeReader.read(file, "t", Progress.NONE).evidence().levels();
            line(
                    "loudness, EBU Tech 3341 signal %d: %+.2f LU off   bar 0.1",
                    signal.number(), levels.integrated(List.of(all)) - signal.lufs());
        }
    }

    /** A voice is heard under music that is this much softer, in decibels. */
    private void voices() throws IOException {
        MoveLibrary library = Libraries.current();
        Timeline timeline = Expansion.expand(RunSheetParser.parse(Demo.sheet(), library), library);
        CuePlan cues = CuePlanner.plan(timeline, library, SpeechRate.DEFAULT);
        VoiceAccuracy.Speech speech = VoiceAccuracy.speech(timeline, cues, GuideVoice.loaded());
        for (double db : new double[] {Double.POSITIVE_INFINITY, 6, 0, -6}) {
            VoiceAccuracy heard = VoiceAccuracy.of(speech, db, 4);
            line(
                    "voice, music %s: precision %.3f, recall %.3f   bar 0.92 at 0 dB   loudness at its best %.3f, %.3f",
                    Double.isInfinite(db) ? "none  " : String.format(Locale.ROOT, "%+2.0f dB", db),
                    heard.precision(),
                    heard.recall(),
                    heard.byLoudness()[0],
                    heard.byLoudness()[1]);
            for (TranscriptForms.Form form :
                    List.of(TranscriptForms.Form.MERGED, TranscriptForms.Form.STRIPPED_AND_MERGED)) {
                VoiceAccuracy.WordPlaces places = VoiceAccuracy.WordPlaces.of(speech, form, db, 4);
                line(
                        "    words of long captions%s within a second: by length %.3f, laid over the voice %.3f",
                        form == TranscriptForms.Form.MERGED ? "" : " without marks",
                        places.byLength(),
                        places.byVoice());
            }
        }
    }

    private void reps() {
        SightAccuracy.table(FIRST_SOLID, SOLID_TAKES, this::line);
        RepAccuracy reps = RepAccuracy.of(1, REP_RUNS);
        line(
                "reps from motion: exact in %.1f %% of %d sets   bar 90; within one in %.1f %%   bar 98",
                100 * reps.exactShare(), reps.sets(), 100 * reps.withinOneShare());
    }

    private void findings() {
        List<Timeline> plans = Demo.sheets().stream()
                .map(s -> Expansion.expand(RunSheetParser.parse(s, Libraries.current()), Libraries.current()))
                .toList();
        for (Trouble trouble : FindingAccuracy.CODES.keySet()) {
            FindingAccuracy told = FindingAccuracy.of(plans, trouble, FINDING_SEEDS);
            line("findings, %-15s told in %d of %d takes   bar 95 %%", trouble.word(), told.told(), told.runs());
        }
        List<Finding> made = FindingAccuracy.ofHonestTakes(plans, FINDING_SEEDS);
        double minutes = FINDING_SEEDS
                * plans.stream().mapToDouble(t -> t.total().seconds()).sum()
                / 60;
        line("findings, honest takes: %d false in %.0f minutes   bar 1 in 10 minutes", made.size(), minutes);
    }
}
