package app.nosegay.plan.bed;

import app.nosegay.plan.terms.BlockKind;
import app.nosegay.text.CoreText;

/** What a block begins with when it is added by hand. */
public final class NewBlock {
    private NewBlock() {}

    /** Its line as the notation has it. */
    public static String head(BlockKind kind) {
        return switch (kind) {
            case TALK -> "talk  0:30";
            case WARM_UP -> "warm-up  each 0:30";
            case CIRCUIT -> "circuit  rounds 2  work 0:40  rest 0:20";
            case SUPERSET -> "superset  sets 2  reps 10  rest 0:45";
            case STRAIGHT_SETS -> "straight-sets  sets 3  reps 10  rest 1:00";
            case AMRAP -> "amrap  for 8:00";
            case PHRASE -> "phrase  bpm 120  rest 0:20";
            case BUILD -> "build  work 0:40  rest 0:15";
            case EVERY_MINUTE -> "every-minute  minutes 4  reps 10";
            case REST -> "rest 1:00";
            case COOL_DOWN -> "cool-down  each 0:20";
        };
    }

    /** A move's line for a block: in a phrase a move without counts would have no length. */
    public static String move(BlockKind kind, String written) {
        boolean counted = written.contains("  counts ");
        return kind == BlockKind.PHRASE && !counted ? written + "  counts 2-2 x8" : written;
    }

    /** What kind of block it is, in a few words. */
    public static String explained(BlockKind kind) {
        return CoreText.of("plan.bed.explained." + kind.word());
    }

    /** What it is called where it has no name of its own. */
    public static String label(BlockKind kind) {
        return CoreText.of("plan.bed.kind." + kind.word());
    }
}
