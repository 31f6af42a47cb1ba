package app.nosegay.desktop.publish;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Labels;
import app.nosegay.desktop.session.FolderOpener;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.DiskSpace;
import app.nosegay.jobs.Output;
import app.nosegay.jobs.PublishJob;
import app.nosegay.jobs.PublishVideo;
import app.nosegay.jobs.RenderPace;
import app.nosegay.media.RenderJob;
import app.nosegay.workout.Programme;
import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import javafx.stage.Stage;

/** The outputs to choose from, each with its state; writing them. */
final class OutputsPanel {
    private final Session session;
    private final Stage window;
    private final Map<Output, OutputRow> rows = new EnumMap<>(Output.class);
    private final ShorterVersions shorter;
    private final ReplaceCard replacing = new ReplaceCard();
    private final Label proof = new Label();
    private final Label where = new Label();
    private final ComboBox<String> shape = new ComboBox<>();
    private final ComboBox<String> quality = new ComboBox<>();
    /** A longer time is told in minutes. */
    private static final int MINUTES_FROM_SECONDS = 90;

    private final Supplier<String> template;
    private final VBox view;
    private Programme programme;
    private Path folder;

    OutputsPanel(Session session, Stage window, Supplier<String> template) {
        this.template = template;
        this.session = session;
        this.window = window;
        shorter = new ShorterVersions(session);
        for (Output output : Output.values()) {
            rows.put(output, new OutputRow(output, Output.CHANNEL.contains(output), o -> write(List.of(o))));
        }
        Button channel =
                Buttons.act(DesktopText.of("publish.outputs-panel.for-my-channel"), () -> write(Output.CHANNEL));
        channel.setId("export-channel");
        channel.disableProperty().bind(session.jobs().name().isNotEmpty());
        Button look = Buttons.quiet(DesktopText.of("publish.outputs-panel.show-in-folder"), this::showFolder);
        look.setId("show-in-folder");
        Button choose = Buttons.quiet(DesktopText.of("publish.outputs-panel.another-folder"), this::chooseFolder);
        proof.setWrapText(true);
        proof.setMinHeight(Region.USE_PREF_SIZE);
        proof.setId("publish-proof");
        where.setId("publish-where");
        where.setWrapText(true);
        where.setMinHeight(Region.USE_PREF_SIZE);
        where.getStyleClass().add("small");
        VBox host = new VBox(3);
        host.setId("outputs");
        Output.CHANNEL.forEach(output -> host.getChildren().add(rows.get(output).view()));
        ToggleButton more = new ToggleButton(DesktopText.of("publish.outputs-panel.for-other-programs"));
        more.setId("more-outputs");
        more.getStyleClass().add("quiet");
        ScrollPane others = others();
        others.visibleProperty().bind(more.selectedProperty());
        others.managedProperty().bind(more.selectedProperty());
        VBox.setVgrow(others, Priority.ALWAYS);
        HBox folders = new HBox(4, look, choose);
        view = new VBox(
                9, proof, picture(), channel, replacing.view(), host, where, folders, shorter.view(), more, others);
    }

    /** Shape and quality of what is rendered. */
    private HBox picture() {
        for (PublishVideo.Shape s : PublishVideo.Shape.values()) {
            shape.getItems().add(s.words());
        }
        for (PublishVideo.Quality q : PublishVideo.Quality.values()) {
            quality.getItems().add(q.word());
        }
        shape.getSelectionModel().select(0);
        quality.getSelectionModel().select(1);
        shape.setId("shape");
        shape.setAccessibleText(DesktopText.of("publish.outputs-panel.shape"));
        quality.setId("quality");
        quality.setAccessibleText(DesktopText.of("publish.outputs-panel.quality"));
        shape.setOnAction(e -> refresh());
        quality.setOnAction(e -> refresh());
        HBox how = new HBox(8, new Label(DesktopText.of("publish.outputs-panel.picture")), shape, quality);
        how.setAlignment(Pos.CENTER_LEFT);
        return how;
    }

    /** What other programs read, by groups, to be ticked. */
    private ScrollPane others() {
        Button write =
                Buttons.quiet(DesktopText.of("publish.outputs-panel.write-what-is-ticked"), () -> write(ticked()));
        write.setId("render");
        write.disableProperty().bind(session.jobs().name().isNotEmpty());
        VBox list = new VBox(3, write);
        list.setId("other-outputs");
        for (Output.Group group : Output.Group.values()) {
            list.getChildren().add(Labels.subheading(group.words()));
            rows.forEach((output, row) -> {
                if (output.group() == group && !Output.CHANNEL.contains(output)) {
                    list.getChildren().add(row.view());
                }
            });
        }
        ScrollPane scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        return scroll;
    }

    private List<Output> ticked() {
        return rows.entrySet().stream()
                .filter(e -> e.getValue().isTicked())
                .map(Map.Entry::getKey)
                .toList();
    }

    Region view() {
        return view;
    }

    private void showFolder() {
        if (!FolderOpener.open(target())) {
            session.jobs().say(DesktopText.of("publish.outputs-panel.cannot-be-opened", target()));
        }
    }

    void show(Programme now) {
        programme = now;
        var told = now.proof();
        proof.setText(
                told.mayPublish()
                        ? DesktopText.of("publish.outputs-panel.proof", told.sentence())
                        : DesktopText.of("publish.outputs-panel.look-at-proof-first", told.sentence()));
        proof.getStyleClass().setAll("label", told.isClear() ? "kept" : told.mayPublish() ? "plain" : "broken");
        List<Output> possible = PublishJob.possible(now);
        rows.forEach((output, row) -> row.possible(possible.contains(output)));
        shorter.show(now);
        refresh();
    }

    private Path target() {
        return folder != null ? folder : session.folder().resolve("published");
    }

    private void chooseFolder() {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(DesktopText.of("publish.outputs-panel.where-the-finished-files-go"));
        File picked = chooser.showDialog(window);
        if (picked != null) {
            folder = picked.toPath();
            refresh();
        }
    }

    /** Looks again which files are there. */
    void refresh() {
        Path to = target().toAbsolutePath();
        int names = Math.max(1, to.getNameCount());
        where.setText(DesktopText.of(
                "publish.outputs-panel.into-the-folder",
                names > 2 ? "… " + File.separator + " " : "",
                to.getNameCount() == 0 ? to : to.subpath(Math.max(0, names - 2), names),
                room(to)));
        where.setTooltip(new Tooltip(to.toString()));
        rows.values().forEach(row -> row.refresh(target(), session.changedAt()));
    }

    /** What the video takes of the room there is, as far as that can be told. */
    private String room(Path to) {
        try {
            long free = DiskSpace.free(to);
            boolean read = programme != null
                    && !programme.cut().clips().isEmpty()
                    && session.media()
                            .readings()
                            .keySet()
                            .containsAll(programme.cut().takes());
            return " · " + (read ? video() : "") + DiskSpace.words(free) + DesktopText.of("publish.outputs-panel.free");
        } catch (IOException e) {
            return "";
        }
    }

    /** How long making the video takes on this computer, once that is known, and how much room. */
    private String video() throws IOException {
        RenderJob job = PublishVideo.job(programme, session.media(), false, choices());
        String size = DiskSpace.words(DiskSpace.of(job));
        return RenderPace.read()
                .of(choices().quality(), job)
                .map(time -> DesktopText.of(
                        "publish.outputs-panel.video-about-in-of",
                        time.seconds() < MINUTES_FROM_SECONDS
                                ? DesktopText.of(
                                        "publish.outputs-panel.seconds",
                                        Math.max(5, 5 * Math.round(time.seconds() / 5)))
                                : DesktopText.of("publish.outputs-panel.minutes", Math.round(time.seconds() / 60)),
                        size))
                .orElseGet(() -> DesktopText.of("publish.outputs-panel.video-about-of", size));
    }

    private PublishJob.Choices choices() {
        return new PublishJob.Choices(
                PublishVideo.Shape.values()[shape.getSelectionModel().getSelectedIndex()],
                PublishVideo.Quality.values()[quality.getSelectionModel().getSelectedIndex()],
                template.get());
    }

    /** Looks first what is there; what would be replaced is shown and asked about. */
    private void write(List<Output> asked) {
        Path to = target();
        List<Output> wanted =
                asked.stream().filter(o -> rows.get(o).isPossible()).toList();
        replacing.hide();
        session.jobs()
                .run(
                        DesktopText.of("publish.outputs-panel.looking-what-is-there"),
                        progress -> PublishJob.inTheWay(wanted, to),
                        inTheWay -> {
                            if (inTheWay.isEmpty()) {
                                write(wanted, to);
                            } else {
                                replacing.ask(inTheWay, () -> write(wanted, to));
                            }
                        });
    }

    private void write(List<Output> wanted, Path to) {
        PublishJob.Export export = new PublishJob.Export(programme, session.media(), to, true, choices());
        String what = wanted.contains(Output.VIDEO)
                ? DesktopText.of("publish.outputs-panel.rendering-the-video")
                : DesktopText.of("publish.outputs-panel.writing-the-files");
        session.jobs()
                .run(
                        what,
                        progress -> PublishJob.writeEach(
                                wanted, export, output -> Platform.runLater(rows.get(output)::begun), progress),
                        all -> written(wanted, to, all));
    }

    private void written(List<Output> wanted, Path to, PublishJob.Exported all) {
        wanted.forEach(output -> rows.get(output).failed(all.failed().get(output)));
        refresh();
        if (!all.failed().isEmpty()) {
            session.jobs().say(String.join(" ", all.failed().values()));
            return;
        }
        String taken = all.written().stream()
                .flatMap(w -> w.taken().stream()
                        .map(words -> DesktopText.of(
                                "publish.outputs-panel.of", w.file().getFileName(), words)))
                .collect(Collectors.joining());
        String words = DesktopText.of(
                "publish.outputs-panel.outputs-were-written-to-and",
                all.written().size(),
                to);
        session.jobs().tell(words + taken);
    }
}
