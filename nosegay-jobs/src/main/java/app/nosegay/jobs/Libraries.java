package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveJson;
import app.nosegay.library.MoveLibrary;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * The creator's own moves, kept apart from the shipped ones in one file of the user's settings folder. An own move of a shipped name takes
 * its place.
 */
public final class Libraries {
    private static MoveLibrary current;

    private Libraries() {}

    /** Where the own moves are kept. */
    public static Path file() {
        return SettingsFolder.path().resolve("moves.json");
    }

    /** Shipped and own moves together. A broken file of own moves costs only those; {@link #own()} says what is wrong with it. */
    public static synchronized MoveLibrary current() {
        if (current == null) {
            List<Move> own;
            try {
                own = own();
            } catch (IOException e) {
                FailureLog.note("moves.json", e);
                own = List.of();
            }
            current = MoveLibrary.shipped().with(own);
        }
        return current;
    }

    /** The own moves alone; none when there is no file yet. */
    public static List<Move> own() throws IOException {
        return Files.exists(file()) ? read(file()) : List.of();
    }

    /** Reads a file of moves; fails with a sentence that names it. */
    public static List<Move> read(Path file) throws IOException {
        try {
            return MoveJson.read(Files.readString(file));
        } catch (IOException | IllegalArgumentException e) {
            throw new IOException(JobText.of("libraries.cannot-be-read-as-a", file, e.getMessage()), e);
        }
    }

    /** Adds {@code text} to the cues of a move, which becomes one of the own moves; nothing when it has them already. */
    public static synchronized void addCue(Move move, CueKind kind, String text) throws IOException {
        Move with = move.withCue(kind, text);
        if (!with.equals(move)) {
            List<Move> own = new ArrayList<>(own());
            own.removeIf(m -> m.name().equals(move.name()));
            own.add(with);
            keep(own);
        }
    }

    /** Keeps {@code own} as the own moves. */
    public static synchronized void keep(List<Move> own) throws IOException {
        write(file(), own);
        current = MoveLibrary.shipped().with(own);
    }

    /** Adds the moves of a file to the own ones; those of the same name are replaced. Gives how many came. */
    public static synchronized int bringIn(Path file) throws IOException {
        List<Move> more = read(file);
        List<Move> all = new ArrayList<>(own());
        all.removeIf(m -> more.stream().anyMatch(o -> o.name().equals(m.name())));
        all.addAll(more);
        keep(all);
        return more.size();
    }

    /** Writes moves to a file: complete or not at all. */
    public static void write(Path file, List<Move> moves) throws IOException {
        Path folder = file.toAbsolutePath().getParent();
        Files.createDirectories(folder);
        AtomicFile.write(file, MoveJson.write(moves));
    }
}
