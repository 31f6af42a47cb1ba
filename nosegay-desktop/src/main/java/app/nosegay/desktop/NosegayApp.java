package app.nosegay.desktop;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.session.Leftovers;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.shell.Photographer;
import app.nosegay.desktop.shell.Shell;
import app.nosegay.desktop.shell.Tour;
import app.nosegay.desktop.shell.WindowPlace;
import app.nosegay.jobs.Demo;
import app.nosegay.jobs.FailureLog;
import app.nosegay.jobs.RunMarker;
import app.nosegay.paint.Typefaces;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.scene.Scene;
import javafx.scene.text.Font;
import javafx.stage.Stage;

/** The JavaFX application. */
public final class NosegayApp extends Application {
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;

    @Override
    public void start(Stage stage) throws Exception {
        List<String> given = getParameters().getRaw();
        String mode = given.isEmpty() ? "open" : given.get(0);
        String file = given.size() < 2 ? "" : given.get(1);
        Shell shell = show(stage);
        if (Boolean.getBoolean("nosegay.exit-when-shown")) {
            // For the start-up figure: the first pulse after showing is the first usable window.
            Platform.runLater(Platform::exit);
            return;
        }
        switch (mode) {
            case "demo" -> openDemo(shell, Path.of(file));
            case "screenshots" -> {
                String kept = System.getProperty("nosegay.demo");
                // The folder's name is to be read in the pictures.
                Path folder = kept == null
                        ? Files.createDirectory(
                                Files.createTempDirectory("nosegay-pictures").resolve("workouts"))
                        : Path.of(kept);
                Files.createDirectories(Path.of(file));
                new Photographer(shell, folder, Path.of(file)).start();
            }
            default -> {
                RunMarker marker = RunMarker.open();
                shell.session().atClose(marker);
                shell.session().atClose(WindowPlace.restored(stage));
                new Leftovers(shell.session()).offer();
                new Tour(stage.getScene()).beginOnce();
                if (!file.isEmpty()) {
                    shell.session().open(Path.of(file));
                }
            }
        }
    }

    /** The window's style sheets, by the light there is. */
    public static List<String> styles() {
        return List.of(
                Lamplight.styles(NosegayApp.class, "nosegay.css"),
                NosegayApp.class.getResource("dark-room.css").toExternalForm());
    }

    /** Builds and shows the window; used by the tests as well. */
    public static Shell show(Stage stage) {
        for (String font : Typefaces.FILES) {
            Optional<Path> file = Typefaces.file(font);
            if (file.isPresent()) {
                Font.loadFont(file.get().toUri().toString(), 14);
            } else {
                Font.loadFont(NosegayApp.class.getResourceAsStream(font), 14);
            }
        }
        Session session = new Session();
        session.atClose(FailureLog.shownBy(
                sentence -> Platform.runLater(() -> session.notices().failure(sentence))));
        Shell shell = new Shell(stage, session);
        Scene scene = new Scene(shell.zoomed(), WIDTH, HEIGHT);
        scene.getStylesheets().setAll(styles());
        ChangeListener<Boolean> lit = (o, was, is) -> scene.getStylesheets().setAll(styles());
        Lamplight.on().addListener(lit);
        session.atClose(() -> Lamplight.on().removeListener(lit));
        shell.installKeys(scene);
        stage.setTitle(DesktopText.of("nosegay-app.nosegay"));
        stage.setMinWidth(1100);
        stage.setMinHeight(680);
        stage.setScene(scene);
        stage.setOnCloseRequest(e -> {
            shell.close();
            Platform.exit();
        });
        stage.show();
        return shell;
    }

    private static void openDemo(Shell shell, Path folder) {
        shell.session()
                .jobs()
                .run(
                        DesktopText.of("nosegay-app.opening-the-demo"),
                        progress -> Demo.place(folder),
                        shell.session()::open);
    }
}
