package app.nosegay.plan.fit;

import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.time.Length;
import java.util.List;

/**
 * One way to keep the promised length.
 *
 * @param name what it is, in a few words
 * @param changes every change for people
 * @param edit the change of the sheet
 * @param sheet the sheet with the change made
 * @param measured what is promised, measured afterwards
 * @param price what it costs the viewer, in words
 * @param cost for ranking: the less is changed the better
 */
public record Offer(
        String name, List<String> changes, SheetEdit edit, String sheet, Length measured, String price, double cost) {
    public Offer {
        changes = List.copyOf(changes);
    }
}
