package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** How the Score is read: folds, thin rests, marks, the map and the playhead, in the real window. */
class ScoreWindowTest extends DrivenScore {

    @Test
    void theScoreFoldsByBlock() throws Exception {
        openWithTake();
        clickOn("#stage-match");
        ListView<?> score = lookup("#score").queryListView();
        int lines = score.getItems().size();
        interact(() -> {
            score.requestFocus();
            score.getSelectionModel().select(1);
        });
        push(KeyCode.F);
        until(() -> score.getItems().size() == 3);
        assertThat(score.getItems()).allMatch(row -> row.toString().startsWith("ScoreFold"));
        interact(() -> score.getSelectionModel().select(1));
        push(KeyCode.F);
        until(() -> score.getItems().size() == 6);
        push(KeyCode.J);
        until(() -> text("#now-at").startsWith("Squat"));
        push(KeyCode.F);
        until(() -> score.getItems().size() == 3);
        interact(
                () -> lookup("#score-order").queryComboBox().getSelectionModel().select(0));
        until(() -> score.getItems().size() == lines);
    }

    /** Of each shown line of the Score: its height, by what is said of it. */
    private List<Double> heights(String spoken) {
        return lookup("#score .list-cell").queryAll().stream()
                .map(n -> (javafx.scene.control.ListCell<?>) n)
                .filter(c -> c.getGraphic() != null && c.getAccessibleText().startsWith(spoken))
                .map(c -> ((javafx.scene.layout.Region) c.getGraphic()).getPrefHeight())
                .toList();
    }

    @Test
    void aRestIsThinUntilItIsOpenedAndEveryLineIsOnTheMap() throws Exception {
        openWithTake();
        clickOn("#stage-match");
        ListView<?> score = lookup("#score").queryListView();
        until(() -> heights("Rest").size() > 0);
        double work = heights("Squat").get(0);
        assertThat(heights("Rest")).allMatch(h -> h < work / 2);
        int rest = 0;
        while (!score.getItems().get(rest).toString().contains("kind=REST")) {
            rest++;
        }
        int at = rest;
        interact(() -> {
            score.requestFocus();
            score.getSelectionModel().select(at);
        });
        push(KeyCode.F);
        until(() -> heights("Rest").stream().anyMatch(h -> h == work));
        push(KeyCode.F);
        until(() -> heights("Rest").stream().allMatch(h -> h < work / 2));
        interact(
                () -> lookup("#score-order").queryComboBox().getSelectionModel().select(1));
        until(() -> heights("Rest").stream().allMatch(h -> h == work));
        // The map takes one to any line: the first is at its top.
        Node map = lookup("#score-map").query();
        javafx.geometry.Bounds bounds = map.localToScreen(map.getBoundsInLocal());
        clickOn(bounds.getMinX() + 10, bounds.getMinY() + 3);
        until(() -> score.getSelectionModel().getSelectedIndex() == 0);
    }

    @Test
    void theMarksAreExplainedAndAPlayheadGoesThroughTheLine() throws Exception {
        openWithTake();
        clickOn("#stage-match");
        assertThat(lookup("#score-legend").query().isVisible()).isFalse();
        clickOn("#score-explain");
        until(() -> lookup("#score-legend").query().isVisible());
        assertThat(lookup("set by hand").tryQuery()).isPresent();
        clickOn("#score-explain");
        until(() -> !lookup("#score-legend").query().isVisible());
        ListView<?> score = lookup("#score").queryListView();
        interact(() -> {
            score.requestFocus();
            score.getSelectionModel().select(1);
        });
        push(KeyCode.SPACE);
        double[] first = {Double.NaN};
        until(() -> playhead().isPresent());
        first[0] = playhead().orElseThrow();
        until(() -> playhead().orElse(0.0) > first[0]);
        push(KeyCode.SPACE);
        until(() -> playhead().isEmpty());
    }

    /** Where the playhead is in the line that plays. */
    private java.util.Optional<Double> playhead() {
        return lookup(".playhead").queryAll().stream()
                .filter(Node::isVisible)
                .map(n -> ((javafx.scene.shape.Line) n).getStartX())
                .findFirst();
    }
}
