package app.nosegay.plan.edit;

import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.RestLine;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.time.Length;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/** The edit of the sheet that gives a segment of the timeline another length: the line that says its length is rewritten. */
public final class LengthEdit {
    private LengthEdit() {}

    /** The edit; empty where no line says the length (reps, counts, what is left of a minute). */
    public static Optional<SheetEdit> of(Timeline timeline, Segment segment, Length length) {
        String text = timeline.sheet().text();
        String clock = length.clock();
        Block block = segment.block();
        boolean ownBlock = block.kind() == BlockKind.TALK || block.kind() == BlockKind.REST;
        if (ownBlock) {
            return Optional.of(bare(text, block.line(), segment.kind().word(), segment.duration(), clock));
        }
        if (segment.kind() == SegmentKind.REST && segment.line() == null) {
            return block.items().stream()
                    .filter(RestLine.class::isInstance)
                    .map(RestLine.class::cast)
                    .filter(r -> segment.id().endsWith("/" + r.slug()))
                    .findFirst()
                    .map(r -> bare(text, r.line(), "rest", segment.duration(), clock));
        }
        return attribute(timeline, segment).map(a -> {
            boolean own = segment.line().attributes().has(a) && a != Attribute.ROUND_REST;
            boolean alone = a == Attribute.DEMO_TIME || a == Attribute.SWITCH;
            int line = own || alone ? segment.line().line() : block.line();
            String name = a.word() + " " + segmentLength(timeline, segment).clock() + " → " + clock;
            return SheetEdit.replace(name, line, SheetText.with(SheetText.line(text, line), a, clock));
        });
    }

    private static SheetEdit bare(String text, int line, String word, Length now, String clock) {
        return SheetEdit.replace(
                word + " " + now.clock() + " → " + clock,
                line,
                SheetText.withLength(SheetText.line(text, line), clock));
    }

    /** The length the sheet speaks of: of both halves together where sides share an interval; a hold is each side's own. */
    public static Length segmentLength(Timeline timeline, Segment segment) {
        boolean shared = segment.kind().isMoving() && !segment.id().equals(segment.interval()) && !isHold(segment);
        return shared
                ? timeline.segments().stream()
                        .filter(s -> s.interval().equals(segment.interval()))
                        .map(Segment::duration)
                        .reduce(Length.ZERO, Length::plus)
                : segment.duration();
    }

    private static boolean isHold(Segment s) {
        return s.line() != null
                && ofWork(s, s.line().attributes().over(s.block().attributes()))
                        .filter(Attribute.HOLD::equals)
                        .isPresent();
    }

    private static Optional<Attribute> attribute(Timeline timeline, Segment s) {
        Attributes merged = s.line().attributes().over(s.block().attributes());
        if (s.block().kind() == BlockKind.EVERY_MINUTE && s.kind() == SegmentKind.REST) {
            return Optional.empty();
        }
        return switch (s.kind()) {
            case REST -> Optional.of(isRoundRest(timeline, s) ? Attribute.ROUND_REST : Attribute.REST);
            case DEMO -> Optional.of(Attribute.DEMO_TIME);
            case SWITCH -> Optional.of(Attribute.SWITCH);
            case WORK, WARMUP, COOLDOWN -> ofWork(s, merged);
            default -> Optional.empty();
        };
    }

    /** The move's own clock before its block's; none where reps or counts end the set. */
    private static Optional<Attribute> ofWork(Segment s, Attributes merged) {
        Attributes own = s.line().attributes();
        Optional<Attribute> ownClock = Stream.of(Attribute.WORK, Attribute.EACH, Attribute.HOLD)
                .filter(own::has)
                .findFirst();
        boolean sets = s.block().kind() == BlockKind.SUPERSET || s.block().kind() == BlockKind.STRAIGHT_SETS;
        boolean ended = own.counts().isPresent()
                || own.reps().isPresent()
                || (sets && merged.reps().isPresent());
        if (ownClock.isPresent() || ended || merged.counts().isPresent()) {
            return ownClock;
        }
        return Stream.of(Attribute.WORK, Attribute.EACH, Attribute.HOLD, Attribute.FOR)
                .filter(merged::has)
                .findFirst();
    }

    private static boolean isRoundRest(Timeline timeline, Segment s) {
        int at = timeline.segments().indexOf(s);
        Segment next = at + 1 < timeline.segments().size() ? timeline.segments().get(at + 1) : null;
        return s.block().attributes().has(Attribute.ROUND_REST)
                && (next == null || next.block() != s.block() || !Objects.equals(next.round(), s.round()));
    }
}
