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

/** Cuts clips where the chosen camera changes. */
final class CameraChange {
    /** Between two intervals seen by the same camera nobody cuts to another for so little. */
    private static final Length FLASH = Length.ofSeconds(1.5);

    private CameraChange() {}

    /** The camera chosen for a segment; empty where it is seen by the first. */
    private static Optional<SecondCamera> chosen(Match.Placed p, MatchNotes notes) {
        String choice = notes.choices().get(p.id());
        return notes.cameras().stream()
                .filter(c -> p.matched() && c.take().equals(choice) && c.of().equals(p.take()))
                .filter(c -> c.saw(new Span<>(p.start(), Time.max(p.start(), p.end()))))
                .findFirst();
    }

    /** A stretch of the first recording and the camera that is shown in it. */
    private record Shown(Span<Axis.Take> span, SecondCamera camera) {}

    /** The clips with the picture of the chosen cameras: cut where the camera changes, the sound as it was. */
    static List<Cut.Clip> shown(List<Cut.Clip> clips, Match match, MatchNotes notes) {
        if (notes.cameras().isEmpty()) {
            return clips;
        }
        List<Cut.Clip> shown = new ArrayList<>();
        clips.forEach(clip -> shown.addAll(parts(clip, stretches(clip.take(), match, notes))));
        return shown;
    }

    /** A clip, cut where another camera is shown; nothing shorter than a sliver is cut off. */
    private static List<Cut.Clip> parts(Cut.Clip clip, List<Shown> stretches) {
        List<Cut.Clip> parts = new ArrayList<>();
        Time<Axis.Take> at = clip.source().start();
        Time<Axis.Take> end = clip.source().end();
        for (Shown s : stretches) {
            Span<Axis.Take> left = new Span<>(at, end);
            Span<Axis.Take> part = s.span().overlap(left).orElse(null);
            if (part == null || isSliver(part.start(), part.end())) {
                continue;
            }
            Time<Axis.Take> from = isSliver(at, part.start()) ? at : part.start();
            if (from.isAfter(at)) {
                parts.add(part(clip, new Span<>(at, from), null));
            }
            at = isSliver(part.end(), end) ? end : part.end();
            parts.add(part(clip, new Span<>(from, at), s.camera()));
        }
        if (end.isAfter(at) || parts.isEmpty()) {
            parts.add(part(clip, new Span<>(at, end), null));
        }
        return parts;
    }

    private static boolean isSliver(Time<Axis.Take> from, Time<Axis.Take> to) {
        return to.since(from).compareTo(ClipList.SLIVER) <= 0;
    }

    /** A part of a clip; what is held behind the clip stays behind its last part. */
    private static Cut.Clip part(Cut.Clip clip, Span<Axis.Take> span, SecondCamera camera) {
        boolean last = span.end().equals(clip.source().end());
        return new Cut.Clip(
                clip.take(),
                span,
                clip.start().plus(span.start().since(clip.source().start())),
                last ? clip.hold() : Length.ZERO,
                camera != null && camera.saw(span) ? camera : null);
    }

    /** When which other camera is shown of a recording, in order; from one interval to the next without a flash of the first. */
    private static List<Shown> stretches(String take, Match match, MatchNotes notes) {
        List<Shown> stretches = new ArrayList<>();
        match.segments().stream()
                .filter(p -> take.equals(p.take()))
                .sorted(Comparator.comparing(Match.Placed::start))
                .forEach(p -> chosen(p, notes).ifPresent(camera -> {
                    Span<Axis.Take> span = new Span<>(p.start(), Time.max(p.start(), p.end()));
                    Shown last = stretches.isEmpty() ? null : stretches.get(stretches.size() - 1);
                    boolean goesOn = last != null
                            && last.camera().equals(camera)
                            && span.start().since(last.span().end()).compareTo(FLASH) < 0;
                    if (goesOn) {
                        span = new Span<>(
                                last.span().start(), Time.max(last.span().end(), span.end()));
                        stretches.remove(stretches.size() - 1);
                    }
                    stretches.add(new Shown(span, camera));
                }));
        return stretches;
    }
}
