package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.dress.DressNotes;
import app.nosegay.plan.Finding;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The sound of the finished video, and what the proof hands on, in the real window. */
class SoundAndProofWindowTest extends DrivenWindow {
    private DressNotes.Sound sound() {
        return shell.session().workout().dressing().sound();
    }

    @Test
    void levellingTonesAndNoisesAreChosenAndUndone() throws Exception {
        openWithTake();
        clickOn("#stage-dress");
        clickOn("#dress-tab-sound");
        assertThat(lookup("#levelled").queryAs(CheckBox.class).isSelected()).isTrue();
        clickOn("#timer-sounds");
        until(() -> sound().timerSounds());
        clickOn("#fade-noises");
        until(() -> sound().fadesNoises() != DressNotes.Sound.USUAL.fadesNoises());
        clickOn("#levelled");
        until(() -> !sound().levelled());
        for (int i = 0; i < 3; i++) {
            push(KeyCode.CONTROL, KeyCode.Z);
        }
        until(() -> sound().equals(DressNotes.Sound.USUAL));
        until(() -> lookup("#levelled").queryAs(CheckBox.class).isSelected());
    }

    @Test
    void musicWithoutALicenceIsAFindingUntilItIsNoted() throws Exception {
        openWithTake();
        Files.write(folder.resolve("bed.wav"), new byte[] {0});
        interact(() -> shell.session()
                .apply(
                        "music",
                        shell.session()
                                .workout()
                                .withDressing(
                                        shell.session().workout().dressing().withSound(sound().withMusic("bed.wav")))));
        until(() -> open("sound.licence"));
        clickOn("#stage-dress");
        clickOn("#dress-tab-sound");
        until(() -> lookup("#licence").query().isVisible());
        clickOn("#licence").write("my own, 2026").push(KeyCode.ENTER);
        until(() -> sound().licence().equals("my own, 2026"));
        until(() -> !open("sound.licence"));
        assertThat(lookup("#licence").queryAs(TextField.class).getText()).isEqualTo("my own, 2026");
    }

    private boolean open(String code) {
        return programme().proof().open().stream().map(Finding::code).anyMatch(code::equals);
    }

    @Test
    void theProofShowsOneStageAlone() throws Exception {
        openWithTake();
        clickOn("#stage-proof");
        ListView<?> findings = lookup("#proof-findings").queryListView();
        int all = findings.getItems().size();
        ComboBox<String> stage = lookup("#proof-stage").queryComboBox();
        interact(() -> stage.getSelectionModel().select(1));
        until(() -> findings.getItems().size() < all);
        interact(() -> stage.getSelectionModel().select(0));
        until(() -> findings.getItems().size() == all);
    }

    @Test
    void theProofSheetIsPrinted() throws Exception {
        openWithTake();
        Path sheet = folder.resolve("proof.pdf");
        interact(() -> shell.session().exports().print(app.nosegay.jobs.PrintJob.Form.PROOF_PDF, sheet));
        until(() -> Files.exists(sheet) && !shell.session().jobs().isRunning());
        assertThat(Files.readAllBytes(sheet)).startsWith('%', 'P', 'D', 'F');
    }

    @Test
    void whatWasSaidIsShownAsCaptionsAndChaptersBesideTheFiles() throws Exception {
        openWithTake("WEBVTT\n\n00:04.000 --> 00:06.000\nHello and welcome.\n\n00:13.000 --> 00:14.000\nGo!\n");
        clickOn("#stage-publish");
        ListView<?> chapters = lookup("#chapters").queryListView();
        until(() -> !chapters.getItems().isEmpty());
        clickOn("#publish-tab-captions");
        ListView<?> captions = lookup("#captions").queryListView();
        until(() -> captions.getItems().size() == 2);
    }

    @Test
    void withoutATranscriptTheCaptionsSayWhatToDo() throws Exception {
        openWithTake();
        clickOn("#stage-publish");
        clickOn("#publish-tab-captions");
        until(() -> lookup("#captions .empty").tryQuery().isPresent());
        assertThat(lookup("#captions .empty").queryAs(Label.class).getText()).contains("Listen for the script");
    }

    /** Proof mutes the sentence a finding is about; the list of captions shows it and lets it be heard again. */
    @Test
    void aSentenceThatIsNotTrueIsMutedAndHeardAgain() throws Exception {
        openWithTake(
                "WEBVTT\n\n00:04.000 --> 00:06.000\nWe have eight moves today.\n\n" + "00:13.000 --> 00:14.000\nGo!\n");
        until(() -> open("match.wrong-number"));
        clickOn("#stage-proof");
        ListView<Finding> findings = lookup("#proof-findings").queryListView();
        until(() -> findings.getItems().stream().anyMatch(f -> f.code().equals("match.wrong-number")));
        interact(() -> {
            findings.getSelectionModel()
                    .select(findings.getItems().stream()
                            .filter(f -> f.code().equals("match.wrong-number"))
                            .findFirst()
                            .orElseThrow());
            findings.requestFocus();
        });
        push(KeyCode.M);
        until(() -> !open("match.wrong-number"));
        assertThat(programme().captions()).singleElement().satisfies(c -> assertThat(c.text())
                .isEqualTo("Go!"));
        clickOn("#stage-match");
        clickOn("#match-tab-words");
        until(() -> lookup("#all-captions .list-cell").queryAllAs(ListCell.class).stream()
                .anyMatch(c -> c.getText() != null && c.getText().contains("(muted) We have eight")));
        ListView<?> captions = lookup("#all-captions").queryListView();
        interact(() -> captions.getSelectionModel().select(0));
        assertThat(lookup("#mute-caption").queryButton().getText()).isEqualTo("Unmute this line");
        clickOn("#mute-caption");
        until(() -> open("match.wrong-number"));
        interact(captions::requestFocus);
        push(KeyCode.M);
        until(() -> !open("match.wrong-number"));
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> open("match.wrong-number"));
    }

    /** A move that is in the plan and not in the recording is shot again from its place. */
    @Test
    void whatIsMissingIsAPickUpThatIsShotFromItsPlace() throws Exception {
        openWithTake();
        String more = SHEET.replace("talk Bye", "circuit B  work 0:30\n  plank\ntalk Bye");
        interact(() ->
                shell.session().apply("another move", shell.session().workout().withSheet(more)));
        until(() -> programme().workout().sheet().equals(more));
        clickOn("#stage-proof");
        clickOn("#proof-tab-pick-ups");
        ListView<?> pickUps = lookup("#pick-ups").queryListView();
        until(() -> pickUps.getItems().stream().anyMatch(i -> i.toString().contains("plank")));
        until(() -> lookup("#pick-ups .list-cell .label").queryAllAs(Label.class).stream()
                .anyMatch(l -> l.getText().startsWith("Re-film: ")));
        clickOn("Shoot from here");
        until(() -> lookup("#shoot-from").tryQuery().isPresent());
        ComboBox<?> from = lookup("#shoot-from").queryComboBox();
        until(() -> from.getSelectionModel().getSelectedIndex() > 0);
    }
}
