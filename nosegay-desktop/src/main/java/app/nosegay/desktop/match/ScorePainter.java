package app.nosegay.desktop.match;

import app.nosegay.captions.Caption;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.evidence.sight.DrivingJoint;
import app.nosegay.evidence.sight.JointRows;
import app.nosegay.match.Match;
import app.nosegay.paint.Palette;
import app.nosegay.paint.Skeleton;
import app.nosegay.paint.Typefaces;
import app.nosegay.plan.Segment;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;

/** Paints a line of the Score to an image, once; the window only moves images while scrolling. */
final class ScorePainter {
    static final double BEFORE = 5;
    static final double AFTER = 8;
    static final int ROW = 92;
    static final int FOLD = 44;
    /** A rest nothing is wrong with. */
    static final int THIN = 24;
    /** A block's bar begins behind its name; it is on no scale. */
    private static final int FOLD_LEFT = 206;

    static final int LEFT = 158;
    static final int RIGHT = 92;
    private static final double WORDS = 82;
    /** A curve of a joint is drawn where somebody was found for this share of the interval. */
    private static final double MOSTLY_FOUND = 0.7;

    /** Slower than this to start is worth telling, in seconds. */
    private static final double LATE = 0.8;

    /** Doubt below this is not worth a person's time. */
    static final double DOUBTFUL = 0.1;
    /** From here on another place is as likely. */
    static final double VERY_DOUBTFUL = 0.5;

    private final int width;
    private final double span;
    private final double scale;
    private final Map<Trace, Double> quiet = new IdentityHashMap<>();
    private final Predicate<ScoreLine> thin;
    private final Function<ScoreLine, Optional<ScoreLine>> compared;

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
        this.compared = compared;
        this.thin = thin;
        this.width = width;
        this.span = longestWork + BEFORE + AFTER;
        this.scale = (width - LEFT - RIGHT) / span;
    }

    /** How many rows a line folds into. */
    int rows(ScoreLine line) {
        double length = Math.max(
                line.planned().seconds(),
                line.isMissing() ? 0 : line.recorded().length().seconds());
        return (int) Math.max(1, Math.min(8, Math.ceil((length + BEFORE + AFTER - 0.001) / span)));
    }

    int height(ScoreRow row) {
        return row instanceof ScoreLine line ? isThin(line) ? THIN : rows(line) * ROW : FOLD;
    }

    boolean isThin(ScoreLine line) {
        return thin.test(line);
    }

    /** The pixel a moment of a line's own time (0 at its start) is at; x and row. */
    double x(double seconds) {
        return LEFT + (BEFORE + seconds - row(seconds) * span) * scale;
    }

    int row(double seconds) {
        return (int) Math.max(0, Math.floor((BEFORE + seconds) / span));
    }

    /** The moment of the line's own time at a pixel. */
    double seconds(double x, double y) {
        return (x - LEFT) / scale - BEFORE + Math.floor(y / ROW) * span;
    }

    double scale() {
        return scale;
    }

    BufferedImage paint(ScoreRow row) {
        BufferedImage image = new BufferedImage(width, height(row), BufferedImage.TYPE_INT_ARGB_PRE);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        if (row instanceof ScoreFold fold) {
            fold(g, fold);
        } else if (row instanceof ScoreLine line && isThin(line)) {
            thin(g, line);
        } else if (row instanceof ScoreLine line) {
            line(g, line);
        }
        g.setColor(Lamplight.of(Palette.RULE));
        g.draw(new Line2D.Double(0, image.getHeight() - 0.5, width, image.getHeight() - 0.5));
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
        text(
                g,
                shortened(g, fold.name(), Typefaces.heading(16), FOLD_LEFT - 34),
                Typefaces.heading(16),
                Lamplight.of(Palette.INK),
                22,
                26);
        double room = width - FOLD_LEFT - RIGHT;
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
                g.setColor(Lamplight.of(Palette.INK));
                text(g, "?", Typefaces.strong(14), Lamplight.of(Palette.INK), x + w / 2 - 4, 26);
            }
            x += w;
        }
        double drift = fold.drift().seconds();
        String told = fold.missing() > 0
                ? DesktopText.of("match.score-painter.missing", fold.missing())
                : Math.abs(drift) < 0.05
                        ? DesktopText.of("match.score-painter.on-time")
                        : String.format(Locale.ROOT, "%+.1f s", drift);
        boolean fine =
                fold.missing() == 0 && Math.abs(drift) < 0.5 * fold.lines().size();
        text(
                g,
                told,
                Typefaces.strong(15),
                fine ? Lamplight.of(Palette.COUNT) : Lamplight.of(Palette.CAUTION),
                width - RIGHT + 10,
                26);
    }

    /** A rest as it should be: its name, its bar, how long it is. */
    private void thin(Graphics2D g, ScoreLine line) {
        Color colour = Petals.awt(line.interval().kind());
        g.setColor(colour);
        g.fill(new Rectangle2D.Double(0, 4, 4, THIN - 9));
        text(g, line.title(), Typefaces.text(13), Lamplight.of(Palette.FADED_INK), 12, 16);
        double seconds = line.recorded().length().seconds();
        double room = width - LEFT - RIGHT - BEFORE * scale;
        g.setColor(Palette.faded(colour, 120));
        g.fill(new Rectangle2D.Double(x(0), 9, Math.min(room, seconds * scale), 5));
        text(
                g,
                DesktopText.of("match.score-painter.seconds", seconds),
                Typefaces.text(13),
                Lamplight.of(Palette.FADED_INK),
                width - RIGHT + 10,
                16);
    }

    private void line(Graphics2D g, ScoreLine line) {
        int rows = rows(line);
        margins(g, line);
        for (int r = 0; r < rows; r++) {
            Graphics2D row = (Graphics2D) g.create(0, r * ROW, width, ROW);
            row(row, line, r, rows);
            row.dispose();
        }
    }

    private void margins(Graphics2D g, ScoreLine line) {
        Color colour = line.isUnplanned()
                ? Lamplight.of(Palette.FADED_INK)
                : Petals.awt(line.interval().kind());
        g.setColor(colour);
        g.fill(new Rectangle2D.Double(0, 8, 4, ROW - 18));
        text(
                g,
                shortened(g, line.title(), Typefaces.strong(15), LEFT - 20),
                Typefaces.strong(15),
                Lamplight.of(Palette.INK),
                12,
                22);
        text(
                g,
                shortened(g, line.detail(), Typefaces.text(13), LEFT - 20),
                Typefaces.text(13),
                Lamplight.of(Palette.FADED_INK),
                12,
                40);
        double x = width - RIGHT + 10;
        if (line.isMissing()) {
            text(
                    g,
                    DesktopText.of("match.score-painter.not-found"),
                    Typefaces.strong(14),
                    Lamplight.of(Palette.CAUTION),
                    x,
                    26);
            return;
        }
        if (line.isUnplanned()) {
            text(g, line.recorded().length().toString(), Typefaces.strong(15), Lamplight.of(Palette.INK), x, 26);
            return;
        }
        double drift = line.drift().seconds();
        double late = line.lateBy().seconds();
        boolean startsLate = Math.abs(drift) < 0.5 && late > LATE;
        boolean counted = line.interval().first().isCounted();
        String shown = counted
                ? String.format(Locale.ROOT, "%.1f s", line.recorded().length().seconds())
                : startsLate
                        ? DesktopText.of("match.score-painter.s-late", late)
                        : Math.abs(drift) < 0.05
                                ? DesktopText.of("match.score-painter.on-time")
                                : String.format(Locale.ROOT, "%+.1f s", drift);
        text(
                g,
                shown,
                Typefaces.strong(15),
                counted
                        ? Lamplight.of(Palette.INK)
                        : Math.abs(drift) < 0.5 && !startsLate
                                ? Lamplight.of(Palette.COUNT)
                                : Lamplight.of(Palette.CAUTION),
                x,
                26);
        if (line.interval().kind() == SegmentKind.WORK) {
            String reps = DesktopText.of(
                    "match.score-painter.reps",
                    line.reps().size(),
                    line.target() > 0 ? DesktopText.of("match.score-painter.of", line.target()) : "");
            boolean off = counted && line.reps().size() != line.target();
            text(g, reps, Typefaces.text(13), off ? Lamplight.of(Palette.CAUTION) : Lamplight.of(Palette.INK), x, 45);
        }
        if (line.doubt() > DOUBTFUL) {
            text(
                    g,
                    line.doubt() > VERY_DOUBTFUL
                            ? DesktopText.of("match.score-painter.very-unsure")
                            : DesktopText.of("match.score-painter.unsure"),
                    Typefaces.text(13),
                    Lamplight.of(Palette.VOICE),
                    x,
                    62);
        }
    }

    private static String shortened(Graphics2D g, String text, Font font, double room) {
        String t = text;
        while (t.length() > 3
                && font.getStringBounds(t, g.getFontRenderContext()).getWidth() > room) {
            t = t.substring(0, t.length() - 2).stripTrailing() + "…";
        }
        return t;
    }

    private static void text(Graphics2D g, String text, Font font, Color colour, double x, double y) {
        g.setFont(font);
        g.setColor(colour);
        g.drawString(text, (float) x, (float) y);
    }

    private void row(Graphics2D g, ScoreLine line, int r, int rows) {
        double from = r * span - BEFORE;
        double length = Math.max(
                line.planned().seconds(),
                line.isMissing() ? 0 : line.recorded().length().seconds());
        double to = Math.min(from + span, length + AFTER);
        g.clip(new Rectangle2D.Double(LEFT, 0, width - LEFT - RIGHT, ROW));
        ticks(g, from, to);
        planned(g, line, from);
        if (!line.isMissing() && line.take() != null) {
            sound(g, line, from, to);
            if (!joints(g, line, from, to)) {
                motion(g, line, from, to);
            }
            recorded(g, line, from);
            beeps(g, line, from, to);
            words(g, line, from, to);
            reps(g, line, from);
        }
        if (rows > 1) {
            torn(g, r, rows);
        }
    }

    private double at(double seconds, double from) {
        return LEFT + (seconds - from) * scale;
    }

    private void ticks(Graphics2D g, double from, double to) {
        g.setStroke(new BasicStroke(1));
        for (int s = (int) Math.ceil(from / 5) * 5; s <= to; s += 5) {
            g.setColor(
                    s == 0
                            ? Lamplight.of(Palette.FADED_INK)
                            : Palette.faded(Lamplight.of(Palette.RULE), s % 10 == 0 ? 200 : 110));
            g.draw(new Line2D.Double(at(s, from), 4, at(s, from), ScoreMarks.TRACE_END));
        }
    }

    private void planned(Graphics2D g, ScoreLine line, double from) {
        if (line.isUnplanned()) {
            g.setColor(Lamplight.of(Palette.FADED_INK));
            g.setStroke(new BasicStroke(1.4f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_MITER, 4, new float[] {5, 4}, 0));
            g.draw(new Rectangle2D.Double(
                    at(0, from), ScoreMarks.BAR_TOP, line.recorded().length().seconds() * scale, ScoreMarks.BAR));
            return;
        }
        double t = 0;
        for (Segment s : line.interval().segments()) {
            double seconds = s.duration().seconds();
            ScoreMarks.planned(g, at(t, from), seconds * scale, Petals.awt(s.kind()), !line.isMissing());
            t += seconds;
        }
    }

    private static Time<Axis.Take> take(ScoreLine line, double seconds) {
        return line.recorded().start().plus(Length.ofSeconds(seconds));
    }

    private void sound(Graphics2D g, ScoreLine line, double from, double to) {
        Trace loudness = line.take().loudness();
        if (loudness.isEmpty()) {
            return;
        }
        double silence = quiet.computeIfAbsent(loudness, ScorePainter::quietOf);
        for (double x = at(from, from); x < at(to, from); x += 1.5) {
            double seconds = (x - LEFT) / scale + from;
            // From just above this room's quiet to full height at −12 dB.
            double level = Math.max(
                    0, Math.min(1, (loudness.at(take(line, seconds)) - silence) / (-12 - Math.min(-20, silence))));
            ScoreMarks.sound(g, x, level);
        }
    }

    /** The level of this room when nobody speaks, in decibels. */
    private static double quietOf(Trace loudness) {
        float[] sorted = loudness.values().clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 5] + 4;
    }

    /** Where the joint that drives the move is, left and right in an ink each; false where nobody was found or nobody is to move. */
    private boolean joints(Graphics2D g, ScoreLine line, double from, double to) {
        JointRows leader = JointRows.ofLeader(line.take()).orElse(null);
        double start = line.recorded().start().seconds();
        double end = line.recorded().end().seconds();
        boolean moves = !line.isUnplanned() && line.interval().kind().isMoving();
        if (leader == null || !moves || leader.seen(start, end) < MOSTLY_FOUND) {
            return false;
        }
        DrivingJoint joint = DrivingJoint.of(leader, start, end);
        compared.apply(line).ifPresent(other -> compared(g, joint, other, from, to));
        for (int side = joint.isPaired() ? 1 : 0; side >= 0; side--) {
            ScoreMarks.curve(g, way(joint, leader, start, side == 1, from, to), ink(joint, side == 1));
        }
        return true;
    }

    private static Color ink(DrivingJoint joint, boolean right) {
        return !joint.isPaired()
                ? Lamplight.of(Palette.COUNT)
                : right ? Lamplight.of(Skeleton.RIGHT) : Lamplight.of(Skeleton.LEFT);
    }

    /** The way the joint goes in another round, from its own start on. */
    private void compared(Graphics2D g, DrivingJoint joint, ScoreLine other, double from, double to) {
        JointRows leader = JointRows.ofLeader(other.take()).orElse(null);
        double start = other.recorded().start().seconds();
        double end = Math.min(to, other.recorded().length().seconds());
        for (int side = joint.isPaired() ? 1 : 0; leader != null && side >= 0; side--) {
            Path2D way = way(joint, leader, start, side == 1, Math.max(0, from), end);
            ScoreMarks.compared(g, way, ink(joint, side == 1));
        }
    }

    private Path2D way(DrivingJoint joint, JointRows leader, double start, boolean right, double from, double to) {
        Path2D path = new Path2D.Double();
        boolean begun = false;
        for (double seconds = from; seconds < to; seconds += 0.1) {
            double at = joint.at(leader, start + seconds, right);
            double y = ScoreMarks.TRACE_TOP + ScoreMarks.TRACE * (1 - at);
            if (Double.isNaN(at)) {
                begun = false;
            } else if (begun) {
                path.lineTo(x(seconds), y);
            } else {
                path.moveTo(x(seconds), y);
                begun = true;
            }
        }
        return path;
    }

    private void motion(Graphics2D g, ScoreLine line, double from, double to) {
        Trace motion = line.take().motion();
        if (motion.isEmpty()) {
            return;
        }
        Path2D path = new Path2D.Double();
        boolean first = true;
        for (double seconds = from; seconds < to; seconds += 0.1) {
            double level = Math.min(1, Math.sqrt(motion.at(take(line, seconds))) * 4);
            double y = ScoreMarks.TRACE_END - level * ScoreMarks.TRACE;
            if (first) {
                path.moveTo(at(seconds, from), y);
                first = false;
            } else {
                path.lineTo(at(seconds, from), y);
            }
        }
        ScoreMarks.curve(g, path, Lamplight.of(Palette.COUNT));
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
            ScoreMarks.done(g, at(first, from), (last - first) * scale, colour);
            ScoreMarks.boundary(g, at(start, from), p.startPinned(), colour);
            ScoreMarks.boundary(g, at(end, from), p.endPinned(), colour);
            whisker(g, line, p.startLikely(), p.startDoubt(), from, colour);
            whisker(g, line, p.endLikely(), p.endDoubt(), from, colour);
        }
    }

    private void whisker(
            Graphics2D g, ScoreLine line, Span<Axis.Take> likely, double doubt, double from, Color colour) {
        if (doubt > DOUBTFUL) {
            Time<Axis.Take> start = line.recorded().start();
            ScoreMarks.whisker(
                    g,
                    at(likely.start().since(start).seconds(), from),
                    at(likely.end().since(start).seconds(), from),
                    colour);
        }
    }

    private void beeps(Graphics2D g, ScoreLine line, double from, double to) {
        for (TakeEvidence.Beep b : line.take().beeps()) {
            double s = b.time().since(line.recorded().start()).seconds();
            if (s >= from && s <= to) {
                ScoreMarks.beep(g, at(s, from));
            }
        }
    }

    private void words(Graphics2D g, ScoreLine line, double from, double to) {
        g.setFont(Typefaces.text(13));
        double free = LEFT;
        for (Caption c : line.take().words()) {
            double s = c.start().since(line.recorded().start()).seconds();
            if (s < from - 8 || s > to) {
                continue;
            }
            double x = at(s, from);
            String words = shortened(g, c.text(), g.getFont(), width - RIGHT - x);
            double room =
                    g.getFont().getStringBounds(words, g.getFontRenderContext()).getWidth();
            boolean fits = x >= free && x + room <= width - RIGHT;
            ScoreMarks.word(g, x);
            if (fits) {
                g.setColor(Lamplight.of(Palette.INK));
                g.drawString(words, (float) x, (float) WORDS);
                free = x + room + 8;
            }
        }
    }

    private void reps(Graphics2D g, ScoreLine line, double from) {
        for (Time<Axis.Take> rep : line.reps()) {
            ScoreMarks.rep(g, at(rep.since(line.recorded().start()).seconds(), from));
        }
    }

    /** A line that goes on below is torn at the edge. */
    private void torn(Graphics2D g, int r, int rows) {
        g.setColor(Palette.faded(Lamplight.of(Palette.FADED_INK), 150));
        g.setStroke(new BasicStroke(1.2f));
        for (int side = 0; side < 2; side++) {
            boolean tears = side == 0 ? r > 0 : r < rows - 1;
            if (tears) {
                double x = side == 0 ? LEFT + 3 : width - RIGHT - 3;
                Path2D tear = new Path2D.Double();
                tear.moveTo(x, 2);
                for (int y = 2; y < ROW - 6; y += 6) {
                    tear.lineTo(x + (y / 6 % 2 == 0 ? 3 : -3), y + 3);
                }
                g.draw(tear);
            }
        }
    }
}
