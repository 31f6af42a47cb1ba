package app.nosegay.match;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

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

    public Cut {
        clips = List.copyOf(clips);
    }

    /** A stretch of one take at its place in the programme. */
    public record Clip(String take, Span<Axis.Take> source, Time<Axis.Cut> start) {
        public Time<Axis.Cut> end() {
            return start.plus(source.length());
        }
    }

    /** The cut that trusts the recording: from the first matched segment to the last, take after take, nothing held or trimmed. */
    public static Cut of(Match match) {
        List<Clip> clips = new ArrayList<>();
        Time<Axis.Cut> cursor = Time.zero();
        for (Match.Take take : match.takes()) {
            List<Match.Placed> inTake = match.segments().stream()
                    .filter(s -> take.id().equals(s.take()))
                    .toList();
            if (inTake.isEmpty()) {
                continue;
            }
            Time<Axis.Take> first = inTake.stream()
                    .map(Match.Placed::start)
                    .min(Time::compareTo)
                    .orElseThrow();
            Time<Axis.Take> last =
                    inTake.stream().map(Match.Placed::end).max(Time::compareTo).orElseThrow();
            Time<Axis.Take> takeEnd = Time.<Axis.Take>zero().plus(take.length());
            Span<Axis.Take> source = new Span<>(
                    Time.max(Time.zero(), first.minus(LEAD)), Time.max(last, Time.min(takeEnd, last.plus(TAIL))));
            clips.add(new Clip(take.id(), source, cursor));
            cursor = cursor.plus(source.length());
        }
        return new Cut(clips);
    }

    public Length total() {
        return clips.isEmpty()
                ? Length.ZERO
                : new Length(clips.get(clips.size() - 1).end().micros());
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

    /** The clip that shows {@code time}; the last one at the very end; empty for an empty cut. */
    public Optional<Clip> clipAt(Time<Axis.Cut> time) {
        Optional<Clip> clip = clips.stream()
                .filter(c -> !time.isBefore(c.start()) && time.isBefore(c.end()))
                .findFirst();
        return clip.isPresent() || clips.isEmpty() ? clip : Optional.of(clips.get(clips.size() - 1));
    }
}
