package app.nosegay.plan.sheet;

import app.nosegay.library.CueKind;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.Pause;
import app.nosegay.time.Length;
import java.util.List;

/**
 * A run sheet as written and as read. The text is the truth; everything else here is read from it.
 *
 * @param text the sheet verbatim
 * @param header its header lines
 * @param blocks its blocks in order
 * @param problems what could not be read, in order of place
 */
public record RunSheet(String text, Header header, List<Block> blocks, List<Problem> problems) {
    public RunSheet {
        blocks = List.copyOf(blocks);
        problems = List.copyOf(problems);
    }

    public List<Problem> errors() {
        return problems.stream().filter(p -> !p.note()).toList();
    }

    /**
     * One block.
     *
     * @param line its line, from 1
     * @param kind its block word
     * @param name the name given, or the block word
     * @param slug its part of segment ids, unique in the sheet
     * @param length the length written right behind the name (talk and rest), or null
     * @param attributes its attributes
     * @param cues cue lines that belong to the block itself
     * @param items its moves and rests in order
     */
    public record Block(
            int line,
            BlockKind kind,
            String name,
            String slug,
            Pause length,
            Attributes attributes,
            List<Cue> cues,
            List<Item> items) {
        public Block {
            cues = List.copyOf(cues);
            items = List.copyOf(items);
        }

        public List<MoveLine> moves() {
            return items.stream()
                    .filter(MoveLine.class::isInstance)
                    .map(MoveLine.class::cast)
                    .toList();
        }
    }

    /** What stands in a block. */
    public sealed interface Item permits MoveLine, RestLine {}

    /**
     * A rest written between two moves.
     *
     * @param slug its part of segment ids, unique in the block
     */
    public record RestLine(int line, String slug, Pause pause, Attributes attributes) implements Item {}

    /**
     * A move with what belongs to it.
     *
     * @param line its line, from 1
     * @param name as written
     * @param slug its part of segment ids, unique in the block
     * @param parts the moves joined by {@code +}; one for a plain move
     */
    public record MoveLine(
            int line,
            String name,
            String slug,
            List<String> parts,
            Attributes attributes,
            List<Cue> cues,
            List<LevelLine> levels,
            List<Override> overrides,
            List<ViewTurn> turns)
            implements Item {
        public MoveLine {
            parts = List.copyOf(parts);
            cues = List.copyOf(cues);
            levels = List.copyOf(levels);
            overrides = List.copyOf(overrides);
            turns = List.copyOf(turns);
        }
    }

    /**
     * A cue written in the sheet.
     *
     * @param rung the rung of an option, from 1
     * @param condition what an option is for (knee, wrist …); empty for anyone
     */
    public record Cue(int line, CueKind kind, int rung, String condition, String text) {}

    /** What another level does instead. */
    public record LevelLine(int line, String level, String move, Attributes attributes) {}

    /**
     * What one round or set changes.
     *
     * @param ofSet whether {@code index} counts sets, else rounds
     * @param move the move done instead, or null
     */
    public record Override(int line, boolean ofSet, int index, String move, Attributes attributes) {}

    /** A turn to another view at a moment of the move. */
    public record ViewTurn(int line, String view, Length at) {}
}
