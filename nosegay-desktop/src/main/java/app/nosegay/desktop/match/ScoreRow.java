package app.nosegay.desktop.match;

/** What a row of the Score shows: a line, or the name of a block above its lines. */
sealed interface ScoreRow permits ScoreLine, ScoreFold {
    /** What a screen reader says of it. */
    String spoken();
}
