package app.nosegay.plan.edit;

import app.nosegay.plan.edit.SheetOrder.Range;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.Item;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.sheet.RunSheet.RestLine;
import app.nosegay.text.CoreText;
import java.util.List;
import java.util.Optional;

/** Blocks, moves and rests as pieces of the sheet's text, each with all that belongs to it. Lines are numbered from 1. */
public final class SheetPieces {
    private final RunSheet sheet;
    private final SheetOrder order;
    private final String[] lines;

    public SheetPieces(RunSheet sheet) {
        this.sheet = sheet;
        this.order = new SheetOrder(sheet);
        this.lines = sheet.text().split("\r\n|\n|\r", -1);
    }

    /** The text of a line. */
    public String line(int line) {
        return lines[line - 1];
    }

    int lines() {
        return lines.length;
    }

    /** The line the item numbered {@code index} of a block begins at, or would. */
    int lineOfItem(Block block, int index) {
        List<Range> items = order.items(block);
        return index < items.size() ? items.get(index).from() : end(block);
    }

    /** The first line behind all that stands in a block. */
    int end(Block block) {
        Range range = order.blocks().get(sheet.blocks().indexOf(block));
        int to = Math.min(range.to(), lines.length + 1);
        while (to > range.from() + 1 && isBlankOrComment(lines[to - 2])) {
            to--;
        }
        return to;
    }

    private static boolean isBlankOrComment(String line) {
        return line.isBlank() || line.startsWith("#");
    }

    /** The lines of the block, move or rest at {@code line}. */
    public List<String> piece(int line) {
        Range range = range(line);
        int to = Math.min(range.to(), lines.length + 1);
        while (to > range.from() + 1 && lines[to - 2].isBlank()) {
            to--;
        }
        return List.of(lines).subList(range.from() - 1, to - 1);
    }

    public static String indentOf(String line) {
        return line.substring(0, line.length() - line.stripLeading().length());
    }

    static String named(Block block) {
        return block.name().equals(block.kind().word()) ? "" : block.name();
    }

    /** What the block, move or rest at a line is called. */
    public String nameAt(int line) {
        Block block = blockOf(line);
        if (block.line() == line) {
            return named(block).isEmpty()
                    ? CoreText.of("plan.bed.kind." + block.kind().word())
                    : block.name();
        }
        return find(line).map(MoveLine::name).orElse(CoreText.of("plan.bed.word.rest"));
    }

    /** The move at a line. */
    public MoveLine move(int line) {
        return find(line).orElseThrow();
    }

    Optional<MoveLine> find(int line) {
        return blockOf(line).moves().stream().filter(m -> m.line() == line).findFirst();
    }

    /** The block a line stands in. */
    public Block blockOf(int line) {
        Block found = sheet.blocks().get(0);
        for (Block block : sheet.blocks()) {
            found = block.line() <= line ? block : found;
        }
        return found;
    }

    Range range(int line) {
        Block block = blockOf(line);
        if (block.line() == line) {
            return order.blocks().get(sheet.blocks().indexOf(block));
        }
        List<Range> items = order.items(block);
        for (int i = 0; i < items.size(); i++) {
            Item item = block.items().get(i);
            int own = item instanceof MoveLine move ? move.line() : ((RestLine) item).line();
            if (own == line || items.get(i).contains(line)) {
                return items.get(i);
            }
        }
        return new Range(line, line + 1);
    }
}
