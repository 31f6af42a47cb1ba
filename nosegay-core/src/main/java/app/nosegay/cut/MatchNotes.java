package app.nosegay.cut;

import app.nosegay.captions.CaptionText;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What was decided about the match by hand, besides pins.
 *
 * @param choices the take to use, by segment id
 * @param cuts proposals accepted, changed or refused
 * @param rule what is done where lengths differ, unless decided otherwise
 * @param rules the same for single segments, by id
 * @param taps rep moments tapped along with the picture, by segment id
 * @param repairs caption corrections accepted or refused
 * @param mutes what was said and is not to be heard
 */
public record MatchNotes(
        Map<String, String> choices,
        List<CutDecision> cuts,
        LengthRule rule,
        Map<String, LengthRule> rules,
        Map<String, List<Time<Axis.Take>>> taps,
        List<CaptionText.Repair> repairs,
        List<Mute> mutes) {
    public static final MatchNotes NONE =
            new MatchNotes(Map.of(), List.of(), LengthRule.RECORDING, Map.of(), Map.of(), List.of(), List.of());

    public MatchNotes {
        choices = Map.copyOf(choices);
        cuts = List.copyOf(cuts);
        rules = Map.copyOf(rules);
        taps = Map.copyOf(taps);
        repairs = List.copyOf(repairs);
        mutes = List.copyOf(mutes);
    }

    /**
     * A decision about a stretch of a take.
     *
     * @param span what is cut, or left in
     * @param cut whether it is cut
     */
    public record CutDecision(String take, Span<Axis.Take> span, boolean cut) {}

    /** A stretch of a take in which nothing of its sound is to be heard. */
    public record Mute(String take, Span<Axis.Take> span) {}

    public LengthRule rule(String segment) {
        return rules.getOrDefault(segment, rule);
    }

    /** The decision about a stretch, by overlap; empty when none was taken. */
    public Optional<CutDecision> decision(String take, Span<Axis.Take> span) {
        return cuts.stream()
                .filter(c -> c.take().equals(take) && c.span().overlaps(span))
                .findFirst();
    }

    public MatchNotes withChoice(String segment, String take) {
        Map<String, String> more = new HashMap<>(choices);
        more.put(segment, take);
        return new MatchNotes(more, cuts, rule, rules, taps, repairs, mutes);
    }

    /** With {@code decision} in place of any about the same stretch. */
    public MatchNotes withCut(CutDecision decision) {
        List<CutDecision> more = new ArrayList<>(cuts.stream()
                .filter(c -> !(c.take().equals(decision.take()) && c.span().overlaps(decision.span())))
                .toList());
        more.add(decision);
        return new MatchNotes(choices, more, rule, rules, taps, repairs, mutes);
    }

    public MatchNotes withRule(LengthRule all) {
        return new MatchNotes(choices, cuts, all, rules, taps, repairs, mutes);
    }

    public MatchNotes withRule(String segment, LengthRule one) {
        Map<String, LengthRule> more = new HashMap<>(rules);
        more.put(segment, one);
        return new MatchNotes(choices, cuts, rule, more, taps, repairs, mutes);
    }

    /** With a segment following the whole workout's rule again. */
    public MatchNotes withoutRule(String segment) {
        Map<String, LengthRule> less = new HashMap<>(rules);
        less.remove(segment);
        return new MatchNotes(choices, cuts, rule, less, taps, repairs, mutes);
    }

    public MatchNotes withTaps(String segment, List<Time<Axis.Take>> times) {
        Map<String, List<Time<Axis.Take>>> more = new HashMap<>(taps);
        if (times.isEmpty()) {
            more.remove(segment);
        } else {
            more.put(segment, List.copyOf(times));
        }
        return new MatchNotes(choices, cuts, rule, rules, more, repairs, mutes);
    }

    public MatchNotes withRepair(CaptionText.Repair repair) {
        List<CaptionText.Repair> more = new ArrayList<>(repairs.stream()
                .filter(r -> !(r.take().equals(repair.take())
                        && r.time().equals(repair.time())
                        && r.from().equals(repair.from())))
                .toList());
        more.add(repair);
        return new MatchNotes(choices, cuts, rule, rules, taps, more, mutes);
    }

    /** Without any decision about one caption. */
    public MatchNotes withoutRepairs(String take, Time<Axis.Take> time) {
        return new MatchNotes(
                choices,
                cuts,
                rule,
                rules,
                taps,
                repairs.stream()
                        .filter(r -> !r.take().equals(take) || !r.time().equals(time))
                        .toList(),
                mutes);
    }

    /** With {@code more} not to be heard. */
    public MatchNotes withMutes(List<Mute> more) {
        List<Mute> all = new ArrayList<>(mutes);
        more.stream().filter(m -> !all.contains(m)).forEach(all::add);
        return new MatchNotes(choices, cuts, rule, rules, taps, repairs, all);
    }

    /** With everything to be heard that is said in a stretch of a take. */
    public MatchNotes withoutMutes(String take, Span<Axis.Take> span) {
        return new MatchNotes(
                choices,
                cuts,
                rule,
                rules,
                taps,
                repairs,
                mutes.stream()
                        .filter(m -> !m.take().equals(take) || !m.span().overlaps(span))
                        .toList());
    }

    /** With segment ids replaced where lines were renamed. */
    public MatchNotes renamed(Map<String, String> ids) {
        return new MatchNotes(moved(choices, ids), cuts, rule, moved(rules, ids), moved(taps, ids), repairs, mutes);
    }

    private static <V> Map<String, V> moved(Map<String, V> by, Map<String, String> ids) {
        Map<String, V> moved = new LinkedHashMap<>();
        by.forEach((id, v) -> moved.put(ids.getOrDefault(id, id), v));
        return moved;
    }
}
