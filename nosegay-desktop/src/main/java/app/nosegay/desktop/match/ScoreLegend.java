package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Pictures;
import app.nosegay.paint.Palette;
import app.nosegay.paint.Skeleton;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;

/** What the marks of the Score mean, each drawn as it stands in a line. */
final class ScoreLegend extends FlowPane {
    private static final int WIDTH = 40;
    private static final int HEIGHT = 30;
    /** Drawn at twice the size, for fine screens. */
    private static final int FINER = 2;
    /** Boundaries are as high as a line; here they are drawn smaller. */
    private static final double SMALLER = 0.5;

    private static final double MIDDLE = WIDTH / 2.0;
    private static final double LABEL = 142;

    ScoreLegend() {
        super(12, 0);
        setId("score-legend");
        getStyleClass().add("score-legend");
        add(DesktopText.of("match.score-legend.planned"), g -> ScoreMarks.planned(g, 2, WIDTH - 4, work(), true));
        add(DesktopText.of("match.score-legend.done"), g -> {
            ScoreMarks.planned(g, 2, WIDTH - 4, work(), true);
            ScoreMarks.done(g, 10, WIDTH - 14, work());
        });
        add(DesktopText.of("match.score-legend.missing"), g -> ScoreMarks.planned(g, 2, WIDTH - 4, work(), false));
        add(DesktopText.of("match.score-legend.boundary"), g -> boundary(g, false));
        add(DesktopText.of("match.score-legend.doubt"), g -> {
            boundary(g, false);
            ScoreMarks.whisker(g, MIDDLE, 4 * MIDDLE - 8, work());
        });
        add(DesktopText.of("match.score-legend.pinned"), g -> boundary(g, true));
        add(DesktopText.of("match.score-legend.beep"), lifted(g -> ScoreMarks.beep(g, MIDDLE), 10));
        add(
                DesktopText.of("match.score-legend.sound"),
                lifted(
                        g -> {
                            for (int i = 0; i < 22; i++) {
                                ScoreMarks.sound(g, 4 + 1.5 * i, i % 12 < 2 ? 0 : Math.abs(Math.sin(i * 1.7)));
                            }
                        },
                        ScoreMarks.TRACE_TOP - 2));
        add(DesktopText.of("match.score-legend.left"), curve(0, Skeleton.LEFT));
        add(DesktopText.of("match.score-legend.right"), curve(Math.PI, Skeleton.RIGHT));
        add(DesktopText.of("match.score-legend.movement"), curve(Math.PI / 2, Palette.COUNT));
        add(
                DesktopText.of("match.score-legend.rep"),
                lifted(g -> ScoreMarks.rep(g, MIDDLE, false), ScoreMarks.TRACE_END - 18));
        add(
                DesktopText.of("match.score-legend.half-rep"),
                lifted(g -> ScoreMarks.rep(g, MIDDLE, true), ScoreMarks.TRACE_END - 18));
        add(
                DesktopText.of("match.score-legend.word"),
                lifted(g -> ScoreMarks.word(g, MIDDLE), ScoreMarks.TRACE_END - 13));
    }

    private static Color work() {
        return Lamplight.of(Palette.WORK);
    }

    private static void boundary(Graphics2D g, boolean pinned) {
        g.scale(SMALLER, SMALLER);
        ScoreMarks.boundary(g, MIDDLE / SMALLER, pinned, work());
    }

    private static Consumer<Graphics2D> lifted(Consumer<Graphics2D> mark, double by) {
        return g -> {
            g.translate(0, -by);
            mark.accept(g);
        };
    }

    private static Consumer<Graphics2D> curve(double phase, Color colour) {
        return lifted(g -> ScoreMarks.curve(g, wave(phase), Lamplight.of(colour)), ScoreMarks.TRACE_TOP - 2);
    }

    private static Path2D wave(double phase) {
        Path2D path = new Path2D.Double();
        for (int x = 4; x <= WIDTH - 4; x++) {
            double y = ScoreMarks.TRACE_TOP + ScoreMarks.TRACE * (0.5 - 0.45 * Math.cos(x * 0.33 + phase));
            if (x == 4) {
                path.moveTo(x, y);
            } else {
                path.lineTo(x, y);
            }
        }
        return path;
    }

    private void add(String meaning, Consumer<Graphics2D> mark) {
        ImageView picture = new ImageView();
        Lamplight.paint(picture, () -> picture.setImage(Pictures.shared(drawn(mark))));
        picture.setFitWidth(WIDTH);
        picture.setFitHeight(HEIGHT);
        Label label = new Label(meaning, picture);
        label.setGraphicTextGap(4);
        label.setPrefWidth(WIDTH + LABEL);
        getChildren().add(label);
    }

    private static BufferedImage drawn(Consumer<Graphics2D> mark) {
        BufferedImage image = new BufferedImage(FINER * WIDTH, FINER * HEIGHT, BufferedImage.TYPE_INT_ARGB_PRE);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.scale(FINER, FINER);
        mark.accept(g);
        g.dispose();
        return image;
    }
}
