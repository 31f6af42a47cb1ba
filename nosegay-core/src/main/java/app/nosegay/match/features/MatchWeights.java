package app.nosegay.match.features;

/**
 * The judgement numbers of the matcher, in nats of log likelihood unless named otherwise. Tuned on simulated takes of other plans than
 * the demo; docs/architecture.md tells how.
 */
public final class MatchWeights {
    /** The grid everything is solved on; boundaries snap to the exact onset afterwards. */
    public static final double GRID_SECONDS = 0.05;
    /** A boundary is looked for this far from its planned place, beyond what the lengths of take and plan differ by. */
    public static final double BAND_SECONDS = 120;
    /** Each second that a segment is longer or shorter than planned. */
    public static final double PER_SECOND_OFF = 1.2;
    /** Of that, for pauses and for what was broken off: nobody planned how long they last. */
    public static final double LOOSE_SHARE = 0.3;
    /** Of which: an open-ended one, which has only an estimate; … */
    public static final double OPEN_SHARE = 0.2;
    /** … talk; … */
    public static final double TALK_SHARE = 0.85;
    /** … where its words are known, it takes as long as it takes; … */
    public static final double HEARD_TALK_SHARE = 0.3;
    /** … and nearly so where somebody is heard to talk; … */
    public static final double VOICED_TALK_SHARE = 0.4;
    /** … and where no timer is heard, so that the lengths were kept by eye. */
    public static final double BY_HAND_SHARE = 0.7;
    /** Without a timer a rest takes as long as its talk does. */
    public static final double REST_BY_HAND_SHARE = 0.4;
    /** What is left of a minute is as long as the set before it was short. */
    public static final double LEFT_OF_MINUTE_SHARE = 0.15;
    /** A set of repetitions ends with the last of them, at whatever tempo. */
    public static final double BY_REPS_SHARE = 0.55;
    /** The most a longer segment costs: interruptions of any length happen … */
    public static final double MOST_FOR_LONGER = 12.5;
    /** … and where movement is seen, which speaks for a longer set as well as for something unplanned. */
    public static final double MOST_FOR_LONGER_SEEN = 18;
    /** A segment left out altogether. */
    public static final double LEFT_OUT = 14;
    /** Each further segment left out with it. */
    public static final double LEFT_OUT_AGAIN = 5.5;
    /** The rest behind a move left out goes with it; a pair costs nearly the same whether it begins with the rest or the move. */
    public static final double LEFT_OUT_WITH_IT = 5;
    /** A pause between two segments. */
    public static final double PAUSE = 10;
    /** Each second of a pause: they may be long. */
    public static final double PAUSE_PER_SECOND = 0.03;
    /** In a pause one moves or stands still: of what either would gain it gains this share, less than anything that is planned. */
    static final double IDLE_SHARE = 0.4;
    /** A segment broken off, to be begun again: without a word of it, something unplanned is likelier. */
    public static final double BROKEN_OFF = 24;
    /** Saying that something went wrong, where it is broken off. */
    static final double FLUFF_SAID = 17;
    /** Saying that it is done again from its beginning. */
    static final double AGAIN_SAID = 22;
    /** How near the words are to the breaking off, in seconds. */
    static final double FLUFF_SIGMA = 2;
    /** Beeps count less where a clock need not sound: at the ends of rests and talk. */
    static final double UNSIGNALLED_SHARE = 0.6;
    /** A segment done whole that is then done again. */
    public static final double REPEATED = 14;
    /** Going back one segment further. */
    public static final double BACK_ONE = 3;
    /** A segment that ends well before its time, with the next behind it. */
    public static final double CUT_SHORT = 16;
    /** A take that begins or ends in the middle of the plan. */
    public static final double PART_OF_PLAN = 18;
    /** A first take begins at the beginning, a later one where the one before it broke off: more often than not. */
    public static final double UNLIKELY_BEGINNING = 3;
    /** Pins outweigh everything. */
    public static final double PINNED = 1e4;
    /** A beep at a boundary. */
    static final double BEEP = 6;
    /** No beep where work begins or ends, though there is a timer. */
    static final double UNHEARD = 2;
    /** Work taken up again after a pause is less often signalled. */
    static final double TAKEN_UP_SHARE = 0.5;
    /** A beep where there is no timer: a phone, an oven, a vowel held long. */
    static final double STRAY_BEEP = 1.5;
    /** A timer was at work where there are beeps for this share of the times it would sound. */
    static final double TIMER_SHARE = 0.35;
    /** How sharply a beep places a boundary, in seconds. */
    static final double BEEP_SIGMA = 0.06;
    /** The moment a countdown counts to, where the timer is silent then. */
    static final double COUNTED_TO = 4;
    /** Beeps shorter apart than this are one signal; its first onset counts, in seconds. */
    static final double ONE_SIGNAL = 0.45;
    /** A word that announces a boundary ("go", "rest", "switch"). */
    static final double WORD = 4;
    /** How closely people say it on the moment, in seconds. */
    static final double WORD_SIGMA = 0.5;
    /** The workout begins with talk where the first word of a take is said … */
    static final double GREETED = 6;
    /** … within this, in seconds. */
    static final double GREETED_SIGMA = 0.6;
    /** The end of the workout with words behind it: there may be some. */
    static final double STILL_TALKING = 5.5;
    /** "Ten seconds" or "half-way" tells of a boundary further on. */
    static final double CALL = 1.5;
    /** How well such a call is timed, in seconds. */
    static final double CALL_SIGMA = 1.0;
    /** The name of the move, said in it or in the rest before it. */
    public static final double NAMED = 2.5;
    /** Each second of movement in work or stillness in rest; the reverse counts against. */
    static final double MOTION_PER_SECOND = 0.35;
    /** The same where it is also known how far it comes round. */
    static final double RHYTHM_PER_SECOND = 0.5;
    /** How much moves, where it is also known how far it comes round: people walk about in rests, and a press-up moves little … */
    static final double MUCH_SHARE = 0.7;
    /** What moves much tells of work as far as what comes round moves more than what does not: by more than this share of the range … */
    static final double MUCH_TELLS_FROM = 0.15;
    /** … and wholly from this on. */
    static final double MUCH_TELLS_WHOLLY = 0.5;
    /** … and how far it comes round, which gestures do not. */
    static final double RHYTHM_SHARE = 0.5;
    /** Each second of movement high in the picture in a move done standing, or low in one on the floor; the reverse counts against. */
    static final double POSTURE_PER_SECOND = 0.25;
    /** A plain change of position where one move goes over into the next without a rest, or a hold begins or ends. */
    static final double STEP = 4;
    /** How near it is to the boundary, in seconds: one changes over before it or behind it. */
    static final double STEP_SIGMA = 1.4;
    /** Where a hold begins or ends beside a rest, in which one is seldom as still. */
    static final double CALM = 2;
    /** A change of position at the edge of a rest, in which one walks about as well. */
    static final double STEP_OF_REST_SHARE = 0.5;
    /** A hold or a stretch is as still as a rest or moves as much as work: of what either would gain it gains this share. */
    static final double EITHER_SHARE = 0.8;
    /** The first and the last repetition of a set, told from the middle of it, beside a rest or talk … */
    public static final double SET_EDGE = 4;
    /** … and how near they are to the boundary, in seconds. */
    public static final double SET_EDGE_SIGMA = 0.7;
    /** Talk says little about motion. */
    static final double TALK_MOTION_SHARE = 0.3;
    /** Each second in which somebody speaks where a line is to be said, or is silent where none is; the reverse counts against. */
    static final double VOICE_PER_SECOND = 0.3;
    /** People speak where nothing is written more often than they keep silent where something is. */
    static final double VOICE_SILENCE_SHARE = 0.5;
    /** Next to a boundary, in seconds: further off the script has slipped. */
    static final double VOICE_SECONDS = 12;
    /** The most it counts for one side of a boundary: few keep to a script. */
    static final double VOICE_AT_MOST = 1.5;
    /** Speech and silence fit a script that is spoken by at least this on average: 1.2 to 1.5 in simulated runs, other talk by 0 to 0.5. */
    public static final double SCRIPT_SPOKEN = 0.8;
    /** … loud what this share does, … */
    static final double VOICE_LOUD_SHARE = 0.9;
    /** … or, where that is quiet still, this one: some say little. */
    static final double VOICE_SELDOM_LOUD_SHARE = 0.97;
    /** Between loud and quiet, in dB: with less there is no voice, or one under music. */
    static final double VOICE_RANGE_DB = 12;
    /** A silence shorter than this, in seconds, is a beat between two words. */
    static final double VOICE_PAUSE = 0.35;
    /** A later start of the whole costs a little per second, so that without evidence the workout starts where the take does. */
    public static final double LATE_BEGINNING_PER_SECOND = 0.02;
    /** A number counted down to a boundary: "three, two, one". */
    static final double COUNTED = 3.5;
    /** A line of the script said in its segment: some are said a little before or behind it. */
    static final double LINE_SAID = 1.2;
    /** A move is introduced this long before it begins, in seconds, at the most … */
    public static final double NAMED_BEFORE = 25;
    /** … or this soon after. */
    static final double NAMED_AFTER = 6;
    /** Where no rest goes before it, it is named as it begins … */
    static final double NAMED_AT_START = 2;
    /** … within this, in seconds. */
    static final double NAMED_SIGMA = 1.5;
    /** However often it is named. */
    static final double NAMED_AT_MOST = 7;
    /** A move announced as the next one, in the rest before it … */
    static final double INTRODUCED = 4;
    /** … or this long before that rest begins, in seconds. */
    static final double INTRODUCED_EARLY = 5;
    /** Announced again sooner than this, in seconds, it is the same announcement. */
    static final double INTRODUCED_AGAIN = 25;
    /**
     * Each second of the closing talk in which something is said, the reverse counts against: a timer left on beeps behind it, but
     * nobody talks there.
     */
    static final double SPOKEN_PER_SECOND = 0.8;
    /** The same where it is not known what is said. */
    static final double VOICED_PER_SECOND = 0.6;
    /** A closing talk is known by as many seconds, … */
    static final double CLOSING_SECONDS = 20;
    /** … and this share of speech tells nothing: work is talked over, too. */
    static final double SPOKEN_IN_WORK = 0.5;
    /** Who goes on talking begins the next line within this, in seconds. */
    static final double BETWEEN_LINES = 1.5;
    /** What is heard for less than this, in seconds, is no sentence, where the words are not known. */
    static final double SHORTEST_SENTENCE = 0.6;
    /** Two moves done in each other's place. */
    public static final double EXCHANGED = 7;
    /** Another order is as unlikely as its score is lower, by so many nats a power of e: scores add up what is not independent. */
    public static final double ORDER_SPREAD = 1.5;
    /** By so many nats less likely an order is no doubt. */
    public static final double BEYOND_DOUBT = 30;
    /** Two moves are taken for exchanged when their names tell it by three mentions more than the plan's order. */
    public static final double SWAPPED = 3 * NAMED;
    /** Doubt asks how likely the boundary lies further away than this, in seconds: what can be had from beeps … */
    static final double TOLERANCE_BEEPS = 0.15;
    /** … from words without beeps … */
    static final double TOLERANCE_WORDS = 1.0;
    /** … and from voice and motion alone (docs/domain.md). */
    static final double TOLERANCE_MOTION = 2.0;
    /** Likelihoods are spread by this much: the evidence is less independent than it is added up to be. */
    public static final double DOUBT_SPREAD = 1.0;
    /** Nothing that was only heard or seen is certain. */
    public static final double LEAST_DOUBT = 0.01;

    /** What is told of where a boundary may be leaves this share of the likelihood out at either end. */
    public static final double UNLIKELY = 0.05;
    /** Boundaries are placed within this distance of where the order of events put them, in seconds. */
    public static final double REFINE_SECONDS = 15;
    /** A start is borne out by this much evidence … */
    public static final double SIGN_OF_START = 2;
    /** … or by movement … */
    public static final double SIGN_OF_MOVEMENT = 0.2;
    /** … after stillness, as seen over so many seconds … */
    public static final double STILL_BEFORE = 5;
    /** … or by a voice that speaks and is silent as the script says … */
    public static final double SIGN_OF_VOICE = 1;
    /** … and a take in which fewer than this share of the moves are borne out is something else. */
    public static final double FOREIGN_SHARE = 0.3;
    /** … of which a hold or a stretch, in which there is next to nothing to be seen, counts so much. */
    public static final double STILL_ASKED = 0.4;
    /** A segment shorter than this share of its plan was left out. */
    public static final double LEFT_OUT_SHARE = 0.12;
    /** Doubt of a boundary computed from sync tones and the log. */
    public static final double SYNCED_DOUBT = 0.01;
    /** Doubt when only one tone was heard: the clock rate is not known, so it grows with distance. */
    public static final double ONE_TONE_DOUBT = 0.05;
    /** With a log but no tones the lengths are known exactly: deviations cost this much more. */
    public static final double LOGGED_STRICTNESS = 6;

    private MatchWeights() {}
}
