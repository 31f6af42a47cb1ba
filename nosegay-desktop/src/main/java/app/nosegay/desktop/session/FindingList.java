package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.Copying;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.plan.Finding;
import app.nosegay.plan.FindingPile;
import app.nosegay.plan.FindingReasons;
import app.nosegay.workout.Waiver;
import app.nosegay.workout.Workout;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextInputDialog;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * Findings, the gravest first, each to mend, to go to, or to leave as it is with a reason. Keys: M mends, Enter goes there, L leaves it.
 */
public final class FindingList {
    private final Session session;
    private final Consumer<Finding> goTo;
    private final ListView<Finding> list = new ListView<>();
    private final Label waived = new Label();
    private final Label folded = new Label();
    private final VBox view = new VBox(6, list, folded, waived);
    private final Function<Finding, FindingPile> piles;
    private boolean open;
    private Runnable again = () -> {};

    /**
     * @param goTo shows the place of a finding
     */
    public FindingList(Session session, String id, Consumer<Finding> goTo) {
        this(session, id, goTo, null);
    }

    /**
     * @param piles the pile each lies in, matters of taste folded away; null for one list
     */
    public FindingList(Session session, String id, Consumer<Finding> goTo, Function<Finding, FindingPile> piles) {
        this.session = session;
        this.piles = piles;
        this.goTo = goTo;
        list.setId(id);
        list.setAccessibleText(DesktopText.of("session.finding-list.findings"));
        list.setCellFactory(l -> new Cell());
        list.setPlaceholder(empty());
        list.setOnKeyPressed(this::key);
        Copying.words(
                list,
                () -> list.getSelectionModel().getSelectedItem() == null
                        ? null
                        : list.getSelectionModel().getSelectedItem().message(),
                session.jobs()::tell);
        folded.getStyleClass().add("small");
        folded.setId(id + "-folded");
        folded.managedProperty().bind(folded.visibleProperty());
        folded.setVisible(false);
        folded.setOnMouseClicked(e -> {
            open = !open;
            again.run();
        });
        waived.getStyleClass().add("small");
        waived.managedProperty().bind(waived.visibleProperty());
        waived.setOnMouseClicked(e -> bringBack());
        VBox.setVgrow(list, Priority.ALWAYS);
    }

    private static Label empty() {
        Label empty = new Label(DesktopText.of("session.finding-list.nothing-found-plan-and-words"));
        empty.getStyleClass().add("empty");
        return empty;
    }

    public Region view() {
        return view;
    }

    /** Shows the findings that are not waived. */
    public void show(List<Finding> findings, Workout workout) {
        again = () -> show(findings, workout);
        List<Finding> all =
                findings.stream().filter(f -> workout.waiver(f).isEmpty()).toList();
        List<Finding> open = piles != null ? inPiles(all) : all;
        int selected = list.getSelectionModel().getSelectedIndex();
        if (!list.getItems().equals(open)) {
            list.getItems().setAll(open);
            list.getSelectionModel().select(Math.min(selected, open.size() - 1));
        }
        int left = findings.size() - all.size();
        waived.setVisible(left > 0);
        waived.setText(DesktopText.of("session.finding-list.left-as-they-are-click", left));
    }

    /** Pile by pile; matters of taste only when they were asked for. */
    private List<Finding> inPiles(List<Finding> all) {
        List<Finding> sorted = new ArrayList<>(all);
        sorted.sort(Comparator.comparing(piles));
        long taste =
                all.stream().filter(f -> piles.apply(f) == FindingPile.TASTE).count();
        folded.setVisible(taste > 0);
        folded.setText(
                open
                        ? DesktopText.of("session.finding-list.fold-taste")
                        : DesktopText.of("session.finding-list.unfold-taste", taste));
        if (!open) {
            sorted.removeIf(f -> piles.apply(f) == FindingPile.TASTE);
        }
        return sorted;
    }

    /** Whether a pile begins with the finding at {@code index}. */
    private boolean beginsAPile(int index) {
        List<Finding> items = list.getItems();
        return piles != null && (index == 0 || piles.apply(items.get(index)) != piles.apply(items.get(index - 1)));
    }

    public ListView<Finding> list() {
        return list;
    }

    private void key(KeyEvent e) {
        Finding f = list.getSelectionModel().getSelectedItem();
        if (f == null) {
            return;
        }
        switch (e.getCode()) {
            case M -> mend(f);
            case ENTER -> goTo.accept(f);
            case L -> leave(f);
            default -> {
                return;
            }
        }
        e.consume();
    }

    private void mend(Finding f) {
        if (f.edit() != null) {
            session.edit(f.edit());
        } else if (isOfWords(f)) {
            session.apply(
                    DesktopText.of("session.finding-list.mute-the-words"),
                    session.programme().get().muted(f));
        } else {
            goTo.accept(f);
        }
    }

    /** Words that are wrong can be muted. */
    private boolean isOfWords(Finding f) {
        return session.programme().get() != null && session.programme().get().isOfWords(f);
    }

    /** Asks for the reason and keeps it with the workout. */
    private void leave(Finding f) {
        TextInputDialog dialog = new TextInputDialog();
        dialog.setTitle(DesktopText.of("session.finding-list.leave-it-as-it-is"));
        dialog.setHeaderText(f.message());
        dialog.setContentText(DesktopText.of("session.finding-list.because"));
        dialog.getDialogPane().getStylesheets().setAll(view.getScene().getStylesheets());
        Optional<String> reason = dialog.showAndWait();
        reason.filter(r -> !r.isBlank()).ifPresent(r -> leave(f, r));
    }

    /** Leaves a finding as it is, for {@code reason}. */
    public void leave(Finding f, String reason) {
        session.apply(
                DesktopText.of("session.finding-list.leave-as-it-is", f.code()),
                session.workout()
                        .withWaiver(new Waiver(
                                f.key(), reason.strip(), LocalDate.now().toString())));
    }

    private void bringBack() {
        Workout workout = session.workout();
        List<Waiver> all = new ArrayList<>(workout.waivers());
        for (Waiver w : all) {
            workout = workout.withoutWaiver(w.key());
        }
        session.apply(DesktopText.of("session.finding-list.look-at-everything-again"), workout);
    }

    private static String glyph(Finding.Severity severity) {
        return switch (severity) {
            case STOP -> "■";
            case FIX -> "▲";
            case LOOK -> "◆";
            case NOTE -> "○";
        };
    }

    /** One finding with what can be done about it. */
    private final class Cell extends ListCell<Finding> {
        private final Label mark = new Label();
        private final Label words = new Label();
        private final Button mend = Buttons.inARow(DesktopText.of("session.finding-list.mend"));
        private final Button leave = Buttons.inARow(DesktopText.of("session.finding-list.leave"));
        private final HBox row;
        private final Label pile = new Label();
        private final VBox piled = new VBox(4);

        Cell() {
            words.setWrapText(true);
            words.setMinHeight(Region.USE_PREF_SIZE);
            words.setMinWidth(0);
            mark.setMinWidth(Region.USE_PREF_SIZE);
            HBox.setHgrow(words, Priority.ALWAYS);
            words.setMaxWidth(Double.MAX_VALUE);
            row = new HBox(8, mark, words, mend, leave);
            row.setAlignment(Pos.BASELINE_LEFT);
            mend.setOnAction(e -> mend(getItem()));
            leave.setOnAction(e -> leave(getItem()));
            words.setOnMouseClicked(e -> goTo.accept(getItem()));
            prefWidthProperty().bind(list.widthProperty().subtract(24));
            setMaxWidth(USE_PREF_SIZE);
        }

        @Override
        protected void updateItem(Finding f, boolean none) {
            super.updateItem(f, none);
            setText(null);
            if (none || f == null) {
                setGraphic(null);
                return;
            }
            mark.setText(glyph(f.severity()));
            mark.getStyleClass().setAll("label", "severity-" + f.severity().word());
            words.setText(f.message());
            String reason = FindingReasons.of(f.code());
            String fix = f.fix() == null ? "" : DesktopText.of("session.finding-list.to-mend-it", f.fix());
            Tooltip.install(words, new Tooltip(f.severity().word() + ", " + f.code() + "\n" + reason + fix));
            boolean mutes = f.edit() == null && isOfWords(f);
            mend.setVisible(f.edit() != null || mutes);
            mend.setManaged(mend.isVisible());
            mend.setText(
                    mutes ? DesktopText.of("session.finding-list.mute") : DesktopText.of("session.finding-list.mend"));
            mend.setTooltip(new Tooltip(
                    mutes
                            ? DesktopText.of("session.finding-list.mute-tip")
                            : f.fix() == null ? "M" : DesktopText.of("session.finding-list.m", f.fix())));
            leave.setTooltip(new Tooltip(DesktopText.of("session.finding-list.leave-it-as-it-is-2")));
            setAccessibleText(f.severity().word() + ": " + f.message() + " " + reason + fix);
            if (getIndex() < list.getItems().size() && beginsAPile(getIndex())) {
                pile.setText(piles.apply(f).label());
                pile.getStyleClass().setAll("label", "subheading");
                piled.getChildren().setAll(pile, row);
                setGraphic(piled);
            } else {
                setGraphic(row);
            }
        }
    }
}
