package app.nosegay.desktop.script;

import app.nosegay.calibration.SpeechCalibration;
import app.nosegay.calibration.StyleCalibration;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.script.ScriptNotes;
import app.nosegay.script.ScriptNotes.Source;
import app.nosegay.script.SpeechStyle;
import app.nosegay.time.SpeechRate;
import app.nosegay.workout.Programme;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** How fast the creator speaks and in which phrases, what is never said, and where claims come from. */
final class VoicePanel {
    private final Session session;
    private final TextField atRest = rate("rate-rest");
    private final TextField working = rate("rate-working");
    private final TextArea avoid = area("avoid", 3);
    private final TextArea sources = area("sources", 4);
    private final TextField start = words("style-start");
    private final TextField rest = words("style-rest");
    private final CheckBox sides = new CheckBox(DesktopText.of("script.voice-panel.name-the-sides"));
    private final TextArea cheers = area("style-cheers", 4);
    private final Button heard = new Button();
    private final Button styleHeard = new Button();
    private final ScrollPane view;
    private SpeechRate measured;
    private SpeechStyle ownStyle;
    private Programme shown;

    VoicePanel(Session session) {
        this.session = session;
        for (Region field : List.of(atRest, working, avoid, sources, start, rest, cheers)) {
            field.focusedProperty().addListener((o, was, is) -> {
                if (!is) {
                    keep();
                }
            });
        }
        for (TextField rate : List.of(atRest, working)) {
            rate.setOnAction(e -> {
                keep();
                rate.setText(spoken(rate == atRest));
            });
        }
        heard.setId("rate-heard");
        heard.getStyleClass().add("quiet");
        heard.managedProperty().bind(heard.visibleProperty());
        heard.setOnAction(e -> takeHeard());
        for (TextField field : List.of(start, rest)) {
            field.setOnAction(e -> keep());
        }
        sides.setId("style-sides");
        sides.setOnAction(e -> keep());
        styleHeard.setId("style-heard");
        styleHeard.getStyleClass().add("quiet");
        styleHeard.managedProperty().bind(styleHeard.visibleProperty());
        styleHeard.setWrapText(true);
        styleHeard.setOnAction(e -> session.apply(
                DesktopText.of("script.voice-panel.own-phrases"),
                session.workout().withScript(session.workout().script().withStyle(ownStyle))));
        view = new ScrollPane(page());
        view.setFitToWidth(true);
        view.getStyleClass().add("plain-scroll");
    }

    private VBox page() {
        HBox phrases = row(
                new Label(DesktopText.of("script.voice-panel.a-set-starts-with")),
                start,
                new Label(DesktopText.of("script.voice-panel.and-ends-with")),
                rest,
                sides);
        HBox rates = row(
                new Label(DesktopText.of("script.voice-panel.syllables-a-second-at-rest")),
                atRest,
                new Label(DesktopText.of("script.voice-panel.and-while-working")),
                working,
                heard);
        return new VBox(
                8,
                rates,
                phrases,
                styleHeard,
                new Label(DesktopText.of("script.voice-panel.cheers-one-in-each-line")),
                cheers,
                new Label(DesktopText.of("script.voice-panel.never-say-one-word-or")),
                avoid,
                new Label(DesktopText.of("script.voice-panel.sources-of-claims-claim-source")),
                sources);
    }

    private static TextField rate(String id) {
        TextField field = new TextField();
        field.setId(id);
        field.setPrefColumnCount(4);
        field.setAccessibleText(DesktopText.of("script.voice-panel.syllables-a-second"));
        return field;
    }

    private static HBox row(Node... inIt) {
        HBox row = new HBox(8, inIt);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static TextField words(String id) {
        TextField field = new TextField();
        field.setId(id);
        field.setPrefColumnCount(9);
        return field;
    }

    private static TextArea area(String id, int rows) {
        TextArea area = new TextArea();
        area.setId(id);
        area.setPrefRowCount(rows);
        area.setWrapText(true);
        return area;
    }

    Region view() {
        return view;
    }

    void show(Programme programme) {
        show();
        shown = programme;
        session.jobs().beside("speech", () -> Heard.in(programme), h -> {
            if (shown == programme) {
                offer(h, programme.workout().script());
            }
        });
    }

    /** How the creator speaks in the takes, offered where it is not what is set. */
    private void offer(Heard found, ScriptNotes notes) {
        measured = found.rate();
        ownStyle = found.style();
        heard.setVisible(measured != null && !measured.equals(notes.rate()));
        if (measured != null) {
            heard.setText(
                    DesktopText.of("script.voice-panel.take-and-as-heard-in", measured.atRest(), measured.working()));
        }
        styleHeard.setVisible(!ownStyle.equals(notes.style()));
        styleHeard.setText(DesktopText.of(
                "script.voice-panel.speak-as-in-your-takes",
                ownStyle.start(),
                ownStyle.rest(),
                ownStyle.namesSides(),
                ownStyle.cheers().size(),
                ownStyle.cheers().get(0)));
    }

    /**
     * What the takes tell of the creator's speech.
     *
     * @param rate null where too little is said
     */
    private record Heard(SpeechRate rate, SpeechStyle style) {
        static Heard in(Programme p) {
            ScriptNotes notes = p.workout().script();
            return new Heard(
                    SpeechCalibration.of(p.timeline(), p.match(), p.evidence(), notes.rate())
                            .orElse(null),
                    StyleCalibration.of(
                            p.timeline(),
                            p.library(),
                            p.cues(),
                            p.match(),
                            new StyleCalibration.Heard(p.evidence(), p.calls()),
                            notes.style()));
        }
    }

    private void takeHeard() {
        session.apply(
                DesktopText.of("script.voice-panel.rate-of-speech-as-heard"),
                session.workout().withScript(session.workout().script().withRate(measured)));
    }

    private void show() {
        ScriptNotes notes = session.workout().script();
        set(atRest, spoken(true));
        set(working, spoken(false));
        if (!avoid.isFocused()) {
            avoid.setText(String.join("\n", notes.avoid()));
        }
        set(start, notes.style().start());
        set(rest, notes.style().rest());
        sides.setSelected(notes.style().namesSides());
        if (!cheers.isFocused()) {
            cheers.setText(String.join("\n", notes.style().cheers()));
        }
        if (!sources.isFocused()) {
            sources.setText(notes.sources().stream()
                    .map(s -> s.claim() + " | " + s.source() + " | " + s.date())
                    .collect(Collectors.joining("\n")));
        }
    }

    private String spoken(boolean rest) {
        SpeechRate rate = session.workout().script().rate();
        return String.format(Locale.ROOT, "%.1f", rest ? rate.atRest() : rate.working());
    }

    private static void set(TextField field, String text) {
        if (!field.isFocused()) {
            field.setText(text);
        }
    }

    private static double number(TextField field, double otherwise) {
        String text = field.getText().strip().replace(',', '.');
        // Nobody speaks slower than one or faster than ten syllables a second.
        return text.matches("\\d(\\.\\d+)?|10") && Double.parseDouble(text) >= 1 ? Double.parseDouble(text) : otherwise;
    }

    private static List<String> lines(TextArea area) {
        return Stream.of(area.getText().split("\n"))
                .map(String::strip)
                .filter(w -> !w.isEmpty())
                .toList();
    }

    private void keep() {
        ScriptNotes notes = session.workout().script();
        SpeechRate rate = new SpeechRate(
                number(atRest, notes.rate().atRest()),
                number(working, notes.rate().working()));
        List<String> words = lines(avoid);
        List<String> own = lines(cheers);
        SpeechStyle style = new SpeechStyle(
                start.getText().isBlank()
                        ? SpeechStyle.DEFAULT.start()
                        : start.getText().strip(),
                rest.getText().isBlank()
                        ? SpeechStyle.DEFAULT.rest()
                        : rest.getText().strip(),
                sides.isSelected(),
                own.isEmpty() ? SpeechStyle.DEFAULT.cheers() : own);
        List<Source> known = new ArrayList<>();
        for (String line : sources.getText().split("\n")) {
            String[] parts = line.split("\\|");
            if (!line.isBlank()) {
                known.add(new Source(
                        parts[0].strip(),
                        parts.length > 1 ? parts[1].strip() : "",
                        parts.length > 2 ? parts[2].strip() : ""));
            }
        }
        ScriptNotes next =
                notes.withRate(rate).withAvoid(words).withSources(known).withStyle(style);
        if (!next.equals(notes)) {
            session.apply(
                    DesktopText.of("script.voice-panel.voice-and-words"),
                    session.workout().withScript(next));
        }
        show();
    }
}
