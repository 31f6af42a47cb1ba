package app.nosegay.dress;

import app.nosegay.dress.Layout.Anchor;
import app.nosegay.dress.Layout.Group;
import app.nosegay.dress.Layout.Needs;
import app.nosegay.dress.Layout.Stretch;
import app.nosegay.evidence.sight.BodyCosts;
import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.Frame;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Finds the place of each group: any place of the frame, the usual ones liked best. A group keeps its place through a block and, where
 * that is no worse, through the programme; a card keeps it through its interval. One group after another takes its cheapest series of
 * places (Viterbi over the blocks), each twice, so that the first make room for the last, and in several orders.
 */
final class Places {
    /** Places tried lie this far apart, in units. */
    static final double STEP = BodyCosts.CELL;
    /** A way of that many units from a usual place costs as much as a place liked less by one. */
    private static final double WAY = 60;
    /** What a change of place costs from one block to the next: about four intervals in which a hand is covered. */
    private static final double HOP = 12;
    /** … and of a card, which comes anew in every interval, from one to the next. */
    private static final double CARD_HOP = 1.5;
    /** Cards come and go: for this share of an interval there is one. */
    private static final double CARD_IS_SHOWN = 0.4;
    /** Two boxes over each other are never worth it. */
    private static final double OVERLAP = 1e6;

    private static final int ROUNDS = 2;
    /** What is placed early takes room from the rest: the orders tried, of which the cheapest whole is kept. */
    private static final List<List<Group>> ORDERS = List.of(
            List.of(Group.CLOCK, Group.HEAD, Group.CARD, Group.REPS),
            List.of(Group.CLOCK, Group.HEAD, Group.REPS, Group.CARD),
            List.of(Group.CARD, Group.CLOCK, Group.HEAD, Group.REPS));

    /** How much each place is liked, in the order of {@link Anchor}; less is better. */
    private static final Map<Group, double[]> LIKED = Map.of(
            Group.CLOCK, new double[] {1, 4, 0, 3, 2.5, 3, 5, 2.5, 2.6, 2},
            Group.HEAD, new double[] {0, 3, 1, 3, 3.5, 2, 4, 2.5, 2.6, 3},
            Group.CARD, new double[] {3, 5, 3, 1.5, 1.8, 0, 4, 0.6, 1.5, 1.8},
            Group.REPS, new double[] {3, 5, 2.5, 1.6, 1.2, 0.8, 4, 0, 1.4, 1});

    /** Intervals in a row in which a group keeps its place, of cards only one; where it was put by hand it has no other. */
    private record Run(List<Integer> stretches, Optional<Anchor> put) {}

    /**
     * Stretches of a run in which the group is of the same size.
     *
     * @param costs of all of them together
     * @param taken what lies there already, with what it costs to lie over it
     */
    private record Demand(double width, double height, int count, BodyCosts costs, List<Taken> taken) {}

    private record Taken(Box box, double cost) {}

    /** A place: the box of the group at its largest, and the usual place it is nearest to. */
    private record Place(Box box, Anchor near, double liked) {}

    private final List<Stretch> stretches;
    private final Frame frame;
    private final DressNotes notes;
    private final Box room;
    private final List<BodyCosts> costs;
    private final List<Map<Group, Box>> boxes = new ArrayList<>();
    private final List<Map<Group, Anchor>> anchors = new ArrayList<>();
    private final List<Map<Face.LevelBadge, Box>> badges = new ArrayList<>();

    private Places(List<Stretch> stretches, Frame frame, DressNotes notes, List<BodyCosts> costs) {
        this.stretches = stretches;
        this.frame = frame;
        this.notes = notes;
        this.costs = costs;
        room = Layout.room(frame, notes.shows(DressNotes.Extra.PROGRESS));
        for (int i = 0; i < stretches.size(); i++) {
            boxes.add(new EnumMap<>(Group.class));
            anchors.add(new EnumMap<>(Group.class));
            badges.add(Map.of());
        }
    }

    static List<Layout.Area> of(List<Stretch> stretches, Frame frame, DressNotes notes) {
        List<BodyCosts> costs =
                stretches.stream().map(s -> new BodyCosts(s.occupancy(), frame)).toList();
        Places best = null;
        double least = Double.MAX_VALUE;
        for (List<Group> order : ORDERS) {
            Places places = new Places(stretches, frame, notes, costs);
            double cost = places.place(order);
            if (best == null || cost < least - 1e-6) {
                least = cost;
                best = places;
            }
            if (places.isClear()) {
                break;
            }
        }
        return best.areas();
    }

    /** Whether nothing lies over anybody: then no other order is better by much. */
    private boolean isClear() {
        for (int i = 0; i < stretches.size(); i++) {
            for (Box box : boxes.get(i).values()) {
                if (costs.get(i).of(box) > BodyCosts.BODY) {
                    return false;
                }
            }
        }
        return true;
    }

    private List<Layout.Area> areas() {
        List<Layout.Area> areas = new ArrayList<>();
        for (int i = 0; i < stretches.size(); i++) {
            areas.add(new Layout.Area(stretches.get(i), boxes.get(i), anchors.get(i), badges.get(i)));
        }
        return areas;
    }

    /** Places all groups; gives what the places cost together. */
    private double place(List<Group> order) {
        List<Integer> all = new ArrayList<>();
        List<Integer> working = new ArrayList<>();
        List<Integer> resting = new ArrayList<>();
        for (int i = 0; i < stretches.size(); i++) {
            all.add(i);
            (stretches.get(i).used().contains(Group.HEAD) ? working : resting).add(i);
        }
        double cost = 0;
        for (int round = 0; round < ROUNDS; round++) {
            cost = 0;
            for (Group group : order) {
                cost += place(group, group == Group.CARD ? working : all);
            }
            // What comes next is steady from rest to rest; it need not lie where an option lay while working.
            cost += place(Group.CARD, resting);
            for (int i = 0; i < stretches.size(); i++) {
                badges.set(i, badges(i));
            }
        }
        return cost;
    }

    /** Cards come after the badges are gone. */
    private Map<Face.LevelBadge, Box> badges(int i) {
        Map<Group, Box> others = new EnumMap<>(boxes.get(i));
        others.remove(Group.CARD);
        return LevelBadges.of(
                stretches.get(i).badges(),
                others.values(),
                stretches.get(i).occupancy(),
                frame,
                room,
                notes.style().scale());
    }

    private double place(Group group, List<Integer> among) {
        List<Integer> used = among.stream()
                .filter(i -> stretches.get(i).used().contains(group))
                .toList();
        if (used.isEmpty()) {
            return 0;
        }
        used.forEach(i -> boxes.get(i).remove(group));
        Needs most = used.stream().map(i -> stretches.get(i).needs()).reduce(Needs.LEAST, Needs::and);
        List<Place> places = places(group, most);
        List<Run> runs = runs(group, used);
        double hop = group == Group.CARD ? CARD_HOP : HOP;
        double[][] best = new double[runs.size()][places.size()];
        int[][] from = new int[runs.size()][places.size()];
        for (int r = 0; r < runs.size(); r++) {
            int cheapest = r == 0 ? 0 : least(best[r - 1]);
            List<Demand> demands = demands(group, runs.get(r));
            for (int p = 0; p < places.size(); p++) {
                double before = 0;
                if (r > 0) {
                    boolean stays = best[r - 1][p] <= best[r - 1][cheapest] + hop;
                    from[r][p] = stays ? p : cheapest;
                    before = best[r - 1][from[r][p]] + (stays ? 0 : hop);
                }
                best[r][p] = before + cost(group, places.get(p), runs.get(r), demands);
            }
        }
        int at = least(best[runs.size() - 1]);
        double cost = best[runs.size() - 1][at];
        for (int r = runs.size() - 1; r >= 0; r--) {
            for (int i : runs.get(r).stretches()) {
                boxes.get(i).put(group, box(group, places.get(at), i));
                anchors.get(i).put(group, places.get(at).near());
            }
            at = from[r][at];
        }
        return cost;
    }

    private List<Run> runs(Group group, List<Integer> used) {
        List<Run> runs = new ArrayList<>();
        for (int i : used) {
            Stretch s = stretches.get(i);
            Optional<Anchor> put = notes.put(group, s.block(), s.interval(), FrameShape.of(frame))
                    .filter(Anchor.of(frame)::contains);
            Run last = runs.isEmpty() ? null : runs.get(runs.size() - 1);
            if (last != null
                    && group != Group.CARD
                    && last.put().equals(put)
                    && stretches.get(last.stretches().get(0)).block().equals(s.block())) {
                last.stretches().add(i);
            } else {
                runs.add(new Run(new ArrayList<>(List.of(i)), put));
            }
        }
        return runs;
    }

    /** The usual places first, in their order, so that they are taken where nothing speaks for another. */
    private List<Place> places(Group group, Needs needs) {
        double[] size = Layout.size(group, needs, room, notes.style());
        List<Anchor> usual = Anchor.of(frame);
        List<Place> places = new ArrayList<>();
        for (Anchor a : usual) {
            places.add(place(group, a.box(room, size[0], size[1]), usual));
        }
        for (double y = room.y(); y <= room.bottom() - size[1]; y += STEP) {
            for (double x = room.x(); x <= room.right() - size[0]; x += STEP) {
                places.add(place(group, new Box(x, y, size[0], size[1]), usual));
            }
        }
        return places;
    }

    private Place place(Group group, Box box, List<Anchor> usual) {
        Anchor near = null;
        double nearest = Double.MAX_VALUE;
        double liked = Double.MAX_VALUE;
        for (Anchor a : usual) {
            Box there = a.box(room, box.width(), box.height());
            double way = Math.abs(there.x() - box.x()) + Math.abs(there.y() - box.y());
            liked = Math.min(liked, LIKED.get(group)[a.ordinal()] + way / WAY);
            if (way < nearest) {
                nearest = way;
                near = a;
            }
        }
        return new Place(box, near, liked);
    }

    /** What a group needs of its place in a stretch: it keeps to the same corner. */
    private Box box(Group group, Place place, int stretch) {
        Box b = place.box();
        double[] size = size(group, stretch);
        return Layout.corner(b, place.near(), Math.min(b.width(), size[0]), Math.min(b.height(), size[1]));
    }

    private double[] size(Group group, int stretch) {
        return Layout.size(group, stretches.get(stretch).needs(), room, notes.style());
    }

    /** The demands of a run, one for each size the group has in it. */
    private List<Demand> demands(Group group, Run run) {
        Map<List<Double>, List<Integer>> bySize = new LinkedHashMap<>();
        for (int i : run.stretches()) {
            double[] size = size(group, i);
            bySize.computeIfAbsent(List.of(size[0], size[1]), s -> new ArrayList<>())
                    .add(i);
        }
        List<Demand> demands = new ArrayList<>();
        bySize.forEach((size, among) -> {
            Map<Box, Double> taken = new LinkedHashMap<>();
            for (int i : among) {
                boxes.get(i).values().forEach(b -> taken.merge(b, OVERLAP, Double::sum));
                // Cards come after the badges of levels are gone.
                if (group != Group.CARD) {
                    badges.get(i).values().forEach(b -> taken.merge(b, OVERLAP / 2, Double::sum));
                }
            }
            demands.add(new Demand(
                    size.get(0),
                    size.get(1),
                    among.size(),
                    BodyCosts.sum(among.stream().map(costs::get).toList()),
                    taken.entrySet().stream()
                            .map(t -> new Taken(t.getKey(), t.getValue()))
                            .toList()));
        });
        return demands;
    }

    private double cost(Group group, Place place, Run run, List<Demand> demands) {
        if (run.put().isPresent()) {
            Box there =
                    run.put().get().box(room, place.box().width(), place.box().height());
            return there.equals(place.box()) && place.near() == run.put().get() ? 0 : OVERLAP * OVERLAP;
        }
        double cost = 0;
        for (Demand d : demands) {
            Box box = Layout.corner(
                    place.box(),
                    place.near(),
                    Math.min(place.box().width(), d.width()),
                    Math.min(place.box().height(), d.height()));
            cost += d.count() * place.liked()
                    + (group == Group.CARD ? CARD_IS_SHOWN : 1) * d.costs().of(box);
            for (Taken other : d.taken()) {
                cost += near(box, other.box()) ? other.cost() : 0;
            }
        }
        return cost;
    }

    private static boolean near(Box a, Box b) {
        return a.x() - Layout.GAP < b.right()
                && b.x() < a.right() + Layout.GAP
                && a.y() - Layout.GAP < b.bottom()
                && b.y() < a.bottom() + Layout.GAP;
    }

    private static int least(double[] values) {
        int least = 0;
        for (int i = 1; i < values.length; i++) {
            least = values[i] < values[least] ? i : least;
        }
        return least;
    }
}
