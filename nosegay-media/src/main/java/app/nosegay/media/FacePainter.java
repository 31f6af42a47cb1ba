package app.nosegay.media;

import app.nosegay.dress.PlacedOverlay;
import java.awt.image.BufferedImage;
import java.util.List;

/** Draws faces on a cleared, transparent image. */
@FunctionalInterface
public interface FacePainter {
    void paint(List<PlacedOverlay> pieces, BufferedImage target);
}
