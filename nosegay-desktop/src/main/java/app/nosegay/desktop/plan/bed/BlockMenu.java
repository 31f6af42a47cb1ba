package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.plan.bed.BedRow;
import app.nosegay.plan.bed.Field;
import app.nosegay.plan.bed.NewBlock;
import app.nosegay.plan.bed.PlainWords;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.terms.BlockKind;
import java.util.LinkedHashMap;
import java.util.Map;
import javafx.geometry.Side;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;

/** What else can be said of a block, and what can be done with it. */
final class BlockMenu {
    /** What a block may say besides its sentence, with what it says at first. */
    private static final Map<Attribute, String> FIRST = new LinkedHashMap<>();

    static {
        FIRST.put(Attribute.ROUND_REST, "1:00");
        FIRST.put(Attribute.SIDES, "separate");
        FIRST.put(Attribute.TEMPO, "3-1-1");
        FIRST.put(Attribute.DEMO, "before");
        FIRST.put(Attribute.GEAR, "dumbbell pair medium");
        FIRST.put(Attribute.POSITION, "seated");
        FIRST.put(Attribute.START, "left");
        FIRST.put(Attribute.EFFORT, "7");
        FIRST.put(Attribute.DOSE, "3 x 10");
        FIRST.put(Attribute.SHOWN, "6");
        FIRST.put(Attribute.BONUS, "yes");
        FIRST.put(Attribute.REST_AFTER_LAST, "yes");
    }

    private final ContextMenu menu = new ContextMenu();

    BlockMenu(BedDesk desk, int index, BedRow row) {
        if (row.block().hasMoves()) {
            Menu say = new Menu(DesktopText.of("plan.bed.say-more"));
            FIRST.forEach((attribute, first) -> {
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
        item(DesktopText.of("plan.bed.menu-up"), () -> at(desk, index, () -> desk.carryAcross(-1)));
        item(DesktopText.of("plan.bed.menu-down"), () -> at(desk, index, () -> desk.carryAcross(1)));
        item(DesktopText.of("plan.bed.menu-duplicate"), () -> at(desk, index, desk::duplicate));
        item(DesktopText.of("plan.bed.menu-remove"), () -> at(desk, index, desk::remove));
    }

    private static void at(BedDesk desk, int index, Runnable does) {
        desk.choose(new Spot(index, Spot.TAG));
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
            item.setOnAction(e -> desk.addBlock(NewBlock.head(kind)));
            kinds.getItems().add(item);
        }
        return kinds;
    }
}
