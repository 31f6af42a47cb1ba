package app.nosegay.plan;

import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.RestLine;
import app.nosegay.plan.terms.Pause;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.time.Length;
import app.nosegay.time.Tempo;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;

/** The segments while a sheet is expanded; their starts are laid out at the end. */
final class SegmentList {
    /**
     * A sheet cannot grow past this: a typing slip such as "rounds 9999" must not take the machine down. Half an hour has some two
     * hundred; this is ten times that, and planned, scripted and checked in well under a second at every key.
     */
    static final int MOST_SEGMENTS = 2_000;

    final List<Segment> segments = new ArrayList<>();

    boolean isFull() {
        return segments.size() >= MOST_SEGMENTS;
    }

    int size() {
        return segments.size();
    }

    Segment last() {
        return segments.get(segments.size() - 1);
    }

    void dropLast() {
        segments.remove(segments.size() - 1);
    }

    Length lengthFrom(int index) {
        return segments.subList(index, segments.size()).stream()
                .map(Segment::duration)
                .reduce(Length.ZERO, Length::plus);
    }

    /** What is done in a segment, and for how long. */
    record Stretch(
            SegmentKind kind,
            String move,
            Side side,
            SideWay way,
            Length length,
            Integer reps,
            Tempo tempo,
            boolean open) {
        /** A stretch of movement. */
        static Stretch work(Place place, Side side, SideWay way, Length time, Integer reps, WorkLength length) {
            SegmentKind kind = place.block().kind().moveKind();
            return new Stretch(kind, place.shownMove(), side, way, time, reps, length.tempo(), length.open());
        }

        /** Anything else than work: talk, rest, demo, switch. */
        static Stretch still(SegmentKind kind, String move, SideWay way, Length time, boolean open) {
            return new Stretch(kind, move, null, way, time, null, null, open);
        }
    }

    /** An interval of one segment. */
    void put(Place place, String id, Stretch stretch) {
        put(place, id, id, stretch);
    }

    void put(Place place, String id, String interval, Stretch stretch) {
        if (!isFull() && stretch.length().isPositive()) {
            segments.add(new Segment(
                    id,
                    interval,
                    stretch.kind(),
                    stretch.move(),
                    place.block(),
                    place.move(),
                    place.round(),
                    place.set(),
                    stretch.side(),
                    stretch.way(),
                    Time.zero(),
                    stretch.length(),
                    stretch.reps(),
                    stretch.tempo(),
                    null,
                    stretch.open()));
        }
    }

    void rest(Place place, Pause pause) {
        if (pause != null && pause.planned().isPositive()) {
            String id = place.id("rest");
            String active = place.attributes().words(Attribute.ACTIVE).orElse(null);
            put(place, id, resting(active, pause));
        }
    }

    void writtenRest(Block block, RestLine rest, Integer round, Integer set, String infix) {
        Place place = new Place(block, null, round, set, infix, null);
        String id = place.id(rest.slug());
        String active = rest.attributes().words(Attribute.ACTIVE).orElse(null);
        Pause pause = rest.pause();
        if (pause.planned().isPositive()) {
            put(place, id, resting(active, pause));
        }
    }

    private static Stretch resting(String active, Pause pause) {
        return Stretch.still(SegmentKind.REST, active, SideWay.NONE, pause.planned(), pause.open());
    }
}
