package app.nosegay.desktop;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.Node;
import javafx.scene.control.ListView;

/** A real window whose Score is worked with. */
abstract class DrivenScore extends DrivenWindow {
    /** The cell that shows a line of the Score; cells come in no order. */
    Node line(int index) {
        return lookup("#score .list-cell").queryAll().stream()
                .filter(n -> ((javafx.scene.control.ListCell<?>) n).getIndex() == index && n.isVisible())
                .findFirst()
                .orElseThrow();
    }

    double start(String segment) {
        return programme().match().segment(segment).orElseThrow().start().seconds();
    }

    double end(String segment) {
        return programme().match().segment(segment).orElseThrow().end().seconds();
    }

    /** Goes to a line of the Score and gives the keyboard to it. */
    ListView<?> onLine(int index) {
        clickOn("#stage-match");
        ListView<?> score = lookup("#score").queryListView();
        interact(() -> {
            score.getSelectionModel().select(index);
            score.requestFocus();
        });
        return score;
    }

    static double seconds(String nowAt) {
        Matcher m = Pattern.compile("(\\d+):(\\d+(?:\\.\\d+)?)").matcher(nowAt);
        return m.find() ? 60 * Double.parseDouble(m.group(1)) + Double.parseDouble(m.group(2)) : 1e9;
    }
}
