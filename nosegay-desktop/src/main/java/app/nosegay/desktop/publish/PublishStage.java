package app.nosegay.desktop.publish;

import app.nosegay.desktop.Petals;
import app.nosegay.desktop.Pictures;
import app.nosegay.desktop.Session;
import app.nosegay.desktop.StageView;
import app.nosegay.jobs.PublishJob;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.media.TakeReader;
import app.nosegay.publish.TimedText;
import app.nosegay.workout.Programme;
import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextArea;
import javafx.scene.image.ImageView;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;
import javafx.stage.DirectoryChooser;
import javafx.stage.Stage;

/** Video, captions and chapters: what they are, where they go, and whether they are written. */
public final class PublishStage implements StageView {
    private static final int MOST_CAPTIONS_SHOWN = 400;

    private final Session session;
    private final Stage window;
    private final BorderPane view = new BorderPane();
    private final Label empty = new Label(
            "There is nothing to publish yet. Film the plan or bring in a recording on the Match stage first.");
    private final VBox chapters = new VBox(4);
    private final HBox strip = new HBox();
    private final TextArea lines = new TextArea();
    private final VBox captions = new VBox(3);
    private final VBox outputs = new VBox(4);
    private final Label where = new Label();
    private final Label video = new Label();
    private final Button render = new Button("Write everything");
    private final Region filled;
    private Programme programme;
    private Path folder;

    public PublishStage(Session session, Stage window) {
        this.session = session;
        this.window = window;
        empty.getStyleClass().add("empty");
        filled = filled();
        view.setCenter(empty);
        session.programme().addListener((o, before, now) -> show(now));
        if (session.programme().get() != null) {
            show(session.programme().get());
        }
    }

    private static Label heading(String text) {
        Label heading = new Label(text);
        heading.getStyleClass().add("heading");
        heading.setMinHeight(Region.USE_PREF_SIZE);
        return heading;
    }

    private Region filled() {
        render.getStyleClass().add("act");
        render.setId("render");
        render.setMinWidth(Region.USE_PREF_SIZE);
        render.setOnAction(e -> write());
        render.disableProperty().bind(session.jobs().name().isNotEmpty());
        Button choose = new Button("Another folder …");
        choose.getStyleClass().add("quiet");
        choose.setMinWidth(Region.USE_PREF_SIZE);
        choose.setOnAction(e -> chooseFolder());
        where.setWrapText(true);
        where.getStyleClass().add("small");
        video.setWrapText(true);
        outputs.setId("outputs");
        HBox buttons = new HBox(8, render, choose);
        VBox files = new VBox(10, heading("Files"), video, buttons, where, outputs);
        files.getStyleClass().add("card");
        lines.setEditable(false);
        lines.setPrefRowCount(7);
        lines.setId("chapter-lines");
        lines.setAccessibleText("Chapter lines for the description");
        VBox chapterCard = new VBox(10, heading("Chapters"), strip, chapters, new Label("For the description:"), lines);
        chapterCard.getStyleClass().add("card");
        ScrollPane captionScroll = new ScrollPane(captions);
        captionScroll.setFitToWidth(true);
        VBox.setVgrow(captionScroll, Priority.ALWAYS);
        captionScroll.setStyle("-fx-background-color: transparent; -fx-background: transparent;");
        VBox captionCard = new VBox(10, heading("Captions"), captionScroll);
        captionCard.getStyleClass().add("card");
        VBox left = new VBox(14, files, chapterCard);
        ScrollPane leftScroll = new ScrollPane(left);
        leftScroll.setFitToWidth(true);
        leftScroll.setStyle("-fx-background-color: transparent; -fx-background: transparent;");
        HBox.setHgrow(leftScroll, Priority.ALWAYS);
        captionCard.setPrefWidth(430);
        captionCard.setMinWidth(340);
        HBox both = new HBox(16, leftScroll, captionCard);
        both.getStyleClass().add("stage");
        return both;
    }

    @Override
    public String name() {
        return "Publish";
    }

    @Override
    public Region view() {
        return view;
    }

    @Override
    public void entered() {
        refreshFiles();
    }

    private Path target() {
        return folder != null ? folder : session.folder().resolve("published");
    }

    private void chooseFolder() {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle("Where the finished files go");
        File chosen = chooser.showDialog(window);
        if (chosen != null) {
            folder = chosen.toPath();
            refreshFiles();
        }
    }

    private void show(Programme now) {
        programme = now;
        boolean any = !now.cut().clips().isEmpty();
        view.setCenter(any ? filled : empty);
        if (!any) {
            return;
        }
        List<TimedText.Cue> chapterList = now.chapters();
        chapters.getChildren().clear();
        strip.getChildren().clear();
        for (int i = 0; i < chapterList.size(); i++) {
            chapter(chapterList.get(i), i, now.cut().total().seconds());
        }
        lines.setText(TimedText.descriptionLines(chapterList));
        captions.getChildren().clear();
        List<TimedText.Cue> said = now.captions();
        if (said.isEmpty()) {
            Label none = new Label(
                    "No take has a transcript yet. Put one beside the recording under the same name (.vtt, .srt, .txt) and bring the recording in again.");
            none.setWrapText(true);
            captions.getChildren().add(none);
        }
        for (TimedText.Cue cue : said.subList(0, Math.min(MOST_CAPTIONS_SHOWN, said.size()))) {
            Label time = new Label(cue.span().start().toString());
            time.getStyleClass().add("small");
            time.setMinWidth(58);
            Label text = new Label(cue.text().replace('\n', ' '));
            text.setWrapText(true);
            HBox row = new HBox(8, time, text);
            row.setAlignment(Pos.TOP_LEFT);
            captions.getChildren().add(row);
        }
        refreshFiles();
    }

    private void chapter(TimedText.Cue cue, int index, double total) {
        BufferedImage thumb = thumbnail(cue);
        Label text = new Label(cue.span().start().toString().replaceAll("\\..*", "") + "   " + cue.text());
        HBox row = new HBox(10);
        row.setAlignment(Pos.CENTER_LEFT);
        if (thumb != null) {
            ImageView picture = new ImageView(Pictures.toFx(thumb));
            picture.setFitHeight(40);
            picture.setPreserveRatio(true);
            row.getChildren().add(picture);
        }
        row.getChildren().add(text);
        chapters.getChildren().add(row);
        Rectangle bar = new Rectangle(Math.max(3, 560 * cue.span().length().seconds() / total - 2), 12);
        bar.setFill(index % 2 == 0 ? Petals.WORK : Petals.COUNT);
        strip.getChildren().add(bar);
        strip.setSpacing(2);
    }

    /** The picture the take's reading holds nearest to a chapter's start; null when there is none. */
    private BufferedImage thumbnail(TimedText.Cue cue) {
        var clip = programme.cut().clipAt(cue.span().start()).orElse(null);
        var reading = clip == null ? null : session.media().readings().get(clip.take());
        if (reading == null || reading.thumbnails().isEmpty()) {
            return null;
        }
        // Two seconds in, the chapter's own picture has settled.
        double seconds = clip.source().start().seconds()
                + cue.span().start().since(clip.start()).seconds()
                + 2;
        int index = (int) Math.min(reading.thumbnails().size() - 1, Math.round(seconds / TakeReader.THUMB_SECONDS));
        BufferedImage stored = reading.thumbnails().get(index);
        BufferedImage copy = new BufferedImage(stored.getWidth(), stored.getHeight(), BufferedImage.TYPE_INT_ARGB);
        copy.createGraphics().drawImage(stored, 0, 0, null);
        return copy;
    }

    private void refreshFiles() {
        if (programme == null || programme.cut().clips().isEmpty()) {
            return;
        }
        Path to = target();
        where.setText("into " + to);
        try {
            var job = PublishJob.job(programme, session.media(), true);
            video.setText(String.format(
                    Locale.ROOT,
                    "Finished video: %s, %d × %d at %s frames a second, timers and cards burned in.",
                    programme.cut().total(),
                    job.width(),
                    job.height(),
                    frames(job.rate().perSecond())));
        } catch (IOException e) {
            video.setText(e.getMessage());
        }
        outputs.getChildren().clear();
        for (PublishJob.Output output : PublishJob.Output.values()) {
            Path file = output.in(to);
            String state = "○ not written yet";
            try {
                if (Files.exists(file)) {
                    long size = Files.size(file);
                    state = "✓ written, "
                            + (size > 1 << 20 ? size / (1 << 20) + " MB" : Math.max(1, size / 1024) + " kB");
                }
            } catch (IOException e) {
                state = "cannot be looked at: " + e.getMessage();
            }
            Label name = new Label(file.getFileName().toString());
            name.setMinWidth(170);
            Label told = new Label(state);
            told.getStyleClass().add("small");
            outputs.getChildren().add(new HBox(10, name, told));
        }
    }

    private static String frames(double perSecond) {
        return perSecond == Math.rint(perSecond) ? "" + (int) perSecond : String.format(Locale.ROOT, "%.2f", perSecond);
    }

    private void write() {
        Programme of = programme;
        WorkoutMedia media = session.media();
        Path to = target();
        session.jobs()
                .run(
                        "Rendering the video",
                        progress -> {
                            List<Path> written = new ArrayList<>(PublishJob.texts(of, to, true));
                            written.add(PublishJob.video(of, media, to, true, progress));
                            return written;
                        },
                        written -> refreshFiles());
    }
}
