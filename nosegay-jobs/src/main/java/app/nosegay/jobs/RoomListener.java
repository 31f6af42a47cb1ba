package app.nosegay.jobs;

import app.nosegay.evidence.sound.ClapListener;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.TargetDataLine;

/** Listens to the room through the computer's own microphone: how loud it is, and whether somebody claps. */
final class RoomListener {
    private static final int HZ = 16_000;
    private static final int BLOCK = HZ / 20;

    private final boolean claps;
    private final Consumer<String> notice;
    private final Runnable clapped;
    private final BooleanSupplier ended;
    /** 0 to 1; −1 while nobody listens. */
    private volatile double level = -1;

    /**
     * @param claps whether claps are listened for
     * @param notice told where there is no microphone
     * @param clapped told of each pair of claps
     */
    RoomListener(boolean claps, Consumer<String> notice, Runnable clapped, BooleanSupplier ended) {
        this.claps = claps;
        this.notice = notice;
        this.clapped = clapped;
        this.ended = ended;
    }

    void start() {
        Thread recognizer = new Thread(this::listen, "shoot-ear");
        recognizer.setDaemon(true);
        recognizer.start();
    }

    double level() {
        return level;
    }

    private void listen() {
        AudioFormat format = new AudioFormat(HZ, 16, 1, true, false);
        try (TargetDataLine line = AudioSystem.getTargetDataLine(format)) {
            line.open(format);
            line.start();
            ClapListener ear = new ClapListener(HZ);
            byte[] bytes = new byte[2 * BLOCK];
            float[] samples = new float[BLOCK];
            while (!ended.getAsBoolean()) {
                int n = line.read(bytes, 0, bytes.length) / 2;
                float loudest = 0;
                for (int i = 0; i < n; i++) {
                    samples[i] = (short) (bytes[2 * i] & 0xff | bytes[2 * i + 1] << 8) / 32768f;
                    loudest = Math.max(loudest, Math.abs(samples[i]));
                }
                level = loudest;
                if (claps && ear.listen(samples, n)) {
                    clapped.run();
                }
            }
        } catch (LineUnavailableException | IllegalArgumentException e) {
            if (claps) {
                notice.accept(JobText.of("shoot-run.no-microphone-can-be-listened"));
            }
        } finally {
            level = -1;
        }
    }
}
