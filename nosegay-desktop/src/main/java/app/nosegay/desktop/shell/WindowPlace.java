package app.nosegay.desktop.shell;

import app.nosegay.jobs.FailureLog;
import app.nosegay.jobs.WindowSettings;
import java.io.IOException;
import javafx.stage.Screen;
import javafx.stage.Stage;

/** Opens the window where it was closed, as long as there is a screen there, and keeps where it is. */
public final class WindowPlace {
    private WindowPlace() {}

    /** Puts the window back; gives what keeps its place when it closes. */
    public static AutoCloseable restored(Stage stage) {
        try {
            WindowSettings kept = WindowSettings.read();
            boolean seen = kept.width() > 0
                    && !Screen.getScreensForRectangle(kept.x(), kept.y(), kept.width(), kept.height())
                            .isEmpty();
            if (seen) {
                stage.setX(kept.x());
                stage.setY(kept.y());
                stage.setWidth(Math.max(stage.getMinWidth(), kept.width()));
                stage.setHeight(Math.max(stage.getMinHeight(), kept.height()));
                stage.setMaximized(kept.maximised());
            }
        } catch (IOException e) {
            FailureLog.note("window-place", e);
        }
        return () -> WindowSettings.change(s -> stage.isMaximized()
                ? s.withPlace(s.x(), s.y(), s.width(), s.height(), true)
                : s.withPlace(stage.getX(), stage.getY(), stage.getWidth(), stage.getHeight(), false));
    }
}
