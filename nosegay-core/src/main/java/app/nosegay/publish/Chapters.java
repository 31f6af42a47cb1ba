package app.nosegay.publish;

import app.nosegay.captions.TimedText.Cue;
import app.nosegay.cut.Cut;
import app.nosegay.match.Match;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** One chapter per block: starting at 0:00, in order, none shorter than video hosts accept. */
public final class Chapters {
    /** Video hosts ignore chapter lists with a shorter one. */
    public static final Length SHORTEST = Length.ofSeconds(10);

    private Chapters() {}

    public static List<Cue> of(Timeline timeline, Match match, Cut cut) {
        record Start(String name, Time<Axis.Cut> time) {}
        List<Start> starts = new ArrayList<>();
        String block = null;
        for (Segment s : timeline.segments()) {
            Optional<Time<Axis.Cut>> at =
                    match.segment(s.id()).filter(Match.Placed::matched).flatMap(p -> cut.toCut(p.take(), p.start()));
            if (!s.block().slug().equals(block) && at.isPresent()) {
                block = s.block().slug();
                starts.add(new Start(title(s), starts.isEmpty() ? Time.zero() : at.get()));
            }
        }
        List<Cue> chapters = new ArrayList<>();
        Time<Axis.Cut> end = Time.<Axis.Cut>zero().plus(cut.total());
        for (int i = 0; i < starts.size(); i++) {
            Time<Axis.Cut> from =
                    chapters.isEmpty() ? Time.zero() : starts.get(i).time();
            Time<Axis.Cut> to = i + 1 < starts.size() ? starts.get(i + 1).time() : end;
            Cue last = chapters.isEmpty() ? null : chapters.get(chapters.size() - 1);
            boolean tooShort = to.since(from).compareTo(SHORTEST) < 0;
            if (tooShort && last != null) {
                chapters.set(chapters.size() - 1, new Cue(new Span<>(last.span().start(), to), last.text()));
            } else if (tooShort && i + 1 < starts.size()) {
                // A first block too short for a chapter lends its start to the next one.
                starts.set(i + 1, new Start(starts.get(i + 1).name(), from));
            } else if (to.isAfter(from)) {
                chapters.add(new Cue(new Span<>(from, to), starts.get(i).name()));
            }
        }
        return chapters;
    }

    private static String title(Segment s) {
        String name = s.block().name();
        return name.isEmpty() ? name : Character.toUpperCase(name.charAt(0)) + name.substring(1);
    }
}
