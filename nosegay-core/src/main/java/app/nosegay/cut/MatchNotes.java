package app.nosegay.cut;

import app.nosegay.captions.CaptionText;
import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

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
 * @param cameras recordings of the same run by another camera
 * @param nobody what was taken for a person and is none
 */
public record MatchNotes(
        Map<String, String> choices,
        List<CutDecision> cuts,
        LengthRule rule,
        Map<String, LengthRule> rules,
        Map<String, List<Time<Axis.Take>>> taps,
        List<CaptionText.Repair> repairs,
        List<Mute> mutes,
        List<SecondCamera> cameras,
        List<Nobody> nobody) {
    public static final MatchNotes NONE = new MatchNotes(
            Map.of(), List.of(), LengthRule.RECORDING, Map.of(), Map.of(), List.of(), List.of(), List.of(), List.of());

    public MatchNotes {
        choices = Map.copyOf(choices);
        cuts = List.copyOf(cuts);
        rules = Map.copyOf(rules);
        taps = Map.copyOf(taps);
        repairs = List.copyOf(repairs);
        mutes = List.copyOf(mutes);
        cameras = List.copyOf(cameras);
        nobody = List.copyOf(nobody);
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

    /** A place in a picture of a take where somebody was seen who is no person: furniture, a shadow, a picture on the wall. */
    public record Nobody(String take, Bodies.Place place) {}

    public LengthRule rule(String segment) {
        return rules.getOrDefault(segment, rule);
    }

    /** With the first camera, or the first take, for a segment. */
    public MatchNotes withoutChoice(String segment) {
        Map<String, String> less = new HashMap<>(choices);
        less.remove(segment);
        return new MatchNotes(less, cuts, rule, rules, taps, repairs, mutes, cameras, nobody);
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
        return new MatchNotes(more, cuts, rule, rules, taps, repairs, mutes, cameras, nobody);
    }

    /** With {@code decision} in place of any about the same stretch. */
    public MatchNotes withCut(CutDecision decision) {
        List<CutDecision> more = new ArrayList<>(cuts.stream()
                .filter(c -> !(c.take().equals(decision.take()) && c.span().overlaps(decision.span())))
                .toList());
        more.add(decision);
        return new MatchNotes(choices, more, rule, rules, taps, repairs, mutes, cameras, nobody);
    }

    public MatchNotes withRule(LengthRule all) {
        return new MatchNotes(choices, cuts, all, rules, taps, repairs, mutes, cameras, nobody);
    }

    public MatchNotes withRule(String segment, LengthRule one) {
        Map<String, LengthRule> more = new HashMap<>(rules);
        more.put(segment, one);
        return new MatchNotes(choices, cuts, rule, more, taps, repairs, mutes, cameras, nobody);
    }

    /** With a segment following the whole workout's rule again. */
    public MatchNotes withoutRule(String segment) {
        Map<String, LengthRule> less = new HashMap<>(rules);
        less.remove(segment);
        return new MatchNotes(choices, cuts, rule, less, taps, repairs, mutes, cameras, nobody);
    }

    public MatchNotes withTaps(String segment, List<Time<Axis.Take>> times) {
        Map<String, List<Time<Axis.Take>>> more = new HashMap<>(taps);
        if (times.isEmpty()) {
            more.remove(segment);
        } else {
            more.put(segment, List.copyOf(times));
        }
        return new MatchNotes(choices, cuts, rule, rules, more, repairs, mutes, cameras, nobody);
    }

    public MatchNotes withRepair(CaptionText.Repair repair) {
        List<CaptionText.Repair> more = new ArrayList<>(repairs.stream()
                .filter(r -> !(r.take().equals(repair.take())
                        && r.time().equals(repair.time())
                        && r.from().equals(repair.from())))
                .toList());
        more.add(repair);
        return new MatchNotes(choices, cuts, rule, rules, taps, more, mutes, cameras, nobody);
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
                mutes,
                cameras,
                nobody);
    }

    private MatchNotes mutes(List<Mute> other) {
        return new MatchNotes(choices, cuts, rule, rules, taps, repairs, other, cameras, nobody);
    }

    private MatchNotes cameras(List<SecondCamera> other) {
        return new MatchNotes(choices, cuts, rule, rules, taps, repairs, mutes, other, nobody);
    }

    /** With {@code more} not to be heard. */
    public MatchNotes withMutes(List<Mute> more) {
        List<Mute> all = new ArrayList<>(mutes);
        more.stream().filter(m -> !all.contains(m)).forEach(all::add);
        return mutes(all);
    }

    /** With what was seen at a place as no person. */
    public MatchNotes withNobody(Nobody one) {
        List<Nobody> more = new ArrayList<>(nobody);
        more.add(one);
        return nobody(more);
    }

    /** With everybody who was seen as a person again. */
    public MatchNotes withEverybody() {
        return nobody(List.of());
    }

    private MatchNotes nobody(List<Nobody> other) {
        return new MatchNotes(choices, cuts, rule, rules, taps, repairs, mutes, cameras, other);
    }

    /** The takes without what was seen in them and is no person; the same takes where nothing is. */
    public List<TakeEvidence> seen(List<TakeEvidence> takes) {
        return takes.stream().map(this::seen).toList();
    }

    /** A question to a take: without what was seen at these places. */
    private record Without(List<Bodies.Place> places) {}

    private TakeEvidence seen(TakeEvidence take) {
        List<Bodies.Place> places = nobody.stream()
                .filter(n -> n.take().equals(take.id()))
                .map(Nobody::place)
                .toList();
        return places.isEmpty()
                ? take
                : take.derived()
                        .get(
                                1,
                                new Without(places),
                                () -> take.withBodies(take.bodies().without(places)));
    }

    /** With a recording as a second camera, in place of what was known of it. */
    public MatchNotes withCamera(SecondCamera camera) {
        List<SecondCamera> more = new ArrayList<>(withoutCamera(camera.take()).cameras());
        more.add(camera);
        return cameras(more);
    }

    /** With a recording as a take of its own. */
    public MatchNotes withoutCamera(String take) {
        return cameras(cameras.stream().filter(c -> !c.take().equals(take)).toList());
    }

    /** Without cameras of which a recording is not among {@code takes}: one that was taken out of the workout. */
    public MatchNotes among(Set<String> takes) {
        return cameras(cameras.stream()
                .filter(c -> takes.contains(c.take()) && takes.contains(c.of()))
                .toList());
    }

    /** Whether a recording is a second camera's, in which nothing is matched. */
    public boolean isSecondCamera(String take) {
        return cameras.stream().anyMatch(c -> c.take().equals(take));
    }

    /** The takes chosen for segments: the choices that are no cameras. */
    public Map<String, String> takeChoices() {
        Map<String, String> takes = new HashMap<>(choices);
        takes.values().removeIf(this::isSecondCamera);
        return takes;
    }

    /** With everything to be heard that is said in a stretch of a take. */
    public MatchNotes withoutMutes(String take, Span<Axis.Take> span) {
        return mutes(mutes.stream()
                .filter(m -> !m.take().equals(take) || !m.span().overlaps(span))
                .toList());
    }

    /** With segment ids replaced where lines were renamed. */
    public MatchNotes renamed(Map<String, String> ids) {
        return new MatchNotes(
                moved(choices, ids), cuts, rule, moved(rules, ids), moved(taps, ids), repairs, mutes, cameras, nobody);
    }

    private static <V> Map<String, V> moved(Map<String, V> by, Map<String, String> ids) {
        Map<String, V> moved = new LinkedHashMap<>();
        by.forEach((id, v) -> moved.put(ids.getOrDefault(id, id), v));
        return moved;
    }
}
