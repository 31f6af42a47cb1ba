package app.nosegay.desktop.controls;

import app.nosegay.library.MuscleGroup;
import app.nosegay.plan.Balance;
import app.nosegay.time.Length;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/** A petal per muscle group, as long as its load: upper body above, legs below, front to the left, back to the right. */
public final class Bouquet {
    private static final double WIDTH = 326;
    private static final double HEIGHT = 230;
    private static final double INNER = 12;
    private static final double OUTER = 74;

    /** Clockwise from the top. */
    private static final MuscleGroup[] ORDER = {
        MuscleGroup.NECK, MuscleGroup.UPPER_BACK, MuscleGroup.REAR_SHOULDER, MuscleGroup.LATS, MuscleGroup.TRICEPS,
        MuscleGroup.LOWER_BACK, MuscleGroup.GLUTES, MuscleGroup.HAMSTRINGS, MuscleGroup.CALVES, MuscleGroup.QUADRICEPS,
        MuscleGroup.OBLIQUES, MuscleGroup.ABDOMINALS, MuscleGroup.FOREARMS, MuscleGroup.BICEPS, MuscleGroup.CHEST,
        MuscleGroup.FRONT_SHOULDER
    };

    private final double width;
    private final double height;
    private final double scale;
    private final boolean named;
    private final Canvas canvas;
    private final StackPane pane;

    public Bouquet() {
        this(WIDTH, HEIGHT, 1, true);
    }

    /** A small one without words, in a square of {@code size} pixels. */
    public static Bouquet small(double size) {
        return new Bouquet(size, size, size / (2 * OUTER + 2), false);
    }

    private Bouquet(double width, double height, double scale, boolean named) {
        this.width = width;
        this.height = height;
        this.scale = scale;
        this.named = named;
        canvas = new Canvas(width, height);
        pane = new StackPane(canvas);
        pane.setMinSize(width, height);
        pane.setMaxSize(width, height);
        pane.setAccessibleText(DesktopText.of("plan.bouquet.load-per-muscle-group"));
    }

    public Region view() {
        return pane;
    }

    public void show(Balance balance) {
        Lamplight.paint(canvas, () -> draw(balance));
    }

    private void draw(Balance balance) {
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, width, height);
        g.save();
        g.scale(scale, scale);
        double most = balance.muscles().values().stream()
                .mapToDouble(Length::seconds)
                .max()
                .orElse(1);
        double cx = width / scale / 2;
        double cy = height / scale / 2;
        g.setStroke(Petals.rule());
        g.strokeOval(cx - OUTER, cy - OUTER, 2 * OUTER, 2 * OUTER);
        for (int i = 0; i < ORDER.length; i++) {
            double seconds =
                    balance.muscles().getOrDefault(ORDER[i], Length.ZERO).seconds();
            double degrees = i * 360.0 / ORDER.length;
            if (seconds > 0) {
                petal(g, cx, cy, degrees, INNER + (OUTER - INNER) * seconds / most, colour(ORDER[i]));
            }
            if (named) {
                label(g, cx, cy, degrees, ORDER[i].word().replace('-', ' '), seconds > 0);
            }
        }
        g.setFill(Petals.voice());
        g.fillOval(cx - 8, cy - 8, 16, 16);
        g.restore();
    }

    /** The colour of a part of the body. */
    public static Color colour(MuscleGroup group) {
        return switch (group.region()) {
            case UPPER -> Petals.work();
            case CORE -> Petals.option();
            case LOWER -> Petals.count();
        };
    }

    private static void petal(GraphicsContext g, double cx, double cy, double degrees, double length, Color colour) {
        g.save();
        g.translate(cx, cy);
        g.rotate(degrees);
        double w = Math.min(15, length * 0.32);
        g.beginPath();
        g.moveTo(0, -6);
        g.bezierCurveTo(-w, -length * 0.45, -w * 0.9, -length, 0, -length);
        g.bezierCurveTo(w * 0.9, -length, w, -length * 0.45, 0, -6);
        g.setFill(colour.deriveColor(0, 0.9, 1.1, 0.85));
        g.fill();
        g.setStroke(colour.darker());
        g.setLineWidth(0.8);
        g.stroke();
        g.restore();
    }

    private static void label(GraphicsContext g, double cx, double cy, double degrees, String text, boolean loaded) {
        double a = Math.toRadians(degrees);
        double x = cx + Math.sin(a) * (OUTER + 9);
        double y = cy - Math.cos(a) * (OUTER + 11) + 4;
        g.setFont(Font.font("Source Sans 3", 13));
        g.setFill(loaded ? Petals.ink() : Petals.faded());
        g.setTextAlign(
                Math.abs(Math.sin(a)) < 0.1
                        ? TextAlignment.CENTER
                        : Math.sin(a) > 0 ? TextAlignment.LEFT : TextAlignment.RIGHT);
        g.fillText(text, x, y);
    }
}
