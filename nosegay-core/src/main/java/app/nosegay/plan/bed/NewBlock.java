package app.nosegay.plan.bed;

import app.nosegay.library.Move;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.text.CoreText;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

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

    /** A move's line as it is added: how sides are shared is said for a one-sided move, where it is not said already or natural. */
    public static String move(BlockKind kind, Move move, String name, String attributes, boolean shared) {
        boolean told = attributes.contains("  sides ")
                || move.sided().isEmpty()
                || move.traits().contains("alternates")
                || shared;
        String sides =
                switch (kind) {
                    case COOL_DOWN, PHRASE, STRAIGHT_SETS -> "  sides separate";
                    case AMRAP -> "  sides alternate";
                    default -> "  sides halves";
                };
        return move(kind, name + attributes + (told ? "" : sides));
    }

    /** What a block may say besides its sentence, with what it says at first. */
    public static Map<Attribute, String> further() {
        Map<Attribute, String> first = new LinkedHashMap<>();
        first.put(Attribute.ROUND_REST, "1:00");
        first.put(Attribute.SIDES, "separate");
        first.put(Attribute.TEMPO, "3-1-1");
        first.put(Attribute.DEMO, "before");
        first.put(Attribute.GEAR, "dumbbell pair medium");
        first.put(Attribute.POSITION, "seated");
        first.put(Attribute.START, "left");
        first.put(Attribute.EFFORT, "7");
        first.put(Attribute.DOSE, "3 x 10");
        first.put(Attribute.SHOWN, "6");
        first.put(Attribute.SAY, "once");
        first.put(Attribute.ALONE, "10:00");
        first.put(Attribute.BONUS, "yes");
        first.put(Attribute.REST_AFTER_LAST, "yes");
        return first;
    }

    /** What can be done in a rest, by what it is called. */
    public static List<FieldValues.Choice> restActivities() {
        return List.of(
                new FieldValues.Choice(CoreText.of("plan.bed.active.still"), ""),
                new FieldValues.Choice(CoreText.of("plan.bed.active.water"), "water break"),
                new FieldValues.Choice(CoreText.of("plan.bed.active.march"), "march in place"),
                new FieldValues.Choice(CoreText.of("plan.bed.active.stretch"), "calf stretch"));
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
