package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.jobs.SettingsNote;
import java.awt.image.BufferedImage;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ListView;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
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

    /** Has joints drawn over a line's picture; what it was without them. */
    private BufferedImage drawn() throws Exception {
        clickOn("#stage-match");
        ListView<?> score = lookup("#score").query();
        until(() -> score.getItems().size() > 3);
        interact(() -> score.getSelectionModel().select(1));
        until(() -> picture() != null);
        BufferedImage bare = picture();
        choose(0, true);
        until(() -> different(bare, picture()) > 200);
        return bare;
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
        BufferedImage bare = drawn();
        assertThat(text("#match-summary")).contains("people");
        choose(0, false);
        until(() -> different(bare, picture()) == 0);
    }

    @Test
    void whoIsNoPersonIsLeftOutAndComesBack() throws Exception {
        openWithTake();
        until(() -> !programme().evidence().get(0).bodies().isEmpty());
        int all = programme().evidence().get(0).bodies().people().size();
        BufferedImage bare = drawn();

        MenuButton people = lookup("#people").query();
        interact(people::show);
        Menu nobody = (Menu) people.getItems().get(1);
        assertThat(nobody.getItems()).isNotEmpty();
        interact(() -> {
            nobody.getItems().get(0).fire();
            people.hide();
        });
        until(() -> programme().evidence().get(0).bodies().people().size() == all - 1);
        assertThat(programme().workout().matching().nobody()).hasSize(1);
        until(() -> different(bare, picture()) == 0);

        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> programme().evidence().get(0).bodies().people().size() == all);
        until(() -> different(bare, picture()) > 200);
        ImageView shown = lookup(".picture .image-view").query();
        clickOn(shown, MouseButton.PRIMARY);
        until(() -> lookup("This is not a person").tryQuery().isPresent());
        clickOn("This is not a person");
        until(() -> programme().evidence().get(0).bodies().people().size() == all - 1);

        interact(() -> {
            people.show();
            people.getItems().get(2).fire();
            people.hide();
        });
        until(() -> programme().evidence().get(0).bodies().people().size() == all);
    }

    @Test
    void lookingCanBeStoppedAndSwitchedOffForGood() throws Exception {
        openWithTake();
        clickOn("#stage-match");
        until(() -> !text("#looking").isEmpty()
                || !programme().evidence().get(0).bodies().isEmpty());
        choose(3, false);
        assertThat(text("#looking")).isEmpty();
        assertThat(SettingsNote.SIGHT_OFF.isSet()).isTrue();
        choose(3, true);
        assertThat(SettingsNote.SIGHT_OFF.isSet()).isFalse();
        until(() -> !programme().evidence().get(0).bodies().isEmpty());
    }
}
