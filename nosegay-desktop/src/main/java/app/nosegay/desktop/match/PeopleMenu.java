package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.TakeScreen;
import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.paint.Skeleton;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.MenuButton;
import javafx.scene.layout.Region;

/** What was understood of the people in the recordings: shown over the picture or not, looked for or not. */
final class PeopleMenu {
    private final Session session;
    private final TakeScreen screen;
    private final CheckMenuItem show = new CheckMenuItem(DesktopText.of("match.people-menu.show"));
    private final CheckMenuItem look = new CheckMenuItem(DesktopText.of("match.people-menu.look"));
    private final MenuButton button = new MenuButton(DesktopText.of("match.people-menu.people"));
    /** By the file of each take; replaced as a whole, as pictures come on other threads. */
    private volatile Map<Path, Bodies> seen = Map.of();

    PeopleMenu(Session session, TakeScreen screen) {
        this.session = session;
        this.screen = screen;
        button.setId("people");
        button.getStyleClass().add("quiet");
        button.getItems().setAll(show, look);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnShowing(e -> look.setSelected(session.sight().isWanted()));
        look.setOnAction(e -> session.sight().want(look.isSelected()));
        show.setOnAction(e -> refresh());
    }

    Node view() {
        return button;
    }

    /** Takes in who was seen in the takes of a programme. */
    void show(Iterable<TakeEvidence> takes) {
        Map<String, Path> files = session.media().files(session.workout());
        Map<String, Bodies> byId = new HashMap<>();
        takes.forEach(t -> byId.put(t.id(), t.bodies()));
        seen = files.entrySet().stream()
                .filter(f -> byId.containsKey(f.getKey()))
                .collect(Collectors.toMap(Map.Entry::getValue, f -> byId.get(f.getKey()), (a, b) -> a));
        boolean any = seen.values().stream().anyMatch(b -> !b.isEmpty());
        show.setDisable(!any);
        if (show.isSelected()) {
            refresh();
        }
    }

    private void refresh() {
        screen.drawOver(show.isSelected() ? this::draw : (picture, file, time) -> {});
    }

    private void draw(BufferedImage picture, Path file, Time<Axis.Take> time) {
        Bodies bodies = seen.getOrDefault(file, Bodies.NONE);
        if (!bodies.isEmpty()) {
            Graphics2D g = picture.createGraphics();
            // A picture is narrower than its frame where the take is upright: bodies are measured by its height.
            Skeleton.draw(g, bodies, (int) Math.round(time.seconds() * bodies.hz()), picture.getHeight());
            g.dispose();
        }
    }
}
