package app.nosegay.desktop.match;

import app.nosegay.captions.CaptionText;
import app.nosegay.cut.MatchNotes;
import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.Libraries;
import app.nosegay.jobs.ListenJob;
import app.nosegay.library.Move;
import app.nosegay.review.AdLib;
import app.nosegay.review.CaptionRepair;
import app.nosegay.review.said.ScriptLineMatch;
import app.nosegay.workout.Programme;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What was said: captions to correct, scripted lines that were not said, lines off the script worth keeping. */
final class WordsPanel {
    private final Session session;
    private final Label summary = new Label();
    private final ListView<Object> list = new ListView<>();
    private final Button listen = Buttons.inARow(DesktopText.of("match.words-panel.listen-for-the-script"));
    private final CaptionList captions;
    /** Lines off the script that are not wanted as cues, while this window is open. */
    private final Set<String> left = new HashSet<>();

    private final VBox view = new VBox(8, summary, listen, list);

    WordsPanel(Session session) {
        this.session = session;
        captions = new CaptionList(session);
        summary.setWrapText(true);
        summary.setMinHeight(Region.USE_PREF_SIZE);
        summary.setId("words-summary");
        list.setId("words");
        listen.setId("listen");
        listen.setTooltip(new Tooltip(DesktopText.of("match.words-panel.finds-the-scripted-lines-in")));
        listen.setOnAction(e -> session.takes().listen());
        Label empty = new Label(DesktopText.of("match.words-panel.no-transcript-or-nothing-to"));
        empty.getStyleClass().add("empty");
        list.setPlaceholder(empty);
        list.setCellFactory(l -> new Cell());
        VBox.setVgrow(list, Priority.ALWAYS);
        VBox.setVgrow(captions.view(), Priority.ALWAYS);
        view.getChildren().add(captions.view());
    }

    Region view() {
        return view;
    }

    void show(Programme now) {
        List<CaptionText.Repair> decided = now.workout().matching().repairs();
        List<Object> items = new ArrayList<>(now.repairs().stream()
                .filter(r -> decided.stream()
                        .noneMatch(d -> d.take().equals(r.take())
                                && d.time().equals(r.time())
                                && d.from().equals(r.from())))
                .toList());
        int repairs = items.size();
        List<ScriptLineMatch> unsaid =
                now.said().stream().filter(s -> s.take() != null && !s.isSaid()).toList();
        boolean heard = now.evidence().stream().anyMatch(e -> !e.words().isEmpty());
        items.addAll(now.adLibs().stream()
                .filter(a -> !left.contains(a.text()) && !isKept(a))
                .toList());
        if (heard) {
            items.addAll(unsaid);
        }
        list.getItems().setAll(items);
        captions.show(now);
        long said = now.said().stream().filter(ScriptLineMatch::isSaid).count();
        boolean open = !ListenJob.open(now.workout()).isEmpty();
        listen.setVisible(open);
        listen.setManaged(open);
        listen.setText(
                heard
                        ? DesktopText.of("match.words-panel.listen-again")
                        : DesktopText.of("match.words-panel.listen-for-the-script"));
        summary.setText(
                !heard
                        ? DesktopText.of("match.words-panel.no-transcript-came-with-the")
                        : DesktopText.of(
                                "match.words-panel.of-scripted-lines-were-said",
                                said,
                                said + unsaid.size(),
                                now.calls().size(),
                                repairs));
    }

    private static boolean isKept(AdLib a) {
        return Libraries.current()
                .find(a.move())
                .filter(m -> m.cues(a.kind()).stream().anyMatch(a.text()::equalsIgnoreCase))
                .isPresent();
    }

    /** Keeps what was said off the script among the cues of its move. */
    private void keep(AdLib a) {
        try {
            Move move = Libraries.current()
                    .find(a.move())
                    .orElseThrow(
                            () -> new IOException(DesktopText.of("match.words-panel.is-not-in-the-move", a.move())));
            Libraries.addCue(move, a.kind(), a.text());
            session.libraryChanged();
            session.jobs()
                    .say(DesktopText.of(
                            "match.words-panel.is-now-a-cue-of",
                            a.text(),
                            a.kind().word(),
                            a.move()));
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
    }

    private void leave(AdLib a) {
        left.add(a.text());
        list.getItems().remove(a);
    }

    private void decide(CaptionRepair r, boolean accepted) {
        MatchNotes notes = session.workout()
                .matching()
                .withRepair(new CaptionText.Repair(r.take(), r.time(), r.from(), r.to(), accepted));
        session.apply(
                DesktopText.of("match.words-panel.correct", accepted, r.from()),
                session.workout().withMatching(notes));
    }

    /** A correction to take or leave, or a line that was not said. */
    private final class Cell extends ListCell<Object> {
        private final Label words = new Label();
        private final Button take = Buttons.inARow(DesktopText.of("match.words-panel.correct-2"));
        private final Button leave = Buttons.inARow(DesktopText.of("match.words-panel.leave"));
        private final HBox row = new HBox(8, words, take, leave);

        Cell() {
            words.setWrapText(true);
            words.setMinWidth(0);
            words.setMaxWidth(Double.MAX_VALUE);
            HBox.setHgrow(words, Priority.ALWAYS);
            row.setAlignment(Pos.CENTER_LEFT);
            take.setOnAction(e -> {
                if (getItem() instanceof CaptionRepair r) {
                    decide(r, true);
                } else if (getItem() instanceof AdLib a) {
                    keep(a);
                }
            });
            leave.setOnAction(e -> {
                if (getItem() instanceof CaptionRepair r) {
                    decide(r, false);
                } else if (getItem() instanceof AdLib a) {
                    leave(a);
                }
            });
            prefWidthProperty().bind(list.widthProperty().subtract(24));
            setMaxWidth(USE_PREF_SIZE);
        }

        @Override
        protected void updateItem(Object item, boolean none) {
            super.updateItem(item, none);
            setText(null);
            if (none || item == null) {
                setGraphic(null);
                return;
            }
            boolean asks = !(item instanceof ScriptLineMatch);
            take.setVisible(asks);
            take.setManaged(asks);
            take.setText(
                    item instanceof AdLib
                            ? DesktopText.of("match.words-panel.keep-as-a-cue")
                            : DesktopText.of("match.words-panel.correct-2"));
            leave.setVisible(asks);
            leave.setManaged(asks);
            if (item instanceof CaptionRepair r) {
                words.setText(r.time() + "  \"" + r.from() + "\" → "
                        + (r.to().isEmpty()
                                ? DesktopText.of("match.words-panel.delete", r.why())
                                : "\"" + r.to() + "\""));
            } else if (item instanceof ScriptLineMatch s) {
                words.setText(DesktopText.of(
                        "match.words-panel.not-said",
                        s.line().text(),
                        session.programme().get().timeline().spoken(s.line().segment())));
            } else if (item instanceof AdLib a) {
                words.setText(DesktopText.of(
                        "match.words-panel.off-the-script-cue",
                        a.time(),
                        a.text(),
                        a.kind().word(),
                        a.move()));
            }
            setAccessibleText(words.getText());
            setGraphic(row);
        }
    }
}
