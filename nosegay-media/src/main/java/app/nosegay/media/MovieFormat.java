package app.nosegay.media;

/**
 * What a film is made of.
 *
 * @param width in pixels; 0 for sound alone
 * @param withSound whether it has sound
 */
public record MovieFormat(int width, int height, FrameRate rate, EncoderSettings settings, boolean withSound) {
    boolean hasPicture() {
        return width > 0;
    }
}
