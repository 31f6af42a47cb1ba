package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Labels;
import app.nosegay.jobs.Libraries;
import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.plan.bed.CueWordings;
import app.nosegay.plan.bed.Leaf;
import app.nosegay.plan.bed.Tag;
import app.nosegay.plan.sheet.RunSheet.Cue;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.time.SpeechRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** What is said of a leaf or a block: its ladder of options and its cues with the seconds they take, to add to and to remove from. */
final class LeafCues {
    private static final int WORDINGS = 3;
    /** What of the library is shown where nothing is written. */
    private static final int OF_LIBRARY = 2;

    private final BedDesk desk;
    private final Consumer<Tag.Kind> ask;
    private final Runnable answered;

    /**
     * @param ask told the kind wordings are wanted of
     * @param answered told before a wording is taken
     */
    LeafCues(BedDesk desk, Consumer<Tag.Kind> ask, Runnable answered) {
        this.desk = desk;
        this.ask = ask;
        this.answered = answered;
    }

    /** What is said in a block besides its moves. */
    Node ofBlock(String name, List<Cue> written) {
        VBox said = new VBox(3, Labels.subheading(DesktopText.of("plan.bed.said-in", name)));
        written.forEach(c -> said.getChildren().add(rung(c)));
        said.getChildren()
                .add(say(List.of(
                        CueKind.CAUTION, CueKind.PERMIT, CueKind.CHEER, CueKind.WHY, CueKind.ASK, CueKind.PLUG)));
        return said;
    }

    private void cue(CueKind kind, String text) {
        answered.run();
        desk.cue(kind, text);
    }

    /** Words of one's own, of a kind. */
    private Node say(List<CueKind> kinds) {
        ComboBox<CueKind> kind = new ComboBox<>();
        kind.setId("say-kind");
        kind.getItems().setAll(kinds);
        kind.setConverter(new KindWords());
        kind.getSelectionModel().select(0);
        TextField words = new TextField();
        words.setId("say-words");
        words.setPromptText(DesktopText.of("plan.bed.own-words"));
        words.setOnAction(e -> {
            if (!words.getText().isBlank()) {
                cue(kind.getValue(), words.getText().replaceAll("[#\\n]", " "));
            }
        });
        HBox row = new HBox(6, kind, words);
        HBox.setHgrow(words, Priority.ALWAYS);
        return row;
    }

    private static final class KindWords extends StringConverter<CueKind> {
        @Override
        public String toString(CueKind kind) {
            return kind == null ? "" : kind.word();
        }

        @Override
        public CueKind fromString(String text) {
            return CueKind.of(text).orElseThrow();
        }
    }

    /** A cue that is written here, with a way to remove it. */
    private Node rung(Cue cue) {
        String text =
                cue.condition().isEmpty() ? cue.text() : DesktopText.of("plan.bed.for", cue.condition(), cue.text());
        Label words = rung(cue.kind(), text);
        Button remove = new Button("×");
        remove.getStyleClass().setAll("quiet", "bed-small");
        remove.setAccessibleText(DesktopText.of("plan.bed.menu-remove"));
        remove.setOnAction(e -> desk.withoutCue(cue.line()));
        HBox row = new HBox(4, words, remove);
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        row.setAlignment(Pos.TOP_LEFT);
        return row;
    }

    /**
     * The ladder of options, easiest first.
     *
     * @param asked a kind wordings are wanted of, null for none
     */
    Node options(MoveLine move, List<Move> moves, Tag.Kind asked) {
        VBox box = new VBox(3, Labels.subheading(DesktopText.of("plan.bed.options")));
        for (CueKind kind : List.of(CueKind.EASIER, CueKind.INSTEAD, CueKind.HARDER)) {
            List<Cue> own = move.cues().stream().filter(c -> c.kind() == kind).toList();
            own.forEach(c -> box.getChildren().add(rung(c)));
            if (own.isEmpty() && kind != CueKind.INSTEAD) {
                box.getChildren().addAll(ofLibrary(kind, moves));
            }
        }
        CueKind wanted = asked == null ? null : cueOf(asked);
        if (wanted == null) {
            box.getChildren().add(additions());
        } else {
            box.getChildren().addAll(wordings(moves, wanted));
        }
        return box;
    }

    private static List<Label> ofLibrary(CueKind kind, List<Move> moves) {
        List<Label> rungs = moves.stream()
                .flatMap(m -> m.cues(kind).stream())
                .limit(OF_LIBRARY)
                .map(text -> rung(kind, text))
                .toList();
        rungs.forEach(r -> r.getStyleClass().add("value-unset"));
        return rungs;
    }

    private Node additions() {
        FlowPane add = new FlowPane(4, 4);
        for (Tag.Kind kind : List.of(Tag.Kind.EASIER, Tag.Kind.HARDER, Tag.Kind.CAUTION)) {
            Button button = new Button("+ " + kind.label());
            button.getStyleClass().setAll("leaf-tag", "leaf-tag-missing");
            button.setId("bed-option-" + kind.name().toLowerCase(Locale.ROOT));
            button.setOnAction(e -> ask.accept(kind));
            add.getChildren().add(button);
        }
        return add;
    }

    /** Wordings to choose one of, the first with the keyboard, and room for one's own. */
    private List<Node> wordings(List<Move> moves, CueKind wanted) {
        List<Node> all = new ArrayList<>();
        all.add(Labels.small(DesktopText.of("plan.bed.choose-wording", wanted.word())));
        for (String text : CueWordings.of(moves, wanted, Libraries.current(), WORDINGS)) {
            Button choose = new Button(text);
            choose.getStyleClass().setAll("wording");
            choose.setWrapText(true);
            choose.setMaxWidth(Double.MAX_VALUE);
            choose.setOnAction(e -> cue(wanted, text));
            all.add(choose);
        }
        if (all.size() > 1) {
            Platform.runLater(all.get(1)::requestFocus);
        }
        all.add(say(List.of(wanted)));
        return all;
    }

    private static Label rung(CueKind kind, String text) {
        Label rung = new Label(DesktopText.of("plan.bed.rung", kind.word(), text));
        rung.setWrapText(true);
        rung.setMinHeight(Region.USE_PREF_SIZE);
        return rung;
    }

    /** The cues that are said, with the seconds each takes against the seconds there are. */
    Node spoken(Leaf leaf, MoveLine move, List<Move> moves) {
        VBox box = new VBox(2, Labels.subheading(DesktopText.of("plan.bed.cues")));
        List<Cue> written = new ArrayList<>(move.cues());
        written.removeIf(c -> c.kind().isOption());
        double seconds = 0;
        for (Cue cue : written) {
            seconds += SpeechRate.DEFAULT.toSay(cue.text(), true).seconds();
            box.getChildren().add(rung(cue));
        }
        if (written.isEmpty()) {
            box.getChildren()
                    .addAll(ofLibrary(CueKind.FORM, moves.stream().limit(1).toList()));
            box.getChildren().add(Labels.small(DesktopText.of("plan.bed.cues-from-library")));
        } else {
            box.getChildren()
                    .add(Labels.small(DesktopText.of(
                            "plan.bed.cue-seconds", seconds, leaf.length().clock())));
        }
        box.getChildren()
                .add(say(List.of(
                        CueKind.FORM,
                        CueKind.AVOID,
                        CueKind.BREATH,
                        CueKind.TEMPO,
                        CueKind.SETUP,
                        CueKind.IMAGE,
                        CueKind.FEEL,
                        CueKind.CHECK,
                        CueKind.MUSCLE,
                        CueKind.WHY,
                        CueKind.CHEER,
                        CueKind.CAUTION,
                        CueKind.INSTEAD)));
        Label tip = Labels.small(DesktopText.of("plan.bed.cues-in-script"));
        tip.setTooltip(new Tooltip(DesktopText.of("plan.bed.cues-in-script")));
        box.getChildren().add(tip);
        return box;
    }

    /** The kinds of wording a dotted tag asks for. */
    static CueKind cueOf(Tag.Kind kind) {
        return switch (kind) {
            case HARDER -> CueKind.HARDER;
            case CAUTION -> CueKind.CAUTION;
            default -> CueKind.EASIER;
        };
    }
}
