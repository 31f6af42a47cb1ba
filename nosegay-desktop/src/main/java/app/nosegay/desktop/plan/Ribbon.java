package app.nosegay.desktop.plan;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.jobs.Libraries;
import app.nosegay.library.Move;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.ChangeOver;
import app.nosegay.plan.check.GearList;
import app.nosegay.plan.edit.LengthEdit;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.terms.Side;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.IntConsumer;
import javafx.geometry.Rectangle2D;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.util.Duration;

/** The workout in true proportion: a strand per block, all on one scale, work raised above rest. Clicking goes to the line. */
final class Ribbon {
    private static final double ROW = 50;
    /** A picture cannot be higher than the graphics card allows; nobody reads on so far. */
    private static final int MOST_STRANDS = 120;

    private static final double LABEL = 18;
    private static final double BAR = 20;
    /** How near to an edge counts as on it, in pixels. */
    private static final double GRIP = 4;
    /** Lengths are dragged on this grid. */
    private static final double GRID_SECONDS = 5;

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
    private BiConsumer<Segment, Length> stretched = (segment, length) -> {};
    private BiConsumer<Integer, Integer> moved = (from, to) -> {};
    private Patch held;
    private Block carried;
    private double pressedX;
    private double scale = 1;
    private Length wanted;
    private String lastGear = "";
    private Move.Height lastHeight;

    Ribbon() {
        canvas.setId("ribbon");
        pane.setMinWidth(200);
        pane.setAccessibleText(DesktopText.of("plan.ribbon.timeline-of-the-workout-one"));
        tip.setShowDelay(Duration.millis(150));
        Tooltip.install(canvas, tip);
        Lamplight.follow(canvas, this::paint);
        canvas.setOnMouseMoved(this::look);
        canvas.setOnMousePressed(this::press);
        canvas.setOnMouseDragged(this::drag);
        canvas.setOnMouseReleased(this::release);
    }

    private Optional<Patch> at(double x, double y) {
        return patches.stream().filter(p -> p.place().contains(x, y)).findFirst();
    }

    /** The stretch whose right edge is at {@code x}. */
    private Optional<Patch> edgeAt(double x, double y) {
        return patches.stream()
                .filter(p -> Math.abs(p.place().getMaxX() - x) <= GRIP
                        && y >= p.place().getMinY()
                        && y <= p.place().getMaxY())
                .findFirst();
    }

    private Block blockAt(double y) {
        int index = (int) ((y - 2) / ROW);
        List<Block> blocks = timeline == null
                ? List.of()
                : timeline.segments().stream().map(Segment::block).distinct().toList();
        return index < 0 || index >= blocks.size() ? null : blocks.get(index);
    }

    private void look(MouseEvent e) {
        boolean edge = edgeAt(e.getX(), e.getY()).isPresent();
        Optional<Patch> patch = at(e.getX(), e.getY());
        canvas.setCursor(edge ? Cursor.H_RESIZE : patch.isPresent() ? Cursor.HAND : Cursor.OPEN_HAND);
        tip.setText(patch.map(p -> DesktopText.of("plan.ribbon.drag-its-right-edge-to", describe(p.segment())))
                .orElse(DesktopText.of("plan.ribbon.point-at-a-stretch-to")));
    }

    private void press(MouseEvent e) {
        held = edgeAt(e.getX(), e.getY()).orElse(null);
        pressedX = e.getX();
        wanted = null;
        carried = held == null && at(e.getX(), e.getY()).isEmpty() ? blockAt(e.getY()) : null;
    }

    private void drag(MouseEvent e) {
        if (held != null) {
            Length now = LengthEdit.segmentLength(timeline, held.segment());
            double seconds = now.seconds() + (e.getX() - pressedX) / scale;
            wanted = Length.ofSeconds(Math.max(GRID_SECONDS, Math.round(seconds / GRID_SECONDS) * GRID_SECONDS));
            paint();
            GraphicsContext g = canvas.getGraphicsContext2D();
            Rectangle2D p = held.place();
            double x = p.getMaxX() + (wanted.seconds() - now.seconds()) * scale;
            g.setStroke(Petals.ink());
            g.strokeLine(x, p.getMinY() - 2, x, p.getMaxY());
            g.setFill(Petals.ink());
            g.fillText(wanted.clock(), x + 4, p.getMinY() + 12);
        } else if (carried != null) {
            canvas.setCursor(Cursor.CLOSED_HAND);
            paint();
            Block target = blockAt(e.getY());
            if (target != null && target != carried) {
                GraphicsContext g = canvas.getGraphicsContext2D();
                double y = 2 + ROW * (int) ((e.getY() - 2) / ROW);
                g.setStroke(Petals.work());
                g.setLineWidth(2);
                g.strokeLine(2, y, canvas.getWidth() - 4, y);
            }
        }
    }

    private void release(MouseEvent e) {
        Block target = blockAt(e.getY());
        if (held != null && wanted != null) {
            stretched.accept(held.segment(), wanted);
        } else if (carried != null && target != null && target != carried && !e.isStillSincePress()) {
            moved.accept(carried.line(), target.line());
        } else if (e.isStillSincePress()) {
            at(e.getX(), e.getY()).ifPresent(p -> chosen.accept(lineOf(p.segment())));
        }
        held = null;
        carried = null;
        paint();
    }

    private static int lineOf(Segment s) {
        return s.line() != null ? s.line().line() : s.block().line();
    }

    /** Told the new length when the edge of a stretch was dragged. */
    void onStretched(BiConsumer<Segment, Length> told) {
        stretched = told;
    }

    /** Told the lines of the block that was dragged and of the one it was dropped on. */
    void onMoved(BiConsumer<Integer, Integer> told) {
        moved = told;
    }

    Region view() {
        return pane;
    }

    void onChosen(IntConsumer line) {
        chosen = line;
    }

    void show(Timeline shown) {
        timeline = shown;
        pane.setPrefHeight(10
                + ROW
                        * Math.max(
                                1,
                                Math.min(
                                        MOST_STRANDS + 1, shown.sheet().blocks().size())));
        pane.requestLayout();
    }

    private static String describe(Segment s) {
        String side = s.side() == Side.LEFT || s.side() == Side.RIGHT
                ? ", " + s.side().word()
                : "";
        String what = s.move() == null ? s.kind().word() : s.move();
        return DesktopText.of(
                "plan.ribbon.from",
                what,
                side,
                s.kind().word(),
                s.duration(),
                s.start(),
                s.reps() == null ? "" : ", " + s.reps() + DesktopText.of("plan.ribbon.reps"),
                s.teaches() == null ? "" : DesktopText.of("plan.ribbon.teaches", s.teaches()));
    }

    private void paint() {
        double width = Math.max(100, pane.getWidth());
        double height = Math.max(20, Math.min(pane.getHeight(), ROW * (MOST_STRANDS + 2)));
        canvas.setWidth(width);
        canvas.setHeight(height);
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, width, height);
        patches.clear();
        if (timeline == null || timeline.segments().isEmpty()) {
            g.setFill(Petals.faded());
            g.setFont(Font.font("Source Sans 3", 16));
            g.fillText(DesktopText.of("plan.ribbon.write-a-block-for-example"), 2, 24, width - 10);
            return;
        }
        Map<Block, List<Segment>> blocks = new LinkedHashMap<>();
        timeline.segments().forEach(s -> blocks.computeIfAbsent(s.block(), b -> new ArrayList<>())
                .add(s));
        double longest =
                blocks.values().stream().mapToDouble(Ribbon::seconds).max().orElse(1);
        scale = (width - 8) / Math.max(60, longest);
        lastGear = "";
        lastHeight = null;
        double y = 2;
        int strands = 0;
        for (Map.Entry<Block, List<Segment>> entry : blocks.entrySet()) {
            if (strands++ == MOST_STRANDS) {
                g.setFill(Petals.faded());
                g.fillText(DesktopText.of("plan.ribbon.and-more-blocks", blocks.size() - MOST_STRANDS), 2, y + 13);
                break;
            }
            strand(g, entry.getKey(), entry.getValue(), y, scale);
            y += ROW;
        }
    }

    private static double seconds(List<Segment> segments) {
        return segments.stream().mapToDouble(s -> s.duration().seconds()).sum();
    }

    /** Changes of gear (a filled triangle) and of position (a step up or down), below where they happen. */
    private void marks(GraphicsContext g, Segment s, double x, double y) {
        String gear = String.join(
                ", ",
                GearList.of(s, Libraries.current(), timeline.sheet().header()).stream()
                        .map(i -> i.name() + i.weight())
                        .toList());
        Move.Height height = ChangeOver.heightOf(s, Libraries.current());
        if (!gear.equals(lastGear)) {
            g.setFill(gear.isEmpty() ? Petals.paper() : Petals.ink());
            g.setStroke(Petals.ink());
            g.setLineWidth(1);
            double[] xs = {x + 4, x + 8, x};
            double[] ys = {y + 1, y + 7, y + 7};
            g.fillPolygon(xs, ys, 3);
            g.strokePolygon(xs, ys, 3);
        }
        if (lastHeight != null && height != lastHeight) {
            boolean down = height.compareTo(lastHeight) > 0;
            g.setStroke(Petals.rest());
            g.setLineWidth(2);
            g.strokePolyline(
                    new double[] {x + 11, x + 15, x + 15, x + 19},
                    down ? new double[] {y + 2, y + 2, y + 7, y + 7} : new double[] {y + 7, y + 7, y + 2, y + 2},
                    4);
        }
        lastGear = gear;
        lastHeight = height;
    }

    private void strand(GraphicsContext g, Block block, List<Segment> segments, double y, double scale) {
        g.setFill(Petals.ink());
        g.setFont(Font.font("Source Sans 3", 14));
        String name =
                Character.toUpperCase(block.name().charAt(0)) + block.name().substring(1);
        g.fillText(
                name + "  " + segments.get(0).start() + "  ·  " + new Length(Math.round(seconds(segments) * 1e6)),
                2,
                y + 13);
        double x = 2;
        for (Segment s : segments) {
            double w = s.duration().seconds() * scale;
            boolean high = s.kind().isMoving();
            double top = y + LABEL + (high ? 0 : BAR * 0.45);
            double h = high ? BAR : BAR * 0.55;
            Color colour = Petals.of(s.kind());
            g.setFill(high ? colour : colour.deriveColor(0, 0.8, 1.2, 0.55));
            g.fillRect(x, top, Math.max(1, w - 1), h);
            if (s.side() == Side.LEFT || s.side() == Side.RIGHT) {
                g.setFill(Petals.paper());
                double mark = s.side() == Side.LEFT ? x + 2 : x + w - 5;
                g.fillRect(mark, top + 3, 2, h - 6);
            }
            if (s.kind().isMoving()) {
                marks(g, s, x, top + h);
            }
            patches.add(new Patch(new Rectangle2D(x, y + LABEL, Math.max(1, w), BAR + 8), s));
            x += w;
        }
    }
}
