package app.nosegay.media;

/**
 * How the picture is encoded.
 *
 * @param preset speed preset of the encoder, where it has one
 * @param quality constant rate factor, 0 to 51; lower is better and larger
 * @param live whether the file has to be readable however it ends
 * @param keyFrameSeconds the longest stretch between key frames, in seconds
 * @param alpha whether it is ProRes 4444 with an alpha channel in a MOV; else H.264 in an MP4
 * @param soundBitRate of AAC in stereo, in bits a second
 */
public record EncoderSettings(
        String preset, int quality, double keyFrameSeconds, boolean live, boolean alpha, int soundBitRate) {
    /** Music and voice are clean at this. */
    private static final int CLEAN_SOUND = 160_000;

    public EncoderSettings(String preset, int quality, double keyFrameSeconds, boolean live) {
        this(preset, quality, keyFrameSeconds, live, false, CLEAN_SOUND);
    }

    /** A layer to lay over the picture elsewhere. */
    public static final EncoderSettings LAYER = new EncoderSettings("", 0, 0.04, false, true, CLEAN_SOUND);
    /** For looking at on another screen before the last render: fast and small. */
    public static final EncoderSettings DRAFT = new EncoderSettings("ultrafast", 27, 2, false);
    /** For archives and hosts that encode again: slower and larger. */
    public static final EncoderSettings BEST = new EncoderSettings("medium", 17, 2, false);

    public static final EncoderSettings FINISHED = new EncoderSettings("veryfast", 20, 2, false);
    /** Takes are scrubbed: key frames every second, and the fastest preset, since they are only material. */
    public static final EncoderSettings TAKE = new EncoderSettings("ultrafast", 20, 1, false);
    /** For a take that is shipped with the program: a flat drawing and one voice, as small as they go without showing it. */
    public static final EncoderSettings SHIPPED = new EncoderSettings("slow", 37, 4, false, false, 36_000);
    /** For scrubbing: every second picture stands alone. */
    static final EncoderSettings PROXY = new EncoderSettings("ultrafast", 28, 0.25, false);
    /** For a camera that is being recorded: readable up to the last second whenever it ends. */
    public static final EncoderSettings LIVE = new EncoderSettings("ultrafast", 20, 1, true);
}
