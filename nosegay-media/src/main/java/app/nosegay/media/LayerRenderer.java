package app.nosegay.media;

import app.nosegay.dress.Dressing;
import app.nosegay.dress.PlacedOverlay;
import app.nosegay.dress.TimerDigits;
import app.nosegay.files.AtomicFile;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import javax.imageio.ImageIO;

/**
 * Renders the pieces alone, with alpha, for people who finish the picture elsewhere: as a film, or as pictures with a list of how long
 * each is on.
 */
public final class LayerRenderer {
    private LayerRenderer() {}

    /** What is rendered: the pieces, who paints them, for how long and how large. */
    public record Layer(Dressing dressing, FacePainter painter, Length length, int width, int height, FrameRate rate) {}

    /** The pieces as ProRes 4444 with alpha; on failure or cancel no file is left. */
    public static void film(Layer layer, Path target, Progress progress) throws IOException {
        FrameRate rate = layer.rate();
        BufferedImage image = new BufferedImage(layer.width(), layer.height(), BufferedImage.TYPE_INT_ARGB);
        try (MovieWriter writer = new MovieWriter(
                target,
                new MovieFormat(layer.width(), layer.height(), rate, EncoderSettings.LAYER, false),
                "",
                List.of())) {
            List<PlacedOverlay> shown = null;
            long frames = frames(layer.length(), rate);
            for (long n = 0; n < frames; n++) {
                List<PlacedOverlay> now =
                        layer.dressing().shown(TimerDigits.ofFrame(rate.timeOf(n), rate.frameLength()));
                boolean changed = !now.equals(shown);
                if (changed) {
                    layer.painter().paint(now, image);
                    shown = now;
                }
                writer.picture(changed ? image : null, n);
                progress.at(n / (double) frames);
            }
            writer.finish();
        }
    }

    /**
     * The pieces as PNG pictures in {@code folder}, one per change, named by the frame it begins with, and {@code layer.ffconcat}, which
     * says how long each is on; the folder is there and empty.
     */
    public static void pictures(Layer layer, Path folder, Progress progress) throws IOException {
        FrameRate rate = layer.rate();
        StringBuilder list = new StringBuilder("ffconcat version 1.0\n");
        BufferedImage image = new BufferedImage(layer.width(), layer.height(), BufferedImage.TYPE_INT_ARGB);
        List<PlacedOverlay> shown = null;
        Time<Axis.Cut> since = Time.zero();
        String name = null;
        long frames = frames(layer.length(), rate);
        for (long n = 0; n < frames; n++) {
            List<PlacedOverlay> now = layer.dressing().shown(TimerDigits.ofFrame(rate.timeOf(n), rate.frameLength()));
            if (!now.equals(shown)) {
                if (name != null) {
                    list.append(duration(rate.timeOf(n).since(since)));
                }
                layer.painter().paint(now, image);
                name = String.format(Locale.ROOT, "layer-%07d.png", n);
                ImageIO.write(image, "png", folder.resolve(name).toFile());
                list.append("file ").append(name).append('\n');
                since = rate.timeOf(n);
                shown = now;
            }
            progress.at(n / (double) frames);
        }
        if (name != null) {
            list.append(duration(rate.timeOf(frames).since(since)));
        }
        AtomicFile.write(folder.resolve("layer.ffconcat"), list);
    }

    private static long frames(Length length, FrameRate rate) {
        return Math.max(1, Math.round(length.seconds() * rate.perSecond()));
    }

    private static String duration(Length length) {
        return String.format(Locale.ROOT, "duration %.6f%n", length.seconds());
    }
}
