package app.nosegay.desktop.dress;

import app.nosegay.dress.CardTiming;
import app.nosegay.dress.Face;
import app.nosegay.dress.Piece;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleConsumer;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.value.ObservableDoubleValue;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What is on screen in one interval, and when: a name and a stroke for each piece. */
final class OnScreenPage {
    private final VBox rows = new VBox(0);
    private final ScrollPane view = new ScrollPane(rows);
    private final ObservableDoubleValue now;
    private final DoubleConsumer goTo;
    private final Retiming retiming;
    private final DoubleProperty length = new SimpleDoubleProperty(1);

    /** What is done when a card is to come at another time. */
    interface Retiming {
        /** A card is to be seen from one second of its interval to another. */
        void move(Face.Card card, double from, double to);

        /** A card is to come by itself again. */
        void back(Face.Card card);
    }

    /**
     * @param now the second of the interval that is looked at
     * @param goTo told the second of the interval to look at
     */
    OnScreenPage(ObservableDoubleValue now, DoubleConsumer goTo, Retiming retiming) {
        this.now = now;
        this.goTo = goTo;
        this.retiming = retiming;
        rows.setId("pieces");
        view.setFitToWidth(true);
        view.getStyleClass().add("edge-to-edge");
    }

    Region view() {
        return view;
    }

    /**
     * Shows what is seen of {@code pieces} in an interval of the programme.
     *
     * @param timings what was decided by hand about the cards of this interval
     */
    void show(List<Piece> pieces, Span<Axis.Cut> interval, List<CardTiming> timings) {
        int focused = focused();
        rows.getChildren().clear();
        length.set(Math.max(0.1, interval.length().seconds()));
        // First what can be moved, then what follows the recording.
        List<Piece> here = pieces.stream()
                .filter(p -> interval.contains(p.span().start()))
                .sorted(Comparator.comparing(p -> CardTiming.card(p).isEmpty()))
                .toList();
        for (Piece piece : here) {
            Span<Axis.Cut> span = piece.span();
            double from = span.start().since(interval.start()).seconds();
            double to =
                    Math.min(length.get(), span.end().since(interval.start()).seconds());
            StrokeRow row = new StrokeRow(piece.at(span.start()), from, to, length.get(), now, goTo);
            CardTiming.card(piece).ifPresent(c -> row.movable(c, retiming, isTimed(c, timings)));
            rows.getChildren().add(row);
        }
        if (focused >= 0 && focused < rows.getChildren().size()) {
            ((StrokeRow) rows.getChildren().get(focused)).focus();
        }
    }

    private static boolean isTimed(Face.Card card, List<CardTiming> timings) {
        return timings.stream()
                .anyMatch(t -> t.kind() == card.kind() && t.words().equals(CardTiming.words(card)));
    }

    /** The row that has the keyboard: it keeps it while its card is moved. */
    private int focused() {
        for (int i = 0; i < rows.getChildren().size(); i++) {
            if (((StrokeRow) rows.getChildren().get(i)).hasFocus()) {
                return i;
            }
        }
        return -1;
    }
}
