package app.nosegay.desktop.publish;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.Output;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** An output: its name, whether its file is there, and why it is not. */
final class OutputRow {
    private final Output output;
    private final Labeled name;
    private final Label state = new Label();
    private final Button again;
    private final HBox view;
    private String failure;

    /**
     * @param always whether it is written without being ticked
     * @param retry writes it alone
     */
    OutputRow(Output output, boolean always, Consumer<Output> retry) {
        this.output = output;
        name = always ? new Label(output.label()) : ticked(output);
        name.setMinWidth(0);
        state.getStyleClass().add("small");
        state.setMinWidth(Region.USE_PREF_SIZE);
        again = Buttons.quiet(DesktopText.of("publish.outputs-panel.again"), () -> retry.accept(output));
        again.setId("again-" + output.word());
        again.setMinWidth(Region.USE_PREF_SIZE);
        again.managedProperty().bind(again.visibleProperty());
        again.setVisible(false);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        view = new HBox(6, name, space, state, again);
        view.setPadding(new Insets(0, 10, 0, 0));
        view.setAlignment(Pos.CENTER_LEFT);
    }

    private static CheckBox ticked(Output output) {
        CheckBox box = new CheckBox(output.label());
        box.setId("output-" + output.word());
        box.setSelected(!output.isRendered());
        return box;
    }

    Region view() {
        return view;
    }

    boolean isTicked() {
        return name instanceof CheckBox box && box.isSelected();
    }

    boolean isPossible() {
        return !name.isDisabled();
    }

    void possible(boolean possible) {
        name.setDisable(!possible);
    }

    /** @param why it failed, null where it did not */
    void failed(String why) {
        failure = why;
    }

    void begun() {
        state.setText(DesktopText.of("publish.outputs-panel.being-made"));
    }

    /** Looks again whether its file is there, and whether it is older than the workout. */
    void refresh(Path folder, FileTime changed) {
        again.setVisible(failure != null);
        state.setTooltip(failure == null ? null : new Tooltip(failure));
        state.setText(
                !isPossible()
                        ? why(output)
                        : failure != null
                                ? DesktopText.of("publish.outputs-panel.failed")
                                : state(output.in(folder), changed));
    }

    /** Why an output cannot be made. */
    private static String why(Output output) {
        return switch (output) {
            case CAPTIONS_PLAIN -> DesktopText.of("publish.outputs-panel.nothing-corrected");
            case EPISODE -> DesktopText.of("publish.outputs-panel.no-sound");
            default -> DesktopText.of("publish.outputs-panel.no-transcript");
        };
    }

    /** Whether a file is there, how large it is, and whether the workout was changed since. */
    private static String state(Path file, FileTime changed) {
        if (!Files.exists(file)) {
            return DesktopText.of("publish.outputs-panel.not-yet");
        }
        try {
            long size = size(file);
            String mark = Files.getLastModifiedTime(file).compareTo(changed) < 0
                    ? DesktopText.of("publish.outputs-panel.older")
                    : "✓ ";
            return mark
                    + (size > 1 << 20
                            ? DesktopText.of("publish.outputs-panel.mb", size / (1 << 20))
                            : DesktopText.of("publish.outputs-panel.kb", Math.max(1, size / 1024)));
        } catch (IOException e) {
            return DesktopText.of("publish.outputs-panel.cannot-be-looked-at");
        }
    }

    private static long size(Path file) throws IOException {
        if (Files.isRegularFile(file)) {
            return Files.size(file);
        }
        long sum = 0;
        try (Stream<Path> files = Files.walk(file)) {
            for (Path f : files.filter(Files::isRegularFile).toList()) {
                sum += Files.size(f);
            }
        }
        return sum;
    }
}
