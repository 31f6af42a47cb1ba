package app.nosegay.review.seen;

import app.nosegay.evidence.sight.JointRows;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Timeline;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Hands, feet and heads that leave the picture and come back in a set. What is never in it was framed so on purpose. */
final class FrameCheck {
    /** Somebody has to be found for this share of a set. */
    private static final double FOUND = 0.8;
    /** Gone for less than this share of a set is a moment at the edge. */
    private static final double LEAST = 0.08;
    /** Gone for more than this share is how the picture was framed. */
    private static final double MOST = 0.8;

    private FrameCheck() {}

    /** One finding for each part of the body and edge of the picture in each take. */
    static List<Finding> findings(Timeline timeline, List<SeenSet> sets) {
        Map<String, List<SeenSet>> byTake = sets.stream()
                .filter(set -> set.found() >= FOUND)
                .collect(Collectors.groupingBy(set -> set.placed().take(), LinkedHashMap::new, Collectors.toList()));
        List<Finding> findings = new ArrayList<>();
        byTake.values().forEach(own -> List.of(BodyPart.values()).forEach(part -> Arrays.stream(JointRows.Edge.values())
                .flatMap(edge -> finding(timeline, own, part, edge).stream())
                .forEach(findings::add)));
        return findings;
    }

    private static boolean leaves(SeenSet set, BodyPart part, JointRows.Edge edge) {
        double share = set.leader().beyond(set.start(), set.end(), part.joints(), edge);
        return share >= LEAST && share <= MOST;
    }

    private static Optional<Finding> finding(
            Timeline timeline, List<SeenSet> sets, BodyPart part, JointRows.Edge edge) {
        List<SeenSet> out = sets.stream().filter(set -> leaves(set, part, edge)).toList();
        if (out.isEmpty()) {
            return Optional.empty();
        }
        String first = timeline.spoken(out.get(0).segment().id());
        String where = edge(edge);
        String message =
                switch (part) {
                    case HEAD -> CoreText.of("match.out-of-frame.head", where, out.size(), first);
                    case HANDS -> CoreText.of("match.out-of-frame.hands", where, out.size(), first);
                    case FEET -> CoreText.of("match.out-of-frame.feet", where, out.size(), first);
                };
        return Optional.of(
                Finding.at("match.out-of-frame", Severity.LOOK, out.get(0).segment(), message)
                        .withFix(CoreText.of("match.out-of-frame.fix"))
                        .withMoment(out.get(0).middle()));
    }

    /** An edge as it is named in a sentence. */
    static String edge(JointRows.Edge edge) {
        return switch (edge) {
            case TOP -> CoreText.of("match.out-of-frame.top");
            case BOTTOM -> CoreText.of("match.out-of-frame.bottom");
            case SIDES -> CoreText.of("match.out-of-frame.sides");
        };
    }
}
