package app.nosegay.standins;

import app.nosegay.evidence.SyncTone;
import app.nosegay.library.CueKind;
import app.nosegay.media.Progress;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.Set;

/** The sound in the room, mixed as it goes: voice, beeps, sync tones, room tone. */
final class RoomSound {
    private static final double VOICE = 0.75;
    private static final double BEEP = 0.16;
    private static final double TONE = 0.22;
    /** About −60 dB: a quiet shed. */
    private static final double ROOM = 0.0011;

    /** A microphone three rooms away: about −26 dB. */
    private static final double QUIET = 0.05;
    /** An overdriven input. */
    private static final double OVERDRIVE = 7;

    private static final double MUSIC = 0.26;
    private static final double STEP = 0.5;
    /** Two steps a second. */
    private static final double STEP_EVERY = 0.5;

    private static final double BEAT_SECONDS = 0.5;
    private static final double[] CHORD_HZ = {196, 246.94, 293.66, 220, 261.63, 329.63};

    /** Between two lines, at the least. */
    private static final Length BREATH = Length.ofMillis(150);

    private final int sampleRate;
    private final List<Clip> clips = new ArrayList<>();
    private final List<Spoken> said = new ArrayList<>();
    private final Random noise;
    private final Set<Trouble> troubles;
    private final double voiceGain;
    private double brown;
    private long position;
    private int firstLive;

    private record Clip(long start, float[] samples, double gain) {
        long end() {
            return start + samples.length;
        }
    }

    /** Has the voice say all lines; {@code progress} hears the share that is said. */
    RoomSound(Performance performance, Voice voice, int sampleRate, Progress progress) throws IOException {
        this.sampleRate = sampleRate;
        this.noise = new Random(performance.runNumber() * 101L + 3);
        List<Time<Axis.Take>> tones = performance.tones();
        for (int i = 0; i < tones.size(); i++) {
            add(tones.get(i), SyncTone.tone(i == 1, performance.runNumber(), sampleRate), TONE);
        }
        for (RoomBeep b : performance.beeps()) {
            add(b.time(), beep(b.hz(), b.length(), sampleRate), BEEP);
        }
        troubles = performance.troubles();
        voiceGain = troubles.contains(Trouble.QUIET_VOICE) ? VOICE * QUIET : VOICE;
        if (troubles.contains(Trouble.FOOTSTEPS)) {
            steps(performance);
        }
        speak(performance.spoken(), voice, progress);
        clips.sort((a, b) -> Long.compare(a.start(), b.start()));
    }

    private void add(Time<Axis.Take> time, float[] samples, double gain) {
        clips.add(new Clip(Math.round(time.seconds() * sampleRate), samples, gain));
    }

    /** A beep of the interval clock: soft edges, a little of its octave. */
    static float[] beep(double hz, Length length, int sampleRate) {
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

    /**
     * Calls keep their second. Other lines wait for the one before to end; one that would still run into the next call starts as much
     * earlier as it can, and is left unsaid where that is not enough, as a presenter would.
     */
    private void speak(List<Spoken> lines, Voice voice, Progress progress) throws IOException {
        List<Spoken> inOrder =
                lines.stream().sorted(Comparator.comparing(Spoken::start)).toList();
        Time<Axis.Take> free = Time.zero();
        for (int i = 0; i < inOrder.size(); i++) {
            progress.at(i / (double) inOrder.size());
            Spoken line = inOrder.get(i);
            if (line.kind() == CueKind.COUNT) {
                free = count(line, voice);
                continue;
            }
            float[] samples = voice.say(line.text(), sampleRate);
            Length takes = Length.ofSeconds(samples.length / (double) sampleRate);
            Time<Axis.Take> start = line.start();
            if (!line.isCall()) {
                Time<Axis.Take> latest = nextCall(inOrder, i).minus(takes).minus(BREATH);
                start = Time.max(free, Time.min(start, latest));
                if (start.isAfter(latest)) {
                    continue;
                }
            }
            add(start, samples, voiceGain);
            said.add(new Spoken(start, takes, line.kind(), line.text()));
            free = start.plus(takes).plus(BREATH);
        }
    }

    private static Time<Axis.Take> nextCall(List<Spoken> lines, int from) {
        return lines.subList(from + 1, lines.size()).stream()
                .filter(Spoken::isCall)
                .findFirst()
                .map(Spoken::start)
                .orElse(new Time<>(Long.MAX_VALUE / 2));
    }

    /** Says a count, a word a second; gives when it is over. */
    private Time<Axis.Take> count(Spoken line, Voice voice) throws IOException {
        String[] words = line.text().split("[,.]\\s*");
        Length longest = Length.ZERO;
        for (int i = 0; i < words.length; i++) {
            float[] samples = voice.say(words[i] + ".", sampleRate);
            add(line.start().plus(Length.ofSeconds(i)), samples, voiceGain);
            longest = Length.ofSeconds(i + samples.length / (double) sampleRate);
        }
        said.add(new Spoken(line.start(), longest, line.kind(), line.text()));
        return line.start().plus(longest).plus(BREATH);
    }

    /** The lines with the lengths the voice really took. */
    List<Spoken> said() {
        return said;
    }

    /** Heavy steps while someone moves. */
    private void steps(Performance performance) {
        int n = sampleRate / 12;
        for (Played p : performance.played()) {
            double end = p.performedEnd().seconds();
            for (double at = p.performedStart().seconds();
                    p.segment().kind().isMoving() && at < end;
                    at += STEP_EVERY) {
                float[] thump = new float[n];
                for (int i = 0; i < n; i++) {
                    double fade = Math.exp(-6.0 * i / n);
                    thump[i] =
                            (float) (fade * (Math.sin(2 * Math.PI * 85 * i / sampleRate) + 0.3 * noise.nextGaussian()));
                }
                add(Time.ofSeconds(at), thump, STEP);
            }
        }
    }

    /** A made-up bed: two chords of plucked tones on a steady beat; sung syllables are a buzzing tone through two moving formants. */
    private double music(double t) {
        double beat = t / BEAT_SECONDS;
        int bar = (int) Math.floor(beat / 4) % 2;
        double since = (beat - Math.floor(beat)) * BEAT_SECONDS;
        double pluck = Math.exp(-3 * since);
        double sum = 0;
        for (int v = 0; v < 3; v++) {
            sum += Math.sin(2 * Math.PI * CHORD_HZ[3 * bar + v] * t);
        }
        double bed = MUSIC * sum / 3 * (0.35 + 0.65 * pluck);
        if (!troubles.contains(Trouble.SUNG_MUSIC)) {
            return bed;
        }
        double pitch = 2 * CHORD_HZ[3 * bar + (int) Math.floor(beat) % 3];
        double vowel = 500 + 250 * Math.sin(2 * Math.PI * t / 1.7);
        double voice = 0;
        for (int h = 1; h <= 8; h++) {
            double near = Math.exp(-Math.pow((h * pitch - vowel) / 260, 2))
                    + 0.5 * Math.exp(-Math.pow((h * pitch - 2.4 * vowel) / 320, 2));
            voice += near * Math.sin(2 * Math.PI * h * pitch * t);
        }
        return bed + 0.9 * MUSIC * voice * Math.sin(Math.PI * Math.min(1, since / BEAT_SECONDS));
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
        boolean music = troubles.contains(Trouble.MUSIC) || troubles.contains(Trouble.SUNG_MUSIC);
        double gain = troubles.contains(Trouble.CLIPPING) ? OVERDRIVE : 1;
        float most = troubles.contains(Trouble.CLIPPING) ? 1 : 0.98f;
        for (int i = 0; i < count; i++) {
            double under = music ? music((position + i) / (double) sampleRate) : 0;
            float mono = (float) Math.max(-most, Math.min(most, gain * (out[2 * i] + under)));
            out[2 * i] = mono;
            out[2 * i + 1] = mono;
        }
        position += count;
        return out;
    }
}
