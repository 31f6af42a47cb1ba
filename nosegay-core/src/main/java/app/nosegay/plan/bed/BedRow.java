package app.nosegay.plan.bed;

import app.nosegay.plan.terms.BlockKind;
import app.nosegay.time.Length;
import java.util.List;
import java.util.Optional;

/**
 * A block on the bed.
 *
 * @param line its line, from 1
 * @param block what it is and holds, counted from its line
 */
public record BedRow(int line, Content block) {
    /**
     * What a row shows. Two rows that differ in their line only are drawn alike.
     *
     * @param slug the block's part of segment ids
     * @param name its name as a field; shown as its kind where it has none
     * @param sentence what it says
     * @param items its moves and rests
     * @param rounds how many rounds or sets it has
     * @param round the one that is shown, from 1
     * @param length all of it
     * @param marks what was found about it
     */
    public record Content(
            String slug,
            BlockKind kind,
            Field name,
            List<Part> sentence,
            List<BedItem> items,
            int rounds,
            int round,
            Length length,
            List<Mark> marks) {
        public Content {
            sentence = List.copyOf(sentence);
            items = List.copyOf(items);
            marks = List.copyOf(marks);
        }

        /** The first value of the sentence that one of these words writes. */
        public Optional<Field> field(String... words) {
            return sentence.stream()
                    .filter(Part.Value.class::isInstance)
                    .map(p -> ((Part.Value) p).field())
                    .filter(f -> List.of(words).contains(f.word()))
                    .findFirst();
        }

        /** Whether it can hold moves. */
        public boolean hasMoves() {
            return kind != BlockKind.TALK && kind != BlockKind.REST;
        }
    }

    /** The line of one of its items. */
    public int lineOf(BedItem item) {
        return line + item.offset();
    }
}
