package app.nosegay.plan;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.RunSheet.Block;
import app.nosegay.plan.RunSheet.Item;
import app.nosegay.plan.RunSheet.MoveLine;
import app.nosegay.plan.RunSheet.RestLine;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Expands a run sheet to its timeline by the rules of CONTRACTS.md section 2. */
public final class Expansion {
    private static final Length SWITCH = Length.ofSeconds(5);
    private static final Length TALK = Length.ofSeconds(30);
    private static final Length REST_BLOCK = Length.ofSeconds(60);
    private static final Length LEAST_DEMO = Length.ofSeconds(10);
    private static final Length MINUTE = Length.ofSeconds(60);
    /** A sheet cannot grow past this: a typing slip such as "rounds 9999" must not take the machine down. */
    private static final int MOST_SEGMENTS = 20_000;

    private final RunSheet sheet;
    private final MoveLibrary library;
    private final List<Segment> segments = new ArrayList<>();
    private final Set<String> demonstrated = new HashSet<>();

    private Expansion(RunSheet sheet, MoveLibrary library) {
        this.sheet = sheet;
        this.library = library;
    }

    public static Timeline expand(RunSheet sheet, MoveLibrary library) {
        Expansion expansion = new Expansion(sheet, library);
        for (int i = 0; i < sheet.blocks().size(); i++) {
            int from = expansion.segments.size();
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
        add(
                new Place(block, null, null, null),
                block.slug(),
                block.slug(),
                kind,
                active,
                null,
                SideWay.NONE,
                length,
                null,
                null,
                open);
    }

    /** Circuits, and all blocks that go through their list the same way: warm-up, AMRAP, phrase, cool-down. */
    private void circuit(Block block) {
        if (block.kind() == BlockKind.AMRAP && block.attributes().has(Attribute.FOR)) {
            window(block);
            return;
        }
        int rounds = block.attributes().number(Attribute.ROUNDS).orElse(1);
        boolean numbered = rounds > 1;
        Length window = block.attributes().length(Attribute.FOR).orElse(null);
        if (window != null) {
            int before = segments.size();
            round(block, 1, null);
            Length one = lengthFrom(before);
            segments.subList(before, segments.size()).clear();
            rounds = one.isPositive() ? (int) Math.max(1, window.micros() / one.micros()) : 1;
            numbered = true;
        }
        for (int r = 1; r <= rounds && segments.size() < MOST_SEGMENTS; r++) {
            round(block, r, numbered ? r : null);
        }
    }

    private void round(Block block, int r, Integer shown) {
        Attributes attributes = block.attributes();
        if (attributes.sides() == SideWay.CHAIN) {
            for (Side side : List.of(
                    startSide(block, attributes), startSide(block, attributes).other())) {
                boolean first = side == startSide(block, attributes);
                for (MoveLine move : block.moves()) {
                    Place place = new Place(block, move, shown, null);
                    boolean ownWay = move.attributes().has(Attribute.SIDES);
                    if (ownWay && !first) {
                        continue; // a move with its own way is done once, with the first side
                    }
                    if (ownWay) {
                        move(place, r);
                    } else {
                        oneSide(place, lengthOf(place, r), side, SideWay.CHAIN, first);
                    }
                    rest(
                            place.withPart(side.word()),
                            attributes.pause(Attribute.REST).orElse(null));
                }
            }
        } else {
            for (Item item : block.items()) {
                if (item instanceof MoveLine move) {
                    Place place = new Place(block, move, shown, null);
                    move(place, r);
                    rest(
                            place,
                            move.attributes()
                                    .over(attributes)
                                    .pause(Attribute.REST)
                                    .orElse(null));
                } else if (item instanceof RestLine rest) {
                    writtenRest(block, rest, shown, null);
                }
            }
        }
        attributes.pause(Attribute.ROUND_REST).ifPresent(roundRest -> replaceLastRest(block, shown, roundRest));
    }

    /** The round rest replaces the rest after the round's last work, or is added where there is none. */
    private void replaceLastRest(Block block, Integer round, Pause roundRest) {
        Segment last = segments.get(segments.size() - 1);
        Place place = new Place(block, last.line(), round, null);
        if (last.kind() == SegmentKind.REST) {
            segments.remove(segments.size() - 1);
        }
        rest(place, roundRest);
    }

    private void window(Block block) {
        Length length = block.attributes().length(Attribute.FOR).orElseThrow();
        List<String> names = block.moves().stream().map(MoveLine::name).toList();
        MoveLine first = block.moves().isEmpty() ? null : block.moves().get(0);
        add(
                new Place(block, first, null, null),
                block.slug(),
                block.slug(),
                block.kind().moveKind(),
                String.join(", ", names),
                Side.BOTH,
                SideWay.NONE,
                length,
                null,
                null,
                false);
        rest(
                new Place(block, first, null, null),
                block.attributes().pause(Attribute.REST).orElse(null));
    }

    private void sets(Block block) {
        int sets = block.attributes()
                .number(Attribute.SETS)
                .or(() -> block.attributes().number(Attribute.ROUNDS))
                .orElse(1);
        for (int s = 1; s <= sets && segments.size() < MOST_SEGMENTS; s++) {
            Place last = null;
            for (Item item : block.items()) {
                if (item instanceof MoveLine move) {
                    last = new Place(block, move, null, s);
                    move(last, s);
                    rest(last, move.attributes().pause(Attribute.REST).orElse(null));
                } else if (item instanceof RestLine rest) {
                    writtenRest(block, rest, null, s);
                }
            }
            if (last != null) {
                rest(last, block.attributes().pause(Attribute.REST).orElse(null));
            }
        }
    }

    private void straightSets(Block block) {
        for (Item item : block.items()) {
            if (item instanceof MoveLine move) {
                Attributes merged = move.attributes().over(block.attributes());
                int sets = merged.number(Attribute.SETS)
                        .orElse(merged.reps().map(r -> r.perSet().size()).orElse(1));
                for (int s = 1; s <= sets && segments.size() < MOST_SEGMENTS; s++) {
                    Place place = new Place(block, move, null, s);
                    move(place, s);
                    rest(place, merged.pause(Attribute.REST).orElse(null));
                }
            } else if (item instanceof RestLine rest) {
                writtenRest(block, rest, null, null);
            }
        }
    }

    private void everyMinute(Block block) {
        List<MoveLine> moves = block.moves();
        int minutes = block.attributes().number(Attribute.MINUTES).orElse(moves.size());
        for (int minute = 1; minute <= minutes && !moves.isEmpty() && segments.size() < MOST_SEGMENTS; minute++) {
            Place place = new Place(block, moves.get((minute - 1) % moves.size()), minute, null);
            int before = segments.size();
            move(place, minute);
            Length left = MINUTE.minus(lengthFrom(before));
            if (left.isPositive()) {
                rest(place, new Pause(left, left, left, false));
            }
        }
    }

    /** A, B, then A+B: the parts of a compound are done alone first. */
    private void build(Block block) {
        int rounds = block.attributes().number(Attribute.ROUNDS).orElse(1);
        for (int r = 1; r <= rounds && segments.size() < MOST_SEGMENTS; r++) {
            Integer shown = rounds > 1 ? r : null;
            Slug slugs = new Slug();
            for (MoveLine move : block.moves()) {
                if (move.parts().size() > 1) {
                    for (String part : move.parts()) {
                        buildStep(block, alone(move, part, slugs.next(part)), shown, r);
                    }
                }
                buildStep(block, move, shown, r);
            }
        }
    }

    private void buildStep(Block block, MoveLine move, Integer round, int r) {
        Place place = new Place(block, move, round, null);
        move(place, r);
        rest(
                place,
                move.attributes().over(block.attributes()).pause(Attribute.REST).orElse(null));
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

    private void move(Place written, int index) {
        Place place = written.overridden(index);
        demoBefore(place);
        WorkLength length = lengthOf(place, index);
        Attributes merged = place.move.attributes().over(place.block.attributes());
        SideWay way = merged.sides();
        Side start = startSide(place.block, merged);
        switch (way) {
            case HALVES -> halves(place, length, start);
            case SEPARATE -> {
                oneSide(place, length, start, way, true);
                merged.length(Attribute.SIDE_REST)
                        .filter(Length::isPositive)
                        .ifPresent(l -> rest(place.withPart(start.word()), new Pause(l, l, l, false)));
                oneSide(place, length, start.other(), way, false);
            }
            case ROUNDS, SETS -> {
                Side side = index % 2 == 1 ? start : start.other();
                work(place, place.id(null), place.id(null), side, way, length.length(), length.reps(), length);
            }
            case NONE, ALTERNATE, FREE, CHAIN -> {
                Integer reps =
                        length.reps() != null && length.eachSide() && way == SideWay.ALTERNATE && length.fromReps()
                                ? Integer.valueOf(2 * length.reps())
                                : length.reps();
                Length time = length.fromReps() && length.eachSide() && way == SideWay.ALTERNATE
                        ? length.length().times(2)
                        : length.length();
                work(place, place.id(null), place.id(null), Side.BOTH, way, time, reps, length);
            }
        }
    }

    private void halves(Place place, WorkLength length, Side start) {
        Attributes merged = place.move.attributes().over(place.block.attributes());
        Length change = merged.length(Attribute.SWITCH).orElse(SWITCH);
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
        work(place, place.id(start.word()), interval, start, SideWay.HALVES, first, length.repsOfSide(true), length);
        if (change.isPositive()) {
            add(
                    place,
                    place.id("switch"),
                    interval,
                    SegmentKind.SWITCH,
                    place.move.name(),
                    null,
                    SideWay.HALVES,
                    change,
                    null,
                    null,
                    false);
        }
        work(
                place,
                place.id(start.other().word()),
                interval,
                start.other(),
                SideWay.HALVES,
                second,
                length.repsOfSide(false),
                length);
    }

    private void oneSide(Place place, WorkLength length, Side side, SideWay way, boolean first) {
        String id = place.id(side.word());
        work(place, id, id, side, way, length.ofSide(first), length.repsOfSide(first), length);
    }

    private void work(
            Place place,
            String id,
            String interval,
            Side side,
            SideWay way,
            Length time,
            Integer reps,
            WorkLength length) {
        add(
                place,
                id,
                interval,
                place.block.kind().moveKind(),
                place.shownMove(),
                side,
                way,
                time,
                reps,
                length,
                length.open());
    }

    private void demoBefore(Place place) {
        Attributes merged = place.move.attributes().over(place.block.attributes());
        if (merged.demo() == Attribute.Demo.BEFORE && demonstrated.add(place.move.name())) {
            Length needed = Length.max(LEAST_DEMO, secondsTheCuesNeed(place.move));
            Length time = merged.length(Attribute.DEMO_TIME).orElse(needed);
            add(
                    place,
                    place.id("demo"),
                    place.id("demo"),
                    SegmentKind.DEMO,
                    place.move.name(),
                    null,
                    SideWay.NONE,
                    time,
                    null,
                    null,
                    false);
            Segment demo = segments.remove(segments.size() - 1);
            segments.add(demo.teaching(place.move.name()));
        }
    }

    /** What a demonstration has to hold: set-up and first form cue, the sheet's own before the library's; up to a whole second. */
    private Length secondsTheCuesNeed(MoveLine move) {
        Length total = Length.ZERO;
        for (CueKind kind : List.of(CueKind.SETUP, CueKind.FORM, CueKind.EASIER)) {
            String own = move.cues().stream()
                    .filter(c -> c.kind() == kind)
                    .map(RunSheet.Cue::text)
                    .findFirst()
                    .orElse(null);
            String text = own != null
                    ? own
                    : library.find(move.name()).map(m -> first(m, kind)).orElse("");
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

    private void rest(Place place, Pause pause) {
        if (pause != null && pause.planned().isPositive()) {
            String active = place.move == null
                    ? null
                    : place.move
                            .attributes()
                            .over(place.block.attributes())
                            .words(Attribute.ACTIVE)
                            .orElse(null);
            add(
                    place,
                    place.id("rest"),
                    place.id("rest"),
                    SegmentKind.REST,
                    active,
                    null,
                    SideWay.NONE,
                    pause.planned(),
                    null,
                    null,
                    pause.open());
        }
    }

    private void writtenRest(Block block, RestLine rest, Integer round, Integer set) {
        Place place = new Place(block, null, round, set);
        String id = place.id(rest.slug());
        String active = rest.attributes().words(Attribute.ACTIVE).orElse(null);
        add(
                place,
                id,
                id,
                SegmentKind.REST,
                active,
                null,
                SideWay.NONE,
                rest.pause().planned(),
                null,
                null,
                rest.pause().open());
    }

    /** A block's last rest goes where a rest or talk follows, a demonstration follows, or the sheet ends. */
    private void dropLastRest(int from, int index) {
        Block block = sheet.blocks().get(index);
        boolean hasRest = segments.size() > from
                && segments.get(segments.size() - 1).kind() == SegmentKind.REST
                && block.kind() != BlockKind.REST;
        if (!hasRest
                || (block.attributes().has(Attribute.REST_AFTER_LAST)
                        && block.attributes().flag(Attribute.REST_AFTER_LAST))) {
            return;
        }
        boolean asked = block.attributes().has(Attribute.REST_AFTER_LAST);
        if (asked || index + 1 == sheet.blocks().size()) {
            segments.remove(segments.size() - 1);
            return;
        }
        Block next = sheet.blocks().get(index + 1);
        boolean demoFollows = !next.moves().isEmpty()
                && next.moves().get(0).attributes().over(next.attributes()).demo() == Attribute.Demo.BEFORE
                && !demonstrated.contains(next.moves().get(0).name());
        if (next.kind() == BlockKind.REST || next.kind() == BlockKind.TALK || demoFollows) {
            segments.remove(segments.size() - 1);
        }
    }

    /** A sheet that starts with movement gets a count-in of its own. */
    private void countIn() {
        int from = sheet.header().calls().countIn();
        if (from > 0 && !segments.isEmpty() && segments.get(0).kind().isMoving()) {
            Segment first = segments.get(0);
            String id = first.interval() + "/count-in";
            Length length = Length.ofSeconds(from);
            segments.add(
                    0,
                    new Segment(
                            id,
                            id,
                            SegmentKind.COUNT_IN,
                            first.move(),
                            first.block(),
                            first.line(),
                            first.round(),
                            first.set(),
                            null,
                            SideWay.NONE,
                            Time.zero(),
                            length,
                            null,
                            null,
                            null,
                            false));
        }
    }

    /** The segments at their places, each rest that leads to a new move teaching it. */
    private List<Segment> laidOut() {
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
            if (leads && demoOf(next) == Attribute.Demo.IN_REST && !taught.contains(next.move())) {
                segment = segment.teaching(next.move());
            }
            if (segment.kind().isMoving()) {
                taught.add(segment.move());
            }
            placed.add(segment);
        }
        return placed;
    }

    private static Attribute.Demo demoOf(Segment segment) {
        return segment.line().attributes().over(segment.block().attributes()).demo();
    }

    private Side startSide(Block block, Attributes merged) {
        return merged.start()
                .or(() -> block.attributes().start())
                .orElse(sheet.header().start())
                .side();
    }

    private WorkLength lengthOf(Place place, int index) {
        return WorkLength.of(
                place.move,
                place.block,
                place.move.attributes(),
                index,
                library,
                sheet.header().bpm());
    }

    private Length lengthFrom(int index) {
        return segments.subList(index, segments.size()).stream()
                .map(Segment::duration)
                .reduce(Length.ZERO, Length::plus);
    }

    private void add(
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
        if (segments.size() < MOST_SEGMENTS) {
            segments.add(new Segment(
                    id,
                    interval,
                    kind,
                    move,
                    place.block,
                    place.move,
                    place.round,
                    place.set,
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

    /** Where in the sheet a segment comes from, and how its id begins. */
    private record Place(Block block, MoveLine move, Integer round, Integer set, String infix, String instead) {
        Place(Block block, MoveLine move, Integer round, Integer set) {
            this(block, move, round, set, null, null);
        }

        Place withPart(String part) {
            return new Place(block, move, round, set, part, instead);
        }

        String shownMove() {
            return instead != null ? instead : move.name();
        }

        /** This place with what its round or set changes. */
        Place overridden(int index) {
            MoveLine line = move;
            String other = null;
            for (RunSheet.Override o : move.overrides()) {
                if (o.index() == index) {
                    line = new MoveLine(
                            line.line(),
                            line.name(),
                            line.slug(),
                            line.parts(),
                            o.attributes().over(line.attributes()),
                            line.cues(),
                            line.levels(),
                            line.overrides(),
                            line.turns());
                    other = o.move() == null ? other : o.move();
                }
            }
            return new Place(block, line, round, set, infix, other);
        }

        String id(String part) {
            StringBuilder id = new StringBuilder(block.slug());
            if (move != null) {
                id.append('/').append(move.slug());
            }
            if (round != null) {
                id.append("/r").append(round);
            }
            if (set != null) {
                id.append("/s").append(set);
            }
            if (infix != null) {
                id.append('/').append(infix);
            }
            return part == null ? id.toString() : id.append('/').append(part).toString();
        }
    }
}
