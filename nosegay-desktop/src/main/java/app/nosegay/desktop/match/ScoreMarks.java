package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.paint.Palette;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;

/** The marks of a line of the Score and where they stand in it; its legend is drawn with the same. */
final class ScoreMarks {
    static final double BAR_TOP = 8;
    static final double BAR = 13;
    static final double TRACE_TOP = 25;
    static final double TRACE = 42;
    static final double TRACE_END = TRACE_TOP + TRACE;

    private ScoreMarks() {}

    /** A planned segment, {@code width} long; only its outline where it was not found. */
    static void planned(Graphics2D g, double x, double width, Color colour, boolean found) {
        Rectangle2D bar = new Rectangle2D.Double(x, BAR_TOP, width, BAR);
        g.setStroke(new BasicStroke(1.2f));
        g.setColor(Palette.faded(colour, 60));
        if (found) {
            g.fill(bar);
        }
        g.setColor(colour);
        g.draw(bar);
    }

    /** A stretch that was really done. */
    static void done(Graphics2D g, double x, double width, Color colour) {
        g.setColor(colour);
        g.fill(new Rectangle2D.Double(x, BAR_TOP + 4, Math.max(1, width), BAR - 8));
    }

    /** A start or an end, with a foot where it was set by hand. */
    static void boundary(Graphics2D g, double x, boolean pinned, Color colour) {
        g.setColor(colour);
        g.setStroke(new BasicStroke(2.2f));
        g.draw(new Line2D.Double(x, 4, x, TRACE_END));
        if (pinned) {
            g.fill(new Rectangle2D.Double(x - 4, 1, 8, 8));
        }
    }

    /** Between which places a boundary most likely is. */
    static void whisker(Graphics2D g, double from, double to, Color colour) {
        g.setColor(colour);
        g.setStroke(new BasicStroke(1.4f));
        g.draw(new Line2D.Double(from, 5, to, 5));
        g.draw(new Line2D.Double(from, 2, from, 8));
        g.draw(new Line2D.Double(to, 2, to, 8));
    }

    static void beep(Graphics2D g, double x) {
        Path2D mark = new Path2D.Double();
        mark.moveTo(x, TRACE_TOP - 5);
        mark.lineTo(x + 4, TRACE_TOP);
        mark.lineTo(x, TRACE_TOP + 5);
        mark.lineTo(x - 4, TRACE_TOP);
        mark.closePath();
        g.setColor(Lamplight.of(Palette.REST));
        g.fill(mark);
    }

    /** Where a repetition ends; half as high, in another ink, where it goes only half as far. */
    static void rep(Graphics2D g, double x, boolean isHalf) {
        g.setColor(Lamplight.of(isHalf ? Palette.CAUTION : Palette.COUNT));
        g.setStroke(new BasicStroke(isHalf ? 4 : 2));
        g.draw(new Line2D.Double(x, TRACE_END - (isHalf ? 3 : 7), x, TRACE_END + 1));
    }

    /** How loud it is at a moment, from nothing (0) to full height (1). */
    static void sound(Graphics2D g, double x, double level) {
        double h = Math.max(0.6, level * TRACE);
        g.setColor(Palette.faded(Lamplight.of(Palette.VOICE), 120));
        g.fill(new Rectangle2D.Double(x, TRACE_TOP + TRACE / 2 - h / 2, 1.1, h));
    }

    static void curve(Graphics2D g, Path2D path, Color colour) {
        g.setStroke(new BasicStroke(1.5f));
        g.setColor(colour);
        g.draw(path);
    }

    /** The same in another round. */
    static void compared(Graphics2D g, Path2D path, Color colour) {
        g.setStroke(new BasicStroke(2.4f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND, 1, new float[] {1, 5}, 0));
        g.setColor(Palette.faded(colour, 170));
        g.draw(path);
    }

    /** Where words begin that are written below. */
    static void word(Graphics2D g, double x) {
        g.setColor(Lamplight.of(Palette.VOICE));
        g.setStroke(new BasicStroke(2));
        g.draw(new Line2D.Double(x, TRACE_END, x, TRACE_END + 3));
    }
}
