package app.nosegay.plan.fit;

import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.Item;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.sheet.RunSheet.RestLine;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.Pause;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.List;

/**
 * One length in a run sheet that can be turned.
 *
 * @param line its line, from 1
 * @param attribute its attribute, or null for the bare length of a rest
 * @param rest whether it is a rest, else work
 * @param seconds what it says now, in whole seconds
 * @param where the block or move, for people
 */
record AdjustableLength(int line, Attribute attribute, boolean rest, int seconds, String where) {
    /** All lengths of a sheet that can be turned: fixed, in whole seconds. Ranges and open lengths are the creator's own latitude. */
    static List<AdjustableLength> of(RunSheet sheet) {
        List<AdjustableLength> adjustables = new ArrayList<>();
        for (Block block : sheet.blocks()) {
            if (block.kind() == BlockKind.REST) {
                add(adjustables, block.line(), null, true, block.length(), block.name());
            } else if (block.kind() != BlockKind.TALK) {
                addAll(adjustables, block.line(), block.attributes(), block.name());
                block.items().forEach(item -> addAll(adjustables, item, block.name()));
            }
        }
        return adjustables;
    }

    private static void addAll(List<AdjustableLength> adjustables, Item item, String block) {
        if (item instanceof MoveLine move) {
            addAll(adjustables, move.line(), move.attributes(), move.name());
        } else if (item instanceof RestLine rest) {
            add(adjustables, rest.line(), null, true, rest.pause(), block);
        }
    }

    private static void addAll(List<AdjustableLength> adjustables, int line, Attributes attributes, String where) {
        for (Attribute a : List.of(Attribute.WORK, Attribute.EACH, Attribute.REST, Attribute.ROUND_REST)) {
            boolean rest = a == Attribute.REST || a == Attribute.ROUND_REST;
            attributes.pause(a).ifPresent(p -> add(adjustables, line, a, rest, p, where));
        }
    }

    private static void add(
            List<AdjustableLength> adjustables,
            int line,
            Attribute attribute,
            boolean rest,
            Pause pause,
            String where) {
        boolean fixed = pause != null
                && !pause.open()
                && pause.least().equals(pause.most())
                && pause.planned().micros() % 1_000_000 == 0
                && pause.planned().isPositive();
        if (fixed) {
            adjustables.add(new AdjustableLength(
                    line, attribute, rest, (int) (pause.planned().micros() / 1_000_000), where));
        }
    }

    /** The sheet's text with this knob at {@code to} seconds. */
    String turned(String text, int to) {
        String clock = Length.ofSeconds(to).clock();
        String[] lines = text.split("\r\n|\n|\r", -1);
        String old = lines[line - 1];
        lines[line - 1] = attribute == null ? SheetText.withLength(old, clock) : SheetText.with(old, attribute, clock);
        return String.join("\n", lines);
    }

    /** The change for people: {@code rest 0:20 → 0:15 in Ground Work}. */
    String change(int to) {
        String word = attribute == null ? "rest" : attribute.word();
        return word + " " + Length.ofSeconds(seconds).clock() + " → "
                + Length.ofSeconds(to).clock()
                + (where.equals("rest") ? "" : CoreText.of("plan.fit.adjustable-length.in", where));
    }
}
