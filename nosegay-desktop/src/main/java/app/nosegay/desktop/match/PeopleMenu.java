package app.nosegay.desktop.match;

import app.nosegay.cut.MatchNotes;
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
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;

/** What was understood of the people in the recordings: shown over the picture or not, looked for or not. */
final class PeopleMenu {
    private final Session session;
    private final TakeScreen screen;
    private final CheckMenuItem show = new CheckMenuItem(DesktopText.of("match.people-menu.show"));
    private final CheckMenuItem look = new CheckMenuItem(DesktopText.of("match.people-menu.look"));
    private final Menu nobody = new Menu(DesktopText.of("match.people-menu.not-a-person"));
    private final MenuItem everybody = new MenuItem(DesktopText.of("match.people-menu.everybody"));
    private final ContextMenu atPicture = new ContextMenu();
    private final MenuButton button = new MenuButton(DesktopText.of("match.people-menu.people"));
    /** By the file of each take; replaced as a whole, as pictures come on other threads. */
    private volatile Map<Path, Bodies> seen = Map.of();

    PeopleMenu(Session session, TakeScreen screen) {
        this.session = session;
        this.screen = screen;
        button.setId("people");
        button.getStyleClass().add("quiet");
        button.getItems().setAll(show, nobody, everybody, look);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnShowing(e -> fill());
        everybody.setOnAction(
                e -> session.apply(everybody.getText(), session.workout().withMatching(notes().withEverybody())));
        screen.onClicked(this::clicked);
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

    private void fill() {
        look.setSelected(session.sight().isWanted());
        everybody.setDisable(notes().nobody().isEmpty());
        nobody.getItems().clear();
        screen.shown().ifPresent(now -> {
            Bodies bodies = seen.getOrDefault(now.file(), Bodies.NONE);
            List<Bodies.Body> there = bodies.across(now.time());
            for (int i = 0; i < there.size(); i++) {
                String name = there.size() == 1
                        ? DesktopText.of("match.people-menu.the-one")
                        : DesktopText.of("match.people-menu.number", i + 1);
                nobody.getItems().add(leftOut(name, now.file(), bodies.place(there.get(i), now.time())));
            }
        });
        nobody.setDisable(nobody.getItems().isEmpty());
    }

    private MenuItem leftOut(String name, Path file, Bodies.Place place) {
        MenuItem item = new MenuItem(name);
        item.setOnAction(e -> leaveOut(file, place));
        return item;
    }

    private void leaveOut(Path file, Bodies.Place place) {
        session.media().files(session.workout()).forEach((take, path) -> {
            if (path.equals(file)) {
                session.apply(
                        DesktopText.of("match.people-menu.left-out", place.at()),
                        session.workout().withMatching(notes().withNobody(new MatchNotes.Nobody(take, place))));
            }
        });
    }

    /** Whoever is clicked while joints are drawn can be left out. */
    private void clicked(double x, double y, MouseEvent click) {
        atPicture.hide();
        if (!show.isSelected() || screen.isPlaying()) {
            return;
        }
        screen.shown().ifPresent(now -> {
            Bodies bodies = seen.getOrDefault(now.file(), Bodies.NONE);
            bodies.at(new Bodies.Place(now.time(), x, y)).ifPresent(body -> {
                String told = DesktopText.of("match.people-menu.this-is-no-person");
                atPicture.getItems().setAll(leftOut(told, now.file(), bodies.place(body, now.time())));
                atPicture.show(screen.view(), click.getScreenX(), click.getScreenY());
            });
        });
    }

    private MatchNotes notes() {
        return session.workout().matching();
    }

    private void draw(BufferedImage picture, Path file, Time<Axis.Take> time) {
        Bodies bodies = seen.getOrDefault(file, Bodies.NONE);
        if (!bodies.isEmpty()) {
            Graphics2D g = picture.createGraphics();
            // A picture is narrower than its frame where the take is upright: bodies are measured by its height.
            Skeleton.draw(g, bodies, time, picture.getHeight());
            g.dispose();
        }
    }
}
