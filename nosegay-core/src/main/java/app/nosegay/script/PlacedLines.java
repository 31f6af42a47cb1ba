package app.nosegay.script;

import app.nosegay.library.CueKind;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The lines that have their place already, and the room between them. */
final class PlacedLines {
    static final Length QUIET_AROUND_CALLS = Length.ofMillis(1500);
    static final Length BETWEEN_LINES = Length.ofMillis(300);

    /** The quiet around calls is for those who work; at rest a breath is enough. */
    static final Length AROUND_CALLS_AT_REST = Length.ofMillis(400);

    private final Timeline timeline;
    private final List<Segment> segments;
    private final Map<String, Integer> indexes;
    private final List<List<ScriptLine>> placed = new ArrayList<>();

    PlacedLines(Timeline timeline) {
        this.timeline = timeline;
        this.segments = timeline.segments();
        this.indexes = timeline.indexes();
        segments.forEach(s -> placed.add(new ArrayList<>()));
    }

    /** The lines said while segment {@code i} runs. */
    List<ScriptLine> in(int i) {
        return placed.get(i);
    }

    void add(ScriptLine line) {
        placed.get(indexes.get(line.segment())).add(line);
    }

    void remove(ScriptLine line) {
        placed.get(indexes.get(line.segment())).remove(line);
    }

    /** The line that is said nearest to where {@code line} would be, too near to it; null where there is room. */
    ScriptLine inTheWay(ScriptLine line, int i) {
        ScriptLine first = null;
        Segment own = segments.get(i);
        for (int k = Math.max(0, i - 1); k <= Math.min(segments.size() - 1, i + 1); k++) {
            for (ScriptLine other : placed.get(k)) {
                Length quiet = quiet(other, own);
                boolean near = line.start().isBefore(other.end().plus(quiet))
                        && other.start().minus(quiet).isBefore(line.end());
                if (near && (first == null || other.end().isBefore(first.end()))) {
                    first = other;
                }
            }
        }
        return first;
    }

    /** The quiet a line in {@code s} keeps from {@code other}. */
    static Length quiet(ScriptLine other, Segment s) {
        boolean call = other.kind() == CueKind.TIME || other.kind() == CueKind.COUNT;
        return !call ? BETWEEN_LINES : s.kind().isMoving() ? QUIET_AROUND_CALLS : AROUND_CALLS_AT_REST;
    }

    /** The share of a segment that may be spoken in. */
    double density(Segment s) {
        return s.kind().isMoving() ? timeline.sheet().header().talkDensity().share() : 1;
    }

    /** By how much {@code more} speech passes the talk density of the segment; not positive where it keeps to it. */
    Length beyondDensity(Segment s, Length more) {
        Length already =
                placed.get(indexes.get(s.id())).stream().map(ScriptLine::spoken).reduce(Length.ZERO, Length::plus);
        return already.plus(more).minus(s.duration().times(density(s)));
    }

    /** The longest free stretch of a window, quiet around its neighbours taken off. */
    Length largestGap(Segment s, CueCandidate.Window window) {
        Time<Axis.Plan> from = s.start().plus(s.duration().times(window.from()));
        Time<Axis.Plan> last = s.start().plus(s.duration().times(window.to()));
        Length largest = Length.ZERO;
        List<ScriptLine> lines = new ArrayList<>();
        int i = indexes.get(s.id());
        for (int k = Math.max(0, i - 1); k <= Math.min(segments.size() - 1, i + 1); k++) {
            lines.addAll(placed.get(k));
        }
        lines.sort(Comparator.comparing(ScriptLine::start));
        for (ScriptLine line : lines) {
            Time<Axis.Plan> until = Time.min(s.end(), line.start().minus(quiet(line, s)));
            largest = from.isAfter(last) ? largest : Length.max(largest, until.since(from));
            from = Time.max(from, line.end().plus(quiet(line, s)));
        }
        return from.isAfter(last) ? largest : Length.max(largest, s.end().since(from));
    }

    /** All lines in the order in which they are said. */
    List<ScriptLine> all() {
        return placed.stream()
                .flatMap(List::stream)
                .sorted(Comparator.comparing(ScriptLine::start))
                .toList();
    }

    /** How full each segment is with its lines, and with those that found no room but should have. */
    List<TalkWindow> windows(List<CuePlan.Left> left) {
        Map<String, Length> missing = new HashMap<>();
        Map<String, Integer> leftCounts = new HashMap<>();
        for (CuePlan.Left l : left) {
            if (!l.own() && !l.needed()) {
                continue;
            }
            missing.merge(l.line().segment(), l.line().spoken().plus(PlacedLines.BETWEEN_LINES), Length::plus);
            leftCounts.merge(l.line().segment(), 1, Integer::sum);
        }
        List<TalkWindow> windows = new ArrayList<>();
        for (int i = 0; i < segments.size(); i++) {
            Segment s = segments.get(i);
            List<ScriptLine> lines = in(i);
            lines.sort(Comparator.comparing(ScriptLine::start));
            Length needed = missing.getOrDefault(s.id(), Length.ZERO);
            for (ScriptLine line : lines) {
                needed = needed.plus(line.spoken()).plus(line.isCall() ? Length.ZERO : PlacedLines.BETWEEN_LINES);
            }
            windows.add(new TalkWindow(
                    s.id(), needed, s.duration().times(density(s)), lines.size(), leftCounts.getOrDefault(s.id(), 0)));
        }
        return windows;
    }
}
