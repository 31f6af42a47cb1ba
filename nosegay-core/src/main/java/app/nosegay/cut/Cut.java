package app.nosegay.cut;

import app.nosegay.match.Match;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Which stretches of which takes make the finished programme, in order, end to end.
 *
 * @param clips in order; each starts where the one before ends
 */
public record Cut(List<Clip> clips) {
    /** A breath before the first word, short enough to leave out the sync tone. */
    private static final Length LEAD = Length.ofMillis(500);
    /** A moment after the last word, short enough to leave out the end tone. */
    private static final Length TAIL = Length.ofMillis(800);
    /** Two moves in each other's place, with the rest between them, are two places off. */
    private static final int MOST_PLACES_OFF = 2;

    public Cut {
        clips = List.copyOf(clips);
    }

    /**
     * A stretch of one take at its place in the programme.
     *
     * @param hold how long its last frame stands after it, in silence
     * @param camera whose picture is shown with its sound; null for its own
     */
    public record Clip(String take, Span<Axis.Take> source, Time<Axis.Cut> start, Length hold, SecondCamera camera) {
        public Clip(String take, Span<Axis.Take> source, Time<Axis.Cut> start) {
            this(take, source, start, Length.ZERO);
        }

        public Clip(String take, Span<Axis.Take> source, Time<Axis.Cut> start, Length hold) {
            this(take, source, start, hold, null);
        }

        /** The clip its picture is from: itself, or the same moments in the recording of another camera. */
        public Clip picture() {
            return camera == null ? this : new Clip(camera.take(), camera.at(source), start, hold);
        }

        public Length length() {
            return source.length().plus(hold);
        }

        public Time<Axis.Cut> end() {
            return start.plus(length());
        }

        /** Where its picture comes from at a moment of the programme; the last frame while it is held. */
        public Time<Axis.Take> sourceAt(Time<Axis.Cut> time) {
            return Time.min(source.end(), source.start().plus(time.since(start)));
        }
    }

    /** The cut that trusts the recording and leaves out what is cut by default. */
    public static Cut of(Match match) {
        return of(match, MatchNotes.NONE);
    }

    /**
     * The cut as decided: segment after segment as chosen, what lies between them unless it is cut, trimmed or held where the clock is
     * trusted.
     */
    public static Cut of(Match match, MatchNotes notes) {
        List<CutProposal> proposals = CutProposal.of(match, notes);
        List<Match.Placed> found = inDoneOrder(
                match.segments().stream().filter(Match.Placed::matched).toList());
        ClipList pieces =
                new ClipList(proposals.stream().filter(CutProposal::cut).toList(), found);
        for (int i = 0; i < found.size(); i++) {
            Match.Placed p = found.get(i);
            Match.Take take = match.takes().stream()
                    .filter(t -> t.id().equals(p.take()))
                    .findFirst()
                    .orElseThrow();
            Match.Placed before = i > 0 ? found.get(i - 1) : null;
            Match.Placed after = i + 1 < found.size() ? found.get(i + 1) : null;
            boolean follows = before != null
                    && before.take().equals(p.take())
                    && !before.end().isAfter(p.start());
            boolean leads =
                    after != null && after.take().equals(p.take()) && !p.end().isAfter(after.start());
            Time<Axis.Take> takeEnd = Time.<Axis.Take>zero().plus(take.length());
            boolean first = before == null || !before.take().equals(p.take());
            boolean last = after == null || !after.take().equals(p.take());
            if (follows) {
                pieces.between(p.take(), before.end(), p.start());
            } else if (first) {
                pieces.between(p.take(), Time.max(Time.zero(), p.start().minus(LEAD)), p.start());
            }
            Time<Axis.Take> to = last && !leads ? endOf(p, takeEnd, match, proposals) : p.end();
            segment(pieces, p, to, notes.rule(p.id()));
        }
        return new Cut(CameraChange.shown(pieces.clips(), match, notes));
    }

    /** Where the last of a take ends: a moment behind it, or as far as was decided by hand of what was filmed after the end. */
    private static Time<Axis.Take> endOf(
            Match.Placed p, Time<Axis.Take> takeEnd, Match match, List<CutProposal> proposals) {
        Time<Axis.Take> usual = Time.max(p.end(), Time.min(takeEnd, p.end().plus(TAIL)));
        boolean lastOfTake = match.segments().stream()
                .filter(o -> p.take().equals(o.take()))
                .noneMatch(o -> o.end().isAfter(p.end()));
        return proposals.stream()
                .filter(c -> lastOfTake
                        && c.isAfterTheEnd()
                        && c.decided()
                        && c.take().equals(p.take()))
                .map(c -> Time.max(usual, c.cut() ? c.span().start() : c.span().end()))
                .findFirst()
                .orElse(usual);
    }

    /**
     * Planned order, but for moves done in each other's place within a take: those stay as they were done. What was done far from its
     * place, such as a move made up for at the end, goes where it was planned.
     */
    private static List<Match.Placed> inDoneOrder(List<Match.Placed> planned) {
        List<Match.Placed> order = new ArrayList<>();
        int from = 0;
        while (from < planned.size()) {
            int to = from + 1;
            while (to < planned.size()
                    && planned.get(to).take().equals(planned.get(from).take())) {
                to++;
            }
            order.addAll(ofOneTake(planned.subList(from, to)));
            from = to;
        }
        return order;
    }

    /** The stretches of a take's segments that were done among themselves, each in done or in planned order. */
    private static List<Match.Placed> ofOneTake(List<Match.Placed> planned) {
        List<Match.Placed> done = planned.stream()
                .sorted(Comparator.comparing(Match.Placed::start))
                .toList();
        List<Match.Placed> order = new ArrayList<>();
        int begins = 0;
        int reaches = 0;
        int farthest = 0;
        for (int i = 0; i < planned.size(); i++) {
            int place = done.indexOf(planned.get(i));
            reaches = Math.max(reaches, place);
            farthest = Math.max(farthest, Math.abs(place - i));
            if (reaches == i) {
                List<Match.Placed> stretch = done.subList(begins, i + 1);
                boolean asDone = farthest <= MOST_PLACES_OFF && areApart(stretch);
                order.addAll(asDone ? stretch : planned.subList(begins, i + 1));
                begins = i + 1;
                farthest = 0;
            }
        }
        return order;
    }

    private static boolean areApart(List<Match.Placed> done) {
        for (int i = 1; i < done.size(); i++) {
            if (done.get(i)
                    .start()
                    .plus(ClipList.SLIVER)
                    .isBefore(done.get(i - 1).end())) {
                return false;
            }
        }
        return true;
    }

    private static void segment(ClipList pieces, Match.Placed p, Time<Axis.Take> to, LengthRule rule) {
        Length missing = p.planned().minus(pieces.kept(p.take(), p.start(), p.end()));
        boolean byClock = rule == LengthRule.CLOCK;
        boolean byCard = rule == LengthRule.CARD && p.id().endsWith("/rest");
        if (byClock && missing.negated().isPositive()) {
            pieces.add(p.take(), p.start(), pieces.after(p.take(), p.start(), p.planned()));
        } else {
            pieces.add(p.take(), p.start(), p.end());
            pieces.between(p.take(), p.end(), to);
            if ((byClock || byCard) && missing.isPositive()) {
                pieces.hold(missing);
            }
        }
    }

    public Length total() {
        return clips.isEmpty()
                ? Length.ZERO
                : new Length(clips.get(clips.size() - 1).end().micros());
    }

    /** The takes it uses. */
    public Set<String> takes() {
        return clips.stream().map(Clip::take).collect(java.util.stream.Collectors.toCollection(java.util.TreeSet::new));
    }

    /** Where a moment of a take is in the programme; empty when it was cut away. */
    public Optional<Time<Axis.Cut>> toCut(String take, Time<Axis.Take> time) {
        return clips.stream()
                .filter(c -> c.take().equals(take)
                        && !time.isBefore(c.source().start())
                        && !time.isAfter(c.source().end()))
                .findFirst()
                .map(c -> c.start().plus(time.since(c.source().start())));
    }

    /** Where a segment is in the programme, as far as it is shown, with the frames held behind it; empty when none of it is. */
    public Optional<Span<Axis.Cut>> shown(Match.Placed p) {
        Time<Axis.Cut> from = null;
        Time<Axis.Cut> to = null;
        for (Clip c : clips) {
            boolean part = p.matched()
                    && c.take().equals(p.take())
                    && c.source().start().isBefore(p.end())
                    && p.start().isBefore(c.source().end());
            if (part) {
                Time<Axis.Take> first = Time.max(p.start(), c.source().start());
                from = from == null ? c.start().plus(first.since(c.source().start())) : from;
                boolean toItsEnd = !p.end().isBefore(c.source().end());
                to = toItsEnd
                        ? c.end()
                        : c.start().plus(p.end().since(c.source().start()));
            }
        }
        return from == null || !to.isAfter(from) ? Optional.empty() : Optional.of(new Span<>(from, to));
    }

    /** Where the picture of a moment is from; empty for an empty cut. */
    public Optional<Clip> pictureAt(Time<Axis.Cut> time) {
        return clipAt(time).map(Clip::picture);
    }

    /** The clip that holds {@code time}; the last one at the very end; empty for an empty cut. */
    public Optional<Clip> clipAt(Time<Axis.Cut> time) {
        Optional<Clip> clip = clips.stream()
                .filter(c -> !time.isBefore(c.start()) && time.isBefore(c.end()))
                .findFirst();
        return clip.isPresent() || clips.isEmpty() ? clip : Optional.of(clips.get(clips.size() - 1));
    }
}
