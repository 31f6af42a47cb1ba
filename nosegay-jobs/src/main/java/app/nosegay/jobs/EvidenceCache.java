package app.nosegay.jobs;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.SoundLevels;
import app.nosegay.evidence.SyncTone;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.files.AtomicFile;
import app.nosegay.files.Fingerprint;
import app.nosegay.media.MediaException;
import app.nosegay.media.MediaInput;
import app.nosegay.media.Progress;
import app.nosegay.media.TakeReader;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.io.BufferedInputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What was read from takes, kept beside the workout in {@code .nosegay/} by the recording's fingerprint, so that each is decoded once. The
 * folder can be deleted at any time.
 */
public final class EvidenceCache {
    /** Raise when reading changes, so that old entries are read again. */
    private static final int FORMAT = 13;

    private EvidenceCache() {}

    /** The reading of {@code movie}, from the shelf where it is there. */
    public static TakeReader.Reading read(Path movie, String id, Path workoutFolder, Progress progress)
            throws IOException {
        if (!Files.isRegularFile(movie)) {
            throw new MediaException(movie, JobText.of("evidence-cache.there-is-no-such-file"));
        }
        Path entry = entry(movie, workoutFolder, ".reading");
        TakeReader.Reading there = onShelf(entry, movie, id);
        if (there != null) {
            // Outside of the reading: whoever cancels here has not found it damaged.
            progress.at(1);
            return there;
        }
        TakeReader.Reading reading = TakeReader.read(movie, id, proxy(movie, workoutFolder), progress);
        keep(entry, reading);
        return reading;
    }

    /** The reading as it was kept; null where there is none of this version, or it is damaged. */
    private static TakeReader.Reading onShelf(Path entry, Path movie, String id) throws IOException {
        if (!Files.exists(entry)) {
            return null;
        }
        try (DataInputStream in = new DataInputStream(new BufferedInputStream(Files.newInputStream(entry)))) {
            return in.readInt() == FORMAT ? load(in, movie, id) : null;
        } catch (IOException | RuntimeException e) {
            // A damaged entry is no loss: the take is read again.
            Files.deleteIfExists(entry);
            return null;
        }
    }

    private static Path entry(Path movie, Path workoutFolder, String kind) throws IOException {
        return workoutFolder.resolve(".nosegay").resolve(Fingerprint.of(movie) + kind);
    }

    /** Whether {@code movie} was read already, for the workouts of a folder. */
    public static boolean isKept(Path movie, Path workoutFolder) {
        try {
            return Files.isRegularFile(movie) && Files.exists(entry(movie, workoutFolder, ".reading"));
        } catch (IOException e) {
            return false; // it cannot be read at all
        }
    }

    /** Where the small copy of {@code movie} for scrubbing is, once it was read. */
    public static Path proxy(Path movie, Path workoutFolder) throws IOException {
        return entry(movie, workoutFolder, ".proxy.mp4");
    }

    /** Who was seen in {@code movie}; empty where nobody looked yet, or it cannot be told. */
    public static Optional<Bodies> bodies(Path movie, Path workoutFolder) {
        try {
            return BodiesFile.read(bodiesFile(movie, workoutFolder));
        } catch (IOException e) {
            return Optional.empty(); // the recording is gone
        }
    }

    /** Keeps who was seen in {@code movie}. */
    public static void keep(Path movie, Path workoutFolder, Bodies seen) throws IOException {
        BodiesFile.write(bodiesFile(movie, workoutFolder), seen);
    }

    /** Where it is kept who was seen in {@code movie}, to be shipped with the recording. */
    public static Path bodiesFile(Path movie, Path workoutFolder) throws IOException {
        return entry(movie, workoutFolder, ".bodies");
    }

    /** What is kept beside the workouts of a folder, in bytes. */
    public static long size(Path workoutFolder) {
        try (Stream<Path> kept = Files.list(workoutFolder.resolve(".nosegay"))) {
            long sum = 0;
            for (Path file : kept.filter(Files::isRegularFile).toList()) {
                sum += Files.size(file);
            }
            return sum;
        } catch (IOException e) {
            return 0; // there is none
        }
    }

    /** The reading of {@code movie} as the shelf keeps it, to be shipped with the recording; read first where it is not there yet. */
    public static byte[] kept(Path movie, String id, Path workoutFolder, Progress progress) throws IOException {
        read(movie, id, workoutFolder, progress);
        return Files.readAllBytes(entry(movie, workoutFolder, ".reading"));
    }

    /** Puts a shipped reading of {@code movie} on the shelf of a folder, and who was seen in it. */
    static void put(Path movie, Path workoutFolder, byte[] kept, byte[] bodies) throws IOException {
        Path entry = entry(movie, workoutFolder, ".reading");
        Files.createDirectories(entry.getParent());
        AtomicFile.write(entry, out -> out.write(kept));
        AtomicFile.write(bodiesFile(movie, workoutFolder), out -> out.write(bodies));
    }

    /** Whether a shipped reading is of the kind this version makes. */
    static boolean isCurrent(byte[] kept) {
        return kept.length > Integer.BYTES && ByteBuffer.wrap(kept).getInt() == FORMAT;
    }

    private static void keep(Path entry, TakeReader.Reading reading) {
        try {
            Files.createDirectories(entry.getParent());
            AtomicFile.write(entry, stream -> {
                DataOutputStream out = new DataOutputStream(stream);
                out.writeInt(FORMAT);
                store(out, reading);
                out.flush();
            });
        } catch (IOException e) {
            // A folder that cannot be written only costs another reading next time.
        }
    }

    private static void store(DataOutputStream out, TakeReader.Reading reading) throws IOException {
        TakeEvidence e = reading.evidence();
        out.writeLong(e.length().micros());
        out.writeInt(e.tones().size());
        for (TakeEvidence.Tone t : e.tones()) {
            out.writeLong(t.time().micros());
            out.writeBoolean(t.code().end());
            out.writeInt(t.code().run());
        }
        out.writeInt(e.beeps().size());
        for (TakeEvidence.Beep b : e.beeps()) {
            out.writeLong(b.time().micros());
            out.writeLong(b.length().micros());
            out.writeDouble(b.hz());
            out.writeDouble(b.db());
        }
        trace(out, e.loudness());
        trace(out, e.motion());
        trace(out, e.levels().momentary());
        trace(out, e.levels().truePeak());
        trace(out, e.voice());
        TakeEvidence.Poses p = e.pose();
        out.writeDouble(p == null ? 0 : p.hz());
        out.writeInt(p == null ? 0 : p.cells());
        out.writeInt(p == null ? 0 : p.grey().length);
        out.write(p == null ? new byte[0] : p.grey());
        out.writeInt(p == null ? 0 : p.tint().length);
        out.write(p == null ? new byte[0] : p.tint());
    }

    private static void trace(DataOutputStream out, Trace trace) throws IOException {
        out.writeDouble(trace.hz());
        out.writeInt(trace.values().length);
        for (float v : trace.values()) {
            out.writeFloat(v);
        }
    }

    private static TakeReader.Reading load(DataInputStream in, Path movie, String id) throws IOException {
        Length length = new Length(in.readLong());
        List<TakeEvidence.Tone> tones = new ArrayList<>();
        for (int i = in.readInt(); i > 0; i--) {
            Time<Axis.Take> time = new Time<>(in.readLong());
            boolean end = in.readBoolean();
            tones.add(new TakeEvidence.Tone(time, new SyncTone.Code(end, in.readInt())));
        }
        List<TakeEvidence.Beep> beeps = new ArrayList<>();
        for (int i = in.readInt(); i > 0; i--) {
            beeps.add(new TakeEvidence.Beep(
                    new Time<>(in.readLong()), new Length(in.readLong()), in.readDouble(), in.readDouble()));
        }
        Trace loudness = trace(in);
        Trace motion = trace(in);
        SoundLevels levels = new SoundLevels(trace(in), trace(in));
        Trace voice = trace(in);
        double hz = in.readDouble();
        int cells = in.readInt();
        byte[] grey = in.readNBytes(in.readInt());
        byte[] tint = in.readNBytes(in.readInt());
        TakeEvidence.Poses poses = cells == 0 ? null : new TakeEvidence.Poses(hz, cells, grey, tint);
        TakeEvidence evidence = new TakeEvidence(
                id, movie.toString(), length, tones, beeps, loudness, motion, poses, List.of(), levels);
        return new TakeReader.Reading(MediaInput.probe(movie), evidence.withVoice(voice));
    }

    private static Trace trace(DataInputStream in) throws IOException {
        double hz = in.readDouble();
        float[] values = new float[in.readInt()];
        for (int i = 0; i < values.length; i++) {
            values[i] = in.readFloat();
        }
        return new Trace(hz, values);
    }
}
