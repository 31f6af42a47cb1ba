package app.nosegay.desktop.dress;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.dress.DressNotes;
import app.nosegay.jobs.Media;
import java.io.File;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** What is done to the sound of the finished video. */
final class SoundPage {
    private final Session session;
    private final CheckBox levelled = new CheckBox(DesktopText.of("dress.sound-page.bring-the-voice-to-the"));
    private final CheckBox timerSounds = new CheckBox(DesktopText.of("dress.sound-page.mix-timer-tones-in-where"));
    private final CheckBox noises = new CheckBox(DesktopText.of("dress.sound-page.turn-steps-and-handling-down"));
    private final CheckBox onBeat = new CheckBox(DesktopText.of("dress.sound-page.a-beat-on-the-first"));
    private final Label music = new Label();
    private final Button remove = Buttons.quiet(DesktopText.of("dress.sound-page.leave-it-out"), () -> music(""));
    private final TextField licence = new TextField();
    private final Slider under = new Slider(-30, -8, -18);
    private final Label underWords = new Label();
    private final VBox view;
    private boolean showing;

    SoundPage(Session session) {
        this.session = session;
        levelled.setId("levelled");
        levelled.setOnAction(e -> apply(DesktopText.of("dress.sound-page.level-the-sound")));
        timerSounds.setId("timer-sounds");
        timerSounds.setOnAction(e -> apply(DesktopText.of("dress.sound-page.timer-tones")));
        noises.setId("fade-noises");
        noises.setOnAction(e -> apply(DesktopText.of("dress.sound-page.fade-noises")));
        onBeat.setId("on-beat");
        onBeat.setMinWidth(Region.USE_PREF_SIZE);
        onBeat.setOnAction(e -> apply(DesktopText.of("dress.sound-page.beat-of-the-music")));
        Button choose = Buttons.quiet(DesktopText.of("dress.sound-page.choose-music"), this::choose);
        licence.setPromptText(DesktopText.of("dress.sound-page.where-the-right-to-use"));
        licence.setId("licence");
        HBox.setHgrow(licence, Priority.ALWAYS);
        licence.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                apply(DesktopText.of("dress.sound-page.music-licence"));
            }
        });
        licence.setOnAction(e -> apply(DesktopText.of("dress.sound-page.music-licence")));
        under.setMinWidth(150);
        under.valueProperty().addListener((o, was, is) -> tell());
        under.valueChangingProperty().addListener((o, was, is) -> {
            if (!is) {
                apply(DesktopText.of("dress.sound-page.loudness-of-the-music"));
            }
        });
        HBox song = new HBox(8, choose, music, remove, under, underWords);
        song.setAlignment(Pos.CENTER_LEFT);
        view = new VBox(8, levelled, new HBox(24, timerSounds, noises), song, new HBox(12, licence, onBeat));
    }

    Region view() {
        return view;
    }

    void show(DressNotes notes) {
        showing = true;
        DressNotes.Sound sound = notes.sound();
        levelled.setSelected(sound.levelled());
        timerSounds.setSelected(sound.timerSounds());
        noises.setSelected(sound.fadesNoises());
        onBeat.setSelected(sound.onBeat());
        boolean any = sound.hasMusic();
        music.setText(any ? new File(sound.music()).getName() : DesktopText.of("dress.sound-page.no-music"));
        for (Region r : new Region[] {remove, licence, under, underWords, onBeat}) {
            r.setVisible(any);
            r.setManaged(any);
        }
        if (!licence.isFocused()) {
            licence.setText(sound.licence());
        }
        under.setValue(sound.musicDb());
        tell();
        showing = false;
    }

    private void tell() {
        underWords.setText(DesktopText.of("dress.sound-page.db-under-the-voice", -under.getValue()));
    }

    private void apply(String name) {
        DressNotes.Sound now = session.workout().dressing().sound();
        DressNotes.Sound next = new DressNotes.Sound(
                levelled.isSelected(),
                timerSounds.isSelected(),
                now.music(),
                licence.getText().strip(),
                Math.rint(under.getValue()),
                onBeat.isSelected(),
                noises.isSelected());
        if (!showing && !next.equals(now)) {
            session.apply(
                    name,
                    session.workout().withDressing(session.workout().dressing().withSound(next)));
        }
    }

    private void music(String file) {
        DressNotes.Sound s = session.workout().dressing().sound();
        session.apply(
                file.isEmpty()
                        ? DesktopText.of("dress.sound-page.leave-the-music-out")
                        : DesktopText.of("dress.sound-page.music"),
                session.workout().withDressing(session.workout().dressing().withSound(s.withMusic(file))));
    }

    private void choose() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(DesktopText.of("dress.sound-page.choose-music-you-may-use"));
        File chosen = chooser.showOpenDialog(view.getScene().getWindow());
        if (chosen != null) {
            music(Media.stored(session.folder(), chosen.toPath()));
        }
    }
}
