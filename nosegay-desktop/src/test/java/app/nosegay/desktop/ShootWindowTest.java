package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.desktop.shoot.ShootStage;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.CheckBox;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import org.junit.jupiter.api.Test;

/** What is done before the camera runs, in the real window. */
class ShootWindowTest extends DrivenWindow {
    /** What a test clip shows is told beside its picture, and what was not tried is asked for; what is ready stays ticked. */
    @Test
    void aTestClipIsLookedAtBeforeFilming() throws Exception {
        openWithTake();
        clickOn("#stage-shoot");
        waitFor("#try-frame");
        CheckBox first = lookup("#set-up-list .check-box").queryAs(CheckBox.class);
        clickOn(first);
        Path clip = SmallTake.part(10, 26);
        interact(() -> ((ShootStage) shell.stage("shoot")).tryFrame(clip));
        until(() -> lookup("#test-frame").tryQuery().isPresent());
        assertThat(text("#test-frame")).isEqualTo("So far it fits");
        ImageView shown = lookup("#test-picture").queryAs(ImageView.class);
        Image fits = shown.getImage();
        assertThat(fits.getWidth() / fits.getHeight()).isBetween(1.4, 16 / 9.0);
        clickOn("Not seen in this clip: Standing, arms straight up");
        until(() -> shown.getImage() != fits);
        clickOn("#test-frame-back");
        waitFor("#try-frame");
        assertThat(lookup("#set-up-list .check-box").queryAs(CheckBox.class).isSelected())
                .isTrue();
        Path words = Files.writeString(folder.resolve("talk.mp4"), "only words");
        interact(() -> ((ShootStage) shell.stage("shoot")).tryFrame(words));
        until(() -> shell.session().jobs().message().get().startsWith("talk.mp4: this is not a video"));
    }
}
