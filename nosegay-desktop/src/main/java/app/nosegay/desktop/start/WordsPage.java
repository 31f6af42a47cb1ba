package app.nosegay.desktop.start;

import app.nosegay.calls.reader.DraftSheet;
import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Jobs;
import app.nosegay.jobs.Libraries;
import app.nosegay.jobs.PlanFrom;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.bed.Bed;
import app.nosegay.plan.bed.BedRow;
import app.nosegay.plan.bed.Leaf;
import app.nosegay.plan.bed.Part;
import app.nosegay.plan.check.ChangeCosts;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.sheet.RunSheetParser;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javafx.animation.PauseTransition;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextArea;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/**
 * Words on the left, what was understood of them on the right, before it is taken. Where the words have times, what was understood leads
 * to its place in them, and a line of them shows what was understood there.
 */
final class WordsPage {
    /** Whoever types is not interrupted. */
    private static final Duration PAUSE = Duration.millis(250);
    /** From this doubt on it is said that something is doubtful. */
    private static final double DOUBTFUL = 0.5;

    private static final Pattern STAMP = Pattern.compile("(?m)^\\[(\\d+):(\\d\\d(?:\\.\\d)?)\\]");

    private final Jobs jobs;
    private final PauseTransition pause = new PauseTransition(PAUSE);
    private final Button chapters;
    /** What can be looked up in the words, by when it was first heard, in seconds. */
    private final NavigableMap<Double, Button> places = new TreeMap<>();

    private Understood latest = Understood.NOTHING;
    private final TextArea words = new TextArea();
    private final VBox understood = new VBox(6);
    private final Label heading = new Label();
    private final Label explained = new Label();
    private final Button take;
    private final VBox view;
    private UnaryOperator<String> reading = text -> text;
    private Consumer<String> taken = sheet -> {};

    WordsPage(Jobs jobs, Runnable back) {
        this.jobs = jobs;
        take = Buttons.act(DesktopText.of("start.take"), () -> taken.accept(latest.sheet()));
        take.setId("start-take");
        chapters = Buttons.quiet(DesktopText.of("start.chapters"), "start-chapters", this::copyChapters);
        chapters.managedProperty().bind(chapters.visibleProperty());
        heading.getStyleClass().add("heading");
        explained.getStyleClass().add("small");
        explained.setWrapText(true);
        words.setId("start-words");
        words.setWrapText(true);
        words.textProperty().addListener((o, was, is) -> {
            take.setDisable(true);
            pause.playFromStart();
        });
        words.caretPositionProperty().addListener((o, was, is) -> mark());
        pause.setOnFinished(e -> read());
        understood.setId("start-understood");
        ScrollPane scroll = new ScrollPane(understood);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        VBox left = new VBox(6, words);
        VBox.setVgrow(words, Priority.ALWAYS);
        VBox right = new VBox(6, small(DesktopText.of("start.understood")), scroll);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        HBox both = new HBox(18, left, right);
        HBox.setHgrow(left, Priority.ALWAYS);
        HBox.setHgrow(right, Priority.ALWAYS);
        left.setPrefWidth(400);
        right.setPrefWidth(460);
        VBox.setVgrow(both, Priority.ALWAYS);
        HBox foot = new HBox(8, take, chapters, Buttons.quiet(DesktopText.of("start.back"), "start-back", back));
        view = new VBox(10, heading, explained, both, foot);
        view.getStyleClass().add("stage");
    }

    private static Label small(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("subheading");
        return label;
    }

    Region view() {
        return view;
    }

    /**
     * Opens the page.
     *
     * @param text what stands in it at first
     * @param reading makes a run sheet of the words; may take a while
     * @param taken gets the run sheet
     */
    void open(String title, String hint, String text, UnaryOperator<String> reading, Consumer<String> taken) {
        heading.setText(title.replace("…", ""));
        explained.setText(hint);
        this.reading = reading;
        this.taken = taken;
        chapters.setVisible(STAMP.matcher(text).find());
        words.setText(text);
        read();
        words.requestFocus();
    }

    /** What was understood of words. */
    private record Understood(String words, String sheet, String lasts, List<BedRow> rows) {
        static final Understood NOTHING = new Understood("", "", "", List.of());

        static Understood of(String words, UnaryOperator<String> reading) {
            String sheet = words.isBlank() ? "" : reading.apply(words);
            if (sheet.isEmpty()) {
                return new Understood(words, "", "", List.of());
            }
            Timeline timeline = Expansion.expand(RunSheetParser.parse(sheet, Libraries.current()), Libraries.current());
            PlanReport report = PlanReport.of(timeline, Libraries.current(), ChangeCosts.DEFAULT);
            List<BedRow> rows = Bed.rows(report, Libraries.current(), Map.of());
            return new Understood(words, sheet, timeline.total().clock(), rows);
        }
    }

    private void read() {
        pause.stop();
        take.setDisable(true);
        String text = words.getText();
        UnaryOperator<String> now = reading;
        jobs.beside("understood", () -> Understood.of(text, now), u -> {
            if (now == reading && text.equals(words.getText())) {
                show(u);
            }
        });
    }

    private void show(Understood u) {
        latest = u;
        understood.getChildren().clear();
        places.clear();
        String[] lines = u.sheet().split("\n", -1);
        if (lines[0].startsWith("# ")) {
            understood.getChildren().add(wrapped(lines[0].substring(2)));
        }
        for (BedRow row : u.rows()) {
            Label tag = wrapped(row.block().name().shown() + ": "
                    + row.block().sentence().stream()
                            .map(p -> p instanceof Part.Value v ? v.field().shown() : ((Part.Words) p).text())
                            .collect(Collectors.joining()));
            tag.getStyleClass().add("leaf-name");
            understood.getChildren().add(tag);
            row.block().items().stream()
                    .filter(Leaf.class::isInstance)
                    .map(i -> (Leaf) i)
                    .forEach(leaf -> understood.getChildren().add(line(leaf, lines, row.line() + leaf.offset())));
        }
        understood
                .getChildren()
                .add(wrapped(
                        u.rows().isEmpty()
                                ? DesktopText.of("start.nothing-yet")
                                : DesktopText.of("start.lasts", u.lasts())));
        take.setDisable(u.rows().isEmpty());
        mark();
    }

    /** A move; where it was heard in words with times, it leads there. */
    private Region line(Leaf leaf, String[] lines, int number) {
        String text = leaf.moves().isEmpty()
                ? DesktopText.of("start.unknown-move", leaf.name(), leaf.amount())
                : DesktopText.of("start.known-move", leaf.name(), leaf.amount());
        Matcher heard = DraftSheet.HEARD.matcher(number < lines.length ? lines[number] : "");
        if (!heard.find()) {
            return wrapped(text);
        }
        double at = 60 * Double.parseDouble(heard.group(1)) + Double.parseDouble(heard.group(2));
        boolean doubtful = Double.parseDouble(heard.group(3)) >= DOUBTFUL;
        String place = DesktopText.of("start.heard-at", text, heard.group(1) + ":" + heard.group(2), doubtful);
        Button button = Buttons.quiet(place, () -> go(at));
        button.setWrapText(true);
        button.setMinHeight(Region.USE_PREF_SIZE);
        places.put(at, button);
        return button;
    }

    /** Chooses the line that is said at a moment. */
    private void go(double seconds) {
        Matcher stamp = STAMP.matcher(words.getText());
        int from = 0;
        while (stamp.find() && seconds(stamp) <= seconds + 1) {
            from = stamp.start();
        }
        int end = words.getText().indexOf('\n', from);
        words.requestFocus();
        words.selectRange(end < 0 ? words.getLength() : end, from);
    }

    private static double seconds(Matcher stamp) {
        return 60 * Double.parseDouble(stamp.group(1)) + Double.parseDouble(stamp.group(2));
    }

    /** Shows what was understood at the line the caret stands in. */
    private void mark() {
        places.values().forEach(b -> b.getStyleClass().remove("here"));
        if (places.isEmpty()) {
            return;
        }
        Matcher stamp = STAMP.matcher(words.getText());
        double next = Double.MAX_VALUE;
        while (next == Double.MAX_VALUE && stamp.find()) {
            next = stamp.start() > words.getCaretPosition() ? seconds(stamp) : next;
        }
        // What began before the next line is said.
        Map.Entry<Double, Button> here = places.lowerEntry(next);
        if (here != null) {
            here.getValue().getStyleClass().add("here");
        }
    }

    private void copyChapters() {
        String text = words.getText();
        jobs.beside("chapters", () -> PlanFrom.chapters(text), found -> {
            ClipboardContent content = new ClipboardContent();
            content.putString(found);
            Clipboard.getSystemClipboard().setContent(content);
            jobs.say(DesktopText.of("start.chapters-copied", found.lines().count()));
        });
    }

    private static Label wrapped(String text) {
        Label label = new Label(text);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }
}
