package app.nosegay.desktop.shoot;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Labels;
import app.nosegay.desktop.controls.Pictures;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.TestClip;
import app.nosegay.review.seen.TestFrame;
import app.nosegay.shoot.Extreme;
import app.nosegay.workout.Programme;
import java.awt.image.BufferedImage;
import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** A test clip before a shoot: chosen, looked at, and one page with what the frame holds and what it cuts off. */
final class FrameTrial {
    /** The remarks stand beside the picture, in pixels. */
    private static final double REMARKS = 380;

    /** Less of the picture than this, in pixels, shows no hands. */
    private static final double LEAST_PICTURE = 240;

    private final Session session;
    private final Consumer<Region> show;
    private final Consumer<Set<Extreme>> tried;
    private final Runnable back;

    /**
     * @param show shows a page
     * @param tried told which extremes were seen in a clip whose frame holds them
     * @param back leaves the page
     */
    FrameTrial(Session session, Consumer<Region> show, Consumer<Set<Extreme>> tried, Runnable back) {
        this.session = session;
        this.show = show;
        this.tried = tried;
        this.back = back;
    }

    /** Asks for a clip and looks at it. */
    void choose(Window window) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(DesktopText.of("shoot.test-frame.choose"));
        File chosen = chooser.showOpenDialog(window);
        if (chosen != null) {
            look(chosen.toPath());
        }
    }

    void look(Path movie) {
        long opened = session.opened();
        Programme programme = session.programme().get();
        session.jobs()
                .run(
                        DesktopText.of("shoot.test-frame.looking"),
                        progress -> TestClip.look(movie, programme, progress),
                        clip -> {
                            if (session.isOpen(opened)) {
                                show(clip);
                            }
                        });
    }

    private void show(TestClip clip) {
        TestFrame frame = clip.frame();
        if (frame.isInside()) {
            tried.accept(frame.done());
        }
        Label heading = new Label(
                frame.fits()
                        ? DesktopText.of("shoot.test-frame.fits")
                        : frame.isInside()
                                ? DesktopText.of("shoot.test-frame.more-to-try")
                                : DesktopText.of("shoot.test-frame.cut-off"));
        heading.getStyleClass().add("verdict-heading");
        heading.setId("test-frame");
        ImageView picture = new ImageView();
        picture.setPreserveRatio(true);
        picture.setId("test-picture");
        StackPane holder = new StackPane(picture);
        holder.setAlignment(Pos.TOP_LEFT);
        holder.setMinSize(LEAST_PICTURE, LEAST_PICTURE);
        holder.setPrefSize(LEAST_PICTURE, LEAST_PICTURE);
        picture.fitWidthProperty().bind(holder.widthProperty());
        picture.fitHeightProperty().bind(holder.heightProperty());
        HBox.setHgrow(holder, Priority.ALWAYS);
        HBox middle = new HBox(20, holder, remarks(clip, picture));
        VBox.setVgrow(middle, Priority.ALWAYS);
        Button again = Buttons.quiet(
                DesktopText.of("shoot.test-frame.another"),
                "test-frame-again",
                () -> choose(holder.getScene().getWindow()));
        Button leave = Buttons.act(DesktopText.of("shoot.test-frame.back"), back);
        leave.setId("test-frame-back");
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        HBox buttons = new HBox(10, again, space, leave);
        buttons.setAlignment(Pos.CENTER_LEFT);
        VBox page = new VBox(12, heading, middle, buttons);
        page.getStyleClass().add("stage");
        show.accept(page);
        leave.requestFocus();
    }

    /** The sentences; the chosen one shows its moment. */
    private static Region remarks(TestClip clip, ImageView picture) {
        VBox list = new VBox(6);
        ToggleGroup group = new ToggleGroup();
        List<TestFrame.Remark> remarks = clip.frame().remarks();
        for (int i = 0; i < remarks.size(); i++) {
            ToggleButton remark = new ToggleButton(remarks.get(i).text());
            remark.getStyleClass().setAll("test-remark");
            if (remarks.get(i).isWrong()) {
                remark.getStyleClass().add("test-wrong");
            }
            remark.setWrapText(true);
            remark.setMaxWidth(Double.MAX_VALUE);
            remark.setMinHeight(Region.USE_PREF_SIZE);
            remark.setToggleGroup(group);
            remark.setUserData(clip.pictures().get(i));
            list.getChildren().add(remark);
        }
        group.selectedToggleProperty().addListener((o, before, now) -> {
            if (now == null) {
                before.setSelected(true);
            } else {
                picture.setImage(Pictures.toFx((BufferedImage) now.getUserData()));
            }
        });
        group.selectToggle(group.getToggles().get(0));
        list.getChildren().add(Labels.small(DesktopText.of("shoot.test-frame.how")));
        list.setMinWidth(REMARKS);
        list.setMaxWidth(REMARKS);
        return list;
    }
}
