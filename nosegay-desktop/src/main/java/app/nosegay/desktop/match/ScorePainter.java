package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.paint.Palette;
import app.nosegay.paint.Typefaces;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;

/** Paints a line of the Score to an image, once; the window only moves images while scrolling. */
final class ScorePainter {
    private static final int FOLD = 44;
    /** A rest nothing is wrong with. */
    private static final int THIN = 24;
    /** A block's bar begins behind its name; it is on no scale. */
    private static final int FOLD_LEFT = 206;

    /** Doubt below this is not worth a person's time. */
    static final double DOUBTFUL = 0.1;
    /** From here on another place is as likely. */
    static final double VERY_DOUBTFUL = 0.5;
    /** An interval that is longer or shorter by less than this is as planned, in seconds; a block's intervals on average. */
    static final double AS_PLANNED = 0.5;

    private final ScoreGrid grid;
    private final Predicate<ScoreLine> thin;
    private final ScoreLinePainter lines;

    /**
     * @param width of the image in pixels
     * @param longestWork seconds of the longest work line: the scale all lines share
     * @param thin the lines that are only hinted at
     * @param compared another round of what a line is, to be laid over it
     */
    ScorePainter(
            int width,
            double longestWork,
            Predicate<ScoreLine> thin,
            Function<ScoreLine, Optional<ScoreLine>> compared) {
        grid = ScoreGrid.of(width, longestWork);
        this.thin = thin;
        lines = new ScoreLinePainter(grid, compared);
    }

    ScoreGrid grid() {
        return grid;
    }

    int height(ScoreRow row) {
        return row instanceof ScoreLine line ? isThin(line) ? THIN : grid.rows(line) * ScoreGrid.ROW : FOLD;
    }

    boolean isThin(ScoreLine line) {
        return thin.test(line);
    }

    BufferedImage paint(ScoreRow row) {
        BufferedImage image = new BufferedImage(grid.width(), height(row), BufferedImage.TYPE_INT_ARGB_PRE);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        if (row instanceof ScoreFold fold) {
            fold(g, fold);
        } else if (row instanceof ScoreLine line && isThin(line)) {
            thin(g, line);
        } else if (row instanceof ScoreLine line) {
            lines.draw(g, line);
        }
        g.setColor(Lamplight.of(Palette.RULE));
        g.draw(new Line2D.Double(0, image.getHeight() - 0.5, grid.width(), image.getHeight() - 0.5));
        g.dispose();
        return image;
    }

    /** A block's row: its name, its intervals in proportion, its drift; a missing interval is an empty outline. */
    private void fold(Graphics2D g, ScoreFold fold) {
        Path2D arrow = new Path2D.Double();
        arrow.moveTo(fold.open() ? 2 : 4, fold.open() ? 17 : 14);
        arrow.lineTo(fold.open() ? 14 : 13, fold.open() ? 17 : 20);
        arrow.lineTo(fold.open() ? 8 : 4, 26);
        arrow.closePath();
        g.setColor(Lamplight.of(Palette.INK));
        g.fill(arrow);
        ScoreText.draw(
                g,
                ScoreText.shortened(g, fold.name(), Typefaces.heading(16), FOLD_LEFT - 34),
                Typefaces.heading(16),
                Palette.INK,
                22,
                26);
        bars(g, fold);
        double drift = fold.drift().seconds();
        boolean fine = fold.missing() == 0
                && Math.abs(drift) < AS_PLANNED * fold.lines().size();
        String verdict = fold.missing() > 0
                ? DesktopText.of("match.score-painter.missing", fold.missing())
                : ScoreText.drift(drift);
        ScoreText.draw(g, verdict, Typefaces.strong(15), fine ? Palette.COUNT : Palette.CAUTION, grid.right() + 10, 26);
    }

    private void bars(Graphics2D g, ScoreFold fold) {
        double room = grid.right() - FOLD_LEFT;
        double x = FOLD_LEFT;
        double total = Math.max(1, fold.planned().seconds());
        for (ScoreLine l : fold.lines()) {
            double w = l.planned().seconds() / total * room;
            Color colour = l.isUnplanned()
                    ? Lamplight.of(Palette.FADED_INK)
                    : Petals.awt(l.interval().kind());
            Rectangle2D bar = new Rectangle2D.Double(x, 12, Math.max(1, w - 2), 18);
            g.setColor(Palette.faded(colour, 150));
            if (!l.isMissing()) {
                g.fill(bar);
            }
            g.setColor(colour);
            g.draw(bar);
            if (l.doubt() > DOUBTFUL) {
                ScoreText.draw(g, "?", Typefaces.strong(14), Palette.INK, x + w / 2 - 4, 26);
            }
            x += w;
        }
    }

    /** A rest as it should be: its name, its bar, how long it is. */
    private void thin(Graphics2D g, ScoreLine line) {
        Color colour = Petals.awt(line.interval().kind());
        g.setColor(colour);
        g.fill(new Rectangle2D.Double(0, 4, 4, THIN - 9));
        ScoreText.draw(g, line.title(), Typefaces.text(13), Palette.FADED_INK, 12, 16);
        double seconds = line.recorded().length().seconds();
        double room = grid.right() - grid.x(0);
        g.setColor(Palette.faded(colour, 120));
        g.fill(new Rectangle2D.Double(grid.x(0), 9, Math.min(room, seconds * grid.scale()), 5));
        ScoreText.draw(
                g,
                DesktopText.of("match.score-painter.seconds", seconds),
                Typefaces.text(13),
                Palette.FADED_INK,
                grid.right() + 10,
                16);
    }
}
