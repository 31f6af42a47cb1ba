package app.nosegay.desktop.match;

/** What a row of the Score shows: a line, or the name of a block above its lines. */
sealed interface ScoreRow permits ScoreLine, ScoreFold {
    /** What a screen reader says of it. */
    String spoken();

    /** What tells it from the other rows, and stays the same when the programme changes. */
    String key();
}
