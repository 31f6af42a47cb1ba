package app.nosegay.plan.fit;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.library.MuscleGroup;
import app.nosegay.plan.Balance;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.PlanCheck;
import app.nosegay.plan.edit.SheetOrder;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.Promise;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;

/** Changes of a workout's build that could keep its promise, before lengths are turned: rounds or sets, a move dropped or added. */
final class BuildChanges {
    /** A round more or less weighs as much as this in changed seconds; see {@link LengthSolver}. */
    private static final double PER_ROUND = 60;

    private static final double PER_MOVE_DROPPED = 90;
    private static final double PER_BONUS_DROPPED = 30;
    private static final double PER_MOVE_ADDED = 100;

    /** An offer that breaks the promised number of moves or rounds comes last. */
    private static final double BREAKS_A_NUMBER = 1000;

    private final Timeline timeline;
    private final MoveLibrary library;
    private final FitRanges ranges;
    private final Promise promise;
    private final ToDoubleFunction<Length> wanted;
    private final String text;
    private final List<Candidate> candidates = new ArrayList<>();

    private BuildChanges(
            Timeline timeline, MoveLibrary library, FitRanges ranges, ToDoubleFunction<Length> wanted, String text) {
        this.timeline = timeline;
        this.library = library;
        this.ranges = ranges;
        this.promise = timeline.sheet().header().promise();
        this.wanted = wanted;
        this.text = text;
    }

    /**
     * The changes, the likeliest first.
     *
     * @param wanted seconds to add to a length so that the promise is kept
     * @param text the sheet's, with plain line ends
     */
    static List<Candidate> of(
            Timeline timeline, MoveLibrary library, FitRanges ranges, ToDoubleFunction<Length> wanted, String text) {
        BuildChanges changes = new BuildChanges(timeline, library, ranges, wanted, text);
        changes.rounds();
        changes.drops();
        changes.adds();
        changes.candidates.sort(Comparator.comparingDouble(Candidate::rank));
        return changes.candidates;
    }

    /** A change of the workout's build, before its lengths are turned. */
    record Candidate(String kind, String name, String change, String text, Timeline timeline, double cost, double off) {
        double rank() {
            return cost + Math.abs(off);
        }
    }

    private void candidate(String kind, String name, String change, String text, double cost) {
        Timeline after = Fitter.expanded(text, library);
        double off = wanted.applyAsDouble(PlanCheck.measured(after));
        candidates.add(new Candidate(kind, name, change, text, after, cost + numbers(after), off));
    }

    /** What an offer costs beyond its seconds because it breaks another part of the promise. */
    private double numbers(Timeline after) {
        boolean moves = promise.moves() != null
                && promise.moves() != after.workMoves(false).size()
                && promise.moves() != after.workMoves(true).size();
        boolean before = promise.moves() != null
                && promise.moves() != timeline.workMoves(false).size()
                && promise.moves() != timeline.workMoves(true).size();
        return moves && !before ? BREAKS_A_NUMBER : 0;
    }

    private void rounds() {
        for (Block block : timeline.sheet().blocks()) {
            boolean sets = block.kind() == BlockKind.SUPERSET || block.kind() == BlockKind.STRAIGHT_SETS;
            boolean counted = block.kind() == BlockKind.CIRCUIT || block.kind() == BlockKind.BUILD || sets;
            Attribute word = sets && !block.attributes().has(Attribute.ROUNDS) ? Attribute.SETS : Attribute.ROUNDS;
            if (!counted || block.moves().isEmpty() || block.attributes().has(Attribute.FOR)) {
                continue;
            }
            int now = block.attributes().number(word).orElse(1);
            for (int n = ranges.roundsLeast(); n <= ranges.roundsMost(); n++) {
                if (n != now) {
                    rounds(block, word, now, n);
                }
            }
        }
    }

    private void rounds(Block block, Attribute word, int now, int n) {
        int by = Math.abs(n - now);
        boolean overNumber = promise.rounds() != null && n != promise.rounds() && word == Attribute.ROUNDS;
        String line = SheetText.line(text, block.line());
        candidate(
                word.word(),
                CoreText.of(
                        "plan.fit.fitter.fewer-of",
                        by == 1 ? CoreText.of("plan.fit.fitter.one") : "" + by,
                        n < now,
                        word.word().replaceAll("s$", by == 1 ? "" : "s"),
                        block.name()),
                CoreText.of("plan.fit.fitter.in", word.word(), now, n, block.name()),
                SheetEdit.replace("", block.line(), SheetText.with(line, word, "" + n))
                        .apply(text),
                PER_ROUND * by + (overNumber ? BREAKS_A_NUMBER : 0));
    }

    private void drops() {
        if (wanted.applyAsDouble(PlanCheck.measured(timeline)) >= 0) {
            return;
        }
        SheetOrder order = new SheetOrder(timeline.sheet());
        for (Block block : timeline.sheet().blocks()) {
            List<SheetOrder.Range> items = order.items(block);
            for (int i = 0; i < block.items().size(); i++) {
                if (!(block.items().get(i) instanceof MoveLine move)
                        || block.moves().size() < 2) {
                    continue;
                }
                boolean bonus = move.attributes().over(block.attributes()).flag(Attribute.BONUS);
                String after = SheetEdit.delete(
                                "",
                                items.get(i).from(),
                                items.get(i).to() - items.get(i).from())
                        .apply(text);
                candidate(
                        "drop",
                        CoreText.of("plan.fit.fitter.leave-out", move.name()),
                        CoreText.of("plan.fit.fitter.without-bonus", move.name(), bonus),
                        after,
                        bonus ? PER_BONUS_DROPPED : PER_MOVE_DROPPED);
            }
        }
    }

    /** A move that loads what is loaded least, with gear that is there already. */
    private void adds() {
        if (wanted.applyAsDouble(PlanCheck.measured(timeline)) <= 0) {
            return;
        }
        Optional<Move> move = wantedMove();
        for (Block block : timeline.sheet().blocks()) {
            if (move.isEmpty()
                    || block.kind() != BlockKind.CIRCUIT
                    || block.moves().isEmpty()) {
                continue;
            }
            List<SheetOrder.Range> items = new SheetOrder(timeline.sheet()).items(block);
            String sides = move.get().sided().isEmpty() || move.get().has("alternates") ? "" : "  sides halves";
            String after = SheetEdit.insert(
                            "",
                            items.get(items.size() - 1).to(),
                            List.of("  " + move.get().name() + sides))
                    .apply(text);
            candidate(
                    "add",
                    CoreText.of("plan.fit.fitter.add", move.get().name()),
                    CoreText.of("plan.fit.fitter.with-in", move.get().name(), block.name()),
                    after,
                    PER_MOVE_ADDED);
        }
    }

    private Optional<Move> wantedMove() {
        Balance balance = Balance.of(timeline, library);
        Set<String> there = new HashSet<>();
        timeline.segments().forEach(s -> s.moves(library).forEach(m -> {
            there.addAll(m.gear());
            there.add(m.name());
        }));
        return library.moves().stream()
                .filter(m -> !m.pattern().equals("mobility") && !m.pattern().equals("stretch"))
                .filter(m -> there.containsAll(m.gear()) && !there.contains(m.name()))
                .filter(m -> !m.has("impact")
                        && promise.absent().stream().noneMatch(a -> a.startsWith("floor") && m.isOnFloor()))
                .min(Comparator.comparingDouble(m -> m.primary().stream()
                        .mapToDouble(g -> load(balance, g))
                        .average()
                        .orElse(1e9)));
    }

    private static double load(Balance balance, MuscleGroup group) {
        return balance.muscles().getOrDefault(group, Length.ZERO).seconds();
    }
}
