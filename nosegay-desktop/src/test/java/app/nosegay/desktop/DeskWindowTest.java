package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.jobs.LogbookFile;
import app.nosegay.logbook.Logbook;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.Test;

/** The logbook and the practice channel in the real window. */
class DeskWindowTest extends DrivenWindow {
    private List<String> page() {
        return lookup("#logbook-page .label").queryAllAs(Label.class).stream()
                .map(Label::getText)
                .toList();
    }

    private void write(String kind, String words) {
        interact(() -> lookup("#entry-kind")
                .<ComboBox<String>>query()
                .getSelectionModel()
                .select(kind));
        clickOn("#entry-text");
        super.write(words);
        clickOn("#entry-add");
    }

    @Test
    void anEmptyLogbookSaysWhatToDoFirst() {
        clickOn("#stage-logbook");
        assertThat(page()).singleElement().asString().startsWith("Nothing yet. After a shoot");
    }

    @Test
    void aRequestIsTaggedAndBecomesAnIdeaThatCanBeUndone() throws Exception {
        openWithTake();
        clickOn("#stage-logbook");
        write("Request", "fifteen minutes for glutes with a band please");
        until(() -> page().stream().anyMatch(l -> l.contains("glutes") && l.contains("15 min")));
        String before = shell.session().workout().sheet();
        clickOn("Start a plan from this");
        until(() -> !shell.session().workout().sheet().equals(before));
        assertThat(shell.session().workout().sheet()).contains("15 min");
        until(() -> lookup("#run-sheet").tryQuery().isPresent());
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> shell.session().workout().sheet().equals(before));
    }

    @Test
    void whatIsStruckOutIsGoneFromTheFileToo() throws Exception {
        clickOn("#stage-logbook");
        write("Lesson", "the lamp hums");
        until(() -> page().contains("the lamp hums"));
        assertThat(LogbookFile.read().entries()).hasSize(1);
        clickOn("Remove");
        until(() -> !page().contains("the lamp hums"));
        assertThat(LogbookFile.read().entries()).isEmpty();
    }

    @Test
    void thePracticeChannelRefusesWhatIsNotThereAndItIsNoted() throws Exception {
        openWithTake();
        Files.createDirectories(folder.resolve("published"));
        clickOn("#stage-logbook");
        clickOn("#submit");
        until(() -> !shell.session().jobs().isRunning()
                && entries(Logbook.Kind.PUBLISHED) + entries(Logbook.Kind.NEWS) > 0);
        assertThat(page()).anySatisfy(line -> assertThat(line).containsIgnoringCase("refused"));
    }

    private static long entries(Logbook.Kind kind) throws IOException {
        return LogbookFile.read().entries().stream()
                .filter(e -> e.kind() == kind)
                .count();
    }

    @Test
    void aCurveSaysWherePeopleLeaveAndWhatWasThere() throws Exception {
        openWithTake();
        Files.createDirectories(folder.resolve("published"));
        Files.writeString(
                folder.resolve("published/retention.csv"),
                "second,share\n0,1\n9,0.95\n12,0.94\n20,0.6\n30,0.58\n45,0.55\n");
        clickOn("#stage-logbook");
        VBox leaving = lookup("#leaving").query();
        until(() -> leaving.getChildren().size() > 1);
        assertThat(leaving.lookup("#retention").getBoundsInParent().getHeight()).isGreaterThan(100);
        assertThat(((Label) leaving.getChildren().get(1)).getText())
                .startsWith("1  Squat at")
                .contains("% leave");
    }

    @Test
    void aDamagedCurveIsSaidAndNothingBreaks() throws Exception {
        openWithTake();
        Files.createDirectories(folder.resolve("published"));
        Files.write(folder.resolve("published/retention.csv"), new byte[] {(byte) 0xff, 0, 1, 2, 3});
        clickOn("#stage-logbook");
        until(() -> !lookup("#leaving .label").queryAllAs(Label.class).isEmpty());
        assertThat(lookup("#leaving .label").queryAs(Label.class).getText()).startsWith("No curve yet");
        Node add = lookup("#entry-add").query();
        assertThat(((Button) add).isDisabled()).isFalse();
    }
}
