package app.nosegay.desktop;

import javafx.application.Application;

/** The window's entry, called by name from the command line. */
public final class Desktop {
    private Desktop() {}

    /**
     * Opens the window and returns when it is closed.
     *
     * @param mode open, demo or screenshots
     * @param file a workout file to open, the demo's folder, or the folder for the pictures; empty for none
     */
    public static void open(String mode, String file) {
        Application.launch(NosegayApp.class, mode, file);
    }
}
