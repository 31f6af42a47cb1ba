package app.nosegay.script.check;

import app.nosegay.library.CueKind;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.CuePlan;
import app.nosegay.script.Phrases;
import app.nosegay.script.ScriptLine;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** Reads the script alone, as whoever only listens hears it: before each set they have to know what comes and how much of it. */
final class ListenerCheck {
    /** A number with what it counts, or a set that ends by being told to. */
    private static final Pattern AMOUNT = Pattern.compile(
            "(?i)\\b(?:\\d+|[a-z]+) (?:reps?|seconds?|minutes?|rounds?|counts?|of those|each side)\\b"
                    + "|\\bset \\w+ of \\w+|\\blast set\\b|\\bsame again\\b|\\bround \\w+ of|\\blast round\\b|\\bhold for\\b");

    private ListenerCheck() {}

    static List<Finding> findings(Timeline timeline, CuePlan plan) {
        List<Finding> findings = new ArrayList<>();
        if (!timeline.sheet().header().voiceOnly()) {
            return findings;
        }
        double from = 0;
        String done = "";
        for (Interval interval : timeline.intervals()) {
            Segment s = interval.first();
            if (s.kind() == SegmentKind.WORK) {
                double since = from;
                double until = interval.start().seconds() + 3;
                String heard = String.join(
                                " ",
                                plan.lines().stream()
                                        .filter(l -> l.start().seconds() >= since - 1
                                                && l.start().seconds() <= until)
                                        .filter(l -> l.kind() != CueKind.TIME)
                                        .map(ScriptLine::text)
                                        .toList())
                        .toLowerCase(Locale.ROOT);
                boolean same = s.move().equals(done);
                String name = Phrases.name(s.move().split("[,]")[0]).toLowerCase(Locale.ROOT);
                if (!same && !heard.contains(name)) {
                    findings.add(missing(s, CoreText.of("script.listener.name")));
                } else if (!same && !AMOUNT.matcher(heard).find()) {
                    findings.add(missing(s, CoreText.of("script.listener.amount")));
                }
                done = s.move();
            }
            if (s.kind().isMoving()) {
                from = interval.start().seconds() + interval.length().seconds() / 2;
            }
        }
        return findings;
    }

    private static Finding missing(Segment s, String what) {
        return Finding.at("script.listener", Severity.FIX, s, CoreText.of("script.listener.message", what, s.move()))
                .withFix(CoreText.of("script.listener.fix"));
    }
}
