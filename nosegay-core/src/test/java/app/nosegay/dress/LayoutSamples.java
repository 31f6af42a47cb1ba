package app.nosegay.dress;

import app.nosegay.dress.Layout.Group;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.evidence.sight.OccupancyMap;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;

/** Frames with somebody in them, and what is laid out on them. */
final class LayoutSamples {
    static final int COLUMNS = 32;

    static final int ROWS = 18;

    /** Somebody at these columns all the time. */
    static OccupancyMap occupancy(int from, int to) {
        float[] presence = new float[COLUMNS * ROWS];
        for (int y = 0; y < ROWS; y++) {
            for (int x = from; x < to; x++) {
                presence[y * COLUMNS + x] = 1;
            }
        }
        return new OccupancyMap(COLUMNS, ROWS, presence, new float[COLUMNS * ROWS], new float[COLUMNS * ROWS]);
    }

    static Layout.Stretch stretch(int i, OccupancyMap occupancy) {
        return new Layout.Stretch(
                "b/m" + i,
                "b",
                new Span<>(Time.ofSeconds(10 * i), Time.ofSeconds(10 * i + 10)),
                EnumSet.allOf(Group.class),
                new Layout.Needs(true, true, true, 470, 196),
                List.of(),
                occupancy);
    }

    static Layout layout(List<OccupancyMap> occupancies, Frame frame, DressNotes notes) {
        List<Layout.Stretch> stretches = new ArrayList<>();
        for (int i = 0; i < occupancies.size(); i++) {
            stretches.add(stretch(i, occupancies.get(i)));
        }
        return Layout.of(stretches, frame, notes);
    }
}
