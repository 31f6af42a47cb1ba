package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** A note beside the log that a window is open; one that is left over says at the next start that Nosegay did not end as it should. */
public final class RunMarker implements AutoCloseable {
    private static final String NAME = "open-";
    private static final DateTimeFormatter DATED = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");

    private final Path file;

    private RunMarker(Path file) {
        this.file = file;
    }

    /** The window opens. */
    public static RunMarker open() {
        Path file = FailureLog.folder().resolve(NAME + ProcessHandle.current().pid());
        try {
            Files.createDirectories(FailureLog.folder());
            AtomicFile.write(file, LocalDateTime.now().format(DATED));
        } catch (IOException e) {
            FailureLog.note("open", e);
        }
        return new RunMarker(file);
    }

    /** When windows were opened that ended without closing; each is told once. */
    public static List<String> left() {
        List<String> left = new ArrayList<>();
        if (!Files.isDirectory(FailureLog.folder())) {
            return left;
        }
        try (Stream<Path> files = Files.list(FailureLog.folder())) {
            for (Path marker : files.filter(f -> f.getFileName().toString().matches(NAME + "\\d+"))
                    .sorted()
                    .toList()) {
                long pid = Long.parseLong(marker.getFileName().toString().substring(NAME.length()));
                boolean runs = ProcessHandle.of(pid).map(ProcessHandle::isAlive).orElse(false);
                if (!runs) {
                    left.add(Files.readString(marker));
                    Files.delete(marker);
                }
            }
        } catch (IOException e) {
            FailureLog.note("open", e);
        }
        return left;
    }

    /** The window has closed as it should. */
    @Override
    public void close() {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            FailureLog.note("open", e);
        }
    }
}
