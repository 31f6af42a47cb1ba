package app.nosegay.plan.bed;

import app.nosegay.time.Length;
import java.util.List;

/** What stands in a row: a move or a rest. */
public sealed interface BedItem permits Leaf, Gap {
    /** Its line, counted from its block's line. */
    int offset();

    Length length();

    List<Mark> marks();
}
