package app.nosegay.desktop.dress;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.EnumWords;
import app.nosegay.desktop.session.Session;
import app.nosegay.dress.Contrast;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Style;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ColorPicker;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;

/** A style of one's own, made from the one in use: sizes, shapes and colours, with a word on what could not be read. */
final class OwnStylePage {
    private static final Map<Style.Colour, String> WORDS = new EnumMap<>(Map.of(
            Style.Colour.PAPER, "backing",
            Style.Colour.INK, "words",
            Style.Colour.FADED, DesktopText.of("dress.own-style-page.lesser-words"),
            Style.Colour.WORK, "work",
            Style.Colour.REST, "rest",
            Style.Colour.COUNT, "counting",
            Style.Colour.OPTION, "options",
            Style.Colour.CAUTION, "cautions",
            Style.Colour.VOICE, "spoken"));

    private final Session session;
    private final TextField name = new TextField();
    private final Slider size = new Slider(0.85, 1.3, 1);
    private final Slider corner = new Slider(0, 40, 10);
    private final Slider backing = new Slider(0.4, 1, 0.9);
    private final ComboBox<Style.Edge> edge = new ComboBox<>();
    private final CheckBox serif = new CheckBox(DesktopText.of("dress.own-style-page.heading-face"));
    private final Map<Style.Colour, ColorPicker> colours = new EnumMap<>(Style.Colour.class);
    private final Label told = new Label();
    private final HBox view;
    private boolean showing;

    OwnStylePage(Session session) {
        this.session = session;
        name.setId("own-style-name");
        name.setPrefColumnCount(12);
        name.setOnAction(e -> rename());
        name.focusedProperty().addListener((o, before, now) -> rename());
        edge.getItems().setAll(Style.Edge.values());
        edge.setId("own-style-edge");
        edge.setConverter(new EnumWords<>(Style.Edge.class));
        edge.setOnAction(e -> reshape("edge"));
        serif.setId("own-style-serif");
        serif.setOnAction(e -> reshape("lettering"));
        GridPane shape = new GridPane();
        shape.setHgap(8);
        shape.setVgap(4);
        shape.addRow(0, new Label(DesktopText.of("dress.own-style-page.name")), name);
        row(shape, 1, DesktopText.of("dress.own-style-page.size"), size, "size");
        row(shape, 2, DesktopText.of("dress.own-style-page.corners"), corner, "corners");
        row(shape, 3, DesktopText.of("dress.own-style-page.backing"), backing, "backing");
        FlowPane inks = new FlowPane(10, 2);
        inks.setPrefWrapLength(480);
        for (Style.Colour colour : Style.Colour.values()) {
            ColorPicker picker = new ColorPicker();
            picker.setId("own-style-" + colour.word());
            picker.setAccessibleText(DesktopText.of("dress.own-style-page.colour-of", WORDS.get(colour)));
            picker.getStyleClass().add("button");
            picker.setStyle("-fx-color-label-visible: false;");
            picker.setOnAction(e -> recolour(colour, picker.getValue()));
            colours.put(colour, picker);
            Label word = new Label(WORDS.get(colour));
            word.setMinWidth(86);
            HBox one = new HBox(6, picker, word);
            one.setAlignment(Pos.CENTER_LEFT);
            inks.getChildren().add(one);
        }
        told.setWrapText(true);
        told.setId("own-style-told");
        HBox looks = new HBox(8, new Label(DesktopText.of("dress.own-style-page.mark-of-the-kind")), edge, serif);
        looks.setAlignment(Pos.CENTER_LEFT);
        VBox right = new VBox(3, inks, looks, told);
        view = new HBox(24, shape, right);
    }

    private void row(GridPane grid, int at, String word, Slider slider, String change) {
        slider.setId("own-style-" + change);
        slider.setPrefWidth(190);
        slider.setAccessibleText(word);
        slider.valueProperty().addListener((o, before, now) -> {
            if (!slider.isValueChanging()) {
                reshape(change);
            }
        });
        slider.valueChangingProperty().addListener((o, before, now) -> {
            if (!now) {
                reshape(change);
            }
        });
        grid.addRow(at, new Label(word), slider);
    }

    Region view() {
        return view;
    }

    void show(DressNotes notes) {
        showing = true;
        Style style = notes.style();
        if (!name.isFocused()) {
            name.setText(style.name());
        }
        size.setValue(style.scale());
        corner.setValue(style.corner());
        backing.setValue(style.opacity());
        edge.getSelectionModel().select(style.edge());
        serif.setSelected(style.serif());
        colours.forEach((colour, picker) -> picker.setValue(fx(style.colour(colour))));
        List<Style.Colour> faint = style.faint();
        told.getStyleClass().setAll("label", faint.isEmpty() ? "kept" : "broken");
        told.setText(
                faint.isEmpty()
                        ? DesktopText.of("dress.own-style-page.every-colour-stands-out-from")
                        : DesktopText.of(
                                "dress.own-style-page.too-faint-on-this-backing",
                                String.join(
                                        ", ",
                                        faint.stream()
                                                .map(c -> String.format(
                                                        Locale.ROOT,
                                                        "%s (%.1f : 1)",
                                                        WORDS.get(c),
                                                        Contrast.ratio(style.colour(c), style.paper())))
                                                .toList())));
        showing = false;
    }

    private static Color fx(int rgb) {
        return Color.rgb(rgb >> 16 & 255, rgb >> 8 & 255, rgb & 255);
    }

    private static int rgb(Color c) {
        return (int) Math.round(c.getRed() * 255) << 16
                | (int) Math.round(c.getGreen() * 255) << 8
                | (int) Math.round(c.getBlue() * 255);
    }

    /** The style in use; a shipped one gets a name of its own as soon as it is changed. */
    private Style own() {
        Style style = session.workout().dressing().style();
        boolean shipped = Style.SHIPPED.stream().anyMatch(s -> s.name().equals(style.name()));
        return shipped ? style.named(DesktopText.of("dress.own-style-page.my", style.name())) : style;
    }

    private void rename() {
        String wanted = name.getText().strip();
        if (!showing
                && !wanted.isEmpty()
                && !wanted.equals(session.workout().dressing().style().name())) {
            apply(
                    DesktopText.of("dress.own-style-page.name-of-the-style"),
                    session.workout().dressing().style().named(wanted));
        }
    }

    private void reshape(String what) {
        if (!showing && edge.getValue() != null) {
            apply(
                    DesktopText.of("dress.own-style-page.of-the-style", what),
                    own().shaped(
                                    size.getValue(),
                                    serif.isSelected(),
                                    edge.getValue(),
                                    Math.rint(corner.getValue()),
                                    Math.rint(backing.getValue() * 100) / 100));
        }
    }

    private void recolour(Style.Colour colour, Color picked) {
        if (!showing) {
            apply(
                    DesktopText.of("dress.own-style-page.colour-of-2", WORDS.get(colour)),
                    own().with(colour, rgb(picked)));
        }
    }

    private void apply(String what, Style style) {
        session.apply(
                what,
                session.workout().withDressing(session.workout().dressing().withStyle(style)));
    }
}
