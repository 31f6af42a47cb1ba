package app.nosegay.media;

import app.nosegay.dress.SoundPlan;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import java.nio.file.Path;
import java.util.List;

/**
 * Does to the programme's sound what a {@link SoundPlan} says, block by block in order: gain, timer tones, music that steps back under speech, and
 * a limiter that looks 5 ms ahead.
 */
final class SoundMix {
    private static final int HZ = MovieWriter.SOUND_HZ;
    /** The limiter is down before a peak comes … */
    private static final int AHEAD = HZ / 200;
    /** … and comes back in about a tenth of a second. */
    private static final double RELEASE = Math.exp(-1.0 / (0.1 * HZ));

    private static final double TONE_LEVEL = 0.22;
    private static final int SOFT = HZ / 200;
    /** Music steps back and comes again within this time. */
    private static final double DUCK_SECONDS = 0.35;

    private final SoundPlan plan;
    private final float[] music;
    private final double musicGain;
    private final double ceiling;
    private double duck = 1;
    private double reduction = 1;

    SoundMix(SoundPlan plan) throws MediaException {
        this.plan = plan;
        ceiling = Math.pow(10, plan.ceilingDb() / 20);
        music = plan.music().isEmpty() ? new float[0] : SoundReader.mono(Path.of(plan.music()), HZ, Progress.NONE);
        musicGain = gain(music, plan.musicLufs());
    }

    /** What brings {@code sound} near a loudness: its mean square, gated at 30 dB under its peak second, stands for the weighted measure. */
    private static double gain(float[] sound, double lufs) {
        double energy = 0;
        for (float s : sound) {
            energy += s * s;
        }
        double mean = sound.length == 0 ? 0 : energy / sound.length;
        return mean <= 0 ? 0 : Math.pow(10, (lufs + 0.7 - 10 * Math.log10(mean)) / 20);
    }

    boolean isNothing() {
        return plan.gainDb().isEmpty() && plan.tones().isEmpty() && music.length == 0 && plan.ceilingDb() >= 0;
    }

    /**
     * Mixes {@code count} stereo samples of {@code take} that begin at sample {@code position} of the programme; gives them interleaved.
     *
     * @param take whose sound it is, or null for silence
     */
    float[] mix(float[] interleaved, int from, int count, long position, String take) {
        float[] out = new float[count * 2];
        double gain = take == null ? 1 : Math.pow(10, plan.gainDb().getOrDefault(take, 0.0) / 20);
        for (int i = 0; i < count * 2; i++) {
            out[i] = (float) (interleaved[from * 2 + i] * gain);
        }
        tones(out, count, position);
        music(out, count, position);
        limit(out, count);
        return out;
    }

    private void tones(float[] out, int count, long position) {
        for (SoundPlan.Tone tone : plan.tones()) {
            long start = Math.round(tone.time().seconds() * HZ);
            int length = (int) Math.round(tone.length().seconds() * HZ);
            int first = (int) Math.max(0, start - position);
            int last = (int) Math.min(count, start + length - position);
            for (int i = first; i < last; i++) {
                long at = position + i - start;
                double soft = Math.min(1, Math.min(at, length - at) / (double) SOFT);
                float value = (float) (TONE_LEVEL * soft * Math.sin(2 * Math.PI * tone.hz() * at / HZ));
                out[2 * i] += value;
                out[2 * i + 1] += value;
            }
        }
    }

    private void music(float[] out, int count, long position) {
        if (music.length == 0) {
            return;
        }
        double low = Math.pow(10, plan.duckDb() / 20);
        double step = (1 - low) / (DUCK_SECONDS * HZ);
        boolean speaking = false;
        for (int i = 0; i < count; i++) {
            if (i % 480 == 0) {
                speaking = speaks(position + i);
            }
            duck = speaking ? Math.max(low, duck - step) : Math.min(1, duck + step);
            float value = (float) (music[(int) ((position + i) % music.length)] * musicGain * duck);
            out[2 * i] += value;
            out[2 * i + 1] += value;
        }
    }

    private boolean speaks(long sample) {
        double second = sample / (double) HZ + DUCK_SECONDS;
        List<Span<Axis.Cut>> speech = plan.speech();
        for (Span<Axis.Cut> s : speech) {
            if (second >= s.start().seconds()
                    && second - 2 * DUCK_SECONDS < s.end().seconds()) {
                return true;
            }
        }
        return false;
    }

    /** Turns down before a sample over the ceiling comes, and slowly up again behind it; what a block's end hides is held by clipping. */
    private void limit(float[] out, int count) {
        if (plan.ceilingDb() >= 0) {
            return;
        }
        for (int i = 0; i < count; i++) {
            double wanted = 1;
            int until = Math.min(count, i + AHEAD);
            // Only as the window moves can a new peak come in.
            int first = i == 0 ? 0 : until - 1;
            for (int j = first; j < until; j++) {
                double peak = Math.max(Math.abs(out[2 * j]), Math.abs(out[2 * j + 1]));
                wanted = Math.min(wanted, peak > ceiling ? ceiling / peak : 1);
            }
            reduction = wanted < reduction ? wanted : 1 - (1 - reduction) * RELEASE;
            out[2 * i] = clipped(out[2 * i] * reduction);
            out[2 * i + 1] = clipped(out[2 * i + 1] * reduction);
        }
    }

    private float clipped(double value) {
        return (float) Math.max(-ceiling, Math.min(ceiling, value));
    }
}
