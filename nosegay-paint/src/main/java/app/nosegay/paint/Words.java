package app.nosegay.paint;

import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;

/** Measures, fits, breaks and draws words. All lengths are in the units of the graphics. */
final class Words {
    private static final double CAP_HEIGHT = 0.66;

    private Words() {}

    static double width(Graphics2D g, Font font, String text) {
        return text.isEmpty()
                ? 0
                : font.getStringBounds(text, g.getFontRenderContext()).getWidth();
    }

    static void at(Graphics2D g, String text, Font font, Color colour, double x, double baseline) {
        g.setFont(font);
        g.setColor(colour);
        g.drawString(text, (float) x, (float) baseline);
    }

    /** Draws with the middle of the capitals at {@code (cx, cy)}. */
    static void centred(Graphics2D g, String text, Font font, Color colour, double cx, double cy) {
        at(g, text, font, colour, cx - width(g, font, text) / 2, cy + font.getSize2D() * CAP_HEIGHT / 2);
    }

    /** The font at the size wanted, or smaller so that {@code text} is no wider than {@code room}. */
    static Font fitted(Graphics2D g, DoubleFunction<Font> face, String text, double px, double room) {
        double w = width(g, face.apply(px), text);
        return face.apply(w <= room ? px : px * room / w);
    }

    /** The text in lines no wider than {@code room}; a word wider than that stands alone. */
    static List<String> wrapped(Graphics2D g, String text, Font font, double room) {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : text.strip().split("\\s+")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && width(g, font, longer) > room) {
                lines.add(line.toString());
                line.setLength(0);
                line.append(word);
            } else {
                line.setLength(0);
                line.append(longer);
            }
        }
        if (!line.toString().isBlank()) {
            lines.add(line.toString());
        }
        return lines;
    }
}
