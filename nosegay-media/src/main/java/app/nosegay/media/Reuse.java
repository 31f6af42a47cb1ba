package app.nosegay.media;

import java.util.BitSet;
import java.util.List;

/**
 * Which parts of a film rendered before come out the same and are taken over.
 *
 * @param parts the numbers of those parts
 * @param partFrames frames in a part
 * @param frames frames in the film
 * @param header what a decoder has to know of the encoder used then
 * @param keys what the parts of the film to be are made of
 */
record Reuse(BitSet parts, int partFrames, long frames, String header, List<String> keys) {
    static final Reuse NONE = new Reuse(new BitSet(), 1, 0, "", List.of());

    /** What can be taken over from a film of which {@code before} is remembered for one of {@code keys}. */
    static Reuse of(RenderMemory before, List<String> keys, RenderJob job) {
        BitSet same = new BitSet();
        // The last part of either film may be a short one: it is taken over only at the same place with the same key,
        // as any other.
        for (int p = 0; p < Math.min(keys.size(), before.keys().size()); p++) {
            same.set(p, keys.get(p).equals(before.keys().get(p)));
        }
        return new Reuse(same, PartKeys.frames(job.rate()), PartKeys.frames(job), before.header(), keys);
    }

    boolean isEmpty() {
        return parts.isEmpty();
    }

    /** Whether frame {@code n} is taken over. */
    boolean has(long n) {
        return n < frames && parts.get((int) (n / partFrames));
    }

    /** The share of the frames that is rendered anew. */
    double fresh() {
        long taken = 0;
        for (int p = parts.nextSetBit(0); p >= 0; p = parts.nextSetBit(p + 1)) {
            taken += Math.min(partFrames, frames - (long) p * partFrames);
        }
        return frames == 0 ? 1 : 1 - taken / (double) frames;
    }
}
