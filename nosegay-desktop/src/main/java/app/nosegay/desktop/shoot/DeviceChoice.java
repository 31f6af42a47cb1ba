package app.nosegay.desktop.shoot;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.media.Device;
import app.nosegay.media.MediaInfo;
import app.nosegay.media.MediaInput;
import app.nosegay.media.Recording;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Which camera and microphone a run is recorded with, and a short test of both with its level. */
final class DeviceChoice {
    /** How often the level is shown; a voice changes no faster. */
    private static final long LEVEL_MILLIS = 60;

    private static final String OWN = DesktopText.of("shoot.device-choice.my-camera-records-by-itself");
    private static final String SIMULATED = DesktopText.of("shoot.device-choice.the-simulated-camera");
    private static final String CAMERA_SOUND = DesktopText.of("shoot.device-choice.the-cameras-own-sound");
    private static final int TEST_SECONDS = 5;
    /** A voice that never gets over this is too quiet, one over the other is clipped; shares of full scale. */
    private static final double TOO_QUIET = 0.05;

    private static final double TOO_LOUD = 0.98;

    private final Session session;
    private final ComboBox<String> camera = new ComboBox<>();
    private final ComboBox<String> microphone = new ComboBox<>();
    private final ProgressBar level = new ProgressBar(0);
    private final Button test;
    private final Label told = new Label();
    private final VBox view;
    private final List<Device> cameras = new ArrayList<>();
    private final List<Device> microphones = new ArrayList<>();

    DeviceChoice(Session session) {
        this.session = session;
        camera.setId("shoot-camera");
        camera.setAccessibleText(DesktopText.of("shoot.device-choice.camera"));
        camera.setMaxWidth(Double.MAX_VALUE);
        camera.getItems().setAll(OWN, SIMULATED);
        camera.getSelectionModel().select(OWN);
        camera.setOnShowing(e -> find());
        camera.setOnAction(e -> refresh());
        microphone.setId("shoot-microphone");
        microphone.setAccessibleText(DesktopText.of("shoot.device-choice.microphone"));
        microphone.setMaxWidth(Double.MAX_VALUE);
        microphone.getItems().setAll(CAMERA_SOUND);
        microphone.getSelectionModel().select(0);
        microphone.setOnShowing(e -> find());
        test = Buttons.quiet(DesktopText.of("shoot.device-choice.test-for-s", TEST_SECONDS), this::test);
        test.setId("shoot-test");
        level.setMaxWidth(Double.MAX_VALUE);
        level.setAccessibleText(DesktopText.of("shoot.device-choice.loudness-of-the-test"));
        HBox.setHgrow(level, Priority.ALWAYS);
        told.setWrapText(true);
        told.setId("shoot-test-result");
        HBox trial = new HBox(8, test, level);
        trial.setAlignment(Pos.CENTER_LEFT);
        view = new VBox(6, camera, microphone, trial, told);
        offer(List.of(Device.testPicture(640, 360)), cameras, camera);
        refresh();
    }

    Region view() {
        return view;
    }

    boolean isSimulated() {
        return SIMULATED.equals(camera.getValue());
    }

    /** The connected camera; null when it records by itself. */
    Device camera() {
        return chosen(cameras, camera);
    }

    /** The microphone; null for the camera's own sound. */
    Device microphone() {
        return camera() == null ? null : chosen(microphones, microphone);
    }

    private static Device chosen(List<Device> devices, ComboBox<String> box) {
        return devices.stream()
                .filter(d -> d.label().equals(box.getValue()))
                .findFirst()
                .orElse(null);
    }

    /** Only a connected camera has a microphone to choose and something to test. */
    private void refresh() {
        boolean connected = camera() != null;
        for (Region part : new Region[] {microphone, test, level, told}) {
            part.setVisible(connected);
            part.setManaged(connected);
        }
    }

    /** Devices are looked for when a list is opened: asking them may take a moment, so not before. */
    private void find() {
        Thread look = new Thread(
                () -> {
                    List<Device> pictures = Device.cameras();
                    List<Device> sounds = Device.microphones();
                    Platform.runLater(() -> {
                        offer(pictures, cameras, camera);
                        offer(sounds, microphones, microphone);
                    });
                },
                "find-devices");
        look.setDaemon(true);
        look.start();
    }

    private static void offer(List<Device> found, List<Device> known, ComboBox<String> box) {
        for (Device d : found) {
            if (!box.getItems().contains(d.label())) {
                known.add(d);
                box.getItems().add(d.label());
            }
        }
    }

    /** Records a few seconds into a file that is looked at and thrown away. */
    private void test() {
        Device picture = camera();
        Device sound = microphone();
        told.setText(DesktopText.of("shoot.device-choice.say-something-as-loud-as"));
        session.jobs()
                .run(
                        DesktopText.of("shoot.device-choice.testing-the-recording"),
                        progress -> {
                            Path folder = Files.createTempDirectory("nosegay-test");
                            Path file = folder.resolve("test.mp4");
                            try (Recording recording = new Recording(picture, sound, file)) {
                                double loudest = 0;
                                long began = System.nanoTime();
                                double done = 0;
                                while (done < 1) {
                                    Thread.sleep(LEVEL_MILLIS);
                                    done = (System.nanoTime() - began) / 1e9 / TEST_SECONDS;
                                    double now = recording.level();
                                    loudest = Math.max(loudest, now);
                                    Platform.runLater(() -> level.setProgress(Math.min(1, now)));
                                    progress.at(Math.min(1, done));
                                }
                                recording.stop();
                                return result(MediaInput.probe(file), loudest);
                            } finally {
                                Files.deleteIfExists(file);
                                Files.deleteIfExists(folder);
                            }
                        },
                        told::setText);
    }

    private static String result(MediaInfo info, double loudest) {
        String picture = info.video() == null
                ? DesktopText.of("shoot.device-choice.no-picture")
                : info.video().width() + " × " + info.video().height();
        String sound = info.audio() == null
                ? DesktopText.of("shoot.device-choice.no-sound")
                : loudest < TOO_QUIET
                        ? DesktopText.of("shoot.device-choice.the-sound-is-very-quiet")
                        : loudest > TOO_LOUD
                                ? DesktopText.of("shoot.device-choice.the-sound-is-clipped-turn")
                                : DesktopText.of("shoot.device-choice.the-sound-is-good");
        return DesktopText.of("shoot.device-choice.recorded-s-s-loudest-0f", picture, sound, loudest * 100);
    }
}
