package app.nosegay.match;

import app.nosegay.calls.Fluffs;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.features.MatchWeights;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Which of several times a segment was done is used: whole before cut short, clean before fluffed, later before earlier, few changes of
 * take.
 */
final class TakeChoice {
    private static final double FORCED = 1000;
    /** A second that is missing of a segment's planned length. */
    private static final double SHORT_SECOND = 0.5;

    private static final double FLUFFED = 3;
    private static final double DOUBTED = 2;
    /** A retake is made because the earlier one was not good. */
    private static final double EARLIER = 1;

    private static final double CHANGE_OF_TAKE = 0.25;
    /** Shorter than this share of the plan is cut short. */
    private static final double WHOLE = 0.85;

    /** One time a segment was done. */
    record Candidate(int take, SegmentOccurrence occurrence) {}

    private final Timeline timeline;
    private final List<TakeEvidence> takes;
    private final Map<Integer, List<Candidate>> all = new HashMap<>();
    private final Map<Integer, Candidate> chosen = new HashMap<>();

    TakeChoice(
            Timeline timeline,
            List<TakeEvidence> takes,
            List<TakeSolver.Found> found,
            List<Pin> pins,
            Map<String, String> choices) {
        this.timeline = timeline;
        this.takes = takes;
        for (int t = 0; t < found.size(); t++) {
            for (SegmentOccurrence v : found.get(t).occurrences()) {
                boolean sliver = v.length() < MatchWeights.LEFT_OUT_SHARE * planned(v.segment())
                        && !(v.startPinned() && v.endPinned());
                if (!sliver && v.length() > 0) {
                    all.computeIfAbsent(v.segment(), k -> new ArrayList<>()).add(new Candidate(t, v));
                }
            }
        }
        Map<String, String> forced = new HashMap<>();
        pins.forEach(p -> forced.put(p.segment(), p.take()));
        forced.putAll(choices);
        choose(forced);
    }

    private double planned(int k) {
        return timeline.segments().get(k).duration().seconds();
    }

    /** The cheapest way through the candidates of all segments. */
    private void choose(Map<String, String> forced) {
        List<Integer> order = all.keySet().stream().sorted().toList();
        List<double[]> costs = new ArrayList<>();
        List<int[]> cameFrom = new ArrayList<>();
        for (int i = 0; i < order.size(); i++) {
            List<Candidate> now = all.get(order.get(i));
            double[] cost = new double[now.size()];
            int[] from = new int[now.size()];
            for (int c = 0; c < now.size(); c++) {
                cost[c] = own(now.get(c), forced);
                if (i > 0) {
                    List<Candidate> before = all.get(order.get(i - 1));
                    from[c] = cheapest(before, costs.get(i - 1), now.get(c));
                    cost[c] += costs.get(i - 1)[from[c]] + change(before.get(from[c]), now.get(c));
                }
            }
            costs.add(cost);
            cameFrom.add(from);
        }
        int at = costs.isEmpty() ? -1 : least(costs.get(costs.size() - 1));
        for (int i = order.size() - 1; i >= 0; i--) {
            chosen.put(order.get(i), all.get(order.get(i)).get(at));
            at = cameFrom.get(i)[at];
        }
    }

    /** Which of the candidates before leads to {@code to} at the least cost. */
    private static int cheapest(List<Candidate> before, double[] costs, Candidate to) {
        double[] totals = new double[costs.length];
        for (int b = 0; b < costs.length; b++) {
            totals[b] = costs[b] + change(before.get(b), to);
        }
        return least(totals);
    }

    private static double change(Candidate from, Candidate to) {
        return from.take() == to.take() ? 0 : CHANGE_OF_TAKE;
    }

    private static int least(double[] costs) {
        int least = 0;
        for (int c = 1; c < costs.length; c++) {
            least = costs[c] < costs[least] ? c : least;
        }
        return least;
    }

    private double own(Candidate c, Map<String, String> forced) {
        Segment s = timeline.segments().get(c.occurrence().segment());
        String wanted = forced.get(s.id());
        double cost = wanted != null && !wanted.equals(takes.get(c.take()).id()) ? FORCED : 0;
        double missing = planned(c.occurrence().segment()) - c.occurrence().length();
        cost += isWhole(c) || s.open() ? 0 : SHORT_SECOND * missing;
        cost += isFluffed(c) ? FLUFFED : 0;
        cost += DOUBTED * Math.max(c.occurrence().startDoubt(), c.occurrence().endDoubt());
        cost += c.occurrence().broken() ? FLUFFED : 0;
        return cost + EARLIER * (takes.size() - 1 - c.take());
    }

    private boolean isWhole(Candidate c) {
        return c.occurrence().length() >= WHOLE * planned(c.occurrence().segment());
    }

    private boolean isFluffed(Candidate c) {
        return takes.get(c.take()).words().stream()
                .anyMatch(w -> w.start().seconds() >= c.occurrence().start()
                        && w.start().seconds() < c.occurrence().end()
                        && Fluffs.isFluff(w.text()));
    }

    /** The time that is used; null when the segment is missing. */
    Candidate chosen(int k) {
        return chosen.get(k);
    }

    /** The other times it was done. */
    List<Candidate> others(int k) {
        return all.getOrDefault(k, List.of()).stream()
                .filter(c -> c != chosen.get(k))
                .toList();
    }

    /** Why the chosen one of several was chosen; null where there was no choice. */
    String reason(int k) {
        List<Candidate> others = others(k);
        Candidate c = chosen.get(k);
        if (others.isEmpty()) {
            return null;
        }
        List<String> why = new ArrayList<>();
        if (others.stream().anyMatch(o -> !isWhole(o)) && isWhole(c)) {
            why.add(CoreText.of("match.take-choice.whole-where-another-is-cut"));
        }
        if (others.stream().anyMatch(this::isFluffed) && !isFluffed(c)) {
            why.add(CoreText.of("match.take-choice.without-the-fluff"));
        }
        boolean later = others.stream()
                .allMatch(o -> o.take() < c.take()
                        || o.take() == c.take()
                                && o.occurrence().start() < c.occurrence().start());
        if (later) {
            why.add(CoreText.of("match.take-choice.the-last-one-made"));
        }
        if (why.isEmpty()) {
            why.add(CoreText.of("match.take-choice.in-one-take-with-what"));
        }
        return String.format(Locale.ROOT, "%s: %s", takes.get(c.take()).id(), String.join(", ", why));
    }
}
