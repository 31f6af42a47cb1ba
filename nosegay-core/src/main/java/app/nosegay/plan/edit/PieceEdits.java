package app.nosegay.plan.edit;

import app.nosegay.plan.edit.SheetOrder.Range;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;

/** What puts pieces of a sheet in, takes them out, carries and joins them, as edits of its lines. Lines are numbered from 1. */
public final class PieceEdits {
    private static final String INDENT = "  ";

    private final RunSheet sheet;
    private final SheetPieces pieces;

    public PieceEdits(RunSheet sheet) {
        this.sheet = sheet;
        this.pieces = new SheetPieces(sheet);
    }

    /** Puts a move, as written in the notation, before the item numbered {@code index} of the block at {@code line}. */
    public SheetEdit addMove(int line, int index, String move) {
        String name = CoreText.of("plan.bed.edit.add", move.split(" {2,}")[0]);
        return SheetEdit.insert(name, pieces.lineOfItem(pieces.blockOf(line), index), List.of(INDENT + move));
    }

    /** Puts a rest there. */
    public SheetEdit addRest(int line, int index, String rest) {
        return SheetEdit.insert(
                CoreText.of("plan.bed.edit.add", rest),
                pieces.lineOfItem(pieces.blockOf(line), index),
                List.of(INDENT + rest));
    }

    /** Puts a block behind the one at {@code line}; before all others for 0, where there is one. */
    public SheetEdit addBlock(int line, List<String> block) {
        String name = CoreText.of("plan.bed.edit.add", block.get(0).split(" {2,}")[0]);
        List<String> text = new ArrayList<>(block);
        if (sheet.blocks().isEmpty()) {
            int end = pieces.lines();
            while (end > 0 && pieces.line(end).isBlank()) {
                end--;
            }
            if (end > 0) {
                text.add(0, "");
            }
            return SheetEdit.insert(name, end + 1, text);
        }
        if (line == 0) {
            text.add("");
            return SheetEdit.insert(name, sheet.blocks().get(0).line(), text);
        }
        text.add(0, "");
        return SheetEdit.insert(name, pieces.end(pieces.blockOf(line)), text);
    }

    /** Removes the blocks, moves and rests at {@code at}, each with all that belongs to it. */
    public SheetEdit remove(Collection<Integer> at) {
        TreeMap<Integer, SheetEdit.Change> changes = new TreeMap<>();
        int done = 0;
        for (int line : at.stream().sorted().toList()) {
            if (line >= done) {
                Range range = pieces.range(line);
                int to = Math.min(range.to(), pieces.lines() + 1);
                changes.put(range.from(), new SheetEdit.Change(range.from(), to - range.from(), List.of()));
                done = to;
            }
        }
        String name = at.size() == 1
                ? CoreText.of(
                        "plan.bed.edit.remove", pieces.nameAt(at.iterator().next()))
                : CoreText.of("plan.bed.edit.remove-all", at.size());
        return new SheetEdit(name, List.copyOf(changes.values()));
    }

    /** Puts a copy of the block, move or rest at {@code line} behind it. */
    public SheetEdit duplicate(int line) {
        return insertBehind(CoreText.of("plan.bed.edit.duplicate", pieces.nameAt(line)), line, pieces.piece(line));
    }

    /** Puts copied lines behind the block, move or rest at {@code line}: blocks behind its block, moves into it. */
    public SheetEdit paste(int line, List<String> copied) {
        String name = CoreText.of("plan.bed.edit.paste", copied.get(0).strip().split(" {2,}")[0]);
        boolean blocks = !copied.get(0).startsWith(" ") && !copied.get(0).startsWith("\t");
        if (blocks) {
            return new SheetEdit(name, addBlock(line, copied).changes());
        }
        if (sheet.blocks().isEmpty()) {
            List<String> block = new ArrayList<>(List.of("circuit  work 0:40  rest 0:20"));
            block.addAll(copied);
            return new SheetEdit(name, addBlock(0, block).changes());
        }
        Block block = pieces.blockOf(line);
        return block.line() == line
                ? SheetEdit.insert(name, pieces.end(block), copied)
                : SheetEdit.insert(name, pieces.range(line).to(), copied);
    }

    private SheetEdit insertBehind(String name, int line, List<String> copied) {
        Block block = pieces.blockOf(line);
        if (block.line() != line) {
            return SheetEdit.insert(name, pieces.range(line).to(), copied);
        }
        return new SheetEdit(name, addBlock(line, copied).changes());
    }

    /** Carries the move or rest at {@code from} before the item numbered {@code index} of the block at {@code to}. */
    public Optional<SheetEdit> carry(int from, int to, int index) {
        Range range = pieces.range(from);
        int target = pieces.lineOfItem(pieces.blockOf(to), index);
        if (target >= range.from() && target <= range.to()) {
            return Optional.empty();
        }
        return Optional.of(new SheetEdit(
                CoreText.of("plan.bed.edit.carry", pieces.nameAt(from)),
                List.of(
                        new SheetEdit.Change(range.from(), range.to() - range.from(), List.of()),
                        new SheetEdit.Change(target, 0, pieces.piece(from)))));
    }

    /** How two moves become one thing. */
    public enum Join {
        /** One repetition is both. */
        ONE_REP,
        /** One, then the other, then both. */
        BUILD,
        /** Back to back. */
        SUPERSET
    }

    /** Joins the move at {@code from} to the one at {@code onto}; empty where it is the same or no move stands there. */
    public Optional<SheetEdit> join(int from, int onto, Join how) {
        if (from == onto || pieces.find(from).isEmpty() || pieces.find(onto).isEmpty()) {
            return Optional.empty();
        }
        String name = CoreText.of("plan.bed.edit.join", pieces.nameAt(onto), pieces.nameAt(from));
        return Optional.of(how == Join.SUPERSET ? together(name, from, onto) : compound(name, from, onto, how));
    }

    /** One line for both: its name is joined, gear of both is kept, what belongs to either stays below. */
    private SheetEdit compound(String name, int from, int onto, Join how) {
        String joined = SheetText.withName(
                pieces.line(onto),
                pieces.move(onto).name() + " + " + pieces.move(from).name());
        List<String> gear = new ArrayList<>(pieces.move(onto).attributes().list(Attribute.GEAR));
        pieces.move(from).attributes().list(Attribute.GEAR).stream()
                .filter(g -> !gear.contains(g))
                .forEach(gear::add);
        if (!gear.isEmpty()) {
            joined = SheetText.with(joined, Attribute.GEAR, String.join(", ", gear));
        }
        List<String> text = new ArrayList<>(List.of(joined));
        text.addAll(rest(pieces.piece(onto)));
        text.addAll(rest(pieces.piece(from)));
        return how == Join.ONE_REP ? inPlace(name, from, onto, text) : ownBlock(name, from, onto, "build", text);
    }

    private SheetEdit together(String name, int from, int onto) {
        List<String> text = new ArrayList<>(pieces.piece(onto));
        text.addAll(pieces.piece(from));
        return ownBlock(name, from, onto, "superset", text);
    }

    private static List<String> rest(List<String> piece) {
        return piece.subList(1, piece.size());
    }

    private SheetEdit inPlace(String name, int from, int onto, List<String> text) {
        return new SheetEdit(
                name,
                List.of(
                        removal(from),
                        new SheetEdit.Change(
                                pieces.range(onto).from(),
                                pieces.range(onto).to() - pieces.range(onto).from(),
                                text)));
    }

    private SheetEdit.Change removal(int line) {
        return new SheetEdit.Change(
                pieces.range(line).from(),
                pieces.range(line).to() - pieces.range(line).from(),
                List.of());
    }

    /** A block that holds only the two becomes one of another kind; out of a longer one they go into a block of their own behind it. */
    private SheetEdit ownBlock(String name, int from, int onto, String word, List<String> text) {
        Block block = pieces.blockOf(onto);
        boolean alone = pieces.blockOf(from) == block && block.items().size() == 2;
        String head = word.equals("superset") ? supersetHead(block, alone) : buildHead(block, alone);
        if (alone) {
            List<String> whole = new ArrayList<>(List.of(head));
            whole.addAll(text);
            int begin = block.line();
            return new SheetEdit(name, List.of(new SheetEdit.Change(begin, pieces.end(block) - begin, whole)));
        }
        List<String> behind = new ArrayList<>(List.of("", head));
        behind.addAll(text);
        return new SheetEdit(
                name, List.of(removal(from), removal(onto), new SheetEdit.Change(pieces.end(block), 0, behind)));
    }

    private String supersetHead(Block block, boolean alone) {
        String reps = SheetText.value(pieces.line(block.line()), Attribute.REPS).orElse("10");
        return ("superset " + (alone ? SheetPieces.named(block) : "")).strip() + "  sets 2  reps " + reps
                + "  rest 0:45";
    }

    private String buildHead(Block block, boolean alone) {
        String head = pieces.line(block.line());
        String work = SheetText.value(head, Attribute.WORK).orElse("0:40");
        String rest = SheetText.value(head, Attribute.REST).orElse("0:15");
        return ("build " + (alone ? SheetPieces.named(block) : "")).strip() + "  work " + work + "  rest " + rest;
    }
}
