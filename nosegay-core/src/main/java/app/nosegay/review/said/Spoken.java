package app.nosegay.review.said;

import java.util.List;

/**
 * What was said in all takes.
 *
 * @param calls every call, with what was true at its moment
 * @param lines every line of the script but its calls, said or not
 */
public record Spoken(List<HeardCall> calls, List<ScriptLineMatch> lines) {
    public Spoken {
        calls = List.copyOf(calls);
        lines = List.copyOf(lines);
    }
}
