package app.nosegay.captions;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;

/** Captions with the accepted corrections. */
public final class CaptionText {
    private CaptionText() {}

    /**
     * A decision about a correction of a caption.
     *
     * @param time when the caption starts
     * @param from the words as transcribed; the whole line for a deletion
     * @param to the words instead; empty to delete the line
     * @param accepted whether it is applied
     */
    public record Repair(String take, Time<Axis.Take> time, String from, String to, boolean accepted) {}

    public static List<Caption> repaired(String take, List<Caption> captions, List<Repair> repairs) {
        if (repairs.stream().noneMatch(r -> r.accepted() && r.take().equals(take))) {
            return captions;
        }
        List<Caption> out = new ArrayList<>();
        for (Caption c : captions) {
            String text = c.text();
            for (Repair r : repairs) {
                if (r.accepted() && r.take().equals(take) && r.time().equals(c.start())) {
                    text = r.to().isEmpty() && r.from().equals(c.text()) ? "" : text.replace(r.from(), r.to());
                }
            }
            if (!text.isBlank()) {
                out.add(text.equals(c.text()) ? c : new Caption(c.start(), c.end(), text).by(c.speaker()));
            }
        }
        return out;
    }
}
