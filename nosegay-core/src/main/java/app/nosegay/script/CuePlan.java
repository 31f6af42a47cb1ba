package app.nosegay.script;

import app.nosegay.time.Length;
import java.util.List;
import java.util.Optional;

/**
 * What will be said when.
 *
 * @param lines in order of their start; none of the planner's overlap
 * @param left lines that found no room
 * @param windows one per segment, in order
 */
public record CuePlan(List<ScriptLine> lines, List<Left> left, List<TalkWindow> windows) {
    public CuePlan {
        lines = List.copyOf(lines);
        left = List.copyOf(left);
        windows = List.copyOf(windows);
    }

    /**
     * A line that does not fit.
     *
     * @param line the line at the place it was wanted
     * @param reason why, with the seconds
     * @param remedy the shortest change that would make it fit
     * @param over seconds that are missing
     * @param own whether it is the creator's own line
     * @param needed whether something is missing without it; else it was only a suggestion
     */
    public record Left(ScriptLine line, String reason, String remedy, Length over, boolean own, boolean needed) {}

    /** The lines without room that are missed: the creator's own, names, options. */
    public List<Left> missed() {
        return left.stream().filter(l -> l.own() || l.needed()).toList();
    }

    public List<ScriptLine> of(String segment) {
        return lines.stream().filter(l -> l.segment().equals(segment)).toList();
    }

    public Optional<TalkWindow> window(String segment) {
        return windows.stream().filter(w -> w.segment().equals(segment)).findFirst();
    }
}
