package app.nosegay.dress;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * All pieces of a programme.
 *
 * @param pieces in order of their start
 */
public record Dressing(List<Piece> pieces) {
    public Dressing {
        List<Piece> sorted = new ArrayList<>(pieces);
        sorted.sort(Comparator.comparing((Piece p) -> p.span().start()));
        pieces = List.copyOf(sorted);
    }

    /** What is on screen at {@code time}; where a timer's zero and the next timer meet, only the newer one. */
    public List<Face> at(Time<Axis.Cut> time) {
        List<Face> faces = new ArrayList<>();
        for (Piece piece : pieces) {
            if (piece.span().start().isAfter(time)) {
                break;
            }
            if (piece.span().contains(time)) {
                faces.add(piece.at(time));
            }
        }
        return faces;
    }
}
