package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.plan.bed.BedRow;
import app.nosegay.plan.bed.Field;
import app.nosegay.plan.bed.NewBlock;
import app.nosegay.plan.bed.PlainWords;
import app.nosegay.plan.terms.BlockKind;
import javafx.geometry.Side;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;

/** What else can be said of a block, and what can be done with it. */
final class BlockMenu {
    private final ContextMenu menu = new ContextMenu();

    BlockMenu(BedDesk desk, int index, BedRow row) {
        if (row.block().hasMoves()) {
            Menu say = new Menu(DesktopText.of("plan.bed.say-more"));
            NewBlock.further().forEach((attribute, first) -> {
                MenuItem item = new MenuItem(PlainWords.label(attribute.word()));
                Field field = new Field(attribute.word(), "", "");
                item.setOnAction(e -> desk.set(index, field, first));
                say.getItems().add(item);
            });
            menu.getItems().add(say);
        }
        if (!menu.getItems().isEmpty()) {
            menu.getItems().add(new SeparatorMenuItem());
        }
        item(
                DesktopText.of("plan.bed.menu-up"),
                () -> at(desk, index, () -> desk.placing().carryAcross(-1)));
        item(
                DesktopText.of("plan.bed.menu-down"),
                () -> at(desk, index, () -> desk.placing().carryAcross(1)));
        item(DesktopText.of("plan.bed.menu-duplicate"), () -> at(desk, index, desk.placing()::duplicate));
        item(DesktopText.of("plan.bed.menu-remove"), () -> at(desk, index, desk.placing()::remove));
    }

    private static void at(BedDesk desk, int index, Runnable does) {
        desk.choice().choose(new Spot(index, Spot.TAG));
        does.run();
    }

    private void item(String words, Runnable does) {
        MenuItem item = new MenuItem(words);
        item.setOnAction(e -> does.run());
        menu.getItems().add(item);
    }

    void show(Node anchor) {
        menu.show(anchor, Side.BOTTOM, 0, 0);
    }

    /** The kinds of block there are, to add one behind the chosen row. */
    static ContextMenu kinds(BedDesk desk) {
        ContextMenu kinds = new ContextMenu();
        kinds.setId("bed-kinds");
        for (BlockKind kind : BlockKind.values()) {
            MenuItem item =
                    new MenuItem(DesktopText.of("plan.bed.kind-line", NewBlock.label(kind), NewBlock.explained(kind)));
            item.setId("bed-kind-" + kind.word());
            item.setOnAction(e -> desk.placing().addBlock(NewBlock.head(kind)));
            kinds.getItems().add(item);
        }
        return kinds;
    }
}
