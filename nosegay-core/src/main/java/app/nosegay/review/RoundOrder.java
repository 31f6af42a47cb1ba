package app.nosegay.review;

import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Rounds of one block that go through the moves in another order than the plan, though an earlier round had it right. */
final class RoundOrder {
    private RoundOrder() {}

    static List<Finding> findings(Timeline timeline, Match match) {
        Map<String, Map<Integer, List<Segment>>> blocks = new LinkedHashMap<>();
        for (Segment s : timeline.segments()) {
            Integer round = s.round() != null ? s.round() : s.set();
            if (s.kind() == SegmentKind.WORK && round != null) {
                blocks.computeIfAbsent(s.block().slug(), b -> new LinkedHashMap<>())
                        .computeIfAbsent(round, r -> new ArrayList<>())
                        .add(s);
            }
        }
        List<Finding> findings = new ArrayList<>();
        for (Map<Integer, List<Segment>> rounds : blocks.values()) {
            boolean hadIt = false;
            for (Map.Entry<Integer, List<Segment>> round : rounds.entrySet()) {
                List<String> planned = moves(round.getValue());
                List<String> done = moves(inDoneOrder(round.getValue(), match));
                boolean right = done.equals(planned);
                if (hadIt && !right && planned.size() > 2) {
                    findings.add(Finding.at(
                                    "match.sequence-forgotten",
                                    Severity.LOOK,
                                    round.getValue().get(0),
                                    CoreText.of(
                                            "match.sequence-forgotten.message",
                                            round.getKey(),
                                            done.isEmpty() ? "missing" : String.join(", ", done),
                                            String.join(", ", planned)))
                            .withFix(CoreText.of("match.sequence-forgotten.fix")));
                }
                hadIt |= right;
            }
        }
        return findings;
    }

    /** The segments of one round that were found in a single take, as they follow each other there. */
    private static List<Segment> inDoneOrder(List<Segment> round, Match match) {
        Map<Segment, Match.Placed> found = new LinkedHashMap<>();
        round.forEach(s -> match.segment(s.id()).filter(Match.Placed::matched).ifPresent(p -> found.put(s, p)));
        boolean oneTake =
                found.values().stream().map(Match.Placed::take).distinct().count() <= 1;
        Comparator<Map.Entry<Segment, Match.Placed>> byStart =
                Comparator.comparing(e -> e.getValue().start());
        return found.entrySet().stream()
                .sorted(oneTake ? byStart : (a, b) -> 0)
                .map(Map.Entry::getKey)
                .toList();
    }

    private static List<String> moves(List<Segment> segments) {
        List<String> moves = segments.stream().map(Segment::move).collect(Collectors.toCollection(ArrayList::new));
        // Two sides of one move are one entry.
        for (int i = moves.size() - 1; i > 0; i--) {
            if (moves.get(i).equals(moves.get(i - 1))) {
                moves.remove(i);
            }
        }
        return moves;
    }
}
