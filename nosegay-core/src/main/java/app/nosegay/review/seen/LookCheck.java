package app.nosegay.review.seen;

import app.nosegay.evidence.sight.SetLook;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.lang3.StringUtils;

/**
 * Whether each move looks in every round as it does in the others. Names are not needed: a move that was exchanged in one round looks like
 * the other one did, and one nobody planned like none.
 */
final class LookCheck {
    /** Somebody has to be found for this share of a set … */
    private static final double FOUND = 0.7;

    /** … and for this one where it is said to look like nothing: who was lost was not seen well before, either. */
    private static final double WELL_FOUND = 0.9;

    /** Sets of one move are rarely more unlike than this, in trunks; those of two moves rarely less (docs/algorithms/bodies.md). */
    private static final double UNLIKE = 0.25;

    /** Another move is what it looks like when it is this much nearer than the planned one. */
    private static final double NEARER = 0.6;

    /** What looks like none of the moves has to be farther from its own: shallower repetitions are unlike as well. */
    private static final double FAR = 0.3;

    /** A later set is what a move looks like only when it is this much nearer to the others than the first one. */
    private static final double RATHER = 0.8;

    private record Seen(SeenSet set, SetLook look) {
        Segment segment() {
            return set.segment();
        }

        boolean well() {
            return set.found() >= WELL_FOUND;
        }
    }

    private final Timeline timeline;
    private final Map<String, List<Seen>> byMove = new LinkedHashMap<>();

    private LookCheck(Timeline timeline) {
        this.timeline = timeline;
    }

    /** The sets that look otherwise than their move; only sets of one take are compared. */
    static List<Finding> findings(Timeline timeline, List<SeenSet> sets) {
        Map<String, LookCheck> byTake = new LinkedHashMap<>();
        sets.forEach(set -> byTake.computeIfAbsent(set.placed().take(), take -> new LookCheck(timeline))
                .see(set));
        List<Finding> findings = new ArrayList<>();
        byTake.values().forEach(check -> check.compare(findings));
        return findings;
    }

    private void see(SeenSet set) {
        if (set.found() >= FOUND) {
            SetLook.of(set.leader(), set.start(), set.end())
                    .ifPresent(look -> byMove.computeIfAbsent(set.segment().move(), m -> new ArrayList<>())
                            .add(new Seen(set, look)));
        }
    }

    private void compare(List<Finding> findings) {
        Map<String, Seen> usual = new LinkedHashMap<>();
        byMove.forEach((move, sets) -> usual.put(move, usual(sets)));
        Set<String> told = new HashSet<>();
        byMove.forEach((move, sets) -> sets.forEach(set -> otherwise(set, usual)
                .filter(f -> told.add(set.segment().interval()))
                .ifPresent(findings::add)));
    }

    /** The set most like the others of its move; the first, unless another is clearly nearer. */
    private static Seen usual(List<Seen> sets) {
        Seen best = sets.get(0);
        double least = unlike(best, sets);
        for (Seen set : sets) {
            double sum = unlike(set, sets);
            if (sum < RATHER * least) {
                best = set;
                least = sum;
            }
        }
        return best;
    }

    private static double unlike(Seen set, List<Seen> sets) {
        return sets.stream()
                .mapToDouble(other -> set.look().unlike(other.look()))
                .sum();
    }

    private Optional<Finding> otherwise(Seen set, Map<String, Seen> usual) {
        Seen own = usual.get(set.segment().move());
        double unlike = set.look().unlike(own.look());
        if (unlike < UNLIKE) {
            return Optional.empty();
        }
        Seen other = null;
        double nearest = NEARER * unlike;
        for (Seen each : usual.values()) {
            double distance = set.look().unlike(each.look());
            if (each != own && distance < nearest) {
                other = each;
                nearest = distance;
            }
        }
        String planned = timeline.spoken(set.segment().id());
        String usually = timeline.spoken(own.segment().id());
        if (other != null) {
            String like = timeline.spoken(other.segment().id());
            return Optional.of(finding(set, CoreText.of("match.looks-otherwise.like", planned, like, usually)));
        }
        return unlike < FAR || !set.well() || !own.well()
                ? Optional.empty()
                : Optional.of(finding(set, CoreText.of("match.looks-otherwise.message", planned, usually)));
    }

    private static Finding finding(Seen set, String message) {
        return Finding.at("match.looks-otherwise", Severity.LOOK, set.segment(), StringUtils.capitalize(message))
                .withFix(CoreText.of("match.looks-otherwise.fix"))
                .withMoment(set.set().middle());
    }
}
