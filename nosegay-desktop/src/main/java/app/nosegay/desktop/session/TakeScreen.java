package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Pictures;
import app.nosegay.media.Playback;
import app.nosegay.media.Scrubber;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/** Shows a take: plays from a moment on, or stands at one frame. */
public final class TakeScreen {
    private final int width;
    private final int height;
    private final ImageView picture = new ImageView();
    private final StackPane pane = new StackPane(picture);
    private final Scrubber frames;
    private final NewestFrame newest = new NewestFrame();
    private final Consumer<String> failed;
    private volatile Overlay overlay = (picture, file, time) -> {};
    private Path shown;
    private Time<Axis.Take> shownAt;
    private Playback playing;
    private double speed = 1;

    /** Draws over a picture of a take before it is shown; on the thread the picture comes on. */
    public interface Overlay {
        void draw(BufferedImage picture, Path file, Time<Axis.Take> time);
    }

    /**
     * @param failed hears why something could not be shown
     * @param proxies where the small copy of a take is
     * @param width of the picture, in pixels
     */
    public TakeScreen(Consumer<String> failed, UnaryOperator<Path> proxies, int width, int height) {
        this.failed = failed;
        this.frames = new Scrubber("take-frames", proxies, why -> Platform.runLater(() -> failed.accept(why)));
        this.width = width;
        this.height = height;
        pane.getStyleClass().add("picture");
        pane.setMinSize(width, height);
        pane.setMaxSize(width, height);
        pane.setAccessibleText(DesktopText.of("session.take-screen.the-take"));
    }

    public Region view() {
        return pane;
    }

    /** Has something drawn over the pictures from now on; the one that stands is shown again. */
    public void drawOver(Overlay drawn) {
        overlay = drawn;
        if (playing == null && shown != null) {
            stand(shown, shownAt);
        }
    }

    /** A moment of a take that is on the screen. */
    public record Shown(Path file, Time<Axis.Take> time) {}

    /** What is on the screen; empty before anything is. */
    public Optional<Shown> shown() {
        return Optional.ofNullable(shown).map(file -> new Shown(file, shownAt));
    }

    /** Told a click on the picture: its place in heights of the picture from the upper left corner, and the click itself. */
    public interface Clicked {
        void at(double x, double y, MouseEvent click);
    }

    public void onClicked(Clicked clicked) {
        picture.setOnMouseClicked(e -> {
            double pixels = picture.getLayoutBounds().getHeight();
            clicked.at(e.getX() / pixels, e.getY() / pixels, e);
        });
    }

    public Image image() {
        return picture.getImage();
    }

    /** How fast takes are played from now on: 1 as they were filmed. */
    public void speed(double times) {
        speed = times;
    }

    public boolean isPlaying() {
        return playing != null;
    }

    /** Plays {@code file} from a moment on; {@code moved} hears the time, {@code ended} when it is over. */
    public void play(Path file, Time<Axis.Take> from, Consumer<Time<Axis.Take>> moved, Runnable ended) {
        stop();
        Time<Axis.Take> end = from.plus(Length.ofSeconds(36_000));
        Playback[] mine = new Playback[1];
        mine[0] = new Playback(file, new Span<>(from, end), speed, width, height, new Playback.Screen() {
            @Override
            public void show(BufferedImage image, Time<Axis.Take> time) {
                overlay.draw(image, file, time);
                newest.offer(image, latest -> {
                    if (playing == mine[0]) {
                        picture.setImage(latest);
                        shown = file;
                        shownAt = time;
                        moved.accept(time);
                    }
                });
            }

            @Override
            public void ended(String message) {
                Platform.runLater(() -> {
                    if (playing == mine[0]) {
                        playing = null;
                        ended.run();
                    }
                    if (message != null) {
                        failed.accept(message);
                    }
                });
            }
        });
        playing = mine[0];
    }

    public void stop() {
        if (playing != null) {
            playing.close();
            playing = null;
        }
        newest.forget();
    }

    /** Lets go of the file; nothing is shown any more. */
    public void close() {
        stop();
        frames.close();
    }

    /** Shows the frame at {@code time}. */
    public void stand(Path file, Time<Axis.Take> time) {
        stop();
        shown = file;
        shownAt = time;
        frames.show(file, time, width, height, image -> {
            overlay.draw(image, file, time);
            Platform.runLater(() -> {
                if (playing == null) {
                    picture.setImage(Pictures.toFx(image));
                }
            });
        });
    }
}
