package app.nosegay.media;

/**
 * How the picture is encoded.
 *
 * @param preset speed preset of the encoder, where it has one
 * @param quality constant rate factor, 0 to 51; lower is better and larger
 * @param keyFrameSeconds the longest stretch between key frames, in seconds
 */
public record EncoderSettings(String preset, int quality, double keyFrameSeconds) {
    public static final EncoderSettings FINISHED = new EncoderSettings("veryfast", 20, 2);
    /** Takes are scrubbed: key frames every second, and the fastest preset, since they are only material. */
    public static final EncoderSettings TAKE = new EncoderSettings("ultrafast", 20, 1);
}
