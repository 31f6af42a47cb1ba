package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.paint.Palette;
import app.nosegay.paint.Typefaces;
import app.nosegay.plan.terms.SegmentKind;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.util.Locale;

/** What stands left and right of a line of the Score: what it is, and how it came out. */
final class ScoreMargins {
    /** Slower than this to start is worth telling, in seconds. */
    private static final double LATE = 0.8;

    private ScoreMargins() {}

    /** @param x of the right margin */
    static void draw(Graphics2D g, ScoreLine line, double x) {
        g.setColor(
                line.isUnplanned()
                        ? Lamplight.of(Palette.FADED_INK)
                        : Petals.awt(line.interval().kind()));
        g.fill(new Rectangle2D.Double(0, 8, 4, ScoreGrid.ROW - 18));
        name(g, line.title(), Typefaces.strong(15), Palette.INK, 22);
        name(g, line.detail(), Typefaces.text(13), Palette.FADED_INK, 40);
        if (line.isMissing()) {
            ScoreText.draw(
                    g, DesktopText.of("match.score-painter.not-found"), Typefaces.strong(14), Palette.CAUTION, x, 26);
        } else if (line.isUnplanned()) {
            ScoreText.draw(g, line.recorded().length().toString(), Typefaces.strong(15), Palette.INK, x, 26);
        } else {
            length(g, line, x);
            repetitions(g, line, x);
            doubt(g, line, x);
        }
    }

    private static void name(Graphics2D g, String name, Font font, Color colour, double y) {
        ScoreText.draw(g, ScoreText.shortened(g, name, font, ScoreGrid.LEFT - 20), font, colour, 12, y);
    }

    /** How long a counted interval was, how far another is off its plan, or by how much it starts late. */
    private static void length(Graphics2D g, ScoreLine line, double x) {
        double drift = line.drift().seconds();
        double late = line.lateBy().seconds();
        boolean asLong = Math.abs(drift) < ScorePainter.AS_PLANNED;
        boolean startsLate = asLong && late > LATE;
        boolean counted = line.interval().first().isCounted();
        String shown = counted
                ? String.format(Locale.ROOT, "%.1f s", line.recorded().length().seconds())
                : startsLate ? DesktopText.of("match.score-painter.s-late", late) : ScoreText.drift(drift);
        Color colour = counted ? Palette.INK : asLong && !startsLate ? Palette.COUNT : Palette.CAUTION;
        ScoreText.draw(g, shown, Typefaces.strong(15), colour, x, 26);
    }

    private static void repetitions(Graphics2D g, ScoreLine line, double x) {
        if (line.interval().kind() == SegmentKind.WORK) {
            int done = line.reps().size();
            String target = line.target() > 0 ? DesktopText.of("match.score-painter.of", line.target()) : "";
            boolean off = line.interval().first().isCounted() && done != line.target();
            String words = DesktopText.of("match.score-painter.reps", done, target);
            ScoreText.draw(g, words, Typefaces.text(13), off ? Palette.CAUTION : Palette.INK, x, 45);
        }
    }

    private static void doubt(Graphics2D g, ScoreLine line, double x) {
        if (line.doubt() > ScorePainter.DOUBTFUL) {
            String words = line.doubt() > ScorePainter.VERY_DOUBTFUL
                    ? DesktopText.of("match.score-painter.very-unsure")
                    : DesktopText.of("match.score-painter.unsure");
            ScoreText.draw(g, words, Typefaces.text(13), Palette.VOICE, x, 62);
        }
    }
}
