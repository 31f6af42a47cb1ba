package app.nosegay.listen;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Cuts sound into stretches in which someone may be speaking, by loudness against the quiet of the room. */
final class Utterances {
    /** Loudness is looked at in steps of this many samples: 20 ms. */
    private static final int STEP = SpeechRecognizer.HZ / 50;
    /** This share of the take is taken to be quiet. */
    private static final double QUIET_SHARE = 0.15;
    /** Speech is at least this far above the quiet, in decibels. */
    private static final double ABOVE_DB = 8;
    /** A pause shorter than this does not end an utterance: 0.36 s, less than between sentences. */
    private static final int PAUSE = 18;
    /** Shorter than 0.16 s is a knock or a beep. */
    private static final int LEAST = 8;
    /** Longer than 15 s is cut at its quietest place: the recogniser's cost grows with what it has to keep open. */
    private static final int LONGEST = 750;
    /** The first and last sounds of a word are quiet: 0.16 s are added on both sides. */
    private static final int MARGIN = 8;

    private Utterances() {}

    /** A stretch of samples. */
    record Stretch(int from, int to) {}

    static List<Stretch> of(float[] sound) {
        double[] db = loudness(sound);
        if (db.length == 0) {
            return List.of();
        }
        double[] sorted = db.clone();
        Arrays.sort(sorted);
        double threshold = Math.max(-65, sorted[(int) (sorted.length * QUIET_SHARE)] + ABOVE_DB);
        List<Stretch> found = new ArrayList<>();
        int first = -1;
        int last = -1;
        for (int i = 0; i <= db.length; i++) {
            boolean ended = i == db.length || (first >= 0 && i - last > PAUSE);
            if (first >= 0 && ended) {
                add(found, db, first, last + 1, sound.length);
                first = -1;
            }
            if (i < db.length && db[i] > threshold) {
                first = first < 0 ? i : first;
                last = i;
            }
        }
        return found;
    }

    private static void add(List<Stretch> found, double[] db, int from, int to, int samples) {
        if (to - from < LEAST) {
            return;
        }
        if (to - from > LONGEST) {
            int quietest = from + LONGEST / 2;
            for (int i = from + LONGEST / 2; i < from + LONGEST; i++) {
                quietest = db[i] < db[quietest] ? i : quietest;
            }
            add(found, db, from, quietest, samples);
            add(found, db, quietest, to, samples);
            return;
        }
        found.add(new Stretch(Math.max(0, from - MARGIN) * STEP, Math.min(samples, (to + MARGIN) * STEP)));
    }

    private static double[] loudness(float[] sound) {
        double[] db = new double[sound.length / STEP];
        for (int i = 0; i < db.length; i++) {
            double energy = 0;
            for (int j = i * STEP; j < (i + 1) * STEP; j++) {
                energy += sound[j] * sound[j];
            }
            db[i] = 10 * Math.log10(energy / STEP + 1e-10);
        }
        return db;
    }
}
