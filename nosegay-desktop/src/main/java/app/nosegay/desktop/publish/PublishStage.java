package app.nosegay.desktop.publish;

import app.nosegay.captions.TimedText;
import app.nosegay.cut.Cut;
import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.Copying;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Labels;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.desktop.controls.Pictures;
import app.nosegay.desktop.controls.Tabs;
import app.nosegay.desktop.session.FinishedPicture;
import app.nosegay.desktop.session.RecordingSource;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.StageView;
import app.nosegay.jobs.PublishJob;
import app.nosegay.jobs.PublishPictures;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextArea;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;
import javafx.stage.Stage;

/** The things that are published, laid out as viewers meet them: cover, chapters, description, captions; beside them the files. */
public final class PublishStage implements StageView {
    private static final int COVER_WIDTH = 800;
    private static final int COVER_HEIGHT = 450;
    private static final double SHOWN_WIDTH = 400;
    /** Within these a viewer stays or goes. */
    private static final Length OPENING = Length.ofSeconds(10);
    /** A chapter's picture, in pixels, and how far into the chapter it is taken. */
    static final int SEEN_WIDTH = 96;

    private static final double INTO_CHAPTER = 0.3;

    private final Session session;
    private final BorderPane view = new BorderPane();
    private final VBox empty;
    private final ImageView cover = new ImageView();
    private final HBox strip = new HBox(2);
    private final TextArea description = new TextArea();
    private final ListView<TimedText.Cue> chapters = new ListView<>();
    private final ListView<TimedText.Cue> captions = new ListView<>();
    private final OutputsPanel outputs;
    private final CoverPage coverPage;
    private final TemplatePage template;
    private final Tabs lists = new Tabs("publish");
    private final Region filled;
    private final AtomicLong wanted = new AtomicLong();
    private final ExecutorService painting = Executors.newSingleThreadExecutor(r -> {
        Thread thread = new Thread(r, "cover");
        thread.setDaemon(true);
        return thread;
    });
    private final FinishedPicture played;
    private final Button opening =
            Buttons.quiet(DesktopText.of("publish.publish-stage.play-opening"), "play-opening", this::playOpening);
    private final Label playedAt = new Label();
    private Programme programme;
    private Programme painted;

    public PublishStage(Session session, Stage window) {
        this.session = session;
        played = new FinishedPicture(session, () -> {});
        played.onEnded(this::stopPlaying);
        session.atClose(played::stop);
        coverPage = new CoverPage(session, painting);
        template = new TemplatePage(session, this::describe);
        outputs = new OutputsPanel(session, window, template::template);
        empty = new RecordingSource(session, () -> window)
                .none(DesktopText.of("publish.publish-stage.there-is-nothing-to-publish"));
        filled = filled();
        view.setCenter(empty);
        Copying.picture(view, this::shown, session.jobs()::tell);
        Copying.words(chapters, () -> TimedText.descriptionLines(chapters.getItems()), session.jobs()::tell);
        session.programme().addListener((o, before, now) -> show(now));
        if (session.programme().get() != null) {
            show(session.programme().get());
        }
    }

    private Region filled() {
        prepareLists();
        lists.add("chapters", DesktopText.of("publish.publish-stage.chapters"), chapters);
        lists.add("captions", DesktopText.of("publish.publish-stage.captions"), captions);
        lists.add("cover", DesktopText.of("publish.publish-stage.cover"), coverPage.view());
        lists.add("template", DesktopText.of("publish.publish-stage.template"), template.view());
        lists.onShown(name -> {
            if (name.equals("cover")) {
                coverPage.fetch();
            }
        });
        HBox.setHgrow(lists.view(), Priority.ALWAYS);
        lists.view().setMinWidth(240);
        outputs.view().setMinWidth(360);
        outputs.view().setMaxWidth(360);
        HBox all = new HBox(18, video(), lists.view(), outputs.view());
        all.getStyleClass().add("stage");
        return all;
    }

    /** Cover and description as a viewer meets them. */
    private Region video() {
        cover.setFitWidth(SHOWN_WIDTH);
        cover.setPreserveRatio(true);
        played.view().setFitWidth(SHOWN_WIDTH);
        played.view().setFitHeight(SHOWN_WIDTH * 9 / 16);
        played.view().setVisible(false);
        StackPane frame = new StackPane(cover, played.view());
        frame.setMinSize(SHOWN_WIDTH, SHOWN_WIDTH * 9 / 16);
        frame.setMaxSize(SHOWN_WIDTH, SHOWN_WIDTH * 9 / 16);
        frame.getStyleClass().add("picture");
        frame.setAccessibleText(DesktopText.of("publish.publish-stage.the-cover"));
        frame.setId("cover");
        strip.setMaxWidth(SHOWN_WIDTH);
        description.setWrapText(true);
        description.setEditable(false);
        description.setId("description");
        description.setAccessibleText(DesktopText.of("publish.publish-stage.the-description"));
        VBox.setVgrow(description, Priority.ALWAYS);
        playedAt.getStyleClass().add("small");
        playedAt.setId("played-at");
        HBox play = new HBox(8, opening, playedAt);
        play.setAlignment(Pos.CENTER_LEFT);
        VBox left = new VBox(6, frame, strip, play, description);
        left.setMinWidth(SHOWN_WIDTH);
        left.setMaxWidth(SHOWN_WIDTH);
        return left;
    }

    private void prepareLists() {
        chapters.setCellFactory(l -> new CueCell(this::picture));
        chapters.setId("chapters");
        chapters.setOnMouseClicked(e -> {
            if (e.getClickCount() == 2) {
                playChapter();
            }
        });
        chapters.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER) {
                playChapter();
                e.consume();
            }
        });
        chapters.setAccessibleText(DesktopText.of("publish.publish-stage.chapter-list"));
        captions.setCellFactory(l -> new CueCell(null));
        captions.setId("captions");
        captions.setPlaceholder(Labels.empty(DesktopText.of("publish.publish-stage.no-take-has-a-transcript")));
    }

    @Override
    public Region view() {
        return view;
    }

    /** The picture that is shown: the cover, or the video while it plays. */
    private Image shown() {
        return played.view().isVisible() ? played.view().getImage() : cover.getImage();
    }

    @Override
    public void entered() {
        outputs.refresh();
        paintCover();
    }

    private void show(Programme now) {
        programme = now;
        boolean any = !now.cut().clips().isEmpty();
        view.setCenter(any ? filled : empty);
        if (!any) {
            return;
        }
        List<TimedText.Cue> list = now.chapters();
        chapters.getItems().setAll(list);
        captions.getItems().setAll(now.captions());
        describe();
        coverPage.show(now);
        strip.getChildren().clear();
        double total = now.cut().total().seconds();
        for (int i = 0; i < list.size(); i++) {
            double width = (SHOWN_WIDTH - 2 * list.size())
                    * list.get(i).span().length().seconds()
                    / total;
            Rectangle bar = new Rectangle(Math.max(3, width), 10);
            boolean even = i % 2 == 0;
            Lamplight.paint(bar, () -> bar.setFill(even ? Petals.work() : Petals.count()));
            Tooltip.install(bar, new Tooltip(list.get(i).text()));
            strip.getChildren().add(bar);
        }
        outputs.show(now);
        if (view.getScene() != null) {
            paintCover();
        }
    }

    /** What is seen a little into a chapter. */
    private void picture(ImageView view, TimedText.Cue chapter) {
        Time<Axis.Cut> at = chapter.span().start().plus(chapter.span().length().times(INTO_CHAPTER));
        Cut.Clip clip = programme.cut().pictureAt(at).orElse(null);
        Path file =
                clip == null ? null : session.media().files(session.workout()).get(clip.take());
        if (file == null) {
            session.pictures().clear(view);
        } else {
            session.pictures().show(view, file, clip.sourceAt(at), null, 2 * SEEN_WIDTH, 2 * SEEN_WIDTH * 9 / 16);
        }
    }

    private void describe() {
        if (programme != null) {
            description.setText(PublishJob.description(programme, template.template()));
        }
    }

    /** Shows one of the pages in the middle: Chapters, Captions, Cover or Template. */
    public void showPage(String name) {
        lists.show(name);
    }

    @Override
    public void left() {
        stopPlaying();
        template.keep();
    }

    /** What decides whether a viewer stays. */
    private void playOpening() {
        if (played.isPlaying()) {
            stopPlaying();
        } else {
            play(Time.zero());
        }
    }

    private void playChapter() {
        TimedText.Cue chapter = chapters.getSelectionModel().getSelectedItem();
        if (chapter != null) {
            play(chapter.span().start());
        }
    }

    /** Shows ten seconds of the finished video in place of the cover. */
    private void play(Time<Axis.Cut> from) {
        Time<Axis.Cut> until = from.plus(OPENING);
        played.play(programme, from, time -> {
            played.view().setVisible(true);
            playedAt.setText(time.toString());
            if (!time.isBefore(until)) {
                stopPlaying();
            }
        });
        opening.setText(DesktopText.of("publish.publish-stage.stop"));
    }

    private void stopPlaying() {
        played.stop();
        played.view().setVisible(false);
        playedAt.setText("");
        opening.setText(DesktopText.of("publish.publish-stage.play-opening"));
    }

    /** Paints the cover beside the interface thread; only the newest is shown. */
    private void paintCover() {
        Programme of = programme;
        if (of == null || of.cut().clips().isEmpty() || of == painted) {
            return;
        }
        WorkoutMedia media = session.media();
        boolean allThere = of.cut().clips().stream()
                .flatMap(c -> Stream.of(c, c.picture()))
                .allMatch(c -> media.files(of.workout()).containsKey(c.take()));
        if (!allThere) {
            return; // takes were just added or removed: the programme of them is on its way
        }
        painted = of;
        long mine = wanted.incrementAndGet();
        painting.execute(() -> {
            if (mine != wanted.get()) {
                return;
            }
            try {
                BufferedImage image = PublishPictures.paint(of, media, COVER_WIDTH, COVER_HEIGHT);
                BufferedImage argb =
                        new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_ARGB);
                argb.createGraphics().drawImage(image, 0, 0, null);
                Platform.runLater(() -> cover.setImage(Pictures.toFx(argb)));
            } catch (IOException e) {
                Platform.runLater(() -> session.jobs().say(e.getMessage()));
            }
        });
    }
}
