package app.nosegay.evidence;

import app.nosegay.cache.Derived;
import app.nosegay.captions.Caption;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.Arrays;
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
 * @param levels loudness to broadcast measure
 * @param voice how likely somebody speaks, 0 to 1; empty where nobody listened for that
 * @param bodies who is in the picture and where their joints are; none where nobody looked for that
 * @param derived what was worked out from it alone, kept as long as it is
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
        List<Caption> words,
        SoundLevels levels,
        Trace voice,
        Bodies bodies,
        Derived derived) {
    public TakeEvidence {
        tones = List.copyOf(tones);
        beeps = List.copyOf(beeps);
        words = List.copyOf(words);
    }

    public TakeEvidence(
            String id,
            String file,
            Length length,
            List<Tone> tones,
            List<Beep> beeps,
            Trace loudness,
            Trace motion,
            Poses pose,
            List<Caption> words) {
        this(id, file, length, tones, beeps, loudness, motion, pose, words, SoundLevels.NONE);
    }

    public TakeEvidence(
            String id,
            String file,
            Length length,
            List<Tone> tones,
            List<Beep> beeps,
            Trace loudness,
            Trace motion,
            Poses pose,
            List<Caption> words,
            SoundLevels levels) {
        this(
                id,
                file,
                length,
                tones,
                beeps,
                loudness,
                motion,
                pose,
                words,
                levels,
                Trace.NONE,
                Bodies.NONE,
                new Derived());
    }

    public TakeEvidence withLevels(SoundLevels metered) {
        return with(words, metered, voice, bodies);
    }

    public TakeEvidence withVoice(Trace heard) {
        return with(words, levels, heard, bodies);
    }

    public TakeEvidence withBodies(Bodies seen) {
        return with(words, levels, voice, seen);
    }

    private TakeEvidence with(List<Caption> transcript, SoundLevels metered, Trace heard, Bodies seen) {
        return new TakeEvidence(
                id,
                file,
                length,
                tones,
                beeps,
                loudness,
                motion,
                pose,
                transcript,
                metered,
                heard,
                seen,
                new Derived());
    }

    /** Quiet is what this share of a take stays under. */
    public static final double QUIET_SHARE = 0.1;

    /** A beep or a sync tone is loud by so much longer at either end, in seconds: rooms ring, and loudness is read over windows. */
    private static final double BEEP_RINGS = 0.15;

    /** A sync tone: when its chirp starts and what it says. */
    public record Tone(Time<Axis.Take> time, SyncTone.Code code) {}

    /** A steady tone that begins at {@code time}. */
    public record Beep(Time<Axis.Take> time, Length length, double hz, double db) {}

    /**
     * Small pictures at a steady rate, one row each.
     *
     * @param hz pictures per second
     * @param cells values per picture
     * @param grey how bright they are, the pictures one behind the other, 0 to 255 unsigned
     * @param tint how red they are (Cr of BT.601, 128 for grey), as many values; empty where it is not known
     */
    public record Poses(double hz, int cells, byte[] grey, byte[] tint) {
        /** Cells side by side, in every shape of picture. */
        public static final int WIDTH = 32;

        public Poses(double hz, int cells, byte[] grey) {
            this(hz, cells, grey, new byte[0]);
        }

        public int count() {
            return cells == 0 ? 0 : grey.length / cells;
        }
    }

    /** The stretch of it from one moment to another, as a take of its own. */
    public TakeEvidence part(String partId, Time<Axis.Take> from, Time<Axis.Take> to) {
        Length by = from.since(Time.zero());
        Span<Axis.Take> span = new Span<>(from, to);
        return new TakeEvidence(
                        partId,
                        file,
                        span.length(),
                        tones.stream()
                                .filter(t -> span.contains(t.time()))
                                .map(t -> new Tone(t.time().minus(by), t.code()))
                                .toList(),
                        beeps.stream()
                                .filter(b -> span.contains(b.time()))
                                .map(b -> new Beep(b.time().minus(by), b.length(), b.hz(), b.db()))
                                .toList(),
                        loudness.part(span),
                        motion.part(span),
                        null,
                        words.stream()
                                .filter(w -> span.contains(w.start()))
                                .map(w -> w.later(by.negated()))
                                .toList())
                .withVoice(voice.part(span));
    }

    /** The loudness with its beeps and sync tones made quiet, which are no voice. */
    public Trace loudnessWithoutSignals() {
        float[] values = loudness.values().clone();
        float[] sorted = values.clone();
        Arrays.sort(sorted);
        float quiet = values.length == 0 ? 0 : sorted[(int) (values.length * QUIET_SHARE)];
        tones.forEach(t -> quieten(values, t.time(), Length.ofSeconds(SyncTone.seconds()), quiet));
        beeps.forEach(b -> quieten(values, b.time(), b.length(), quiet));
        return new Trace(loudness.hz(), values);
    }

    private void quieten(float[] values, Time<Axis.Take> time, Length length, float quiet) {
        Length rings = Length.ofSeconds(BEEP_RINGS);
        for (int i = loudness.index(time.minus(rings));
                i < values.length && i <= loudness.index(time.plus(length).plus(rings));
                i++) {
            values[i] = Math.min(values[i], quiet);
        }
    }

    public TakeEvidence withWords(List<Caption> transcript) {
        return with(transcript, levels, voice, bodies);
    }
}
