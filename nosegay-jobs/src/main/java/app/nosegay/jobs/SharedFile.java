package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import app.nosegay.files.InputFile;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * A file of the settings folder that every window, and the command line, may change: it is read again under a lock before each change, so
 * that no entry of another window is lost. A file that cannot be read is set aside under a dated name and said, never written over.
 */
final class SharedFile<T> {
    /** The lock of the system holds between processes; this one between the threads of ours. */
    private static final Object IN_THIS_PROCESS = new Object();

    private final String name;
    private final InputFile kind;
    private final T empty;
    private final Reading<T> reading;
    private final Function<T, String> writing;

    /** Makes the value of the text. */
    @FunctionalInterface
    interface Reading<T> {
        T from(String text) throws IOException;
    }

    /**
     * @param name of the file in the settings folder
     * @param empty the value where there is no file
     */
    SharedFile(String name, InputFile kind, T empty, Reading<T> reading, Function<T, String> writing) {
        this.name = name;
        this.kind = kind;
        this.empty = empty;
        this.reading = reading;
        this.writing = writing;
    }

    Path file() {
        return SettingsFolder.path().resolve(name);
    }

    /** What the file holds; {@code empty} where there is none, or where it was broken and has just been set aside. */
    T read() throws IOException {
        if (!Files.exists(file())) {
            return empty;
        }
        return locked(this::now);
    }

    /** Changes what the file holds, as it is at this moment; gives what it holds then. */
    T change(UnaryOperator<T> step) throws IOException {
        return locked(() -> {
            T before = now();
            T after = step.apply(before);
            if (!after.equals(before) || !Files.exists(file())) {
                AtomicFile.write(file(), writing.apply(after));
            }
            return after;
        });
    }

    private interface Locked<T> {
        T run() throws IOException;
    }

    private T locked(Locked<T> what) throws IOException {
        Files.createDirectories(SettingsFolder.path());
        synchronized (IN_THIS_PROCESS) {
            try (FileChannel channel = FileChannel.open(
                            file().resolveSibling("." + name + ".lock"),
                            StandardOpenOption.CREATE,
                            StandardOpenOption.WRITE);
                    FileLock lock = channel.lock()) {
                return lock.isValid() ? what.run() : empty;
            }
        }
    }

    private T now() throws IOException {
        if (!Files.exists(file())) {
            return empty;
        }
        try {
            return reading.from(kind.text(file()));
        } catch (IOException | IllegalArgumentException e) {
            Path aside = SetAside.broken(file());
            FailureLog.note(name, e);
            FailureLog.show(JobText.of("shared-file.was-broken", name, aside.getFileName(), FailureLog.brief(e)));
            return empty;
        }
    }
}
