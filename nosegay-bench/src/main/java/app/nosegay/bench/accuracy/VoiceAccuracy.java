package app.nosegay.bench.accuracy;

import app.nosegay.bench.calls.TranscriptForms;
import app.nosegay.captions.Caption;
import app.nosegay.evidence.SpokenStretches;
import app.nosegay.evidence.SpokenWords;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.evidence.sound.VoiceListener;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.standins.Voice;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * How well a voice is heard under music, per 32 ms: the lines of a script, said by the stand-in's voice, under synthetic music with drums
 * and beeps of a timer.
 *
 * @param precision of the moments taken for speech, those that are
 * @param recall of the moments of speech, those found
 * @param byLoudness precision and recall of the loudness that would do best, known only afterwards
 */
public record VoiceAccuracy(double precision, double recall, double[] byLoudness) {
    private static final int HZ = VoiceListener.HZ;
    private static final int FRAME = 512;
    private static final double[] CHORD = {196, 246.94, 293.66, 220, 261.63, 329.63, 174.61, 220, 261.63};
    /** Speech is what is less than 30 dB under its own level, the ends of words too: breaths and stops between words are softer. */
    private static final double UNDER = 0.001;

    /**
     * The lines of a script one after the other.
     *
     * @param lines each as long as it took to say
     */
    public record Speech(float[] sound, boolean[] speaks, List<Caption> lines) {}

    public static Speech speech(Timeline timeline, CuePlan cues, Voice voice) throws IOException {
        int n = (int) (timeline.total().seconds() * HZ);
        float[] sound = new float[n];
        List<Caption> lines = new ArrayList<>();
        for (var line : cues.lines()) {
            float[] said = voice.say(line.text(), HZ);
            int at = (int) (line.start().seconds() * HZ);
            for (int i = 0; i < said.length && at + i < n; i++) {
                sound[at + i] += said[i];
            }
            Time<Axis.Take> start = Time.ofSeconds(at / (double) HZ);
            lines.add(new Caption(start, start.plus(Length.ofSeconds(said.length / (double) HZ)), line.text()));
        }
        boolean[] speaks = new boolean[n / FRAME];
        double level = rms(sound);
        for (int f = 0; f < speaks.length; f++) {
            speaks[f] = energy(sound, f) > UNDER * level * level;
        }
        close(speaks);
        return new Speech(sound, speaks, lines);
    }

    /** Stops shorter than a breath belong to the speech around them. */
    private static void close(boolean[] speaks) {
        int last = -FRAME;
        for (int f = 0; f < speaks.length; f++) {
            if (speaks[f]) {
                if (f - last <= 8) {
                    Arrays.fill(speaks, last, f, true);
                }
                last = f;
            }
        }
    }

    /** At {@code db} of the voice over the music, in decibels; without music for infinity. */
    public static VoiceAccuracy of(Speech speech, double db, long seed) {
        float[] mixed = mixed(speech, db, seed);
        boolean[] found = new boolean[speech.speaks().length];
        for (Span<Axis.Take> s : heard(mixed)) {
            Arrays.fill(found, frame(s.start(), found.length), frame(s.end(), found.length), true);
        }
        double[] ours = compared(found, speech.speaks());
        return new VoiceAccuracy(ours[0], ours[1], bestLoudness(mixed, speech.speaks()));
    }

    /**
     * Which share of the words is placed within a second of where it is said, when the lines are put together to captions of up to
     * forty seconds.
     */
    public record WordPlaces(double byLength, double byVoice) {
        /** Under music at {@code db}. */
        public static WordPlaces of(Speech speech, TranscriptForms.Form form, double db, long seed) {
            List<Caption> captions = form.of(speech.lines(), seed);
            return new WordPlaces(
                    near(speech.lines(), captions),
                    near(speech.lines(), SpokenWords.laid(captions, heard(mixed(speech, db, seed)))));
        }

        private static double near(List<Caption> said, List<Caption> placed) {
            List<Caption.Word> truth =
                    said.stream().flatMap(c -> c.words().stream()).toList();
            List<Caption.Word> found =
                    placed.stream().flatMap(c -> c.words().stream()).toList();
            if (truth.size() != found.size()) {
                throw new IllegalArgumentException(truth.size() + " words said, " + found.size() + " placed");
            }
            return IntStream.range(0, truth.size())
                            .filter(i -> Math.abs(found.get(i)
                                            .start()
                                            .since(truth.get(i).start())
                                            .seconds())
                                    <= 1)
                            .count()
                    / (double) truth.size();
        }
    }

    private static float[] mixed(Speech speech, double db, long seed) {
        float[] music = music(speech.sound().length, seed);
        double gain = Double.isInfinite(db) ? 0 : rms(speech.sound()) / rms(music) / Math.pow(10, db / 20);
        float[] mixed = new float[music.length];
        for (int i = 0; i < mixed.length; i++) {
            mixed[i] = (float) (speech.sound()[i] + gain * music[i]);
        }
        return mixed;
    }

    private static List<Span<Axis.Take>> heard(float[] sound) {
        VoiceListener listener = new VoiceListener();
        listener.listen(sound, sound.length);
        return SpokenStretches.of(new TakeEvidence(
                        "t",
                        "t.wav",
                        Length.ofSeconds(sound.length / (double) HZ),
                        List.of(),
                        List.of(),
                        Trace.NONE,
                        Trace.NONE,
                        null,
                        List.of())
                .withVoice(listener.finish()));
    }

    private static int frame(Time<Axis.Take> time, int most) {
        return (int) Math.min(most, Math.round(time.seconds() * HZ / FRAME));
    }

    private static double[] bestLoudness(float[] sound, boolean[] speaks) {
        double[] best = {0, 0};
        double[] levels = new double[speaks.length];
        for (int f = 0; f < levels.length; f++) {
            levels[f] = energy(sound, f);
        }
        double[] sorted = levels.clone();
        Arrays.sort(sorted);
        for (int share = 2; share < 98; share++) {
            boolean[] loud = new boolean[levels.length];
            for (int f = 0; f < levels.length; f++) {
                loud[f] = levels[f] > sorted[sorted.length * share / 100];
            }
            close(loud);
            double[] figures = compared(loud, speaks);
            best = balance(figures) > balance(best) ? figures : best;
        }
        return best;
    }

    private static double balance(double[] figures) {
        double sum = figures[0] + figures[1];
        return sum == 0 ? 0 : 2 * figures[0] * figures[1] / sum;
    }

    private static double[] compared(boolean[] found, boolean[] speaks) {
        int right = 0;
        int told = 0;
        int there = 0;
        for (int f = 0; f < speaks.length; f++) {
            right += found[f] && speaks[f] ? 1 : 0;
            told += found[f] ? 1 : 0;
            there += speaks[f] ? 1 : 0;
        }
        return new double[] {told == 0 ? 0 : right / (double) told, there == 0 ? 0 : right / (double) there};
    }

    private static double energy(float[] sound, int frame) {
        double sum = 0;
        for (int i = frame * FRAME; i < (frame + 1) * FRAME; i++) {
            sum += sound[i] * sound[i];
        }
        return sum / FRAME;
    }

    /** Of what is heard at all. */
    private static double rms(float[] sound) {
        double sum = 0;
        int n = 0;
        for (float v : sound) {
            sum += v * v;
            n += Math.abs(v) > 1e-4 ? 1 : 0;
        }
        return Math.sqrt(sum / Math.max(1, n));
    }

    /** Chords of plucked harmonics, a bass, a drum on each beat, a hiss between, and a timer's beeps. */
    private static float[] music(int n, long seed) {
        Random random = new Random(seed);
        float[] music = new float[n];
        for (int i = 0; i < n; i++) {
            double t = i / (double) HZ;
            double beat = t * 2 % 1;
            int bar = (int) (t / 2) % 3;
            double v = 0.25 * Math.sin(2 * Math.PI * CHORD[3 * bar] / 4 * t);
            for (int c = 0; c < 3; c++) {
                for (int h = 1; h <= 3; h++) {
                    v += 0.2 / h * Math.exp(-2 * (t % 1)) * Math.sin(2 * Math.PI * CHORD[3 * bar + c] * h * t);
                }
            }
            v += 0.7 * Math.exp(-25 * beat / 2) * Math.sin(2 * Math.PI * 55 * t);
            v += 0.12 * Math.exp(-60 * ((beat + 0.5) % 1) / 2) * random.nextGaussian();
            v += t % 20 < 0.2 ? 0.5 * Math.sin(2 * Math.PI * 880 * t) : 0;
            music[i] = (float) v;
        }
        return music;
    }
}
