package app.nosegay.desktop.plan;

import app.nosegay.desktop.Petals;
import app.nosegay.plan.Attribute;
import app.nosegay.plan.RunSheet.Block;
import app.nosegay.plan.Segment;
import app.nosegay.plan.SegmentKind;
import app.nosegay.plan.Side;
import app.nosegay.plan.Timeline;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntConsumer;
import javafx.geometry.Rectangle2D;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.util.Duration;

/** The workout in true proportion: a strand per block, all on one scale, work raised above rest. Clicking goes to the line. */
final class Ribbon {
    private static final double ROW = 46;
    private static final double LABEL = 18;
    private static final double BAR = 20;

    private record Patch(Rectangle2D place, Segment segment) {}

    private final Canvas canvas = new Canvas(400, 100);
    private final Pane pane = new Pane(canvas) {
        @Override
        protected void layoutChildren() {
            paint();
        }
    };
    private final Tooltip tip = new Tooltip();
    private final List<Patch> patches = new ArrayList<>();
    private Timeline timeline;
    private IntConsumer chosen = line -> {};

    Ribbon() {
        pane.setMinWidth(200);
        pane.setAccessibleText("Timeline of the workout, one strand per block");
        tip.setShowDelay(Duration.millis(150));
        Tooltip.install(canvas, tip);
        canvas.setOnMouseMoved(e -> tip.setText(patches.stream()
                .filter(p -> p.place().contains(e.getX(), e.getY()))
                .findFirst()
                .map(p -> describe(p.segment()))
                .orElse("Point at a stretch to see what it is; click to go to its line")));
        canvas.setOnMouseClicked(e -> patches.stream()
                .filter(p -> p.place().contains(e.getX(), e.getY()))
                .findFirst()
                .ifPresent(p -> chosen.accept(
                        p.segment().line() != null
                                ? p.segment().line().line()
                                : p.segment().block().line())));
    }

    Region view() {
        return pane;
    }

    void onChosen(IntConsumer line) {
        chosen = line;
    }

    void show(Timeline shown) {
        timeline = shown;
        pane.setPrefHeight(10 + ROW * Math.max(1, shown.sheet().blocks().size()));
        pane.requestLayout();
    }

    private static String describe(Segment s) {
        String side = s.side() == Side.LEFT || s.side() == Side.RIGHT
                ? ", " + s.side().word()
                : "";
        String what = s.move() == null ? s.kind().word() : s.move();
        return what + side + "\n" + s.kind().word() + " " + s.duration() + " from " + s.start()
                + (s.reps() == null ? "" : ", " + s.reps() + " reps")
                + (s.teaches() == null ? "" : "\nteaches " + s.teaches());
    }

    private void paint() {
        double width = Math.max(100, pane.getWidth());
        double height = Math.max(20, pane.getHeight());
        canvas.setWidth(width);
        canvas.setHeight(height);
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, width, height);
        patches.clear();
        if (timeline == null || timeline.segments().isEmpty()) {
            g.setFill(Petals.FADED);
            g.setFont(Font.font("Source Sans 3", 16));
            g.fillText("Write a block, for example:  circuit Legs  rounds 2  work 0:40  rest 0:20", 2, 24, width - 10);
            return;
        }
        Map<Block, List<Segment>> blocks = new LinkedHashMap<>();
        timeline.segments().forEach(s -> blocks.computeIfAbsent(s.block(), b -> new ArrayList<>())
                .add(s));
        double longest =
                blocks.values().stream().mapToDouble(Ribbon::seconds).max().orElse(1);
        double scale = (width - 8) / Math.max(60, longest);
        double y = 2;
        for (Map.Entry<Block, List<Segment>> entry : blocks.entrySet()) {
            strand(g, entry.getKey(), entry.getValue(), y, scale);
            y += ROW;
        }
    }

    private static double seconds(List<Segment> segments) {
        return segments.stream().mapToDouble(s -> s.duration().seconds()).sum();
    }

    private void strand(GraphicsContext g, Block block, List<Segment> segments, double y, double scale) {
        g.setFill(Petals.INK);
        g.setFont(Font.font("Source Sans 3", 14));
        String name =
                Character.toUpperCase(block.name().charAt(0)) + block.name().substring(1);
        g.fillText(
                name + "  " + segments.get(0).start() + "  ·  " + new Length(Math.round(seconds(segments) * 1e6)),
                2,
                y + 13);
        double x = 2;
        String gear = null;
        for (Segment s : segments) {
            double w = s.duration().seconds() * scale;
            boolean high = s.kind().isMoving();
            double top = y + LABEL + (high ? 0 : BAR * 0.45);
            double h = high ? BAR : BAR * 0.55;
            Color colour = Petals.of(s.kind());
            g.setFill(high ? colour : colour.deriveColor(0, 0.8, 1.2, 0.55));
            g.fillRect(x, top, Math.max(1, w - 1), h);
            if (s.side() == Side.LEFT || s.side() == Side.RIGHT) {
                g.setFill(Petals.PAPER);
                double mark = s.side() == Side.LEFT ? x + 2 : x + w - 5;
                g.fillRect(mark, top + 3, 2, h - 6);
            }
            String needs = s.kind() == SegmentKind.WORK && s.line() != null
                    ? String.join(", ", s.line().attributes().list(Attribute.GEAR))
                    : gear;
            if (needs != null && !needs.equals(gear) && s.kind() == SegmentKind.WORK) {
                g.setFill(Petals.INK);
                g.fillPolygon(new double[] {x, x + 4, x - 4}, new double[] {top + h + 1, top + h + 7, top + h + 7}, 3);
                gear = needs;
            }
            patches.add(new Patch(new Rectangle2D(x, y + LABEL, Math.max(1, w), BAR + 8), s));
            x += w;
        }
    }
}
