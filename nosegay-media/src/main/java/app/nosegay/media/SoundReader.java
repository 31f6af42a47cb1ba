package app.nosegay.media;

import java.nio.file.Path;
import java.util.Arrays;

/** Reads the whole sound of a recording as mono samples at take time. */
public final class SoundReader {
    private static final double FIRST_SECONDS = 7200;

    private SoundReader() {}

    /**
     * The sound of {@code file}: 4 bytes a sample, so an hour at 16 kHz is 230 MB.
     *
     * @param hz samples per second to give
     * @return samples from take time 0, holes filled with silence; empty when it has no sound
     */
    public static float[] mono(Path file, int hz, Progress progress) throws MediaException {
        return read(file, hz, 1, progress);
    }

    /** The same in stereo, interleaved, as it is heard in a programme. */
    public static float[] stereo(Path file, int hz, Progress progress) throws MediaException {
        return read(file, hz, 2, progress);
    }

    private static float[] read(Path file, int hz, int channels, Progress progress) throws MediaException {
        try (MediaInput input = new MediaInput(file, false, true);
                SoundConverter sound = new SoundConverter(hz, channels)) {
            double length = Math.max(0.001, input.info().length().seconds());
            // What a broken file says of its length is no reason to ask for as much memory.
            float[] all = new float[channels * (int) Math.ceil((Math.min(length, FIRST_SECONDS) + 1) * hz)];
            int count = 0;
            long frames = 0;
            for (MediaInput.Kind kind = input.next(); kind != MediaInput.Kind.END; kind = input.next()) {
                if (input.time().seconds() - count / (double) hz > TakeReader.LONGEST_GAP_MICROS / 1e6) {
                    break; // the time stamps jump: what is behind belongs to no take
                }
                int wanted = (int) Math.round(input.time().seconds() * hz);
                // Beyond a jitter of 50 ms there is a hole in the recording.
                count = wanted - count > hz / 20 ? wanted : count;
                int n = sound.convert(input.frame());
                if ((count + n) * channels > all.length) {
                    all = Arrays.copyOf(all, Math.max(all.length * 2, (count + n) * channels));
                }
                System.arraycopy(sound.samples(), 0, all, count * channels, n * channels);
                count += n;
                if (frames++ % 100 == 0) {
                    progress.at(Math.min(1, input.time().seconds() / length));
                }
            }
            return Arrays.copyOf(all, count * channels);
        }
    }
}
