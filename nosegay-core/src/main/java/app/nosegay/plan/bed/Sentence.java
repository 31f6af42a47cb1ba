package app.nosegay.plan.bed;

import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Header;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A block's one sentence in plain words, with its values to fill in. The sentence of each kind of block stands in the bundle, its values as
 * words in square brackets; what a block says beyond it is added behind.
 */
final class Sentence {
    private static final Pattern VALUE = Pattern.compile("\\[([a-z-]+)]");
    /** What may end a set, the block's own word for it first. */
    private static final List<Attribute> BY_CLOCK =
            List.of(Attribute.COUNTS, Attribute.WORK, Attribute.EACH, Attribute.REPS, Attribute.HOLD);

    /** All that may; of these a line says one. */
    static final List<Attribute> ENDS =
            List.of(Attribute.COUNTS, Attribute.WORK, Attribute.EACH, Attribute.REPS, Attribute.HOLD, Attribute.FOR);

    private static final List<Attribute> BY_COUNT =
            List.of(Attribute.COUNTS, Attribute.REPS, Attribute.WORK, Attribute.EACH, Attribute.HOLD);

    private final Block block;
    private final String head;
    private final Header header;
    private final List<Part> parts = new ArrayList<>();
    private final Set<Attribute> said = EnumSet.noneOf(Attribute.class);

    private Sentence(Block block, String head, Header header) {
        this.block = block;
        this.head = head;
        this.header = header;
    }

    /** The sentence of {@code block}, whose line is {@code head}. */
    static List<Part> of(Block block, String head, Header header) {
        Sentence sentence = new Sentence(block, head, header);
        boolean window = block.attributes().has(Attribute.FOR);
        int moves = block.moves().size();
        String key = "plan.bed.sentence." + block.kind().word() + (window ? ".for" : "");
        String pattern = CoreText.keys().contains(key)
                ? CoreText.of(key, moves)
                : CoreText.of("plan.bed.sentence." + block.kind().word(), moves);
        sentence.add(pattern);
        for (Attribute attribute : Attribute.values()) {
            if (block.attributes().has(attribute) && !sentence.said.contains(attribute)) {
                sentence.add(CoreText.of("plan.bed.extra." + attribute.word()));
            }
        }
        sentence.add(".");
        return List.copyOf(sentence.parts);
    }

    private void add(String pattern) {
        Matcher value = VALUE.matcher(pattern);
        int from = 0;
        while (value.find()) {
            words(pattern.substring(from, value.start()));
            parts.add(new Part.Value(field(value.group(1))));
            from = value.end();
        }
        words(pattern.substring(from));
    }

    private void words(String text) {
        if (!text.isEmpty()) {
            parts.add(new Part.Words(text));
        }
    }

    private Field field(String word) {
        return switch (word) {
            case Field.ENDS -> ends();
            case Field.LENGTH -> {
                String otherwise = block.kind() == BlockKind.REST ? "1:00" : "0:30";
                String written = block.length() == null
                        ? ""
                        : SheetText.length(head).orElse(block.length().planned().clock());
                yield new Field(word, PlainWords.shown(word, written.isEmpty() ? otherwise : written), written);
            }
            default -> {
                Attribute attribute = Attribute.of(word).orElseThrow();
                said.add(attribute);
                String written = SheetText.value(head, attribute).orElse("");
                yield new Field(word, shown(attribute, written), written);
            }
        };
    }

    private String shown(Attribute attribute, String written) {
        if (!written.isEmpty()) {
            return PlainWords.shown(attribute.word(), written);
        }
        return switch (attribute) {
            case SETS ->
                PlainWords.shown(
                        "sets",
                        ""
                                + block.attributes()
                                        .reps()
                                        .map(r -> r.perSet().size())
                                        .orElse(1));
            case MINUTES ->
                PlainWords.shown("minutes", "" + Math.max(1, block.moves().size()));
            case BPM -> header.bpm() == null ? "60" : "" + Math.round(header.bpm());
            default -> PlainWords.shown(attribute.word(), written);
        };
    }

    /** What ends the moves of the block: its own word; else each move's, or nothing yet. */
    private Field ends() {
        if (block.attributes().has(Attribute.FOR)) {
            said.add(Attribute.FOR);
            String all = SheetText.value(head, Attribute.FOR).orElse("");
            return new Field(Field.ENDS, PlainWords.shown(Attribute.FOR.word(), all), Attribute.FOR.word() + " " + all);
        }
        for (Attribute a : order(block.kind())) {
            if (block.attributes().has(a)) {
                said.add(a);
                return Field.of(
                        Field.ENDS, a.word() + " " + SheetText.value(head, a).orElse(""));
            }
        }
        boolean own = !block.moves().isEmpty() && block.moves().stream().allMatch(Sentence::hasEnd);
        return new Field(Field.ENDS, own ? CoreText.of("plan.bed.own-ends") : CoreText.of("plan.bed.no-ends"), "");
    }

    static boolean hasEnd(MoveLine move) {
        return BY_CLOCK.stream().anyMatch(move.attributes()::has);
    }

    /** In sets the repetitions end the set, where both are given. */
    static List<Attribute> order(BlockKind kind) {
        return kind == BlockKind.SUPERSET || kind == BlockKind.STRAIGHT_SETS ? BY_COUNT : BY_CLOCK;
    }
}
