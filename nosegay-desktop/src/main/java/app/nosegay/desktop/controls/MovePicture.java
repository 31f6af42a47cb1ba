package app.nosegay.desktop.controls;

import app.nosegay.library.Move;
import app.nosegay.paint.Figure;
import app.nosegay.paint.Motion;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javafx.scene.image.Image;

/** A move as a small drawn figure. */
public final class MovePicture {
    /** Near the far end of a rep most moves are told apart best. */
    private static final double PHASE = 0.85;

    private static final Map<String, Image> KEPT = new ConcurrentHashMap<>();

    private MovePicture() {}

    /** The figure of {@code move} in a square of {@code size} pixels. */
    public static Image of(Move move, int size) {
        return of(move, size, PHASE);
    }

    /** The same at a moment of its rep: {@code phase} 0 at its start, 1 at its far end. */
    public static Image of(Move move, int size, double phase) {
        String gear = String.join(" ", move.gear());
        return KEPT.computeIfAbsent(
                move.figure() + gear + size + " " + phase, k -> Pictures.toFx(draw(move, gear, size, phase)));
    }

    private static BufferedImage draw(Move move, String gear, int size, double phase) {
        BufferedImage image = new BufferedImage(size, size, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        Figure.Prop prop = gear.contains("band")
                ? Figure.Prop.BAND
                : gear.contains("kettlebell") || gear.contains("dumbbell") ? Figure.Prop.KETTLEBELL : Figure.Prop.NONE;
        Figure.presenter().draw(g, Motion.of(move.figure()), phase, false, prop, size / 2.0, size * 0.9, size * 0.74);
        g.dispose();
        return image;
    }
}
