package app.nosegay.desktop.dress;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.EnumWords;
import app.nosegay.desktop.controls.Pictures;
import app.nosegay.desktop.session.Session;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Face;
import app.nosegay.dress.Layout;
import app.nosegay.dress.PlacedOverlay;
import app.nosegay.dress.Style;
import app.nosegay.evidence.sight.Box;
import app.nosegay.files.AtomicFile;
import app.nosegay.files.InputFile;
import app.nosegay.paint.PiecePainter;
import app.nosegay.workout.StyleJson;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** The styles to choose from, each as it looks, and the design of the timer. */
final class StylePage {
    private static final int WIDTH = 142;
    private static final int HEIGHT = 80;

    private static final Map<Style, Image> SWATCHES = new ConcurrentHashMap<>();

    private final Session session;
    private final HBox swatches = new HBox(8);
    private final ToggleGroup group = new ToggleGroup();
    private final ComboBox<Style.Clock> timer = new ComboBox<>();
    private final HBox view;
    private boolean showing;

    StylePage(Session session) {
        this.session = session;
        timer.getItems().setAll(Style.Clock.values());
        timer.setId("timer-design");
        timer.setConverter(new EnumWords<>(Style.Clock.class));
        timer.setOnAction(e -> {
            if (!showing && timer.getValue() != null) {
                choose(
                        session.workout().dressing().style().withTimer(timer.getValue()),
                        DesktopText.of("dress.style-page.timer-design"));
            }
        });
        Button open = Buttons.quiet(DesktopText.of("dress.style-page.open-a-style"), this::open);
        Button save = Buttons.quiet(DesktopText.of("dress.style-page.save-this-style"), this::save);
        HBox design = new HBox(8, new Label(DesktopText.of("dress.style-page.timer")), timer);
        design.setAlignment(Pos.CENTER_LEFT);
        VBox below = new VBox(4, design, open, save);
        swatches.setId("styles");
        view = new HBox(16, swatches, below);
    }

    Region view() {
        return view;
    }

    void show(DressNotes notes) {
        showing = true;
        timer.getSelectionModel().select(notes.style().timer());
        List<Style> styles = new ArrayList<>(Style.SHIPPED);
        boolean own =
                styles.stream().noneMatch(s -> s.name().equals(notes.style().name()));
        if (own) {
            styles.add(notes.style());
        }
        swatches.getChildren().clear();
        for (Style style : styles) {
            ToggleButton button = new ToggleButton(style.name());
            button.setToggleGroup(group);
            button.setGraphic(new ImageView(SWATCHES.computeIfAbsent(style, StylePage::swatch)));
            button.setContentDisplay(ContentDisplay.TOP);
            button.getStyleClass().setAll("swatch");
            button.setId("style-" + style.name().toLowerCase(Locale.ROOT).replace(' ', '-'));
            button.setSelected(style.name().equals(notes.style().name()));
            button.setOnAction(e -> choose(style, DesktopText.of("dress.style-page.style", style.name())));
            swatches.getChildren().add(button);
        }
        showing = false;
    }

    private void choose(Style style, String name) {
        session.apply(
                name,
                session.workout().withDressing(session.workout().dressing().withStyle(style)));
    }

    private static Image swatch(Style style) {
        BufferedImage image = new BufferedImage(WIDTH * 2, HEIGHT * 2, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = image.createGraphics();
        g.setColor(new Color(0x8FA08A));
        g.fillRect(0, 0, WIDTH * 2, HEIGHT * 2);
        // Half a frame, so that the pieces can be made out.
        List<PlacedOverlay> pieces = List.of(
                at(new Face.Timer(Face.Phase.WORK, 27, 40, false), style, 620, 24, true),
                at(
                        new Face.NamePlate(
                                DesktopText.of("dress.style-page.squat"),
                                3,
                                11,
                                DesktopText.of("dress.style-page.round"),
                                1,
                                2),
                        style,
                        24,
                        24,
                        false),
                at(
                        new Face.Card(
                                Face.CardKind.OPTION,
                                DesktopText.of("dress.style-page.easier"),
                                DesktopText.of("dress.style-page.sit-to-the-bench")),
                        style,
                        24,
                        196,
                        false));
        new PiecePainter(style).draw(pieces, g, WIDTH * 4, HEIGHT * 4);
        g.dispose();
        BufferedImage small = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_ARGB);
        Graphics2D s = small.createGraphics();
        s.drawImage(image.getScaledInstance(WIDTH, HEIGHT, java.awt.Image.SCALE_AREA_AVERAGING), 0, 0, null);
        s.dispose();
        return Pictures.toFx(small);
    }

    private static PlacedOverlay at(Face face, Style style, double x, double y, boolean right) {
        Layout.Group group = face instanceof Face.Timer
                ? Layout.Group.CLOCK
                : face instanceof Face.Card ? Layout.Group.CARD : Layout.Group.HEAD;
        double[] size = Layout.size(group, style, Layout.Needs.WORDS);
        double beside = 572 - Layout.size(Layout.Group.CLOCK, style, Layout.Needs.LEAST)[0];
        double width = Math.min(size[0], face instanceof Face.NamePlate ? beside : 400);
        return new PlacedOverlay(
                face, new Box(right ? x - width : x, y, width, size[1]), style.opacity(), right, false);
    }

    private void open() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(DesktopText.of("dress.style-page.open-a-style-2"));
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter(
                        DesktopText.of("dress.style-page.styles"), "*.style.json", "*.json"));
        File chosen = chooser.showOpenDialog(view.getScene().getWindow());
        if (chosen != null) {
            try {
                choose(
                        StyleJson.read(InputFile.STYLE.text(chosen.toPath())),
                        DesktopText.of("dress.style-page.style-from", chosen.getName()));
            } catch (IOException e) {
                session.jobs().say(chosen.getName() + ": " + e.getMessage());
            }
        }
    }

    private void save() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(DesktopText.of("dress.style-page.save-this-style-2"));
        Style style = session.workout().dressing().style();
        chooser.setInitialFileName(style.name().toLowerCase(Locale.ROOT).replace(' ', '-') + ".style.json");
        File chosen = chooser.showSaveDialog(view.getScene().getWindow());
        if (chosen != null && session.exports().mayWrite(chosen.toPath())) {
            try {
                AtomicFile.write(chosen.toPath(), StyleJson.write(style).toPrettyString() + "\n");
                session.jobs().tell(DesktopText.of("dress.style-page.the-style-is-in", chosen));
            } catch (IOException e) {
                session.jobs().say(DesktopText.of("dress.style-page.cannot-be-written", chosen, e.getMessage()));
            }
        }
    }
}
