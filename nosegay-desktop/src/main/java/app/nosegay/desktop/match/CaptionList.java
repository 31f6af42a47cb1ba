package app.nosegay.desktop.match;

import app.nosegay.captions.Caption;
import app.nosegay.captions.CaptionText;
import app.nosegay.cut.MatchNotes;
import app.nosegay.cut.MatchNotes.Mute;
import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Labels;
import app.nosegay.desktop.session.Session;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.workout.Programme;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.ListView;
import javafx.scene.control.Tooltip;
import javafx.scene.control.cell.TextFieldListCell;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** All captions of the takes, each to be corrected, or muted in the finished video. */
final class CaptionList {
    private final Session session;
    private final ListView<Said> captions = new ListView<>();
    private final Button mute = Buttons.quiet(DesktopText.of("match.caption-list.mute"), "mute-caption", this::mute);
    private final VBox view;

    CaptionList(Session session) {
        this.session = session;
        captions.setId("all-captions");
        captions.setEditable(true);
        captions.setCellFactory(l -> {
            TextFieldListCell<Said> cell = new TextFieldListCell<>(new SaidText(l));
            cell.setWrapText(true);
            cell.setPrefWidth(0);
            return cell;
        });
        captions.setOnEditCommit(e ->
                correct(captions.getItems().get(e.getIndex()), e.getNewValue().text()));
        captions.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER && captions.getEditingIndex() < 0) {
                captions.edit(captions.getSelectionModel().getSelectedIndex());
            } else if (e.getCode() == KeyCode.M && captions.getEditingIndex() < 0) {
                mute();
                e.consume();
            }
        });
        captions.getSelectionModel().selectedItemProperty().addListener((o, before, now) -> label(now));
        mute.setTooltip(new Tooltip(DesktopText.of("match.caption-list.mute-tip")));
        label(null);
        VBox.setVgrow(captions, Priority.ALWAYS);
        view = new VBox(
                8, Labels.small(DesktopText.of("match.caption-list.all-captions-click-one-twice")), captions, mute);
    }

    /** A caption as it will be shown, and as it was heard. */
    private record Said(String take, Caption heard, String text, boolean muted) {}

    /** A caption with its time for the list; its words alone while it is edited come back as text. */
    private static final class SaidText extends StringConverter<Said> {
        private final ListView<Said> list;

        SaidText(ListView<Said> list) {
            this.list = list;
        }

        @Override
        public String toString(Said said) {
            return said == null
                    ? ""
                    : list.getEditingIndex() >= 0 && list.getItems().indexOf(said) == list.getEditingIndex()
                            ? said.text()
                            : said.heard().start() + "   "
                                    + (said.muted()
                                            ? DesktopText.of("match.caption-list.muted", said.text())
                                            : said.text());
        }

        @Override
        public Said fromString(String text) {
            Said edited = list.getItems().get(list.getEditingIndex());
            return new Said(edited.take(), edited.heard(), text, edited.muted());
        }
    }

    /** Keeps the caption as corrected; without words it is left out. */
    private void correct(Said said, String text) {
        String words = text.strip();
        if (words.equals(said.text())) {
            return;
        }
        MatchNotes notes = session.workout()
                .matching()
                .withoutRepairs(said.take(), said.heard().start())
                .withRepair(new CaptionText.Repair(
                        said.take(), said.heard().start(), said.heard().text(), words, true));
        session.apply(
                DesktopText.of(
                        "match.caption-list.correct-the-caption-at",
                        said.heard().start()),
                session.workout().withMatching(notes));
    }

    private static List<Said> all(Programme now) {
        List<Said> all = new ArrayList<>();
        MatchNotes notes = now.workout().matching();
        for (TakeEvidence take : now.evidence()) {
            for (Caption c : take.words()) {
                List<Caption> shown = CaptionText.repaired(take.id(), List.of(c), notes.repairs());
                boolean muted = notes.mutes().stream()
                        .anyMatch(m -> m.take().equals(take.id()) && m.span().overlaps(span(c)));
                all.add(new Said(
                        take.id(), c, shown.isEmpty() ? "" : shown.get(0).text(), muted));
            }
        }
        return all;
    }

    private static Span<Axis.Take> span(Caption caption) {
        return new Span<>(caption.start(), caption.end());
    }

    private void label(Said chosen) {
        mute.setDisable(chosen == null);
        mute.setText(
                chosen != null && chosen.muted()
                        ? DesktopText.of("match.caption-list.unmute")
                        : DesktopText.of("match.caption-list.mute"));
    }

    /** What the chosen caption says is not heard in the finished video, or is again. */
    private void mute() {
        Said chosen = captions.getSelectionModel().getSelectedItem();
        if (chosen == null) {
            return;
        }
        MatchNotes notes = session.workout().matching();
        Span<Axis.Take> span = span(chosen.heard());
        MatchNotes decided = chosen.muted()
                ? notes.withoutMutes(chosen.take(), span)
                : notes.withMutes(List.of(new Mute(chosen.take(), span)));
        session.apply(
                chosen.muted()
                        ? DesktopText.of("match.caption-list.unmute-the-caption-at", span.start())
                        : DesktopText.of("match.caption-list.mute-the-caption-at", span.start()),
                session.workout().withMatching(decided));
    }

    Region view() {
        return view;
    }

    void show(Programme now) {
        if (captions.getEditingIndex() >= 0) {
            return;
        }
        int chosen = captions.getSelectionModel().getSelectedIndex();
        captions.getItems().setAll(all(now));
        if (chosen >= 0 && chosen < captions.getItems().size()) {
            captions.getSelectionModel().select(chosen);
        }
    }
}
