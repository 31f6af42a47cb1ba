package app.nosegay.desktop;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;

/** Java2D pixels as pictures the window can show. */
public final class Pictures {
    private Pictures() {}

    /** A copy of an image with int ARGB pixels. */
    public static WritableImage toFx(BufferedImage image) {
        int[] pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
        WritableImage shown = new WritableImage(image.getWidth(), image.getHeight());
        shown.getPixelWriter()
                .setPixels(
                        0,
                        0,
                        image.getWidth(),
                        image.getHeight(),
                        PixelFormat.getIntArgbInstance(),
                        pixels,
                        0,
                        image.getWidth());
        return shown;
    }
}
