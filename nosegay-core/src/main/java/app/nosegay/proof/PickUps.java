package app.nosegay.proof;

import app.nosegay.cut.Cut;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.review.Misstatement;
import app.nosegay.script.Wordings;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * What to record again: intervals that are missing or wrong in the picture, and lines that were said wrong or not at all.
 *
 * @param again intervals to film once more, in order
 * @param lines what to say once more, each with its interval
 */
public record PickUps(List<Interval> again, List<Line> lines) {
    /** What a new picture mends, not a new sentence. */
    private static final Set<String> PICTURE = Set.of(
            "match.missing",
            "match.short",
            "match.short-set",
            "match.sides-uneven",
            "match.reps",
            "sound.clipping",
            "sound.quiet");

    public PickUps {
        again = List.copyOf(again);
        lines = List.copyOf(lines);
    }

    /**
     * One line to say again.
     *
     * @param say the exact words
     * @param at where they belong in the programme; null where that part is cut away
     * @param said what was said there instead; empty when nothing was
     */
    public record Line(Interval interval, String say, Time<Axis.Cut> at, String said) {}

    public boolean isEmpty() {
        return again.isEmpty() && lines.isEmpty();
    }

    public static PickUps of(
            Timeline timeline, Match match, Cut cut, List<Misstatement> misstatements, List<Finding> open) {
        Set<Interval> again = new LinkedHashSet<>();
        List<Line> lines = new ArrayList<>();
        for (Interval interval : timeline.intervals()) {
            for (Segment s : interval.segments()) {
                boolean missing = !match.takes().isEmpty()
                        && interval.kind() != SegmentKind.REST
                        && match.segment(s.id()).filter(Match.Placed::matched).isEmpty();
                if (missing) {
                    again.add(interval);
                }
                for (Finding f : open) {
                    if (s.id().equals(f.segment()) && PICTURE.contains(f.code())) {
                        again.add(interval);
                    }
                }
                for (Misstatement misstatement : misstatements) {
                    boolean stands = s.id().equals(misstatement.finding().segment())
                            && !misstatement.say().isEmpty()
                            && open.contains(misstatement.finding());
                    if (stands) {
                        lines.add(new Line(
                                interval,
                                misstatement.say(),
                                cut.toCut(
                                                misstatement.take(),
                                                misstatement.span().start())
                                        .orElse(null),
                                misstatement.said()));
                    }
                }
            }
        }
        return new PickUps(List.copyOf(again), lines);
    }

    /** The intervals to film again as a small run sheet of their own, with the heads of the whole one. */
    public String sheet(Timeline timeline) {
        StringBuilder sheet = new StringBuilder();
        sheet.append("title: ").append(timeline.sheet().header().title()).append(", pick-ups\n");
        sheet.append(
                "# Filmed with the same clock and brought in beside the other takes, these are laid in by themselves.\n");
        if (!lines.isEmpty()) {
            sheet.append("# To say again:\n");
            lines.forEach(l -> sheet.append("#   ")
                    .append(l.at() == null ? "" : l.at() + "  ")
                    .append(l.say())
                    .append('\n'));
        }
        for (Interval interval : again) {
            Segment s = interval.first();
            String seconds = Math.round(interval.length().seconds()) + "s";
            String name = s.move() == null ? s.block().name() : s.move();
            if (s.kind() == SegmentKind.TALK) {
                sheet.append("\ntalk ")
                        .append(Wordings.capital(name))
                        .append("  ")
                        .append(seconds)
                        .append('\n');
            } else {
                String kind = s.kind() == SegmentKind.WARMUP
                        ? "warm-up  each " + seconds
                        : s.kind() == SegmentKind.COOLDOWN
                                ? "cool-down  each " + seconds
                                : "circuit " + s.block().name() + "  work " + seconds + "  rest 10s";
                sheet.append('\n').append(kind).append('\n');
                sheet.append("  ").append(s.move());
                if (interval.segments().size() > 1) {
                    sheet.append("  sides halves");
                }
                sheet.append('\n');
            }
        }
        return sheet.toString();
    }
}
