package app.nosegay.match;

/**
 * The judgement numbers of the matcher, in nats of log likelihood unless named otherwise. Tuned on simulated takes of other plans than
 * the demo; docs/architecture.md tells how.
 */
final class MatchWeights {
    /** The grid everything is solved on; boundaries snap to the exact onset afterwards. */
    static final double GRID_SECONDS = 0.05;
    /** A boundary is looked for this far from its planned place, beyond what the lengths of take and plan differ by. */
    static final double BAND_SECONDS = 120;
    /** Each second that a segment is longer or shorter than planned. */
    static final double PER_SECOND_OFF = 1.2;
    /** The most a longer segment costs: interruptions of any length happen. */
    static final double MOST_FOR_LONGER = 14;
    /** A segment left out altogether. */
    static final double LEFT_OUT = 16;
    /** A beep at a boundary. */
    static final double BEEP = 6;
    /** How sharply a beep places a boundary, in seconds. */
    static final double BEEP_SIGMA = 0.06;
    /** A pip with another about a second later is a countdown: little weight as a boundary of its own. */
    static final double COUNTDOWN_SHARE = 0.2;
    /** Beeps shorter apart than this are one signal; its first onset counts, in seconds. */
    static final double ONE_SIGNAL = 0.45;
    /** A word that announces a boundary ("go", "rest", "switch"). */
    static final double WORD = 4;
    /** How closely people say it on the moment, in seconds. */
    static final double WORD_SIGMA = 0.5;
    /** "Ten seconds" or "half-way" tells of a boundary further on. */
    static final double CALL = 1.5;
    /** How well such a call is timed, in seconds. */
    static final double CALL_SIGMA = 1.0;
    /** The name of the move, said in it or in the rest before it. */
    static final double NAMED = 2.5;
    /** Each second of movement in work or stillness in rest; the reverse counts against. */
    static final double MOTION_PER_SECOND = 0.35;
    /** Talk and switches say little about motion. */
    static final double TALK_MOTION_SHARE = 0.3;
    /** A later start of the whole costs a little per second, so that without evidence the workout starts where the take does. */
    static final double LATE_BEGINNING_PER_SECOND = 0.02;
    /** Doubt asks how likely the boundary lies further away than this, in seconds. */
    static final double DOUBT_TOLERANCE = 0.15;
    /** A segment shorter than this share of its plan was left out. */
    static final double LEFT_OUT_SHARE = 0.12;
    /** Doubt of a boundary computed from sync tones and the log. */
    static final double SYNCED_DOUBT = 0.01;
    /** Doubt when only one tone was heard: the clock rate is not known, so it grows with distance. */
    static final double ONE_TONE_DOUBT = 0.05;
    /** With a log but no tones the lengths are known exactly: deviations cost this much more. */
    static final double LOGGED_STRICTNESS = 6;

    private MatchWeights() {}
}
