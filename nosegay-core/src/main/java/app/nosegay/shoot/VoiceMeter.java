package app.nosegay.shoot;

/**
 * Whether somebody is speaking, from nothing but the level of a microphone: louder than the room by as much as speech is. What the room is
 * like is learnt as it goes. Not thread-safe.
 */
public final class VoiceMeter {
    /** Speech across a room lies at least so far over its noise, in decibels. */
    private static final double OVER_ROOM_DB = 9;
    /** The room is taken to get louder by so much in a second, in decibels: a fan that is switched on is no voice for long. */
    private static final double RISE_DB = 0.5;
    /** Quieter than this nothing is a voice, in decibels of full scale. */
    private static final double LEAST_DB = -55;

    private static final double SILENCE_DB = -90;

    private double roomDb = Double.NaN;

    /**
     * Hears on.
     *
     * @param level the largest sample of what is heard now, 0 to 1
     * @param seconds how long that is
     * @return whether it is a voice
     */
    public boolean hear(double level, double seconds) {
        double db = level > 0 ? Math.max(SILENCE_DB, 20 * Math.log10(level)) : SILENCE_DB;
        roomDb = Double.isNaN(roomDb) ? db : Math.min(db, roomDb + RISE_DB * seconds);
        return db > LEAST_DB && db > roomDb + OVER_ROOM_DB;
    }
}
