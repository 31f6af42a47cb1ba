package app.nosegay.plan.edit;

import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.Item;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.sheet.RunSheet.RestLine;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Moves blocks, and moves within blocks, as whole pieces of text: each takes its cue lines along. */
public final class SheetOrder {
    private final RunSheet sheet;
    private final String[] lines;
    private final List<Range> blocks;

    public SheetOrder(RunSheet sheet) {
        this.sheet = sheet;
        this.lines = sheet.text().split("\r\n|\n|\r", -1);
        this.blocks = ranges();
    }

    /** A piece of text: its first line and the first line after it, from 1. */
    public record Range(int from, int to) {
        public boolean contains(int line) {
            return line >= from && line < to;
        }
    }

    /** The pieces of all blocks, each up to the next block; blank lines between belong to the one before. */
    public List<Range> blocks() {
        return blocks;
    }

    private List<Range> ranges() {
        List<Range> ranges = new ArrayList<>();
        for (int i = 0; i < sheet.blocks().size(); i++) {
            int to = i + 1 < sheet.blocks().size() ? sheet.blocks().get(i + 1).line() : lines.length + 1;
            ranges.add(new Range(sheet.blocks().get(i).line(), to));
        }
        return ranges;
    }

    /** The pieces of a block's moves and rests, in order. */
    public List<Range> items(Block block) {
        int blockEnd = trimmed(rangeOf(block)).to();
        List<Range> ranges = new ArrayList<>();
        for (int i = 0; i < block.items().size(); i++) {
            int to = i + 1 < block.items().size() ? lineOf(block.items().get(i + 1)) : blockEnd;
            ranges.add(new Range(lineOf(block.items().get(i)), to));
        }
        return ranges;
    }

    private Range rangeOf(Block block) {
        return blocks().get(sheet.blocks().indexOf(block));
    }

    private Range trimmed(Range range) {
        int to = Math.min(range.to(), lines.length + 1);
        while (to > range.from() + 1 && lines[to - 2].isBlank()) {
            to--;
        }
        return new Range(range.from(), to);
    }

    private static int lineOf(Item item) {
        return item instanceof MoveLine move ? move.line() : ((RestLine) item).line();
    }

    /** What stands at a line: the block whose head it is, or the move or rest it belongs to. */
    private Optional<List<Range>> siblings(int line) {
        for (Block block : sheet.blocks()) {
            if (block.line() == line) {
                return Optional.of(blocks());
            }
            List<Range> items = items(block);
            if (items.stream().anyMatch(r -> r.contains(line))) {
                return Optional.of(items);
            }
        }
        return Optional.empty();
    }

    /**
     * The edit that moves the block or item at {@code line} one place up or down; empty at the end of its row, or where nothing can move.
     */
    public Optional<SheetEdit> moved(int line, boolean up) {
        return siblings(line).flatMap(ranges -> {
            int at = indexOf(ranges, line);
            int other = up ? at - 1 : at + 1;
            return other < 0 || other >= ranges.size() ? Optional.empty() : Optional.of(moved(ranges, at, other));
        });
    }

    /** The edit that moves the block or item at {@code from} to the place of its sibling at {@code to}; empty where they are none. */
    public Optional<SheetEdit> moved(int from, int to) {
        return siblings(from).flatMap(ranges -> {
            int at = indexOf(ranges, from);
            int other = indexOf(ranges, to);
            return at < 0 || other < 0 || at == other ? Optional.empty() : Optional.of(moved(ranges, at, other));
        });
    }

    /** Where the line at {@code line} will stand once its block or item has been moved one place. */
    public int lineAfter(int line, boolean up) {
        List<Range> ranges = siblings(line).orElse(List.of());
        int at = indexOf(ranges, line);
        int other = up ? at - 1 : at + 1;
        if (at < 0 || other < 0 || other >= ranges.size()) {
            return line;
        }
        Range neighbour = ranges.get(other);
        int by = neighbour.to() - neighbour.from();
        return up ? line - by : line + by;
    }

    private static int indexOf(List<Range> ranges, int line) {
        for (int i = 0; i < ranges.size(); i++) {
            if (ranges.get(i).contains(line)) {
                return i;
            }
        }
        return -1;
    }

    private SheetEdit moved(List<Range> ranges, int at, int other) {
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < ranges.size(); i++) {
            order.add(i);
        }
        order.remove(Integer.valueOf(at));
        order.add(other, at);
        String name = CoreText.of(
                "plan.edit.sheet-order.move-up",
                lines[ranges.get(at).from() - 1].strip().split(" {2,}|\t")[0],
                other < at);
        return inOrder(name, ranges, order);
    }

    /** The edit that puts pieces that follow each other into another order. */
    public SheetEdit inOrder(String name, List<Range> ranges, List<Integer> order) {
        List<String> text = new ArrayList<>();
        int from = ranges.get(0).from();
        int to = ranges.get(ranges.size() - 1).to();
        int end = Math.min(to, lines.length + 1);
        for (int index : order) {
            Range r = ranges.get(index);
            for (int line = r.from(); line < Math.min(r.to(), lines.length + 1); line++) {
                text.add(lines[line - 1]);
            }
            boolean blockWithoutGap = r.to() > lines.length && index != order.get(order.size() - 1);
            if (blockWithoutGap
                    && ranges.size() == sheet.blocks().size()
                    && !text.get(text.size() - 1).isBlank()) {
                text.add("");
            }
        }
        return new SheetEdit(name, List.of(new SheetEdit.Change(from, end - from, text)));
    }
}
