package app.nosegay.desktop.shell;

import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.LogbookFile;
import java.io.IOException;

/** Notes in the logbook how long each stage was worked on. */
final class StageTime {
    /** A glance at a stage is no work, in seconds; a night with the window open is not work either. */
    private static final long LEAST_NOTED = 20;

    private static final long MOST_NOTED = 4 * 3600;

    private final Session session;
    private String stage = "";
    private long since;

    StageTime(Session session) {
        this.session = session;
    }

    /** @param stage what is worked on from now on; empty where that is no stage */
    void begin(String stage) {
        end();
        this.stage = stage;
        since = System.nanoTime();
    }

    /** Without a saved workout there is nothing to note it for. */
    void end() {
        long seconds = (System.nanoTime() - since) / 1_000_000_000L;
        boolean worked = !stage.isEmpty() && seconds >= LEAST_NOTED;
        if (!worked || session.file().isEmpty() || session.programme().get() == null) {
            return;
        }
        String workout = session.programme().get().timeline().sheet().header().title();
        try {
            LogbookFile.change(l -> l.withTime(workout, stage, Math.min(seconds, MOST_NOTED)));
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
    }
}
