package app.nosegay.desktop.shell;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.dress.DressStage;
import app.nosegay.desktop.match.MatchStage;
import app.nosegay.desktop.plan.PlanStage;
import app.nosegay.desktop.series.SeriesScreen;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.shoot.ShootStage;
import app.nosegay.jobs.Demo;
import app.nosegay.jobs.JobText;
import app.nosegay.jobs.LogbookFile;
import app.nosegay.jobs.PublishVideo;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.logbook.Logbook;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.function.BooleanSupplier;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.ListView;
import javafx.scene.image.ImageView;
import javafx.scene.image.WritableImage;
import javafx.util.Duration;
import javax.imageio.ImageIO;

/** Drives the real window through the demo and takes a picture of each main view. */
public final class Photographer {
    private static final Duration LOOK_EVERY = Duration.millis(100);
    /** After a view has what it needs, the pictures and lists in it still have to be laid out. */
    private static final int SETTLE_LOOKS = 12;

    private final Shell shell;
    private final Path demo;
    private final Path out;
    private final Deque<Step> steps = new ArrayDeque<>();
    private int settled;

    private record Step(Runnable begin, BooleanSupplier ready, String picture) {}

    public Photographer(Shell shell, Path demo, Path out) {
        this.shell = shell;
        this.demo = demo;
        this.out = out;
    }

    public void start() {
        Session session = shell.session();
        System.setProperty("nosegay.home", demo.resolve("settings").toString());
        deleteAutosave();
        steps.add(new Step(() -> {}, () -> true, "start"));
        steps.add(new Step(
                () -> session.jobs().run("Opening the demo", p -> Demo.place(demo), session::open),
                () -> session.programme().get() != null
                        && !session.programme().get().match().takes().isEmpty()
                        && !session.jobs().isRunning(),
                null));
        steps.add(new Step(() -> shell.go(0), () -> true, "plan"));
        steps.add(
                new Step(() -> ((PlanStage) shell.stage("plan")).tabs().show("findings"), () -> true, "plan-findings"));
        steps.add(new Step(() -> pick("script", "#windows", 8), () -> true, "script"));
        steps.add(new Step(() -> shell.go("shoot"), () -> true, "shoot"));
        steps.add(new Step(
                () -> shoot().startFrom(10), () -> shoot().isRunning() && shoot().secondsLeft() < 10, "shoot-clock"));
        steps.add(new Step(
                () -> shoot().end(),
                () -> !shoot().isRunning() && !session.jobs().isRunning(),
                null));
        steps.add(new Step(() -> session.jobs().tell(""), () -> true, null));
        steps.add(new Step(() -> shoot().showVerdict(), () -> isPainted("#verdict-filmed"), "shoot-verdict"));
        steps.add(new Step(() -> pick("match", "#score", 6), () -> true, "match"));
        for (String page : List.of("findings", "cuts", "words")) {
            String picture = "match-" + page.toLowerCase(Locale.ROOT);
            steps.add(new Step(() -> ((MatchStage) shell.stage("match")).showPage(page), () -> true, picture));
        }
        steps.add(new Step(() -> pick("dress", "#stretches", 6), () -> isPainted("#finished-picture"), "dress"));
        steps.add(new Step(
                () -> ((DressStage) shell.stage("dress")).showPage("style", PublishVideo.Shape.PORTRAIT),
                () -> true,
                "dress-style"));
        steps.add(new Step(() -> pick("proof", "#proof-findings", 3), () -> isPainted("#problem"), "proof"));
        steps.add(new Step(() -> shell.go("publish"), () -> isPainted("#cover"), "publish"));
        steps.add(new Step(() -> pick("library", "#moves", 4), () -> true, "library"));
        steps.add(new Step(this::series, () -> true, "series"));
        steps.add(new Step(this::logbook, () -> true, "logbook"));
        steps.add(new Step(this::ways, () -> isFilled("#offers"), "plan-ways"));
        Timeline clock = new Timeline(new KeyFrame(LOOK_EVERY, e -> look()));
        clock.setCycleCount(Timeline.INDEFINITE);
        steps.peek().begin().run();
        clock.play();
    }

    /** Whether there is a picture in a part of the window. */
    private boolean isPainted(String part) {
        Node node = shell.root().lookup(part);
        return node != null
                && node.lookupAll("*").stream()
                        .anyMatch(n -> n instanceof ImageView picture && picture.getImage() != null);
    }

    /** Whether a list in the window shows something. */
    private boolean isFilled(String list) {
        return shell.root().lookup(list) instanceof ListView<?> view
                && !view.getItems().isEmpty();
    }

    /** Goes to a stage and selects a line of its list. */
    private void pick(String stage, String list, int index) {
        shell.go(stage);
        Node node = shell.root().lookup(list);
        if (node instanceof ListView<?> view) {
            view.getSelectionModel().select(index);
        }
    }

    private ShootStage shoot() {
        return (ShootStage) shell.stage("shoot");
    }

    /** A week of the demo and two invented neighbours of it. */
    private void series() {
        shell.go("series");
        try {
            List<Path> week = new ArrayList<>(List.of(demo.resolve(Demo.NAME + WorkoutFile.ENDING)));
            for (String name : List.of("greenhouse-push", "compost-legs")) {
                Path file = demo.resolve(name + WorkoutFile.ENDING);
                WorkoutFile.save(file, Workout.EMPTY.withSheet(Demo.sheet(name)));
                week.add(file);
            }
            ((SeriesScreen) shell.stage("series")).add(week);
        } catch (IOException e) {
            throw new UncheckedIOException("the week of the demo cannot be written to " + demo, e);
        }
    }

    /** A page of made-up entries, in a settings folder of the demo's own. */
    private void logbook() {
        Programme of = shell.session().programme().get();
        String title = of.timeline().sheet().header().title();
        try {
            Path published = demo.resolve("published");
            Files.createDirectories(published);
            Logbook page = Logbook.EMPTY
                    .with(new Logbook.Entry("2026-04-18", Logbook.Kind.TAKE, title, "One take, 4:15, two fluffs"))
                    .with(new Logbook.Entry(
                            "2026-04-18",
                            Logbook.Kind.LESSON,
                            title,
                            "Shoes are loud on this floor: socks on the mat."))
                    .with(new Logbook.Entry("2026-04-20", Logbook.Kind.PUBLISHED, title, "Long video was accepted"))
                    .withTime(title, "plan", 1500)
                    .withTime(title, "match", 540)
                    .withTime(title, "dress", 380);
            List<Logbook.Entry> news = LogbookFile.news(of, published, "2026-04-27");
            LogbookFile.change(l -> page.withNews(news));
        } catch (IOException e) {
            throw new UncheckedIOException("the demo's logbook cannot be written to " + demo, e);
        }
        shell.go("logbook");
    }

    /** A promise the demo does not keep, and the ways to keep it. */
    private void ways() {
        shell.go("plan");
        Session session = shell.session();
        session.apply(
                "promise 5 min", session.workout().withSheet(Demo.sheet().replace("promise: 4 min", "promise: 5 min")));
        ((PlanStage) shell.stage("plan")).showWays();
    }

    /** What a text with one argument says before it. */
    private static String beginning(String key) {
        String text = DesktopText.of(key, "\0");
        return text.substring(0, text.indexOf('\0'));
    }

    private void look() {
        Step step = steps.peek();
        String trouble = shell.session().jobs().message().get();
        boolean expected = trouble.equals(JobText.of("shoot-run.there-is-no-sound-output"))
                || trouble.startsWith(beginning("shoot.shoot-stage.the-run-is-logged-in"));
        if (!trouble.isEmpty() && !expected) {
            System.err.println("nosegay: the pictures cannot be taken: " + trouble);
            steps.clear();
            shell.close();
            Platform.exit();
            return;
        }
        boolean pictured = shell.session().pictures().isDone();
        if (step == null || !step.ready().getAsBoolean() || !pictured || settled++ < SETTLE_LOOKS) {
            return;
        }
        if (step.picture() != null) {
            take(out.resolve(step.picture() + ".png"));
        }
        steps.remove();
        settled = 0;
        if (steps.isEmpty()) {
            // The last pictures change the plan: nothing of that is to come back with the next opening.
            while (shell.session().undoName().isPresent()) {
                shell.session().undo();
            }
            shell.close();
            deleteAutosave();
            Platform.exit();
        } else {
            steps.peek().begin().run();
        }
    }

    private void deleteAutosave() {
        try {
            Files.deleteIfExists(WorkoutFile.autosave(demo.resolve(Demo.NAME + WorkoutFile.ENDING)));
        } catch (IOException e) {
            throw new UncheckedIOException("the demo's autosave stays in " + demo, e);
        }
    }

    private void take(Path file) {
        WritableImage image = shell.root().getScene().snapshot(null);
        int w = (int) image.getWidth();
        int h = (int) image.getHeight();
        BufferedImage picture = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                picture.setRGB(x, y, image.getPixelReader().getArgb(x, y));
            }
        }
        try {
            ImageIO.write(picture, "png", file.toFile());
        } catch (IOException e) {
            throw new UncheckedIOException(file + " cannot be written", e);
        }
    }
}
