package app.nosegay.media;

import app.nosegay.evidence.sound.MusicBeat;
import app.nosegay.publish.SoundPlan;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Does to the programme's sound what a {@link SoundPlan} says, block by block in order: gain, timer tones, music that steps back under
 * speech, and noises turned down, lines said again over what they replace, a limiter that looks 5 ms ahead.
 */
final class SoundMix {
    private static final int HZ = MovieWriter.SOUND_HZ;
    /** The limiter is down before a peak comes … */
    private static final int AHEAD = HZ / 200;
    /** … and comes back in about a tenth of a second. */
    private static final double RELEASE = Math.exp(-1.0 / (0.1 * HZ));

    /** A noise is turned down by 18 dB: to the level of the room, not to a hole in it. */
    private static final double HUSHED = 0.126;

    private static final int HUSH_SOFT = HZ / 25;
    private static final double TONE_LEVEL = 0.22;
    private static final int SOFT = HZ / 200;
    /** Music steps back and comes again within this time. */
    private static final double DUCK_SECONDS = 0.35;

    private final SoundPlan plan;
    private final float[] music;
    private final double musicGain;
    /** Where in the music the programme begins, in samples. */
    private final long musicShift;

    private final List<Line> lines = new ArrayList<>();
    private final double ceiling;
    private double duck = 1;
    private double reduction = 1;

    /** A line said again: its samples, interleaved and already at their level, from a sample of the programme on. */
    private record Line(float[] samples, long start, long end, boolean mutes) {}

    /** @param files the takes' files by id, for lines said again */
    SoundMix(SoundPlan plan, Map<String, Path> files) throws MediaException {
        this.plan = plan;
        // A line of nothing in place of what was said; first, so that what is said again is heard.
        for (Span<Axis.Cut> muted : plan.muted()) {
            lines.add(new Line(new float[0], sample(muted.start()), sample(muted.end()), true));
        }
        for (SoundPlan.Over over : plan.overs()) {
            lines.add(line(over, files));
        }
        ceiling = Math.pow(10, plan.ceilingDb() / 20);
        music = plan.music().isEmpty() ? new float[0] : SoundReader.mono(Path.of(plan.music()), HZ, Progress.NONE);
        musicGain = gain(music, plan.musicLufs());
        musicShift = shift();
    }

    /**
     * What brings {@code sound} near a loudness: its mean square, gated at 30 dB under its peak second, stands for the weighted measure.
     */
    private static double gain(float[] sound, double lufs) {
        double energy = 0;
        for (float s : sound) {
            energy += s * s;
        }
        double mean = sound.length == 0 ? 0 : energy / sound.length;
        return mean <= 0 ? 0 : Math.pow(10, (lufs + 0.7 - 10 * Math.log10(mean)) / 20);
    }

    private Line line(SoundPlan.Over over, Map<String, Path> files) throws MediaException {
        Path file = files.get(over.take());
        if (file == null) {
            throw new MediaException(Path.of(over.take()), MediaText.of("sound-mix.is-missing-a-line-said"));
        }
        float[] all = SoundReader.stereo(file, HZ, Progress.NONE);
        int from =
                (int) Math.min(all.length / 2, Math.round(over.source().start().seconds() * HZ));
        int to = (int) Math.min(all.length / 2, Math.round(over.source().end().seconds() * HZ));
        float[] samples = Arrays.copyOfRange(all, 2 * from, 2 * to);
        double gain = gainOf(over.take());
        for (int i = 0; i < samples.length; i++) {
            double soft = Math.min(1, Math.min(i, samples.length - i) / (2.0 * SOFT));
            samples[i] *= (float) (gain * soft);
        }
        return new Line(samples, sample(over.at().start()), sample(over.at().end()), over.mutes());
    }

    private static long sample(Time<Axis.Cut> time) {
        return Math.round(time.seconds() * HZ);
    }

    private double gainOf(String take) {
        return Math.pow(10, plan.gainDb().getOrDefault(take, 0.0) / 20);
    }

    boolean isNothing() {
        return lines.isEmpty()
                && plan.hushed().isEmpty()
                && plan.gainDb().isEmpty()
                && plan.tones().isEmpty()
                && music.length == 0
                && plan.ceilingDb() >= 0;
    }

    /**
     * Mixes {@code count} stereo samples of {@code take} that begin at sample {@code position} of the programme; gives them interleaved.
     *
     * @param take whose sound it is, or null for silence
     */
    float[] mix(float[] interleaved, int from, int count, long position, String take) {
        float[] out = new float[count * 2];
        double gain = take == null ? 1 : gainOf(take);
        for (int i = 0; i < count * 2; i++) {
            out[i] = (float) (interleaved[from * 2 + i] * gain);
        }
        hush(out, count, position);
        lines.forEach(line -> over(line, out, count, position));
        tones(out, count, position);
        music(out, count, position);
        limit(out, count);
        return out;
    }

    /** As far into the music as brings a beat onto the moment wanted; the least there is. */
    private long shift() {
        Optional<MusicBeat> beat =
                music.length == 0 || plan.downbeat() == null ? Optional.empty() : MusicBeat.of(music, HZ);
        return beat.map(b -> {
                    double period = b.period().seconds();
                    double late = b.first().seconds() - plan.downbeat().seconds();
                    return Math.round((late - Math.floor(late / period) * period) * HZ);
                })
                .orElse(0L);
    }

    private void hush(float[] out, int count, long position) {
        for (Span<Axis.Cut> noise : plan.hushed()) {
            long start = sample(noise.start());
            long end = sample(noise.end());
            int first = (int) Math.max(0, start - HUSH_SOFT - position);
            int last = (int) Math.min(count, end + HUSH_SOFT - position);
            for (int i = first; i < last; i++) {
                long at = position + i;
                double outside = Math.max(0, Math.max(start - at, at - end)) / (double) HUSH_SOFT;
                double gain = HUSHED + (1 - HUSHED) * Math.min(1, outside);
                out[2 * i] *= (float) gain;
                out[2 * i + 1] *= (float) gain;
            }
        }
    }

    /** The programme's own sound goes down and comes back softly; the line stands alone. */
    private static void over(Line line, float[] out, int count, long position) {
        int first = (int) Math.max(0, line.start() - SOFT - position);
        int last = (int) Math.min(count, line.end() + SOFT - position);
        for (int i = first; i < last; i++) {
            long at = position + i - line.start();
            long left = line.end() - position - i;
            double own = line.mutes() ? Math.max(0, Math.min(1, Math.max(-at, -left) / (double) SOFT)) : 1;
            boolean speaks = at >= 0 && 2 * at + 1 < line.samples().length;
            for (int c = 0; c < 2; c++) {
                float value = speaks ? line.samples()[(int) (2 * at) + c] : 0;
                out[2 * i + c] = (float) (out[2 * i + c] * own + value);
            }
        }
    }

    private void tones(float[] out, int count, long position) {
        for (SoundPlan.Tone tone : plan.tones()) {
            long start = sample(tone.time());
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
            float value = (float) (music[(int) ((position + i + musicShift) % music.length)] * musicGain * duck);
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
