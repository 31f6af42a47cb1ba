package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Tabs;
import app.nosegay.desktop.session.FindingList;
import app.nosegay.desktop.session.RecordingSource;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.session.StageView;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.time.Length;
import app.nosegay.workout.Programme;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;

/** Where in the takes everything planned is: the Score, the player, the doubt queue. */
public final class MatchStage implements StageView {
    /** Pixels of what stands beside the Score. */
    private static final double BESIDES = 456;

    private final Session session;
    private final RecordingSource recordings;
    private final ScoreView score;
    private final DoubtQueue doubts;
    private final Candidates candidates;
    private final MatchPlayer player;
    private final BoundaryHand hand;
    private final Label summary = new Label();
    private final BorderPane view = new BorderPane();
    private final Tabs sides = new Tabs("match");
    private final FindingList findings;
    private final CutPanel cuts;
    private final WordsPanel words;
    private final TakesPanel tries;
    private final PeopleMenu people;
    private final VBox empty;
    private final VBox unread;
    private final Region filled;

    public MatchStage(Session session, Stage window) {
        this.session = session;
        this.recordings = new RecordingSource(session, () -> window);
        score = new ScoreView(
                this::standAt,
                (p, end, time) -> hand().pin(p, end, time, "move"),
                (line, from) -> player().playFrom(line, from),
                words -> player().say(words),
                new LinePictures(session.pictures(), this::file));
        score.list().addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        score.list().addEventFilter(KeyEvent.KEY_TYPED, this::typed);
        player = new MatchPlayer(session, score);
        hand = new BoundaryHand(session, score);
        doubts = new DoubtQueue(score::select);
        candidates = new Candidates(session.pictures(), this::file, hand::pin);
        doubts.onSelected(candidates::show);
        doubts.list().addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        summary.setId("match-summary");
        summary.setWrapText(true);
        HBox.setHgrow(summary, Priority.ALWAYS);
        findings = new FindingList(session, "match-findings", this::goTo);
        cuts = new CutPanel(session, player::playStretch);
        words = new WordsPanel(session);
        tries = new TakesPanel(session);
        people = new PeopleMenu(session, player.screen());
        filled = filled();
        empty = recordings.none(DesktopText.of("match.match-stage.have-the-simulated-camera-film"));
        unread = unread();
        view.setCenter(empty);
        session.programme().addListener((o, before, now) -> show(now));
        if (session.programme().get() != null) {
            show(session.programme().get());
        }
    }

    private Region filled() {
        Button film = Buttons.quiet(DesktopText.of("match.match-stage.film-again"), recordings::film);
        film.setTooltip(new Tooltip(DesktopText.of("match.match-stage.film-again-tip")));
        Button bring = Buttons.quiet(DesktopText.of("match.match-stage.bring-in-a-recording"), recordings::bringIn);
        summary.setMaxWidth(Double.MAX_VALUE);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        HBox tools = new HBox(10, score.order(), people.view(), score.compare(), space, film, bring);
        tools.setAlignment(Pos.CENTER_LEFT);
        VBox head = new VBox(6, summary, tools);
        VBox.setVgrow(score.view(), Priority.ALWAYS);
        VBox left = new VBox(8, head, score.view());
        left.getStyleClass().add("stage");
        BorderPane pane = new BorderPane(left);
        pane.setRight(besides());
        return pane;
    }

    private Region besides() {
        VBox doubtPage = new VBox(8, candidates.view(), buttons(), doubts.list());
        VBox.setVgrow(doubts.list(), Priority.ALWAYS);
        addPages(doubtPage);
        VBox.setVgrow(sides.view(), Priority.ALWAYS);
        VBox right = new VBox(8, player.view(), sides.view());
        right.getStyleClass().add("stage");
        right.setMinWidth(BESIDES);
        right.setMaxWidth(BESIDES);
        return right;
    }

    private HBox buttons() {
        Button keep = Buttons.act(
                DesktopText.of("match.match-stage.keep-as-it-is-b"), () -> hand.pinSelected(doubts.selected()));
        keep.setId("keep");
        keep.setTooltip(new Tooltip(DesktopText.of("match.match-stage.pins-the-boundary-where-it")));
        Button play = Buttons.quiet(DesktopText.of("match.match-stage.play-space"), player::playSelected);
        play.setId("play");
        Button loop = Buttons.quiet(DesktopText.of("match.match-stage.loop-r"), player::loop);
        loop.setId("loop");
        loop.setTooltip(new Tooltip(DesktopText.of("match.match-stage.loop-tip")));
        HBox buttons = new HBox(4, play, loop, player.slow(), keep);
        buttons.setAlignment(Pos.CENTER_LEFT);
        return buttons;
    }

    private void addPages(Region doubtPage) {
        sides.add("doubts", DesktopText.of("match.match-stage.doubts"), doubtPage);
        sides.add("findings", DesktopText.of("match.match-stage.findings"), findings.view());
        sides.add("cuts", DesktopText.of("match.match-stage.cuts"), cuts.view());
        sides.add("words", DesktopText.of("match.match-stage.words"), words.view());
        sides.add("takes", DesktopText.of("match.match-stage.takes"), tries.view());
        // Pictures of every try are only fetched while they are looked at.
        sides.onShown(name -> {
            tries.stop();
            if (name.equals("takes")) {
                tries.show(score.selected());
            }
        });
    }

    /** There are recordings, but reading them was cancelled, or one of them is missing. */
    private VBox unread() {
        Label heading = new Label(DesktopText.of("match.match-stage.not-read-yet"));
        heading.getStyleClass().add("heading");
        Label text = new Label(DesktopText.of("match.match-stage.read-them-to-match"));
        text.getStyleClass().add("empty");
        text.setMaxWidth(560);
        Button read = Buttons.act(DesktopText.of("match.match-stage.read-the-recordings"), session.takes()::read);
        read.setId("read-takes");
        read.disableProperty().bind(session.jobs().name().isNotEmpty());
        VBox box = new VBox(16, heading, text, read);
        box.setAlignment(Pos.CENTER_LEFT);
        box.setMaxWidth(600);
        return box;
    }

    @Override
    public Region view() {
        return view;
    }

    @Override
    public void entered() {
        score.list().requestFocus();
    }

    @Override
    public void left() {
        tries.stop();
        player.stop();
    }

    private void show(Programme now) {
        boolean any = !now.match().takes().isEmpty();
        view.setCenter(any ? filled : now.workout().takes().isEmpty() ? empty : unread);
        if (!any) {
            return;
        }
        score.show(now);
        people.show(now.evidence());
        long found =
                now.match().segments().stream().filter(Match.Placed::matched).count();
        List<String> evidence = new ArrayList<>();
        now.match().takes().forEach(t -> t.evidence().stream()
                .filter(e -> !evidence.contains(e))
                .forEach(evidence::add));
        summary.setText(DesktopText.of(
                "match.match-stage.of-segments-found-from-recorded",
                found,
                now.match().segments().size(),
                String.join(", ", evidence),
                now.cut().total(),
                now.timeline().total()));
        sides.rename("doubts", doubts.show(score.lines()));
        findings.show(now.matchFindings(), now.workout());
        int open = findings.list().getItems().size();
        sides.rename("findings", DesktopText.of("match.match-stage.findings-open", open));
        cuts.show(now);
        words.show(now);
    }

    private void standAt(ScoreLine line) {
        if (sides.shown().equals("takes")) {
            tries.show(line);
        }
        cuts.select(line == null || line.isUnplanned() ? List.of() : line.placed());
        player.standAt(line);
    }

    // The Score is there before them.
    private MatchPlayer player() {
        return player;
    }

    private BoundaryHand hand() {
        return hand;
    }

    private Path file(String take) {
        return session.media().files(session.workout()).get(take);
    }

    /** Shows one of the pages beside the Score: Doubts, Findings, Cuts, Words or Takes. */
    public void showPage(String name) {
        sides.show(name);
    }

    @Override
    public void goTo(Finding f) {
        if (f != null && f.segment() != null) {
            score.lineOf(f.segment()).ifPresent(score::select);
        }
    }

    private void key(KeyEvent e) {
        if (e.isShortcutDown()) {
            return;
        }
        if (e.getCode() == KeyCode.COMMA || e.getCode() == KeyCode.PERIOD) {
            double seconds = (e.isShiftDown() ? 1 : 0.1) * (e.getCode() == KeyCode.COMMA ? -1 : 1);
            hand.nudge(e.isAltDown(), Length.ofSeconds(seconds));
            e.consume();
            return;
        }
        if (e.isAltDown()) {
            return;
        }
        switch (e.getCode()) {
            case R -> player.loop();
            case T -> player.tap();
            case V -> player.slow().fire();
            case U -> hand.useOther();
            case SPACE -> player.playSelected();
            case J -> score.step(1);
            case K -> score.step(-1);
            case D -> doubts.next();
            case F -> score.fold();
            case B -> hand.pinSelected(doubts.selected());
            case C -> score.compare().fire();
            case DIGIT1, NUMPAD1 -> candidates.choose(0);
            case DIGIT2, NUMPAD2 -> candidates.choose(1);
            case DIGIT3, NUMPAD3 -> candidates.choose(2);
            default -> {
                return;
            }
        }
        e.consume();
    }

    private void typed(KeyEvent e) {
        switch (e.getCharacter()) {
            case "[" -> hand.nudge(false, -1);
            case "]" -> hand.nudge(false, 1);
            case "{" -> hand.nudge(true, -1);
            case "}" -> hand.nudge(true, 1);
            default -> {
                return;
            }
        }
        e.consume();
    }
}
