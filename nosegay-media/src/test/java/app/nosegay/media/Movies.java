package app.nosegay.media;

import app.nosegay.evidence.SyncTone;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;

/** Small films made for tests: a square that moves in given seconds, beeps at given seconds, a frame number drawn as grey. */
final class Movies {
    static final int WIDTH = 320;
    static final int HEIGHT = 180;

    private Movies() {}

    record Sound(double at, double hz, double seconds) {}

    /** Writes {@code seconds} of film; the square moves between {@code moveFrom} and {@code moveTo}. */
    static Path film(
            Path file,
            double seconds,
            FrameRate rate,
            boolean withSound,
            double moveFrom,
            double moveTo,
            List<Sound> sounds)
            throws IOException {
        try (MovieWriter writer = new MovieWriter(
                file, new MovieFormat(WIDTH, HEIGHT, rate, EncoderSettings.TAKE, withSound), "", List.of())) {
            BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
            float[] samples = samples(seconds, sounds);
            long frames = Math.round(seconds * rate.perSecond());
            int written = 0;
            for (long n = 0; n < frames; n++) {
                double t = n / rate.perSecond();
                double moved = Math.max(0, Math.min(t, moveTo) - moveFrom);
                Graphics2D g = image.createGraphics();
                int grey = grey(n);
                g.setColor(new Color(grey, grey, grey));
                g.fillRect(0, 0, WIDTH, 40);
                g.setColor(new Color(90, 110, 90));
                g.fillRect(0, 40, WIDTH, HEIGHT);
                g.setColor(Color.ORANGE);
                g.fillRect((int) (120 + 80 * Math.sin(moved * 4)), 80, 60, 60);
                g.dispose();
                writer.picture(image, n);
                if (withSound) {
                    int until = (int)
                            Math.min(samples.length / 2, Math.round((n + 1) / rate.perSecond() * MovieWriter.SOUND_HZ));
                    writer.sound(samples, written, until - written);
                    written = until;
                }
            }
            writer.finish();
        }
        return file;
    }

    static <A extends Axis> Span<A> span(double fromSeconds, double toSeconds) {
        return new Span<>(Time.ofSeconds(fromSeconds), Time.ofSeconds(toSeconds));
    }

    /** A grey level that tells frame {@code n} from its neighbours. */
    static int grey(long n) {
        return (int) (40 + 20 * (n % 10));
    }

    private static float[] samples(double seconds, List<Sound> sounds) {
        float[] samples = new float[2 * (int) (seconds * MovieWriter.SOUND_HZ)];
        for (Sound s : sounds) {
            float[] tone = s.hz() == 0 ? SyncTone.tone(false, 33, MovieWriter.SOUND_HZ) : null;
            int n = tone != null ? tone.length : (int) (s.seconds() * MovieWriter.SOUND_HZ);
            int at = (int) Math.round(s.at() * MovieWriter.SOUND_HZ);
            for (int i = 0; i < n && 2 * (at + i) + 1 < samples.length; i++) {
                float v = tone != null
                        ? 0.3f * tone[i]
                        : (float) (0.3 * Math.sin(2 * Math.PI * s.hz() * i / MovieWriter.SOUND_HZ));
                samples[2 * (at + i)] += v;
                samples[2 * (at + i) + 1] += v;
            }
        }
        return samples;
    }
}
