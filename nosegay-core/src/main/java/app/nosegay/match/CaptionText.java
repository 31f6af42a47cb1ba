package app.nosegay.match;

import app.nosegay.transcript.Caption;
import java.util.ArrayList;
import java.util.List;

/** Captions with the accepted corrections. */
public final class CaptionText {
    private CaptionText() {}

    public static List<Caption> repaired(String take, List<Caption> captions, List<MatchNotes.Repair> repairs) {
        if (repairs.stream().noneMatch(r -> r.accepted() && r.take().equals(take))) {
            return captions;
        }
        List<Caption> out = new ArrayList<>();
        for (Caption c : captions) {
            String text = c.text();
            for (MatchNotes.Repair r : repairs) {
                if (r.accepted() && r.take().equals(take) && r.time().equals(c.start())) {
                    text = r.to().isEmpty() && r.from().equals(c.text()) ? "" : text.replace(r.from(), r.to());
                }
            }
            if (!text.isBlank()) {
                out.add(text.equals(c.text()) ? c : new Caption(c.start(), c.end(), text));
            }
        }
        return out;
    }
}
