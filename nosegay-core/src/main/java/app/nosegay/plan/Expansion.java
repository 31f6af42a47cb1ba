package app.nosegay.plan;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.SegmentList.Stretch;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.Item;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.sheet.RunSheet.RestLine;
import app.nosegay.plan.sheet.Slug;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.Pause;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Tempo;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Expands a run sheet to its timeline by the rules of docs/format/run-sheet.md. */
public final class Expansion {
    private static final Length TALK = Length.ofSeconds(30);
    private static final Length REST_BLOCK = Length.ofSeconds(60);
    private static final Length MINUTE = Length.ofSeconds(60);

    private final RunSheet sheet;
    private final SegmentList list = new SegmentList();
    private final MoveExpansion moves;

    private Expansion(RunSheet sheet, MoveLibrary library) {
        this.sheet = sheet;
        this.moves = new MoveExpansion(sheet.header(), library, list);
    }

    public static Timeline expand(RunSheet sheet, MoveLibrary library) {
        Expansion expansion = new Expansion(sheet, library);
        for (int i = 0; i < sheet.blocks().size(); i++) {
            int from = expansion.list.size();
            expansion.block(sheet.blocks().get(i));
            expansion.dropLastRest(from, i);
        }
        expansion.countIn();
        return new Timeline(sheet, expansion.laidOut());
    }

    private void block(Block block) {
        switch (block.kind()) {
            case TALK -> pause(block, SegmentKind.TALK, TALK);
            case REST -> pause(block, SegmentKind.REST, REST_BLOCK);
            case SUPERSET -> sets(block);
            case STRAIGHT_SETS -> straightSets(block);
            case EVERY_MINUTE -> everyMinute(block);
            case BUILD -> build(block);
            default -> circuit(block);
        }
    }

    private void pause(Block block, SegmentKind kind, Length otherwise) {
        Length length = block.length() == null ? otherwise : block.length().planned();
        boolean open = block.length() != null && block.length().open();
        String active = block.attributes().words(Attribute.ACTIVE).orElse(null);
        Place place = new Place(block, null, null, null);
        list.put(place, block.slug(), Stretch.still(kind, active, SideWay.NONE, length, open));
    }

    /** Circuits, and all blocks that go through their list the same way: warm-up, AMRAP, phrase, cool-down. */
    private void circuit(Block block) {
        if (block.kind() == BlockKind.AMRAP && block.attributes().has(Attribute.FOR)) {
            window(block);
            return;
        }
        int rounds = block.attributes()
                .number(Attribute.ROUNDS)
                .or(() -> block.attributes().number(Attribute.SETS))
                .orElse(1);
        boolean numbered = rounds > 1;
        Length window = block.attributes().length(Attribute.FOR).orElse(null);
        if (window != null) {
            int before = list.size();
            round(block, 1, null);
            Length one = list.lengthFrom(before);
            list.segments.subList(before, list.size()).clear();
            rounds = one.isPositive() ? (int) Math.max(1, window.micros() / one.micros()) : 1;
            numbered = true;
        }
        for (int r = 1; r <= rounds && !list.isFull(); r++) {
            round(block, r, numbered ? r : null);
        }
    }

    private void round(Block block, int r, Integer shown) {
        int before = list.size();
        if (block.attributes().sides() == SideWay.CHAIN) {
            chain(block, r, shown);
        } else {
            for (Item item : block.items()) {
                if (item instanceof MoveLine move) {
                    Place place = new Place(block, move, shown, null);
                    moves.move(place, r);
                    list.rest(place, place.attributes().pause(Attribute.REST).orElse(null));
                } else if (item instanceof RestLine rest) {
                    list.writtenRest(block, rest, shown, null, null);
                }
            }
        }
        if (list.size() > before) {
            block.attributes()
                    .pause(Attribute.ROUND_REST)
                    .ifPresent(roundRest -> replaceLastRest(block, shown, roundRest));
        }
    }

    /** All moves on the start side, then all on the other; a move with a way of its own is done once, with the first side. */
    private void chain(Block block, int r, Integer shown) {
        Side start = moves.startSide(block.attributes());
        for (Side side : List.of(start, start.other())) {
            for (Item item : block.items()) {
                if (item instanceof RestLine rest) {
                    list.writtenRest(block, rest, shown, null, side.word());
                } else if (item instanceof MoveLine move) {
                    chained(new Place(block, move, shown, null), r, side, side == start);
                }
            }
        }
    }

    private void chained(Place place, int r, Side side, boolean first) {
        boolean ownWay = place.move().attributes().has(Attribute.SIDES);
        if (ownWay && !first) {
            return;
        }
        if (ownWay) {
            moves.move(place, r);
        } else {
            moves.oneSide(place, moves.lengthOf(place, r), side, SideWay.CHAIN, first);
        }
        list.rest(
                place.withPart(side.word()),
                place.attributes().pause(Attribute.REST).orElse(null));
    }

    /** The round rest replaces the rest after the round's last work, or is added where there is none. */
    private void replaceLastRest(Block block, Integer round, Pause roundRest) {
        Place place = new Place(block, list.last().line(), round, null);
        if (list.last().kind() == SegmentKind.REST) {
            list.dropLast();
        }
        list.rest(place, roundRest);
    }

    /** One stretch in which the whole list is gone through as often as possible. */
    private void window(Block block) {
        Length length = block.attributes().length(Attribute.FOR).orElseThrow();
        String names =
                String.join(", ", block.moves().stream().map(MoveLine::name).toList());
        MoveLine first = block.moves().isEmpty() ? null : block.moves().get(0);
        Place place = new Place(block, first, null, null, null, names);
        WorkLength clock = new WorkLength(length, null, false, Tempo.DEFAULT, false, false);
        if (first != null) {
            list.put(place, block.slug(), Stretch.work(place, Side.BOTH, SideWay.NONE, length, null, clock));
            list.rest(place, block.attributes().pause(Attribute.REST).orElse(null));
        }
    }

    private void sets(Block block) {
        int sets = setsOf(block.attributes())
                .orElse(block.moves().stream()
                        .mapToInt(m -> m.attributes()
                                .over(block.attributes())
                                .reps()
                                .map(r -> r.perSet().size())
                                .orElse(1))
                        .max()
                        .orElse(1));
        for (int s = 1; s <= sets && !list.isFull(); s++) {
            Place last = null;
            for (Item item : block.items()) {
                if (item instanceof MoveLine move) {
                    last = new Place(block, move, null, s);
                    moves.move(last, s);
                    list.rest(last, move.attributes().pause(Attribute.REST).orElse(null));
                } else if (item instanceof RestLine rest) {
                    list.writtenRest(block, rest, null, s, null);
                }
            }
            if (last != null && list.size() > 0 && list.last().kind() != SegmentKind.REST) {
                list.rest(last, block.attributes().pause(Attribute.REST).orElse(null));
            }
        }
    }

    /** How many sets; {@code rounds} is taken for the same. */
    private static Optional<Integer> setsOf(Attributes attributes) {
        return attributes.number(Attribute.SETS).or(() -> attributes.number(Attribute.ROUNDS));
    }

    private void straightSets(Block block) {
        for (Item item : block.items()) {
            if (item instanceof MoveLine move) {
                Attributes merged = move.attributes().over(block.attributes());
                int sets = setsOf(merged)
                        .orElse(merged.reps().map(r -> r.perSet().size()).orElse(1));
                for (int s = 1; s <= sets && !list.isFull(); s++) {
                    Place place = new Place(block, move, null, s);
                    moves.move(place, s);
                    list.rest(place, merged.pause(Attribute.REST).orElse(null));
                }
            } else if (item instanceof RestLine rest) {
                list.writtenRest(block, rest, null, null, null);
            }
        }
    }

    private void everyMinute(Block block) {
        List<MoveLine> lines = block.moves();
        int minutes = block.attributes()
                .number(Attribute.MINUTES)
                .or(() -> block.attributes().length(Attribute.FOR).map(l ->
                        (int) Math.max(1, l.micros() / MINUTE.micros())))
                .orElse(lines.size());
        for (int minute = 1; minute <= minutes && !lines.isEmpty() && !list.isFull(); minute++) {
            Place place = new Place(block, lines.get((minute - 1) % lines.size()), minute, null);
            int before = list.size();
            moves.move(place, minute);
            Length left = MINUTE.minus(list.lengthFrom(before));
            list.rest(place, new Pause(left, left, left, false));
        }
    }

    /** A, B, then A+B: the parts of a compound are done alone first. */
    private void build(Block block) {
        int rounds = block.attributes().number(Attribute.ROUNDS).orElse(1);
        for (int r = 1; r <= rounds && !list.isFull(); r++) {
            int round = r;
            Integer shown = rounds > 1 ? r : null;
            Slug slugs = new Slug();
            for (Item item : block.items()) {
                if (item instanceof RestLine rest) {
                    list.writtenRest(block, rest, shown, null, null);
                } else if (item instanceof MoveLine move) {
                    parts(move, slugs).forEach(part -> buildStep(block, part, shown, round));
                    buildStep(block, move, shown, r);
                }
            }
        }
    }

    private void buildStep(Block block, MoveLine move, Integer round, int r) {
        Place place = new Place(block, move, round, null);
        moves.move(place, r);
        list.rest(place, place.attributes().pause(Attribute.REST).orElse(null));
    }

    /** The parts of a compound as moves of their own; none of a single move. */
    private static List<MoveLine> parts(MoveLine move, Slug slugs) {
        return move.parts().size() < 2
                ? List.of()
                : move.parts().stream().map(p -> alone(move, p, slugs.next(p))).toList();
    }

    private static MoveLine alone(MoveLine compound, String part, String slug) {
        return new MoveLine(
                compound.line(),
                part,
                slug,
                List.of(part),
                compound.attributes(),
                List.of(),
                List.of(),
                compound.overrides(),
                List.of());
    }

    /** A block's last rest goes where a rest or talk follows, a demonstration follows, or the sheet ends. */
    private void dropLastRest(int from, int index) {
        Block block = sheet.blocks().get(index);
        boolean hasRest =
                list.size() > from && list.last().kind() == SegmentKind.REST && block.kind() != BlockKind.REST;
        if (!hasRest
                || (block.attributes().has(Attribute.REST_AFTER_LAST)
                        && block.attributes().flag(Attribute.REST_AFTER_LAST))) {
            return;
        }
        boolean asked = block.attributes().has(Attribute.REST_AFTER_LAST);
        if (asked || index + 1 == sheet.blocks().size()) {
            list.dropLast();
            return;
        }
        Block next = sheet.blocks().get(index + 1);
        boolean demoFollows = !next.moves().isEmpty()
                && next.moves().get(0).attributes().over(next.attributes()).demo() == Attribute.Demo.BEFORE
                && !moves.isDemonstrated(next.moves().get(0).name());
        if (next.kind() == BlockKind.REST || next.kind() == BlockKind.TALK || demoFollows) {
            list.dropLast();
        }
    }

    /** A sheet that starts with movement gets a count-in of its own. */
    private void countIn() {
        int from = sheet.header().calls().countIn();
        List<Segment> segments = list.segments;
        if (from > 0
                && !list.isFull()
                && !segments.isEmpty()
                && segments.get(0).kind().isMoving()) {
            Segment first = segments.get(0);
            String id = first.interval() + "/count-in";
            Length length = Length.ofSeconds(from);
            Place place = new Place(first.block(), first.line(), first.round(), first.set());
            list.put(place, id, Stretch.still(SegmentKind.COUNT_IN, first.move(), SideWay.NONE, length, false));
            segments.add(0, segments.remove(segments.size() - 1));
        }
    }

    /** The segments at their places, each rest that leads to a new move teaching it. */
    private List<Segment> laidOut() {
        List<Segment> segments = list.segments;
        List<Segment> placed = new ArrayList<>();
        Set<String> taught = new HashSet<>();
        Time<Axis.Plan> cursor = Time.zero();
        for (int i = 0; i < segments.size(); i++) {
            Segment segment = segments.get(i).movedTo(cursor);
            cursor = segment.end();
            Segment next = i + 1 < segments.size() ? segments.get(i + 1) : null;
            boolean leads = segment.kind() == SegmentKind.REST
                    && next != null
                    && next.kind().isMoving()
                    && next.line() != null;
            if (leads && next.demo() == Attribute.Demo.IN_REST && !taught.contains(next.move())) {
                segment = segment.teaching(next.move());
            }
            if (segment.kind().isMoving()) {
                taught.add(segment.move());
            }
            placed.add(segment);
        }
        return placed;
    }
}
