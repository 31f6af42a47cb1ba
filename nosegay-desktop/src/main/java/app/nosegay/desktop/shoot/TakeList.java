package app.nosegay.desktop.shoot;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.match.Match;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The takes made so far, each with what is to be remembered of it. */
final class TakeList {
    private final Session session;
    private final Label heading = new Label(DesktopText.of("shoot.shoot-stage.no-takes-yet"));
    private final ListView<Workout.TakeRef> list = new ListView<>();

    TakeList(Session session) {
        this.session = session;
        list.setCellFactory(l -> new TakeCell());
        list.setId("takes");
        list.setAccessibleText(DesktopText.of("shoot.shoot-stage.takes-list"));
        list.setPlaceholder(new Label(DesktopText.of("shoot.shoot-stage.each-run-of-the-clock")));
        heading.getStyleClass().add("heading");
    }

    Region view() {
        VBox.setVgrow(list, Priority.ALWAYS);
        return new VBox(8, heading, list);
    }

    void show(Programme now) {
        list.getItems().setAll(now.workout().takes());
        int n = list.getItems().size();
        heading.setText(
                n == 0
                        ? DesktopText.of("shoot.shoot-stage.no-takes-yet")
                        : n == 1
                                ? DesktopText.of("shoot.shoot-stage.one-take")
                                : DesktopText.of("shoot.shoot-stage.takes", n));
    }

    /** Length, how much of the plan it covers, fluffs. */
    private static String take(Programme now, Workout.TakeRef t) {
        long used = now.match().segments().stream()
                .filter(p -> t.id().equals(p.take()))
                .count();
        int index = now.workout().takes().indexOf(t);
        long fluffs = index < now.logs().size() && now.logs().get(index) != null
                ? now.logs().get(index).fluffs()
                : 0;
        long broken = now.match().segments().stream()
                .flatMap(p -> p.others().stream())
                .filter(o -> o.take().equals(t.id()))
                .count();
        boolean foreign =
                now.match().takes().stream().filter(m -> m.id().equals(t.id())).anyMatch(Match.Take::foreign);
        return String.format(
                Locale.ROOT,
                "%s  ·  %d:%02d  ·  %s%s%s",
                t.id(),
                (int) (t.seconds() / 60),
                (int) (t.seconds() % 60),
                foreign
                        ? DesktopText.of("shoot.shoot-stage.something-else")
                        : DesktopText.of(
                                "shoot.shoot-stage.of-the-plan-used",
                                used
                                        * 100
                                        / Math.max(1, now.timeline().segments().size())),
                fluffs > 0 ? DesktopText.of("shoot.shoot-stage.fluffs", fluffs) : "",
                broken > 0 ? DesktopText.of("shoot.shoot-stage.begun-again", broken) : "");
    }

    /** A take, and what is to be remembered of it. */
    private final class TakeCell extends ListCell<Workout.TakeRef> {
        private final Label words = new Label();
        private final TextField note = new TextField();
        private final VBox box = new VBox(4, words, note);

        TakeCell() {
            words.setWrapText(true);
            note.setPromptText(DesktopText.of("shoot.shoot-stage.a-note-on-this-take"));
            note.setOnAction(e -> keep());
            note.focusedProperty().addListener((o, before, now) -> {
                if (!now) {
                    keep();
                }
            });
            setPrefWidth(0);
        }

        private void keep() {
            Workout.TakeRef t = getItem();
            String text = note.getText().strip();
            if (t != null && !text.equals(t.note())) {
                session.apply(
                        DesktopText.of("shoot.shoot-stage.note-on", t.id()),
                        session.workout().withTakeNote(t.id(), text));
            }
        }

        @Override
        protected void updateItem(Workout.TakeRef t, boolean none) {
            super.updateItem(t, none);
            setText(null);
            if (none || t == null) {
                setGraphic(null);
                return;
            }
            words.setText(take(session.programme().get(), t));
            note.setId("note-" + t.id());
            note.setAccessibleText(DesktopText.of("shoot.shoot-stage.note-on-2", t.id()));
            if (!note.isFocused()) {
                note.setText(t.note());
            }
            setGraphic(box);
        }
    }
}
