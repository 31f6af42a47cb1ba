package app.nosegay.plan;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.SegmentList.Stretch;
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
import app.nosegay.time.Tempo;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Expands one move at one place to its segments: its demonstration, its sides, its switch. */
final class MoveExpansion {
    private static final Length SWITCH = Length.ofSeconds(5);
    private static final Length LEAST_DEMO = Length.ofSeconds(10);
    /** A new move is shown a few times without a word, or it is not seen. */
    private static final int REPS_SHOWN = 3;
    /** "Take the kettlebell", and doing so. */
    private static final Length GEAR_LINE = Length.ofSeconds(3);
    /** Between two lines of a demonstration. */
    private static final Length BREATH = Length.ofMillis(500);
    /** Plans are made in steps of five seconds. */
    private static final double DEMO_STEP = 5;

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
                boolean first = side == start;
                Integer reps = length.repsOfSide(first);
                list.put(place, place.id(null), Stretch.work(place, side, way, length.ofSide(first), reps, length));
            }
            case NONE, ALTERNATE, FREE, CHAIN -> {
                boolean both = way == SideWay.ALTERNATE && length.fromReps() && length.eachSide();
                Integer reps = both ? Integer.valueOf(2 * length.reps()) : length.reps();
                Length time = both ? length.length().times(2) : length.length();
                list.put(place, place.id(null), Stretch.work(place, Side.BOTH, way, time, reps, length));
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
        list.put(
                place,
                place.id("switch"),
                interval,
                Stretch.still(SegmentKind.SWITCH, place.shownMove(), SideWay.HALVES, change, false));
        half(place, interval, start.other(), second, length.repsOfSide(false), length);
    }

    private void half(Place place, String interval, Side side, Length time, Integer reps, WorkLength length) {
        list.put(place, place.id(side.word()), interval, Stretch.work(place, side, SideWay.HALVES, time, reps, length));
    }

    /** One side as an interval of its own. */
    void oneSide(Place place, WorkLength length, Side side, SideWay way, boolean first) {
        String id = place.id(side.word());
        list.put(place, id, Stretch.work(place, side, way, length.ofSide(first), length.repsOfSide(first), length));
    }

    private void demoBefore(Place place) {
        Attributes merged = place.attributes();
        String move = place.shownMove();
        if (merged.demo() == Attribute.Demo.BEFORE && demonstrated.add(move)) {
            Length needed = Length.max(LEAST_DEMO, secondsOfADemo(place));
            Length time = merged.length(Attribute.DEMO_TIME).orElse(needed);
            int before = list.size();
            list.put(place, place.id("demo"), Stretch.still(SegmentKind.DEMO, move, SideWay.NONE, time, false));
            if (list.size() > before) {
                Segment demo = list.last();
                list.dropLast();
                list.segments.add(demo.teaching(move));
            }
        }
    }

    /**
     * What a demonstration has to hold: its name, its gear, the set-up, two form cues, an option each way, what other levels do, the
     * sheet's own words before the library's; and the move shown a few times. In steps of five seconds.
     */
    private Length secondsOfADemo(Place place) {
        MoveLine line = place.move();
        String name = place.shownMove();
        Optional<Move> known =
                library.whole(name, place.attributes().words(Attribute.POSITION).orElse(""));
        Length total = said("Next, " + name + ".");
        boolean gear = place.attributes().list(Attribute.GEAR).size()
                        + known.map(m -> m.gear().size()).orElse(0)
                > 0;
        total = gear ? total.plus(GEAR_LINE) : total;
        for (CueKind kind : List.of(CueKind.SETUP, CueKind.FORM, CueKind.EASIER, CueKind.HARDER)) {
            List<String> own = line.cues().stream()
                    .filter(c -> c.kind() == kind)
                    .map(RunSheet.Cue::text)
                    .toList();
            List<String> texts = own.isEmpty()
                    ? known.map(m -> m.cues(kind)).orElse(List.of()).stream()
                            .limit(kind == CueKind.FORM ? 2 : 1)
                            .toList()
                    : own;
            for (String text : texts) {
                total = total.plus(said(text));
            }
        }
        for (RunSheet.LevelLine level : line.levels()) {
            total = total.plus(said(level.level() + " does " + level.move() + "."));
        }
        Tempo tempo =
                place.attributes().tempo().or(() -> known.map(Move::tempo)).orElse(Tempo.DEFAULT);
        total = total.plus(tempo.repLength().times(REPS_SHOWN));
        return Length.ofSeconds(Math.ceil(total.seconds() / DEMO_STEP) * DEMO_STEP);
    }

    private static Length said(String text) {
        return SpeechRate.DEFAULT.toSay(text, false).plus(BREATH);
    }

    Side startSide(Attributes merged) {
        return merged.start().orElse(header.start()).side();
    }

    WorkLength lengthOf(Place place, int index) {
        return WorkLength.of(place, index, library, header.bpm());
    }
}
