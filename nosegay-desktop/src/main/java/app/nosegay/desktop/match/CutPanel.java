package app.nosegay.desktop.match;

import app.nosegay.cut.CutProposal;
import app.nosegay.cut.LengthRule;
import app.nosegay.cut.MatchNotes;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.match.Match;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What may be cut, what is done where lengths differ, and how long the programme is with that. */
final class CutPanel {
    private static final List<String> RULES = List.of(
            DesktopText.of("match.cut-panel.trust-the-recording"),
            DesktopText.of("match.cut-panel.trust-the-clock-trim-or"),
            DesktopText.of("match.cut-panel.extend-short-rests-with-a"));

    private final Session session;
    /** An edge of a cut moves by this much at a key press. */
    private static final Length EDGE_STEP = Length.ofMillis(250);

    private final Label length = new Label();
    private final ComboBox<String> rule = new ComboBox<>();
    private final ListView<CutProposal> list = new ListView<>();
    private final VBox view = new VBox(8);
    private final Consumer<CutProposal> play;
    private final Label ownOf = new Label();
    private final ComboBox<String> own = new ComboBox<>();
    private List<Match.Placed> selected = List.of();
    private boolean showing;

    /**
     * @param play plays a stretch
     */
    CutPanel(Session session, Consumer<CutProposal> play) {
        this.session = session;
        this.play = play;
        length.setWrapText(true);
        length.setMinHeight(Region.USE_PREF_SIZE);
        length.setId("cut-length");
        rule.getItems().setAll(RULES);
        rule.setId("length-rule");
        rule.setMaxWidth(Double.MAX_VALUE);
        rule.setTooltip(new Tooltip(DesktopText.of("match.cut-panel.what-is-done-where-a")));
        rule.setOnAction(e -> chooseRule());
        list.setId("cuts");
        list.setTooltip(new Tooltip(DesktopText.of("match.cut-panel.c-cuts-or-keeps-enter")));
        Label empty = new Label(DesktopText.of("match.cut-panel.nothing-to-cut"));
        empty.getStyleClass().add("empty");
        list.setPlaceholder(empty);
        list.setCellFactory(l -> new Cell());
        list.setOnKeyPressed(e -> {
            CutProposal chosen = list.getSelectionModel().getSelectedItem();
            if (e.getCode() == KeyCode.C && chosen != null) {
                decide(chosen, !chosen.cut());
                e.consume();
            } else if (e.getCode() == KeyCode.ENTER && chosen != null) {
                play.accept(chosen);
                e.consume();
            } else if (chosen != null && (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT)) {
                moveEdge(chosen, e.isShiftDown(), e.getCode() == KeyCode.LEFT ? EDGE_STEP.negated() : EDGE_STEP);
                e.consume();
            }
        });
        VBox.setVgrow(list, Priority.ALWAYS);
        own.getItems().add(DesktopText.of("match.cut-panel.as-the-whole-workout"));
        own.getItems().addAll(RULES);
        own.setId("own-length-rule");
        own.setMaxWidth(Double.MAX_VALUE);
        own.setOnAction(e -> chooseOwnRule());
        ownOf.setWrapText(true);
        ownOf.setMinHeight(Region.USE_PREF_SIZE);
        view.getChildren().addAll(length, rule, ownOf, own, list);
        select(List.of());
    }

    /** The segments of the line of the Score that is selected: their own length rule can be chosen. */
    void select(List<Match.Placed> line) {
        showing = true;
        selected = line;
        own.setDisable(line.isEmpty());
        ownOf.setText(
                line.isEmpty()
                        ? DesktopText.of("match.cut-panel.select-a-line-of-the")
                        : DesktopText.of("match.cut-panel.only", spoken(line.get(0))));
        LengthRule rules = line.isEmpty()
                ? null
                : session.workout().matching().rules().get(line.get(0).id());
        own.getSelectionModel().select(rules == null ? 0 : rules.ordinal() + 1);
        showing = false;
    }

    private String spoken(Match.Placed placed) {
        return session.programme().get().timeline().spoken(placed.id());
    }

    private void chooseOwnRule() {
        int index = own.getSelectionModel().getSelectedIndex();
        if (showing || selected.isEmpty() || index < 0) {
            return;
        }
        MatchNotes notes = session.workout().matching();
        for (Match.Placed p : selected) {
            notes = index == 0 ? notes.withoutRule(p.id()) : notes.withRule(p.id(), LengthRule.values()[index - 1]);
        }
        session.apply(
                DesktopText.of("match.cut-panel.length-of", spoken(selected.get(0))),
                session.workout().withMatching(notes));
    }

    Region view() {
        return view;
    }

    /** How many stretches wait for a decision. */
    int open() {
        return (int) list.getItems().stream().filter(c -> !c.decided()).count();
    }

    void show(Programme now) {
        showing = true;
        int index = list.getSelectionModel().getSelectedIndex();
        list.getItems().setAll(CutProposal.of(now.match(), now.workout().matching()));
        if (index >= 0 && !list.getItems().isEmpty()) {
            list.getSelectionModel().select(Math.min(index, list.getItems().size() - 1));
        }
        rule.getSelectionModel().select(now.workout().matching().rule().ordinal());
        String promise = now.report().sentence();
        length.setText(DesktopText.of(
                "match.cut-panel.the-programme-lasts-planned", now.cut().total().clock(), promise));
        showing = false;
    }

    private void chooseRule() {
        if (!showing && rule.getSelectionModel().getSelectedIndex() >= 0) {
            LengthRule chosen = LengthRule.values()[rule.getSelectionModel().getSelectedIndex()];
            session.apply(
                    rule.getValue().toLowerCase(Locale.ROOT),
                    session.workout().withMatching(session.workout().matching().withRule(chosen)));
        }
    }

    /** Moves the start of a stretch, or its end, by a step; what was decided about it stays. */
    private void moveEdge(CutProposal c, boolean end, Length by) {
        // Keys come faster than the list is made again.
        Span<Axis.Take> now = session.workout()
                .matching()
                .decision(c.take(), c.span())
                .map(MatchNotes.CutDecision::span)
                .orElse(c.span());
        Time<Axis.Take> from = end ? now.start() : now.start().plus(by);
        Time<Axis.Take> to = end ? now.end().plus(by) : now.end();
        if (from.isBefore(Time.zero()) || to.since(from).compareTo(EDGE_STEP) < 0) {
            return;
        }
        MatchNotes notes = session.workout()
                .matching()
                .withCut(new MatchNotes.CutDecision(c.take(), new Span<>(from, to), c.cut()));
        session.apply(
                DesktopText.of("match.cut-panel.end-of", end, c.kind(), end ? to : from),
                session.workout().withMatching(notes));
    }

    private void decide(CutProposal c, boolean cut) {
        MatchNotes notes = session.workout().matching().withCut(new MatchNotes.CutDecision(c.take(), c.span(), cut));
        session.apply(
                DesktopText.of("match.cut-panel.cut-at", cut, c.kind(), c.span().start()),
                session.workout().withMatching(notes));
    }

    /** A stretch: what it is, where, and whether it goes. */
    private final class Cell extends ListCell<CutProposal> {
        private final Label words = new Label();
        private final Button button = new Button();
        private final HBox row = new HBox(8, words, button);

        Cell() {
            words.setWrapText(true);
            words.setMinWidth(0);
            words.setMaxWidth(Double.MAX_VALUE);
            HBox.setHgrow(words, Priority.ALWAYS);
            button.getStyleClass().add("quiet");
            button.setMinWidth(Region.USE_PREF_SIZE);
            button.setFocusTraversable(false);
            button.setOnAction(e -> decide(getItem(), !getItem().cut()));
            words.setOnMouseClicked(e -> play.accept(getItem()));
            row.setAlignment(Pos.CENTER_LEFT);
            prefWidthProperty().bind(list.widthProperty().subtract(24));
            setMaxWidth(USE_PREF_SIZE);
        }

        @Override
        protected void updateItem(CutProposal c, boolean none) {
            super.updateItem(c, none);
            setText(null);
            if (none || c == null) {
                setGraphic(null);
                return;
            }
            String kind =
                    switch (c.kind()) {
                        case "repeat" -> DesktopText.of("match.cut-panel.first-try-begun-again");
                        case "fluff" -> DesktopText.of("match.cut-panel.fluff");
                        case "dead air" -> DesktopText.of("match.cut-panel.dead-air");
                        case "long rest" -> DesktopText.of("match.cut-panel.rest-longer-than-planned");
                        case "unplanned" -> DesktopText.of("match.cut-panel.movement-nobody-planned");
                        case "after the end" -> DesktopText.of("match.cut-panel.after-the-end");
                        default -> DesktopText.of("match.cut-panel.pause");
                    };
            words.setText(DesktopText.of(
                    "match.cut-panel.s-at-of",
                    c.cut() ? "✂" : "○",
                    kind,
                    c.span().length().seconds(),
                    c.span().start(),
                    c.take(),
                    c.decided()
                            ? ""
                            : c.cut()
                                    ? DesktopText.of("match.cut-panel.cut-unless-you-keep-it")
                                    : DesktopText.of("match.cut-panel.kept-unless-you-cut-it")));
            button.setText(
                    c.cut() ? DesktopText.of("match.cut-panel.keep-c") : DesktopText.of("match.cut-panel.cut-c"));
            setAccessibleText(words.getText());
            setGraphic(row);
        }
    }
}
