package app.nosegay.desktop.controls;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.nio.IntBuffer;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;

/** Java2D pixels as pictures the window can show. */
public final class Pictures {
    private Pictures() {}

    /** The pixels of an image with premultiplied int ARGB pixels, without a copy: nothing may be painted on it any more. */
    public static WritableImage shared(BufferedImage image) {
        int[] pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
        return new WritableImage(new PixelBuffer<>(
                image.getWidth(), image.getHeight(), IntBuffer.wrap(pixels), PixelFormat.getIntArgbPreInstance()));
    }

    /** A copy of an image with int ARGB pixels. */
    public static WritableImage toFx(BufferedImage image) {
        WritableImage shown = new WritableImage(image.getWidth(), image.getHeight());
        onto(shown, image);
        return shown;
    }

    /** Copies an image with int ARGB pixels onto a picture of its size. */
    static void onto(WritableImage shown, BufferedImage image) {
        int[] pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
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
    }
}
