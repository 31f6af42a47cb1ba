package app.nosegay.script;

import java.util.List;

/**
 * What will be said when.
 *
 * @param lines in order of their start; none overlap
 * @param left lines that found no room
 */
public record CuePlan(List<ScriptLine> lines, List<Left> left) {
    public CuePlan {
        lines = List.copyOf(lines);
        left = List.copyOf(left);
    }

    /**
     * A line that does not fit.
     *
     * @param line the line at the place it was wanted
     * @param reason why, with the seconds
     */
    public record Left(ScriptLine line, String reason) {}

    public List<ScriptLine> of(String segment) {
        return lines.stream().filter(l -> l.segment().equals(segment)).toList();
    }
}
