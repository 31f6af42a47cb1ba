package app.nosegay.plan;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.Header;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.terms.Pause;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Expands one move at one place to its segments: its demonstration, its sides, its switch. */
final class MoveExpansion {
    private static final Length SWITCH = Length.ofSeconds(5);
    private static final Length LEAST_DEMO = Length.ofSeconds(10);

    private final Header header;
    private final MoveLibrary library;
    private final SegmentList list;
    private final Set<String> demonstrated = new HashSet<>();

    MoveExpansion(Header header, MoveLibrary library, SegmentList list) {
        this.header = header;
        this.library = library;
        this.list = list;
    }

    boolean isDemonstrated(String move) {
        return demonstrated.contains(move);
    }

    /** Adds the segments of a move in its round, set or minute {@code index}. */
    void move(Place written, int index) {
        Place place = written.overridden(index);
        demoBefore(place);
        WorkLength length = lengthOf(place, index);
        Attributes merged = place.attributes();
        SideWay way = merged.sides();
        Side start = startSide(merged);
        switch (way) {
            case HALVES -> halves(place, length, start);
            case SEPARATE -> {
                oneSide(place, length, start, way, true);
                merged.length(Attribute.SIDE_REST)
                        .filter(Length::isPositive)
                        .ifPresent(l -> list.rest(place.withPart(start.word()), new Pause(l, l, l, false)));
                oneSide(place, length, start.other(), way, false);
            }
            case ROUNDS, SETS -> {
                Side side = index % 2 == 1 ? start : start.other();
                list.work(place, place.id(null), place.id(null), side, way, length.length(), length.reps(), length);
            }
            case NONE, ALTERNATE, FREE, CHAIN -> {
                boolean both = way == SideWay.ALTERNATE && length.fromReps() && length.eachSide();
                Integer reps = both ? Integer.valueOf(2 * length.reps()) : length.reps();
                Length time = both ? length.length().times(2) : length.length();
                list.work(place, place.id(null), place.id(null), Side.BOTH, way, time, reps, length);
            }
        }
    }

    private void halves(Place place, WorkLength length, Side start) {
        Length change = place.attributes().length(Attribute.SWITCH).orElse(SWITCH);
        boolean added = length.fromReps() || length.eachSide();
        Length first =
                added ? length.ofSide(true) : length.length().minus(change).times(0.5);
        Length second =
                added ? length.ofSide(false) : length.length().minus(change).minus(first);
        if (!first.isPositive() || !second.isPositive()) {
            first = length.length().times(0.5);
            second = length.length().minus(first);
            change = Length.ZERO;
        }
        String interval = place.id(null);
        half(place, interval, start, first, length.repsOfSide(true), length);
        list.still(
                place,
                place.id("switch"),
                interval,
                SegmentKind.SWITCH,
                place.shownMove(),
                SideWay.HALVES,
                change,
                false);
        half(place, interval, start.other(), second, length.repsOfSide(false), length);
    }

    private void half(Place place, String interval, Side side, Length time, Integer reps, WorkLength length) {
        list.work(place, place.id(side.word()), interval, side, SideWay.HALVES, time, reps, length);
    }

    /** One side as an interval of its own. */
    void oneSide(Place place, WorkLength length, Side side, SideWay way, boolean first) {
        String id = place.id(side.word());
        list.work(place, id, id, side, way, length.ofSide(first), length.repsOfSide(first), length);
    }

    private void demoBefore(Place place) {
        Attributes merged = place.attributes();
        String move = place.shownMove();
        if (merged.demo() == Attribute.Demo.BEFORE && demonstrated.add(move)) {
            Length needed = Length.max(LEAST_DEMO, secondsTheCuesNeed(place.move(), move));
            Length time = merged.length(Attribute.DEMO_TIME).orElse(needed);
            int before = list.size();
            list.still(place, place.id("demo"), place.id("demo"), SegmentKind.DEMO, move, SideWay.NONE, time, false);
            if (list.size() > before) {
                Segment demo = list.last();
                list.dropLast();
                list.segments.add(demo.teaching(move));
            }
        }
    }

    /** What a demonstration has to hold: set-up, first form cue, first option, the sheet's own before the library's; in whole seconds. */
    private Length secondsTheCuesNeed(MoveLine line, String move) {
        Length total = Length.ZERO;
        for (CueKind kind : List.of(CueKind.SETUP, CueKind.FORM, CueKind.EASIER)) {
            String own = line.cues().stream()
                    .filter(c -> c.kind() == kind)
                    .map(RunSheet.Cue::text)
                    .findFirst()
                    .orElse(null);
            String text = own != null
                    ? own
                    : library.find(move).map(m -> first(m, kind)).orElse("");
            total = total.plus(
                    text.isEmpty()
                            ? Length.ZERO
                            : SpeechRate.DEFAULT.toSay(text, false).plus(Length.ofMillis(500)));
        }
        return Length.ofSeconds(Math.ceil(total.seconds()));
    }

    private static String first(Move move, CueKind kind) {
        return move.cues(kind).isEmpty() ? "" : move.cues(kind).get(0);
    }

    Side startSide(Attributes merged) {
        return merged.start().orElse(header.start()).side();
    }

    WorkLength lengthOf(Place place, int index) {
        return WorkLength.of(place, index, library, header.bpm());
    }
}
