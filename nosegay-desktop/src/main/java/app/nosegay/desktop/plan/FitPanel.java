package app.nosegay.desktop.plan;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.Libraries;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.fit.FitRanges;
import app.nosegay.plan.fit.Fitter;
import app.nosegay.plan.fit.Offer;
import app.nosegay.plan.terms.Pause;
import app.nosegay.time.Length;
import app.nosegay.workout.Settings;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The fitter's offers: the selected one is previewed on the ribbon, Enter applies it. */
final class FitPanel {
    private final Session session;
    private final Consumer<Offer> preview;
    private final ListView<Offer> offers = new ListView<>();
    private final Label state = new Label();
    private final TextField rest = field("fit-rest", DesktopText.of("plan.fit-panel.rest-from-to"));
    private final TextField work = field("fit-work", DesktopText.of("plan.fit-panel.work-from-to"));
    private final TextField rounds = field("fit-rounds", DesktopText.of("plan.fit-panel.rounds-from-to"));
    private final VBox view;
    private Timeline timeline;
    private int asked;

    /**
     * @param preview shows an offer before it is taken; null shows the plan as it is
     */
    FitPanel(Session session, Consumer<Offer> preview) {
        this.session = session;
        this.preview = preview;
        offers.setId("offers");
        offers.setCellFactory(l -> new Cell());
        Label none = new Label(DesktopText.of("plan.fit-panel.nothing-to-change"));
        none.getStyleClass().add("empty");
        offers.setPlaceholder(none);
        offers.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> preview.accept(is));
        offers.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER) {
                take(offers.getSelectionModel().getSelectedItem());
                e.consume();
            } else if (e.getCode() == KeyCode.ESCAPE) {
                offers.getSelectionModel().clearSelection();
                e.consume();
            }
        });
        state.setWrapText(true);
        state.setId("fit-state");
        state.setMinHeight(Region.USE_PREF_SIZE);
        FlowPane ranges = new FlowPane(
                8,
                4,
                range(DesktopText.of("plan.fit-panel.rest"), rest),
                range(DesktopText.of("plan.fit-panel.work"), work),
                range(DesktopText.of("plan.fit-panel.rounds"), rounds));
        for (TextField f : new TextField[] {rest, work, rounds}) {
            f.setOnAction(e -> setRanges());
            f.focusedProperty().addListener((o, was, is) -> {
                if (!is) {
                    setRanges();
                }
            });
        }
        VBox.setVgrow(offers, Priority.ALWAYS);
        view = new VBox(8, state, offers, ranges);
    }

    private static HBox range(String label, TextField field) {
        Label words = new Label(label);
        words.setMinWidth(Region.USE_PREF_SIZE);
        HBox range = new HBox(6, words, field);
        range.setAlignment(Pos.CENTER_LEFT);
        return range;
    }

    private static TextField field(String id, String prompt) {
        TextField field = new TextField();
        field.setId(id);
        field.setPromptText(prompt);
        field.setAccessibleText(prompt);
        field.setPrefColumnCount(7);
        return field;
    }

    Region view() {
        return view;
    }

    void show(Timeline shown) {
        timeline = shown;
        FitRanges r = session.workout().settings().ranges();
        setUnlessFocused(rest, r.restLeast() + "-" + r.restMost());
        setUnlessFocused(work, r.workLeast() + "-" + r.workMost());
        setUnlessFocused(rounds, r.roundsLeast() + "-" + r.roundsMost());
        if (view.getScene() != null && view.isVisible()) {
            compute();
        }
    }

    private static void setUnlessFocused(TextField field, String text) {
        if (!field.isFocused()) {
            field.setText(text);
        }
    }

    /** Computes the offers off the interface thread; only the newest answer is shown. */
    void compute() {
        if (timeline == null) {
            return;
        }
        int mine = ++asked;
        Timeline plan = timeline;
        FitRanges ranges = session.workout().settings().ranges();
        session.jobs().beside("fit", () -> Fitter.fit(plan, Libraries.current(), ranges), fit -> {
            if (mine == asked) {
                show(fit);
            }
        });
    }

    private void show(Fitter.Fit fit) {
        offers.getItems().setAll(fit.offers());
        state.setText(
                fit.impossible() != null
                        ? fit.impossible()
                        : fit.met()
                                ? DesktopText.of(
                                        "plan.fit-panel.the-promised-length-is-kept",
                                        fit.measured().clock())
                                : DesktopText.of(
                                        "plan.fit-panel.it-lasts-choose-a-way",
                                        fit.measured().clock()));
        if (!fit.offers().isEmpty()) {
            offers.getSelectionModel().select(0);
        } else {
            preview.accept(null);
        }
    }

    private void take(Offer offer) {
        if (offer != null) {
            preview.accept(null);
            session.edit(offer.edit());
        }
    }

    private void setRanges() {
        Settings settings = session.workout().settings();
        FitRanges old = settings.ranges();
        Pause rests = Pause.parse(rest.getText()).orElse(null);
        Pause works = Pause.parse(work.getText()).orElse(null);
        boolean counts = rounds.getText().matches("\\s*[1-9]\\d?\\s*-\\s*[1-9]\\d?\\s*");
        int least = counts ? Integer.parseInt(rounds.getText().split("-")[0].strip()) : old.roundsLeast();
        int most = counts ? Integer.parseInt(rounds.getText().split("-")[1].strip()) : old.roundsMost();
        Length restLeast = rests == null ? old.restLeast() : rests.least();
        Length restMost = rests == null ? old.restMost() : rests.most();
        Length workLeast = works == null ? old.workLeast() : works.least();
        Length workMost = works == null ? old.workMost() : works.most();
        FitRanges set = new FitRanges(restLeast, restMost, workLeast, workMost, least, Math.max(least, most));
        if (!set.equals(old)) {
            session.apply(
                    DesktopText.of("plan.fit-panel.ranges-of-the-fitter"),
                    session.workout().withSettings(new Settings(settings.costs(), set)));
        }
        show(timeline);
    }

    /** One way, what it changes and what it costs. */
    private final class Cell extends ListCell<Offer> {
        private final Label name = new Label();
        private final Label price = new Label();
        private final Button take = new Button(DesktopText.of("plan.fit-panel.take-it"));
        private final HBox row;

        Cell() {
            name.getStyleClass().add("offer");
            price.getStyleClass().add("small");
            price.setWrapText(true);
            price.setMinHeight(Region.USE_PREF_SIZE);
            VBox words = new VBox(1, name, price);
            HBox.setHgrow(words, Priority.ALWAYS);
            take.getStyleClass().add("quiet");
            take.setMinWidth(USE_PREF_SIZE);
            take.setFocusTraversable(false);
            take.setOnAction(e -> take(getItem()));
            row = new HBox(8, words, take);
            row.setAlignment(Pos.CENTER_LEFT);
            prefWidthProperty().bind(offers.widthProperty().subtract(24));
            setMaxWidth(USE_PREF_SIZE);
        }

        @Override
        protected void updateItem(Offer o, boolean none) {
            super.updateItem(o, none);
            setText(null);
            setGraphic(none || o == null ? null : row);
            if (o != null && !none) {
                name.setText(o.measured().clock() + "  " + o.name());
                price.setText(o.price());
                setTooltip(new Tooltip(String.join("\n", o.changes())));
                setAccessibleText(o.name() + ": " + o.measured().clock() + ", " + o.price());
            }
        }
    }
}
