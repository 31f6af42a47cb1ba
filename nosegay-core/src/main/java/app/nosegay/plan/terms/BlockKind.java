package app.nosegay.plan.terms;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The block words of the notation. */
public enum BlockKind {
    TALK,
    WARM_UP,
    CIRCUIT,
    SUPERSET,
    STRAIGHT_SETS,
    AMRAP,
    PHRASE,
    BUILD,
    EVERY_MINUTE,
    REST,
    COOL_DOWN;

    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    public static Optional<BlockKind> of(String word) {
        return Arrays.stream(values()).filter(k -> k.word().equals(word)).findFirst();
    }

    public static List<String> words() {
        return Arrays.stream(values()).map(BlockKind::word).toList();
    }

    /** The kind of segment its moves become. */
    public SegmentKind moveKind() {
        return switch (this) {
            case WARM_UP -> SegmentKind.WARMUP;
            case COOL_DOWN -> SegmentKind.COOLDOWN;
            default -> SegmentKind.WORK;
        };
    }
}
