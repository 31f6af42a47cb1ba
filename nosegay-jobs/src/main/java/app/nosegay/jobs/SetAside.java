package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;

/** Files that would be in the way, moved beside under a dated name: nothing a person wrote is ever written over. */
final class SetAside {
    private static final DateTimeFormatter DATED = DateTimeFormatter.ofPattern("yyyy-MM-dd HH.mm.ss");

    private SetAside() {}

    /** Moves a file that cannot be read to "name (broken 2026-11-30 14.05.09).json"; gives where it is now. */
    static Path broken(Path file) throws IOException {
        return moved(file, "broken");
    }

    /** Moves a file that somebody changed to "name (yours 2026-11-30 14.05.09).txt"; gives where it is now. */
    static Path yours(Path file) throws IOException {
        return moved(file, "yours");
    }

    /** Gives a file that is about to be replaced the dated name "name (yours …)" as well, so that it stays under that; gives it. */
    static Path alsoUnder(Path file) throws IOException {
        Path free = free(file, "yours");
        try {
            return Files.createLink(free, file);
        } catch (UnsupportedOperationException | IOException e) {
            return Files.copy(file, free); // a disk without links
        }
    }

    /** A name beside {@code file} that says {@code why} and when, and that no file has. */
    static Path free(Path file, String why) {
        String name = file.getFileName().toString();
        int dot = name.indexOf('.', 1);
        String stem = dot < 0 ? name : name.substring(0, dot);
        String ending = dot < 0 ? "" : name.substring(dot);
        String dated = stem + " (" + why + " " + LocalDateTime.now().format(DATED);
        Path free = file.resolveSibling(dated + ")" + ending);
        for (int n = 2; Files.exists(free); n++) {
            free = file.resolveSibling(dated + ", " + n + ")" + ending);
        }
        return free;
    }

    private static Path moved(Path file, String why) throws IOException {
        Path free = free(file, why);
        AtomicFile.rename(file, free);
        return free;
    }
}
