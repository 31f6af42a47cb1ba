package app.nosegay.plan.bed;

import app.nosegay.library.CueKind;
import app.nosegay.plan.edit.SheetPieces;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.Collection;
import java.util.List;
import java.util.Optional;

/** What is filled in on the bed, as an edit of the sheet's lines. Lines are numbered from 1. */
public final class BedEdits {
    private static final String INDENT = "  ";

    private final SheetPieces pieces;

    public BedEdits(RunSheet sheet) {
        this.pieces = new SheetPieces(sheet);
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
        String text = pieces.line(line);
        Block block = pieces.blockOf(line);
        boolean onMove = block.line() != line;
        String head = onMove ? pieces.line(block.line()) : "";
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
        Block block = pieces.blockOf(line);
        String word = block.kind() == BlockKind.SUPERSET || block.kind() == BlockKind.STRAIGHT_SETS ? "set" : "round";
        String said = field.word().equals(Field.NAME) || field.word().equals(Field.ENDS)
                ? written
                : field.word() + " " + written;
        String name = CoreText.of("plan.bed.edit.round", word, round, PlainWords.label(field.word()));
        int there = pieces.move(line).overrides().stream()
                .filter(o -> o.index() == round)
                .mapToInt(RunSheet.Override::line)
                .findFirst()
                .orElse(0);
        if (there == 0) {
            return below(name, line, word + " " + round + ": " + said);
        }
        String text = pieces.line(there);
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

    /** Adds what is said or shown of a move below it, or of a block below its head. */
    public SheetEdit cue(int line, CueKind kind, String text) {
        String name = CoreText.of("plan.bed.edit.add", kind.word());
        Block block = pieces.blockOf(line);
        String written = kind.word() + ": " + text.strip();
        return block.line() == line
                ? SheetEdit.insert(name, line + 1 + block.cues().size(), List.of(INDENT + written))
                : below(name, line, written);
    }

    /** Removes the cue at {@code line}. */
    public SheetEdit withoutCue(int line) {
        return SheetEdit.delete(
                CoreText.of("plan.bed.edit.remove", pieces.line(line).strip()), line, 1);
    }

    /** Says what another level does instead; an empty {@code what} forgets it. */
    public SheetEdit level(int line, String level, String what) {
        String name = CoreText.of("plan.bed.edit.level", level, pieces.nameAt(line));
        int there = pieces.move(line).levels().stream()
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
                : SheetEdit.replace(name, there, SheetPieces.indentOf(pieces.line(there)) + text);
    }

    private SheetEdit below(String name, int line, String text) {
        return SheetEdit.insert(
                name,
                line + pieces.piece(line).size(),
                List.of(SheetPieces.indentOf(pieces.line(line)) + INDENT + text));
    }
}
