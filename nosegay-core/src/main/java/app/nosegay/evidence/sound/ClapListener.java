package app.nosegay.evidence.sound;

/**
 * Hears two claps in a row: short bursts far above the room, 0.2 to 0.9 seconds apart, with quiet around them. Feed it sound as it comes;
 * it says when a pair is complete.
 */
public final class ClapListener {
    private static final double BLOCK_SECONDS = 0.01;
    /** A clap is this much louder than the room, in decibels. */
    private static final double ABOVE_ROOM_DB = 22;

    private static final double LEAST_GAP = 0.2;
    private static final double MOST_GAP = 0.9;
    /** A clap dies away within this time; speech does not. */
    private static final double MOST_LENGTH = 0.15;

    private final int block;
    private double energy;
    private int fill;
    private double roomDb = -50;
    private double seconds;
    private double loudSince = -1;
    private double lastClap = -9;
    private boolean tooLong;

    public ClapListener(int sampleRate) {
        block = Math.max(1, (int) Math.round(sampleRate * BLOCK_SECONDS));
    }

    /** Hears {@code count} samples, −1 to 1; true when a second clap completes a pair. */
    public boolean listen(float[] samples, int count) {
        boolean pair = false;
        for (int i = 0; i < count; i++) {
            energy += samples[i] * samples[i];
            if (++fill == block) {
                pair |= block(10 * Math.log10(energy / block + 1e-10));
                energy = 0;
                fill = 0;
            }
        }
        return pair;
    }

    private boolean block(double db) {
        seconds += BLOCK_SECONDS;
        boolean loud = db > roomDb + ABOVE_ROOM_DB;
        if (!loud) {
            roomDb += 0.02 * (Math.max(-75, db) - roomDb);
        }
        boolean pair = false;
        if (loud && loudSince < 0) {
            loudSince = seconds;
            tooLong = false;
        } else if (loud && seconds - loudSince > MOST_LENGTH) {
            tooLong = true;
        } else if (!loud && loudSince >= 0) {
            if (!tooLong) {
                double gap = loudSince - lastClap;
                pair = gap >= LEAST_GAP && gap <= MOST_GAP;
                lastClap = pair ? -9 : loudSince;
            } else {
                lastClap = -9;
            }
            loudSince = -1;
        }
        return pair;
    }
}
