package app.nosegay.proof;

import app.nosegay.cut.Cut;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.review.Misstatement;
import app.nosegay.review.said.ScriptLineMatch;
import app.nosegay.script.Wordings;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/**
 * What to record again: intervals that are missing or wrong in the picture, and lines that were said wrong, too late or not at all.
 *
 * @param again intervals to film once more, in order
 * @param lines what to say once more, each with its interval, in order
 */
public record PickUps(List<Again> again, List<Line> lines) {
    /** What a new picture mends, not a new sentence. */
    private static final Set<String> PICTURE = Set.of(
            "match.missing",
            "match.short",
            "match.short-set",
            "match.sides-uneven",
            "match.side-shown",
            "match.reps",
            "sound.clipping",
            "sound.quiet");

    /** The share of an interval in which an option has to come first (PRODUCT.md, cue plan). */
    private static final double OPTION_BY = 1 / 3.0;

    public PickUps {
        again = List.copyOf(again);
        lines = List.copyOf(lines);
    }

    /**
     * An interval to film again.
     *
     * @param why what is wrong with it, in a sentence
     */
    public record Again(Interval interval, String why) {}

    /**
     * One line to say again.
     *
     * @param say the exact words
     * @param at where they belong in the programme; null where that part is cut away
     * @param said what was said there instead; empty when nothing was
     * @param late by how much the line itself was said too late; zero when it was not
     */
    public record Line(Interval interval, String say, Time<Axis.Cut> at, String said, Length late) {}

    public boolean isEmpty() {
        return again.isEmpty() && lines.isEmpty();
    }

    /**
     * @param said the scripted lines and where they were said
     * @param open the findings that are not waived
     */
    public static PickUps of(
            Timeline timeline,
            Match match,
            Cut cut,
            List<Misstatement> misstatements,
            List<ScriptLineMatch> said,
            List<Finding> open) {
        List<Again> again = new ArrayList<>();
        List<Line> lines = new ArrayList<>();
        List<ScriptLineMatch> relied = ScriptLineMatch.reliedOn(said);
        for (Interval interval : timeline.intervals()) {
            String why = whyAgain(interval, match, open);
            if (!why.isEmpty()) {
                again.add(new Again(interval, why));
            }
            List<Line> here = new ArrayList<>();
            for (Misstatement m : misstatements) {
                if (isOf(interval, m.finding()) && !m.say().isEmpty() && open.contains(m.finding())) {
                    here.add(new Line(
                            interval,
                            m.say(),
                            cut.toCut(m.take(), m.span().start()).orElse(null),
                            m.said(),
                            Length.ZERO));
                }
            }
            relied.stream()
                    .filter(l -> isOf(interval, l.line().segment()))
                    .forEach(l -> missed(interval, timeline, match, cut, l, here));
            here.sort(Comparator.comparing(Line::at, Comparator.nullsLast(Comparator.naturalOrder())));
            lines.addAll(here);
        }
        return new PickUps(again, lines);
    }

    private static boolean isOf(Interval interval, Finding finding) {
        return finding != null && isOf(interval, finding.segment());
    }

    private static boolean isOf(Interval interval, String segment) {
        return interval.segments().stream().anyMatch(s -> s.id().equals(segment));
    }

    /** What is wrong with the picture of an interval; empty for nothing. */
    private static String whyAgain(Interval interval, Match match, List<Finding> open) {
        String found = open.stream()
                .filter(f -> PICTURE.contains(f.code()) && isOf(interval, f))
                .findFirst()
                .map(Finding::message)
                .orElse("");
        boolean missing = found.isEmpty()
                && !match.takes().isEmpty()
                && interval.kind() != SegmentKind.REST
                && interval.segments().stream().anyMatch(s -> match.segment(s.id())
                        .filter(Match.Placed::matched)
                        .isEmpty());
        return missing ? CoreText.of("proof.pick-ups.in-no-take") : found;
    }

    /** A line that was not said, or an option that came too late. */
    private static void missed(
            Interval interval, Timeline timeline, Match match, Cut cut, ScriptLineMatch line, List<Line> lines) {
        Time<Axis.Take> due = line.due(timeline, match);
        Length late = Length.ZERO;
        if (line.isSaid()) {
            boolean counts = line.line().kind().isOption() && interval.kind().isMoving();
            Time<Axis.Take> begins = match.segment(interval.first().id())
                    .map(Match.Placed::start)
                    .orElse(due);
            Time<Axis.Take> latest = begins.plus(interval.length().times(OPTION_BY));
            late = counts ? line.time().since(Time.max(latest, due)) : Length.ZERO;
            if (late.compareTo(line.line().spoken()) <= 0) {
                return;
            }
        }
        lines.add(new Line(
                interval, line.line().text(), cut.toCut(line.take(), due).orElse(null), "", late));
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
        for (Again wanted : again) {
            Interval interval = wanted.interval();
            Segment s = interval.first();
            String seconds = Math.round(interval.length().seconds()) + "s";
            String name = s.move() == null ? s.block().name() : s.move();
            sheet.append("\n# ").append(wanted.why());
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
