package app.nosegay.plan.bed;

import app.nosegay.library.Move;
import app.nosegay.library.Move.Height;
import app.nosegay.library.MoveLibrary;
import app.nosegay.library.MuscleGroup;
import app.nosegay.library.MuscleGroup.Region;
import app.nosegay.plan.Balance;
import app.nosegay.plan.check.Absence;
import app.nosegay.plan.check.Audience;
import app.nosegay.plan.check.Cautions;
import app.nosegay.plan.check.GearItem;
import app.nosegay.plan.check.GearList;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.Item;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What could be done at a place of the plan: moves that make up what the balance lacks, with the gear at hand, without the cautions of the
 * audience, without a needless way to the floor, unlike their neighbours. Each says why.
 */
public final class MoveSuggestions {
    /** A minute that one side of a balance lacks is worth this much; three times it at most. */
    private static final double LACK_PER_MINUTE = 1;

    private static final double MOST_LACK = 3;
    /** A move for a muscle group nothing trains yet. */
    private static final double UNTRAINED = 0.8;
    /** Fits without getting up or down; a way that its neighbours do not need anyway costs more than that. */
    private static final double STAYS = 0.4;

    private static final double WAY = 1.5;
    private static final double GEAR_AT_HAND = 0.4;
    private static final double GEAR_MISSING = 4;
    /** The same muscles as a neighbour; {@code Balance.overlap} from here on is a remark. */
    private static final double OVERLAP = 0.6;

    private static final double ALIKE = 2;
    private static final double IN_PLAN = 6;
    private static final double LAST_WEEK = 1.5;
    private static final double OPTION = 0.7;
    private static final double CAUTION = 0.3;
    /** No more of one pattern, so that there is a choice. */
    private static final int MOST_OF_A_PATTERN = 3;

    private static final Length NOTHING_LACKS = Length.ofSeconds(20);

    private final PlanReport report;
    private final MoveLibrary library;
    private final Block block;
    private final List<Move> neighbours;
    private final Set<String> lastWeek;
    private final Set<String> inPlan;
    private final Set<String> gear;
    private final List<Cautions.Rule> rules;
    private final Set<MuscleGroup> prepared;

    /** A move and why it is proposed, in a few words. */
    public record Suggestion(Move move, String why) {}

    private MoveSuggestions(PlanReport report, MoveLibrary library, Block block, int index, Set<String> lastWeek) {
        this.report = report;
        this.library = library;
        this.block = block;
        this.lastWeek = lastWeek;
        this.neighbours = neighbours(index);
        this.inPlan = report.timeline().sheet().blocks().stream()
                .flatMap(b -> b.moves().stream())
                .flatMap(m -> library.parts(m.name()).stream())
                .map(Move::name)
                .collect(Collectors.toSet());
        this.gear = report.gear().announced().stream().map(GearItem::name).collect(Collectors.toSet());
        report.gear().used().forEach(u -> gear.add(u.item().name()));
        Set<Audience> audiences = Cautions.audiences(report.timeline());
        this.rules = Cautions.rules().stream()
                .filter(r -> audiences.contains(r.audience()))
                .toList();
        this.prepared = prepared();
    }

    /**
     * The best moves for a place, the best first.
     *
     * @param line the line of the block, from 1
     * @param index before which of its items
     * @param lastWeek names of moves the neighbouring workouts of a series have
     */
    public static List<Suggestion> of(
            PlanReport report, MoveLibrary library, int line, int index, Set<String> lastWeek, int most) {
        Block block = report.timeline().sheet().blocks().stream()
                .filter(b -> b.line() == line)
                .findFirst()
                .orElse(null);
        if (block == null) {
            return List.of();
        }
        return new MoveSuggestions(report, library, block, index, lastWeek).best(most);
    }

    private List<Suggestion> best(int most) {
        record Scored(Suggestion suggestion, double score) {}
        Set<String> absent =
                Absence.traits(report.timeline().sheet().header().promise().absent());
        List<Scored> scored = new ArrayList<>();
        for (Move move : library.moves()) {
            boolean ruledOut = absent.stream().anyMatch(move::has)
                    || rules.stream().anyMatch(r -> r.level() == Cautions.Level.LEAVE_OUT && r.fits(move));
            if (fits(move) && !ruledOut) {
                List<String> reasons = new ArrayList<>();
                double score = score(move, reasons);
                String why = String.join(" · ", reasons.subList(0, Math.min(2, reasons.size())));
                scored.add(new Scored(new Suggestion(move, why), score));
            }
        }
        scored.sort(Comparator.comparingDouble((Scored s) -> -s.score())
                .thenComparing(s -> s.suggestion().move().name()));
        Map<String, Integer> patterns = new HashMap<>();
        return scored.stream()
                .map(Scored::suggestion)
                .filter(s -> spread() || patterns.merge(s.move().pattern(), 1, Integer::sum) <= MOST_OF_A_PATTERN)
                .limit(most)
                .toList();
    }

    /** Warming up and stretching are of one pattern anyway. */
    private boolean spread() {
        return block.kind() == BlockKind.WARM_UP || block.kind() == BlockKind.COOL_DOWN;
    }

    private boolean fits(Move move) {
        return switch (block.kind()) {
            case WARM_UP -> move.pattern().equals("mobility");
            case COOL_DOWN -> move.pattern().equals("stretch");
            default -> !move.pattern().equals("mobility") && !move.pattern().equals("stretch");
        };
    }

    private double score(Move move, List<String> reasons) {
        double score = spread() ? unprepared(move, reasons) : lack(move, reasons);
        score += place(move, reasons) + atHand(move, reasons);
        for (Move neighbour : neighbours) {
            score -= Balance.overlap(List.of(neighbour), List.of(move)) >= OVERLAP ? ALIKE : 0;
        }
        score -= inPlan.contains(move.name()) ? IN_PLAN : 0;
        score -= lastWeek.contains(move.name()) ? LAST_WEEK : 0;
        for (Cautions.Rule rule : rules) {
            score -= !rule.fits(move) ? 0 : rule.level() == Cautions.Level.OPTION ? OPTION : CAUTION;
        }
        return score;
    }

    /** What the balance of push and pull, of upper and lower body, and the muscle groups lack. */
    private double lack(Move move, List<String> reasons) {
        Balance b = report.balance();
        double score = 0;
        boolean push = move.pattern().equals("push");
        if (push || move.pattern().equals("pull")) {
            Length missing = push ? b.pull().minus(b.push()) : b.push().minus(b.pull());
            score += lacking(missing, push ? "push" : "pull", reasons);
        }
        Length upper = b.regions().getOrDefault(Region.UPPER, Length.ZERO);
        Length lower = b.regions().getOrDefault(Region.LOWER, Length.ZERO);
        Set<Region> own = move.primary().stream().map(MuscleGroup::region).collect(Collectors.toSet());
        if (own.contains(Region.UPPER)) {
            score += lacking(lower.minus(upper), "upper", reasons);
        } else if (own.contains(Region.LOWER)) {
            score += lacking(upper.minus(lower), "lower", reasons);
        }
        for (MuscleGroup group : move.primary()) {
            if (!b.muscles().getOrDefault(group, Length.ZERO).isPositive()) {
                score += UNTRAINED / move.primary().size();
                reasons.add(CoreText.of("plan.bed.untrained", group.word()));
            }
        }
        return score;
    }

    private static double lacking(Length missing, String what, List<String> reasons) {
        if (missing.compareTo(NOTHING_LACKS) <= 0) {
            return 0;
        }
        reasons.add(CoreText.of("plan.bed.lacks", CoreText.of("plan.bed.lacks." + what), missing.clock()));
        return Math.min(MOST_LACK, LACK_PER_MINUTE * missing.seconds() / 60);
    }

    /** What is worked and neither warmed nor stretched yet. */
    private double unprepared(Move move, List<String> reasons) {
        double score = 0;
        for (MuscleGroup group : move.primary()) {
            Length worked = report.balance().muscles().getOrDefault(group, Length.ZERO);
            if (worked.isPositive() && !prepared.contains(group)) {
                score += 1 + Math.min(1, worked.seconds() / 120);
                reasons.add(
                        block.kind() == BlockKind.WARM_UP
                                ? CoreText.of("plan.bed.warms", group.word())
                                : CoreText.of("plan.bed.stretches", group.word()));
            }
        }
        return score;
    }

    private Set<MuscleGroup> prepared() {
        SegmentKind kind = block.kind() == BlockKind.WARM_UP ? SegmentKind.WARMUP : SegmentKind.COOLDOWN;
        Set<MuscleGroup> groups = new HashSet<>();
        report.timeline().segments().stream()
                .filter(s -> s.kind() == kind)
                .flatMap(s -> s.moves(library).stream())
                .forEach(m -> groups.addAll(m.primary()));
        return groups;
    }

    private double place(Move move, List<String> reasons) {
        if (neighbours.isEmpty()) {
            return 0;
        }
        boolean stays = neighbours.stream().anyMatch(n -> n.height() == move.height());
        if (stays && move.height() != Height.RAISED) {
            reasons.add(
                    move.height() == Height.FLOOR
                            ? CoreText.of("plan.bed.stays-down")
                            : CoreText.of("plan.bed.stays-up"));
        }
        return stays ? STAYS : -WAY;
    }

    private double atHand(Move move, List<String> reasons) {
        if (move.gear().isEmpty()) {
            return 0;
        }
        List<GearItem> needed = move.gear().stream().map(GearList::item).toList();
        boolean there = needed.stream().allMatch(this::isThere);
        if (there) {
            reasons.add(CoreText.of(
                    "plan.bed.uses", needed.stream().map(GearItem::spoken).collect(Collectors.joining(", "))));
        }
        return there ? GEAR_AT_HAND : -GEAR_MISSING;
    }

    /** One weight stands for another. */
    private boolean isThere(GearItem item) {
        return gear.contains(item.name())
                || item.isWeight()
                        && gear.stream().anyMatch(g -> GearList.item(g).isWeight());
    }

    private List<Move> neighbours(int index) {
        List<Move> found = new ArrayList<>();
        List<Item> items = block.items();
        for (int i = index - 1; i >= 0; i--) {
            if (items.get(i) instanceof MoveLine move) {
                found.addAll(library.parts(move.name()));
                break;
            }
        }
        for (int i = index; i < items.size(); i++) {
            if (items.get(i) instanceof MoveLine move) {
                found.addAll(library.parts(move.name()));
                break;
            }
        }
        return found;
    }
}
