package app.nosegay.plan.edit;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.Reps;
import app.nosegay.plan.terms.SideWay;

/**
 * Sheets written before a number of repetitions stood for each side: there it was the total of both, which is written in, so that an old
 * workout stays what it was.
 */
public final class OldReps {
    private OldReps() {}

    /** {@code sheet} with {@code in-all} behind every number that was a total. */
    public static String upgraded(String sheet) {
        RunSheet read = RunSheetParser.parse(sheet, MoveLibrary.shipped());
        String[] lines = sheet.split("\n", -1);
        for (RunSheet.Block block : read.blocks()) {
            boolean wholeBlock = wasTotal(block.attributes());
            if (wholeBlock) {
                inAll(lines, block.line(), block.line());
            }
            for (RunSheet.MoveLine move : block.moves()) {
                Attributes merged = move.attributes().over(block.attributes());
                boolean own = move.attributes().reps().isPresent();
                if (wasTotal(merged) && (own || !wholeBlock)) {
                    inAll(lines, move.line(), own ? move.line() : block.line());
                }
            }
        }
        return String.join("\n", lines);
    }

    private static boolean wasTotal(Attributes attributes) {
        boolean shared = attributes.sides() == SideWay.SEPARATE || attributes.sides() == SideWay.CHAIN;
        return shared
                && attributes.reps().map(r -> r.sharing() == Reps.Sharing.USUAL).orElse(false);
    }

    private static void inAll(String[] lines, int line, int writtenOn) {
        SheetText.value(lines[writtenOn - 1], Attribute.REPS)
                .ifPresent(reps -> lines[line - 1] = SheetText.with(lines[line - 1], Attribute.REPS, reps + " in-all"));
    }
}
