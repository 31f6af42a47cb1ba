package app.nosegay.jobs;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Joint;
import app.nosegay.files.AtomicFile;
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
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;

/** The bodies seen in a take, on the shelf beside its reading. */
final class BodiesFile {
    /** Raise when bodies are found in another way, so that takes are looked at again. */
    private static final int FORMAT = 1;

    private BodiesFile() {}

    /** What is kept in {@code entry}; empty where nothing is, or nothing this version made. */
    static Optional<Bodies> read(Path entry) {
        if (!Files.isRegularFile(entry)) {
            return Optional.empty();
        }
        try (DataInputStream in =
                new DataInputStream(new GZIPInputStream(new BufferedInputStream(Files.newInputStream(entry))))) {
            return in.readInt() == FORMAT ? Optional.of(read(in)) : Optional.empty();
        } catch (IOException | RuntimeException e) {
            // A damaged entry is no loss: the take is looked at again.
            FailureLog.note("bodies", e);
            return Optional.empty();
        }
    }

    private static Bodies read(DataInputStream in) throws IOException {
        double hz = in.readDouble();
        double shape = in.readDouble();
        List<Bodies.Body> people = new ArrayList<>();
        for (int i = in.readInt(); i > 0; i--) {
            int first = in.readInt();
            int samples = in.readInt();
            ByteBuffer places = ByteBuffer.wrap(in.readNBytes(samples * Joint.COUNT * 3 * Short.BYTES));
            short[] steps = new short[samples * Joint.COUNT * 3];
            places.asShortBuffer().get(steps);
            people.add(new Bodies.Body(first, steps, in.readNBytes(samples * Joint.COUNT)));
        }
        return new Bodies(hz, shape, people);
    }

    static void write(Path entry, Bodies bodies) throws IOException {
        Files.createDirectories(entry.getParent());
        AtomicFile.write(entry, stream -> {
            GZIPOutputStream packed = new GZIPOutputStream(stream);
            DataOutputStream out = new DataOutputStream(packed);
            out.writeInt(FORMAT);
            out.writeDouble(bodies.hz());
            out.writeDouble(bodies.shape());
            out.writeInt(bodies.people().size());
            for (Bodies.Body b : bodies.people()) {
                out.writeInt(b.first());
                out.writeInt(b.end() - b.first());
                short[] steps = b.places();
                ByteBuffer places = ByteBuffer.allocate(steps.length * Short.BYTES);
                places.asShortBuffer().put(steps);
                out.write(places.array());
                out.write(b.certainties());
            }
            out.flush();
            packed.finish();
        });
    }
}
