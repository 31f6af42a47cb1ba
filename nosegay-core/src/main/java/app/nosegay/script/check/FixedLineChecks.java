package app.nosegay.script.check;

import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.TalkWindow;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Lines fixed by hand that meet another, and segments with more speech than was wanted. */
final class FixedLineChecks {
    private final Timeline timeline;
    private final CuePlan plan;
    private final LinesOfSegments said;
    private final List<Finding> findings = new ArrayList<>();

    private FixedLineChecks(Timeline timeline, CuePlan plan) {
        this.timeline = timeline;
        this.plan = plan;
        this.said = new LinesOfSegments(timeline, plan);
    }

    static List<Finding> findings(Timeline timeline, CuePlan plan) {
        FixedLineChecks check = new FixedLineChecks(timeline, plan);
        check.fixedLines();
        check.density();
        return check.findings;
    }

    /** The line that is said at the same time as the one numbered {@code i}; null for none. */
    private ScriptLine overlapping(int i) {
        List<ScriptLine> lines = plan.lines();
        ScriptLine hit = null;
        for (int k = Math.max(0, i - 2); k < Math.min(lines.size(), i + 3); k++) {
            hit = k != i && lines.get(k).span().overlaps(lines.get(i).span()) ? lines.get(k) : hit;
        }
        return hit;
    }

    /** Lines fixed by hand that meet another line, a call or the end of their segment. */
    private void fixedLines() {
        List<ScriptLine> lines = plan.lines();
        for (int i = 0; i < lines.size(); i++) {
            ScriptLine l = lines.get(i);
            if (!l.fixed()) {
                continue;
            }
            Segment s = said.segment(l.segment());
            ScriptLine hit = overlapping(i);
            if (hit != null) {
                findings.add(Finding.at(
                                "script.overlap",
                                Severity.FIX,
                                s,
                                CoreText.of("script.overlap.message", l.text(), hit.text()))
                        .withFix(CoreText.of("script.overlap.fix")));
            } else if (l.end().isAfter(s.end().plus(Length.ofMillis(100)))) {
                findings.add(Finding.at(
                                "script.over-end",
                                Severity.FIX,
                                s,
                                CoreText.of(
                                        "script.over-end.message",
                                        l.text(),
                                        seconds(l.end().since(s.end())),
                                        s.kind().word()))
                        .withFix(CoreText.of("script.over-end.fix")));
            }
        }
    }

    private void density() {
        for (TalkWindow w : plan.windows()) {
            Segment s = said.segment(w.segment());
            Length spoken = said.in(s).stream().map(ScriptLine::spoken).reduce(Length.ZERO, Length::plus);
            if (s.kind().isMoving()
                    && spoken.compareTo(w.available()) > 0
                    && s.duration().seconds() >= 10) {
                findings.add(Finding.at(
                        "script.dense",
                        Severity.NOTE,
                        s,
                        CoreText.of(
                                "script.dense.message",
                                100 * spoken.seconds() / s.duration().seconds(),
                                s.move(),
                                100 * timeline.sheet().header().talkDensity().share())));
            }
        }
    }

    private static String seconds(Length length) {
        return String.format(Locale.ROOT, "%.1f s", length.seconds());
    }
}
