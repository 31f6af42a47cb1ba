package app.nosegay.plan.check;

import static app.nosegay.plan.check.FlowChecks.capital;

import app.nosegay.library.Move;
import app.nosegay.library.MuscleGroup;
import app.nosegay.library.MuscleGroup.Region;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** What is worked is warmed up before and stretched after, and nothing else is. */
final class WarmUpChecks {
    /** Muscle groups with less load than this need no warm-up or stretch of their own. */
    private static final Length WORTH_A_STRETCH = Length.ofSeconds(60);

    /** A third of the body with a smaller share of the work than this may be left out of warm-up and cool-down. */
    private static final double WORTH_A_MOVE = 0.25;

    /** A longer list is not read. */
    private static final int MOST_NAMED = 5;

    private final PlanContext context;
    private final List<Finding> findings = new ArrayList<>();

    private WarmUpChecks(PlanContext context) {
        this.context = context;
    }

    static List<Finding> findings(PlanContext context) {
        WarmUpChecks checks = new WarmUpChecks(context);
        checks.warmUp();
        checks.coolDown();
        return checks.findings;
    }

    private Set<MuscleGroup> reached(SegmentKind kind) {
        Set<MuscleGroup> groups = EnumSet.noneOf(MuscleGroup.class);
        context.segments().stream().filter(s -> s.kind() == kind).forEach(s -> context.moves(s)
                .forEach(m -> {
                    groups.addAll(m.primary());
                    groups.addAll(m.secondary());
                }));
        return groups;
    }

    private Map<MuscleGroup, Length> worked() {
        Map<MuscleGroup, Length> worked = new EnumMap<>(MuscleGroup.class);
        context.balance().muscles().forEach((g, load) -> {
            if (load.compareTo(WORTH_A_STRETCH) >= 0) {
                worked.put(g, load);
            }
        });
        return worked;
    }

    private void warmUp() {
        if (context.timeline().sheet().header().policy().isElsewhere("warm-up")) {
            return;
        }
        Set<MuscleGroup> warmed = reached(SegmentKind.WARMUP);
        if (blocks(BlockKind.WARM_UP).isEmpty()) {
            findings.add(Finding.of("plan.warm-up-missing", Severity.FIX, CoreText.of("plan.warm-up-missing.message"))
                    .withFix(CoreText.of("plan.warm-up-missing.fix"), addedWarmUp()));
            return;
        }
        gap("plan.not-warmed", CoreText.of("plan.not-warmed.message"), warmed, "mobility", BlockKind.WARM_UP);
    }

    private void coolDown() {
        boolean elsewhere = context.timeline().sheet().header().policy().isElsewhere("cool-down");
        Set<MuscleGroup> stretched = reached(SegmentKind.COOLDOWN);
        if (blocks(BlockKind.COOL_DOWN).isEmpty()) {
            if (!elsewhere) {
                findings.add(Finding.of(
                                "plan.cool-down-missing", Severity.LOOK, CoreText.of("plan.cool-down-missing.message"))
                        .withFix(CoreText.of("plan.cool-down-missing.fix")));
            }
            return;
        }
        gap("plan.not-stretched", CoreText.of("plan.not-stretched.message"), stretched, "stretch", BlockKind.COOL_DOWN);
        Set<Region> all = regions(context.balance().muscles().keySet());
        List<String> needless = new ArrayList<>();
        for (Segment s : context.segments()) {
            boolean stretch =
                    s.kind() == SegmentKind.COOLDOWN && !context.moves(s).isEmpty();
            boolean nothing = stretch
                    && context.moves(s).stream()
                            .flatMap(m -> m.primary().stream())
                            .noneMatch(g -> all.contains(g.region()));
            if (nothing && !needless.contains(s.move())) {
                needless.add(s.move());
                findings.add(Finding.at(
                        "plan.stretched-unworked",
                        Severity.NOTE,
                        s,
                        CoreText.of("plan.stretched-unworked.message", capital(s.move()))));
            }
        }
    }

    private static Set<Region> regions(Set<MuscleGroup> groups) {
        Set<Region> regions = EnumSet.noneOf(Region.class);
        groups.forEach(g -> regions.add(g.region()));
        return regions;
    }

    /**
     * Legs or upper body worked for a good share and not reached at all. Single groups are not asked for: three minutes of warm-up or
     * stretching cannot reach all sixteen, and the middle works along in nearly everything.
     */
    private void gap(String code, String words, Set<MuscleGroup> reached, String pattern, BlockKind kind) {
        Map<MuscleGroup, Length> worked = worked();
        double whole = seconds(worked, r -> true);
        Set<Region> covered = regions(reached);
        Set<Region> left = EnumSet.of(Region.LOWER, Region.UPPER);
        left.removeIf(r -> covered.contains(r) || seconds(worked, r::equals) < WORTH_A_MOVE * whole);
        List<MuscleGroup> missing = worked.entrySet().stream()
                .filter(e -> left.contains(e.getKey().region()))
                .sorted(Map.Entry.<MuscleGroup, Length>comparingByValue().reversed())
                .map(Map.Entry::getKey)
                .toList();
        if (missing.isEmpty()) {
            return;
        }
        String names = String.join(
                ", ",
                missing.stream()
                        .limit(MOST_NAMED)
                        .map(g -> g.word().replace('-', ' '))
                        .toList());
        names += missing.size() > MOST_NAMED
                ? CoreText.of("plan.check.body-checks.and-more", missing.size() - MOST_NAMED)
                : "";
        Finding finding = Finding.of(code, Severity.LOOK, CoreText.of("plan.check.body-checks.left-out", words, names))
                .onLine(blocks(kind).get(0).line());
        findings.add(helping(missing, pattern)
                .map(m -> finding.withFix(
                        CoreText.of("plan.check.body-checks.add", m.name()),
                        added(m, blocks(kind).get(0))))
                .orElse(finding));
    }

    private static double seconds(Map<MuscleGroup, Length> worked, Predicate<Region> which) {
        return worked.entrySet().stream()
                .filter(e -> which.test(e.getKey().region()))
                .mapToDouble(e -> e.getValue().seconds())
                .sum();
    }

    /** The library move that reaches most of what is missing. */
    private Optional<Move> helping(List<MuscleGroup> missing, String pattern) {
        boolean floorFree = context.timeline().sheet().header().promise().absent().stream()
                .anyMatch(a -> a.startsWith("floor") || a.startsWith("lying"));
        Set<String> planned = new HashSet<>();
        context.segments().forEach(s -> planned.add(s.move()));
        return context.library().moves().stream()
                .filter(m -> m.pattern().equals(pattern) && !(floorFree && m.isOnFloor()))
                .filter(m -> !planned.contains(m.name()))
                .max(Comparator.comparingDouble(
                        m -> missing.stream().mapToDouble(m::share).sum()))
                .filter(m -> missing.stream().anyMatch(g -> m.share(g) > 0));
    }

    private SheetEdit added(Move move, Block block) {
        int behind = block.moves().isEmpty()
                ? block.line()
                : block.moves().get(block.moves().size() - 1).line();
        while (context.line(behind + 1).startsWith("   ")
                || context.line(behind + 1).startsWith("\t\t")) {
            behind++;
        }
        String sides = move.sided().isEmpty() ? "" : "  sides separate";
        return SheetEdit.insert(
                CoreText.of("plan.check.body-checks.add", move.name()),
                behind + 1,
                List.of("  " + move.name() + sides));
    }

    private SheetEdit addedWarmUp() {
        List<Block> blocks = context.timeline().sheet().blocks();
        Block before = blocks.stream()
                .filter(b -> b.kind() != BlockKind.TALK)
                .findFirst()
                .orElse(null);
        return before == null
                ? null
                : SheetEdit.insert(
                        CoreText.of("plan.check.body-checks.add-a-warm-up"),
                        before.line(),
                        List.of(
                                "warm-up  each 0:30",
                                "  march in place",
                                "  hip hinge drill",
                                "  arm circles",
                                "  torso turn",
                                ""));
    }

    private List<Block> blocks(BlockKind kind) {
        return context.timeline().sheet().blocks().stream()
                .filter(b -> b.kind() == kind)
                .toList();
    }
}
