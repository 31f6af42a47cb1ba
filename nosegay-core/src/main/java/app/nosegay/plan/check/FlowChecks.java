package app.nosegay.plan.check;

import app.nosegay.library.Move;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.edit.SheetOrder;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/** Can a person get from each stretch to the next: change-overs, trips to the floor, lengths that say nothing or differ. */
final class FlowChecks {
    /** Less than this is within what people make up for by hurrying. */
    private static final Length HURRY = Length.ofMillis(500);
    /** Back to back, people absorb this much in the first rep. */
    private static final Length FIRST_REP = Length.ofMillis(2500);
    /** Rests are written on this grid. */
    private static final double GRID_SECONDS = 5;

    /** Changing to a move of another gear or height in a superset takes a breath that belongs to it. */
    private static final Length WHILE_BREATHING = Length.ofSeconds(10);
    /** The weight goes to the other hand while the first repetition begins. */
    private static final Length FIRST_SIDE = Length.ofSeconds(5);

    /** Of a stretch or warm-up move, this share may go into getting there. */
    private static final double AT_EASE = 1.0 / 3;

    private final PlanContext context;
    private final List<Finding> findings = new ArrayList<>();
    private SheetOrder order;

    private FlowChecks(PlanContext context) {
        this.context = context;
    }

    static List<Finding> findings(PlanContext context) {
        FlowChecks checks = new FlowChecks(context);
        checks.changeOvers();
        checks.floorTrips();
        checks.lengths();
        checks.unstated();
        checks.minutes();
        checks.views();
        return checks.findings;
    }

    /** A change-over that does not fit, once per pair of lines. */
    private void changeOvers() {
        Set<String> told = new HashSet<>();
        for (ChangeOver c : context.changeOvers()) {
            if (isMeant(c)
                    || c.missing().compareTo(c.inRest() ? HURRY : FIRST_REP) <= 0
                    || !told.add(c.before().line().line() + " "
                            + c.segment().line().line() + " " + c.before().move() + c.inRest())) {
                continue;
            }
            String where = c.before().move().equals(c.segment().move())
                    ? c.segment().move()
                    : c.before().move() + " → " + c.segment().move();
            if (c.inRest()) {
                findings.add(Finding.at(
                                "plan.change-over",
                                Severity.FIX,
                                c.segment(),
                                CoreText.of(
                                        "plan.change-over.message",
                                        where,
                                        ChangeOver.seconds(c.needed()),
                                        c.describe(),
                                        ChangeOver.seconds(c.available())))
                        .withFix(
                                CoreText.of(
                                        "plan.change-over.fix",
                                        gridUp(c.needed()).clock()),
                                longerRest(c)));
            } else {
                boolean side = c.before().line().line() == c.segment().line().line();
                findings.add(Finding.at(
                                "plan.back-to-back",
                                side ? Severity.NOTE : Severity.LOOK,
                                c.segment(),
                                CoreText.of(
                                        "plan.back-to-back.message",
                                        where,
                                        ChangeOver.seconds(c.needed()),
                                        c.describe()))
                        .withFix(
                                CoreText.of(
                                        "plan.back-to-back.fix",
                                        gridUp(c.needed()).clock()),
                                pause(c, side)));
            }
        }
    }

    /** Back to back is what a superset is for, and a side is changed in the first repetition. */
    private static boolean isMeant(ChangeOver c) {
        boolean superset = c.segment().block() == c.before().block()
                && c.segment().block().kind() == BlockKind.SUPERSET
                && c.missing().compareTo(WHILE_BREATHING) <= 0;
        boolean side = c.before().line().line() == c.segment().line().line()
                && c.missing().compareTo(FIRST_SIDE) <= 0;
        boolean atEase = c.segment().kind() != SegmentKind.WORK
                && c.missing().compareTo(c.segment().duration().times(AT_EASE)) <= 0;
        return !c.inRest() && (superset || side || atEase);
    }

    private static Length gridUp(Length length) {
        return Length.ofSeconds(Math.ceil(length.seconds() / GRID_SECONDS) * GRID_SECONDS);
    }

    /** The edit that lengthens the rest before {@code c}, where that rest has a line of its own or follows a move. */
    private SheetEdit longerRest(ChangeOver c) {
        int at = context.segments().indexOf(c.segment());
        Segment rest = context.segments().get(at - 1);
        if (rest.kind() != SegmentKind.REST) {
            return null;
        }
        String clock = gridUp(rest.duration().plus(c.missing())).clock();
        String name = CoreText.of("plan.check.flow-checks.rest", rest.duration().clock(), clock);
        if (rest.line() != null) {
            boolean roundRest = rest.block().attributes().has(Attribute.ROUND_REST)
                    && !Objects.equals(rest.round(), c.segment().round());
            int line = roundRest ? rest.block().line() : rest.line().line();
            Attribute word = roundRest ? Attribute.ROUND_REST : Attribute.REST;
            boolean afterSet = rest.block().kind() == BlockKind.SUPERSET;
            line = afterSet ? rest.block().line() : line;
            return SheetEdit.replace(name, line, SheetText.with(context.line(line), word, clock));
        }
        int line = rest.block().kind() == BlockKind.REST ? rest.block().line() : writtenRest(rest);
        return line == 0 ? null : SheetEdit.replace(name, line, SheetText.withLength(context.line(line), clock));
    }

    private static int writtenRest(Segment rest) {
        return rest.block().items().stream()
                .filter(RunSheet.RestLine.class::isInstance)
                .map(RunSheet.RestLine.class::cast)
                .filter(r -> rest.id().endsWith("/" + r.slug()))
                .mapToInt(RunSheet.RestLine::line)
                .findFirst()
                .orElse(0);
    }

    private SheetEdit pause(ChangeOver c, boolean side) {
        int line = c.before().line().line();
        Attribute word = side ? Attribute.SIDE_REST : Attribute.REST;
        String clock = gridUp(c.needed()).clock();
        return SheetEdit.replace(word.word() + " " + clock, line, SheetText.with(context.line(line), word, clock));
    }

    /** A block whose order goes to the floor and up again more than once a round. */
    private void floorTrips() {
        for (Block block : context.timeline().sheet().blocks()) {
            List<MoveLine> moves = block.moves();
            boolean known = moves.stream()
                    .allMatch(m -> !context.library().parts(m.name()).isEmpty());
            List<Boolean> low = moves.stream().map(m -> context.isLow(block, m)).toList();
            int trips = 0;
            for (int i = 0; i < low.size(); i++) {
                trips += low.get(i) && (i == 0 || !low.get(i - 1)) ? 1 : 0;
            }
            if (trips > 1 && known) {
                Segment first = context.segments().stream()
                        .filter(s -> s.block() == block && s.line() == moves.get(0))
                        .findFirst()
                        .orElse(null);
                if (first != null) {
                    findings.add(Finding.at(
                                    "plan.floor-trips",
                                    Severity.FIX,
                                    first,
                                    CoreText.of("plan.floor-trips.message", capital(block.name()), trips))
                            .onLine(block.line())
                            .withFix(CoreText.of("plan.floor-trips.fix"), floorTogether(block, low)));
                }
            }
        }
    }

    /** The edit that puts standing moves first and floor moves behind; only where the block holds nothing but moves. */
    private SheetEdit floorTogether(Block block, List<Boolean> low) {
        if (block.items().size() != block.moves().size()) {
            return null;
        }
        order = order == null ? new SheetOrder(context.timeline().sheet()) : order;
        List<Integer> sorted = new ArrayList<>();
        for (int pass = 0; pass < 2; pass++) {
            for (int i = 0; i < low.size(); i++) {
                if (low.get(i) == (pass == 1)) {
                    sorted.add(i);
                }
            }
        }
        return order.inOrder(CoreText.of("plan.check.flow-checks.floor-moves-together"), order.items(block), sorted);
    }

    /** The same move by the clock at different lengths. */
    private void lengths() {
        Map<String, Segment> first = new HashMap<>();
        Set<String> told = new HashSet<>();
        for (Segment s : context.work()) {
            if (s.reps() != null || s.side() == null) {
                continue;
            }
            Segment before = first.putIfAbsent(s.move() + " " + (s.way() + "" + s.side()), s);
            if (before != null && !before.duration().equals(s.duration()) && told.add(s.move())) {
                findings.add(Finding.at(
                        "plan.lengths-differ",
                        Severity.NOTE,
                        s,
                        CoreText.of(
                                "plan.lengths-differ.message",
                                capital(s.move()),
                                before.duration().clock(),
                                before.start(),
                                s.duration().clock(),
                                s.start())));
            }
        }
    }

    /** Work that does not say when it ends, and blocks with nothing in them. */
    private void unstated() {
        for (Block block : context.timeline().sheet().blocks()) {
            boolean still = block.kind() == BlockKind.TALK || block.kind() == BlockKind.REST;
            if (still && block.length() == null) {
                findings.add(Finding.of(
                                "plan.length-unstated",
                                Severity.LOOK,
                                CoreText.of(
                                        "plan.length-unstated.message",
                                        capital(block.name()),
                                        block.kind() == BlockKind.TALK))
                        .onLine(block.line()));
            } else if (!still && block.moves().isEmpty()) {
                findings.add(Finding.of(
                                "plan.block-empty",
                                Severity.LOOK,
                                CoreText.of("plan.block-empty.message", capital(block.name())))
                        .onLine(block.line()));
            }
        }
        Set<Integer> told = new HashSet<>();
        for (Segment s : context.segments()) {
            if (s.kind().isMoving()
                    && s.line() != null
                    && saysNoEnd(s)
                    && told.add(s.block().line())) {
                int line = s.block().line();
                findings.add(Finding.at(
                                "plan.length-unstated",
                                Severity.FIX,
                                s,
                                CoreText.of("plan.length-unstated.message-2", capital(s.move())))
                        .onLine(line)
                        .withFix(
                                CoreText.of("plan.length-unstated.fix"),
                                SheetEdit.replace(
                                        "work 0:40",
                                        line,
                                        SheetText.with(context.line(line), Attribute.WORK, "0:40"))));
            }
        }
    }

    private static boolean saysNoEnd(Segment s) {
        Attributes merged = s.line().attributes().over(s.block().attributes());
        return !merged.has(Attribute.WORK)
                && !merged.has(Attribute.EACH)
                && !merged.has(Attribute.REPS)
                && !merged.has(Attribute.HOLD)
                && !merged.has(Attribute.COUNTS)
                && !merged.has(Attribute.SHOWN)
                && !(s.block().kind() == BlockKind.AMRAP && merged.has(Attribute.FOR));
    }

    /** An every-minute block whose work does not fit its minute. */
    private void minutes() {
        Map<String, Length> byMinute = new HashMap<>();
        Set<Integer> told = new HashSet<>();
        for (Segment s : context.segments()) {
            if (s.block().kind() == BlockKind.EVERY_MINUTE && s.kind() != SegmentKind.REST) {
                Length sum = byMinute.merge(s.block().slug() + " " + s.round(), s.duration(), Length::plus);
                if (sum.seconds() > 60 && told.add(s.line().line())) {
                    findings.add(Finding.at(
                                    "plan.minute-overrun",
                                    Severity.FIX,
                                    s,
                                    CoreText.of("plan.minute-overrun.message", capital(s.move()), sum.clock()))
                            .withFix(CoreText.of("plan.minute-overrun.fix")));
                }
            }
        }
    }

    /** Where most views are planned, a move that is never shown in the view that shows its usual fault. */
    private void views() {
        List<Segment> work = context.work();
        long viewed = work.stream()
                .filter(s -> s.line() != null
                        && (s.line().attributes().over(s.block().attributes()).has(Attribute.ANGLE)
                                || !s.line().turns().isEmpty()))
                .count();
        boolean planned = viewed * 2 > work.size();
        Set<String> told = new HashSet<>();
        for (Segment s : planned ? context.work() : List.<Segment>of()) {
            for (Move move : context.moves(s)) {
                Attributes merged = s.line().attributes().over(s.block().attributes());
                boolean shown = merged.words(Attribute.ANGLE)
                                .filter(a -> a.contains(move.view()))
                                .isPresent()
                        || s.line().turns().stream().anyMatch(t -> t.view().contains(move.view()));
                if (!shown && told.add(move.name())) {
                    findings.add(Finding.at(
                            "plan.view-missing",
                            Severity.NOTE,
                            s,
                            CoreText.of("plan.view-missing.message", capital(move.name()), move.view())));
                }
            }
        }
    }

    static String capital(String text) {
        return text.isEmpty() ? text : Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }
}
