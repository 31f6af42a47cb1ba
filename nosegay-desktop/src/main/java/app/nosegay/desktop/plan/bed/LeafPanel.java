package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.MovingFigure;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.FailureLog;
import app.nosegay.jobs.Libraries;
import app.nosegay.jobs.RecentWorkouts;
import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.plan.bed.BedRow;
import app.nosegay.plan.bed.CueWordings;
import app.nosegay.plan.bed.Field;
import app.nosegay.plan.bed.FieldValues;
import app.nosegay.plan.bed.Leaf;
import app.nosegay.plan.bed.PlainWords;
import app.nosegay.plan.bed.Tag;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.Cue;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.Level;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.series.LastTime;
import app.nosegay.time.SpeechRate;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** The chosen leaf in full: its figure at its tempo, every value it has, its cues with the seconds they take, its ladder of options. */
final class LeafPanel {
    private static final int FIGURE = 110;
    private static final int WORDINGS = 3;
    /** What a move may say of itself; empty values are offered too. */
    private static final List<String> WORDS =
            List.of("tempo", "gear", "load", "position", "angle", "rest", "dose", "shown");

    private final BedDesk desk;
    private final BedView bed;
    private final VBox page = new VBox(10);
    private final ScrollPane scroll = new ScrollPane(page);
    private final MovingFigure figure = new MovingFigure(FIGURE);
    private Tag.Kind asked;
    private Spot askedAt;
    private List<Object> shown = List.of();

    private Map<String, LastTime> lastTimes = Map.of();
    private long lastTimesOf = -1;

    LeafPanel(BedDesk desk, BedView bed) {
        this.desk = desk;
        this.bed = bed;
        page.setId("leaf-panel");
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        desk.onChanged(this::show);
    }

    Region view() {
        return scroll;
    }

    /** Shows wordings of a kind the chosen leaf lacks, to choose one. */
    void wordings(Tag.Kind kind) {
        asked = kind;
        askedAt = desk.spot();
        shown = List.of();
        show();
    }

    private void show() {
        if (!desk.spot().equals(askedAt)) {
            asked = null;
        }
        Leaf leaf = desk.leaf().orElse(null);
        if (leaf == null) {
            figure.show(null);
            block();
            return;
        }
        BedRow row = desk.row().orElseThrow();
        int line = row.lineOf(leaf);
        MoveLine move = desk.sheet().blocks().get(desk.spot().row()).moves().stream()
                .filter(m -> m.line() == line)
                .findFirst()
                .orElseThrow();
        // Only what is shown here decides whether it is drawn again: a leaf that only moved is not.
        List<Object> now = List.of(
                leaf,
                row.block().round(),
                move.cues().stream().map(Cue::text).toList(),
                desk.chosenLeaves().size(),
                Optional.ofNullable(asked),
                desk.sheet().header().levels());
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        List<Move> moves = leaf.moves().stream()
                .flatMap(m -> Libraries.current().find(m).stream())
                .toList();
        Node options = options(move, moves);
        page.getChildren().setAll(head(leaf, moves), sides(leaf, row), values(move, moves));
        if (!desk.sheet().header().levels().isEmpty()) {
            page.getChildren().add(levels(move));
        }
        // Wordings that were asked for stand first.
        page.getChildren().add(asked == null ? page.getChildren().size() : 1, options);
        page.getChildren().add(cues(leaf, move, moves));
    }

    /** Of a block what is said in it; of a gap, or where nothing lies, what could be done. */
    private void block() {
        Optional<Block> block = desk.row()
                .filter(r -> desk.spot().isTag())
                .map(r -> desk.sheet().blocks().get(desk.spot().row()));
        List<Object> now = List.of(block.map(Block::cues).orElse(List.of()), desk.spot());
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        Label empty = new Label(DesktopText.of("plan.bed.no-leaf"));
        empty.getStyleClass().add("empty");
        empty.setMinHeight(Region.USE_PREF_SIZE);
        page.getChildren().setAll(empty);
        block.ifPresent(b -> {
            VBox said = new VBox(
                    3,
                    heading(DesktopText.of(
                            "plan.bed.said-in",
                            desk.row().orElseThrow().block().name().shown())));
            b.cues().forEach(c -> said.getChildren().add(rung(c)));
            said.getChildren()
                    .add(say(List.of(
                            CueKind.CAUTION, CueKind.PERMIT, CueKind.CHEER, CueKind.WHY, CueKind.ASK, CueKind.PLUG)));
            page.getChildren().add(0, said);
        });
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
                asked = null;
                desk.cue(kind.getValue(), words.getText().replaceAll("[#\\n]", " "));
                bed.requestFocus();
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

    private Node head(Leaf leaf, List<Move> moves) {
        figure.show(moves.isEmpty() ? null : moves.get(0));
        Field name = new Field(Field.NAME, leaf.name(), leaf.name());
        FieldButton title = value(name);
        title.getStyleClass().add("tag-name");
        title.setWrapText(true);
        VBox words = new VBox(2, title, value(leaf.ends()));
        int chosen = desk.chosenLeaves().size();
        if (chosen > 1) {
            words.getChildren().add(small(DesktopText.of("plan.bed.chosen", chosen)));
        }
        int round = desk.row().orElseThrow().block().round();
        if (round > 1) {
            words.getChildren().add(small(DesktopText.of("plan.bed.in-round", round)));
        }
        LastTime last = moves.size() == 1 ? lastTimes().get(moves.get(0).name()) : null;
        if (last != null) {
            Label told = small(last.words());
            told.setId("last-time");
            words.getChildren().add(told);
        }
        HBox head = new HBox(8, figure.view(), words);
        HBox.setHgrow(words, Priority.ALWAYS);
        head.setAlignment(Pos.CENTER_LEFT);
        return head;
    }

    /** How moves were done in other workouts; looked for beside, once for each workout that is opened. */
    private Map<String, LastTime> lastTimes() {
        Session session = desk.session();
        if (lastTimesOf != session.opened()) {
            long of = session.opened();
            Path file = session.file().orElse(null);
            lastTimesOf = of;
            lastTimes = Map.of();
            session.jobs().beside("last-times", () -> LeafPanel.lastTimes(file), found -> {
                if (session.isOpen(of)) {
                    lastTimes = found;
                    shown = List.of();
                    show();
                }
            });
        }
        return lastTimes;
    }

    private static Map<String, LastTime> lastTimes(Path but) {
        try {
            return RecentWorkouts.lastTimes(but);
        } catch (IOException e) {
            FailureLog.note("last-times", e);
            return Map.of();
        }
    }

    private static Label small(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("small");
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    private static Label heading(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("subheading");
        return label;
    }

    /** The ways of sharing it between the sides as small drawings with words. */
    private Node sides(Leaf leaf, BedRow row) {
        FlowPane ways = new FlowPane(4, 4);
        for (SideWay way : FieldValues.sides(row.block().kind())) {
            ToggleButton button = new ToggleButton(PlainWords.shown("sides", way.word()), new SideSign(way));
            button.getStyleClass().setAll("side-way");
            button.setId("bed-sides-" + way.word());
            button.setSelected(leaf.way() == way);
            button.setOnAction(e -> desk.sides(leaf, way));
            ways.getChildren().add(button);
        }
        return new VBox(4, heading(DesktopText.of("plan.bed.sides")), ways);
    }

    private Node values(MoveLine move, List<Move> moves) {
        GridPane grid = new GridPane();
        grid.setHgap(10);
        grid.setVgap(2);
        String line = SheetText.line(desk.sheet().text(), move.line());
        int y = 0;
        for (String word : WORDS) {
            String written =
                    SheetText.value(line, Attribute.of(word).orElseThrow()).orElse("");
            String otherwise = written.isEmpty() ? otherwise(word, moves) : "";
            Field field = new Field(word, written.isEmpty() ? otherwise : PlainWords.shown(word, written), written);
            Label label = small(PlainWords.label(word));
            label.setMinWidth(Region.USE_PREF_SIZE);
            FieldButton value = value(field);
            if (written.isEmpty()) {
                value.getStyleClass().add("value-unset");
            }
            grid.addRow(y++, label, value);
        }
        return grid;
    }

    private static String otherwise(String word, List<Move> moves) {
        Move move = moves.isEmpty() ? null : moves.get(0);
        String known = move == null
                ? ""
                : switch (word) {
                    case "tempo" -> move.tempo().text();
                    case "gear" -> String.join(", ", move.gear());
                    case "position" -> move.position();
                    case "angle" -> move.view();
                    default -> "";
                };
        return known.isEmpty() ? DesktopText.of("plan.bed.unset") : DesktopText.of("plan.bed.usual", known);
    }

    private FieldButton value(Field field) {
        return new FieldButton(
                field,
                PlainWords.label(field.word()),
                new FieldButton.Source(
                        FieldValues.choices(
                                field, desk.row().orElseThrow().block().kind()),
                        by -> FieldValues.stepped(field, by),
                        typed -> FieldValues.typed(
                                field, typed, desk.row().orElseThrow().block().kind())),
                written -> desk.setOnLeaves(field, written));
    }

    /** What the other levels do instead, where they differ. */
    private Node levels(MoveLine move) {
        VBox box = new VBox(2, heading(DesktopText.of("plan.bed.levels")));
        for (Level level : desk.sheet().header().levels()) {
            if (level.grade() == Level.Grade.MAIN) {
                continue;
            }
            String does = move.levels().stream()
                    .filter(l -> l.level().equalsIgnoreCase(level.name()))
                    .map(l -> l.move())
                    .findFirst()
                    .orElse("");
            Field field = new Field(Field.NAME, does.isEmpty() ? DesktopText.of("plan.bed.same") : does, does);
            FieldButton value = new FieldButton(
                    field,
                    level.name(),
                    new FieldButton.Source(List.of(), by -> Optional.empty(), typed -> Optional.of(typed.strip())),
                    written -> desk.level(level.name(), written));
            value.getStyleClass().add(does.isEmpty() ? "value-unset" : "value-set");
            HBox row = new HBox(8, small(level.name()), value);
            row.setAlignment(Pos.BASELINE_LEFT);
            box.getChildren().add(row);
        }
        return box;
    }

    /** The ladder of options, easiest first, and wordings for a rung that is wanted. */
    private Node options(MoveLine move, List<Move> moves) {
        VBox box = new VBox(3, heading(DesktopText.of("plan.bed.options")));
        for (CueKind kind : List.of(CueKind.EASIER, CueKind.INSTEAD, CueKind.HARDER)) {
            List<Cue> own = move.cues().stream().filter(c -> c.kind() == kind).toList();
            own.forEach(c -> box.getChildren().add(rung(c)));
            if (own.isEmpty() && kind != CueKind.INSTEAD) {
                moves.stream().flatMap(m -> m.cues(kind).stream()).limit(2).forEach(text -> {
                    Node rung = rung(kind, text);
                    rung.getStyleClass().add("value-unset");
                    box.getChildren().add(rung);
                });
            }
        }
        CueKind wanted = asked == null ? null : RowView.cueOf(asked);
        if (wanted != null) {
            box.getChildren().add(small(DesktopText.of("plan.bed.choose-wording", wanted.word())));
            CueWordings.of(moves, wanted, Libraries.current(), WORDINGS).forEach(text -> {
                Button choose = new Button(text);
                choose.getStyleClass().setAll("wording");
                choose.setWrapText(true);
                choose.setMaxWidth(Double.MAX_VALUE);
                choose.setOnAction(e -> {
                    asked = null;
                    desk.cue(wanted, text);
                    bed.requestFocus();
                });
                box.getChildren().add(choose);
            });
            box.getChildren().stream()
                    .filter(Button.class::isInstance)
                    .findFirst()
                    .ifPresent(first -> javafx.application.Platform.runLater(first::requestFocus));
            box.getChildren().add(say(List.of(wanted)));
        } else {
            FlowPane add = new FlowPane(4, 4);
            for (Tag.Kind kind : List.of(Tag.Kind.EASIER, Tag.Kind.HARDER, Tag.Kind.CAUTION)) {
                Button button = new Button("+ " + kind.label());
                button.getStyleClass().setAll("leaf-tag", "leaf-tag-missing");
                button.setId("bed-option-" + kind.name().toLowerCase(Locale.ROOT));
                button.setOnAction(e -> wordings(kind));
                add.getChildren().add(button);
            }
            box.getChildren().add(add);
        }
        return box;
    }

    private static Label rung(CueKind kind, String text) {
        Label rung = new Label(DesktopText.of("plan.bed.rung", kind.word(), text));
        rung.setWrapText(true);
        rung.setMinHeight(Region.USE_PREF_SIZE);
        return rung;
    }

    /** The cues that are said, with the seconds each takes against the seconds there are. */
    private Node cues(Leaf leaf, MoveLine move, List<Move> moves) {
        VBox box = new VBox(2, heading(DesktopText.of("plan.bed.cues")));
        List<Cue> written = new ArrayList<>(move.cues());
        written.removeIf(c -> c.kind().isOption());
        double seconds = 0;
        for (Cue cue : written) {
            seconds += SpeechRate.DEFAULT.toSay(cue.text(), true).seconds();
            box.getChildren().add(rung(cue));
        }
        if (written.isEmpty()) {
            moves.stream()
                    .limit(1)
                    .forEach(m -> m.cues(CueKind.FORM).stream().limit(2).forEach(text -> {
                        Label rung = rung(CueKind.FORM, text);
                        rung.getStyleClass().add("value-unset");
                        box.getChildren().add(rung);
                    }));
            box.getChildren().add(small(DesktopText.of("plan.bed.cues-from-library")));
        } else {
            box.getChildren()
                    .add(small(DesktopText.of(
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
        Label tip = small(DesktopText.of("plan.bed.cues-in-script"));
        tip.setTooltip(new Tooltip(DesktopText.of("plan.bed.cues-in-script")));
        box.getChildren().add(tip);
        return box;
    }
}
