package app.nosegay.review;

import app.nosegay.cut.CutProposal;
import app.nosegay.cut.LengthRule;
import app.nosegay.cut.MatchNotes;
import app.nosegay.cut.SplitSegment;
import app.nosegay.match.Match;
import app.nosegay.match.features.PlannedMovement;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;

/** What was done against what was promised: lengths, late starts, sides and repetitions. */
final class DoneCheck {
    /** A set may be this much shorter or longer than promised before anybody notices: the larger of seconds and share. */
    private static final double LENGTH_SECONDS = 1.5;

    private static final double LENGTH_SHARE = 0.06;
    /** The first movement may be this late. */
    private static final double LATE = 1.0;
    /** The last movement may be this early, in a set that is not counted. */
    private static final double EARLY = 2.0;
    /** Demonstrations are planned in steps of this. */
    private static final double DEMO_SECONDS = 5;
    /** Longer or shorter by this share is no accident. */
    private static final double DEMO_SHARE = 0.2;
    /** Motion alone is off by one rep now and then. */
    private static final int REPS_SURE = 1;

    private final Timeline timeline;
    private final Match match;
    private final Map<String, Segment> byId = new HashMap<>();
    private final MatchFindings found = new MatchFindings();

    private DoneCheck(Timeline timeline, Match match) {
        this.timeline = timeline;
        this.match = match;
        timeline.segments().forEach(s -> byId.put(s.id(), s));
    }

    static List<Finding> findings(Timeline timeline, Match match, MatchNotes notes) {
        DoneCheck check = new DoneCheck(timeline, match);
        check.lengths(notes);
        check.sides();
        check.reps();
        check.demonstrations();
        return check.found.list();
    }

    private void lengths(MatchNotes notes) {
        List<CutProposal> out =
                CutProposal.of(match, notes).stream().filter(CutProposal::cut).toList();
        for (Interval interval : timeline.intervals()) {
            List<Match.Placed> parts = placed(interval);
            boolean whole = parts.size() == interval.segments().size();
            Segment s = interval.first();
            boolean untimed = s.open() || s.kind() == SegmentKind.TALK || s.kind() == SegmentKind.DEMO;
            if (!whole || untimed) {
                continue;
            }
            if (s.isCounted()) {
                // Repetitions are promised, not seconds.
                performed(interval, parts);
                continue;
            }
            boolean minute = s.kind() == SegmentKind.REST && s.block().kind() == BlockKind.EVERY_MINUTE;
            if (minute) {
                // What is left of a minute is rest: the minute is promised.
                parts = minute(s);
            }
            if (!parts.isEmpty() && notes.rule(s.id()) != LengthRule.CLOCK) {
                String name = minute
                        ? CoreText.of(
                                "review.done-check.minute-of",
                                s.round(),
                                s.block().name())
                        : MatchFindings.name(s);
                length(s, name, parts, out);
            }
            performed(interval, placed(interval));
        }
    }

    /** Tells a length that is not the one promised. */
    private void length(Segment s, String name, List<Match.Placed> parts, List<CutProposal> out) {
        double recorded = parts.stream()
                .mapToDouble(p -> p.end().since(p.start()).seconds() - takenOut(out, p))
                .sum();
        double planned = parts.stream().mapToDouble(p -> p.planned().seconds()).sum();
        double off = recorded - planned;
        if (Math.abs(off) <= Math.max(LENGTH_SECONDS, LENGTH_SHARE * planned)) {
            return;
        }
        double doubt = parts.stream().mapToDouble(Match.Placed::doubt).max().orElse(0);
        Match.Placed last = parts.get(parts.size() - 1);
        boolean work = s.kind().isMoving();
        Optional<SplitSegment> cut = SplitSegment.of(match, last);
        String because = cut.map(c -> CoreText.of("review.done-check.ends-in-it-and-it", c.first(), c.second()))
                .orElse("");
        String mend = cut.map(c -> CoreText.of("review.done-check.join-and-page-takes-beside", c.first(), c.second()))
                .orElse(
                        work
                                ? CoreText.of("review.done-check.trust-the-clock-for-it")
                                : off < 0
                                        ? CoreText.of("review.done-check.extend-it-with-a-card")
                                        : CoreText.of("review.done-check.cut-what-is-too-long"));
        found.add(
                off < 0 ? "match.short" : "match.long",
                work && doubt < 0.3 ? Severity.FIX : Severity.LOOK,
                s,
                CoreText.of(
                        "match.short.message",
                        name,
                        MatchFindings.seconds(recorded),
                        MatchFindings.seconds(Math.abs(off)),
                        off < 0,
                        MatchFindings.seconds(planned),
                        because),
                mend,
                Finding.Moment.at(last.take(), last.end()).due(last.end().minus(Length.ofSeconds(off))));
    }

    /** The whole minute a rest belongs to; nothing where not all of it was found. */
    private List<Match.Placed> minute(Segment rest) {
        List<Match.Placed> minute = timeline.segments().stream()
                .filter(s -> s.block().equals(rest.block()) && Objects.equals(s.round(), rest.round()))
                .flatMap(s -> match.segment(s.id()).stream())
                .toList();
        return minute.stream().allMatch(Match.Placed::matched) ? minute : List.of();
    }

    /** How much of a segment is cut away, in seconds. */
    private static double takenOut(List<CutProposal> out, Match.Placed p) {
        return out.stream()
                .filter(c -> c.take().equals(p.take())
                        && c.span().start().isBefore(p.end())
                        && p.start().isBefore(c.span().end()))
                .mapToDouble(c -> Time.min(c.span().end(), p.end())
                        .since(Time.max(c.span().start(), p.start()))
                        .seconds())
                .sum();
    }

    private void performed(Interval interval, List<Match.Placed> parts) {
        Segment s = interval.first();
        Match.Placed first = parts.get(0);
        if (!s.kind().isMoving() || first.doubt() > 0.5) {
            return;
        }
        double late = first.performedStart().since(first.start()).seconds();
        if (late > LATE && s.kind() == SegmentKind.WORK) {
            found.add(
                    "match.late-start",
                    Severity.LOOK,
                    s,
                    CoreText.of("match.late-start.message", MatchFindings.name(s), MatchFindings.seconds(late)),
                    CoreText.of("match.late-start.fix"),
                    Finding.Moment.at(first.take(), first.performedStart()).due(first.start()));
        }
        for (int i = 0; i < parts.size(); i++) {
            Segment part = interval.segments().get(i);
            Match.Placed p = parts.get(i);
            double early = p.end().since(p.performedEnd()).seconds();
            boolean moves = part.kind() == SegmentKind.WORK || part.kind() == SegmentKind.WARMUP;
            boolean timed = moves && part.reps() == null && !PlannedMovement.isHeld(part.move());
            if (timed && early > Math.max(EARLY, oneRep(part.id()))) {
                found.add(
                        "match.short-set",
                        Severity.LOOK,
                        part,
                        CoreText.of("match.short-set.message", MatchFindings.name(part), MatchFindings.seconds(early)),
                        CoreText.of("match.short-set.fix"),
                        Finding.Moment.at(p.take(), p.performedEnd()).due(p.end()));
            }
        }
    }

    /** How long a repetition takes, in seconds: nobody begins one that cannot be finished. 0 where too few were found. */
    private double oneRep(String segment) {
        List<Time<Axis.Take>> reps = match.reps().getOrDefault(segment, List.of());
        return reps.size() < 3
                ? 0
                : reps.get(reps.size() - 1).since(reps.get(0)).seconds() / (reps.size() - 1);
    }

    private List<Match.Placed> placed(Interval interval) {
        return interval.segments().stream()
                .flatMap(s -> match.segment(s.id()).stream())
                .filter(Match.Placed::matched)
                .toList();
    }

    /** Left against right of each move in seconds and reps, per round or set. */
    private void sides() {
        Map<String, Map<Side, double[]>> sums = new LinkedHashMap<>();
        Map<String, Segment> first = new HashMap<>();
        for (Match.Placed p : match.segments()) {
            Segment s = byId.get(p.id());
            boolean sided = s.kind() == SegmentKind.WORK
                    && (s.side() == Side.LEFT || s.side() == Side.RIGHT)
                    && s.way() != SideWay.ALTERNATE;
            if (!sided || !p.matched() || s.way() == SideWay.FREE) {
                continue;
            }
            String key = s.block().slug() + "/" + s.move();
            first.putIfAbsent(key, s);
            double[] sum =
                    sums.computeIfAbsent(key, k -> new HashMap<>()).computeIfAbsent(s.side(), k -> new double[2]);
            sum[0] += p.end().since(p.start()).seconds();
            sum[1] += match.reps().getOrDefault(p.id(), List.of()).size();
        }
        sums.forEach((key, by) -> {
            double[] left = by.get(Side.LEFT);
            double[] right = by.get(Side.RIGHT);
            if (left == null || right == null) {
                return;
            }
            Segment s = first.get(key);
            double off = Math.abs(left[0] - right[0]);
            boolean uneven = off > Math.max(LENGTH_SECONDS, LENGTH_SHARE * Math.max(left[0], right[0]));
            boolean reps = s.reps() != null && Math.abs(left[1] - right[1]) > REPS_SURE;
            if (uneven || reps) {
                found.add(
                        "match.sides-uneven",
                        Severity.FIX,
                        s,
                        CoreText.of("match.sides-uneven.message", s.move(), left[0], left[1], right[0], right[1]),
                        CoreText.of("match.sides-uneven.fix"));
            }
        });
    }

    private void reps() {
        Map<String, List<Segment>> rounds = new LinkedHashMap<>();
        for (Match.Placed p : match.segments()) {
            Segment s = byId.get(p.id());
            List<Time<Axis.Take>> seen = match.reps().get(p.id());
            if (s.kind() != SegmentKind.WORK || seen == null || !p.matched()) {
                continue;
            }
            if (s.reps() != null && Math.abs(seen.size() - s.reps()) > REPS_SURE) {
                found.add(
                        "match.reps",
                        Severity.FIX,
                        s,
                        CoreText.of("match.reps.message", MatchFindings.name(s), seen.size(), s.reps()),
                        CoreText.of("match.reps.fix"));
            }
            if (s.reps() != null) {
                rounds.computeIfAbsent(s.block().slug() + "/" + s.move() + "/" + s.side(), k -> new ArrayList<>())
                        .add(s);
            }
        }
        rounds.values().forEach(list -> {
            Segment first = list.get(0);
            for (Segment s : list.subList(1, list.size())) {
                int a = match.reps().get(first.id()).size();
                int b = match.reps().get(s.id()).size();
                if (Objects.equals(first.reps(), s.reps()) && Math.abs(a - b) > REPS_SURE) {
                    found.add(
                            "match.reps-rounds",
                            Severity.LOOK,
                            s,
                            CoreText.of("match.reps-rounds.message", MatchFindings.name(s), b, a),
                            null);
                }
            }
        });
    }

    /** What demonstrations take in the takes, where that is not what is planned: the plan can learn it. */
    private void demonstrations() {
        Map<RunSheet.Block, List<Segment>> byBlock = timeline.segments().stream()
                .filter(s -> s.kind() == SegmentKind.DEMO)
                .filter(s -> match.segment(s.id()).filter(Match.Placed::matched).isPresent())
                .collect(Collectors.groupingBy(Segment::block, LinkedHashMap::new, Collectors.toList()));
        byBlock.forEach((block, demos) -> {
            double planned = demos.stream()
                    .mapToDouble(s -> s.duration().seconds())
                    .average()
                    .orElse(0);
            double taken = demos.stream()
                    .map(s -> match.segment(s.id()).orElseThrow())
                    .mapToDouble(p -> p.end().since(p.start()).seconds())
                    .average()
                    .orElse(0);
            boolean own = block.moves().stream().anyMatch(m -> m.attributes().has(Attribute.DEMO_TIME));
            if (own || Math.abs(taken - planned) < Math.max(DEMO_SECONDS, DEMO_SHARE * planned)) {
                return;
            }
            String time = Length.ofSeconds(Math.max(DEMO_SECONDS, Math.round(taken / DEMO_SECONDS) * DEMO_SECONDS))
                    .clock();
            String line = SheetText.line(timeline.sheet().text(), block.line());
            String fix = CoreText.of("match.demo-length.fix", time, block.name());
            found.all(List.of(Finding.at(
                            "match.demo-length",
                            Severity.NOTE,
                            demos.get(0),
                            CoreText.of("match.demo-length.message", block.name(), taken, planned))
                    .withFix(
                            fix,
                            SheetEdit.replace(fix, block.line(), SheetText.with(line, Attribute.DEMO_TIME, time)))));
        });
    }
}
