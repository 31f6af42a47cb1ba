package app.nosegay.desktop.dress;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.FrameShape;
import app.nosegay.dress.Layout;
import app.nosegay.evidence.sight.Frame;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What was put somewhere by hand, and for how much of the workout a drag counts. */
final class PlacesPage {
    private static final String WORKOUT = DesktopText.of("dress.places-page.the-whole-workout");
    private static final String BLOCK = DesktopText.of("dress.places-page.this-block");
    private static final String INTERVAL = DesktopText.of("dress.places-page.this-interval");

    private final Session session;
    private final Supplier<Layout.Stretch> here;
    private final Supplier<Frame> frame;
    private final ComboBox<String> scope = new ComboBox<>();
    private final CheckBox occupancy = new CheckBox(DesktopText.of("dress.places-page.show-where-people-are"));
    private final FlowPane put = new FlowPane(8, 6);
    private final VBox view;

    /**
     * @param here the interval being looked at, or null
     * @param frame the picture it is looked at in
     * @param onOccupancy called when the heat is to be shown or hidden
     */
    PlacesPage(Session session, Supplier<Layout.Stretch> here, Supplier<Frame> frame, Runnable onOccupancy) {
        this.session = session;
        this.here = here;
        this.frame = frame;
        scope.getItems().setAll(WORKOUT, BLOCK, INTERVAL);
        scope.getSelectionModel().select(0);
        scope.setId("place-scope");
        occupancy.setId("show-heat");
        occupancy.setOnAction(e -> onOccupancy.run());
        Label how = new Label(DesktopText.of("dress.places-page.pieces-keep-clear-of-people"));
        how.setWrapText(true);
        HBox head = new HBox(8, how, scope, occupancy);
        head.setAlignment(Pos.CENTER_LEFT);
        put.setId("places");
        view = new VBox(10, head, put);
    }

    Region view() {
        return view;
    }

    boolean showsOccupancy() {
        return occupancy.isSelected();
    }

    void show(DressNotes notes) {
        put.getChildren().clear();
        for (DressNotes.Put p : notes.places()) {
            String where = (p.scope().isEmpty() ? "everywhere" : DesktopText.of("dress.places-page.in", p.scope()))
                    + (p.shape() == null
                            ? ""
                            : ", " + p.shape().words() + DesktopText.of("dress.places-page.pictures"));
            Button chip = new Button(p.group().words() + ": " + p.anchor().words() + ", " + where + "  ×");
            chip.getStyleClass().add("chip");
            chip.setAccessibleText(DesktopText.of(
                    "dress.places-page.let-the-find-its-own", p.group().words()));
            chip.setOnAction(e -> session.apply(
                    DesktopText.of("dress.places-page.free-the", p.group().words()),
                    session.workout().withDressing(notes.without(p))));
            put.getChildren().add(chip);
        }
    }

    /** Puts a group somewhere for the chosen scope. */
    void put(Layout.Group group, Layout.Anchor anchor) {
        Layout.Stretch at = here.get();
        String id = WORKOUT.equals(scope.getValue()) || at == null
                ? ""
                : BLOCK.equals(scope.getValue()) ? at.block() : at.interval();
        session.apply(
                DesktopText.of("dress.places-page.put-the-at-the", group.words(), anchor.words()),
                session.workout()
                        .withDressing(session.workout()
                                .dressing()
                                .with(new DressNotes.Put(group, id, anchor, FrameShape.of(frame.get())))));
    }
}
