package app.nosegay.media;

import app.nosegay.cut.Cut;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;

/** The programme's sound from its takes: every block at its own time, gaps filled with silence, mixed and handed on in order. */
final class CutSound {
    private static final int HZ = MovieWriter.SOUND_HZ;
    /** Sound that is off by more than this is padded or dropped to where it belongs, in samples (20 ms). */
    private static final int MOST_OFF = HZ / 50;

    private static final int SILENT_BLOCK = HZ / 10;

    /** Where the sound goes, stereo and interleaved. */
    @FunctionalInterface
    interface Sink {
        void take(float[] interleaved, int from, int count) throws MediaException;
    }

    private final SoundMix mix;
    private final Sink sink;
    private long position;

    /** @param start the moment of the programme the first sample belongs to */
    CutSound(SoundMix mix, Time<Axis.Cut> start, Sink sink) {
        this.mix = mix;
        this.sink = sink;
        this.position = sample(start);
    }

    private static long sample(Time<Axis.Cut> time) {
        return Math.round(time.seconds() * HZ);
    }

    /** Takes {@code count} stereo samples that {@code clip}'s take has at {@code time}; what lies outside of the clip is left out. */
    void hear(Cut.Clip clip, Time<Axis.Take> time, float[] samples, int count) throws MediaException {
        long wanted = sample(clip.start().plus(time.since(clip.source().start())));
        long end = sample(clip.start().plus(clip.source().length()));
        int skip = 0;
        if (wanted - position > MOST_OFF) {
            silence(Math.min(wanted, end) - position);
        } else if (position - wanted > MOST_OFF) {
            skip = (int) Math.min(count, position - wanted);
        }
        int use = (int) Math.max(0, Math.min(count - skip, end - position));
        if (use > 0) {
            give(samples, skip, use, clip.take());
        }
    }

    void silenceUntil(Time<Axis.Cut> time) throws MediaException {
        silence(sample(time) - position);
    }

    private void silence(long samples) throws MediaException {
        float[] zeros = new float[2 * SILENT_BLOCK];
        for (long left = samples; left > 0; left -= SILENT_BLOCK) {
            give(zeros, 0, (int) Math.min(left, SILENT_BLOCK), null);
        }
    }

    private void give(float[] interleaved, int from, int count, String take) throws MediaException {
        if (mix.isNothing()) {
            sink.take(interleaved, from, count);
        } else {
            sink.take(mix.mix(interleaved, from, count, position, take), 0, count);
        }
        position += count;
    }
}
