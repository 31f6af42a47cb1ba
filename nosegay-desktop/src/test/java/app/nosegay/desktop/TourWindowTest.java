package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.desktop.shell.Tour;
import app.nosegay.jobs.SettingsNote;
import org.junit.jupiter.api.Test;

/** The tour stands beside real controls, waits for them, and is seen once. */
class TourWindowTest extends DrivenWindow {
    @Override
    String face() {
        return "bed";
    }

    @Test
    void fiveHintsOnceAndNoMore() throws Exception {
        clickOn("#new");
        until(() -> lookup("#start-by_the_clock").tryQuery().isPresent());
        interact(() -> new Tour(shell.root().getScene()).beginOnce());
        until(() -> lookup("#tour-next").tryQuery().isPresent());
        clickOn("#tour-next");
        until(() -> lookup("#tour-next").tryQuery().isEmpty());
        assertThat(SettingsNote.TOUR_SEEN.isSet()).isFalse();
        // The second hint waits for a plan.
        clickOn("#start-by_the_clock");
        for (int hint = 2; hint <= 5; hint++) {
            String said = "Hint " + hint + " of 5";
            until(() -> lookup(said).tryQuery().isPresent());
            clickOn("#tour-next");
        }
        until(SettingsNote.TOUR_SEEN::isSet);
        until(() -> lookup("#tour-next").tryQuery().isEmpty());
    }

    @Test
    void oneClickSkipsIt() throws Exception {
        clickOn("#new");
        interact(() -> new Tour(shell.root().getScene()).beginOnce());
        until(() -> lookup("#tour-skip").tryQuery().isPresent());
        clickOn("#tour-skip");
        until(SettingsNote.TOUR_SEEN::isSet);
    }
}
