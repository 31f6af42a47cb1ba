package app.nosegay.workout;

import app.nosegay.cut.MatchNotes;
import app.nosegay.cut.MatchNotes.CutDecision;
import app.nosegay.cut.MatchNotes.Mute;
import app.nosegay.cut.Muting;
import app.nosegay.match.Match;
import app.nosegay.match.Pin;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.review.Misstatement;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A shorter version of what was filmed: whole blocks of work are left out, opening, warm-up, cool-down and end stay. It is a workout of its
 * own on the same recordings, whose boundaries stay where they were found, so that everything said is held against the shorter plan.
 *
 * @param workout the shorter version
 * @param length of it, as recorded
 * @param leftOut the names of the blocks that are left out, in order
 */
public record CutDown(Workout workout, Length length, List<String> leftOut) {
    /** A version may be this much longer than asked for: nobody counts seconds. */
    private static final Length OVER = Length.ofSeconds(15);
    /** Up to so many blocks of work all choices are tried; of more, the last ones always stay out. */
    private static final int MOST_BLOCKS = 14;

    private static final Set<BlockKind> ALWAYS = Set.of(BlockKind.TALK, BlockKind.WARM_UP, BlockKind.COOL_DOWN);

    public CutDown {
        leftOut = List.copyOf(leftOut);
    }

    /**
     * The longest version of at most {@code minutes} that leaves something out and keeps some work; empty where there is none.
     */
    public static Optional<CutDown> of(Programme from, int minutes) {
        Timeline timeline = from.timeline();
        List<Block> work = timeline.sheet().blocks().stream()
                .filter(b -> !ALWAYS.contains(b.kind()) && b.kind() != BlockKind.REST)
                .limit(MOST_BLOCKS)
                .toList();
        Length most = Length.ofSeconds(60.0 * minutes).plus(OVER);
        Map<Block, Length> lengths = lengths(from);
        Set<Block> best = null;
        Length longest = Length.ZERO;
        for (int choice = 1; choice < 1 << work.size(); choice++) {
            Set<Block> kept = kept(timeline, work, choice);
            Length length = kept.stream().map(lengths::get).reduce(Length.ZERO, Length::plus);
            if (length.compareTo(most) <= 0 && length.compareTo(longest) > 0) {
                best = kept;
                longest = length;
            }
        }
        List<String> leftOut = best == null ? List.of() : names(timeline, best);
        return leftOut.isEmpty()
                ? Optional.empty()
                : Optional.of(new CutDown(workout(from, best, longest), longest, leftOut));
    }

    /** What is kept of a choice of blocks of work: a rest between blocks only behind work, with something to move for after it. */
    private static Set<Block> kept(Timeline timeline, List<Block> work, int choice) {
        Set<Block> kept = new LinkedHashSet<>();
        Block rest = null;
        boolean worked = false;
        for (Block b : timeline.sheet().blocks()) {
            int at = work.indexOf(b);
            if (b.kind() == BlockKind.REST) {
                rest = worked ? b : null;
            } else if (ALWAYS.contains(b.kind()) || at >= 0 && (choice >> at & 1) == 1) {
                if (rest != null && b.kind() != BlockKind.TALK) {
                    kept.add(rest);
                }
                rest = null;
                worked = at >= 0;
                kept.add(b);
            }
        }
        return kept;
    }

    /** How long the segments of each block are as recorded, or as planned where they were not found. */
    private static Map<Block, Length> lengths(Programme of) {
        Map<Block, Length> lengths = new HashMap<>();
        of.timeline().sheet().blocks().forEach(b -> lengths.put(b, Length.ZERO));
        for (Segment s : of.timeline().segments()) {
            Length length = of.match()
                    .segment(s.id())
                    .filter(Match.Placed::matched)
                    .map(p -> p.end().since(p.start()))
                    .orElse(s.duration());
            lengths.merge(s.block(), length, Length::plus);
        }
        return lengths;
    }

    private static List<String> names(Timeline timeline, Set<Block> kept) {
        return timeline.sheet().blocks().stream()
                .filter(b -> !kept.contains(b) && b.kind() != BlockKind.REST)
                .map(b -> b.name().isEmpty() ? b.kind().word() : b.name())
                .toList();
    }

    private static Workout workout(Programme from, Set<Block> kept, Length length) {
        Workout of = from.workout();
        List<Segment> segments = from.timeline().segments().stream()
                .filter(s -> kept.contains(s.block()))
                .toList();
        MatchNotes notes = of.matching();
        for (CutDecision gap : gaps(from, kept)) {
            notes = notes.withCut(gap);
        }
        Workout shorter =
                of.withSheet(sheet(from.timeline(), kept, segments, length)).withMatching(notes);
        return shorter.withTakes(of.takes(), pins(from, segments, shorter.sheet()));
    }

    /** Every boundary that is kept, where it was found; blocks of one name may be called otherwise where some are left out. */
    private static List<Pin> pins(Programme from, List<Segment> kept, String sheet) {
        List<Segment> now = Expansion.expand(RunSheetParser.parse(sheet, from.library()), from.library())
                .segments();
        boolean same = now.size() == kept.size();
        List<Pin> pins = new ArrayList<>();
        for (int i = 0; i < kept.size(); i++) {
            String id = same ? now.get(i).id() : kept.get(i).id();
            from.match()
                    .segment(kept.get(i).id())
                    .filter(Match.Placed::matched)
                    .ifPresent(p -> pins.addAll(
                            List.of(new Pin(id, false, p.take(), p.start()), new Pin(id, true, p.take(), p.end()))));
        }
        return pins;
    }

    /** The stretches of the takes in which blocks were done that are left out. */
    private static List<CutDecision> gaps(Programme from, Set<Block> kept) {
        List<CutDecision> gaps = new ArrayList<>();
        String take = null;
        Time<Axis.Take> start = null;
        Time<Axis.Take> end = null;
        for (Segment s : from.timeline().segments()) {
            Match.Placed p =
                    from.match().segment(s.id()).filter(Match.Placed::matched).orElse(null);
            boolean out = p != null && !kept.contains(s.block());
            boolean goesOn = out && p.take().equals(take);
            if (take != null && p != null && !goesOn) {
                gaps.add(new CutDecision(take, new Span<>(start, end), true));
                take = null;
            }
            if (out) {
                start = goesOn ? Time.min(start, p.start()) : p.start();
                end = goesOn ? Time.max(end, p.end()) : p.end();
                take = p.take();
            }
        }
        if (take != null) {
            gaps.add(new CutDecision(take, new Span<>(start, end), true));
        }
        return gaps;
    }

    /** The run sheet without the lines of what is left out; title and promise say what it is now. */
    private static String sheet(Timeline timeline, Set<Block> kept, List<Segment> segments, Length length) {
        List<Block> blocks = timeline.sheet().blocks();
        List<String> lines = timeline.sheet().text().lines().toList();
        Set<Integer> gone = new HashSet<>();
        for (int i = 0; i < blocks.size(); i++) {
            int next = i + 1 < blocks.size() ? blocks.get(i + 1).line() : lines.size() + 1;
            for (int line = blocks.get(i).line(); line < next && !kept.contains(blocks.get(i)); line++) {
                gone.add(line);
            }
        }
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < lines.size(); i++) {
            if (!gone.contains(i + 1)) {
                text.append(lines.get(i)).append('\n');
            }
        }
        long minutes = Math.max(1, Math.round(length.seconds() / 60));
        Set<String> moves = segments.stream()
                .filter(s -> s.block().kind().moveKind() == s.kind()
                        && !ALWAYS.contains(s.block().kind()))
                .map(Segment::move)
                .collect(Collectors.toSet());
        String title = timeline.sheet().header().title();
        String titled = SheetText.header(
                        text.toString(), "title", CoreText.of("workout.cut-down.title", title, minutes))
                .apply(text.toString());
        return SheetText.header(titled, "promise", "about " + minutes + " min, " + moves.size() + " moves")
                .apply(titled);
    }

    /** What was said of the whole workout and is not true of the shorter version, each clause to be muted there. */
    public static List<Mute> untrue(Programme whole, Programme shorter) {
        Set<Mute> before = whole.misstatements().stream()
                .map(m -> new Mute(m.take(), m.span()))
                .collect(Collectors.toSet());
        return shorter.misstatements().stream()
                .filter(Misstatement::isSpoken)
                .filter(m -> !before.contains(new Mute(m.take(), m.span())))
                .flatMap(m -> Muting.clause(shorter.heard(), m.take(), m.span()).stream())
                .distinct()
                .toList();
    }

    /** What is open in the shorter version and was not in the whole one: promises, totals and names that are not true any more. */
    public static List<Finding> becomesFalse(Programme whole, Programme shorter) {
        Set<String> before = whole.proof().open().stream().map(Finding::key).collect(Collectors.toSet());
        whole.proof().waived().forEach(f -> before.add(f.key()));
        return shorter.proof().open().stream()
                .filter(f -> !before.contains(f.key()))
                .toList();
    }
}
