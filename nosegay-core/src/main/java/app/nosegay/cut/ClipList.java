package app.nosegay.cut;

import app.nosegay.match.Match;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Gathers clips, joining those that follow each other in one take and leaving out what is cut. No moment of a take is taken twice,
 * whatever order the segments were done in and however pins contradict each other.
 */
final class ClipList {
    /** Less than this is not worth a cut of its own. */
    static final Length SLIVER = Length.ofMillis(120);

    private final List<CutProposal> out;
    private final List<Match.Placed> segments;
    private final List<Cut.Clip> clips = new ArrayList<>();

    ClipList(List<CutProposal> out, List<Match.Placed> segments) {
        this.out = out;
        this.segments = segments;
    }

    /** Adds what lies between segments; where another segment was done meanwhile, that has its own place. */
    void between(String take, Time<Axis.Take> from, Time<Axis.Take> to) {
        List<Span<Axis.Take>> taken = segments.stream()
                .filter(s -> s.take().equals(take))
                .map(s -> new Span<>(s.start(), Time.max(s.start(), s.end())))
                .toList();
        without(from, to, taken).forEach(free -> add(take, free.start(), free.end()));
    }

    /** What of a stretch is in none of {@code taken}. */
    private static List<Span<Axis.Take>> without(
            Time<Axis.Take> from, Time<Axis.Take> to, List<Span<Axis.Take>> taken) {
        List<Span<Axis.Take>> free = new ArrayList<>();
        Time<Axis.Take> at = from;
        List<Span<Axis.Take>> inOrder =
                taken.stream().sorted(Comparator.comparing(Span::start)).toList();
        for (Span<Axis.Take> span : inOrder) {
            if (span.end().isAfter(at) && span.start().isBefore(to)) {
                if (span.start().isAfter(at)) {
                    free.add(new Span<>(at, span.start()));
                }
                at = span.end();
            }
        }
        if (to.isAfter(at)) {
            free.add(new Span<>(at, to));
        }
        return free;
    }

    /** How much of a stretch stays. */
    Length kept(String take, Time<Axis.Take> from, Time<Axis.Take> to) {
        Length kept = Length.ZERO;
        Time<Axis.Take> at = from;
        for (CutProposal c : inside(take, from, to)) {
            Time<Axis.Take> until = Time.max(at, c.span().start());
            kept = kept.plus(until.since(at));
            at = Time.max(at, Time.min(to, c.span().end()));
        }
        kept = kept.plus(to.since(at));
        return kept;
    }

    /** The moment until which that much stays from a moment on. */
    Time<Axis.Take> after(String take, Time<Axis.Take> from, Length length) {
        Time<Axis.Take> to = from.plus(length);
        for (CutProposal c : out) {
            if (c.take().equals(take)
                    && c.span().end().isAfter(from)
                    && c.span().start().isBefore(to)) {
                to = to.plus(c.span().end().since(Time.max(from, c.span().start())));
            }
        }
        return to;
    }

    private List<CutProposal> inside(String take, Time<Axis.Take> from, Time<Axis.Take> to) {
        return out.stream()
                .filter(c -> c.take().equals(take)
                        && c.span().start().isBefore(to)
                        && from.isBefore(c.span().end()))
                .toList();
    }

    void add(String take, Time<Axis.Take> from, Time<Axis.Take> to) {
        Time<Axis.Take> at = from;
        for (CutProposal c : inside(take, from, to)) {
            piece(take, at, Time.min(to, c.span().start()));
            at = Time.max(at, c.span().end());
        }
        piece(take, at, to);
    }

    private void piece(String take, Time<Axis.Take> from, Time<Axis.Take> to) {
        List<Span<Axis.Take>> used = clips.stream()
                .filter(c -> c.take().equals(take))
                .map(Cut.Clip::source)
                .toList();
        without(from, to, used).forEach(free -> unused(take, free.start(), free.end()));
    }

    private void unused(String take, Time<Axis.Take> from, Time<Axis.Take> to) {
        Cut.Clip last = clips.isEmpty() ? null : clips.get(clips.size() - 1);
        boolean joins = last != null
                && last.take().equals(take)
                && !last.hold().isPositive()
                && !from.isBefore(last.source().end())
                && from.since(last.source().end()).compareTo(SLIVER) < 0
                && isFree(take, last.source().end(), from);
        if (joins) {
            clips.set(
                    clips.size() - 1,
                    new Cut.Clip(take, new Span<>(last.source().start(), to), last.start(), Length.ZERO));
        } else if (to.since(from).compareTo(SLIVER) > 0 || clips.isEmpty()) {
            Time<Axis.Cut> start = last == null ? Time.zero() : last.end();
            clips.add(new Cut.Clip(take, new Span<>(from, to), start, Length.ZERO));
        }
    }

    private boolean isFree(String take, Time<Axis.Take> from, Time<Axis.Take> to) {
        return clips.stream()
                .noneMatch(c -> c.take().equals(take)
                        && c.source().start().isBefore(to)
                        && from.isBefore(c.source().end()));
    }

    void hold(Length length) {
        Cut.Clip last = clips.get(clips.size() - 1);
        clips.set(
                clips.size() - 1,
                new Cut.Clip(
                        last.take(), last.source(), last.start(), last.hold().plus(length)));
    }

    List<Cut.Clip> clips() {
        return clips;
    }
}
