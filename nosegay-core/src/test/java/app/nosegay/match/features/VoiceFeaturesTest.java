package app.nosegay.match.features;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.SyncTone;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.match.Matcher;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlanner;
import app.nosegay.script.ScriptLine;
import app.nosegay.shoot.ShootLog;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Voice activity against the cue plan: a take of which only the sound level is known. */
class VoiceFeaturesTest {
    private static final double HZ = 20;
    private final Timeline timeline = SampleSheets.timeline(
            "title: T\ntalk Hi  0:30\ncircuit A  rounds 2  work 0:40  rest 0:20\n  squat\n  push-up\n "
                    + " reverse lunge  sides halves\ntalk Bye  0:20\n");
    private final List<ScriptLine> lines =
            CuePlanner.plan(timeline, MoveLibrary.shipped(), SpeechRate.DEFAULT).lines();

    /**
     * The script said as planned, the workout starting at {@code start}, each segment longer by {@code stretch}; music under it at
     * {@code bed} dB.
     */
    private TakeEvidence take(double start, double stretch, double bed) {
        Random noise = new Random(4);
        double seconds = start
                + timeline.total().seconds()
                + stretch * timeline.segments().size()
                + 15;
        float[] db = new float[(int) (seconds * HZ)];
        for (int i = 0; i < db.length; i++) {
            db[i] = (float) (bed + 1.5 * noise.nextGaussian());
        }
        for (ScriptLine line : lines) {
            int k = timeline.indexes().get(line.segment());
            double from = start + k * stretch + line.start().seconds();
            for (int i = (int) (from * HZ); i < (from + line.spoken().seconds()) * HZ; i++) {
                db[i] = (float) Math.max(db[i], -24 + 4 * noise.nextGaussian());
            }
        }
        return take(seconds, new Trace(HZ, db), List.of());
    }

    private static TakeEvidence take(double seconds, Trace loudness, List<Caption> words) {
        return new TakeEvidence(
                "t", "t.mp4", Length.ofSeconds(seconds), List.of(), List.of(), loudness, Trace.NONE, null, words);
    }

    private Match match(TakeEvidence take, List<ScriptLine> said) {
        return Matcher.match(timeline, said, List.of(take), Arrays.asList((ShootLog) null), List.of(), Map.of());
    }

    /** The share of starts within the bar for voice and motion, 2 s. */
    private double right(Match m, double start, double stretch) {
        double right = 0;
        for (int k = 0; k < m.segments().size(); k++) {
            Segment s = timeline.segments().get(k);
            double truth = start + k * stretch + s.start().seconds();
            Match.Placed p = m.segments().get(k);
            right += p.matched() && Math.abs(p.start().seconds() - truth) <= 2 ? 1 : 0;
        }
        return right / m.segments().size();
    }

    @Test
    void whenSomebodySpeaksTellsWhereTheWorkoutIs() {
        TakeEvidence take = take(23, 0.5, -58);
        double told = right(match(take, lines), 23, 0.5);
        assertThat(told).isGreaterThanOrEqualTo(0.9);
        assertThat(told - right(match(take, List.of()), 23, 0.5))
                .as("without the script only where somebody begins and ceases to speak")
                .isGreaterThanOrEqualTo(0.3);
    }

    @Test
    void aVoiceThatDoesNotStandOutTellsNothingAndSaysSo() {
        Match m = match(take(23, 0, -27), lines);
        assertThat(m.segments()).allSatisfy(p -> assertThat(p.doubt()).isEqualTo(1));
    }

    @Test
    void whoSaysOtherThingsThanTheScriptIsNotSure() {
        Random random = new Random(9);
        float[] db = new float[(int) ((timeline.total().seconds() + 30) * HZ)];
        for (int i = 0; i < db.length; ) {
            int run = (int) (HZ * (1 + 5 * random.nextDouble()));
            Arrays.fill(db, i, Math.min(db.length, i + run), random.nextBoolean() ? -24 : -58);
            i += run;
        }
        Match m = match(take(timeline.total().seconds() + 30, new Trace(HZ, db), List.of()), lines);
        assertThat(m.segments()).filteredOn(p -> p.doubt() <= 0.1).isEmpty();
    }

    @Test
    void whereTheWordsAreKnownTheySayMoreThanTheirSound() {
        TakeEvidence take = take(23, 0, -58);
        List<Caption> words = List.of(new Caption(
                app.nosegay.time.Time.ofSeconds(30), app.nosegay.time.Time.ofSeconds(32), "hello and welcome"));
        assertThat(VoiceFeatures.of(timeline, lines, take, 4000).isInformative())
                .isTrue();
        assertThat(VoiceFeatures.of(timeline, lines, take.withWords(words), 4000)
                        .isInformative())
                .isFalse();
        assertThat(VoiceFeatures.of(timeline, List.of(), take, 4000).isInformative())
                .isFalse();
    }

    @Test
    void anEmptySoundIsNoVoice() {
        assertThat(VoiceFeatures.of(timeline, lines, take(60, Trace.NONE, List.of()), 1200)
                        .isInformative())
                .isFalse();
        assertThat(VoiceFeatures.of(timeline, lines, take(60, new Trace(HZ, new float[0]), List.of()), 1200)
                        .isInformative())
                .isFalse();
    }

    /** Who says a word a minute is heard as well, and beeps and sync tones are no words. */
    @Test
    void seldomSpeechIsHeardAndSignalsAreNot() {
        float[] db = new float[(int) (600 * HZ)];
        Arrays.fill(db, -54);
        for (int second = 30; second < 600; second += 60) {
            Arrays.fill(db, (int) (second * HZ), (int) ((second + 3) * HZ), -25);
            Arrays.fill(db, (int) ((second + 20) * HZ), (int) ((second + 21) * HZ), -10);
        }
        Arrays.fill(db, (int) (2 * HZ), (int) ((2 + SyncTone.seconds()) * HZ), -8);
        List<TakeEvidence.Beep> beeps = IntStream.range(0, 10)
                .mapToObj(i -> new TakeEvidence.Beep(Time.ofSeconds(50 + 60 * i), Length.ofSeconds(1), 1000, -10))
                .toList();
        TakeEvidence.Tone tone = new TakeEvidence.Tone(Time.ofSeconds(2), new SyncTone.Code(false, 1));
        TakeEvidence take = new TakeEvidence(
                "t",
                "t.mp4",
                Length.ofSeconds(600),
                List.of(tone),
                beeps,
                new Trace(HZ, db),
                Trace.NONE,
                null,
                List.of());
        int bins = Grid.bin(600);
        boolean[] speech = VoiceFeatures.speech(take, bins);
        for (int second = 30; second < 600; second += 60) {
            assertThat(speech[Grid.bin(second + 1.5)]).as("word at " + second).isTrue();
            assertThat(speech[Grid.bin(second + 20.5)]).as("beep behind it").isFalse();
        }
        assertThat(speech[Grid.bin(2.5)]).as("sync tone").isFalse();
        TalkFeatures talk = new TalkFeatures(List.of(), speech, bins);
        assertThat(talk.greeting()).singleElement().satisfies(g -> assertThat(g).isBetween(29.8, 30.2));
        float[] unfinished = talk.unfinished();
        assertThat(unfinished[Grid.bin(572)]).isNegative();
        assertThat(unfinished[Grid.bin(573.5)]).isZero();
    }
}
