package app.nosegay.plan.bed;

import app.nosegay.library.CueKind;
import app.nosegay.plan.edit.SheetOrder;
import app.nosegay.plan.edit.SheetOrder.Range;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.Item;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.sheet.RunSheet.RestLine;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;

/** Every gesture on the bed as an edit of the sheet's lines. Lines are numbered from 1. */
public final class BedEdits {
    private static final String INDENT = "  ";

    private final RunSheet sheet;
    private final SheetOrder order;
    private final String[] lines;

    public BedEdits(RunSheet sheet) {
        this.sheet = sheet;
        this.order = new SheetOrder(sheet);
        this.lines = sheet.text().split("\r\n|\n|\r", -1);
    }

    /** Gives a field of the block or move at {@code line} another value; what a move shares with its block is not written twice. */
    public SheetEdit set(int line, Field field, String written) {
        String name = CoreText.of(
                "plan.bed.edit.set",
                PlainWords.label(field.word()),
                field.shown(),
                field.word().equals(Field.NAME) ? written : PlainWords.shown(field.word(), written));
        return SheetEdit.replace(name, line, changed(line, field.word(), written));
    }

    /** The same for several moves at once; {@code lines} all hold moves. */
    public SheetEdit set(Collection<Integer> lines, Field field, String written) {
        String name = CoreText.of(
                "plan.bed.edit.set-all",
                PlainWords.label(field.word()),
                PlainWords.shown(field.word(), written),
                lines.size());
        return new SheetEdit(
                name,
                lines.stream()
                        .map(l -> new SheetEdit.Change(l, 1, List.of(changed(l, field.word(), written))))
                        .toList());
    }

    private String changed(int line, String word, String written) {
        String text = lines[line - 1];
        Block block = blockOf(line);
        boolean onMove = block.line() != line;
        String head = onMove ? lines[block.line() - 1] : "";
        return switch (word) {
            case Field.NAME -> SheetText.withName(text, written);
            case Field.LENGTH -> SheetText.withLength(text, written);
            case Field.ENDS -> withEnd(text, head, written);
            default -> with(text, head, Attribute.of(word).orElseThrow(), written);
        };
    }

    private static String with(String text, String head, Attribute attribute, String written) {
        String shared = SheetText.value(head, attribute).orElse(null);
        boolean redundant = shared == null ? isDefault(attribute, written) : shared.equals(written);
        return redundant
                ? SheetText.without(text, attribute)
                : SheetText.with(text, attribute, flag(attribute, written));
    }

    private static String flag(Attribute attribute, String written) {
        return attribute == Attribute.BONUS && written.equals("yes") ? "" : written;
    }

    /** What holds where nothing is written. */
    private static boolean isDefault(Attribute attribute, String written) {
        return switch (attribute) {
            case SIDES -> written.equals("none");
            case DEMO -> written.equals("in-rest");
            case SAY -> written.equals("each-round");
            case ROUNDS -> written.equals("1");
            case REST, ROUND_REST, SIDE_REST -> written.equals("0:00");
            default -> written.isEmpty() && attribute != Attribute.BONUS;
        };
    }

    private static String withEnd(String text, String head, String written) {
        Attribute now = Attribute.of(written.substring(0, written.indexOf(' '))).orElseThrow();
        String value = written.substring(written.indexOf(' ') + 1);
        String bare = text;
        for (Attribute other : Sentence.ENDS) {
            bare = other == now ? bare : SheetText.without(bare, other);
        }
        boolean shared = SheetText.value(head, now).filter(value::equals).isPresent();
        return shared ? SheetText.without(bare, now) : SheetText.with(bare, now, value);
    }

    /** What only one round or set of a move changes, on a line of its own below it. */
    public SheetEdit inRound(int line, int round, Field field, String written) {
        Block block = blockOf(line);
        String word = block.kind() == BlockKind.SUPERSET || block.kind() == BlockKind.STRAIGHT_SETS ? "set" : "round";
        String said = field.word().equals(Field.NAME) || field.word().equals(Field.ENDS)
                ? written
                : field.word() + " " + written;
        String name = CoreText.of("plan.bed.edit.round", word, round, PlainWords.label(field.word()));
        int there = move(line).overrides().stream()
                .filter(o -> o.index() == round)
                .mapToInt(RunSheet.Override::line)
                .findFirst()
                .orElse(0);
        if (there == 0) {
            return below(name, line, word + " " + round + ": " + said);
        }
        String text = lines[there - 1];
        int colon = text.indexOf(':') + 1;
        // Read as a move line of its own, so that attributes are put where they belong.
        String inner = text.substring(colon).strip();
        boolean hasMove = Attribute.of(inner.split(" ")[0]).isEmpty();
        String asLine = hasMove ? INDENT + inner : INDENT + "-  " + inner;
        String next =
                switch (field.word()) {
                    case Field.NAME -> SheetText.withName(asLine, written);
                    case Field.ENDS -> withEnd(asLine, "", written);
                    default -> SheetText.with(asLine, Attribute.of(field.word()).orElseThrow(), written);
                };
        return SheetEdit.replace(
                name, there, text.substring(0, colon) + " " + next.strip().replaceFirst("^-\\s+", ""));
    }

    /** Gives a rest another length, where it is written. */
    public Optional<SheetEdit> rest(BedRow row, Gap gap, Length length) {
        String written = length.clock();
        return switch (gap.source()) {
            case MINUTE -> Optional.empty();
            case LINE ->
                Optional.of(set(
                        row.lineOf(gap), new Field(Field.LENGTH, gap.length().clock(), ""), written));
            case MOVE ->
                Optional.of(set(row.lineOf(gap), Field.of("rest", gap.length().clock()), written));
            case SET ->
                Optional.of(set(row.line(), Field.of("rest", gap.length().clock()), written));
            case ROUND ->
                Optional.of(set(row.line(), Field.of("round-rest", gap.length().clock()), written));
        };
    }

    /** What is done in a rest; nothing for an empty {@code active}. A rest that has no line of its own says so on its move. */
    public SheetEdit active(BedRow row, Gap gap, String active) {
        int line = gap.source() == Gap.Source.SET || gap.source() == Gap.Source.ROUND ? row.line() : row.lineOf(gap);
        return set(line, Field.of("active", gap.active()), active);
    }

    /** Puts a move, as written in the notation, before the item numbered {@code index} of the block at {@code line}. */
    public SheetEdit addMove(int line, int index, String move) {
        String name = CoreText.of("plan.bed.edit.add", move.split(" {2,}")[0]);
        return SheetEdit.insert(name, lineOfItem(blockOf(line), index), List.of(INDENT + move));
    }

    /** Puts a rest there. */
    public SheetEdit addRest(int line, int index, String rest) {
        return SheetEdit.insert(
                CoreText.of("plan.bed.edit.add", rest), lineOfItem(blockOf(line), index), List.of(INDENT + rest));
    }

    private int lineOfItem(Block block, int index) {
        List<Range> items = order.items(block);
        return index < items.size() ? items.get(index).from() : end(block);
    }

    /** The first line behind all that stands in a block. */
    private int end(Block block) {
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

    /** Puts a block behind the one at {@code line}; before all others for 0, where there is one. */
    public SheetEdit addBlock(int line, List<String> block) {
        String name = CoreText.of("plan.bed.edit.add", block.get(0).split(" {2,}")[0]);
        List<String> text = new ArrayList<>(block);
        if (sheet.blocks().isEmpty()) {
            int end = lines.length;
            while (end > 0 && lines[end - 1].isBlank()) {
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
        return SheetEdit.insert(name, end(blockOf(line)), text);
    }

    /** Removes the blocks, moves and rests at {@code at}, each with all that belongs to it. */
    public SheetEdit remove(Collection<Integer> at) {
        TreeMap<Integer, SheetEdit.Change> changes = new TreeMap<>();
        int done = 0;
        for (int line : at.stream().sorted().toList()) {
            if (line >= done) {
                Range range = range(line);
                int to = Math.min(range.to(), lines.length + 1);
                changes.put(range.from(), new SheetEdit.Change(range.from(), to - range.from(), List.of()));
                done = to;
            }
        }
        String name = at.size() == 1
                ? CoreText.of("plan.bed.edit.remove", nameAt(at.iterator().next()))
                : CoreText.of("plan.bed.edit.remove-all", at.size());
        return new SheetEdit(name, List.copyOf(changes.values()));
    }

    /** Puts a copy of the block, move or rest at {@code line} behind it. */
    public SheetEdit duplicate(int line) {
        return insertBehind(CoreText.of("plan.bed.edit.duplicate", nameAt(line)), line, piece(line));
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
        Block block = blockOf(line);
        return block.line() == line
                ? SheetEdit.insert(name, end(block), copied)
                : SheetEdit.insert(name, range(line).to(), copied);
    }

    private SheetEdit insertBehind(String name, int line, List<String> copied) {
        Block block = blockOf(line);
        if (block.line() != line) {
            return SheetEdit.insert(name, range(line).to(), copied);
        }
        return new SheetEdit(name, addBlock(line, copied).changes());
    }

    /** Carries the move or rest at {@code from} before the item numbered {@code index} of the block at {@code to}. */
    public Optional<SheetEdit> carry(int from, int to, int index) {
        Range range = range(from);
        int target = lineOfItem(blockOf(to), index);
        if (target >= range.from() && target <= range.to()) {
            return Optional.empty();
        }
        return Optional.of(new SheetEdit(
                CoreText.of("plan.bed.edit.carry", nameAt(from)),
                List.of(
                        new SheetEdit.Change(range.from(), range.to() - range.from(), List.of()),
                        new SheetEdit.Change(target, 0, piece(from)))));
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
        if (from == onto || find(from).isEmpty() || find(onto).isEmpty()) {
            return Optional.empty();
        }
        String name = CoreText.of("plan.bed.edit.join", nameAt(onto), nameAt(from));
        return Optional.of(how == Join.SUPERSET ? together(name, from, onto) : compound(name, from, onto, how));
    }

    /** One line for both: its name is joined, gear of both is kept, what belongs to either stays below. */
    private SheetEdit compound(String name, int from, int onto, Join how) {
        String joined = SheetText.withName(
                lines[onto - 1], move(onto).name() + " + " + move(from).name());
        List<String> gear = new ArrayList<>(move(onto).attributes().list(Attribute.GEAR));
        move(from).attributes().list(Attribute.GEAR).stream()
                .filter(g -> !gear.contains(g))
                .forEach(gear::add);
        if (!gear.isEmpty()) {
            joined = SheetText.with(joined, Attribute.GEAR, String.join(", ", gear));
        }
        List<String> text = new ArrayList<>(List.of(joined));
        text.addAll(rest(piece(onto)));
        text.addAll(rest(piece(from)));
        return how == Join.ONE_REP ? inPlace(name, from, onto, text) : ownBlock(name, from, onto, "build", text);
    }

    private SheetEdit together(String name, int from, int onto) {
        List<String> text = new ArrayList<>(piece(onto));
        text.addAll(piece(from));
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
                                range(onto).from(),
                                range(onto).to() - range(onto).from(),
                                text)));
    }

    private SheetEdit.Change removal(int line) {
        return new SheetEdit.Change(
                range(line).from(), range(line).to() - range(line).from(), List.of());
    }

    /** A block that holds only the two becomes one of another kind; out of a longer one they go into a block of their own behind it. */
    private SheetEdit ownBlock(String name, int from, int onto, String word, List<String> text) {
        Block block = blockOf(onto);
        boolean alone = blockOf(from) == block && block.items().size() == 2;
        String head = word.equals("superset") ? supersetHead(block, alone) : buildHead(block, alone);
        if (alone) {
            List<String> whole = new ArrayList<>(List.of(head));
            whole.addAll(text);
            int begin = block.line();
            return new SheetEdit(name, List.of(new SheetEdit.Change(begin, end(block) - begin, whole)));
        }
        List<String> behind = new ArrayList<>(List.of("", head));
        behind.addAll(text);
        return new SheetEdit(name, List.of(removal(from), removal(onto), new SheetEdit.Change(end(block), 0, behind)));
    }

    private String supersetHead(Block block, boolean alone) {
        String reps = SheetText.value(lines[block.line() - 1], Attribute.REPS).orElse("10");
        return ("superset " + (alone ? named(block) : "")).strip() + "  sets 2  reps " + reps + "  rest 0:45";
    }

    private String buildHead(Block block, boolean alone) {
        String head = lines[block.line() - 1];
        String work = SheetText.value(head, Attribute.WORK).orElse("0:40");
        String rest = SheetText.value(head, Attribute.REST).orElse("0:15");
        return ("build " + (alone ? named(block) : "")).strip() + "  work " + work + "  rest " + rest;
    }

    private static String named(Block block) {
        return block.name().equals(block.kind().word()) ? "" : block.name();
    }

    /** Adds what is said or shown of a move below it, or of a block below its head. */
    public SheetEdit cue(int line, CueKind kind, String text) {
        String name = CoreText.of("plan.bed.edit.add", kind.word());
        Block block = blockOf(line);
        String written = kind.word() + ": " + text.strip();
        return block.line() == line
                ? SheetEdit.insert(name, line + 1 + block.cues().size(), List.of(INDENT + written))
                : below(name, line, written);
    }

    /** Removes the cue at {@code line}. */
    public SheetEdit withoutCue(int line) {
        return SheetEdit.delete(CoreText.of("plan.bed.edit.remove", lines[line - 1].strip()), line, 1);
    }

    /** Says what another level does instead; an empty {@code what} forgets it. */
    public SheetEdit level(int line, String level, String what) {
        String name = CoreText.of("plan.bed.edit.level", level, nameAt(line));
        int there = move(line).levels().stream()
                .filter(l -> l.level().equalsIgnoreCase(level))
                .mapToInt(RunSheet.LevelLine::line)
                .findFirst()
                .orElse(0);
        String text = "level " + level + ": " + what;
        if (there == 0) {
            return below(name, line, text);
        }
        return what.isEmpty()
                ? SheetEdit.delete(name, there, 1)
                : SheetEdit.replace(name, there, indentOf(lines[there - 1]) + text);
    }

    private SheetEdit below(String name, int line, String text) {
        return SheetEdit.insert(name, line + piece(line).size(), List.of(indentOf(lines[line - 1]) + INDENT + text));
    }

    private static String indentOf(String line) {
        return line.substring(0, line.length() - line.stripLeading().length());
    }

    private String nameAt(int line) {
        Block block = blockOf(line);
        if (block.line() == line) {
            return named(block).isEmpty()
                    ? CoreText.of("plan.bed.kind." + block.kind().word())
                    : block.name();
        }
        return find(line).map(MoveLine::name).orElse(PlainWords.label("rest"));
    }

    private MoveLine move(int line) {
        return find(line).orElseThrow();
    }

    private Optional<MoveLine> find(int line) {
        return blockOf(line).moves().stream().filter(m -> m.line() == line).findFirst();
    }

    /** The block a line stands in. */
    private Block blockOf(int line) {
        Block found = sheet.blocks().get(0);
        for (Block block : sheet.blocks()) {
            found = block.line() <= line ? block : found;
        }
        return found;
    }

    private Range range(int line) {
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
