package app.nosegay.match;

import app.nosegay.shoot.SyncTone;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.List;

/**
 * What was read from one take and what came with it; any list may be empty.
 *
 * @param id short name of the take
 * @param file where it is, as shown to people
 * @param length its length
 * @param tones the sync tones heard
 * @param beeps other tone onsets
 * @param loudness sound level in decibels below full scale, 0 to −100
 * @param motion how much of the picture changes, 0 to 1
 * @param pose small pictures of the scene for rep counting, or null
 * @param words the timed transcript
 */
public record TakeEvidence(
        String id,
        String file,
        Length length,
        List<Tone> tones,
        List<Beep> beeps,
        Trace loudness,
        Trace motion,
        Poses pose,
        List<Caption> words) {
    public TakeEvidence {
        tones = List.copyOf(tones);
        beeps = List.copyOf(beeps);
        words = List.copyOf(words);
    }

    /** A sync tone: when its chirp starts and what it says. */
    public record Tone(Time<Axis.Take> time, SyncTone.Code code) {}

    /** A steady tone that begins at {@code time}. */
    public record Beep(Time<Axis.Take> time, Length length, double hz, double db) {}

    /**
     * Small grey pictures at a steady rate, one row each.
     *
     * @param hz pictures per second
     * @param cells values per picture
     * @param grey the pictures one behind the other, 0 to 255 unsigned
     */
    public record Poses(double hz, int cells, byte[] grey) {
        public int count() {
            return cells == 0 ? 0 : grey.length / cells;
        }
    }

    public TakeEvidence withWords(List<Caption> transcript) {
        return new TakeEvidence(id, file, length, tones, beeps, loudness, motion, pose, transcript);
    }
}
