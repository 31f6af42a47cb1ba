package app.nosegay.media;

import java.util.concurrent.CancellationException;

/** How a long task tells how far it is, and learns that it should stop. */
@FunctionalInterface
public interface Progress {
    Progress NONE = share -> {};

    /**
     * Called often from the working thread.
     *
     * @param share how much is done, 0 to 1
     * @throws CancellationException when the task should stop; it then leaves nothing half-written
     */
    void at(double share) throws CancellationException;
}
