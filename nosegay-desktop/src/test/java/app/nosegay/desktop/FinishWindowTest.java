package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.dress.CardTiming;
import app.nosegay.plan.Finding;
import app.nosegay.workout.Waiver;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.Slider;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Dress, Proof and Publish in the real window. */
class FinishWindowTest extends DrivenWindow {
    private static final Waiver SEEN = new Waiver("match.late-start a/squat", "seen", "2026-01-01");

    @Test
    void theDressedFrameFollowsTheScrubber() throws Exception {
        openWithTake();
        clickOn("#stage-dress");
        ListView<?> stretches = lookup("#stretches").query();
        until(() -> !stretches.getItems().isEmpty());
        interact(() -> stretches.getSelectionModel().select(1));
        until(() -> text("#dress-at").contains("of 12"));
        String before = text("#dress-at");
        interact(stretches::requestFocus);
        push(KeyCode.RIGHT).push(KeyCode.RIGHT);
        until(() -> !text("#dress-at").equals(before));
        assertThat(lookup("#scrub").queryAs(Slider.class).getValue()).isPositive();
        assertThat(lookup("#pieces .chip").queryAll()).hasSizeGreaterThan(2);
        // Each piece has a stroke; a click beside it looks at that second.
        Slider scrub = lookup("#scrub").queryAs(Slider.class);
        Node track = lookup("#pieces .track").nth(0).query();
        javafx.geometry.Bounds bounds = track.localToScreen(track.getBoundsInLocal());
        clickOn(bounds.getMinX() + bounds.getWidth() * 0.75, bounds.getCenterY());
        until(() -> Math.abs(scrub.getValue() / scrub.getMax() - 0.75) < 0.02);
    }

    /** A card is dragged along its stroke, made longer by its end, moved by keys, and put back. */
    @Test
    void aCardIsDraggedToAnotherTimeAndPutBack() throws Exception {
        openWithTake();
        clickOn("#stage-dress");
        ListView<?> stretches = lookup("#stretches").query();
        until(() -> !stretches.getItems().isEmpty());
        int with = 0;
        while (lookup("#stroke-form").tryQuery().isEmpty()
                && with < stretches.getItems().size()) {
            int next = with++;
            interact(() -> stretches.getSelectionModel().select(next));
        }
        javafx.geometry.Bounds stroke = onScreen("#stroke-form");
        drag(stroke.getCenterX(), stroke.getCenterY()).dropTo(stroke.getCenterX() + 40, stroke.getCenterY());
        until(() -> timings().size() == 1 && computed());
        until(() -> lookup("#stroke-form").tryQuery().isPresent()
                && Math.abs(onScreen("#stroke-form").getMinX() - stroke.getMinX() - 40) < 4);
        CardTiming moved = timings().get(0);
        until(() -> lookup("#chip-form")
                .tryQueryAs(Button.class)
                .filter(c -> c.getText().endsWith(", moved"))
                .isPresent());
        javafx.geometry.Bounds now = onScreen("#stroke-form");
        drag(now.getMaxX() - 2, now.getCenterY()).dropTo(now.getMaxX() + 18, now.getCenterY());
        until(() -> timings().get(0).to().compareTo(moved.to()) > 0);
        assertThat(timings().get(0).from()).as("its start stays").isEqualTo(moved.from());
        CardTiming longer = timings().get(0);
        interact(() -> lookup("#chip-form").query().requestFocus());
        press(KeyCode.ALT).push(KeyCode.LEFT).release(KeyCode.ALT);
        until(() -> timings().get(0).from().compareTo(longer.from()) < 0);
        until(() -> lookup("#chip-form").tryQuery().filter(Node::isFocused).isPresent());
        push(KeyCode.BACK_SPACE);
        until(() -> timings().isEmpty());
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> timings().size() == 1);
    }

    private List<CardTiming> timings() {
        return shell.session().workout().dressing().timings();
    }

    private javafx.geometry.Bounds onScreen(String query) {
        Node node = lookup(query).query();
        return node.localToScreen(node.getBoundsInLocal());
    }

    @Test
    void thePreviewPlaysOnIntoTheNextIntervalAndStops() throws Exception {
        openWithTake();
        clickOn("#stage-dress");
        ListView<?> intervals = lookup("#stretches").queryListView();
        until(() -> intervals.getItems().size() > 2);
        interact(() -> intervals.getSelectionModel().select(1));
        Slider scrub = lookup("#scrub").queryAs(Slider.class);
        interact(() -> scrub.setValue(scrub.getMax() - 0.8));
        clickOn("#dress-play");
        until(() -> intervals.getSelectionModel().getSelectedIndex() == 2);
        clickOn("#dress-play");
        String stopped = text("#dress-at");
        // Far from where it stopped: a second in, it may have stopped just there.
        interact(() -> scrub.setValue(5));
        until(() -> !text("#dress-at").equals(stopped));
        assertThat(intervals.getSelectionModel().getSelectedIndex()).isEqualTo(2);
    }

    /** The beginning is seen as viewers will see it, in place of the cover; so is a chapter. */
    @Test
    void theFirstTenSecondsPlayWhereTheCoverIs() throws Exception {
        openWithTake();
        clickOn("#stage-publish");
        clickOn("#play-opening");
        until(() -> text("#played-at").startsWith("0:0"));
        assertThat(lookup("#play-opening").queryAs(Button.class).getText()).isEqualTo("Stop");
        clickOn("#play-opening");
        until(() -> text("#played-at").isEmpty());
        ListView<?> chapters = lookup("#chapters").queryListView();
        interact(() -> {
            chapters.getSelectionModel().select(1);
            chapters.requestFocus();
        });
        push(KeyCode.ENTER);
        until(() -> text("#played-at").startsWith("0:1"));
        // It stops by itself, and the cover is back.
        until(() -> text("#played-at").isEmpty());
    }

    /** Large, as large as on a phone, with half-shut eyes, beside what it was: the picture is there in all of them. */
    @Test
    void thePictureIsLookedAtInFourWays() throws Exception {
        openWithTake();
        clickOn("#stage-dress");
        until(() -> lookup("#finished-picture .image-view").tryQuery().isPresent()
                && lookup("#finished-picture .image-view")
                                .queryAs(ImageView.class)
                                .getImage()
                        != null);
        ImageView picture = lookup("#finished-picture .image-view").queryAs(ImageView.class);
        double wide = picture.getImage().getWidth() / picture.getImage().getHeight();
        ComboBox<?> look = lookup("#dress-look").queryComboBox();
        assertThat(lookup("#dress-readable").query().isVisible()).isFalse();
        interact(() -> look.getSelectionModel().select(1));
        assertThat(text("#dress-readable")).startsWith("As large as on a phone. Words can be read up to 0.");
        double phone = picture.getFitWidth();
        interact(() -> look.getSelectionModel().select(2));
        assertThat(picture.getFitWidth()).isEqualTo(phone);
        assertThat(picture.getEffect()).isNotNull();
        interact(() -> look.getSelectionModel().select(3));
        until(() -> picture.getImage().getWidth() / picture.getImage().getHeight() > 1.8 * wide);
        interact(() -> look.getSelectionModel().select(0));
        until(() -> Math.abs(picture.getImage().getWidth() / picture.getImage().getHeight() - wide) < 0.01);
        assertThat(picture.getEffect()).isNull();
    }

    @Test
    void everythingIsWrittenFromThePublishStage() throws Exception {
        openWithTake();
        clickOn("#stage-publish");
        clickOn("#export-channel");
        until(() -> Files.exists(folder.resolve("published/video.mp4"))
                && !shell.session().jobs().isRunning());
        assertThat(Files.readString(folder.resolve("published/chapters.txt"))).startsWith("0:00 Hi\n");
        until(() -> outputSays("✓ "));
        assertThat(outputSays("△ older")).isFalse();
        // How long it takes is known from here on.
        until(() -> text("#publish-where").matches("(?s).*video in about \\d+ (s|min), .*"));
        interact(() ->
                shell.session().apply("leave it", shell.session().workout().withWaiver(SEEN)));
        until(() -> outputSays("△ older"));
        clickOn("#export-channel");
        until(() -> lookup("#replace").tryQuery().isPresent());
        assertThat(text("#replacing .label")).startsWith("Replaces").contains("video.mp4");
        clickOn("#replace");
        until(() -> shell.session().jobs().message().get().contains("0 % of the picture was rendered again"));
        until(() -> !outputSays("△ older"));
        assertThat(folder.resolve("published/cut.otio"))
                .as("it is for other programs")
                .doesNotExist();
        clickOn("#more-outputs");
        clickOn("#render");
        until(() -> Files.exists(folder.resolve("published/cut.otio")));
    }

    /** What is shown can be pasted into another program: the dressed picture, and the chapter lines. */
    @Test
    void thePictureAndTheChaptersAreCopied() throws Exception {
        openWithTake();
        clickOn("#stage-dress");
        clickOn("#stretches");
        until(() -> !shell.session().jobs().isRunning());
        push(KeyCode.CONTROL, KeyCode.C);
        until(() -> text("#message").startsWith("Picture copied"));
        Image[] copied = new Image[1];
        interact(() -> copied[0] = Clipboard.getSystemClipboard().getImage());
        assertThat(copied[0].getWidth()).isGreaterThan(300);
        clickOn("#stage-publish");
        clickOn("#chapters");
        push(KeyCode.CONTROL, KeyCode.C);
        String[] lines = new String[1];
        until(() -> {
            interact(() -> lines[0] = Clipboard.getSystemClipboard().getString());
            return lines[0] != null;
        });
        assertThat(lines[0]).startsWith("0:00 Hi\n").hasLineCount(3);
    }

    /** One file that cannot be written does not keep the others from it; it is tried again alone. */
    @Test
    void aFileThatFailedIsTriedAgainAlone() throws Exception {
        openWithTake();
        clickOn("#stage-publish");
        Path inTheWay = Files.createDirectories(folder.resolve("published/description.txt/full"));
        clickOn("#export-channel");
        until(() -> !shell.session().jobs().isRunning()
                        && lookup("#again-description").query().isVisible()
                || lookup("#replace").tryQuery().filter(Node::isVisible).isPresent());
        if (lookup("#replace").tryQuery().filter(Node::isVisible).isPresent()) {
            clickOn("#replace");
        }
        until(() -> lookup("#again-description").query().isVisible());
        assertThat(folder.resolve("published/video.mp4")).isRegularFile();
        assertThat(folder.resolve("published/cover-1280x720.png")).isRegularFile();
        Files.delete(inTheWay);
        Files.delete(inTheWay.getParent());
        clickOn("#again-description");
        until(() -> Files.isRegularFile(folder.resolve("published/description.txt")));
        until(() -> !lookup("#again-description").query().isVisible());
    }

    private boolean outputSays(String mark) {
        return lookup("#outputs .label").queryAllAs(Label.class).stream()
                .anyMatch(l -> l.getText().startsWith(mark));
    }

    @Test
    void theProofListsEveryIntervalAndAFindingIsLeftWithAReasonAndComesBack() throws Exception {
        openWithTake();
        clickOn("#stage-proof");
        ListView<?> comparisons = lookup("#plaits").queryListView();
        assertThat(comparisons.getItems())
                .hasSize(programme().timeline().intervals().size());
        int open = programme().proof().open().size();
        assertThat(open).isPositive();
        assertThat(text("#proof-sentence"))
                .startsWith(programme().proof().sentence())
                .endsWith(Math.round(100 * programme().proof().proven()) + " % of the video is proven.");
        ListView<?> findings = lookup("#proof-findings").queryListView();
        // Those of the plan are summed up with a way to Plan.
        int ofPlan = (int) programme().proof().open().stream()
                .filter(f -> f.code().startsWith("plan."))
                .count();
        int ofTaste = (int) programme().proof().open().stream()
                .filter(f -> f.severity() == Finding.Severity.NOTE && !f.code().startsWith("plan."))
                .count();
        assertThat(findings.getItems()).hasSize(open - ofPlan - ofTaste);
        assertThat(lookup("#proof-of-plan").queryButton().getText()).startsWith(ofPlan + " finding");
        interact(() -> {
            findings.getSelectionModel().select(0);
            findings.requestFocus();
        });
        push(KeyCode.L);
        until(() -> lookup(".dialog-pane .text-field").tryQuery().isPresent());
        clickOn(".dialog-pane .text-field");
        write("known and meant");
        push(KeyCode.ENTER);
        until(() -> programme().proof().waived().size() == 1);
        assertThat(shell.session().workout().waivers().get(0).reason()).isEqualTo("known and meant");
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> programme().proof().waived().isEmpty());
    }

    /** One key goes from problem to problem and plays what is around each; the bar leads to an interval. */
    @Test
    void problemsAreWalkedThroughWithOneKey() throws Exception {
        openWithTake();
        clickOn("#stage-proof");
        ListView<?> findings = lookup("#proof-findings").queryListView();
        int count = findings.getItems().size();
        assertThat(count).isPositive();
        interact(() -> findings.getSelectionModel().clearSelection());
        for (int i = 0; i < count; i++) {
            int at = i;
            clickOn("#next-problem");
            until(() -> findings.getSelectionModel().getSelectedIndex() == at);
            Finding f = (Finding) findings.getItems().get(i);
            boolean placed = f.moment() != null || f.segment() != null;
            assertThat(text("#problem-where")).startsWith(placed ? "at " : "about");
            assertThat(lookup("#problem-around").query().isVisible()).isEqualTo(f.moment() != null);
        }
        interact(findings::requestFocus);
        push(KeyCode.N);
        until(() -> findings.getSelectionModel().getSelectedIndex() == 0);
        ListView<?> comparisons = lookup("#plaits").queryListView();
        clickOn("#proof-bar");
        until(() -> comparisons.getSelectionModel().getSelectedIndex() >= 0);
    }

    @Test
    void whereThreadsPartCanBeShownAloneAndLeadsToItsStage() throws Exception {
        openWithTake();
        clickOn("#stage-proof");
        clickOn("#only-apart");
        ListView<?> comparisons = lookup("#plaits").queryListView();
        assertThat(comparisons.getItems())
                .hasSizeLessThan(programme().timeline().intervals().size());
        ListView<?> findings = lookup("#proof-findings").queryListView();
        interact(() -> {
            findings.getSelectionModel().select(0);
            findings.requestFocus();
        });
        push(KeyCode.ENTER);
        until(() -> lookup("#plaits").tryQuery().isEmpty());
    }
}
