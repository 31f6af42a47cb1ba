package app.nosegay.standins;

import app.nosegay.library.CueKind;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.SourceDataLine;

/**
 * A script heard in time, from any moment: the guide voice says the lines, the interval clock beeps. The sound line is the clock; without a
 * sound device it runs silently, in time.
 */
public final class ReadThrough implements AutoCloseable {
    private static final int HZ = 48_000;
    private static final int BLOCK = HZ / 50;
    private static final int LINE_BYTES = HZ * 2 / 5;
    private static final double VOICE_GAIN = 0.8;
    private static final double BEEP_GAIN = 0.2;
    /** The voice is asked this far ahead, so that a line is ready when it is due. */
    private static final Length AHEAD = Length.ofSeconds(20);

    private final List<Due> due = new ArrayList<>();
    private final Map<String, float[]> said = new HashMap<>();
    private final Voice voice;
    private final Time<Axis.Plan> from;
    private final Time<Axis.Plan> until;
    private final Consumer<Time<Axis.Plan>> shown;
    private final Runnable ended;
    private final AtomicBoolean stopped = new AtomicBoolean();
    private final Thread player;
    private final Thread preparer;
    private volatile Time<Axis.Plan> position;
    private volatile boolean hasSound;

    /** Something to hear: words for the voice, or samples that are there already. */
    private record Due(Time<Axis.Plan> at, String words, float[] samples, double gain) {}

    /**
     * @param voice says the words; null reads silently
     * @param from where it starts
     * @param shown told the moment that is heard, about 25 times a second, on a thread of its own
     * @param ended told when the end was reached; not when it was stopped
     */
    public ReadThrough(
            Timeline timeline,
            CuePlan cues,
            Voice voice,
            Time<Axis.Plan> from,
            Consumer<Time<Axis.Plan>> shown,
            Runnable ended) {
        this.voice = voice;
        this.from = from;
        this.position = from;
        this.shown = shown;
        this.ended = ended;
        this.until = Time.<Axis.Plan>zero().plus(timeline.total());
        cues.lines().forEach(this::line);
        timeline.intervals().forEach(this::beep);
        due.removeIf(d -> d.at().isBefore(from));
        due.sort(Comparator.comparing(Due::at));
        preparer = new Thread(this::prepare, "read-through-voice");
        player = new Thread(this::play, "read-through");
        preparer.setDaemon(true);
        player.setDaemon(true);
    }

    private void line(ScriptLine line) {
        if (line.kind() == CueKind.COUNT && line.text().contains(",")) {
            String[] words = line.text().split("[,.]\\s*");
            for (int i = 0; i < words.length; i++) {
                due.add(new Due(line.start().plus(Length.ofSeconds(i)), words[i] + ".", null, VOICE_GAIN));
            }
        } else {
            due.add(new Due(line.start(), line.text(), null, VOICE_GAIN));
        }
    }

    private void beep(Interval interval) {
        if (interval.kind().isMoving()) {
            due.add(new Due(
                    interval.start(), null, RoomSound.beep(RoomClock.START_HZ, Length.ofMillis(350), HZ), BEEP_GAIN));
            interval.segments().stream()
                    .skip(1)
                    .forEach(s -> due.add(new Due(
                            s.start(),
                            null,
                            RoomSound.beep(RoomClock.CHANGE_HZ, Length.ofMillis(250), HZ),
                            BEEP_GAIN)));
            due.add(new Due(
                    interval.end(), null, RoomSound.beep(RoomClock.END_HZ, Length.ofMillis(500), HZ), BEEP_GAIN));
        }
    }

    /** Starts reading. */
    public void start() {
        if (voice != null) {
            preparer.start();
        }
        player.start();
    }

    /** Whether it is heard, not only shown. */
    public boolean hasSound() {
        return hasSound;
    }

    private void prepare() {
        for (Due d : due) {
            try {
                while (!stopped.get() && d.at().since(position).compareTo(AHEAD) > 0) {
                    synchronized (stopped) {
                        stopped.wait(200);
                    }
                }
                if (stopped.get()) {
                    return;
                }
                if (d.words() != null) {
                    float[] samples = voice.say(d.words(), HZ);
                    synchronized (said) {
                        said.put(d.words(), samples);
                    }
                }
            } catch (IOException e) {
                return; // the voice failed: the words are still shown in time
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
        }
    }

    private void play() {
        SourceDataLine line = voice == null ? null : openLine();
        hasSound = line != null;
        long begun = System.nanoTime();
        long block = 0;
        try {
            while (!stopped.get() && position.isBefore(until)) {
                if (line != null) {
                    byte[] bytes = mixed(block);
                    line.write(bytes, 0, bytes.length);
                    block++;
                    // What is heard lags behind what is written by what waits in the line.
                    long heard = line.getLongFramePosition();
                    position = from.plus(new Length(heard * 1_000_000 / HZ));
                } else {
                    pause();
                    position = from.plus(new Length((System.nanoTime() - begun) / 1000));
                }
                if (block % 2 == 0) {
                    shown.accept(position);
                }
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            if (line != null) {
                line.close();
            }
        }
        if (!stopped.getAndSet(true)) {
            ended.run();
        }
    }

    private void pause() throws InterruptedException {
        synchronized (stopped) {
            if (!stopped.get()) {
                stopped.wait(40);
            }
        }
    }

    private byte[] mixed(long block) {
        float[] mix = new float[BLOCK];
        long first = block * BLOCK;
        for (Due d : due) {
            long start = Math.round(d.at().since(from).seconds() * HZ);
            if (start >= first + BLOCK) {
                break;
            }
            float[] samples = d.samples() != null ? d.samples() : ready(d.words());
            if (samples == null || start + samples.length <= first) {
                continue;
            }
            for (int i = (int) Math.max(0, start - first); i < BLOCK && first + i - start < samples.length; i++) {
                mix[i] += (float) (d.gain() * samples[(int) (first + i - start)]);
            }
        }
        byte[] bytes = new byte[2 * BLOCK];
        for (int i = 0; i < BLOCK; i++) {
            int v = (int) (32767 * Math.max(-1, Math.min(1, mix[i])));
            bytes[2 * i] = (byte) v;
            bytes[2 * i + 1] = (byte) (v >> 8);
        }
        return bytes;
    }

    private float[] ready(String words) {
        synchronized (said) {
            return said.get(words);
        }
    }

    private static SourceDataLine openLine() {
        try {
            AudioFormat format = new AudioFormat(HZ, 16, 1, true, false);
            SourceDataLine line = AudioSystem.getSourceDataLine(format);
            line.open(format, LINE_BYTES);
            line.start();
            return line;
        } catch (LineUnavailableException | IllegalArgumentException | SecurityException e) {
            return null;
        }
    }

    /** Stops at once. */
    @Override
    public void close() {
        stopped.set(true);
        synchronized (stopped) {
            stopped.notifyAll();
        }
    }
}
