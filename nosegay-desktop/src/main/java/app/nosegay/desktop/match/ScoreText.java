package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.util.Locale;

/** Words in the Score, in the colours of paper and ink by day, turned over by night. */
final class ScoreText {
    /** What would be shown as nothing, in seconds. */
    private static final double ON_TIME = 0.05;

    private ScoreText() {}

    static String shortened(Graphics2D g, String text, Font font, double room) {
        String t = text;
        while (t.length() > 3
                && font.getStringBounds(t, g.getFontRenderContext()).getWidth() > room) {
            t = t.substring(0, t.length() - 2).stripTrailing() + "…";
        }
        return t;
    }

    static void draw(Graphics2D g, String text, Font font, Color colour, double x, double y) {
        g.setFont(font);
        g.setColor(Lamplight.of(colour));
        g.drawString(text, (float) x, (float) y);
    }

    /** How far a length is off what was planned, in seconds. */
    static String drift(double seconds) {
        return Math.abs(seconds) < ON_TIME
                ? DesktopText.of("match.score-painter.on-time")
                : String.format(Locale.ROOT, "%+.1f s", seconds);
    }
}
