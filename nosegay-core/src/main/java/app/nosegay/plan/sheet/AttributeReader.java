package app.nosegay.plan.sheet;

import app.nosegay.library.Nearest;
import app.nosegay.text.CoreText;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Reads the attributes of a line; what is none, or has a value that is none, becomes a problem. */
final class AttributeReader {
    private final List<Problem> problems;

    AttributeReader(List<Problem> problems) {
        this.problems = problems;
    }

    /** @param ofMove whether they are of a move: what only a block can say is noted */
    void put(Map<Attribute, Object> values, SheetLine line, SheetLine.Chunk chunk, boolean ofMove) {
        Optional<Attribute> attribute = Attribute.of(chunk.firstWord().toLowerCase(Locale.ROOT));
        if (attribute.isEmpty()) {
            error(
                    line,
                    chunk.column(),
                    chunk.firstWord(),
                    CoreText.of("plan.sheet.run-sheet-parser.is-not-an-attribute-word"),
                    Nearest.of(chunk.firstWord(), Attribute.allWords()));
            return;
        }
        Optional<?> value = value(attribute.get(), line, chunk);
        if (value.isEmpty()) {
            return;
        }
        if (attribute.get().isOfBlock() && ofMove) {
            problems.add(new Problem(
                    line.number(),
                    chunk.column(),
                    chunk.firstWord(),
                    CoreText.of("plan.sheet.run-sheet-parser.has-no-effect-on-a"),
                    null,
                    true));
        }
        if (values.put(attribute.get(), value.get()) != null) {
            error(
                    line,
                    chunk.column(),
                    chunk.firstWord(),
                    CoreText.of("plan.sheet.run-sheet-parser.is-given-twice-on-this"),
                    null);
        }
    }

    /** The value probably meant. A tempo without its return phase is the commonest slip: offer the return at one second. */
    private static String nearestValue(Attribute attribute, String found) {
        if (!attribute.choices().isEmpty()) {
            return Nearest.of(found, attribute.choices());
        }
        return attribute == Attribute.TEMPO && found.matches("\\d+(\\.\\d+)?-\\d+(\\.\\d+)?") ? found + "-1" : null;
    }

    void error(SheetLine line, int column, String found, String expected, String nearest) {
        problems.add(new Problem(line.number(), column, found, expected, nearest, false));
    }

    private Optional<?> value(Attribute attribute, SheetLine line, SheetLine.Chunk chunk) {
        Optional<?> value = attribute.read(chunk.rest());
        if (value.isEmpty()) {
            int column = chunk.column() + chunk.firstWord().length() + 1;
            String found = chunk.rest();
            error(
                    line,
                    column,
                    found,
                    (found.isEmpty()
                                    ? CoreText.of("plan.sheet.run-sheet-parser.expected")
                                    : CoreText.of("plan.sheet.run-sheet-parser.is-not-2"))
                            + attribute.expected(),
                    nearestValue(attribute, found));
        }
        return value;
    }
}
