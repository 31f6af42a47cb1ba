package app.nosegay.dress;

import app.nosegay.evidence.sight.BodyCosts;
import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.evidence.sight.OccupancyMap;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Where level badges sit: each in the column of its presenter, under the feet or over the head. */
final class LevelBadges {

    /** A badge far from the floor is less expected there: the whole height costs as much as this share of it touched … */
    private static final double HIGHER = 0.05;
    /** … and one over something else as many times. */
    private static final double COVERED = 10;

    private LevelBadges() {}

    /**
     * The badges of one interval: each in the column of its presenter, under the feet or over the head.
     *
     * @param taken what they keep off
     * @param room of the frame that may be used
     * @param scale of what is drawn
     */
    static Map<Face.LevelBadge, Box> of(
            List<Face.LevelBadge> badges,
            Collection<Box> taken,
            OccupancyMap occupancy,
            Frame frame,
            Box room,
            double scale) {
        Map<Face.LevelBadge, Box> places = new HashMap<>();
        for (Face.LevelBadge badge : badges) {
            double least = Double.MAX_VALUE;
            double lowest = room.bottom() - PaperSize.height(badge) * scale;
            for (double y = lowest; y >= room.y(); y -= BodyCosts.CELL) {
                Box box = badge(badge, y, frame, room, scale);
                boolean free = taken.stream().noneMatch(box::overlaps)
                        && places.values().stream().noneMatch(box::overlaps);
                double cost =
                        HIGHER * (lowest - y) / room.height() + (free ? 0 : COVERED) + occupancy.touched(box, frame);
                if (cost < least - 1e-9) {
                    least = cost;
                    places.put(badge, box);
                }
            }
        }
        return places;
    }

    private static Box badge(Face.LevelBadge badge, double y, Frame frame, Box room, double scale) {
        double width = Math.min(PaperSize.width(badge) * scale, room.width() / 3 - PaperSize.GAP);
        double x = Math.max(room.x(), Math.min(room.right() - width, frame.width() * badge.across() - width / 2));
        return new Box(x, y, width, PaperSize.height(badge) * scale);
    }
}
