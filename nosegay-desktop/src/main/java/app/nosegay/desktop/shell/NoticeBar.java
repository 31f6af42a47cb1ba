package app.nosegay.desktop.shell;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Notice;
import app.nosegay.desktop.session.Session;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** What has to be known or decided first, over all stages until it is. */
final class NoticeBar {
    private NoticeBar() {}

    static HBox of(Session session, WorkoutChooser chooser) {
        Label text = new Label();
        text.setId("notice");
        text.setWrapText(true);
        text.setMinHeight(Region.USE_PREF_SIZE);
        HBox.setHgrow(text, Priority.ALWAYS);
        text.setMaxWidth(Double.MAX_VALUE);
        HBox bar = new HBox(10);
        bar.getStyleClass().add("notice");
        bar.setAlignment(Pos.CENTER_LEFT);
        bar.setVisible(false);
        bar.setManaged(false);
        session.notices().shown().addListener((o, before, now) -> {
            bar.setVisible(now != null);
            bar.setManaged(now != null);
            bar.getChildren().setAll(text);
            if (now == null) {
                return;
            }
            text.setText(now.text());
            for (Notice.Way way : now.ways()) {
                Button button = Buttons.quiet(way.label(), () -> {
                    way.does().run();
                    session.notices().dismiss();
                });
                bar.getChildren().add(button);
            }
            if (session.isReadOnly()) {
                bar.getChildren().add(Buttons.quiet(DesktopText.of("shell.shell.save-a-copy"), chooser::saveAs));
            }
        });
        return bar;
    }
}
