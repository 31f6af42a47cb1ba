package app.nosegay.desktop.match;

/**
 * Where a moment of a line of the Score lies: all lines share one scale of seconds, and what is longer than the width goes on in a row
 * below.
 *
 * @param width of a line in pixels
 * @param span seconds a row shows
 * @param scale pixels a second takes
 */
record ScoreGrid(int width, double span, double scale) {
    /** Seconds shown before a line's start and behind its end. */
    static final double BEFORE = 5;

    static final double AFTER = 8;
    static final int ROW = 92;
    /** The margins: what a line is called, and how it came out. */
    static final int LEFT = 158;

    static final int RIGHT = 92;
    private static final int MOST_ROWS = 8;

    /** @param longestWork seconds of the longest work line: the scale all lines share */
    static ScoreGrid of(int width, double longestWork) {
        double span = longestWork + BEFORE + AFTER;
        return new ScoreGrid(width, span, (width - LEFT - RIGHT) / span);
    }

    /** The pixel of the margin right of the lines. */
    int right() {
        return width - RIGHT;
    }

    /** How many rows a line folds into. */
    int rows(ScoreLine line) {
        return (int) Math.max(1, Math.min(MOST_ROWS, Math.ceil((length(line) + BEFORE + AFTER - 0.001) / span)));
    }

    /** Seconds of a line, as planned or as recorded: the longer. */
    static double length(ScoreLine line) {
        return Math.max(
                line.planned().seconds(),
                line.isMissing() ? 0 : line.recorded().length().seconds());
    }

    /** The pixel a moment of a line's own time (0 at its start) is at, in its row. */
    double x(double seconds) {
        return at(seconds, row(seconds) * span - BEFORE);
    }

    int row(double seconds) {
        return (int) Math.max(0, Math.floor((BEFORE + seconds) / span));
    }

    /** The pixel of a moment in a row that begins at {@code from}. */
    double at(double seconds, double from) {
        return LEFT + (seconds - from) * scale;
    }

    /** The moment of the line's own time at a pixel. */
    double seconds(double x, double y) {
        return (x - LEFT) / scale - BEFORE + Math.floor(y / ROW) * span;
    }
}
