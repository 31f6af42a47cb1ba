package app.nosegay.desktop.script;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.library.CueKind;
import app.nosegay.plan.Segment;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.geometry.Rectangle2D;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/**
 * The seconds of one segment as a ruler, its lines lying on it at their spoken length, one below the other like stairs. A line is dragged
 * to another second; calls stand on theirs.
 */
final class Ruler {
    private static final double TOP = 30;
    private static final double LEAST_ROW = 30;
    /** Where there is height for it, lines stand further apart and larger; more would tear them apart. */
    private static final double MOST_ROW = 46;

    private static final double BAR = 16;
    /** Font sizes of the words in the lowest row and in the highest, in pixels. */
    private static final double LEAST_FONT = 14.5;

    private static final double MOST_FONT = 18;
    private static final double LEFT = 14;
    private static final double GRID_SECONDS = 0.1;
    /** A picture cannot be higher than the graphics card allows. */
    private static final int MOST_LINES = 120;

    private static final java.awt.Color CHOSEN = new java.awt.Color(0xE3E5CB);
    private static final java.awt.Color SAYING = new java.awt.Color(0xF3DFAE);

    private record Patch(Rectangle2D place, ScriptLine line) {}

    private final Canvas canvas = new Canvas(600, 200);
    private final Pane pane = new Pane(canvas) {
        @Override
        protected void layoutChildren() {
            paint();
        }
    };
    private final List<Patch> patches = new ArrayList<>();
    private Segment segment;
    private List<ScriptLine> lines = List.of();
    private List<CuePlan.Left> left = List.of();
    private ScriptLine selected;
    private Time<Axis.Plan> heard;
    private ScriptLine saying;
    private double row = LEAST_ROW;
    private double scale = 10;
    private double pressedX;
    private Length draggedTo;
    private Consumer<ScriptLine> onSelected = l -> {};
    private BiConsumer<ScriptLine, Length> onMoved = (l, at) -> {};

    Ruler() {
        pane.setId("ruler");
        pane.setFocusTraversable(true);
        pane.setMinHeight(120);
        pane.getStyleClass().add("ruler");
        pane.setAccessibleText(DesktopText.of("script.ruler.the-lines-of-this-segment"));
        Lamplight.follow(canvas, this::paint);
        canvas.setOnMouseMoved(e ->
                canvas.setCursor(at(e) == null ? Cursor.DEFAULT : at(e).isCall() ? Cursor.HAND : Cursor.OPEN_HAND));
        canvas.setOnMousePressed(this::press);
        canvas.setOnMouseDragged(this::drag);
        canvas.setOnMouseReleased(this::release);
        pane.setOnKeyPressed(this::key);
    }

    Region view() {
        return pane;
    }

    void onSelected(Consumer<ScriptLine> told) {
        onSelected = told;
    }

    /** Told the line and where it was dragged to, from the segment's start. */
    void onMoved(BiConsumer<ScriptLine, Length> told) {
        onMoved = told;
    }

    ScriptLine selected() {
        return selected;
    }

    void show(Segment shown, CuePlan plan) {
        segment = shown;
        lines = shown == null
                ? List.of()
                : plan.of(shown.id()).stream().limit(MOST_LINES).toList();
        left = shown == null
                ? List.of()
                : plan.missed().stream()
                        .filter(l -> l.line().segment().equals(shown.id()))
                        .limit(MOST_LINES)
                        .toList();
        ScriptLine before = selected;
        selected = before == null
                ? null
                : lines.stream()
                        .filter(l -> l.of().equals(before.of()) && l.segment().equals(before.segment()))
                        .findFirst()
                        .orElse(null);
        if (selected == null && !lines.isEmpty()) {
            selected = lines.stream().filter(l -> !l.isCall()).findFirst().orElse(lines.get(0));
        }
        onSelected.accept(selected);
        pane.setMinHeight(TOP + LEAST_ROW * Math.max(4, lines.size() + left.size()) + 10);
        paint();
    }

    void select(ScriptLine line) {
        selected = line;
        onSelected.accept(line);
        paint();
    }

    /** Marks the moment that is heard and the line that is said; null for none. */
    void hear(Time<Axis.Plan> time, ScriptLine said) {
        heard = time;
        saying = said;
        paint();
    }

    private ScriptLine at(MouseEvent e) {
        return patches.stream()
                .filter(p -> p.place().contains(e.getX(), e.getY()))
                .map(Patch::line)
                .findFirst()
                .orElse(null);
    }

    private void press(MouseEvent e) {
        pane.requestFocus();
        pressedX = e.getX();
        draggedTo = null;
        ScriptLine line = at(e);
        if (line != null) {
            select(line);
        }
    }

    private void drag(MouseEvent e) {
        if (selected == null || selected.isCall() || at(e) == null && draggedTo == null) {
            return;
        }
        double seconds = selected.start().since(segment.start()).seconds() + (e.getX() - pressedX) / scale;
        double most = segment.duration().seconds() - selected.spoken().seconds();
        double snapped = Math.round(Math.max(0, Math.min(most, seconds)) / GRID_SECONDS) * GRID_SECONDS;
        draggedTo = Length.ofSeconds(snapped);
        paint();
    }

    private void release(MouseEvent e) {
        if (draggedTo != null && selected != null && !e.isStillSincePress()) {
            Length to = draggedTo;
            draggedTo = null;
            onMoved.accept(selected, to);
        }
        draggedTo = null;
    }

    private void key(KeyEvent e) {
        if (selected == null) {
            return;
        }
        int index = lines.indexOf(selected);
        if (e.getCode() == KeyCode.DOWN && index + 1 < lines.size()) {
            select(lines.get(index + 1));
        } else if (e.getCode() == KeyCode.UP && index > 0) {
            select(lines.get(index - 1));
        } else if ((e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) && !selected.isCall()) {
            double step = e.isShiftDown() ? 1 : GRID_SECONDS;
            double seconds =
                    selected.start().since(segment.start()).seconds() + (e.getCode() == KeyCode.LEFT ? -step : step);
            double most = segment.duration().seconds() - selected.spoken().seconds();
            onMoved.accept(selected, Length.ofSeconds(Math.max(0, Math.min(most, seconds))));
        } else {
            return;
        }
        e.consume();
    }

    private static Color colour(CueKind kind) {
        return switch (kind) {
            case TIME, COUNT -> Petals.count();
            case EASIER, HARDER, INSTEAD -> Petals.option();
            case CAUTION -> Petals.caution();
            case NEXT, NAME, GEAR -> Petals.rest();
            default -> Petals.voice();
        };
    }

    private void paint() {
        double width = Math.max(200, pane.getWidth());
        double height = Math.max(120, pane.getHeight());
        canvas.setWidth(width);
        canvas.setHeight(height);
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, width, height);
        patches.clear();
        if (segment == null) {
            return;
        }
        double seconds = segment.duration().seconds();
        scale = (width - 2 * LEFT) / Math.max(1, seconds);
        double each = (height - TOP - 10) / Math.max(1, lines.size() + left.size());
        row = Math.max(LEAST_ROW, Math.min(MOST_ROW, each));
        seconds(g, seconds, height);
        double y = TOP + (row - LEAST_ROW) / 2;
        for (ScriptLine line : lines) {
            boolean dragged = line == selected && draggedTo != null;
            double at = dragged
                    ? draggedTo.seconds()
                    : line.start().since(segment.start()).seconds();
            bar(g, line, LEFT + at * scale, y, width, false);
            y += row;
        }
        for (CuePlan.Left l : left) {
            bar(g, l.line(), LEFT + l.line().start().since(segment.start()).seconds() * scale, y, width, true);
            y += row;
        }
        if (heard != null && !heard.isBefore(segment.start()) && heard.isBefore(segment.end())) {
            double x = LEFT + heard.since(segment.start()).seconds() * scale;
            g.setStroke(Petals.ink());
            g.setLineWidth(1.5);
            g.strokeLine(x, 4, x, height - 2);
        }
    }

    private void seconds(GraphicsContext g, double seconds, double height) {
        int step = seconds > 90 ? 15 : seconds > 40 ? 5 : seconds > 15 ? 5 : 1;
        g.setFont(Font.font("Source Sans 3", 13));
        for (int s = 0; s <= seconds; s += step) {
            double x = LEFT + s * scale;
            g.setStroke(Petals.rule());
            g.setLineWidth(1);
            g.strokeLine(x, 20, x, height - 4);
            g.setFill(Petals.faded());
            g.fillText("" + s, x - (s < 10 ? 3 : 7), 15);
        }
        g.setStroke(Petals.ink());
        g.strokeLine(LEFT, 21, LEFT + seconds * scale, 21);
        g.strokeLine(LEFT + seconds * scale, 21, LEFT + seconds * scale, height - 4);
    }

    private void bar(GraphicsContext g, ScriptLine line, double x, double y, double width, boolean noRoom) {
        double w = Math.max(6, line.spoken().seconds() * scale);
        Color colour = colour(line.kind());
        double under = y - (row - BAR) / 2 + 3;
        if (line == selected || line == saying) {
            g.setFill(Petals.fx(line == saying ? SAYING : CHOSEN));
            g.fillRect(0, under, width, row - 2);
        }
        if (noRoom) {
            g.setStroke(Petals.caution());
            g.setLineDashes(4, 3);
            g.strokeRect(x, y, w, BAR);
            g.setLineDashes();
        } else if (line.isCall()) {
            g.setFill(colour);
            g.fillPolygon(new double[] {x, x + 6, x, x - 6}, new double[] {y, y + 8, y + 16, y + 8}, 4);
            g.fillRect(x, y + 6, w, 4);
        } else {
            g.setFill(colour);
            g.fillRoundRect(x, y, w, BAR, 6, 6);
            if (line.fixed()) {
                g.setFill(Petals.paper());
                g.fillOval(x + 4, y + 5, 6, 6);
            }
        }
        boolean saysItsKind = line.text()
                .regionMatches(
                        true, 0, line.kind().word(), 0, line.kind().word().length());
        String words = (saysItsKind ? "" : line.kind().word() + "  ")
                + line.text()
                + (noRoom ? DesktopText.of("script.ruler.no-room") : "");
        double size = LEAST_FONT + (MOST_FONT - LEAST_FONT) * (row - LEAST_ROW) / (MOST_ROW - LEAST_ROW);
        Font font = line == saying ? Font.font("Source Sans 3 SemiBold", size) : Font.font("Source Sans 3", size);
        g.setFont(font);
        double textWidth = measured(words, font);
        boolean behind = x + w + 8 + textWidth <= width - 4 || x + w + 8 < width * 0.45;
        double tx = behind ? x + w + 8 : Math.max(4, x - 8 - textWidth);
        double room = behind ? width - tx - 4 : x - 8 - tx;
        g.setFill(noRoom ? Petals.caution() : Petals.ink());
        g.fillText(textWidth > room ? shortened(words, room, font) : words, tx, y + 13);
        patches.add(new Patch(new Rectangle2D(0, Math.max(0, under), width, row - 2), line));
    }

    private static double measured(String words, Font font) {
        Text text = new Text(words);
        text.setFont(font);
        return text.getLayoutBounds().getWidth();
    }

    private static String shortened(String words, double room, Font font) {
        String cut = words;
        while (cut.length() > 8 && measured(cut + "…", font) > room) {
            cut = cut.substring(0, cut.length() - 1);
        }
        return cut + "…";
    }
}
