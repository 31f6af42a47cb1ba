package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.plan.bed.NewBlock;
import app.nosegay.time.Length;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;

/** What can be done with a rest: how long it is, and what is done in it. */
final class GapMenu {
    private static final List<Integer> SECONDS = List.of(10, 15, 20, 30, 45, 60, 90);

    private final ContextMenu menu = new ContextMenu();

    GapMenu(BedDesk desk, Spot spot) {
        for (int seconds : SECONDS) {
            Length length = Length.ofSeconds(seconds);
            add(length.clock(), () -> desk.rest(spot, length));
        }
        menu.getItems().add(new SeparatorMenuItem());
        NewBlock.restActivities().forEach(c -> add(c.shown(), () -> desk.active(spot, c.written())));
        menu.getItems().add(new SeparatorMenuItem());
        add(DesktopText.of("plan.bed.gap-remove"), () -> {
            desk.choice().choose(spot);
            desk.placing().remove();
        });
    }

    private void add(String words, Runnable does) {
        MenuItem item = new MenuItem(words);
        item.setOnAction(e -> does.run());
        menu.getItems().add(item);
    }

    void show(Node anchor, double x, double y) {
        menu.show(anchor, x, y);
    }
}
