package app.nosegay.desktop.dress;

import app.nosegay.desktop.controls.Copying;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Tabs;
import app.nosegay.desktop.session.FinishedPicture;
import app.nosegay.desktop.session.RecordingSource;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.StageView;
import app.nosegay.dress.Layout;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.jobs.PublishVideo;
import app.nosegay.plan.Finding;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.Slider;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The finished picture, segment by segment: the same pixels that are rendered. */
public final class DressStage implements StageView {
    private static final double STEP_SECONDS = 0.1;
    private static final int WIDTH = 800;
    private static final int HEIGHT = 450;
    private final Session session;
    private final ListView<Stretch> stretches = new ListView<>();
    private final FinishedPicture picture;
    private final Slider slider = new Slider();
    private final Label at = new Label();
    private final ComboBox<String> shape = new ComboBox<>();
    private final LookChoice looks;
    private final StackPane stage;
    private final OnScreenPage onScreen;
    private final Tabs pages = new Tabs("dress");
    private final StylePage styles;
    private final OwnStylePage ownStyle;
    private final PiecesPage kinds;
    private final PlacesPage places;
    private final SoundPage sound;
    private final DragPane drag;
    private final VBox empty;
    private final BorderPane view = new BorderPane();
    private final Region filled;
    private Programme programme;
    private boolean following;

    public DressStage(Session session) {
        this.session = session;
        picture = new FinishedPicture(session, this::redrawn);
        onScreen = new OnScreenPage(
                slider.valueProperty(),
                s -> slider.setValue(Math.max(0, Math.min(slider.getMax(), s))),
                new CardTimes(session, this::interval));
        styles = new StylePage(session);
        ownStyle = new OwnStylePage(session);
        kinds = new PiecesPage(session);
        sound = new SoundPage(session);
        places = new PlacesPage(
                session, () -> area() == null ? null : area().stretch(), this::frame, this::showOccupancy);
        drag = new DragPane(this::frame, this::area, () -> session.workout().dressing(), places::put);
        stretches.setId("stretches");
        stretches.setAccessibleText(DesktopText.of("dress.dress-stage.intervals"));
        stretches.setCellFactory(list -> new StretchCell(session, () -> programme));
        stretches.setMinWidth(216);
        stretches.setMaxWidth(216);
        stretches.getSelectionModel().selectedItemProperty().addListener((o, before, now) -> enter(now));
        stretches.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        slider.setId("scrub");
        slider.setAccessibleText(DesktopText.of("dress.dress-stage.moment"));
        slider.valueProperty().addListener((o, before, now) -> scrubbed());
        slider.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        at.setId("dress-at");
        stage = new StackPane(picture.view(), drag);
        looks = new LookChoice(session, picture, stage, this::frame);
        empty = new RecordingSource(session, () -> view.getScene().getWindow())
                .none(DesktopText.of("dress.dress-stage.nothing-is-dressed-yet-film"));
        filled = filled();
        view.setCenter(empty);
        Copying.picture(view, () -> picture.view().getImage(), session.jobs()::tell);
        session.programme().addListener((o, before, now) -> show(now));
        if (session.programme().get() != null) {
            show(session.programme().get());
        }
    }

    private Region filled() {
        stage.setMinSize(0, 0);
        stage.setPrefSize(WIDTH, HEIGHT);
        stage.setAccessibleText(DesktopText.of("dress.dress-stage.the-finished-picture"));
        stage.setId("finished-picture");
        StackPane.setAlignment(picture.view(), Pos.TOP_CENTER);
        looks.choice().setOnAction(e -> lookAtIt());
        lookAtIt();
        VBox.setVgrow(stage, Priority.ALWAYS);
        addPages();
        VBox centre = new VBox(10, stage, looks.readable(), below(), pages.view());
        centre.getStyleClass().add("stage");
        Label heading = new Label(DesktopText.of("dress.dress-stage.intervals"));
        heading.getStyleClass().add("heading");
        VBox.setVgrow(stretches, Priority.ALWAYS);
        VBox left = new VBox(8, heading, stretches);
        left.getStyleClass().add("stage");
        BorderPane pane = new BorderPane(centre);
        pane.setLeft(left);
        return pane;
    }

    /** What plays, and how it is looked at. */
    private HBox below() {
        Button play = new Button(DesktopText.of("dress.dress-stage.play-space"));
        play.getStyleClass().add("quiet");
        play.setMinWidth(Region.USE_PREF_SIZE);
        play.setId("dress-play");
        play.setOnAction(e -> togglePlay());
        HBox.setHgrow(slider, Priority.ALWAYS);
        at.setMinWidth(160);
        for (PublishVideo.Shape s : PublishVideo.Shape.values()) {
            shape.getItems().add(s.words());
        }
        shape.getSelectionModel().select(0);
        shape.setId("dress-shape");
        shape.setAccessibleText(DesktopText.of("dress.dress-stage.shape-of-the-picture"));
        shape.setTooltip(new Tooltip(DesktopText.of("dress.dress-stage.look-at-the-workout-in")));
        shape.setOnAction(e -> reshape());
        HBox below = new HBox(12, play, slider, at, looks.choice(), shape);
        below.setAlignment(Pos.CENTER_LEFT);
        return below;
    }

    private void addPages() {
        pages.add("on-screen", DesktopText.of("dress.dress-stage.on-screen"), onScreen.view());
        pages.add("style", DesktopText.of("dress.dress-stage.style"), styles.view());
        pages.add("own-style", DesktopText.of("dress.dress-stage.own-style"), ownStyle.view());
        pages.add("items", DesktopText.of("dress.dress-stage.pieces"), kinds.view());
        pages.add("positions", DesktopText.of("dress.dress-stage.places"), places.view());
        pages.add("sound", DesktopText.of("dress.dress-stage.sound"), sound.view());
        pages.view().setMinHeight(194);
        pages.view().setMaxHeight(194);
    }

    @Override
    public Region view() {
        return view;
    }

    @Override
    public void entered() {
        stretches.requestFocus();
        draw();
    }

    @Override
    public void left() {
        picture.stop();
    }

    private void show(Programme now) {
        programme = now;
        boolean any = !now.cut().clips().isEmpty();
        view.setCenter(any ? filled : empty);
        if (!any) {
            picture.stop();
            return;
        }
        styles.show(now.workout().dressing());
        ownStyle.show(now.workout().dressing());
        kinds.show(now.workout().dressing());
        places.show(now.workout().dressing());
        sound.show(now.workout().dressing());
        looks.tellReadable();
        int selected = Math.max(0, stretches.getSelectionModel().getSelectedIndex());
        List<Stretch> list = Stretch.of(now);
        stretches.getItems().setAll(list);
        if (!list.isEmpty()) {
            stretches.getSelectionModel().select(Math.min(selected, list.size() - 1));
        }
    }

    /** Shows one of the pages under a picture of that shape: On screen, Style, Own style, Pieces, Places or Sound. */
    public void showPage(String name, PublishVideo.Shape as) {
        pages.show(name);
        shape.getSelectionModel().select(as.ordinal());
    }

    @Override
    public void goTo(Finding f) {
        if (f.code().equals("sound.licence")) {
            pages.show("sound");
        }
        stretches.getItems().stream()
                .filter(s -> s.interval().id().equals(f.segment()))
                .findFirst()
                .ifPresent(s -> {
                    stretches.getSelectionModel().select(s);
                    stretches.scrollTo(s);
                });
    }

    /** How the interval being looked at is laid out; null while nothing is. */
    private Layout.Area area() {
        Stretch stretch = stretches.getSelectionModel().getSelectedItem();
        return stretch == null || programme == null
                ? null
                : picture.laidOut(programme).layout().at(stretch.span().start()).orElse(null);
    }

    /** The picture as it is looked at. */
    private Frame frame() {
        return programme == null
                ? Frame.LANDSCAPE
                : picture.laidOut(programme).layout().frame();
    }

    private void showOccupancy() {
        drag.showOccupancy(places.showsOccupancy());
    }

    private void enter(Stretch stretch) {
        if (stretch != null && !following) {
            picture.stop();
            slider.setMin(0);
            slider.setMax(stretch.span().length().seconds());
            slider.setValue(Math.min(slider.getMax(), stretch.span().length().seconds() * 0.3));
            showStrokes(stretch);
            drag.redraw();
            draw();
        }
    }

    private void showStrokes(Stretch stretch) {
        onScreen.show(
                programme.dressing().pieces(),
                stretch.span(),
                programme.workout().dressing().timings(stretch.interval().id()));
    }

    /** The id of the chosen interval. */
    private String interval() {
        return stretches.getSelectionModel().getSelectedItem().interval().id();
    }

    private void lookAtIt() {
        looks.apply();
        drag.setVisible(looks.choice().getValue() == Look.LARGE);
        draw();
    }

    private void reshape() {
        boolean playing = picture.isPlaying();
        picture.stop();
        picture.setShape(PublishVideo.Shape.values()[shape.getSelectionModel().getSelectedIndex()]);
        looks.tellReadable();
        if (playing) {
            togglePlay();
        } else {
            draw();
        }
    }

    private void redrawn() {
        drag.redraw();
    }

    private void scrubbed() {
        if (!following) {
            picture.stop();
            draw();
        }
    }

    private Time<Axis.Cut> time() {
        Stretch stretch = stretches.getSelectionModel().getSelectedItem();
        return stretch == null ? Time.zero() : stretch.span().start().plus(Length.ofSeconds(slider.getValue()));
    }

    private void draw() {
        Stretch stretch = stretches.getSelectionModel().getSelectedItem();
        if (programme == null || stretch == null || view.getScene() == null) {
            return;
        }
        Time<Axis.Cut> time = time();
        tell(stretch, time);
        picture.stand(programme, time);
    }

    private void tell(Stretch stretch, Time<Axis.Cut> time) {
        double seconds = time.since(stretch.span().start()).seconds();
        at.setText(DesktopText.of(
                "dress.dress-stage.of-s", time, seconds, stretch.span().length().seconds()));
    }

    private void key(KeyEvent e) {
        if (e.isShortcutDown() || e.isAltDown()) {
            return;
        }
        switch (e.getCode()) {
            case SPACE -> togglePlay();
            case LEFT -> step(-STEP_SECONDS);
            case RIGHT -> step(STEP_SECONDS);
            case J -> stretches.getSelectionModel().selectNext();
            case K -> stretches.getSelectionModel().selectPrevious();
            default -> {
                return;
            }
        }
        e.consume();
    }

    private void step(double seconds) {
        slider.setValue(Math.max(slider.getMin(), Math.min(slider.getMax(), slider.getValue() + seconds)));
    }

    private void togglePlay() {
        if (picture.isPlaying()) {
            picture.stop();
        } else if (programme != null && !programme.cut().clips().isEmpty()) {
            picture.play(programme, time(), this::follow);
        }
    }

    private void follow(Time<Axis.Cut> time) {
        following = true;
        for (Stretch s : stretches.getItems()) {
            if (s.span().contains(time)) {
                if (stretches.getSelectionModel().getSelectedItem() != s) {
                    stretches.getSelectionModel().select(s);
                    slider.setMax(s.span().length().seconds());
                    showStrokes(s);
                }
                slider.setValue(time.since(s.span().start()).seconds());
                tell(s, time);
            }
        }
        following = false;
    }
}
