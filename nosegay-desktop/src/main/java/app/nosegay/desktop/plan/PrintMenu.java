package app.nosegay.desktop.plan;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.PrintJob;
import java.io.File;
import javafx.scene.Node;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.layout.Region;
import javafx.stage.DirectoryChooser;
import javafx.stage.Window;

/** The sheets a plan can be printed as, and the workout collected into a folder. */
final class PrintMenu {
    private PrintMenu() {}

    static MenuButton of(Session session) {
        MenuButton menu = new MenuButton(DesktopText.of("plan.plan-stage.print-and-hand-out"));
        menu.setMinWidth(Region.USE_PREF_SIZE);
        menu.setId("print");
        menu.getStyleClass().add("quiet");
        for (PrintJob.Form form : PrintJob.Form.values()) {
            MenuItem item = new MenuItem(form.label());
            item.setOnAction(e -> session.exports().print(form, window(menu)));
            menu.getItems().add(item);
        }
        MenuItem pack = new MenuItem(DesktopText.of("plan.plan-stage.the-workout-and-its-recordings"));
        pack.setId("pack");
        pack.setOnAction(e -> pack(session, window(menu)));
        menu.getItems().addAll(new SeparatorMenuItem(), pack);
        return menu;
    }

    private static void pack(Session session, Window window) {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(DesktopText.of("plan.plan-stage.an-empty-folder-for-the"));
        File chosen = chooser.showDialog(window);
        if (chosen != null) {
            session.exports().pack(chosen.toPath());
        }
    }

    private static Window window(Node in) {
        return in.getScene().getWindow();
    }
}
