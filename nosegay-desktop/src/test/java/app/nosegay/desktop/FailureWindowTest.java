package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.jobs.FailureLog;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.scene.control.Button;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Failures nobody planned for, thrown into each kind of thread: what the window says and what the log holds. */
class FailureWindowTest extends DrivenWindow {
    @BeforeEach
    void log() {
        FailureLog.install();
    }

    private String logged() throws Exception {
        StringBuilder all = new StringBuilder();
        try (Stream<Path> files = Files.list(FailureLog.folder())) {
            for (Path file : files.filter(f -> f.toString().endsWith(".log")).toList()) {
                all.append(Files.readString(file));
            }
        }
        return all.toString();
    }

    private List<String> offers() {
        return lookup(".notice .button").queryAllAs(Button.class).stream()
                .map(Button::getText)
                .toList();
    }

    @Test
    void aJobThatFailsSaysSoAndLetsTheNextOneRun() throws Exception {
        interact(() -> shell.session()
                .jobs()
                .run(
                        "Reading the recordings",
                        progress -> {
                            throw new UnsatisfiedLinkError("no decoder in libraries");
                        },
                        done -> {}));
        until(() -> text("#message").startsWith("Reading the recordings stopped"));
        assertThat(text("#notice")).contains("no decoder in libraries", "the log says more");
        assertThat(offers()).containsExactly("Open log folder", "Dismiss");
        assertThat(logged()).contains("UnsatisfiedLinkError", "FailureWindowTest");
        interact(() -> shell.session()
                .jobs()
                .run("Next", progress -> "well", shell.session().jobs()::tell));
        until(() -> text("#message").equals("well"));
        clickOn("Dismiss");
        until(() -> shell.session().notices().shown().get() == null);
    }

    @Test
    void aFailureInTheWindowItselfIsShownAndTheWindowGoesOn() throws Exception {
        Platform.runLater(() -> {
            throw new IllegalStateException("a list without its lines");
        });
        until(() -> shell.session().notices().shown().get() != null);
        assertThat(text("#notice")).contains("a list without its lines");
        clickOn("#stage-script");
        until(() -> lookup("#stage-script").query().isVisible());
        assertThat(logged()).contains("IllegalStateException");
    }

    @Test
    void whatCannotBeComputedIsMarkedAsOldUntilItCanBeAgain() throws Exception {
        interact(() -> shell.session().type(SHEET, 0));
        until(() -> programme() != null
                && programme().timeline().sheet().header().title().equals("Small"));
        interact(() -> shell.session()
                .apply("something broken", shell.session().workout().withDressing(null)));
        until(() -> shell.session().outdated().get());
        assertThat(text("#file-state")).isEqualTo("shown as it was before your last change");
        assertThat(programme().timeline().sheet().header().title()).isEqualTo("Small");
        assertThat(logged()).contains("NullPointerException");
        interact(() -> shell.session().undo());
        until(() -> !shell.session().outdated().get());
        // Word that the broken state could not be kept may come after it is gone; the next attempt keeps what is there
        // now.
        until(() -> text("#file-state").equals("not saved yet"));
    }
}
