package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.Libraries;
import app.nosegay.plan.bed.Tag;
import app.nosegay.plan.edit.NotesReader;
import java.util.Arrays;
import java.util.List;
import javafx.geometry.Side;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** What the keys do on the bed, while no value or button of it has the keyboard. */
final class BedKeys {
    private final BedView bed;
    private final BedDesk desk;

    BedKeys(BedView bed, BedDesk desk) {
        this.bed = bed;
        this.desk = desk;
    }

    void pressed(KeyEvent e) {
        if (e.getTarget() != e.getSource() && e.getCode() != KeyCode.ESCAPE) {
            return; // a value or button of the bed has the keyboard
        }
        if (e.isControlDown() || e.isMetaDown() ? control(e.getCode()) : plain(e)) {
            e.consume();
        }
    }

    private boolean control(KeyCode code) {
        switch (code) {
            case D -> desk.placing().duplicate();
            case C -> copy();
            case X -> {
                copy();
                desk.placing().remove();
            }
            case V -> paste();
            default -> {
                return false;
            }
        }
        return true;
    }

    private boolean plain(KeyEvent e) {
        switch (e.getCode()) {
            case LEFT, RIGHT -> along(e, e.getCode() == KeyCode.LEFT ? -1 : 1);
            case UP, DOWN -> across(e, e.getCode() == KeyCode.UP ? -1 : 1);
            case PLUS, ADD, EQUALS -> desk.step(1);
            case MINUS, SUBTRACT -> desk.step(-1);
            case ENTER -> enter(e.isShiftDown());
            case DELETE, BACK_SPACE -> desk.placing().remove();
            case R -> desk.placing().rest();
            case T -> desk.nextTeaching();
            case S -> desk.nextSides();
            case O -> bed.missing(Tag.Kind.EASIER);
            case L -> levels();
            case F2 -> rename();
            case SPACE -> bed.openLeaf();
            case ESCAPE -> bed.requestFocus();
            case HOME -> bed.choose(Spot.START);
            case END -> bed.choose(new Spot(desk.choice().rows().size() - 1, Spot.TAG));
            default -> {
                return false;
            }
        }
        return true;
    }

    private void along(KeyEvent e, int by) {
        if (e.isAltDown()) {
            desk.placing().carryAlong(by);
        } else if (e.isShiftDown()) {
            desk.choice()
                    .chooseAlso(desk.choice().spot().at(desk.choice().spot().item() + by));
        } else {
            Spot spot = desk.choice().spot();
            int last =
                    desk.choice().row().map(r -> r.block().items().size() - 1).orElse(Spot.TAG);
            int item = spot.item() + by;
            boolean next = item > last && spot.row() + 1 < desk.choice().rows().size();
            bed.choose(next ? new Spot(spot.row() + 1, Spot.TAG) : spot.at(item));
        }
    }

    private void across(KeyEvent e, int by) {
        if (e.isAltDown()) {
            desk.placing().carryAcross(by);
        } else {
            bed.choose(new Spot(
                    desk.choice().spot().row() + by, desk.choice().spot().item()));
        }
    }

    private void enter(boolean block) {
        boolean noMoves = desk.choice().row().map(r -> !r.block().hasMoves()).orElse(true);
        if (block || noMoves && !desk.choice().rows().isEmpty()) {
            bed.kinds(bed.chosenNode());
        } else {
            bed.addAt(desk.choice().spot(), bed.chosenNode());
        }
    }

    private void levels() {
        if (desk.choice().leaf().isEmpty()) {
            return;
        }
        ContextMenu menu = new ContextMenu();
        desk.sheet().header().levels().forEach(level -> {
            MenuItem item = new MenuItem(DesktopText.of("plan.bed.level-differs", level.name()));
            item.setOnAction(e -> bed.openLeaf());
            menu.getItems().add(item);
        });
        if (menu.getItems().isEmpty()) {
            MenuItem none = new MenuItem(DesktopText.of("plan.bed.no-levels"));
            none.setDisable(true);
            menu.getItems().add(none);
        }
        menu.show(bed.chosenNode(), Side.BOTTOM, 0, 0);
    }

    private void rename() {
        if (desk.choice().spot().isTag()) {
            Node name = bed.chosenNode().lookup(".value-name");
            if (name instanceof Button button) {
                button.requestFocus();
                button.fire();
            }
        } else {
            bed.openLeaf();
        }
    }

    private void copy() {
        String lines = desk.placing().copied();
        if (!lines.isEmpty()) {
            ClipboardContent content = new ClipboardContent();
            content.putString(lines);
            Clipboard.getSystemClipboard().setContent(content);
        }
    }

    private void paste() {
        String text = Clipboard.getSystemClipboard().getString();
        if (text == null || text.isBlank()) {
            return;
        }
        NotesReader notes = new NotesReader(Libraries.current());
        boolean inBlock = desk.choice().row().map(r -> r.block().hasMoves()).orElse(false);
        String lines = notes.isNotes(text) ? notes.read(text, inBlock) : text;
        List<String> list = Arrays.stream(lines.split("\r\n|\n|\r"))
                .filter(l -> !l.isBlank())
                .toList();
        if (!list.isEmpty()) {
            desk.placing().paste(list);
        }
    }
}
