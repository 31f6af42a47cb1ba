package app.nosegay.cli;

import app.nosegay.captions.TranscriptReader;
import app.nosegay.files.InputFile;
import app.nosegay.jobs.Libraries;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;

/** What the commands share: reading a PLAN, writing JSON. */
final class Sheets {
    private Sheets() {}

    /** A PLAN: a workout file, or a run sheet in any encoding. */
    static Workout workout(Path file) throws IOException {
        if (file.toString().endsWith(WorkoutFile.ENDING)) {
            return WorkoutFile.open(file);
        }
        byte[] bytes = InputFile.RUN_SHEET.bytes(file);
        for (int i = 0; i < Math.min(bytes.length, 4096); i++) {
            boolean utf16 = bytes.length > 1 && ((bytes[0] & 0xff) >= 0xfe && (bytes[1] & 0xff) >= 0xfe);
            if (bytes[i] == 0 && !utf16) {
                throw new IOException(CliText.of("sheets.this-is-not-a-run", file));
            }
        }
        return Workout.EMPTY.withSheet(TranscriptReader.decode(bytes));
    }

    static Timeline timeline(Workout workout) {
        MoveLibrary library = Libraries.current();
        return Expansion.expand(RunSheetParser.parse(workout.sheet(), library), library);
    }

    /** Everything that follows from a plan without any take. */
    static Programme programme(Workout workout) {
        return Programme.of(workout.withTakes(List.of(), List.of()), List.of(), List.of(), Libraries.current());
    }

    /** The folder a file lies in. */
    static Path folderOf(Path file) {
        return file.toAbsolutePath().normalize().getParent();
    }
}
