package app.nosegay.desktop.publish;

import app.nosegay.cut.Cut;
import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Labels;
import app.nosegay.desktop.controls.Pictures;
import app.nosegay.desktop.session.Session;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Layout;
import app.nosegay.jobs.PublishPictures;
import app.nosegay.media.FramePicker;
import app.nosegay.media.MediaException;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executor;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What the cover shows: its frame, its words and where they stand. */
final class CoverPage {
    private static final int OFFERED = 6;
    private static final int THUMB_WIDTH = 120;
    private static final int THUMB_HEIGHT = 68;
    private static final String BY_ITSELF = DesktopText.of("publish.cover-page.where-nobody-is");
    private static final Map<String, Layout.Anchor> CORNERS = new LinkedHashMap<>();

    static {
        CORNERS.put(BY_ITSELF, null);
        CORNERS.put(DesktopText.of("publish.cover-page.top-left"), Layout.Anchor.TOP_LEFT);
        CORNERS.put(DesktopText.of("publish.cover-page.top-right"), Layout.Anchor.TOP_RIGHT);
        CORNERS.put(DesktopText.of("publish.cover-page.bottom-left"), Layout.Anchor.BOTTOM_LEFT);
        CORNERS.put(DesktopText.of("publish.cover-page.bottom-right"), Layout.Anchor.BOTTOM_RIGHT);
    }

    private final Session session;
    private final Executor painting;
    private final FlowPane offers = new FlowPane(6, 6);
    private final Slider moment = new Slider();
    private final Label at = new Label();
    private final TextField title = new TextField();
    private final TextField line = new TextField();
    private final ComboBox<String> corner = new ComboBox<>();
    private final Button again = Buttons.quiet(DesktopText.of("publish.cover-page.choose-all-of-it-for"), this::reset);
    private final VBox view;
    private Programme programme;
    private Cut offeredFor;
    private boolean showing;

    /** @param painting where pictures are fetched, beside the interface thread */
    CoverPage(Session session, Executor painting) {
        this.session = session;
        this.painting = painting;
        moment.setId("cover-moment");
        moment.setAccessibleText(DesktopText.of("publish.cover-page.moment-of-the-covers-frame"));
        moment.valueProperty().addListener((o, before, now) -> {
            at.setText(Time.<Axis.Cut>ofSeconds(now.doubleValue()).toString());
            if (!moment.isValueChanging()) {
                take(Time.ofSeconds(now.doubleValue()));
            }
        });
        moment.valueChangingProperty().addListener((o, before, now) -> {
            if (!now) {
                take(Time.ofSeconds(moment.getValue()));
            }
        });
        HBox.setHgrow(moment, Priority.ALWAYS);
        at.setMinWidth(64);
        at.setId("cover-at");
        HBox slide = new HBox(8, moment, at);
        slide.setAlignment(Pos.CENTER_LEFT);
        title.setId("cover-title");
        line.setId("cover-line");
        title.setAccessibleText(DesktopText.of("publish.cover-page.title-on-the-cover"));
        line.setAccessibleText(DesktopText.of("publish.cover-page.line-under-the-title"));
        title.setOnAction(e -> words());
        line.setOnAction(e -> words());
        title.focusedProperty().addListener((o, before, now) -> words());
        line.focusedProperty().addListener((o, before, now) -> words());
        corner.getItems().setAll(CORNERS.keySet());
        corner.setId("cover-corner");
        corner.setMinWidth(156);
        corner.setOnAction(e -> {
            if (!showing && programme != null) {
                apply(
                        DesktopText.of("publish.cover-page.cover-words", corner.getValue()),
                        cover().withCorner(CORNERS.get(corner.getValue())));
            }
        });
        offers.setId("cover-offers");
        again.setId("cover-again");
        view = page(slide);
    }

    private VBox page(Region slide) {
        return new VBox(
                8,
                Labels.small(DesktopText.of("publish.cover-page.frames-that-would-do-click")),
                offers,
                slide,
                Labels.small(DesktopText.of("publish.cover-page.title")),
                title,
                Labels.small(DesktopText.of("publish.cover-page.line-under-it")),
                line,
                Labels.small(DesktopText.of("publish.cover-page.the-words-stand")),
                corner,
                again);
    }

    Region view() {
        return view;
    }

    private DressNotes.Cover cover() {
        return session.workout().dressing().cover();
    }

    void show(Programme now) {
        programme = now;
        showing = true;
        DressNotes.Cover cover = now.workout().dressing().cover();
        moment.setMax(Math.max(0.1, now.cut().total().seconds()));
        if (!moment.isValueChanging()) {
            moment.setValue(PublishPictures.coverMoment(now).seconds());
        }
        title.setPromptText(now.timeline().sheet().header().title());
        line.setPromptText(PublishPictures.coverLine(now));
        if (!title.isFocused()) {
            title.setText(cover.title());
        }
        if (!line.isFocused()) {
            line.setText(cover.line());
        }
        CORNERS.forEach((word, anchor) -> {
            if (anchor == cover.corner()) {
                corner.getSelectionModel().select(word);
            }
        });
        again.setDisable(cover.equals(DressNotes.Cover.AUTOMATIC));
        showing = false;
    }

    /** Fetches the offered frames, once per cut. */
    void fetch() {
        Programme of = programme;
        if (of == null || of.cut().equals(offeredFor)) {
            return;
        }
        offeredFor = of.cut();
        offers.getChildren().clear();
        List<Time<Axis.Cut>> moments = PublishPictures.coverMoments(of);
        for (Time<Axis.Cut> time : moments.subList(0, Math.min(OFFERED, moments.size()))) {
            ImageView picture = new ImageView();
            picture.setFitWidth(THUMB_WIDTH);
            picture.setFitHeight(THUMB_HEIGHT);
            picture.setPreserveRatio(true);
            Button offer = new Button("", picture);
            offer.getStyleClass().add("chip");
            offer.setTooltip(new Tooltip(DesktopText.of("publish.cover-page.the-frame-at", time)));
            offer.setAccessibleText(DesktopText.of("publish.cover-page.the-frame-at", time));
            offer.setOnAction(e -> moment.setValue(time.seconds()));
            offers.getChildren().add(offer);
            painting.execute(() -> thumbnail(of, time, picture));
        }
    }

    private void thumbnail(Programme of, Time<Axis.Cut> time, ImageView into) {
        Cut.Clip clip = of.cut().pictureAt(time).orElse(null);
        if (clip == null) {
            return; // the recordings were just removed
        }
        Path file = session.media().files(of.workout()).get(clip.take());
        if (file == null) {
            return;
        }
        try (FramePicker picker = new FramePicker(file)) {
            BufferedImage image = picker.frameAt(clip.sourceAt(time), 2 * THUMB_WIDTH, 2 * THUMB_HEIGHT);
            if (image != null) {
                Platform.runLater(() -> into.setImage(Pictures.toFx(image)));
            }
        } catch (MediaException e) {
            Platform.runLater(() -> session.jobs().say(e.getMessage()));
        }
    }

    private void take(Time<Axis.Cut> time) {
        if (showing || programme == null) {
            return;
        }
        programme
                .cut()
                .clipAt(time)
                .ifPresent(clip -> apply(
                        DesktopText.of("publish.cover-page.cover-frame-at", time),
                        cover().withFrame(clip.take(), clip.sourceAt(time))));
    }

    private void words() {
        if (!showing && programme != null) {
            apply(
                    DesktopText.of("publish.cover-page.words-on-the-cover"),
                    cover().withWords(title.getText().strip(), line.getText().strip()));
        }
    }

    private void reset() {
        apply(DesktopText.of("publish.cover-page.choose-the-cover-by-itself"), DressNotes.Cover.AUTOMATIC);
    }

    private void apply(String name, DressNotes.Cover cover) {
        if (!cover.equals(cover())) {
            session.apply(
                    name,
                    session.workout().withDressing(session.workout().dressing().withCover(cover)));
        }
    }
}
