package app.nosegay.sight;

import app.nosegay.paint.Figure;
import app.nosegay.paint.Motion;
import app.nosegay.paint.StudioBackdrop;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;

/** Pictures of the drawn presenter for tests. */
final class Drawn {
    static final int WIDTH = 480;
    static final int HEIGHT = 270;
    private static final BufferedImage ROOM = StudioBackdrop.paint(WIDTH, HEIGHT);

    private Drawn() {}

    static Picture room() {
        return picture(ROOM);
    }

    /** The presenter in a motion at a phase, at each of some places, in shares of the width. */
    static Picture people(String motion, double phase, double... places) {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.drawImage(ROOM, 0, 0, null);
        for (double x : places) {
            Figure.presenter()
                    .draw(
                            g,
                            new Figure.Stance(Motion.of(motion), phase, false, Figure.Prop.NONE),
                            x * WIDTH,
                            0.92 * HEIGHT,
                            0.62 * HEIGHT);
        }
        g.dispose();
        return picture(image);
    }

    static Picture picture(BufferedImage image) {
        int[] pixels = image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
        byte[] rgb = new byte[pixels.length * 3];
        for (int i = 0; i < pixels.length; i++) {
            rgb[3 * i] = (byte) (pixels[i] >> 16);
            rgb[3 * i + 1] = (byte) (pixels[i] >> 8);
            rgb[3 * i + 2] = (byte) pixels[i];
        }
        return new Picture(image.getWidth(), image.getHeight(), rgb);
    }

    static Picture mirrored(Picture p) {
        byte[] rgb = new byte[p.rgb().length];
        for (int y = 0; y < p.height(); y++) {
            for (int x = 0; x < p.width(); x++) {
                for (int c = 0; c < 3; c++) {
                    rgb[(y * p.width() + x) * 3 + c] = p.rgb()[(y * p.width() + p.width() - 1 - x) * 3 + c];
                }
            }
        }
        return new Picture(p.width(), p.height(), rgb);
    }
}
