package app.nosegay.desktop.library;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.MovePicture;
import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MuscleGroup;
import app.nosegay.time.Tempo;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** One move on its own sheet: all that is known of it, and its wordings by kind of cue. */
final class MoveSheet {
    private static final List<CueKind> KINDS = List.of(
            CueKind.SETUP,
            CueKind.FORM,
            CueKind.AVOID,
            CueKind.IMAGE,
            CueKind.FEEL,
            CueKind.CHECK,
            CueKind.BREATH,
            CueKind.MUSCLE,
            CueKind.WHY,
            CueKind.EASIER,
            CueKind.HARDER,
            CueKind.INSTEAD,
            CueKind.CAUTION,
            CueKind.PERMIT);
    private static final List<String> PATTERNS =
            List.of("squat", "hinge", "lunge", "push", "pull", "carry", "core", "raise", "jump", "mobility", "stretch");
    private static final List<String> POSITIONS =
            List.of("standing", "kneeling", "all-fours", "plank", "seated", "lying-back", "lying-front", "side-lying");

    private final ImageView figure = new ImageView();
    private final Label whose = new Label();
    private final Label wrong = new Label();
    private final TextField name = field("move-name");
    private final TextField aliases = field("move-aliases");
    private final ComboBox<String> pattern = choice(PATTERNS, "move-pattern");
    private final ComboBox<String> position = choice(POSITIONS, "move-position");
    private final ComboBox<String> first = choice(List.of("down", "up"), "move-first");
    private final ComboBox<String> seen = choice(List.of("front", "side", "above"), "move-view");
    private final TextField primary = field("move-primary");
    private final TextField secondary = field("move-secondary");
    private final TextField gear = field("move-gear");
    private final TextField sided = field("move-sided");
    private final TextField tempo = field("move-tempo");
    private final TextField traits = field("move-traits");
    private final Map<CueKind, TextArea> cues = new EnumMap<>(CueKind.class);
    private final Button keep = new Button(DesktopText.of("library.move-sheet.keep-as-mine"));
    private final Button forget = new Button(DesktopText.of("library.move-sheet.forget-mine"));
    private final VBox view;
    private Move shown;

    MoveSheet(Consumer<Move> kept, Consumer<Move> forgotten) {
        keep.getStyleClass().add("act");
        keep.setId("move-keep");
        forget.getStyleClass().add("quiet");
        forget.setId("move-forget");
        keep.setOnAction(e -> read().ifPresent(kept));
        forget.setOnAction(e -> forgotten.accept(shown));
        keep.setMinWidth(Region.USE_PREF_SIZE);
        forget.setMinWidth(Region.USE_PREF_SIZE);
        forget.managedProperty().bind(forget.visibleProperty());
        whose.setWrapText(true);
        wrong.setWrapText(true);
        whose.getStyleClass().add("small");
        wrong.getStyleClass().add("problem");
        wrong.setId("move-wrong");
        ScrollPane scroll = new ScrollPane(grid());
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox told = new VBox(2, whose, wrong);
        told.setAlignment(Pos.CENTER_LEFT);
        told.setMinWidth(0);
        HBox.setHgrow(told, Priority.ALWAYS);
        HBox head = new HBox(14, figure, told, forget, keep);
        head.setAlignment(Pos.CENTER_LEFT);
        view = new VBox(8, head, scroll);
        view.getStyleClass().add("stage");
    }

    private GridPane grid() {
        GridPane grid = new GridPane();
        grid.setHgap(12);
        grid.setVgap(6);
        tempo.setPrefColumnCount(6);
        sided.setPromptText(DesktopText.of("library.move-sheet.working-arm-front-leg-empty"));
        int y = 0;
        for (Map.Entry<String, Region> row : rows().entrySet()) {
            Label label = label(row.getKey());
            GridPane.setValignment(label, VPos.CENTER);
            grid.add(label, 0, y);
            named(label, row.getValue());
            grid.add(row.getValue(), 1, y++);
            GridPane.setHgrow(row.getValue(), Priority.ALWAYS);
        }
        for (CueKind kind : KINDS) {
            TextArea area = new TextArea();
            area.setPrefRowCount(kind == CueKind.FORM || kind == CueKind.EASIER ? 2 : 1);
            area.setWrapText(true);
            area.setId("move-cue-" + kind.word());
            area.setAccessibleText(DesktopText.of("library.move-sheet.one-wording-a-line", kind.word()));
            cues.put(kind, area);
            Label label = label(kind.word());
            GridPane.setValignment(label, VPos.TOP);
            grid.add(label, 0, y);
            grid.add(area, 1, y++);
        }
        return grid;
    }

    /** The fields by what they are called, from top to bottom. */
    private Map<String, Region> rows() {
        Map<String, Region> rows = new LinkedHashMap<>();
        rows.put(DesktopText.of("library.move-sheet.row-name"), name);
        rows.put(DesktopText.of("library.move-sheet.row-also-called"), aliases);
        rows.put(
                DesktopText.of("library.move-sheet.row-pattern"),
                new HBox(8, pattern, label(DesktopText.of("library.move-sheet.position")), position));
        rows.put(DesktopText.of("library.move-sheet.row-works-most"), primary);
        rows.put(DesktopText.of("library.move-sheet.row-works-as-well"), secondary);
        rows.put(DesktopText.of("library.move-sheet.row-gear"), gear);
        rows.put(DesktopText.of("library.move-sheet.row-a-side-is-its"), sided);
        rows.put(
                DesktopText.of("library.move-sheet.row-tempo"),
                new HBox(
                        8,
                        tempo,
                        label(DesktopText.of("library.move-sheet.first-phase")),
                        first,
                        label(DesktopText.of("library.move-sheet.best-seen-from")),
                        seen));
        rows.put(DesktopText.of("library.move-sheet.row-traits"), traits);
        return rows;
    }

    private static Label label(String words) {
        Label label = new Label(words);
        label.getStyleClass().add("small");
        label.setMinWidth(Region.USE_PREF_SIZE);
        label.setMaxHeight(Double.MAX_VALUE);
        return label;
    }

    /** A screen reader hears of a field what stands before it; in a row of several, each has its own words. */
    private static void named(Label before, Region field) {
        Label words = before;
        List<? extends Node> parts = field instanceof HBox box ? box.getChildren() : List.of(field);
        for (Node part : parts) {
            if (part instanceof Label label) {
                words = label;
            } else {
                part.setAccessibleText(words.getText());
            }
        }
    }

    private static TextField field(String id) {
        TextField field = new TextField();
        field.setId(id);
        return field;
    }

    private static ComboBox<String> choice(List<String> words, String id) {
        ComboBox<String> box = new ComboBox<>();
        box.getItems().setAll(words);
        box.setId(id);
        return box;
    }

    Region view() {
        return view;
    }

    void show(Move move, boolean mine) {
        shown = move;
        wrong.setText("");
        figure.setImage(MovePicture.of(move, 120));
        whose.setText(
                mine
                        ? DesktopText.of("library.move-sheet.one-of-your-own-moves")
                        : DesktopText.of("library.move-sheet.shipped-with-nosegay-change-anything"));
        forget.setVisible(mine);
        name.setText(move.name());
        aliases.setText(String.join(", ", move.aliases()));
        pattern.setValue(move.pattern());
        position.setValue(move.position());
        first.setValue(move.startsDown() ? "down" : "up");
        seen.setValue(move.view());
        primary.setText(groups(move.primary()));
        secondary.setText(groups(move.secondary()));
        gear.setText(String.join(", ", move.gear()));
        sided.setText(move.sided());
        tempo.setText(move.tempo().text());
        traits.setText(String.join(", ", move.traits()));
        cues.forEach((kind, area) -> area.setText(String.join("\n", move.cues(kind))));
    }

    /** An empty sheet for a new move. */
    void fresh(String called, String of) {
        String p = of.isEmpty() ? "squat" : of;
        show(
                new Move(
                        called.isEmpty() ? DesktopText.of("library.move-sheet.new-move") : called,
                        List.of(),
                        p,
                        p,
                        Set.of(),
                        Set.of(),
                        "standing",
                        List.of(),
                        "",
                        Tempo.DEFAULT,
                        true,
                        "front",
                        Set.of(),
                        Map.of()),
                false);
        whose.setText(DesktopText.of("library.move-sheet.a-new-move-name-it"));
        name.requestFocus();
        name.selectAll();
    }

    private static String groups(Set<MuscleGroup> groups) {
        return groups.stream().map(MuscleGroup::word).collect(Collectors.joining(", "));
    }

    private static List<String> list(TextField field) {
        return Stream.of(field.getText().split(","))
                .map(s -> s.strip().toLowerCase(Locale.ROOT))
                .filter(s -> !s.isEmpty())
                .toList();
    }

    private Optional<Set<MuscleGroup>> groups(TextField field, String what) {
        Set<MuscleGroup> groups = new LinkedHashSet<>();
        for (String word : list(field)) {
            Optional<MuscleGroup> group = MuscleGroup.find(word.replace(' ', '-'));
            if (group.isEmpty()) {
                wrong.setText(DesktopText.of(
                        "library.move-sheet.is-not-one-of",
                        what,
                        word,
                        Arrays.stream(MuscleGroup.values())
                                .map(MuscleGroup::word)
                                .collect(Collectors.joining(", "))));
                return Optional.empty();
            }
            groups.add(group.get());
        }
        return Optional.of(groups);
    }

    /** The move as the sheet says; empty when something on it cannot be read, which is then said. */
    private Optional<Move> read() {
        wrong.setText("");
        String called = name.getText().strip().toLowerCase(Locale.ROOT);
        Optional<Tempo> pace = Tempo.parse(tempo.getText());
        Optional<Set<MuscleGroup>> most = groups(primary, DesktopText.of("library.move-sheet.works-most"));
        Optional<Set<MuscleGroup>> also = most.isEmpty()
                ? Optional.empty()
                : groups(secondary, DesktopText.of("library.move-sheet.works-as-well"));
        if (called.isEmpty() || called.contains("+") || called.contains(",")) {
            wrong.setText(DesktopText.of("library.move-sheet.a-name-without-and-commas"));
            return Optional.empty();
        }
        if (pace.isEmpty()) {
            wrong.setText(DesktopText.of("library.move-sheet.tempo-three-or-four-numbers"));
            return Optional.empty();
        }
        if (most.isEmpty() || also.isEmpty()) {
            return Optional.empty();
        }
        Map<CueKind, List<String>> wordings = new EnumMap<>(CueKind.class);
        wordings.putAll(shown.cues());
        cues.forEach((kind, area) -> {
            List<String> lines = Stream.of(area.getText().split("\n"))
                    .map(String::strip)
                    .filter(s -> !s.isEmpty())
                    .toList();
            if (lines.isEmpty()) {
                wordings.remove(kind);
            } else {
                wordings.put(kind, lines);
            }
        });
        wordings.put(CueKind.NAME, List.of(called));
        boolean samePattern = pattern.getValue().equals(shown.pattern());
        return Optional.of(new Move(
                called,
                list(aliases),
                pattern.getValue(),
                samePattern ? shown.motion() : pattern.getValue(),
                most.get(),
                also.get(),
                position.getValue(),
                list(gear),
                sided.getText().strip(),
                pace.get(),
                "down".equals(first.getValue()),
                seen.getValue(),
                new LinkedHashSet<>(list(traits)),
                wordings));
    }
}
