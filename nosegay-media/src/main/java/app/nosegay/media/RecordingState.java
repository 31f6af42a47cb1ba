package app.nosegay.media;

/**
 * How a recording stands at a moment: what a person in front of the camera has to be told at once, since it cannot be recorded again.
 *
 * @param seconds recorded so far
 * @param sincePicture seconds since the last picture came; 0 before the first is due
 * @param sinceSound the same for sound; negative when none is recorded
 * @param ended whether a device gives nothing any more
 * @param failure why nothing can be written any more; null while it can
 * @param free bytes left on the disk
 * @param bytesPerSecond what the recording takes so far
 */
public record RecordingState(
        double seconds,
        double sincePicture,
        double sinceSound,
        boolean ended,
        String failure,
        long free,
        double bytesPerSecond) {
    /** Devices hiccup for a moment, above all at the start; longer than this is seen in the film. In seconds. */
    public static final double SILENT_AFTER = 1.5;
    /** So much stays free: the shoot log and the end of the film have to be written still. */
    public static final long RESERVE_BYTES = 16L << 20;
    /** With less room than for so many seconds the disk is spoken of: time enough to end the set that runs. */
    private static final double SHORT_OF_ROOM_SECONDS = 150;
    /** What a camera takes is known after this many seconds. */
    private static final double MEASURED_AFTER = 3;

    /** What is wrong; the gravest first. */
    public enum Trouble {
        STOPPED(true),
        DISK_FULL(true),
        NO_PICTURE(true),
        NO_SOUND(true),
        DISK_ENDING(false),
        NONE(false);

        private final boolean losing;

        Trouble(boolean losing) {
            this.losing = losing;
        }

        /** Whether what happens now is not being recorded. */
        public boolean losing() {
            return losing;
        }
    }

    /** What is wrong at this moment. */
    public Trouble trouble() {
        if (failure != null) {
            return free < RESERVE_BYTES ? Trouble.DISK_FULL : Trouble.STOPPED;
        }
        if (ended || sincePicture > SILENT_AFTER) {
            return Trouble.NO_PICTURE;
        }
        if (sinceSound > SILENT_AFTER) {
            return Trouble.NO_SOUND;
        }
        return secondsLeft() < SHORT_OF_ROOM_SECONDS ? Trouble.DISK_ENDING : Trouble.NONE;
    }

    /** For how many seconds more the disk has room. */
    public double secondsLeft() {
        return seconds < MEASURED_AFTER || bytesPerSecond <= 0
                ? Double.MAX_VALUE
                : Math.max(0, free - RESERVE_BYTES) / bytesPerSecond;
    }

    /** The trouble as one sentence with what to do; empty for none. */
    public String sentence() {
        return switch (trouble()) {
            case STOPPED -> MediaText.of("recording-state.stopped", clock(), failure);
            case DISK_FULL -> MediaText.of("recording-state.disk-full", clock());
            case NO_PICTURE -> MediaText.of("recording-state.no-picture", clock());
            case NO_SOUND -> MediaText.of("recording-state.no-sound", clock());
            case DISK_ENDING -> MediaText.of("recording-state.disk-ending", Math.round(secondsLeft()));
            case NONE -> "";
        };
    }

    private String clock() {
        long whole = Math.round(seconds);
        return whole / 60 + ":" + (whole % 60 < 10 ? "0" : "") + whole % 60;
    }
}
