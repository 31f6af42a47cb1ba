package app.nosegay.plan.bed;

import app.nosegay.time.Length;
import java.util.List;

/**
 * A rest between two moves.
 *
 * @param offset its own line, or that of the move before it, counted from its block's line
 * @param source where its length is written
 * @param active what is done in it; empty for nothing
 * @param teaches the move it teaches; empty for none
 */
public record Gap(int offset, Source source, Length length, String active, String teaches, List<Mark> marks)
        implements BedItem {
    /** Where a rest's length is written. */
    public enum Source {
        /** On a line of its own. */
        LINE,
        /** On the move before it, or for all on the block. */
        MOVE,
        /** On the block, for the rest after a set. */
        SET,
        /** On the block, for the rest after a round. */
        ROUND,
        /** Nowhere: what is left of the minute. */
        MINUTE
    }

    public Gap {
        marks = List.copyOf(marks);
    }

    /** Whether its length can be changed. */
    public boolean isAdjustable() {
        return source != Source.MINUTE;
    }
}
