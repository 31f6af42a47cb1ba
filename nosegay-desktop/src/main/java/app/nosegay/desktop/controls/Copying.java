package app.nosegay.desktop.controls;

import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.image.Image;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;

/** Ctrl+C: what is shown goes to other programs by the clipboard, as a picture or as words. */
public final class Copying {
    private static final KeyCombination COPY = new KeyCodeCombination(KeyCode.C, KeyCombination.SHORTCUT_DOWN);

    private Copying() {}

    /**
     * Copies the picture that is shown while something in {@code scope} has the keyboard and does not copy by itself.
     *
     * @param copied told that it was, in words
     */
    public static void picture(Node scope, Supplier<Image> shown, Consumer<String> copied) {
        onCopy(scope, () -> {
            Image image = shown.get();
            if (image != null) {
                ClipboardContent content = new ClipboardContent();
                content.putImage(image);
                Clipboard.getSystemClipboard().setContent(content);
                copied.accept(DesktopText.of("controls.copying.picture", image.getWidth(), image.getHeight()));
            }
        });
    }

    /**
     * Copies words while {@code scope} has the keyboard; nothing where there are none.
     *
     * @param copied told that they were, in words
     */
    public static void words(Node scope, Supplier<String> words, Consumer<String> copied) {
        onCopy(scope, () -> {
            String text = words.get();
            if (text != null && !text.isBlank()) {
                ClipboardContent content = new ClipboardContent();
                content.putString(text);
                Clipboard.getSystemClipboard().setContent(content);
                copied.accept(DesktopText.of(
                        "controls.copying.lines", text.strip().lines().count()));
            }
        });
    }

    private static void onCopy(Node scope, Runnable copy) {
        scope.addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (COPY.match(e)) {
                copy.run();
                e.consume();
            }
        });
    }
}
