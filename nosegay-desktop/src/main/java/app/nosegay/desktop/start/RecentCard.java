package app.nosegay.desktop.start;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.jobs.RecentWorkouts;
import app.nosegay.jobs.RecentWorkouts.Recent;
import app.nosegay.library.MuscleGroup;
import app.nosegay.plan.Segment;
import app.nosegay.time.Length;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A workout to go on with: its title, its ribbon and bouquet in small, how far it has come, what is missing. */
final class RecentCard extends Button {
    private static final double WIDTH = 250;
    private static final double RIBBON = 178;
    private static final double RIBBON_HIGH = 16;
    private static final double BOUQUET = 52;

    /**
     * @param open goes on with it
     * @param forget takes it off the list; its file stays
     */
    RecentCard(Recent recent, Runnable open, Runnable forget) {
        getStyleClass().setAll("start-card");
        setPrefWidth(WIDTH);
        setMinWidth(WIDTH);
        setMaxWidth(WIDTH);
        setMaxHeight(Double.MAX_VALUE);
        setAlignment(Pos.TOP_LEFT);
        Label title = new Label(recent.title());
        title.getStyleClass().add("card-title");
        title.setWrapText(true);
        title.setMinHeight(Region.USE_PREF_SIZE);
        Label stage = new Label(
                stage(recent.stage()) + " · " + recent.timeline().total().clock());
        stage.getStyleClass().add("small");
        VBox words = new VBox(4, title, ribbon(recent), stage);
        words.setPrefWidth(RIBBON);
        if (!recent.missing().isEmpty()) {
            Label missing = new Label(DesktopText.of(
                    "start.missing", recent.missing().size(), recent.missing().get(0)));
            missing.getStyleClass().add("problem");
            missing.setWrapText(true);
            missing.setMinHeight(Region.USE_PREF_SIZE);
            words.getChildren().add(missing);
        }
        HBox card = new HBox(6, words, bouquet(recent));
        setGraphic(card);
        setTooltip(new Tooltip(recent.file().toString()));
        setAccessibleText(recent.title() + ", " + stage.getText());
        setOnAction(e -> open.run());
        MenuItem off = new MenuItem(DesktopText.of("start.forget"));
        off.setOnAction(e -> forget.run());
        setContextMenu(new ContextMenu(off));
    }

    private static String stage(RecentWorkouts.Stage stage) {
        return switch (stage) {
            case PLANNED -> DesktopText.of("start.planned");
            case FILMED -> DesktopText.of("start.filmed");
            case MATCHED -> DesktopText.of("start.matched");
            case PUBLISHED -> DesktopText.of("start.published");
        };
    }

    private static Canvas ribbon(Recent recent) {
        Canvas canvas = new Canvas(RIBBON, RIBBON_HIGH);
        Lamplight.paint(canvas, () -> drawRibbon(canvas.getGraphicsContext2D(), recent));
        return canvas;
    }

    private static void drawRibbon(GraphicsContext g, Recent recent) {
        g.clearRect(0, 0, RIBBON, RIBBON_HIGH);
        double total = Math.max(1, recent.timeline().total().seconds());
        double x = 0;
        for (Segment s : recent.timeline().segments()) {
            double w = RIBBON * s.duration().seconds() / total;
            double high = s.kind().isMoving() ? RIBBON_HIGH : RIBBON_HIGH * 0.5;
            g.setFill(Petals.of(s.kind()).deriveColor(0, 0.9, 1.1, s.kind().isMoving() ? 0.9 : 0.5));
            g.fillRect(x, RIBBON_HIGH - high, Math.max(0.6, w - 0.4), high);
            x += w;
        }
    }

    private static Canvas bouquet(Recent recent) {
        Canvas canvas = new Canvas(BOUQUET, BOUQUET);
        Lamplight.paint(canvas, () -> drawBouquet(canvas.getGraphicsContext2D(), recent));
        return canvas;
    }

    private static void drawBouquet(GraphicsContext g, Recent recent) {
        g.clearRect(0, 0, BOUQUET, BOUQUET);
        g.save();
        Map<MuscleGroup, Length> load = recent.balance().muscles();
        double most = load.values().stream().mapToDouble(Length::seconds).max().orElse(1);
        MuscleGroup[] groups = MuscleGroup.values();
        g.translate(BOUQUET / 2, BOUQUET / 2);
        for (MuscleGroup group : groups) {
            double length = 4
                    + (BOUQUET / 2 - 5) * load.getOrDefault(group, Length.ZERO).seconds() / Math.max(1, most);
            g.setFill(
                    switch (group.region()) {
                        case UPPER -> Petals.work();
                        case CORE -> Petals.option();
                        case LOWER -> Petals.count();
                    });
            g.setGlobalAlpha(0.75);
            g.fillOval(-3, -length, 6, length);
            g.rotate(360.0 / groups.length);
        }
        g.setGlobalAlpha(1);
        g.setFill(Petals.voice());
        g.fillOval(-4, -4, 8, 8);
        g.restore();
    }
}
