package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.Pictures;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import java.util.function.BiConsumer;
import javafx.application.Platform;
import javafx.scene.image.Image;

/** The pictures of the Score's rows, painted beside the interface thread, what was asked for last first. The last ones seen are kept. */
final class ScoreImages {
    /** Several screens full; a row takes some 300 kB. */
    private static final int KEPT = 160;

    private final Executor painting = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "score-lines");
        t.setDaemon(true);
        return t;
    });
    private final BiConsumer<ScoreRow, Image> painted;
    private final Deque<ScoreRow> wanted = new ArrayDeque<>();
    private final Map<String, Painted> images = new LinkedHashMap<>(64, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Painted> eldest) {
            return size() > KEPT;
        }
    };
    private volatile ScorePainter painter;

    private record Painted(ScoreRow row, ScorePainter painter, Image image) {}

    /**
     * @param painted told on the interface thread when a row that was asked for is there
     */
    ScoreImages(BiConsumer<ScoreRow, Image> painted) {
        this.painted = painted;
    }

    /** From now on rows are painted by {@code by}. */
    void paintedBy(ScorePainter by) {
        painter = by;
        synchronized (wanted) {
            wanted.clear();
        }
    }

    /** The picture of {@code row}; until it is painted the one that was last seen in its place, or null. */
    Image of(ScoreRow row) {
        Painted kept = images.get(row.key());
        boolean fresh = kept != null && kept.row() == row && kept.painter() == painter;
        if (!fresh) {
            want(row);
        }
        return kept == null ? null : kept.image();
    }

    /** Has {@code row} painted before it is seen. */
    void ahead(ScoreRow row) {
        Painted kept = images.get(row.key());
        if (kept == null || kept.row() != row || kept.painter() != painter) {
            synchronized (wanted) {
                wanted.addFirst(row);
            }
            painting.execute(this::paintNext);
        }
    }

    private void want(ScoreRow row) {
        synchronized (wanted) {
            wanted.addLast(row);
        }
        painting.execute(this::paintNext);
    }

    private void paintNext() {
        ScoreRow row;
        synchronized (wanted) {
            row = wanted.pollLast();
            wanted.removeIf(r -> r == row);
        }
        if (row == null) {
            return;
        }
        ScorePainter by = painter;
        Image image = Pictures.shared(by.paint(row));
        Platform.runLater(() -> {
            if (by == painter) {
                images.put(row.key(), new Painted(row, by, image));
                painted.accept(row, image);
            }
        });
    }
}
