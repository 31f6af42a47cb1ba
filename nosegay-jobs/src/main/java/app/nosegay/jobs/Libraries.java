package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import app.nosegay.files.InputFile;
import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveJson;
import app.nosegay.library.MoveLibrary;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;

/**
 * The creator's own moves, kept apart from the shipped ones in one file of the user's settings folder. An own move of a shipped name takes
 * its place.
 */
public final class Libraries {
    private static final SharedFile<List<Move>> FILE =
            new SharedFile<>("moves.json", InputFile.MOVES, List.of(), MoveJson::read, MoveJson::write);

    private static MoveLibrary current;

    private Libraries() {}

    /** Where the own moves are kept. */
    public static Path file() {
        return FILE.file();
    }

    /** Shipped and own moves together. A broken file of own moves costs only those: it is set aside and said. */
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
        return FILE.read();
    }

    /** Reads a file of moves; fails with a sentence that names it. */
    public static List<Move> read(Path file) throws IOException {
        try {
            return MoveJson.read(InputFile.MOVES.text(file));
        } catch (IOException | IllegalArgumentException e) {
            throw new IOException(JobText.of("libraries.cannot-be-read-as-a", file, FailureLog.brief(e)), e);
        }
    }

    /** Adds {@code text} to the cues of a move, which becomes one of the own moves; nothing when it has them already. */
    public static void addCue(Move move, CueKind kind, String text) throws IOException {
        Move with = move.withCue(kind, text);
        if (!with.equals(move)) {
            change(own -> replaced(own, List.of(with)));
        }
    }

    /** Makes {@code name} a move of one's own that inherits all of {@code like}. */
    public static void addLike(String name, Move like) throws IOException {
        change(own -> replaced(own, List.of(like.called(name.toLowerCase(Locale.ROOT)))));
    }

    /** Changes the own moves as they are at this moment, whoever wrote them last. */
    public static synchronized void change(UnaryOperator<List<Move>> step) throws IOException {
        current = MoveLibrary.shipped().with(FILE.change(step));
    }

    /** {@code own} with {@code more} added; those of the same name are replaced. */
    public static List<Move> replaced(List<Move> own, List<Move> more) {
        List<Move> all = new ArrayList<>(own);
        all.removeIf(m -> more.stream().anyMatch(o -> o.name().equals(m.name())));
        all.addAll(more);
        return List.copyOf(all);
    }

    /** Adds the moves of a file to the own ones; those of the same name are replaced. Gives how many came. */
    public static int bringIn(Path file) throws IOException {
        List<Move> more = read(file);
        change(own -> replaced(own, more));
        return more.size();
    }

    /** Writes moves to a file: complete or not at all. */
    public static void write(Path file, List<Move> moves) throws IOException {
        Path folder = file.toAbsolutePath().getParent();
        Files.createDirectories(folder);
        AtomicFile.write(file, MoveJson.write(moves));
    }
}
