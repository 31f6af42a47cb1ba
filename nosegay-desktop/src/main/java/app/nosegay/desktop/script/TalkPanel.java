package app.nosegay.desktop.script;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.Libraries;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.script.CuePlan;
import app.nosegay.script.Fields;
import app.nosegay.script.Talk;
import app.nosegay.script.check.TalkChecklist;
import app.nosegay.workout.Programme;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The checklists of opening and closing, each missing thing written with one key, and the fields that keep them true. */
final class TalkPanel {
    private final Session session;
    private final VBox all = new VBox(6);
    private final ScrollPane view = new ScrollPane(all);

    TalkPanel(Session session) {
        this.session = session;
        view.setFitToWidth(true);
        view.getStyleClass().add("plain-scroll");
    }

    Region view() {
        return view;
    }

    void show(Programme programme) {
        Timeline timeline = programme.timeline();
        CuePlan cues = programme.cues();
        all.getChildren().clear();
        VBox opening = list(
                DesktopText.of("script.talk-panel.opening"),
                TalkChecklist.opening(timeline, cues, Libraries.current()),
                Talk.openingBlock(timeline),
                timeline,
                true);
        VBox closing = list(
                DesktopText.of("script.talk-panel.closing"),
                TalkChecklist.closing(timeline, cues),
                Talk.closingBlock(timeline),
                timeline,
                false);
        HBox both = new HBox(24, opening, closing);
        for (VBox column : List.of(opening, closing)) {
            HBox.setHgrow(column, Priority.ALWAYS);
            column.setPrefWidth(300);
        }
        all.getChildren().add(both);
        Fields fields = Fields.of(timeline, Libraries.current());
        StringBuilder known = new StringBuilder(DesktopText.of("script.talk-panel.fields-stay-true-when-the"));
        for (String name : fields.names()) {
            known.append('{').append(name).append("} ");
        }
        Label label = new Label(known.toString().strip());
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        label.getStyleClass().add("small");
        all.getChildren().add(label);
    }

    private VBox list(String name, List<TalkChecklist.Item> items, Block block, Timeline timeline, boolean opening) {
        Label heading = new Label(name);
        heading.getStyleClass().add("subheading");
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        Button write = new Button(DesktopText.of("script.talk-panel.write-the-whole", name.toLowerCase(Locale.ROOT)));
        write.getStyleClass().add("quiet");
        write.setId("write-" + name.toLowerCase(Locale.ROOT));
        write.setOnAction(e -> writeAll(block, timeline, opening));
        HBox row = new HBox(8, heading, space, write);
        row.setAlignment(Pos.CENTER_LEFT);
        VBox column = new VBox(4, row);
        for (TalkChecklist.Item item : items) {
            Label mark = new Label((item.said() ? "✓ " : "✗ ") + item.name());
            mark.getStyleClass().add(item.said() ? "kept" : "broken");
            mark.setMinWidth(Region.USE_PREF_SIZE);
            HBox line = new HBox(8, mark);
            line.setAlignment(Pos.CENTER_LEFT);
            if (!item.said() && block != null) {
                Button add = new Button(DesktopText.of("script.talk-panel.say-it"));
                add.setMinWidth(Region.USE_PREF_SIZE);
                add.setTooltip(new Tooltip(item.how()));
                add.getStyleClass().add("quiet");
                add.setOnAction(e -> insert(
                        block,
                        List.of("  " + item.kind().word() + ": " + item.how()),
                        DesktopText.of("script.talk-panel.say", item.name())));
                line.getChildren().add(add);
            }
            column.getChildren().add(line);
        }
        if (block == null) {
            Label none = new Label(
                    opening
                            ? DesktopText.of("script.talk-panel.there-is-no-talk-before")
                            : DesktopText.of("script.talk-panel.there-is-no-talk-at"));
            none.setWrapText(true);
            column.getChildren().add(none);
            write.setDisable(true);
        }
        return column;
    }

    private void insert(Block block, List<String> lines, String name) {
        int behind = block.line();
        for (var cue : block.cues()) {
            behind = Math.max(behind, cue.line());
        }
        session.edit(SheetEdit.insert(name, behind + 1, lines));
    }

    private void writeAll(Block block, Timeline timeline, boolean opening) {
        Fields fields = Fields.of(timeline, Libraries.current());
        List<Talk.Line> lines = opening ? Talk.opening(timeline, fields) : Talk.closing(fields);
        List<String> written = lines.stream()
                .filter(l -> block.cues().stream().noneMatch(c -> c.kind() == l.kind()))
                .map(Talk.Line::written)
                .toList();
        if (!written.isEmpty()) {
            insert(
                    block,
                    written,
                    opening
                            ? DesktopText.of("script.talk-panel.write-the-opening")
                            : DesktopText.of("script.talk-panel.write-the-closing"));
        }
    }
}
