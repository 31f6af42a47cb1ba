package app.nosegay.paint;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.dress.Contrast;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class DarkVariantTest {
    private static final List<Color> WRITTEN = List.of(
            Palette.INK,
            Palette.FADED_INK,
            Palette.WORK,
            Palette.REST,
            Palette.VOICE,
            Palette.COUNT,
            Palette.OPTION,
            Palette.CAUTION);

    /** DESIGN: at least 4.5 : 1 for everything that is read. */
    @Test
    void whatIsLegibleByDayIsLegibleByLamplight() {
        int paper = DarkVariant.of(Palette.PAPER).getRGB();
        for (Color written : WRITTEN) {
            assertThat(Contrast.ratio(DarkVariant.of(written).getRGB(), paper))
                    .as(written.toString())
                    .isGreaterThanOrEqualTo(4.5);
        }
    }

    @Test
    void darkAndLightChangeOver() {
        double before = 2;
        for (int grey = 0; grey < 256; grey += 5) {
            Color turned = DarkVariant.of(new Color(grey, grey, grey));
            assertThat(turned.getRed()).isEqualTo(turned.getGreen()).isEqualTo(turned.getBlue());
            double now = turned.getRed() / 255.0;
            assertThat(now).isLessThanOrEqualTo(before);
            before = now;
        }
        assertThat(DarkVariant.of(Palette.PAPER).getGreen()).isLessThan(50);
        assertThat(DarkVariant.of(Palette.INK).getGreen()).isGreaterThan(210);
    }

    /** Within what a screen can show the hue stays; what it cannot show is nearer than the next petal's. */
    @Test
    void everyPetalKeepsItsHue() {
        for (Color petal : WRITTEN.subList(2, WRITTEN.size())) {
            double apart = Math.abs(hue(petal) - hue(DarkVariant.of(petal)));
            assertThat(Math.min(apart, 1 - apart)).as(petal.toString()).isLessThan(0.07);
        }
    }

    @Test
    void opacityStaysAndADrawingIsTurnedPixelByPixel() {
        BufferedImage drawing = new BufferedImage(17, 9, BufferedImage.TYPE_INT_ARGB);
        Random random = new Random(4);
        int[] before = new int[17 * 9];
        for (int i = 0; i < before.length; i++) {
            before[i] = i % 3 == 0 && i > 0 ? before[i - 1] : random.nextInt();
            drawing.setRGB(i % 17, i / 17, before[i]);
        }
        DarkVariant.of(drawing);
        for (int i = 0; i < before.length; i++) {
            int now = drawing.getRGB(i % 17, i / 17);
            assertThat(now).isEqualTo(DarkVariant.of(before[i]));
            assertThat(now >>> 24).isEqualTo(before[i] >>> 24);
        }
    }

    private static double hue(Color c) {
        return Color.RGBtoHSB(c.getRed(), c.getGreen(), c.getBlue(), null)[0];
    }
}
