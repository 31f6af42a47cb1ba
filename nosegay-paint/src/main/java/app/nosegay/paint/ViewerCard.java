package app.nosegay.paint;

import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Line2D;
import java.awt.image.BufferedImage;
import java.util.List;

/** Draws the workout on one card for viewers: every move with its figure and its amount, gear, a caution. */
public final class ViewerCard {
    public static final int WIDTH = 1080;
    public static final int HEIGHT = 1350;
    private static final double MARGIN = 64;

    private ViewerCard() {}

    /**
     * One line of the card.
     *
     * @param motion the move's drawn motion, or null for a heading
     * @param amount how much of it
     */
    public record Row(String motion, String name, String amount) {}

    /**
     * The card as a picture of {@value #WIDTH} × {@value #HEIGHT} pixels; rows shrink until they fit.
     *
     * @param line the promise and the gear in one line each
     */
    public static BufferedImage paint(String title, List<String> line, List<Row> rows, String caution) {
        BufferedImage card = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = card.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        g.setColor(Palette.PAPER);
        g.fillRect(0, 0, WIDTH, HEIGHT);
        double room = WIDTH - 2 * MARGIN;
        double y = MARGIN + 62;
        Words.at(g, title, Words.fitted(g, Typefaces::heading, title, 64, room), Palette.INK, MARGIN, y);
        y += 22;
        for (String text : line) {
            for (String part : Words.wrapped(g, text, Typefaces.text(30), room)) {
                y += 36;
                Words.at(g, part, Typefaces.text(30), Palette.FADED_INK, MARGIN, y);
            }
        }
        y += 30;
        List<String> below = Words.wrapped(g, caution, Typefaces.text(24), room);
        double foot = HEIGHT - MARGIN - below.size() * 30;
        double height = Math.min(104, (foot - 20 - y) / Math.max(1, rows.size()));
        for (Row row : rows) {
            row(g, row, y, height, room);
            y += height;
        }
        g.setColor(Palette.RULE);
        g.draw(new Line2D.Double(MARGIN, foot - 8, WIDTH - MARGIN, foot - 8));
        for (String part : below) {
            foot += 30;
            Words.at(g, part, Typefaces.text(24), Palette.FADED_INK, MARGIN, foot);
        }
        g.dispose();
        return card;
    }

    private static void row(Graphics2D g, Row row, double y, double height, double room) {
        double px = Math.min(34, height * 0.46);
        double baseline = y + height * 0.5 + px * 0.34;
        if (row.motion() == null) {
            Words.at(g, row.name(), Typefaces.heading(px), Palette.WORK, MARGIN, y + height * 0.86);
            return;
        }
        g.setColor(Palette.RULE);
        g.draw(new Line2D.Double(MARGIN, y, WIDTH - MARGIN, y));
        if (Motion.isKnown(row.motion())) {
            Figure.presenter()
                    .draw(
                            g,
                            new Figure.Stance(Motion.of(row.motion()), 0.85, false, Figure.Prop.NONE),
                            MARGIN + height * 0.55,
                            y + height * 0.94,
                            height * 0.84);
        }
        Font amount = Typefaces.strong(px * 0.86);
        double w = Words.width(g, amount, row.amount());
        double left = MARGIN + height * 1.2 + 14;
        Font name = Words.fitted(g, Typefaces::strong, row.name(), px, MARGIN + room - w - 24 - left);
        Words.at(g, row.name(), name, Palette.INK, left, baseline);
        Words.at(g, row.amount(), amount, Palette.WORK, MARGIN + room - w, baseline);
    }
}
