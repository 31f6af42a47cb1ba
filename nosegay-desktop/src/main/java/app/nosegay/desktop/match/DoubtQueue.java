package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.match.Match;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;

/** Boundaries worth a look, the most doubtful first. */
final class DoubtQueue {
    /** A boundary that is in doubt, and the line it belongs to. */
    record Doubtful(Match.Placed placed, boolean end, double doubt, ScoreLine line) {
        private String key() {
            return placed.id()
                    + (end ? DesktopText.of("match.doubt-queue.end") : DesktopText.of("match.doubt-queue.start"));
        }

        private String told() {
            String where = "";
            if (placed.matched()) {
                Span<Axis.Take> likely = end ? placed.endLikely() : placed.startLikely();
                where = likely.length().seconds() < FROM_TO
                        ? DesktopText.of("match.doubt-queue.at", end ? placed.end() : placed.start())
                        : DesktopText.of("match.doubt-queue.between", likely.start(), likely.end());
            }
            return DesktopText.of(
                    "match.doubt-queue.of",
                    doubt > ScorePainter.VERY_DOUBTFUL
                            ? DesktopText.of("match.score-painter.very-unsure")
                            : DesktopText.of("match.score-painter.unsure"),
                    end ? "end" : "start",
                    line.title().toLowerCase(Locale.ROOT),
                    line.detail(),
                    where);
        }
    }

    /** Nearer to each other than this two moments are told as one, in seconds. */
    private static final double FROM_TO = 0.2;

    private final ListView<Doubtful> list = new ListView<>();
    private final Set<String> lookedAt = new HashSet<>();
    private Consumer<Doubtful> selected = d -> {};

    /** @param shown told the line of the doubt that is selected */
    DoubtQueue(Consumer<ScoreLine> shown) {
        list.setId("doubts");
        list.setAccessibleText(DesktopText.of("match.doubt-queue.list"));
        list.setPlaceholder(new Label(DesktopText.of("match.doubt-queue.nothing-is-in-doubt")));
        list.setCellFactory(l -> new ListCell<>() {
            @Override
            protected void updateItem(Doubtful d, boolean none) {
                super.updateItem(d, none);
                setWrapText(true);
                setPrefWidth(0);
                setGraphic(null);
                setText(none || d == null ? null : d.told());
            }
        });
        list.getSelectionModel().selectedItemProperty().addListener((o, before, now) -> {
            selected.accept(now);
            if (now != null) {
                lookedAt.add(now.key());
                shown.accept(now.line());
            }
        });
    }

    /** {@code heard} is told which doubt is selected, null when none is. */
    void onSelected(Consumer<Doubtful> heard) {
        selected = heard;
    }

    ListView<Doubtful> list() {
        return list;
    }

    Doubtful selected() {
        return list.getSelectionModel().getSelectedItem();
    }

    /** Fills the queue from the lines; gives back what its tab is called. */
    String show(List<ScoreLine> lines) {
        List<Doubtful> queue = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            ScoreLine line = lines.get(i);
            for (Match.Placed p : line.placed()) {
                if (!p.startPinned() && p.startDoubt() > ScorePainter.DOUBTFUL) {
                    queue.add(new Doubtful(p, false, p.startDoubt(), line));
                }
                boolean last = i == lines.size() - 1;
                if (last && !p.endPinned() && p.endDoubt() > ScorePainter.DOUBTFUL) {
                    queue.add(new Doubtful(p, true, p.endDoubt(), line));
                }
            }
        }
        queue.sort(Comparator.comparingDouble(Doubtful::doubt).reversed());
        list.getItems().setAll(queue);
        return queue.isEmpty()
                ? DesktopText.of("match.doubt-queue.no-doubts")
                : queue.size()
                        + (queue.size() == 1
                                ? DesktopText.of("match.doubt-queue.doubt")
                                : DesktopText.of("match.doubt-queue.doubts"));
    }

    /** Selects the most doubtful boundary not looked at yet. */
    void next() {
        list.getItems().stream()
                .filter(d -> !lookedAt.contains(d.key()))
                .findFirst()
                .ifPresent(d -> list.getSelectionModel().select(d));
    }
}
