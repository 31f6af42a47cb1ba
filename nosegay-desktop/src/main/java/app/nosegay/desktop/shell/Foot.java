package app.nosegay.desktop.shell;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** What runs, what was done last, and whether the file holds it. */
final class Foot {
    private Foot() {}

    static HBox of(Session session) {
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        Label state = new Label();
        state.setId("file-state");
        state.getStyleClass().add("small");
        state.textProperty()
                .bind(Bindings.when(session.outdated())
                        .then(DesktopText.of("shell.shell.outdated"))
                        .otherwise(session.state()));
        HBox foot = new HBox(job(session), message(session), space, sight(session), state);
        foot.getStyleClass().add("foot");
        foot.setAlignment(Pos.CENTER_LEFT);
        return foot;
    }

    private static HBox job(Session session) {
        Label running = new Label();
        running.setId("job-name");
        running.textProperty().bind(session.jobs().name());
        ProgressBar bar = new ProgressBar();
        bar.progressProperty().bind(session.jobs().share());
        bar.setPrefWidth(220);
        Button cancel = Buttons.quiet(DesktopText.of("shell.shell.cancel"), session.jobs()::cancel);
        cancel.setId("job-cancel");
        HBox job = new HBox(running, bar, cancel);
        job.setAlignment(Pos.CENTER_LEFT);
        job.setSpacing(10);
        job.visibleProperty().bind(Bindings.isNotEmpty(session.jobs().name()));
        job.managedProperty().bind(job.visibleProperty());
        return job;
    }

    private static HBox sight(Session session) {
        Label looking = new Label();
        looking.setId("looking");
        looking.getStyleClass().add("small");
        looking.textProperty().bind(session.sight().state());
        Button stop = Buttons.quiet(DesktopText.of("shell.shell.stop-looking"), session.sight()::stop);
        HBox sight = new HBox(4, looking, stop);
        sight.setAlignment(Pos.CENTER_LEFT);
        sight.visibleProperty().bind(session.sight().state().isNotEmpty());
        sight.managedProperty().bind(sight.visibleProperty());
        return sight;
    }

    private static Label message(Session session) {
        Label message = new Label();
        message.setId("message");
        message.getStyleClass().add("message");
        message.textProperty().bind(session.jobs().message());
        message.setWrapText(true);
        session.jobs().news().addListener((o, was, is) -> message.getStyleClass()
                .setAll("label", is ? "news" : "message"));
        return message;
    }
}
