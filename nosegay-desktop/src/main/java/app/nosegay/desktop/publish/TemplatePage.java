package app.nosegay.desktop.publish;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.DescriptionTemplate;
import app.nosegay.publish.Description;
import java.io.IOException;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The template all descriptions are made from, to be made one's own. */
final class TemplatePage {
    private final Session session;
    private final TextArea text = new TextArea(DescriptionTemplate.current());
    private final Label wrong = new Label();
    private final Button usual = Buttons.quiet(
            DesktopText.of("publish.template-page.use-the-usual-one"), () -> text().setText(Description.TEMPLATE));
    private final VBox view;

    /** @param changed told when the template is another one */
    TemplatePage(Session session, Runnable changed) {
        this.session = session;
        text.setId("template");
        text.setWrapText(true);
        text.setAccessibleText(DesktopText.of("publish.template-page.template-of-the-description"));
        wrong.setWrapText(true);
        wrong.setId("template-wrong");
        wrong.getStyleClass().add("broken");
        usual.setId("template-usual");
        VBox.setVgrow(text, Priority.ALWAYS);
        Label names = new Label(DesktopText.of(
                "publish.template-page.written-once-for-all-workouts", String.join("}, {", Description.NAMES)));
        names.getStyleClass().add("small");
        names.setWrapText(true);
        names.setMinHeight(Region.USE_PREF_SIZE);
        view = new VBox(8, names, text, wrong, new HBox(8, usual));
        text.textProperty().addListener((o, before, now) -> {
            told(now);
            changed.run();
        });
        text.focusedProperty().addListener((o, before, now) -> {
            if (!now) {
                keep();
            }
        });
        told(text.getText());
    }

    private TextArea text() {
        return text;
    }

    private void told(String template) {
        List<String> unknown = Description.unknownNames(template);
        wrong.setText(
                unknown.isEmpty()
                        ? ""
                        : DesktopText.of("publish.template-page.not-known-and-left-as", String.join("}, {", unknown)));
        wrong.setManaged(!unknown.isEmpty());
        usual.setDisable(template.equals(Description.TEMPLATE));
    }

    /** Keeps the template as it is now. */
    void keep() {
        try {
            if (!text.getText().equals(DescriptionTemplate.current())) {
                DescriptionTemplate.keep(text.getText());
            }
        } catch (IOException e) {
            session.jobs().say(DesktopText.of("publish.template-page.the-template-could-not-be", e.getMessage()));
        }
    }

    String template() {
        return text.getText();
    }

    Region view() {
        return view;
    }
}
