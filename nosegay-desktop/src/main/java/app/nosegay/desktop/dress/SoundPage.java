package app.nosegay.desktop.dress;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.session.Session;
import app.nosegay.dress.DressNotes;
import app.nosegay.jobs.Media;
import java.io.File;
import java.util.Locale;
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
    private final CheckBox levelled =
            new CheckBox("Bring the voice to the target loudness (−14 LUFS, peaks under −1 dBTP)");
    private final CheckBox timerSounds = new CheckBox("Mix timer tones in where the room had none");
    private final CheckBox noises = new CheckBox("Turn steps and handling down where nobody speaks");
    private final CheckBox onBeat = new CheckBox("A beat on the first move");
    private final Label music = new Label();
    private final Button remove = Buttons.quiet("Leave it out", () -> music(""));
    private final TextField licence = new TextField();
    private final Slider under = new Slider(-30, -8, -18);
    private final Label underWords = new Label();
    private final VBox view;
    private boolean showing;

    SoundPage(Session session) {
        this.session = session;
        levelled.setId("levelled");
        levelled.setOnAction(e -> apply("level the sound"));
        timerSounds.setId("timer-sounds");
        timerSounds.setOnAction(e -> apply("timer tones"));
        noises.setId("fade-noises");
        noises.setOnAction(e -> apply("fade noises"));
        onBeat.setId("on-beat");
        onBeat.setMinWidth(Region.USE_PREF_SIZE);
        onBeat.setOnAction(e -> apply("beat of the music"));
        Button choose = Buttons.quiet("Choose music …", this::choose);
        licence.setPromptText("Where the right to use it is noted; it goes into the description");
        licence.setId("licence");
        HBox.setHgrow(licence, Priority.ALWAYS);
        licence.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                apply("music licence");
            }
        });
        licence.setOnAction(e -> apply("music licence"));
        under.setMinWidth(150);
        under.valueProperty().addListener((o, was, is) -> tell());
        under.valueChangingProperty().addListener((o, was, is) -> {
            if (!is) {
                apply("loudness of the music");
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
        music.setText(any ? new File(sound.music()).getName() : "No music.");
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
        underWords.setText(String.format(Locale.ROOT, "%.0f dB under the voice", -under.getValue()));
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
                file.isEmpty() ? "leave the music out" : "music",
                session.workout().withDressing(session.workout().dressing().withSound(s.withMusic(file))));
    }

    private void choose() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Choose music you may use");
        File chosen = chooser.showOpenDialog(view.getScene().getWindow());
        if (chosen != null) {
            music(Media.stored(session.folder(), chosen.toPath()));
        }
    }
}
