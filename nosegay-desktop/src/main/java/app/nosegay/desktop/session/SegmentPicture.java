package app.nosegay.desktop.session;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.CloseUp;
import app.nosegay.match.Match;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import java.nio.file.Path;
import javafx.scene.image.ImageView;

/** A segment as it was filmed, in one small picture: whoever leads, at the moment the move is at its clearest. */
public final class SegmentPicture {
    private SegmentPicture() {}

    /**
     * Has {@code view} show a segment; nothing where it was not filmed or its recording cannot be found.
     *
     * @param size of the square, in pixels
     */
    public static void show(Session session, Programme programme, ImageView view, String segment, int size) {
        Match.Placed placed =
                programme.match().segment(segment).filter(Match.Placed::matched).orElse(null);
        TakeEvidence take = placed == null
                ? null
                : programme.evidence().stream()
                        .filter(t -> t.id().equals(placed.take()))
                        .findFirst()
                        .orElse(null);
        Path file =
                take == null ? null : session.media().files(session.workout()).get(placed.take());
        if (file == null) {
            session.pictures().clear(view);
            return;
        }
        Span<Axis.Take> done =
                new Span<>(placed.performedStart(), Time.max(placed.performedStart(), placed.performedEnd()));
        session.pictures()
                .show(
                        view,
                        file,
                        CloseUp.clearest(take, done),
                        CloseUp.around(take, done).orElse(null),
                        size,
                        size);
    }
}
