package app.nosegay.media;

import java.io.IOException;
import java.nio.file.Path;

/** A media file that cannot be read or written; the message says which file, what happened and what to do. */
public class MediaException extends IOException {
    private static final long serialVersionUID = 1;

    public MediaException(Path file, String what) {
        super(file.getFileName() + ": " + what);
    }
}
