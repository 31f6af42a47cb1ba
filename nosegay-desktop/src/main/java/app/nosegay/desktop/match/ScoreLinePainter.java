package app.nosegay.desktop.match;

import app.nosegay.captions.Caption;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.Match;
import app.nosegay.paint.Palette;
import app.nosegay.paint.Typefaces;
import app.nosegay.plan.Segment;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.Optional;
import java.util.function.Function;

/** Paints the rows of one line of the Score: what was planned, and under it what was done, said and heard. */
final class ScoreLinePainter {
    private static final double WORDS = 82;

    private final ScoreGrid grid;
    private final ScoreTraces traces;

    ScoreLinePainter(ScoreGrid grid, Function<ScoreLine, Optional<ScoreLine>> compared) {
        this.grid = grid;
        traces = new ScoreTraces(grid, compared);
    }

    void draw(Graphics2D g, ScoreLine line) {
        int rows = grid.rows(line);
        ScoreMargins.draw(g, line, grid.right() + 10);
        for (int r = 0; r < rows; r++) {
            Graphics2D row = (Graphics2D) g.create(0, r * ScoreGrid.ROW, grid.width(), ScoreGrid.ROW);
            row(row, line, r, rows);
            row.dispose();
        }
    }

    private void row(Graphics2D g, ScoreLine line, int r, int rows) {
        double from = r * grid.span() - ScoreGrid.BEFORE;
        double to = Math.min(from + grid.span(), ScoreGrid.length(line) + ScoreGrid.AFTER);
        g.clip(new Rectangle2D.Double(ScoreGrid.LEFT, 0, grid.right() - ScoreGrid.LEFT, ScoreGrid.ROW));
        ticks(g, from, to);
        planned(g, line, from);
        if (!line.isMissing() && line.take() != null) {
            traces.draw(g, line, from, to);
            recorded(g, line, from);
            beeps(g, line, from, to);
            words(g, line, from, to);
            reps(g, line, from);
        }
        if (rows > 1) {
            torn(g, r, rows);
        }
    }

    private void ticks(Graphics2D g, double from, double to) {
        g.setStroke(new BasicStroke(1));
        for (int s = (int) Math.ceil(from / 5) * 5; s <= to; s += 5) {
            g.setColor(
                    s == 0
                            ? Lamplight.of(Palette.FADED_INK)
                            : Palette.faded(Lamplight.of(Palette.RULE), s % 10 == 0 ? 200 : 110));
            g.draw(new Line2D.Double(grid.at(s, from), 4, grid.at(s, from), ScoreMarks.TRACE_END));
        }
    }

    private void planned(Graphics2D g, ScoreLine line, double from) {
        if (line.isUnplanned()) {
            g.setColor(Lamplight.of(Palette.FADED_INK));
            g.setStroke(new BasicStroke(1.4f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_MITER, 4, new float[] {5, 4}, 0));
            g.draw(new Rectangle2D.Double(
                    grid.at(0, from),
                    ScoreMarks.BAR_TOP,
                    line.recorded().length().seconds() * grid.scale(),
                    ScoreMarks.BAR));
            return;
        }
        double t = 0;
        for (Segment s : line.interval().segments()) {
            double seconds = s.duration().seconds();
            ScoreMarks.planned(g, grid.at(t, from), seconds * grid.scale(), Petals.awt(s.kind()), !line.isMissing());
            t += seconds;
        }
    }

    /**
     * The recorded interval under the planned bar: performed stretch filled, boundaries as stems, with a whisker over where
     * they may be where they are in doubt.
     */
    private void recorded(Graphics2D g, ScoreLine line, double from) {
        for (Match.Placed p : line.placed()) {
            if (!p.matched()) {
                continue;
            }
            double start = p.start().since(line.recorded().start()).seconds();
            double end = p.end().since(line.recorded().start()).seconds();
            double first = p.performedStart().since(line.recorded().start()).seconds();
            double last = p.performedEnd().since(line.recorded().start()).seconds();
            Color colour = line.interval() == null
                    ? Lamplight.of(Palette.FADED_INK)
                    : Petals.awt(line.interval()
                            .segments()
                            .get(line.placed().indexOf(p))
                            .kind());
            ScoreMarks.done(g, grid.at(first, from), (last - first) * grid.scale(), colour);
            ScoreMarks.boundary(g, grid.at(start, from), p.startPinned(), colour);
            ScoreMarks.boundary(g, grid.at(end, from), p.endPinned(), colour);
            whisker(g, line, p.startLikely(), p.startDoubt(), from, colour);
            whisker(g, line, p.endLikely(), p.endDoubt(), from, colour);
        }
    }

    private void whisker(
            Graphics2D g, ScoreLine line, Span<Axis.Take> likely, double doubt, double from, Color colour) {
        if (doubt > ScorePainter.DOUBTFUL) {
            Time<Axis.Take> start = line.recorded().start();
            ScoreMarks.whisker(
                    g,
                    grid.at(likely.start().since(start).seconds(), from),
                    grid.at(likely.end().since(start).seconds(), from),
                    colour);
        }
    }

    private void beeps(Graphics2D g, ScoreLine line, double from, double to) {
        for (TakeEvidence.Beep b : line.take().beeps()) {
            double s = b.time().since(line.recorded().start()).seconds();
            if (s >= from && s <= to) {
                ScoreMarks.beep(g, grid.at(s, from));
            }
        }
    }

    private void words(Graphics2D g, ScoreLine line, double from, double to) {
        g.setFont(Typefaces.text(13));
        double free = ScoreGrid.LEFT;
        for (Caption c : line.take().words()) {
            double s = c.start().since(line.recorded().start()).seconds();
            if (s < from - 8 || s > to) {
                continue;
            }
            double x = grid.at(s, from);
            String words = ScoreText.shortened(g, c.text(), g.getFont(), grid.right() - x);
            double room =
                    g.getFont().getStringBounds(words, g.getFontRenderContext()).getWidth();
            boolean fits = x >= free && x + room <= grid.right();
            ScoreMarks.word(g, x);
            if (fits) {
                g.setColor(Lamplight.of(Palette.INK));
                g.drawString(words, (float) x, (float) WORDS);
                free = x + room + 8;
            }
        }
    }

    private void reps(Graphics2D g, ScoreLine line, double from) {
        line.reps().stream().filter(rep -> !line.halves().contains(rep)).forEach(rep -> rep(g, line, rep, from, false));
        line.halves().forEach(rep -> rep(g, line, rep, from, true));
    }

    private void rep(Graphics2D g, ScoreLine line, Time<Axis.Take> rep, double from, boolean isHalf) {
        ScoreMarks.rep(g, grid.at(rep.since(line.recorded().start()).seconds(), from), isHalf);
    }

    /** A line that goes on below is torn at the edge. */
    private void torn(Graphics2D g, int r, int rows) {
        g.setColor(Palette.faded(Lamplight.of(Palette.FADED_INK), 150));
        g.setStroke(new BasicStroke(1.2f));
        for (int side = 0; side < 2; side++) {
            boolean tears = side == 0 ? r > 0 : r < rows - 1;
            if (tears) {
                double x = side == 0 ? ScoreGrid.LEFT + 3 : grid.right() - 3;
                Path2D tear = new Path2D.Double();
                tear.moveTo(x, 2);
                for (int y = 2; y < ScoreGrid.ROW - 6; y += 6) {
                    tear.lineTo(x + (y / 6 % 2 == 0 ? 3 : -3), y + 3);
                }
                g.draw(tear);
            }
        }
    }
}
