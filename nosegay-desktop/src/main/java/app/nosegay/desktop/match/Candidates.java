package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.match.DoubtQueue.Doubtful;
import app.nosegay.desktop.session.TakePictures;
import app.nosegay.match.Match;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The moments a doubtful boundary may be at, as pictures: the earliest likely one, where it is now, the latest. One key takes one. */
final class Candidates {
    private static final int WIDTH = 124;
    private static final int HEIGHT = 70;
    /** Moments nearer to each other than this look the same. */
    private static final Length APART = Length.ofMillis(200);

    /** Fixes a boundary at a moment. */
    interface Chosen {
        void pin(Match.Placed placed, boolean end, Time<Axis.Take> time, String verb);
    }

    private final TakePictures pictures;
    private final Function<String, Path> files;
    private final Chosen chosen;
    private final Label question = new Label();
    private final HBox row = new HBox(6);
    private final VBox view = new VBox(6, question, row);
    private Doubtful of;
    private List<Time<Axis.Take>> moments = List.of();

    Candidates(TakePictures pictures, Function<String, Path> files, Chosen chosen) {
        this.pictures = pictures;
        this.files = files;
        this.chosen = chosen;
        question.setId("which-moment");
        question.setWrapText(true);
        question.setMinHeight(Region.USE_PREF_SIZE);
        view.managedProperty().bind(view.visibleProperty());
        show(null);
    }

    Region view() {
        return view;
    }

    /** Shows the moments of {@code doubtful}; null, or one that was not found, shows nothing. */
    void show(Doubtful doubtful) {
        of = doubtful;
        moments = doubtful == null || !doubtful.placed().matched() ? List.of() : moments(doubtful);
        view.setVisible(moments.size() > 1);
        row.getChildren().clear();
        if (moments.size() < 2) {
            return;
        }
        question.setText(DesktopText.of(
                "match.candidates.which",
                doubtful.end() ? "end" : "start",
                doubtful.line().title(),
                doubtful.line().detail()));
        for (int i = 0; i < moments.size(); i++) {
            row.getChildren().add(button(i));
        }
    }

    private Button button(int index) {
        Time<Axis.Take> time = moments.get(index);
        boolean now = time.equals(at(of));
        ImageView picture = new ImageView();
        picture.setFitWidth(WIDTH);
        picture.setFitHeight(HEIGHT);
        Path file = files.apply(of.placed().take());
        if (file != null) {
            pictures.show(picture, file, time, null, 2 * WIDTH, 2 * HEIGHT);
        }
        String words = now
                ? DesktopText.of("match.candidates.now", index + 1, time)
                : DesktopText.of("match.candidates.moment", index + 1, time);
        Button button = new Button(words, picture);
        button.setContentDisplay(ContentDisplay.TOP);
        button.setId("candidate-" + (index + 1));
        button.getStyleClass().add("candidate");
        button.setOnAction(e -> choose(index));
        return button;
    }

    private static Time<Axis.Take> at(Doubtful doubtful) {
        return doubtful.end() ? doubtful.placed().end() : doubtful.placed().start();
    }

    private static List<Time<Axis.Take>> moments(Doubtful doubtful) {
        Span<Axis.Take> likely = doubtful.end()
                ? doubtful.placed().endLikely()
                : doubtful.placed().startLikely();
        Time<Axis.Take> now = at(doubtful);
        List<Time<Axis.Take>> moments = new ArrayList<>(List.of(now));
        if (now.since(likely.start()).compareTo(APART) > 0) {
            moments.add(0, likely.start());
        }
        if (likely.end().since(now).compareTo(APART) > 0) {
            moments.add(likely.end());
        }
        return moments;
    }

    /** Takes one of the moments shown; nothing where there is none of that number. */
    void choose(int index) {
        if (index < moments.size()) {
            Time<Axis.Take> time = moments.get(index);
            chosen.pin(of.placed(), of.end(), time, time.equals(at(of)) ? "keep" : "move");
        }
    }
}
