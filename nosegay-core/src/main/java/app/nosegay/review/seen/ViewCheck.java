package app.nosegay.review.seen;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.apache.commons.lang3.StringUtils;

/** From where moves are seen, against the planned angle, or else the one in which their usual fault shows. */
final class ViewCheck {
    /** Somebody has to be found for this share of a set. */
    private static final double FOUND = 0.8;

    /** Shoulders at least so far apart, in trunks, face the camera; up to half a right angle nothing hides (docs/algorithms/bodies.md). */
    private static final double FACING = 0.55;

    /** Less far apart they are seen from the side; between the two nothing is said. */
    private static final double TURNED = 0.45;

    private static final String FRONT = "front";
    private static final String SIDE = "side";

    private final Timeline timeline;
    private final MoveLibrary library;
    private final List<Finding> findings = new ArrayList<>();
    /** From where each move was seen in sets without a planned angle. */
    private final Map<Move, Set<String>> seen = new TreeMap<>(Comparator.comparing(Move::name));

    private ViewCheck(Timeline timeline, MoveLibrary library) {
        this.timeline = timeline;
        this.library = library;
    }

    static List<Finding> findings(Timeline timeline, List<SeenSet> sets, MoveLibrary library) {
        ViewCheck check = new ViewCheck(timeline, library);
        for (SeenSet set : sets) {
            if (set.segment().line() != null && set.found() >= FOUND) {
                view(set).ifPresent(view -> check.set(set, view));
            }
        }
        check.never();
        return check.findings;
    }

    private static Optional<String> view(SeenSet set) {
        double apart = set.leader().shouldersApart(set.start(), set.end());
        boolean between = apart > TURNED && apart < FACING;
        return between ? Optional.empty() : Optional.of(apart >= FACING ? FRONT : SIDE);
    }

    private void set(SeenSet set, String view) {
        Segment s = set.segment();
        Optional<String> planned =
                s.line().attributes().over(s.block().attributes()).words(Attribute.ANGLE);
        String other = view.equals(FRONT) ? SIDE : FRONT;
        if (!s.line().turns().isEmpty()) {
            return;
        }
        if (planned.isEmpty()) {
            s.wholeMove(library).ifPresent(m -> seen.computeIfAbsent(m, k -> new HashSet<>())
                    .add(view));
        } else if (planned.get().contains(other) && !planned.get().contains(view)) {
            String message = CoreText.of("match.view.message", timeline.spoken(s.id()), other, view);
            findings.add(Finding.at("match.view", Severity.LOOK, s, StringUtils.capitalize(message))
                    .withFix(CoreText.of("match.view.fix"))
                    .withMoment(set.middle()));
        }
    }

    /** Moves that are never seen from where their usual fault shows, in one line for each of the two. */
    private void never() {
        Map<String, Set<String>> byBest = new HashMap<>();
        seen.forEach((move, views) -> {
            boolean known = move.view().equals(FRONT) || move.view().equals(SIDE);
            if (known && !views.contains(move.view())) {
                byBest.computeIfAbsent(move.view(), k -> new TreeSet<>()).add(move.name());
            }
        });
        for (String best : List.of(FRONT, SIDE)) {
            if (byBest.containsKey(best)) {
                String moves = byBest.get(best).stream().collect(Collectors.joining(", "));
                findings.add(Finding.of(
                                "match.view",
                                Severity.NOTE,
                                CoreText.of("match.view.best", best, best.equals(FRONT) ? SIDE : FRONT, moves))
                        .withFix(CoreText.of("match.view.fix")));
            }
        }
    }
}
