package app.nosegay.desktop.start;

import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.plan.bed.Starter;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/** The shape of a way to begin, drawn with the bed's own leaves and gaps: a letter is a leaf, a dot a rest, a bar a new line. */
final class ShapeDrawing extends Canvas {
    static final double WIDTH = 172;
    private static final double HEIGHT = 58;
    private static final double LEAF = 22;
    private static final double HIGH = 19;
    private static final double REST = 10;

    private final GraphicsContext g = getGraphicsContext2D();
    private double x;
    private double y;

    ShapeDrawing(Starter starter) {
        this(shape(starter));
    }

    ShapeDrawing(String shape) {
        super(WIDTH, HEIGHT);
        Lamplight.paint(this, () -> draw(shape));
    }

    private void draw(String shape) {
        g.clearRect(0, 0, WIDTH, HEIGHT);
        x = 4;
        y = shape.contains("|") ? 6 : HEIGHT / 2 - HIGH / 2;
        shape.chars().forEach(c -> piece((char) c));
    }

    private static String shape(Starter starter) {
        return switch (starter) {
            case BY_THE_CLOCK -> "A.B.C.D.|A.B.C.D.";
            case BY_COUNT -> "A.A.A.  |B.B.B.";
            case BACK_TO_BACK -> "AB.AB.|CD.CD.";
            case AS_MANY_ROUNDS -> "(ABC)(ABC)|(ABC)(A";
            case EVERY_MINUTE -> "!A.!B.!A.!B.";
            case TO_THE_BEAT -> "OOOO-ooooooo";
            case BUILD_UP -> "A.B.X.|C.D.Y.";
            case SHOWN_ONCE -> "A.aaa|B.bbb";
            case VOICE_ONLY -> "~A~.~B~.";
            case CHAIR -> "h A.B.|h A.B.";
        };
    }

    private static Color colour(char c) {
        return switch (Character.toUpperCase(c)) {
            case 'A' -> Petals.work();
            case 'B' -> Petals.count();
            case 'C' -> Petals.option();
            default -> Petals.voice();
        };
    }

    private void piece(char c) {
        switch (c) {
            case 'A', 'B', 'C', 'D' -> leaf(colour(c), true);
            case 'a', 'b' -> leaf(colour(c), false);
            case 'X', 'Y' -> {
                leaf(colour(c == 'X' ? 'A' : 'C'), true);
                x -= LEAF * 0.6;
                leaf(colour(c == 'X' ? 'B' : 'D'), true);
            }
            case '.' -> {
                g.setStroke(Petals.rest());
                g.setLineWidth(2);
                g.strokeLine(x, y + HIGH / 2, x + REST, y + HIGH / 2);
                x += REST + 2;
            }
            case '|' -> {
                x = 4;
                y += HIGH + 8;
            }
            case 'O', 'o' -> bead(c == 'O' ? 16 : 5);
            case '-' -> {
                g.setFill(Petals.option());
                g.fillRoundRect(x, y + HIGH / 2 - 3, 20, 6, 6, 6);
                x += 22;
            }
            case '(', ')' -> bracket(c == '(');
            case '!' -> {
                g.setStroke(Petals.ink());
                g.setLineWidth(1.5);
                g.strokeLine(x, y - 6, x, y + HIGH + 6);
                x += 4;
            }
            case '~' -> wave();
            case 'h' -> chair();
            default -> x += 6;
        }
    }

    private void leaf(Color colour, boolean filled) {
        g.beginPath();
        g.moveTo(x, y + HIGH);
        g.quadraticCurveTo(x, y, x + LEAF * 0.6, y);
        g.lineTo(x + LEAF, y);
        g.quadraticCurveTo(x + LEAF, y + HIGH, x + LEAF * 0.4, y + HIGH);
        g.closePath();
        if (filled) {
            g.setFill(colour.deriveColor(0, 0.85, 1.1, 0.85));
            g.fill();
        } else {
            g.setStroke(colour);
            g.setLineWidth(1);
            g.setLineDashes(3, 2);
            g.stroke();
            g.setLineDashes(0);
        }
        x += LEAF + 2;
    }

    private void bead(double size) {
        g.setFill(Petals.work());
        g.fillOval(x, y + HIGH / 2 - size / 2, size, size);
        x += size + 2.5;
    }

    private void bracket(boolean open) {
        double far = open ? x + 4 : x;
        double near = open ? x : x + 4;
        g.setStroke(Petals.ink());
        g.setLineWidth(1.3);
        g.strokePolyline(
                new double[] {far, near, near, far}, new double[] {y - 2, y - 2, y + HIGH + 2, y + HIGH + 2}, 4);
        x += 6;
    }

    private void wave() {
        g.setStroke(Petals.voice());
        g.setLineWidth(2);
        for (int i = 0; i < 3; i++) {
            double high = i == 1 ? HIGH : HIGH * 0.55;
            g.strokeLine(x, y + HIGH / 2 - high / 2, x, y + HIGH / 2 + high / 2);
            x += 4;
        }
        x += 2;
    }

    private void chair() {
        g.setStroke(Petals.ink());
        g.setLineWidth(2);
        g.strokePolyline(new double[] {x, x, x + 12, x + 12}, new double[] {y, y + 11, y + 11, y + HIGH}, 4);
        g.strokeLine(x, y + 11, x, y + HIGH);
        x += 18;
    }
}
