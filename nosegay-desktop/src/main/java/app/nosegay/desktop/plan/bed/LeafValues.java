package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Labels;
import app.nosegay.library.Move;
import app.nosegay.plan.bed.BedRow;
import app.nosegay.plan.bed.Field;
import app.nosegay.plan.bed.FieldValues;
import app.nosegay.plan.bed.Leaf;
import app.nosegay.plan.bed.PlainWords;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.Level;
import app.nosegay.plan.terms.SideWay;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The values of a leaf, each to be filled in: sides, amount, tempo, gear, and what other levels do. */
final class LeafValues {
    /** What a move may say of itself; empty values are offered too. */
    private static final List<String> WORDS =
            List.of("tempo", "gear", "load", "position", "angle", "rest", "dose", "shown");

    private final BedDesk desk;

    LeafValues(BedDesk desk) {
        this.desk = desk;
    }

    /** The ways of sharing it between the sides as small drawings with words. */
    Node sides(Leaf leaf, BedRow row) {
        FlowPane ways = new FlowPane(4, 4);
        for (SideWay way : FieldValues.sides(row.block().kind())) {
            ToggleButton button = new ToggleButton(PlainWords.shown("sides", way.word()), new SideSign(way));
            button.getStyleClass().setAll("side-way");
            button.setId("bed-sides-" + way.word());
            button.setSelected(leaf.way() == way);
            button.setOnAction(e -> desk.sides(leaf, way));
            ways.getChildren().add(button);
        }
        return new VBox(4, Labels.subheading(DesktopText.of("plan.bed.sides")), ways);
    }

    Node all(MoveLine move, List<Move> moves) {
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
            Label label = Labels.small(PlainWords.label(word));
            label.setMinWidth(Region.USE_PREF_SIZE);
            FieldButton value = button(field);
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

    /** A value to fill in for the chosen leaves. */
    FieldButton button(Field field) {
        BlockKind kind = desk.choice().row().orElseThrow().block().kind();
        return new FieldButton(
                field,
                PlainWords.label(field.word()),
                new FieldButton.Source(
                        FieldValues.choices(field, kind),
                        by -> FieldValues.stepped(field, by),
                        typed -> FieldValues.typed(field, typed, kind)),
                written -> desk.setOnLeaves(field, written));
    }

    /** What the other levels do instead, where they differ. */
    Node levels(MoveLine move) {
        VBox box = new VBox(2, Labels.subheading(DesktopText.of("plan.bed.levels")));
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
            HBox row = new HBox(8, Labels.small(level.name()), value);
            row.setAlignment(Pos.BASELINE_LEFT);
            box.getChildren().add(row);
        }
        return box;
    }
}
