package app.nosegay.desktop.publish;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.FolderOpener;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.DiskSpace;
import app.nosegay.jobs.Output;
import app.nosegay.jobs.PublishJob;
import app.nosegay.jobs.PublishVideo;
import app.nosegay.jobs.RenderPace;
import app.nosegay.jobs.Replacing;
import app.nosegay.jobs.ShorterVersion;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.media.RenderJob;
import app.nosegay.workout.CutDown;
import app.nosegay.workout.Programme;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
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
    private final Map<Output, CheckBox> chosen = new EnumMap<>(Output.class);
    private final Map<Output, Labeled> labels = new EnumMap<>(Output.class);
    private final Map<Output, Label> states = new EnumMap<>(Output.class);
    private final Map<Output, Button> retries = new EnumMap<>(Output.class);
    private VBox shorterVersions;
    private final Map<Integer, Button> shorter = new HashMap<>();
    private final Map<Output, String> failures = new EnumMap<>(Output.class);
    private final Label proof = new Label();
    private final Label where = new Label();
    private final ComboBox<String> shape = new ComboBox<>();
    private final ComboBox<String> quality = new ComboBox<>();
    /** A longer time is told in minutes. */
    private static final int MINUTES_FROM_SECONDS = 90;

    /** The name of the thread on which shorter versions are looked for. */
    private static final String SHORTER = "shorter";

    private final Supplier<String> template;
    private final VBox replacing = new VBox(6);
    private final VBox view;
    private Programme programme;
    private Path folder;

    OutputsPanel(Session session, Stage window, Supplier<String> template) {
        this.template = template;
        this.session = session;
        this.window = window;
        Button channel =
                Buttons.act(DesktopText.of("publish.outputs-panel.for-my-channel"), () -> write(Output.CHANNEL));
        channel.setId("export-channel");
        channel.disableProperty().bind(session.jobs().name().isNotEmpty());
        Button write =
                Buttons.quiet(DesktopText.of("publish.outputs-panel.write-what-is-ticked"), () -> write(ticked()));
        write.setId("render");
        write.disableProperty().bind(session.jobs().name().isNotEmpty());
        Button look = Buttons.quiet(DesktopText.of("publish.outputs-panel.show-in-folder"), this::showFolder);
        look.setId("show-in-folder");
        Button choose = Buttons.quiet(DesktopText.of("publish.outputs-panel.another-folder"), this::chooseFolder);
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
        proof.setWrapText(true);
        proof.setMinHeight(Region.USE_PREF_SIZE);
        proof.setId("publish-proof");
        where.setId("publish-where");
        where.setWrapText(true);
        where.setMinHeight(Region.USE_PREF_SIZE);
        where.getStyleClass().add("small");
        VBox host = new VBox(3);
        host.setId("outputs");
        Output.CHANNEL.forEach(output -> host.getChildren().add(row(output)));
        VBox list = new VBox(3, write);
        list.setId("other-outputs");
        for (Output.Group group : Output.Group.values()) {
            Label heading = new Label(group.words());
            heading.getStyleClass().add("subheading");
            list.getChildren().add(heading);
            for (Output output : Output.values()) {
                if (output.group() == group && !Output.CHANNEL.contains(output)) {
                    list.getChildren().add(row(output));
                }
            }
        }
        ScrollPane scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        ToggleButton more = new ToggleButton(DesktopText.of("publish.outputs-panel.for-other-programs"));
        more.setId("more-outputs");
        more.getStyleClass().add("quiet");
        scroll.visibleProperty().bind(more.selectedProperty());
        scroll.managedProperty().bind(more.selectedProperty());
        VBox.setVgrow(scroll, Priority.ALWAYS);
        HBox folders = new HBox(4, look, choose);
        replacing.setId("replacing");
        replacing.getStyleClass().add("card");
        replacing.managedProperty().bind(replacing.visibleProperty());
        replacing.setVisible(false);
        replacing.setMinHeight(Region.USE_PREF_SIZE);
        view = new VBox(9, proof, how, channel, replacing, host, where, folders, shorter(), more, scroll);
    }

    private HBox row(Output output) {
        Labeled box = Output.CHANNEL.contains(output) ? new Label(output.label()) : ticked(output);
        box.setMinWidth(0);
        Label state = new Label();
        state.getStyleClass().add("small");
        state.setMinWidth(Region.USE_PREF_SIZE);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        labels.put(output, box);
        states.put(output, state);
        Button again = Buttons.quiet(DesktopText.of("publish.outputs-panel.again"), () -> write(List.of(output)));
        again.setId("again-" + output.word());
        again.setMinWidth(Region.USE_PREF_SIZE);
        again.managedProperty().bind(again.visibleProperty());
        again.setVisible(false);
        retries.put(output, again);
        HBox row = new HBox(6, box, space, state, again);
        row.setPadding(new Insets(0, 10, 0, 0));
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** Shorter versions of what was filmed, each a workout of its own that opens. */
    private VBox shorter() {
        Label heading = new Label(DesktopText.of("publish.outputs-panel.shorter-versions"));
        heading.getStyleClass().add("subheading");
        HBox lengths = new HBox(4);
        for (int minutes : ShorterVersion.MINUTES) {
            Button make =
                    Buttons.quiet(DesktopText.of("publish.outputs-panel.at-most", minutes), () -> makeShorter(minutes));
            make.setId("shorter-" + minutes);
            make.setTooltip(new Tooltip(DesktopText.of("publish.outputs-panel.shorter-tip")));
            lengths.getChildren().add(make);
            shorter.put(minutes, make);
        }
        shorterVersions = new VBox(2, heading, lengths);
        shorterVersions.managedProperty().bind(shorterVersions.visibleProperty());
        return shorterVersions;
    }

    private void makeShorter(int minutes) {
        Path workout = session.file().orElse(null);
        if (workout == null) {
            session.jobs().say(DesktopText.of("publish.outputs-panel.save-first"));
            return;
        }
        Programme of = programme;
        Path in = session.folder();
        session.jobs()
                .run(
                        DesktopText.of("publish.outputs-panel.making-a-shorter-version"),
                        progress -> ShorterVersion.write(of, minutes, in, ShorterVersion.beside(workout, minutes)),
                        made -> {
                            session.open(made.file());
                            session.notices()
                                    .say(DesktopText.of(
                                            "publish.outputs-panel.shorter-made",
                                            made.version().length().clock(),
                                            String.join(", ", made.version().leftOut()),
                                            made.becomesFalse().size()));
                        });
    }

    private CheckBox ticked(Output output) {
        CheckBox box = new CheckBox(output.label());
        box.setId("output-" + output.word());
        box.setSelected(!output.isRendered());
        chosen.put(output, box);
        return box;
    }

    private List<Output> ticked() {
        return chosen.entrySet().stream()
                .filter(e -> e.getValue().isSelected())
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
        labels.forEach((output, box) -> box.setDisable(!possible.contains(output)));
        shorterVersions.setVisible(false);
        session.jobs().beside(SHORTER, () -> possibleLengths(now), lengths -> {
            if (programme == now) {
                shorter.forEach((minutes, make) -> make.setDisable(!lengths.contains(minutes)));
                shorterVersions.setVisible(!lengths.isEmpty());
            }
        });
        refresh();
    }

    /** Every choice of blocks is tried for each length: too much for the interface thread where there are many. */
    private static List<Integer> possibleLengths(Programme of) {
        return ShorterVersion.MINUTES.stream()
                .filter(minutes -> CutDown.of(of, minutes).isPresent())
                .toList();
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
        states.forEach((output, label) -> {
            String failed = failures.get(output);
            retries.get(output).setVisible(failed != null);
            label.setTooltip(failed == null ? null : new Tooltip(failed));
            label.setText(
                    labels.get(output).isDisabled()
                            ? why(output)
                            : failed != null
                                    ? DesktopText.of("publish.outputs-panel.failed")
                                    : state(output.in(target()), session.changedAt()));
        });
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

    /** Why an output cannot be made. */
    private static String why(Output output) {
        return switch (output) {
            case CAPTIONS_PLAIN -> DesktopText.of("publish.outputs-panel.nothing-corrected");
            case EPISODE -> DesktopText.of("publish.outputs-panel.no-sound");
            default -> DesktopText.of("publish.outputs-panel.no-transcript");
        };
    }

    /** Whether a file is there, how large it is, and whether the workout was changed since. */
    private static String state(Path file, FileTime changed) {
        if (!Files.exists(file)) {
            return DesktopText.of("publish.outputs-panel.not-yet");
        }
        try {
            long size = size(file);
            String mark = Files.getLastModifiedTime(file).compareTo(changed) < 0
                    ? DesktopText.of("publish.outputs-panel.older")
                    : "✓ ";
            return mark
                    + (size > 1 << 20
                            ? DesktopText.of("publish.outputs-panel.mb", size / (1 << 20))
                            : DesktopText.of("publish.outputs-panel.kb", Math.max(1, size / 1024)));
        } catch (IOException e) {
            return DesktopText.of("publish.outputs-panel.cannot-be-looked-at");
        }
    }

    private static long size(Path file) throws IOException {
        if (Files.isRegularFile(file)) {
            return Files.size(file);
        }
        long sum = 0;
        try (Stream<Path> files = Files.walk(file)) {
            for (Path f : files.filter(Files::isRegularFile).toList()) {
                sum += Files.size(f);
            }
        }
        return sum;
    }

    /** Looks first what is there; what would be replaced is shown and asked about. */
    private void write(List<Output> asked) {
        Path to = target();
        List<Output> wanted =
                asked.stream().filter(o -> !labels.get(o).isDisabled()).toList();
        replacing.setVisible(false);
        session.jobs()
                .run(
                        DesktopText.of("publish.outputs-panel.looking-what-is-there"),
                        progress -> PublishJob.inTheWay(wanted, to),
                        inTheWay -> {
                            if (inTheWay.isEmpty()) {
                                write(wanted, to);
                            } else {
                                ask(inTheWay, () -> write(wanted, to));
                            }
                        });
    }

    private void ask(List<Replacing.InTheWay> inTheWay, Runnable then) {
        replacing.getChildren().clear();
        List<String> ours = names(inTheWay, false);
        List<String> theirs = names(inTheWay, true);
        if (!ours.isEmpty()) {
            row(DesktopText.of("publish.outputs-panel.are-replaced", ours.size(), String.join(", ", ours)));
        }
        if (!theirs.isEmpty()) {
            row(DesktopText.of("publish.outputs-panel.are-kept-beside", theirs.size(), String.join(", ", theirs)));
        }
        Button go = Buttons.act(DesktopText.of("publish.outputs-panel.replace"), () -> {
            replacing.setVisible(false);
            then.run();
        });
        go.setId("replace");
        Button no = Buttons.quiet(DesktopText.of("publish.outputs-panel.do-not-replace"), () -> {
            replacing.setVisible(false);
        });
        no.setId("do-not-replace");
        replacing.getChildren().add(new HBox(8, go, no));
        replacing.setVisible(true);
        go.requestFocus();
    }

    private static List<String> names(List<Replacing.InTheWay> inTheWay, boolean kept) {
        return inTheWay.stream()
                .filter(w -> w.kept() == kept)
                .map(w -> w.file().getFileName().toString())
                .toList();
    }

    /** What was written, and why what was not. */
    private record Done(List<PublishJob.Written> written, Map<Output, String> failed) {}

    private void under(Output output) {
        states.get(output).setText(DesktopText.of("publish.outputs-panel.being-made"));
    }

    private void row(String text) {
        Label label = new Label(text);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        replacing.getChildren().add(label);
    }

    private void write(List<Output> wanted, Path to) {
        Programme of = programme;
        WorkoutMedia media = session.media();
        PublishJob.Choices choices = choices();
        long slow = Math.max(1, wanted.stream().filter(Output::isRendered).count());
        String what = wanted.contains(Output.VIDEO)
                ? DesktopText.of("publish.outputs-panel.rendering-the-video")
                : DesktopText.of("publish.outputs-panel.writing-the-files");
        session.jobs()
                .run(
                        what,
                        progress -> {
                            Done all = new Done(new ArrayList<>(), new EnumMap<>(Output.class));
                            long done = 0;
                            for (Output output : wanted) {
                                long before = done;
                                Platform.runLater(() -> under(output));
                                try {
                                    all.written.add(PublishJob.write(
                                            output,
                                            of,
                                            media,
                                            to,
                                            true,
                                            choices,
                                            share -> progress.at((before + (output.isRendered() ? share : 0)) / slow)));
                                } catch (IOException e) {
                                    // The others can be written all the same; this one can be tried again alone.
                                    all.failed.put(output, e.getMessage());
                                }
                                done += output.isRendered() ? 1 : 0;
                            }
                            return all;
                        },
                        all -> {
                            List<PublishJob.Written> written = all.written;
                            failures.keySet().removeAll(wanted);
                            failures.putAll(all.failed);
                            refresh();
                            if (!all.failed.isEmpty()) {
                                session.jobs().say(String.join(" ", all.failed.values()));
                                return;
                            }
                            String taken = written.stream()
                                    .flatMap(w -> w.taken().stream()
                                            .map(words -> DesktopText.of(
                                                    "publish.outputs-panel.of",
                                                    w.file().getFileName(),
                                                    words)))
                                    .collect(Collectors.joining());
                            session.jobs()
                                    .tell(DesktopText.of(
                                                    "publish.outputs-panel.outputs-were-written-to-and",
                                                    written.size(),
                                                    to)
                                            + taken);
                        });
    }
}
