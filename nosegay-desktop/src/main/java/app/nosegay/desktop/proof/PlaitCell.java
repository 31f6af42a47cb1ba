package app.nosegay.desktop.proof;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.plan.Finding;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.proof.IntervalComparison;
import app.nosegay.script.Wordings;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** An interval: its name, its three threads, and what each of them says. */
final class PlaitCell extends ListCell<IntervalComparison> {
    private final Label name = new Label();
    private final Label under = new Label();
    private final Canvas canvas = new Canvas(PlaitPicture.WIDTH, PlaitPicture.HEIGHT);
    private final Label planned = new Label();
    private final Label said = new Label();
    private final Label shown = new Label();
    private final HBox row;

    /** @param jump shows a finding's place on its stage */
    PlaitCell(ListView<IntervalComparison> list, Consumer<Finding> jump) {
        name.getStyleClass().add("subheading");
        name.setWrapText(true);
        under.getStyleClass().add("small");
        VBox names = new VBox(name, under);
        names.setMinWidth(138);
        names.setMaxWidth(138);
        names.setAlignment(Pos.CENTER_LEFT);
        VBox words = new VBox(planned, said, shown);
        words.setAlignment(Pos.CENTER_LEFT);
        words.setMinWidth(0);
        planned.getStyleClass().add("small");
        said.getStyleClass().add("small");
        shown.getStyleClass().add("small");
        HBox.setHgrow(words, Priority.ALWAYS);
        row = new HBox(10, names, canvas, words);
        row.setAlignment(Pos.CENTER_LEFT);
        prefWidthProperty().bind(list.widthProperty().subtract(24));
        setMaxWidth(USE_PREF_SIZE);
        setOnMouseClicked(e -> {
            if (getItem() != null && !getItem().findings().isEmpty() && e.getClickCount() == 2) {
                jump.accept(getItem().findings().get(0));
            }
        });
    }

    @Override
    protected void updateItem(IntervalComparison p, boolean none) {
        super.updateItem(p, none);
        setText(null);
        if (none || p == null) {
            setGraphic(null);
            return;
        }
        name.setText(title(p));
        under.setText(detail(p));
        Lamplight.paint(canvas, () -> PlaitPicture.paint(canvas, p));
        planned.setText(DesktopText.of("proof.proof-stage.planned", p.planned()));
        said.setText(DesktopText.of("proof.proof-stage.said", p.said()));
        shown.setText(DesktopText.of("proof.proof-stage.shown", p.shown()));
        said.getStyleClass().setAll("label", "small", p.saidApart() > ProofStage.APART ? "broken" : "agrees");
        shown.getStyleClass().setAll("label", "small", p.shownApart() > ProofStage.APART ? "broken" : "agrees");
        setAccessibleText(
                DesktopText.of("proof.proof-stage.planned-said-shown", title(p), p.planned(), p.said(), p.shown()));
        setGraphic(row);
    }

    private static String title(IntervalComparison p) {
        var s = p.interval().first();
        boolean talk = s.kind() == SegmentKind.TALK;
        return Wordings.capital(
                talk ? s.block().name() : s.move() == null ? s.kind().word() : s.move());
    }

    private static String detail(IntervalComparison p) {
        var s = p.interval().first();
        String round = s.set() != null
                ? DesktopText.of("proof.proof-stage.set", s.set())
                : s.round() != null ? DesktopText.of("proof.proof-stage.round", s.round()) : "";
        return round.isEmpty() ? s.kind().word() : round;
    }
}
