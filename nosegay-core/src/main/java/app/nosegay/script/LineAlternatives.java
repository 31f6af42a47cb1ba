package app.nosegay.script;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Other ways to say a line: what the library knows of the same kind for the same move, and for encouragement the creator's other words. */
public final class LineAlternatives {
    /** What stands before the words of an option ends with this. */
    private static final String INTRODUCED = ": ";

    private LineAlternatives() {}

    /** All wordings in turn, the planner's own first; only that one where there is no other. */
    public static List<String> of(Timeline timeline, MoveLibrary library, SpeechStyle style, ScriptLine line) {
        Set<String> words = new LinkedHashSet<>();
        words.add(line.of());
        if (line.kind() == CueKind.CHEER) {
            words.addAll(style.cheers());
        } else {
            List<String> known = known(timeline, library, line);
            String prefix = known.contains(line.of()) ? "" : introduction(line.of());
            known.forEach(t -> words.add(prefix + t));
        }
        return List.copyOf(words);
    }

    /** The wording after the one the line has now. */
    public static String next(List<String> alternatives, String now) {
        return alternatives.get((alternatives.indexOf(now) + 1) % alternatives.size());
    }

    private static String introduction(String text) {
        int end = text.indexOf(INTRODUCED);
        return end < 0 ? "" : text.substring(0, end + INTRODUCED.length());
    }

    /** The wordings for the line's own move; in a pause, for the move it leads to. */
    private static List<String> known(Timeline timeline, MoveLibrary library, ScriptLine line) {
        Wordings wordings = new Wordings(library, timeline.sheet().header());
        List<Segment> segments = timeline.segments();
        int at = timeline.indexes().getOrDefault(line.segment(), segments.size());
        List<String> known = new ArrayList<>();
        for (Segment s : segments.subList(at, segments.size())) {
            if (s.kind().isMoving()) {
                known.addAll(wordings.known(s, line.kind()));
                wordings.own(s, line.kind()).forEach(c -> known.add(c.text()));
                break;
            }
        }
        return known;
    }
}
