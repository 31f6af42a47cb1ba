package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.FailureLog;
import app.nosegay.jobs.RecentWorkouts;
import app.nosegay.jobs.RecentWorkouts.Recalled;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** What is recalled of other workouts; looked for beside, once for each workout that is opened. */
final class Recollection {
    private final Session session;
    private final List<Runnable> listeners = new ArrayList<>();
    private Recalled recalled = Recalled.NOTHING;
    private long of = -1;

    Recollection(Session session) {
        this.session = session;
    }

    /** Told on the interface thread, when something else is recalled. */
    void onChanged(Runnable listener) {
        listeners.add(listener);
    }

    /** What is known now; what is not known yet is looked for. */
    Recalled now() {
        if (of != session.opened()) {
            long opened = session.opened();
            Path file = session.file().orElse(null);
            of = opened;
            recalled = Recalled.NOTHING;
            session.jobs().beside("last-times", () -> read(file), found -> {
                if (session.isOpen(opened)) {
                    recalled = found;
                    listeners.forEach(Runnable::run);
                }
            });
        }
        return recalled;
    }

    private static Recalled read(Path but) {
        try {
            return RecentWorkouts.recalled(but);
        } catch (IOException e) {
            FailureLog.note("last-times", e);
            return Recalled.NOTHING;
        }
    }
}
