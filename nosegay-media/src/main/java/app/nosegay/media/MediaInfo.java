package app.nosegay.media;

import app.nosegay.time.Length;

/**
 * What a media file holds.
 *
 * @param format the container's short name
 * @param length the longest of container and streams
 * @param video the picture, or null
 * @param audio the sound, or null
 */
public record MediaInfo(String format, Length length, Video video, Audio audio) {
    /**
     * A video stream.
     *
     * @param width in pixels as stored
     * @param height in pixels as stored
     * @param rotation degrees clockwise to show it upright: 0, 90, 180 or 270
     * @param pixelAspect width of a stored pixel as a share of its height; 1 for square ones
     */
    public record Video(String codec, int width, int height, double framesPerSecond, int rotation, double pixelAspect) {
        public boolean isTurned() {
            return rotation == 90 || rotation == 270;
        }

        private int squareWidth() {
            return (int) Math.round(width * pixelAspect);
        }

        public int shownWidth() {
            return isTurned() ? height : squareWidth();
        }

        public int shownHeight() {
            return isTurned() ? squareWidth() : height;
        }
    }

    /** A sound stream. */
    public record Audio(String codec, int sampleRate, int channels) {}
}
