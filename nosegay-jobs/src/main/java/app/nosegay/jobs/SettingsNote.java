package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** A yes that is kept from one start to the next: an empty file in the settings folder. */
public enum SettingsNote {
    /** The hints of the first start were seen, or skipped. */
    TOUR_SEEN("tour-seen"),
    /** Nobody is looked for in recordings. */
    SIGHT_OFF("sight-off");

    private final String file;

    SettingsNote(String file) {
        this.file = file;
    }

    private Path path() {
        return SettingsFolder.path().resolve(file);
    }

    public boolean isSet() {
        return Files.exists(path());
    }

    /** Keeps it, or takes it back; where that cannot be written it holds until the program ends at the most. */
    public void set(boolean yes) {
        try {
            if (yes) {
                Files.createDirectories(SettingsFolder.path());
                AtomicFile.write(path(), "");
            } else {
                Files.deleteIfExists(path());
            }
        } catch (IOException e) {
            FailureLog.note(file, e);
        }
    }
}
