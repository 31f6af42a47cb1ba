package app.nosegay.plan;

import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.RestLine;
import app.nosegay.plan.terms.Pause;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.time.Length;
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

    /** A stretch of movement. */
    void work(
            Place place,
            String id,
            String interval,
            Side side,
            SideWay way,
            Length time,
            Integer reps,
            WorkLength length) {
        put(
                place,
                id,
                interval,
                place.block().kind().moveKind(),
                place.shownMove(),
                side,
                way,
                time,
                reps,
                length,
                length.open());
    }

    /** Anything else than work: talk, rest, demo, switch. */
    void still(
            Place place,
            String id,
            String interval,
            SegmentKind kind,
            String move,
            SideWay way,
            Length time,
            boolean open) {
        put(place, id, interval, kind, move, null, way, time, null, null, open);
    }

    void rest(Place place, Pause pause) {
        if (pause != null && pause.planned().isPositive()) {
            String id = place.id("rest");
            String active = place.attributes().words(Attribute.ACTIVE).orElse(null);
            still(place, id, id, SegmentKind.REST, active, SideWay.NONE, pause.planned(), pause.open());
        }
    }

    void writtenRest(Block block, RestLine rest, Integer round, Integer set, String infix) {
        Place place = new Place(block, null, round, set, infix, null);
        String id = place.id(rest.slug());
        String active = rest.attributes().words(Attribute.ACTIVE).orElse(null);
        Pause pause = rest.pause();
        if (pause.planned().isPositive()) {
            still(place, id, id, SegmentKind.REST, active, SideWay.NONE, pause.planned(), pause.open());
        }
    }

    private void put(
            Place place,
            String id,
            String interval,
            SegmentKind kind,
            String move,
            Side side,
            SideWay way,
            Length length,
            Integer reps,
            WorkLength work,
            boolean open) {
        if (!isFull() && length.isPositive()) {
            segments.add(new Segment(
                    id,
                    interval,
                    kind,
                    move,
                    place.block(),
                    place.move(),
                    place.round(),
                    place.set(),
                    side,
                    way,
                    Time.zero(),
                    length,
                    reps,
                    work == null ? null : work.tempo(),
                    null,
                    open));
        }
    }
}
