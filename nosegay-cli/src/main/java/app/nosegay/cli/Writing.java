package app.nosegay.cli;

import app.nosegay.files.AtomicFile;
import app.nosegay.jobs.ProtectedFiles;
import app.nosegay.workout.Workout;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/**
 * How every command writes: never over what it reads, over nothing else unless {@code --overwrite} says so, into folders that are
 * there, and whole or not at all.
 */
final class Writing {
    @Option(names = "--overwrite", descriptionKey = "nosegay.overwrite")
    private boolean overwrite;

    @Spec(Spec.Target.MIXEE)
    private CommandSpec spec;

    private final ProtectedFiles inputs = new ProtectedFiles();

    boolean overwrite() {
        return overwrite;
    }

    /** The command reads {@code file}; null is none. */
    Writing reads(Path file) {
        inputs.with(file);
        return this;
    }

    /** The command reads a workout of {@code file} with all it refers to. */
    Writing reads(Workout workout, Path file) {
        return reads(file).with(workout, Sheets.folderOf(file));
    }

    /** The command reads what {@code workout} in {@code folder} refers to, and may write over its file. */
    Writing with(Workout workout, Path folder) {
        inputs.with(workout, folder);
        return this;
    }

    /** Refuses {@code target} where it may not be written; null is none. */
    void check(Path target) throws IOException {
        if (target == null) {
            return;
        }
        inputs.check(target);
        Path folder = Sheets.folderOf(target);
        if (!Files.isDirectory(folder)) {
            throw new IOException(CliText.of("writing.there-is-no-folder", folder, target.getFileName()));
        }
        if (!overwrite && Files.exists(target)) {
            throw new IOException(CliText.of("writing.is-there-already", target));
        }
    }

    /** A folder to write into; it is made where it is not there, but none above it. */
    Path folder(Path out) throws IOException {
        Path above = Sheets.folderOf(out);
        if (above != null && !Files.isDirectory(above)) {
            throw new IOException(CliText.of("writing.there-is-no-folder", above, out.getFileName()));
        }
        if (Files.exists(out) && !Files.isDirectory(out)) {
            throw new IOException(CliText.of("writing.is-no-folder", out));
        }
        return Files.createDirectories(out);
    }

    /** Writes a text file. */
    void text(Path target, CharSequence text) throws IOException {
        check(target);
        AtomicFile.write(target, text);
    }

    /** Refuses a {@code --json} target that may not be written, before the work is done. */
    void checkJson(String target) throws IOException {
        if (target != null && !target.equals("-")) {
            check(Path.of(target));
        }
    }

    /**
     * Writes {@code json} to {@code target}, or to standard output for {@code -}; nothing for null. True when it went to standard
     * output.
     */
    boolean json(String target, JsonNode json) throws IOException {
        if (target == null) {
            return false;
        }
        if (target.equals("-")) {
            PrintWriter out = spec.commandLine().getOut();
            out.println(json.toPrettyString());
            out.flush();
            return true;
        }
        text(Path.of(target), json.toPrettyString() + "\n");
        return false;
    }
}
