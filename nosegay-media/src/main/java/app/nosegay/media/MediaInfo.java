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
    /** A video stream; size in pixels as stored, rotation in degrees clockwise to show it upright. */
    public record Video(String codec, int width, int height, double framesPerSecond, int rotation) {
        public boolean isTurned() {
            return rotation == 90 || rotation == 270;
        }

        public int shownWidth() {
            return isTurned() ? height : width;
        }

        public int shownHeight() {
            return isTurned() ? width : height;
        }
    }

    /** A sound stream. */
    public record Audio(String codec, int sampleRate, int channels) {}
}
