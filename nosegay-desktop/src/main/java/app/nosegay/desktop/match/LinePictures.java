package app.nosegay.desktop.match;

import app.nosegay.desktop.session.TakePictures;
import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.CloseUp;
import app.nosegay.match.Match;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.nio.file.Path;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.image.ImageView;

/** What can be seen in each line of the Score: whoever leads at its start, where the move is at its clearest, and at its end. */
public final class LinePictures {
    static final int SIZE = 43;
    private static final int GAP = 4;
    private static final int LEFT = 13;
    private static final int TOP = 47;
    /** A moment this long before its end a stretch still shows itself. */
    private static final Length BEFORE_END = Length.ofMillis(80);

    private final TakePictures pictures;
    private final Function<String, Path> files;
    private final Map<ScoreLine, Shown> shown = new IdentityHashMap<>();

    private record Shown(Box part, List<Time<Axis.Take>> moments) {}

    /** @param files where a take is; null where it is not known */
    public LinePictures(TakePictures pictures, Function<String, Path> files) {
        this.pictures = pictures;
        this.files = files;
    }

    /** The lines are others now. */
    void forget() {
        shown.clear();
    }

    private Shown of(ScoreLine line) {
        return shown.computeIfAbsent(line, l -> {
            List<Match.Placed> found =
                    l.placed().stream().filter(Match.Placed::matched).toList();
            Time<Axis.Take> from = found.isEmpty()
                    ? l.recorded().start()
                    : Time.max(l.recorded().start(), found.get(0).performedStart());
            Time<Axis.Take> to = found.isEmpty()
                    ? l.recorded().end()
                    : found.get(found.size() - 1).performedEnd();
            Span<Axis.Take> done = new Span<>(from, Time.max(from, to));
            Time<Axis.Take> last = Time.max(from, done.end().minus(BEFORE_END));
            return new Shown(
                    CloseUp.around(l.take(), done).orElse(null), List.of(from, CloseUp.clearest(l.take(), done), last));
        });
    }

    /** The three pictures of one row; they lie under its title. */
    final class Row {
        private final List<ImageView> views = List.of(new ImageView(), new ImageView(), new ImageView());
        private final Group group = new Group(views.toArray(new Node[0]));

        Row() {
            for (int i = 0; i < views.size(); i++) {
                views.get(i).setX(LEFT + i * (SIZE + GAP));
                views.get(i).setY(TOP);
                views.get(i).setFitWidth(SIZE);
                views.get(i).setFitHeight(SIZE);
            }
            group.setMouseTransparent(true);
        }

        Node view() {
            return group;
        }

        /** Shows {@code line}; null, or one without a recording, leaves it empty. */
        void show(ScoreLine line) {
            Path file = line == null || line.isMissing() || line.take() == null
                    ? null
                    : files.apply(line.take().id());
            group.setVisible(file != null);
            if (file == null && pictures != null) {
                views.forEach(pictures::clear);
            }
            for (int i = 0; file != null && i < views.size(); i++) {
                Shown seen = of(line);
                pictures.show(views.get(i), file, seen.moments().get(i), seen.part(), 2 * SIZE, 2 * SIZE);
            }
        }
    }
}
