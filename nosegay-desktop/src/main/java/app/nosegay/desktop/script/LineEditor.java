package app.nosegay.desktop.script;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.library.CueKind;
import app.nosegay.plan.Segment;
import app.nosegay.script.LineAlternatives;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.ScriptNotes;
import app.nosegay.script.ScriptNotes.Decided;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.workout.Programme;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Changes the chosen line: its words, its kind, whether its place is fixed, whether it is said at all. */
final class LineEditor {
    /** What the file calls a line that is the user's own, with a number behind it. */
    private static final String OWN_LINE = "new line ";

    private final Session session;
    private final TextField text = new TextField();
    private final ComboBox<String> kind = new ComboBox<>();
    private final Label length = new Label();
    private final Button free = button(DesktopText.of("script.line-editor.let-the-planner-place-it"), "script-free");
    private final Button drop = button(DesktopText.of("script.line-editor.leave-it-out"), "script-drop");
    private final Button back = button(DesktopText.of("script.line-editor.bring-back-what-was-left"), "script-back");
    private final Button other = button(DesktopText.of("script.line-editor.other-words"), "script-other");
    private final VBox view;
    private Segment segment;
    private ScriptLine line;
    private boolean showing;

    LineEditor(Session session) {
        this.session = session;
        text.setId("script-text");
        text.setAccessibleText(DesktopText.of("script.line-editor.the-words-of-the-line"));
        kind.setId("script-kind");
        kind.setAccessibleText(DesktopText.of("script.line-editor.the-kind-of-cue"));
        kind.getItems()
                .setAll(Arrays.stream(CueKind.values()).map(CueKind::word).toList());
        text.setOnAction(e -> write());
        text.textProperty().addListener((o, was, is) -> measure());
        kind.setOnAction(e -> write());
        Button add = button(DesktopText.of("script.line-editor.new-line-here"), "script-add");
        add.setOnAction(e -> add());
        free.setOnAction(e -> decide(
                DesktopText.of("script.line-editor.let-the-planner-place-it-2"),
                new Decided(segment.id(), line.of(), line.kind(), line.text(), null)));
        drop.setOnAction(e -> decide(
                DesktopText.of("script.line-editor.leave-out-a-line"),
                new Decided(segment.id(), line.of(), line.kind(), "", null)));
        back.setOnAction(e -> bringBack());
        other.setOnAction(e -> otherWords());
        other.setTooltip(new Tooltip(DesktopText.of("script.line-editor.other-words-tip")));
        HBox.setHgrow(text, Priority.ALWAYS);
        HBox words = new HBox(8, kind, text, length);
        words.setAlignment(Pos.CENTER_LEFT);
        length.setMinWidth(60);
        HBox acts = new HBox(4, other, add, free, drop, back);
        acts.setAlignment(Pos.CENTER_LEFT);
        view = new VBox(4, words, acts);
    }

    private static Button button(String words, String id) {
        Button button = new Button(words);
        button.setId(id);
        button.getStyleClass().add("quiet");
        button.setMinWidth(Region.USE_PREF_SIZE);
        return button;
    }

    Region view() {
        return view;
    }

    TextField text() {
        return text;
    }

    void show(Segment shown, ScriptLine chosen) {
        segment = shown;
        line = chosen;
        showing = true;
        boolean none = chosen == null;
        text.setDisable(none);
        kind.setDisable(none || chosen.isCall());
        text.setText(none ? "" : chosen.text());
        kind.setValue(none ? null : chosen.kind().word());
        free.setDisable(none || !chosen.fixed());
        drop.setDisable(none);
        other.setDisable(none || alternatives().size() < 2);
        back.setVisible(shown != null
                && session.workout().script().lines().stream()
                        .anyMatch(d -> d.segment().equals(shown.id()) && d.isLeftOut()));
        text.setTooltip(new Tooltip(DesktopText.of("script.line-editor.enter-keeps-it-fields-such")));
        showing = false;
        measure();
    }

    private List<String> alternatives() {
        Programme now = session.programme().get();
        return LineAlternatives.of(
                now.timeline(), now.library(), session.workout().script().style(), line);
    }

    /** Says the chosen line in the next of the ways that are known. */
    void otherWords() {
        if (line == null || alternatives().size() < 2) {
            return;
        }
        String next = LineAlternatives.next(alternatives(), line.text());
        Length at = line.fixed() ? line.start().since(segment.start()) : null;
        if (at == null && next.equals(line.of())) {
            session.apply(
                    DesktopText.of("script.line-editor.other-words-done"),
                    session.workout().withScript(session.workout().script().without(segment.id(), line.of())));
        } else {
            decide(
                    DesktopText.of("script.line-editor.other-words-done"),
                    new Decided(segment.id(), line.of(), line.kind(), next, at));
        }
    }

    /** The seconds the words take at the creator's own rate. */
    private void measure() {
        if (segment != null && !text.getText().isBlank()) {
            SpeechRate rate = session.workout().script().rate();
            length.setText(String.format(
                    Locale.ROOT,
                    "%.1f s",
                    rate.toSay(text.getText(), segment.kind().isMoving()).seconds()));
        } else {
            length.setText("");
        }
    }

    private void write() {
        if (showing || line == null || text.getText().isBlank()) {
            return;
        }
        CueKind chosen =
                CueKind.of(kind.getValue() == null ? "" : kind.getValue()).orElse(line.kind());
        if (!text.getText().equals(line.text()) || chosen != line.kind()) {
            Length at = line.fixed() ? line.start().since(segment.start()) : null;
            decide(
                    DesktopText.of("script.line-editor.change-a-line"),
                    new Decided(segment.id(), line.of(), chosen, text.getText().strip(), at));
        }
    }

    private void add() {
        if (segment == null) {
            return;
        }
        ScriptNotes notes = session.workout().script();
        int n = 1;
        String of = OWN_LINE + n;
        while (has(notes, of)) {
            of = OWN_LINE + ++n;
        }
        Length at = line == null
                ? Length.ZERO
                : Length.min(
                        line.end().since(segment.start()).plus(Length.ofMillis(400)),
                        Length.max(Length.ZERO, segment.duration().minus(Length.ofSeconds(1))));
        session.apply(
                DesktopText.of("script.line-editor.new-line-2"),
                session.workout()
                        .withScript(notes.with(new Decided(
                                segment.id(), of, CueKind.FORM, DesktopText.of("script.line-editor.new-line-3"), at))));
        text.requestFocus();
    }

    private boolean has(ScriptNotes notes, String of) {
        return notes.lines().stream().anyMatch(d -> d.segment().equals(segment.id()) && d.of().equals(of));
    }

    private void bringBack() {
        ScriptNotes notes = session.workout().script();
        for (Decided d : notes.lines()) {
            if (d.segment().equals(segment.id()) && d.isLeftOut()) {
                notes = notes.without(d.segment(), d.of());
            }
        }
        session.apply(
                DesktopText.of("script.line-editor.bring-lines-back"),
                session.workout().withScript(notes));
    }

    private void decide(String name, Decided decided) {
        boolean own = decided.of().startsWith(OWN_LINE);
        ScriptNotes notes = session.workout().script();
        boolean gone = own && decided.isLeftOut();
        Decided kept = own && decided.at() == null && !gone
                ? new Decided(
                        decided.segment(),
                        decided.of(),
                        decided.kind(),
                        decided.text(),
                        line.start().since(segment.start()))
                : decided;
        session.apply(
                name,
                session.workout().withScript(gone ? notes.without(decided.segment(), decided.of()) : notes.with(kept)));
    }

    /** Fixes the line at a place of its segment. */
    void fix(ScriptLine moved, Length at) {
        session.apply(
                DesktopText.of("script.line-editor.move-a-line-to", String.format(Locale.ROOT, "%.1f s", at.seconds())),
                session.workout()
                        .withScript(session.workout()
                                .script()
                                .with(new Decided(moved.segment(), moved.of(), moved.kind(), moved.text(), at))));
    }
}
