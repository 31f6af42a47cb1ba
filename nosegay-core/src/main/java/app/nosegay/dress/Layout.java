package app.nosegay.dress;

import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.evidence.sight.OccupancyMap;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Where groups of pieces sit, interval by interval: clear of people, of each other and of the picture's edge, near their usual corner,
 * and not hopping about. One group after another takes its cheapest series of places (Viterbi over the intervals).
 *
 * @param areas in order of time
 */
public record Layout(Frame frame, List<Area> areas) {
    /** What a box costs that is wholly over somebody all the time … */
    private static final double COVER = 40;
    /** … and what one costs through which somebody comes every second: a share of it. */
    private static final double PASSING = 16;
    /** What it costs to lie over heads. */
    private static final double HEADS = 12;
    /** Below this share of the height there are legs and floor, which matter a little less than faces. */
    private static final double FEET = 0.62;

    private static final double FEET_WEIGHT = 0.8;
    /** What a change of place costs from one interval to the next … */
    private static final double HOP = 5;
    /** … and where a new block begins anyway. */
    private static final double HOP_AT_BLOCK = 2;
    /** Boxes keep this far apart, in units. */
    private static final double GAP = 10;
    /** Height of the strip that shows the whole workout, with the space above it. */
    private static final double PROGRESS_STRIP = 18;

    /** A name plate narrower than this cannot be read. */
    private static final double LEAST_HEAD = 260;

    private static final double IMPOSSIBLE = 1e9;

    public Layout {
        areas = List.copyOf(areas);
    }

    /** Pieces that stay together. */
    public enum Group {
        CLOCK("timer"),
        HEAD(CoreText.of("dress.layout.name-and-side")),
        CARD("cards"),
        REPS(CoreText.of("dress.layout.rep-counter"));

        private final String words;

        Group(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** The places of the frame a group can have. */
    public enum Anchor {
        TOP_LEFT(0, 0),
        TOP(0.5, 0),
        TOP_RIGHT(1, 0),
        LEFT(0, 0.5),
        RIGHT(1, 0.5),
        BOTTOM_LEFT(0, 1),
        BOTTOM(0.5, 1),
        BOTTOM_RIGHT(1, 1),
        UPPER_LEFT(0, 0.28),
        UPPER_RIGHT(1, 0.28);

        private final double across;
        private final double down;

        private static final List<Anchor> OF_WIDE = Arrays.asList(values()).subList(0, 8);
        private static final List<Anchor> OF_TALL = List.of(values());

        /** Those {@code frame} has room for: between the timer and the middle there is a place of its own only in tall pictures. */
        public static List<Anchor> of(Frame frame) {
            return frame.height() > frame.width() ? OF_TALL : OF_WIDE;
        }

        Anchor(double across, double down) {
            this.across = across;
            this.down = down;
        }

        /** The box of that size at this place of {@code room}. */
        public Box box(Box room, double width, double height) {
            return new Box(
                    room.x() + across * (room.width() - width),
                    room.y() + down * (room.height() - height),
                    width,
                    height);
        }

        public boolean isRight() {
            return across == 1;
        }

        public boolean isBottom() {
            return down == 1;
        }

        public String words() {
            return name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
        }
    }

    /** How much each place is liked, in the order of {@link Anchor}; less is better. */
    private static final Map<Group, double[]> LIKED = Map.of(
            Group.CLOCK, new double[] {1, 4, 0, 3, 2.5, 3, 5, 2.5, 2.6, 2},
            Group.HEAD, new double[] {0, 3, 1, 3, 3.5, 2, 4, 2.5, 2.6, 3},
            Group.CARD, new double[] {3, 5, 3, 1.5, 1.8, 0, 4, 0.6, 1.5, 1.8},
            Group.REPS, new double[] {3, 5, 2.5, 1.6, 1.2, 0.8, 4, 0, 1.4, 1});

    /**
     * An interval to lay out.
     *
     * @param used the groups seen in it
     * @param countIn whether a count before work is shown under the timer
     * @param blocked boxes that are taken at its start
     */
    public record Stretch(
            String interval,
            String block,
            Span<Axis.Cut> span,
            Set<Group> used,
            boolean countIn,
            List<Box> blocked,
            OccupancyMap occupancy) {}

    /**
     * A laid-out interval.
     *
     * @param boxes where each group is
     * @param anchors the places that were chosen
     */
    public record Area(Stretch stretch, Map<Group, Box> boxes, Map<Group, Anchor> anchors) {}

    /** The size of a group, in units. */
    public static double[] size(Group group, Style style, boolean getReady) {
        double[] size =
                switch (group) {
                    case HEAD -> new double[] {470, 176};
                    case CARD -> new double[] {480, 196};
                    case REPS -> new double[] {240, 150};
                    case CLOCK ->
                        switch (style.timer()) {
                            case PETALS, RING -> new double[] {200, getReady ? 376 : 200};
                            case DIGITS -> new double[] {220, getReady ? 290 : 110};
                            case BAR -> new double[] {330, getReady ? 280 : 104};
                        };
                };
        return new double[] {size[0] * style.scale(), size[1] * style.scale()};
    }

    /** The part of the frame pieces may be in: what players show, above the strip of progress. */
    public static Box room(Frame frame, boolean progress) {
        Box safe = frame.safe();
        return progress ? new Box(safe.x(), safe.y(), safe.width(), safe.height() - PROGRESS_STRIP) : safe;
    }

    public static Layout of(List<Stretch> stretches, Frame frame, DressNotes notes) {
        List<Map<Group, Box>> boxes = new ArrayList<>();
        List<Map<Group, Anchor>> anchors = new ArrayList<>();
        List<Integer> all = new ArrayList<>();
        List<Integer> working = new ArrayList<>();
        List<Integer> resting = new ArrayList<>();
        for (int i = 0; i < stretches.size(); i++) {
            boxes.add(new EnumMap<>(Group.class));
            anchors.add(new EnumMap<>(Group.class));
            all.add(i);
            (stretches.get(i).used().contains(Group.HEAD) ? working : resting).add(i);
        }
        Box room = room(frame, notes.shows(DressNotes.Extra.PROGRESS));
        for (Group group : Group.values()) {
            place(group, group == Group.CARD ? working : all, stretches, frame, room, notes, boxes, anchors);
        }
        // What comes next is steady from rest to rest; it need not lie where an option lay while working.
        place(Group.CARD, resting, stretches, frame, room, notes, boxes, anchors);
        List<Area> areas = new ArrayList<>();
        for (int i = 0; i < stretches.size(); i++) {
            areas.add(new Area(stretches.get(i), boxes.get(i), anchors.get(i)));
        }
        return new Layout(frame, areas);
    }

    private static void place(
            Group group,
            List<Integer> among,
            List<Stretch> stretches,
            Frame frame,
            Box room,
            DressNotes notes,
            List<Map<Group, Box>> boxes,
            List<Map<Group, Anchor>> anchors) {
        List<Integer> used = among.stream()
                .filter(i -> stretches.get(i).used().contains(group))
                .toList();
        Anchor[] all = Anchor.of(frame).toArray(Anchor[]::new);
        double[][] best = new double[used.size()][all.length];
        int[][] from = new int[used.size()][all.length];
        for (int u = 0; u < used.size(); u++) {
            Stretch s = stretches.get(used.get(u));
            Optional<Anchor> put = notes.put(group, s.block(), s.interval(), FrameShape.of(frame))
                    .filter(Anchor.of(frame)::contains);
            for (int a = 0; a < all.length; a++) {
                Box box = box(group, all[a], s, room, notes.style());
                double cost = put.isPresent()
                        ? (put.get() == all[a] ? 0 : IMPOSSIBLE)
                        : cost(group, a, box, s, boxes.get(used.get(u)).values(), frame);
                int cheapest = 0;
                if (u > 0) {
                    boolean block = !stretches.get(used.get(u - 1)).block().equals(s.block());
                    double hop = put.isPresent() ? 0 : block ? HOP_AT_BLOCK : HOP;
                    for (int b = 1; b < all.length; b++) {
                        cheapest =
                                best[u - 1][b] + (a == b ? 0 : hop) < best[u - 1][cheapest] + (a == cheapest ? 0 : hop)
                                        ? b
                                        : cheapest;
                    }
                    cost += best[u - 1][cheapest] + (a == cheapest ? 0 : hop);
                }
                best[u][a] = cost;
                from[u][a] = cheapest;
            }
        }
        int at = 0;
        for (int u = used.size() - 1; u >= 0; u--) {
            if (u == used.size() - 1) {
                double[] last = best[u];
                at = Arrays.stream(all)
                        .map(Enum::ordinal)
                        .min((a, b) -> Double.compare(last[a], last[b]))
                        .orElse(0);
            }
            boxes.get(used.get(u)).put(group, box(group, all[at], stretches.get(used.get(u)), room, notes.style()));
            anchors.get(used.get(u)).put(group, all[at]);
            at = from[u][at];
        }
    }

    private static Box box(Group group, Anchor anchor, Stretch stretch, Box room, Style style) {
        double[] size = size(group, style, stretch.countIn());
        // In a narrow picture the name stands beside the timer, not across people.
        double beside = room.width() - size(Group.CLOCK, style, false)[0] - 2 * GAP;
        double most = group == Group.HEAD && beside > LEAST_HEAD ? Math.min(beside, room.width()) : room.width();
        return anchor.box(room, Math.min(size[0], most), Math.min(size[1], room.height()));
    }

    private static double cost(Group group, int anchor, Box box, Stretch s, Iterable<Box> taken, Frame frame) {
        boolean low = box.y() + box.height() / 2 > FEET * frame.height();
        double cost = LIKED.get(group)[anchor]
                + COVER * (low ? FEET_WEIGHT : 1) * s.occupancy().behind(box, frame)
                + PASSING * s.occupancy().passing(box, frame)
                + HEADS * s.occupancy().heads(box, frame);
        Box wide = new Box(box.x() - GAP, box.y() - GAP, box.width() + 2 * GAP, box.height() + 2 * GAP);
        for (Box other : taken) {
            cost += wide.overlaps(other) ? IMPOSSIBLE / 1000 : 0;
        }
        // Cards come after what is blocked is gone.
        for (Box other : group == Group.CARD ? List.<Box>of() : s.blocked()) {
            cost += wide.overlaps(other) ? IMPOSSIBLE / 2000 : 0;
        }
        return cost;
    }

    /** The area of the interval that is on at {@code time}; the nearest before it where none is. */
    public Optional<Area> at(Time<Axis.Cut> time) {
        Area found = null;
        for (Area a : areas) {
            if (a.stretch().span().start().isAfter(time)) {
                break;
            }
            found = a;
        }
        return Optional.ofNullable(found);
    }
}
