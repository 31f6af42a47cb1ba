package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.dress.DressNotes;
import app.nosegay.dress.FrameShape;
import app.nosegay.dress.Layout;
import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.jobs.DescriptionTemplate;
import app.nosegay.plan.Finding;
import javafx.event.ActionEvent;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ColorPicker;
import javafx.scene.control.ListView;
import javafx.scene.control.Slider;
import javafx.scene.control.TextArea;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;

/** What a creator sets by hand on the finished video: styles, pieces, cover, description, in the real window. */
class OwnLookWindowTest extends DrivenWindow {

    @Test
    void aStyleAndAPieceAreChosenAndAPieceIsDraggedElsewhere() throws Exception {
        openWithTake();
        clickOn("#stage-dress");
        ListView<?> stretches = lookup("#stretches").queryListView();
        interact(() -> stretches.getSelectionModel().select(1));
        clickOn("#dress-tab-style");
        clickOn("#style-lantern");
        until(() -> programme().dressing().notes().style().name().equals("Lantern"));
        clickOn("#dress-tab-items");
        clickOn("#shows-progress");
        until(() -> !programme().dressing().notes().shows(DressNotes.Extra.PROGRESS));
        clickOn("#dress-tab-positions");
        Node pane = lookup("#drag-pane").query();
        Bounds at = pane.localToScreen(pane.getBoundsInLocal());
        double scale = Math.min(at.getWidth() / 1280, at.getHeight() / 720);
        double left = at.getMinX() + (at.getWidth() - 1280 * scale) / 2;
        Box clock = programme().dressing().layout().areas().get(1).boxes().get(Layout.Group.CLOCK);
        drag(left + (clock.x() + 40) * scale, at.getMinY() + (clock.y() + 40) * scale)
                .moveTo(left + 150 * scale, at.getMinY() + 620 * scale)
                .drop();
        until(() -> !programme().workout().dressing().places().isEmpty());
        assertThat(programme().workout().dressing().places().get(0).group()).isEqualTo(Layout.Group.CLOCK);
        assertThat(programme().dressing().layout().areas().get(1).anchors().get(Layout.Group.CLOCK))
                .isEqualTo(programme().workout().dressing().places().get(0).anchor());
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> programme().workout().dressing().places().isEmpty());
    }

    @Test
    void thePreviewHasTheShapeOfWhatIsPublishedAndADragHoldsForIt() throws Exception {
        openWithTake();
        clickOn("#stage-dress");
        ListView<?> stretches = lookup("#stretches").queryListView();
        interact(() -> stretches.getSelectionModel().select(1));
        clickOn("#dress-tab-positions");
        ImageView picture = lookup("#finished-picture .image-view").queryAs(ImageView.class);
        until(() -> picture.getImage() != null);
        assertThat(picture.getImage().getWidth())
                .isGreaterThan(picture.getImage().getHeight());
        interact(
                () -> lookup("#dress-shape").queryComboBox().getSelectionModel().select(2));
        until(() -> picture.getImage().getHeight() > picture.getImage().getWidth());
        Layout upright = programme()
                .dressed(programme().cut(), Frame.portrait(programme().focus()))
                .layout();
        Box clock = upright.areas().get(1).boxes().get(Layout.Group.CLOCK);
        Node pane = lookup("#drag-pane").query();
        Bounds at = pane.localToScreen(pane.getBoundsInLocal());
        double scale = Math.min(at.getWidth() / 720, at.getHeight() / 1280);
        double left = at.getMinX() + (at.getWidth() - 720 * scale) / 2;
        drag(left + (clock.x() + 60) * scale, at.getMinY() + (clock.y() + 60) * scale)
                .moveTo(left + 150 * scale, at.getMinY() + 1100 * scale)
                .drop();
        until(() -> !programme().workout().dressing().places().isEmpty());
        DressNotes.Put put = programme().workout().dressing().places().get(0);
        assertThat(put)
                .isEqualTo(new DressNotes.Put(Layout.Group.CLOCK, "", Layout.Anchor.BOTTOM_LEFT, FrameShape.TALL));
        assertThat(programme().dressing().layout().areas().get(1).anchors().get(Layout.Group.CLOCK))
                .isNotEqualTo(Layout.Anchor.BOTTOM_LEFT);
        assertThat(lookup("#places .chip").queryAs(Button.class).getText())
                .isEqualTo("timer: bottom left, everywhere, upright pictures  ×");
        clickOn("#places .chip");
        until(() -> programme().workout().dressing().places().isEmpty());
    }

    @Test
    void theCoverGetsAnotherFrameAndOwnWordsAndBoth() throws Exception {
        openWithTake();
        clickOn("#stage-publish");
        clickOn("#publish-tab-cover");
        until(() -> lookup("#cover-offers .chip").queryAll().size() == 2);
        until(() -> lookup("#cover .image-view").queryAs(ImageView.class).getImage() != null);
        Image before = lookup("#cover .image-view").queryAs(ImageView.class).getImage();
        clickOn(lookup("#cover-offers .chip").nth(1).<Node>query());
        until(() -> programme().workout().dressing().cover().hasFrame());
        until(() -> lookup("#cover .image-view").queryAs(ImageView.class).getImage() != before);
        clickOn("#cover-title").write("Six Minutes").push(KeyCode.ENTER);
        until(() -> programme().workout().dressing().cover().title().equals("Six Minutes"));
        assertThat(lookup("#undo").queryAs(Button.class).getText()).isEqualTo("Undo: text position on the cover");
        interact(() ->
                lookup("#cover-corner").queryComboBox().getSelectionModel().select(2));
        until(() -> programme().workout().dressing().cover().corner() == Layout.Anchor.TOP_RIGHT);
        clickOn("#cover-again");
        until(() -> programme().workout().dressing().cover().equals(DressNotes.Cover.AUTOMATIC));
    }

    @Test
    void theDescriptionFollowsAnOwnTemplateThatIsKept() throws Exception {
        openWithTake();
        clickOn("#stage-publish");
        clickOn("#publish-tab-template");
        interact(() -> lookup("#template").queryAs(TextArea.class).setText("Hello from the shed\n\n{title}: {promis}"));
        until(() ->
                lookup("#description").queryAs(TextArea.class).getText().startsWith("Hello from the shed\n\nSmall"));
        assertThat(text("#template-wrong")).contains("{promis}");
        clickOn("#stage-proof");
        until(() -> DescriptionTemplate.current().startsWith("Hello from the shed"));
        clickOn("#stage-publish");
        clickOn("#template-usual");
        until(() -> lookup("#description").queryAs(TextArea.class).getText().contains("What we do"));
        assertThat(text("#template-wrong")).isEmpty();
    }

    @Test
    void aStyleOfOnesOwnIsMadeAndTellsWhatIsTooFaint() throws Exception {
        openWithTake();
        clickOn("#stage-dress");
        clickOn("#dress-tab-own-style");
        assertThat(text("#own-style-told")).startsWith("Every colour has a contrast");
        interact(() -> lookup("#own-style-size").queryAs(Slider.class).setValue(1.25));
        until(() -> programme().workout().dressing().style().scale() == 1.25);
        assertThat(programme().workout().dressing().style().name()).isEqualTo("My Pressed");
        interact(() -> {
            ColorPicker words = lookup("#own-style-ink").queryAs(ColorPicker.class);
            words.setValue(Color.rgb(220, 220, 210));
            words.fireEvent(new ActionEvent());
        });
        until(() -> text("#own-style-told").contains("words (1."));
        assertThat(programme().proof().open()).extracting(Finding::code).contains("dress.contrast");
        clickOn("#undo");
        until(() -> text("#own-style-told").startsWith("Every colour has a contrast"));
        clickOn("#dress-tab-style");
        assertThat(lookup("#style-my-pressed").tryQuery()).isPresent();
    }
}
