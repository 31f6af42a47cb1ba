package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.Pictures;
import java.awt.image.BufferedImage;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.image.Image;

/** Hands the window pictures that are played on another thread; of several that wait for it only the newest is shown. */
final class NewestFrame {
    private final AtomicReference<BufferedImage> waiting = new AtomicReference<>();

    /** Has {@code shown} given the picture, or a newer one, on the interface thread. */
    void offer(BufferedImage picture, Consumer<Image> shown) {
        if (waiting.getAndSet(picture) == null) {
            Platform.runLater(() -> {
                BufferedImage newest = waiting.getAndSet(null);
                if (newest != null) {
                    shown.accept(Pictures.toFx(newest));
                }
            });
        }
    }

    /** What waits is not shown any more. */
    void forget() {
        waiting.set(null);
    }
}
