package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.jobs.SettingsNote;
import java.awt.image.BufferedImage;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.image.ImageView;
import org.junit.jupiter.api.Test;

/** People are looked for in the background, and what was understood of them can be seen over the picture. */
class PeopleWindowTest extends DrivenWindow {
    @Override
    boolean looksForPeople() {
        return true;
    }

    /** Chooses an item of the menu as a click does. */
    private void choose(int index, boolean yes) {
        MenuButton people = lookup("#people").query();
        CheckMenuItem item = (CheckMenuItem) people.getItems().get(index);
        interact(() -> {
            item.setSelected(yes);
            item.fire();
        });
    }

    private BufferedImage picture() {
        ImageView shown = lookup(".picture .image-view").query();
        return shown.getImage() == null ? null : SwingFXUtils.fromFXImage(shown.getImage(), null);
    }

    private static int different(BufferedImage a, BufferedImage b) {
        int n = 0;
        for (int y = 0; y < a.getHeight(); y++) {
            for (int x = 0; x < a.getWidth(); x++) {
                n += a.getRGB(x, y) == b.getRGB(x, y) ? 0 : 1;
            }
        }
        return n;
    }

    @Test
    void whoIsSeenJoinsTheProgrammeAndIsDrawnOverThePicture() throws Exception {
        openWithTake();
        until(() -> !programme().evidence().get(0).bodies().isEmpty());
        assertThat(text("#looking")).isEmpty();
        clickOn("#stage-match");
        assertThat(text("#match-summary")).contains("people");
        ListView<?> score = lookup("#score").query();
        until(() -> score.getItems().size() > 3);
        interact(() -> score.getSelectionModel().select(1));
        until(() -> picture() != null);
        BufferedImage bare = picture();
        choose(0, true);
        until(() -> different(bare, picture()) > 200);
        choose(0, false);
        until(() -> different(bare, picture()) == 0);
    }

    @Test
    void lookingCanBeStoppedAndSwitchedOffForGood() throws Exception {
        openWithTake();
        clickOn("#stage-match");
        until(() -> !text("#looking").isEmpty()
                || !programme().evidence().get(0).bodies().isEmpty());
        choose(1, false);
        assertThat(text("#looking")).isEmpty();
        assertThat(SettingsNote.SIGHT_OFF.isSet()).isTrue();
        choose(1, true);
        assertThat(SettingsNote.SIGHT_OFF.isSet()).isFalse();
        until(() -> !programme().evidence().get(0).bodies().isEmpty());
    }
}
