package app.nosegay.review.seen;

import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.commons.lang3.StringUtils;

/** Holds that are left before their time is up. */
final class HoldCheck {
    /** Somebody has to be found for this share of a set. */
    private static final double FOUND = 0.8;
    /** Getting into a hold and out of it takes as long, in seconds. */
    private static final double EDGE = 1.5;

    private static final Pattern HELD = Pattern.compile("(?i).*\\b(?:plank|hold|wall sit)");

    private HoldCheck() {}

    static List<Finding> findings(Timeline timeline, List<SeenSet> sets) {
        List<Finding> findings = new ArrayList<>();
        for (SeenSet set : sets) {
            if (!isHeld(set.segment()) || set.found() < FOUND) {
                continue;
            }
            for (Span<Axis.Take> left : Stillness.left(set.leader(), set.start() + EDGE, set.end() - EDGE)) {
                String message = CoreText.of(
                        "match.hold-left.message",
                        timeline.spoken(set.segment().id()),
                        left.length().seconds());
                findings.add(
                        Finding.at("match.hold-left", Severity.LOOK, set.segment(), StringUtils.capitalize(message))
                                .withFix(CoreText.of("match.hold-left.fix"))
                                .withMoment(new Finding.Moment(set.placed().take(), left)));
            }
        }
        return findings;
    }

    private static boolean isHeld(Segment s) {
        return s.line() != null && s.line().attributes().has(Attribute.HOLD)
                || HELD.matcher(s.move()).matches();
    }
}
