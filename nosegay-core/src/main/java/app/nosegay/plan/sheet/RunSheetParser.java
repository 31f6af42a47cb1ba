package app.nosegay.plan.sheet;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.library.Nearest;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.Level;
import app.nosegay.plan.terms.Pause;
import app.nosegay.text.CoreText;
import app.nosegay.time.DurationText;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Reads run-sheet text (docs/format/run-sheet.md). Never fails: a line that cannot be read becomes a {@link Problem} and the rest still
 * loads.
 */
public final class RunSheetParser {
    private static final Pattern CHILD = Pattern.compile("([\\p{L}-]+)(?: (\\d{1,2}))?(?: for ([^:]{1,60}))?: ?(.*)");
    private static final Pattern LEVEL = Pattern.compile("level ([^:]{1,60}): *(.*)");
    private static final Pattern OVERRIDE = Pattern.compile("(round|set) (\\d{1,3}): *(.*)");
    private static final Pattern VIEW = Pattern.compile("view (.+?) at (\\S+)");
    private static final Pattern REST = Pattern.compile("rest ((?:\\d|as-needed).*)");
    /** Longer sheets are cut off with a note: no person writes one, and every keystroke re-reads the whole text. */
    private static final int MOST_LINES = 20_000;

    private final MoveLibrary library;
    private final List<Problem> problems = new ArrayList<>();
    private final List<Block> blocks = new ArrayList<>();
    private final HeaderReader header = new HeaderReader(problems);
    private final Slug blockSlugs = new Slug();
    private final AttributeReader reader = new AttributeReader(problems);
    private OpenBlock open;

    private RunSheetParser(MoveLibrary library) {
        this.library = library;
    }

    public static RunSheet parse(String text, MoveLibrary library) {
        RunSheetParser parser = new RunSheetParser(library);
        String[] lines = text.replace("\r\n", "\n").replace('\r', '\n').split("\n", -1);
        for (int i = 0; i < lines.length && i < MOST_LINES; i++) {
            String line = i == 0 && lines[0].startsWith("\ufeff") ? lines[0].substring(1) : lines[i];
            parser.take(SheetLine.read(i + 1, line));
        }
        if (lines.length > MOST_LINES) {
            parser.problems.add(new Problem(
                    MOST_LINES,
                    1,
                    "",
                    CoreText.of("plan.sheet.run-sheet-parser.only-the-first-lines-are", MOST_LINES),
                    null,
                    false));
        }
        parser.closeBlock();
        parser.checkLevels();
        if (parser.blocks.isEmpty()) {
            parser.problems.add(new Problem(
                    1,
                    1,
                    "",
                    "there is no block yet: start one with a word such as \"circuit Name  rounds 2  work 0:40  rest 0:20\"",
                    null,
                    true));
        }
        parser.problems.sort((a, b) -> a.line() != b.line() ? a.line() - b.line() : a.column() - b.column());
        return new RunSheet(text, parser.header.header(), parser.blocks, parser.problems);
    }

    /** Every level line has to name a level of the header. */
    private void checkLevels() {
        List<String> known = header.header().levels().stream().map(Level::name).toList();
        blocks.stream()
                .flatMap(b -> b.moves().stream())
                .flatMap(m -> m.levels().stream())
                .filter(l -> known.stream().noneMatch(l.level()::equalsIgnoreCase))
                .forEach(l -> problems.add(new Problem(
                        l.line(),
                        1,
                        l.level(),
                        known.isEmpty()
                                ? CoreText.of("plan.sheet.run-sheet-parser.is-a-level-but-there")
                                : CoreText.of(
                                        "plan.sheet.run-sheet-parser.is-not-one-of-the", String.join(", ", known)),
                        Nearest.of(l.level(), known),
                        false)));
    }

    private void take(SheetLine line) {
        if (line.isBlank()) {
            return;
        }
        if (line.indent() == 0) {
            if (!header.take(line)) {
                openBlock(line);
            }
        } else if (open == null) {
            reader.error(
                    line,
                    line.column(),
                    line.text(),
                    CoreText.of(
                            "plan.sheet.run-sheet-parser.stands-under-no-block-start",
                            String.join(", ", BlockKind.words())),
                    null);
        } else {
            child(line);
        }
    }

    private void openBlock(SheetLine line) {
        closeBlock();
        SheetLine.Chunk head = line.chunks().get(0);
        String word = head.firstWord().toLowerCase(Locale.ROOT);
        Optional<BlockKind> kind = BlockKind.of(word);
        if (kind.isEmpty()) {
            String nearest = Nearest.of(word, BlockKind.words());
            reader.error(
                    line,
                    head.column(),
                    head.firstWord(),
                    CoreText.of(
                            "plan.sheet.run-sheet-parser.is-not-a-block-word", String.join(", ", BlockKind.words())),
                    nearest);
            kind = Optional.of(
                    nearest == null ? BlockKind.CIRCUIT : BlockKind.of(nearest).orElseThrow());
        }
        open = new OpenBlock(line.number(), kind.get());
        String rest = head.rest();
        if (takesLength(kind.get())) {
            PauseAndWords parted = PauseAndWords.of(rest);
            open.length = parted.pause();
            rest = parted.words();
        }
        boolean does = kind.get() == BlockKind.REST && open.length != null && !rest.isEmpty();
        open.name = does ? "" : rest;
        open.attributes = attributes(line, open);
        open.attributes = does ? active(open.attributes, rest) : open.attributes;
    }

    private static boolean takesLength(BlockKind kind) {
        return kind == BlockKind.TALK || kind == BlockKind.REST;
    }

    private void closeBlock() {
        if (open != null) {
            open.closeMove();
            blocks.add(open.block(blockSlugs));
            open = null;
        }
    }

    private void child(SheetLine line) {
        String text = line.text();
        if (text.indexOf(':') < 0 && !text.startsWith("view ") && !text.startsWith("rest ")) {
            moveLine(line);
            return;
        }
        Matcher view = VIEW.matcher(text);
        Matcher level = LEVEL.matcher(text);
        Matcher override = OVERRIDE.matcher(text);
        Matcher rest = REST.matcher(text);
        Matcher cue = CHILD.matcher(text);
        if (view.matches() && open.move != null) {
            turnLine(line, view);
        } else if (level.matches() && open.move != null) {
            SheetLine inner = inner(line, level.start(2), level.group(2));
            open.move.levels.add(new RunSheet.LevelLine(
                    line.number(), level.group(1).strip(), nameOf(inner), attributes(inner, null)));
        } else if (override.matches() && open.move != null) {
            overrideLine(line, override);
        } else if (rest.matches()) {
            restLine(line);
        } else if (cue.matches()
                && CueKind.of(cue.group(1).toLowerCase(Locale.ROOT)).isPresent()) {
            cueLine(line, cue);
        } else if (text.startsWith("rep:") && open.move != null) {
            reader.put(
                    open.move.attributes,
                    line,
                    new SheetLine.Chunk(
                            line.column(),
                            CoreText.of(
                                    "plan.sheet.run-sheet-parser.rep",
                                    text.substring(4).strip())),
                    true);
        } else if (cue.matches() && text.indexOf(':') == cue.group(1).length()) {
            reader.error(
                    line,
                    line.column(),
                    cue.group(1),
                    CoreText.of("plan.sheet.run-sheet-parser.is-not-a-cue-kind", String.join(", ", CueKind.words())),
                    Nearest.of(cue.group(1), CueKind.words()));
        } else {
            moveLine(line);
        }
    }

    private void turnLine(SheetLine line, Matcher view) {
        Optional<Length> at = DurationText.parse(view.group(2));
        if (at.isPresent()) {
            open.move.turns.add(new RunSheet.ViewTurn(line.number(), view.group(1), at.get()));
        } else {
            reader.error(
                    line,
                    line.column() + view.start(2),
                    view.group(2),
                    CoreText.of("plan.sheet.run-sheet-parser.is-not", DurationText.EXPECTED),
                    null);
        }
    }

    private static SheetLine inner(SheetLine line, int offset, String text) {
        return SheetLine.read(line.number(), " ".repeat(Math.max(0, line.column() - 1 + offset)) + text.strip());
    }

    private static String nameOf(SheetLine line) {
        return line.chunks().isEmpty() ? "" : line.chunks().get(0).text();
    }

    private void overrideLine(SheetLine line, Matcher override) {
        SheetLine inner = inner(line, override.start(3), override.group(3));
        Map<Attribute, Object> values = new EnumMap<>(Attribute.class);
        String move = null;
        for (int i = 0; i < inner.chunks().size(); i++) {
            SheetLine.Chunk chunk = inner.chunks().get(i);
            if (i == 0 && Attribute.of(chunk.firstWord()).isEmpty()) {
                move = chunk.text();
            } else {
                reader.put(values, inner, chunk, false);
            }
        }
        open.move.overrides.add(new RunSheet.Override(
                line.number(),
                override.group(1).equals("set"),
                Integer.parseInt(override.group(2)),
                move,
                new Attributes(values)));
    }

    private void restLine(SheetLine line) {
        SheetLine.Chunk head = line.chunks().get(0);
        PauseAndWords parted = PauseAndWords.of(head.rest());
        if (parted.pause() == null) {
            reader.error(
                    line,
                    line.column() + 5,
                    head.rest(),
                    CoreText.of("plan.sheet.run-sheet-parser.is-not", Pause.EXPECTED),
                    null);
            return;
        }
        open.closeMove();
        open.items.add(new RunSheet.RestLine(
                line.number(),
                open.slugs.next("rest"),
                parted.pause(),
                active(attributes(line, null), parted.words())));
    }

    /** What is done in a rest, where it is written right behind the length. */
    private static Attributes active(Attributes written, String words) {
        if (words.isEmpty() || written.has(Attribute.ACTIVE)) {
            return written;
        }
        Map<Attribute, Object> values = new EnumMap<>(Attribute.class);
        values.putAll(written.values());
        values.put(Attribute.ACTIVE, words);
        return new Attributes(values);
    }

    private void cueLine(SheetLine line, Matcher cue) {
        String text = cue.group(4).strip();
        if (text.isEmpty()) {
            reader.error(
                    line,
                    line.column() + cue.end(),
                    "",
                    CoreText.of(
                            "plan.sheet.run-sheet-parser.expected-what-to-say-after",
                            line.text().strip()),
                    null);
            return;
        }
        int rung = cue.group(2) == null ? 1 : Integer.parseInt(cue.group(2));
        String condition = cue.group(3) == null ? "" : cue.group(3).strip();
        CueKind kind = CueKind.of(cue.group(1).toLowerCase(Locale.ROOT)).orElseThrow();
        RunSheet.Cue read = new RunSheet.Cue(line.number(), kind, rung, condition, text);
        (open.move == null ? open.cues : open.move.cues).add(read);
    }

    private void moveLine(SheetLine line) {
        open.closeMove();
        OpenMove move = new OpenMove();
        move.line = line.number();
        move.name = nameOf(line);
        move.slug = open.slugs.next(move.name);
        move.parts = Stream.of(move.name.split("\\+"))
                .map(String::strip)
                .filter(s -> !s.isEmpty())
                .toList();
        open.move = move;
        for (SheetLine.Chunk chunk : line.chunks().subList(1, line.chunks().size())) {
            reader.put(move.attributes, line, chunk, true);
        }
        for (String part : move.parts) {
            if (library.find(part).isEmpty()) {
                problems.add(new Problem(
                        line.number(),
                        line.column(),
                        part,
                        CoreText.of("plan.sheet.run-sheet-parser.is-not-in-the-move"),
                        library.nearestName(part),
                        true));
            }
        }
    }

    /** The attributes behind the first chunk; where {@code block} is given, a bare duration is the block's own length. */
    private Attributes attributes(SheetLine line, OpenBlock block) {
        Map<Attribute, Object> values = new EnumMap<>(Attribute.class);
        for (int i = 1; i < line.chunks().size(); i++) {
            SheetLine.Chunk chunk = line.chunks().get(i);
            Optional<Pause> bare =
                    block != null && takesLength(block.kind) ? Pause.parse(chunk.text()) : Optional.empty();
            if (bare.isPresent()) {
                block.length = bare.get();
            } else {
                reader.put(values, line, chunk, false);
            }
        }
        return new Attributes(values);
    }
}
