package app.nosegay.shoot;

/** What the clock plays into the room. */
public enum ClockSound {
    PIP(880, 90),
    START(1320, 350),
    END(660, 500),
    CHANGE(990, 250),
    START_TONE(0, 0),
    END_TONE(0, 0);

    private final double hz;
    private final int millis;

    ClockSound(double hz, int millis) {
        this.hz = hz;
        this.millis = millis;
    }

    /** 0 for the sync tones, which are {@link SyncTone}s. */
    public double hz() {
        return hz;
    }

    public int millis() {
        return millis;
    }
}
