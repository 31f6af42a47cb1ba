package app.nosegay.plan.check;

import static app.nosegay.plan.check.FlowChecks.capital;

import app.nosegay.library.Move;
import app.nosegay.plan.Balance;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.edit.SheetOrder;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Sides, neighbours that load the same muscles, what is warmed up and what is stretched. */
final class BodyChecks {
    /** From here on two neighbours are worth a remark (docs/domain.md, "Body"). */
    private static final double OVERLAP = 0.6;

    private final PlanContext context;
    private final List<Finding> findings = new ArrayList<>();

    private BodyChecks(PlanContext context) {
        this.context = context;
    }

    static List<Finding> findings(PlanContext context) {
        BodyChecks checks = new BodyChecks(context);
        checks.evenSides();
        checks.oddRounds();
        checks.sideWays();
        checks.neighbours();
        if (!context.work().isEmpty()) {
            checks.findings.addAll(WarmUpChecks.findings(context));
        }
        return checks.findings;
    }

    private void evenSides() {
        Balance.SideShare left = context.balance().left();
        Balance.SideShare right = context.balance().right();
        String uneven = !left.time().equals(right.time())
                ? CoreText.of(
                        "plan.check.body-checks.the-left-side-works-the",
                        left.time().clock(),
                        right.time().clock())
                : left.reps() != right.reps()
                        ? CoreText.of("plan.check.body-checks.the-left-side-does-reps", left.reps(), right.reps())
                        : left.sets() != right.sets()
                                ? CoreText.of(
                                        "plan.check.body-checks.the-left-side-does-sets", left.sets(), right.sets())
                                : "";
        if (!uneven.isEmpty()) {
            findings.add(Finding.of("plan.sides-uneven", Severity.FIX, uneven)
                    .withFix(CoreText.of("plan.sides-uneven.fix")));
        }
    }

    /** Side by round with an odd number of rounds, side by set with an odd number of sets. */
    private void oddRounds() {
        Map<Integer, Segment> last = new java.util.LinkedHashMap<>();
        context.segments().stream()
                .filter(s -> s.way() == SideWay.ROUNDS || s.way() == SideWay.SETS)
                .forEach(s -> last.put(s.line().line(), s));
        for (Segment s : last.values()) {
            boolean sets = s.set() != null;
            int n = sets ? s.set() : s.round() == null ? 1 : s.round();
            if (n % 2 == 1) {
                Attribute word = sets ? Attribute.SETS : Attribute.ROUNDS;
                boolean own = s.line().attributes().has(word);
                int line = own ? s.line().line() : s.block().line();
                findings.add(Finding.at(
                                "plan.rounds-odd",
                                Severity.FIX,
                                s,
                                CoreText.of(
                                        "plan.rounds-odd.message",
                                        capital(s.move()),
                                        sets,
                                        n == 1
                                                ? CoreText.of("plan.rounds-odd.message-2")
                                                : CoreText.of("plan.rounds-odd.message-3", n)))
                        .withFix(
                                CoreText.of("plan.rounds-odd.fix", word.word(), n + 1),
                                SheetEdit.replace(
                                        word.word() + " " + n + " → " + (n + 1),
                                        line,
                                        SheetText.with(context.line(line), word, "" + (n + 1)))));
            }
        }
    }

    /** A one-sided move that does not say how its sides are shared, and the reverse. */
    private void sideWays() {
        Set<Integer> told = new HashSet<>();
        for (Segment s : context.segments()) {
            if (!s.kind().isMoving()
                    || s.kind() == SegmentKind.WARMUP
                    || s.line() == null
                    || s.line().parts().size() != 1) {
                continue;
            }
            Optional<Move> move = context.library().find(s.move());
            Attributes merged = s.line().attributes().over(s.block().attributes());
            boolean patterned = merged.rep().isPresent();
            boolean window = s.block().kind() == BlockKind.AMRAP && merged.has(Attribute.FOR);
            if (move.isEmpty() || window || patterned || !told.add(s.line().line())) {
                continue;
            }
            int line = s.line().line();
            if (!move.get().sided().isEmpty() && !move.get().has("alternates") && s.way() == SideWay.NONE) {
                String way = s.reps() != null ? "separate" : "halves";
                findings.add(Finding.at(
                                "plan.side-missing",
                                Severity.FIX,
                                s,
                                CoreText.of(
                                        "plan.side-missing.message",
                                        capital(s.move()),
                                        move.get().sided()))
                        .withFix(
                                CoreText.of("plan.side-missing.fix", way),
                                SheetEdit.replace(
                                        "sides " + way,
                                        line,
                                        SheetText.with(context.line(line), Attribute.SIDES, way))));
            } else if (move.get().sided().isEmpty()
                    && s.line().attributes().has(Attribute.SIDES)
                    && s.way() != SideWay.NONE
                    && s.line().attributes().list(Attribute.GEAR).isEmpty()) {
                findings.add(Finding.at(
                                "plan.side-needless",
                                Severity.NOTE,
                                s,
                                CoreText.of("plan.side-needless.message", capital(s.move())))
                        .withFix(
                                CoreText.of("plan.side-needless.fix"),
                                SheetEdit.replace(
                                        "no sides", line, SheetText.without(context.line(line), Attribute.SIDES))));
            }
        }
    }

    /** Neighbours that load the same muscles, where another order of their block would part them: else they are meant. */
    private void neighbours() {
        Set<Block> told = new HashSet<>();
        Segment before = null;
        for (Segment s : context.work()) {
            if (before != null
                    && !before.move().equals(s.move())
                    && !partOfEachOther(before, s)
                    && !isMeant(before, s)
                    && !told.contains(s.block())) {
                double overlap = Balance.overlap(context.moves(before), context.moves(s));
                List<Integer> better = overlap >= OVERLAP ? betterOrder(s.block()) : List.of();
                if (!better.isEmpty()) {
                    told.add(s.block());
                    List<Integer> order = better;
                    String names = String.join(
                            ", ",
                            order.stream()
                                    .map(i -> s.block().moves().get(i).name())
                                    .toList());
                    String name = CoreText.of("plan.overlap.fix", names);
                    findings.add(Finding.at(
                                    "plan.overlap",
                                    Severity.LOOK,
                                    s,
                                    CoreText.of("plan.overlap.message", capital(before.move()), s.move(), overlap))
                            .withFix(name, reordered(s.block(), name, order)));
                }
            }
            before = s;
        }
    }

    private List<Integer> betterOrder(Block block) {
        List<MoveLine> lines = block.moves();
        if (lines.size() > BlockOrder.MOST_MOVES) {
            return List.of();
        }
        List<List<Move>> moves =
                lines.stream().map(l -> context.library().parts(l.name())).toList();
        boolean[][] heavy = new boolean[lines.size()][lines.size()];
        for (int i = 0; i < lines.size(); i++) {
            for (int k = 0; k < lines.size(); k++) {
                heavy[i][k] = i != k && Balance.overlap(moves.get(i), moves.get(k)) >= OVERLAP;
            }
        }
        boolean again = block.attributes().number(Attribute.ROUNDS).orElse(1) > 1;
        return new BlockOrder(
                        heavy, lines.stream().map(l -> context.isLow(block, l)).toList(), again)
                .better();
    }

    private SheetEdit reordered(Block block, String name, List<Integer> order) {
        if (block.items().size() != block.moves().size()) {
            return null;
        }
        SheetOrder pieces = new SheetOrder(context.timeline().sheet());
        return pieces.inOrder(name, pieces.items(block), order);
    }

    /** Back to back on purpose, shown only, or in blocks of their own: nothing to look at. */
    private static boolean isMeant(Segment before, Segment s) {
        boolean shown = s.line() != null
                && s.line().attributes().over(s.block().attributes()).has(Attribute.SHOWN);
        return s.block() != before.block()
                || s.block().kind() == BlockKind.SUPERSET
                || s.block().kind() == BlockKind.BUILD
                || shown;
    }

    /** In a build A is followed by A+B on purpose. */
    private static boolean partOfEachOther(Segment a, Segment b) {
        return a.line() == b.line()
                || (a.line() != null
                        && b.line() != null
                        && a.line().line() == b.line().line());
    }
}
