package app.nosegay.desktop.dress;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.EnumWords;
import app.nosegay.desktop.session.FinishedPicture;
import app.nosegay.desktop.session.Session;
import app.nosegay.dress.Style;
import app.nosegay.evidence.sight.Frame;
import java.util.function.Supplier;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.effect.GaussianBlur;
import javafx.scene.layout.Region;
import javafx.stage.Screen;

/** How the finished picture is looked at: large, as on a phone, with half-shut eyes, or beside what it was. */
final class LookChoice {
    /** What half-shut eyes blur a phone's picture by, in pixels. */
    private static final double SQUINT_PX = 5;

    private static final double MM_PER_INCH = 25.4;

    private final Session session;
    private final FinishedPicture picture;
    private final Region stage;
    private final Supplier<Frame> frame;
    private final ComboBox<Look> look = new ComboBox<>();
    private final Label readable = new Label();

    /**
     * @param stage what the large picture fills
     * @param frame the shape of what is looked at
     */
    LookChoice(Session session, FinishedPicture picture, Region stage, Supplier<Frame> frame) {
        this.session = session;
        this.picture = picture;
        this.stage = stage;
        this.frame = frame;
        readable.setId("dress-readable");
        readable.managedProperty().bind(readable.visibleProperty());
        look.getItems().setAll(Look.values());
        look.setConverter(new EnumWords<>(Look.class));
        look.getSelectionModel().select(Look.LARGE);
        look.setId("dress-look");
        look.setAccessibleText(DesktopText.of("dress.dress-stage.how-to-look-at-it"));
    }

    ComboBox<Look> choice() {
        return look;
    }

    /** From how far away words and timer can be read on a phone. */
    Label readable() {
        return readable;
    }

    /** Large, at the size of a phone, or beside what it was. */
    void apply() {
        Look now = look.getValue();
        picture.view().fitWidthProperty().unbind();
        picture.view().fitHeightProperty().unbind();
        if (now.isPhone()) {
            double px = Look.PHONE_MM / MM_PER_INCH * Screen.getPrimary().getDpi();
            picture.view().setFitWidth(px);
            picture.view().setFitHeight(px);
        } else {
            picture.view().fitWidthProperty().bind(stage.widthProperty());
            picture.view().fitHeightProperty().bind(stage.heightProperty());
        }
        picture.view().setEffect(now == Look.SQUINT ? new GaussianBlur(SQUINT_PX) : null);
        picture.setBeside(now == Look.BEFORE_AND_AFTER);
        tellReadable();
    }

    /** Says from how far away words and timer can be read on a phone. */
    void tellReadable() {
        readable.setVisible(look.getValue().isPhone());
        Style style = session.workout().dressing().style();
        double mm = Look.PHONE_MM / Math.max(frame.get().width(), frame.get().height());
        readable.setText(DesktopText.of(
                "dress.dress-stage.readable",
                Style.readableFrom(style.smallestWords(), mm),
                Style.readableFrom(style.timerDigits(), mm)));
    }
}
