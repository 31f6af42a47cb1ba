package app.nosegay.standins;

import app.nosegay.library.CueKind;
import app.nosegay.shoot.SyncTone;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** The sound in the room, mixed as it goes: voice, beeps, sync tones, room tone. */
final class RoomSound {
    private static final double VOICE = 0.75;
    private static final double BEEP = 0.16;
    private static final double TONE = 0.22;
    /** About −60 dB: a quiet shed. */
    private static final double ROOM = 0.0011;

    private final int sampleRate;
    private final List<Clip> clips = new ArrayList<>();
    private final List<Performance.Spoken> said = new ArrayList<>();
    private final Random noise;
    private double brown;
    private long position;
    private int firstLive;

    private record Clip(long start, float[] samples, double gain) {
        long end() {
            return start + samples.length;
        }
    }

    RoomSound(Performance performance, Voice voice, int sampleRate) throws IOException {
        this.sampleRate = sampleRate;
        this.noise = new Random(performance.runNumber() * 101L + 3);
        List<Time<Axis.Take>> tones = performance.tones();
        for (int i = 0; i < tones.size(); i++) {
            add(tones.get(i), SyncTone.tone(i == 1, performance.runNumber(), sampleRate), TONE);
        }
        for (Performance.Beep b : performance.beeps()) {
            add(b.time(), beep(b.hz(), b.length()), BEEP);
        }
        for (Performance.Spoken s : performance.spoken()) {
            say(s, voice);
        }
        clips.sort((a, b) -> Long.compare(a.start(), b.start()));
    }

    private void add(Time<Axis.Take> time, float[] samples, double gain) {
        clips.add(new Clip(Math.round(time.seconds() * sampleRate), samples, gain));
    }

    private float[] beep(double hz, Length length) {
        int n = (int) Math.round(length.seconds() * sampleRate);
        float[] samples = new float[n];
        int edge = sampleRate / 200;
        for (int i = 0; i < n; i++) {
            double soft = Math.min(1, Math.min((i + 1) / (double) edge, (n - i) / (double) edge));
            samples[i] = (float) (soft
                    * (Math.sin(2 * Math.PI * hz * i / sampleRate)
                            + 0.12 * Math.sin(4 * Math.PI * hz * i / sampleRate)));
        }
        return samples;
    }

    /** Counts are said a word a second; other lines in one breath. */
    private void say(Performance.Spoken line, Voice voice) throws IOException {
        Length longest = Length.ZERO;
        if (line.kind() == CueKind.COUNT) {
            String[] words = line.text().split("[,.]\\s*");
            for (int i = 0; i < words.length; i++) {
                float[] samples = voice.say(words[i] + ".", sampleRate);
                add(line.start().plus(Length.ofSeconds(i)), samples, VOICE);
                longest = Length.ofSeconds(i + samples.length / (double) sampleRate);
            }
        } else {
            float[] samples = voice.say(line.text(), sampleRate);
            add(line.start(), samples, VOICE);
            longest = Length.ofSeconds(samples.length / (double) sampleRate);
        }
        said.add(new Performance.Spoken(line.start(), longest, line.kind(), line.text()));
    }

    /** The lines with the lengths the voice really took. */
    List<Performance.Spoken> said() {
        return said;
    }

    /** Mixes the next {@code count} samples as interleaved stereo. */
    float[] next(int count) {
        float[] out = new float[2 * count];
        for (int i = 0; i < count; i++) {
            brown = 0.98 * brown + noise.nextGaussian();
            out[2 * i] = (float) (ROOM * (0.35 * brown + 0.4 * noise.nextGaussian()));
        }
        while (firstLive < clips.size() && clips.get(firstLive).end() <= position) {
            firstLive++;
        }
        for (int c = firstLive; c < clips.size() && clips.get(c).start() < position + count; c++) {
            Clip clip = clips.get(c);
            int from = (int) Math.max(0, clip.start() - position);
            int to = (int) Math.min(count, clip.end() - position);
            for (int i = from; i < to; i++) {
                out[2 * i] += (float) (clip.gain() * clip.samples()[(int) (position + i - clip.start())]);
            }
        }
        for (int i = 0; i < count; i++) {
            float mono = Math.max(-0.98f, Math.min(0.98f, out[2 * i]));
            out[2 * i] = mono;
            out[2 * i + 1] = mono;
        }
        position += count;
        return out;
    }
}
