package app.nosegay.script.check;

import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Which line is said in which segment. */
final class LinesOfSegments {
    private final Map<String, Segment> byId = new HashMap<>();
    private final Map<String, List<ScriptLine>> lines;

    LinesOfSegments(Timeline timeline, CuePlan plan) {
        timeline.segments().forEach(s -> byId.put(s.id(), s));
        this.lines = plan.lines().stream().collect(Collectors.groupingBy(ScriptLine::segment));
    }

    List<ScriptLine> in(Segment s) {
        return lines.getOrDefault(s.id(), List.of());
    }

    Segment segment(String id) {
        return byId.get(id);
    }
}
