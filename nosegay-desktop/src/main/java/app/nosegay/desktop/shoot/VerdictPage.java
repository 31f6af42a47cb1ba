package app.nosegay.desktop.shoot;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.MovePicture;
import app.nosegay.desktop.session.SegmentPicture;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.Libraries;
import app.nosegay.library.Move;
import app.nosegay.match.Match;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.terms.Side;
import app.nosegay.proof.PickUps;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.Wordings;
import app.nosegay.workout.Programme;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** After a take, on one page: what to film and what to say once more while the lights are still on. */
final class VerdictPage {
    private static final int FIGURE = 66;
    /** A picture of what was filmed, in pixels. */
    private static final int FILMED = 118;
    /** The lists leave room for two rows of pictures in a small window, in pixels. */
    private static final double LIST = 210;

    /** What can be done from here. */
    interface Ways {
        /** Starts the clock at a segment. */
        void filmFrom(String segment);

        /** Goes back to where a run is begun. */
        void back();

        void match();

        /** Listens for the script in the takes. */
        void listen();

        /** Has lines said once more, one after the other. */
        void say(List<LinesPage.Said> lines);
    }

    private final Ways ways;
    private final VBox view = new VBox(12);

    /** @param unheard lines nobody was heard saying in the run that has just ended */
    VerdictPage(Session session, Programme programme, List<ScriptLine> unheard, Ways ways) {
        this.ways = ways;
        PickUps wanted = programme.pickUps();
        boolean words = programme.evidence().stream().anyMatch(e -> !e.words().isEmpty());
        List<ScriptLine> missed = words ? List.of() : unheard;
        int n = wanted.again().size() + wanted.lines().size() + missed.size();
        // Nobody puts the lights out before it is known what was said.
        Label heading = new Label(
                n == 0 && !words
                        ? DesktopText.of("shoot.verdict.nothing-seen")
                        : DesktopText.of("shoot.verdict.heading", n));
        heading.getStyleClass().add("verdict-heading");
        heading.setId("verdict");
        heading.setWrapText(true);
        Label sentence = new Label(sentence(programme) + (words ? "" : DesktopText.of("shoot.verdict.words-unknown")));
        sentence.setId("verdict-found");
        sentence.setWrapText(true);
        HBox parts = new HBox(30);
        parts.setMinHeight(Region.USE_PREF_SIZE);
        if (!wanted.again().isEmpty()) {
            parts.getChildren()
                    .add(part(
                            DesktopText.of("shoot.verdict.film-again"),
                            wanted.again().stream().map(this::again).toList()));
        }
        if (!wanted.lines().isEmpty() || !missed.isEmpty()) {
            parts.getChildren().add(sayAgain(programme, wanted.lines(), missed));
        }
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        Button back = Buttons.quiet(DesktopText.of("shoot.verdict.back"), "verdict-back", ways::back);
        Button listen = Buttons.quiet(DesktopText.of("shoot.verdict.listen"), "verdict-listen", ways::listen);
        listen.setVisible(!words);
        Button match = Buttons.act(DesktopText.of("shoot.verdict.to-match"), ways::match);
        match.setId("verdict-match");
        HBox buttons = new HBox(10, back, listen, space, match);
        buttons.setAlignment(Pos.CENTER_LEFT);
        view.getChildren().addAll(heading, sentence, parts, filmed(session, programme, wanted), buttons);
        view.getStyleClass().add("stage");
    }

    Region view() {
        return view;
    }

    private Node sayAgain(Programme programme, List<PickUps.Line> wanted, List<ScriptLine> missed) {
        List<LinesPage.Said> lines = new ArrayList<>();
        wanted.forEach(l -> lines.add(said(l.say(), name(l.interval()), why(l))));
        missed.forEach(l -> lines.add(
                said(l.text(), programme.timeline().spoken(l.segment()), DesktopText.of("shoot.verdict.unheard"))));
        VBox part = part(
                DesktopText.of("shoot.verdict.say-again"),
                lines.stream().map(VerdictPage::line).toList());
        Button record = Buttons.quiet(
                DesktopText.of("shoot.verdict.say-now", lines.size()), "verdict-say", () -> ways.say(lines));
        record.setTooltip(new Tooltip(DesktopText.of("shoot.verdict.say-how")));
        HBox head = new HBox(14, part.getChildren().get(0), record);
        head.setAlignment(Pos.CENTER_LEFT);
        part.getChildren().add(0, head);
        return part;
    }

    private static String sentence(Programme programme) {
        List<Match.Placed> placed = programme.match().segments();
        long found = placed.stream().filter(Match.Placed::matched).count();
        return DesktopText.of(
                "shoot.verdict.found",
                found,
                placed.size(),
                programme.match().takes().size());
    }

    private static VBox part(String title, List<Node> rows) {
        Label heading = new Label(title);
        heading.getStyleClass().add("subheading");
        VBox list = new VBox(10);
        list.getChildren().addAll(rows);
        ScrollPane scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        scroll.setMaxHeight(LIST);
        scroll.setMinHeight(Region.USE_PREF_SIZE);
        VBox part = new VBox(8, heading, scroll);
        part.setMinWidth(0);
        part.setPrefWidth(0);
        HBox.setHgrow(part, Priority.ALWAYS);
        return part;
    }

    /** What was filmed of each move, to be looked over; what is to be filmed again is marked. */
    private Node filmed(Session session, Programme programme, PickUps wanted) {
        FlowPane all = new FlowPane(10, 10);
        all.setId("verdict-filmed");
        for (Interval interval : programme.timeline().intervals()) {
            if (interval.kind().isMoving()) {
                boolean again =
                        wanted.again().stream().anyMatch(a -> a.interval().id().equals(interval.id()));
                all.getChildren().add(filmed(session, programme, interval, again));
            }
        }
        ScrollPane scroll = new ScrollPane(all);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        scroll.setMinHeight(FILMED);
        return scroll;
    }

    private Node filmed(Session session, Programme programme, Interval interval, boolean again) {
        ImageView seen = new ImageView();
        seen.setFitWidth(FILMED);
        seen.setFitHeight(FILMED);
        StackPane picture = new StackPane(seen);
        picture.setMinSize(FILMED, FILMED);
        picture.getStyleClass().add(again ? "verdict-again" : "verdict-filmed");
        SegmentPicture.show(session, programme, seen, interval.first().id(), FILMED);
        Label name = new Label(move(interval));
        name.setMaxWidth(FILMED);
        Label when = new Label(interval.start().toString().replaceAll("\\..*", "") + which(interval));
        when.getStyleClass().add("small");
        Button button = new Button(null, new VBox(3, picture, name, when));
        button.getStyleClass().add("verdict-card");
        button.setAccessibleText(name(interval));
        button.setTooltip(new Tooltip(DesktopText.of("shoot.verdict.film-tip", name(interval))));
        button.setOnAction(e -> ways.filmFrom(interval.first().id()));
        return button;
    }

    private Node again(PickUps.Again again) {
        Segment first = again.interval().first();
        StackPane picture = new StackPane();
        picture.getStyleClass().add("prompt-figure");
        picture.setMinSize(FIGURE, FIGURE);
        picture.setMaxSize(FIGURE, FIGURE);
        first.moves(Libraries.current()).stream().findFirst().ifPresent(m -> picture.getChildren()
                .add(figure(m, first.side())));
        Label what = new Label(name(again.interval()));
        what.getStyleClass().add("verdict-what");
        what.setWrapText(true);
        Label why = new Label(again.why());
        why.setWrapText(true);
        VBox words = new VBox(2, what, why);
        words.setMinWidth(0);
        HBox.setHgrow(words, Priority.ALWAYS);
        Button film = Buttons.quiet(DesktopText.of("shoot.verdict.film"), () -> ways.filmFrom(first.id()));
        HBox row = new HBox(12, picture, words, film);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static Node figure(Move move, Side side) {
        return new ImageView(MovePicture.of(move, FIGURE, side));
    }

    private static String why(PickUps.Line line) {
        return line.late().isPositive()
                ? DesktopText.of("shoot.verdict.late", line.late().seconds())
                : line.said().isEmpty()
                        ? DesktopText.of("shoot.verdict.unsaid")
                        : DesktopText.of("shoot.verdict.was", line.said());
    }

    private static LinesPage.Said said(String say, String where, String why) {
        return new LinesPage.Said(say, DesktopText.of("shoot.verdict.where-why", where, why));
    }

    private static Node line(LinesPage.Said line) {
        Label words = new Label(DesktopText.of("shoot.verdict.quoted", line.say()));
        words.getStyleClass().add("verdict-say");
        words.setWrapText(true);
        Label about = new Label(line.where());
        about.setWrapText(true);
        VBox row = new VBox(1, words, about);
        row.setFillWidth(true);
        return row;
    }

    /** The move with its side and round, or what it is. */
    private static String name(Interval interval) {
        return move(interval) + which(interval);
    }

    private static String move(Interval interval) {
        Segment s = interval.first();
        return Wordings.capital(s.move() == null ? s.block().name() : s.move());
    }

    private static String which(Interval interval) {
        Segment s = interval.first();
        boolean oneSided = interval.segments().size() == 1 && (s.side() == Side.LEFT || s.side() == Side.RIGHT);
        return (oneSided ? DesktopText.of("shoot.verdict.side", s.side().word()) : "")
                + (s.round() == null ? "" : DesktopText.of("shoot.shoot-stage.round", s.round()));
    }
}
