package app.nosegay.desktop.controls;

import app.nosegay.library.Move;
import app.nosegay.paint.DarkVariant;
import app.nosegay.paint.Figure;
import app.nosegay.paint.Motion;
import app.nosegay.plan.terms.Side;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
import javafx.beans.InvalidationListener;
import javafx.scene.image.Image;
import javafx.scene.image.WritableImage;

/** A move as a small drawn figure. */
public final class MovePicture {
    /** Near the far end of a rep most moves are told apart best. */
    private static final double PHASE = 0.85;

    /** All that are kept have so many pixels at the most; a figure in motion of the clock has some 700,000. */
    private static final long MOST_PIXELS = 12_000_000;

    private static final Map<String, Kept> KEPT = new LinkedHashMap<>(64, 0.75f, true);
    private static long pixels;

    /** A picture and what draws it. */
    private record Kept(WritableImage image, Supplier<BufferedImage> drawing) {
        static Kept of(Supplier<BufferedImage> drawing) {
            return new Kept(Pictures.toFx(drawing.get()), drawing);
        }

        double size() {
            return image.getWidth() * image.getHeight();
        }
    }

    static {
        // The pictures stay where they are shown; what is on them changes.
        Lamplight.on().addListener((InvalidationListener) o -> relight());
    }

    private static synchronized void relight() {
        KEPT.values().forEach(k -> Pictures.onto(k.image(), k.drawing().get()));
    }

    private MovePicture() {}

    /** The figure of {@code move} in a square of {@code size} pixels. */
    public static Image of(Move move, int size) {
        return of(move, size, PHASE);
    }

    /** The same at a moment of its rep: {@code phase} 0 at its start, 1 at its far end. */
    public static Image of(Move move, int size, double phase) {
        return of(move, size, phase, Side.BOTH);
    }

    /** The same done with a side. */
    public static Image of(Move move, int size, Side side) {
        return of(move, size, PHASE, side);
    }

    /** The same at a moment of its rep, done with a side. */
    static synchronized Image of(Move move, int size, double phase, Side side) {
        String gear = String.join(" ", move.gear());
        boolean swapped = side == Side.LEFT;
        String key = move.figure() + gear + size + " " + phase + swapped;
        Kept kept = KEPT.get(key);
        if (kept == null) {
            kept = Kept.of(() -> draw(move, gear, size, phase, swapped));
            KEPT.put(key, kept);
            pixels += (long) size * size;
            Iterator<Kept> oldest = KEPT.values().iterator();
            while (pixels > MOST_PIXELS && oldest.hasNext()) {
                pixels -= Math.round(oldest.next().size());
                oldest.remove();
            }
        }
        return kept.image();
    }

    private static BufferedImage draw(Move move, String gear, int size, double phase, boolean swapped) {
        BufferedImage image = new BufferedImage(size, size, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        Figure.Prop prop = gear.contains("band")
                ? Figure.Prop.BAND
                : gear.contains("kettlebell") || gear.contains("dumbbell") ? Figure.Prop.KETTLEBELL : Figure.Prop.NONE;
        Figure.presenter()
                .draw(
                        g,
                        new Figure.Stance(Motion.of(move.figure()), phase, swapped, prop),
                        size / 2.0,
                        size * 0.9,
                        size * 0.74);
        g.dispose();
        return Lamplight.on().get() ? DarkVariant.of(image) : image;
    }
}
