package app.nosegay.jobs;

import app.nosegay.evidence.SyncTone;
import app.nosegay.shoot.ClockSound;
import app.nosegay.shoot.ShootClock;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.SourceDataLine;

/** Plays what the clock has to be heard: beeps and sync tones, mixed block by block into the sound output, where there is one. */
final class ClockSpeaker implements AutoCloseable {
    static final int HZ = 48_000;
    static final int BLOCK = HZ / 50;
    private static final double TONE_GAIN = 0.6;
    /** The sound output holds this share of a second. */
    private static final double BUFFER_SECONDS = 0.4;

    private static final double LOUDEST = 32_000;

    /** A sound that is being played, from sample {@code from} on. */
    private record Playing(long from, float[] samples, double gain) {}

    private final ShootRun.Settings settings;
    private final int run;
    private final SourceDataLine line;
    private final byte[] bytes = new byte[BLOCK * 2];
    private final List<Playing> playing = new ArrayList<>();
    private long began = System.nanoTime();
    private long written;

    /**
     * @param run the run number the tones say
     * @param notice told where there is no sound output
     */
    ClockSpeaker(ShootRun.Settings settings, int run, Consumer<String> notice) {
        this.settings = settings;
        this.run = run;
        this.line = output(notice);
    }

    private static SourceDataLine output(Consumer<String> notice) {
        AudioFormat format = new AudioFormat(HZ, 16, 1, true, false);
        try {
            SourceDataLine line = AudioSystem.getSourceDataLine(format);
            line.open(format, (int) (HZ * BUFFER_SECONDS));
            line.start();
            return line;
        } catch (LineUnavailableException | IllegalArgumentException e) {
            notice.accept(JobText.of("shoot-run.there-is-no-sound-output"));
            return null;
        }
    }

    boolean hasOutput() {
        return line != null;
    }

    /** Time is counted from now where nothing is heard. */
    void begin() {
        began = System.nanoTime();
    }

    /** What can be heard now, in seconds: what was written less what still waits in the device. */
    double heard() {
        return line == null ? (System.nanoTime() - began) / 1e9 : line.getLongFramePosition() / (double) HZ;
    }

    private long sample() {
        return line == null ? Math.round((System.nanoTime() - began) / 1e9 * HZ) : written;
    }

    /** The end of the block that is played next. */
    Time<Axis.Clock> until() {
        return Time.ofSeconds((sample() + BLOCK) / (double) HZ);
    }

    boolean isPlaying() {
        return !playing.isEmpty();
    }

    /** Plays the next block, which takes as long as it is; false where there is no output to wait for. */
    boolean playBlock() {
        mix(sample());
        if (line != null) {
            line.write(bytes, 0, bytes.length);
            written += BLOCK;
        }
        return line != null;
    }

    @Override
    public void close() {
        if (line != null) {
            line.drain();
            line.close();
        }
    }

    void start(ShootClock.Due due) {
        ClockSound sound = due.sound();
        boolean tone = sound.hz() == 0;
        if (tone && !settings.tones()) {
            return;
        }
        float[] samples =
                tone ? SyncTone.tone(sound == ClockSound.END_TONE, run, HZ) : beep(sound.hz(), sound.millis());
        playing.add(new Playing(Math.round(due.time().seconds() * HZ), samples, tone ? TONE_GAIN : settings.volume()));
    }

    private static float[] beep(double hz, int millis) {
        int n = HZ / 1000 * millis;
        float[] samples = new float[n];
        int edge = HZ / 200;
        for (int i = 0; i < n; i++) {
            double soft = Math.min(1, Math.min((i + 1) / (double) edge, (n - i) / (double) edge));
            samples[i] = (float) (soft * Math.sin(2 * Math.PI * hz * i / HZ));
        }
        return samples;
    }

    private void mix(long at) {
        playing.removeIf(p -> p.from() + p.samples().length < at);
        for (int i = 0; i < BLOCK; i++) {
            double value = 0;
            for (Playing p : playing) {
                long k = at + i - p.from();
                value += k >= 0 && k < p.samples().length ? p.gain() * p.samples()[(int) k] : 0;
            }
            int s = (int) Math.round(Math.max(-1, Math.min(1, value)) * LOUDEST);
            bytes[2 * i] = (byte) s;
            bytes[2 * i + 1] = (byte) (s >> 8);
        }
    }
}
