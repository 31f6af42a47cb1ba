package app.nosegay.plan.fit;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Balance;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.PlanCheck;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.Promise;
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
import java.util.function.Predicate;

/**
 * Finds ways to keep the promised length with the least change (docs/domain.md, "Promise"): rests, work, both, rounds or sets, a move
 * dropped or added, each with what it costs. Every offer is expanded again, so that its length is what the sheet really says.
 */
public final class Fitter {
    /** Of the many rounds and moves that could be changed only the likeliest are worked out in full. */
    private static final int WORKED_OUT = 4;

    private final MoveLibrary library;
    private final FitRanges ranges;
    private final Timeline timeline;
    private final Promise promise;
    private final List<Offer> offers = new ArrayList<>();
    /** What a second of each length changes, by sheet. */
    private final Map<String, List<LengthSolver.Option>> tried = new HashMap<>();

    private Fitter(Timeline timeline, MoveLibrary library, FitRanges ranges) {
        this.timeline = timeline;
        this.library = library;
        this.ranges = ranges;
        this.promise = timeline.sheet().header().promise();
    }

    /**
     * What the fitter found.
     *
     * @param measured what the promise measures now
     * @param met whether the promised length is kept already
     * @param offers ways to keep it, the least change first
     * @param impossible why there is none, or null
     */
    public record Fit(Length measured, boolean met, List<Offer> offers, String impossible) {
        public Fit {
            offers = List.copyOf(offers);
        }
    }

    public static Fit fit(Timeline timeline, MoveLibrary library, FitRanges ranges) {
        Length measured = PlanCheck.measured(timeline, library);
        Promise promise = timeline.sheet().header().promise();
        if (promise.form() == null) {
            return new Fit(measured, true, List.of(), CoreText.of("plan.fit.fitter.no-length-is-promised-write"));
        }
        if (promise.keeps(measured)) {
            return new Fit(measured, true, List.of(), null);
        }
        Fitter fitter = new Fitter(timeline, library, ranges);
        fitter.search();
        List<Offer> found = fitter.distinct();
        return new Fit(measured, false, found, found.isEmpty() ? fitter.why(measured) : null);
    }

    static Timeline expanded(String text, MoveLibrary library) {
        return Expansion.expand(RunSheetParser.parse(text, library), library);
    }

    private Timeline expanded(String text) {
        return expanded(text, library);
    }

    private void search() {
        String text = timeline.sheet().text().replace("\r\n", "\n").replace('\r', '\n');
        turn(CoreText.of("plan.fit.fitter.change-the-rests"), text, timeline, List.of(), 0, AdjustableLength::rest);
        turn(CoreText.of("plan.fit.fitter.change-the-work"), text, timeline, List.of(), 0, k -> !k.rest());
        turn(CoreText.of("plan.fit.fitter.a-little-of-both"), text, timeline, List.of(), 0, k -> true);
        Set<String> kinds = new HashSet<>();
        int worked = 0;
        for (BuildChanges.Candidate c : BuildChanges.of(timeline, library, ranges, this::wanted, text)) {
            // The best of each kind first, then the best of the rest.
            if (kinds.add(c.kind()) || worked < WORKED_OUT) {
                worked++;
                turn(c.name(), c.text(), c.timeline(), List.of(c.change()), c.cost(), AdjustableLength::rest);
                turn(c.name(), c.text(), c.timeline(), List.of(c.change()), c.cost() + 1, k -> true);
            }
        }
    }

    /** Seconds to add so that the promise is kept, from {@code measured}: to the promised figure, or to the nearer end of a range. */
    private double wanted(Length measured) {
        Length aim =
                switch (promise.form()) {
                    case EXACTLY, ABOUT -> promise.least();
                    case UNDER -> promise.most();
                    case RANGE ->
                        measured.compareTo(promise.most()) > 0 ? promise.most() : Length.max(measured, promise.least());
                };
        return aim.minus(measured).seconds();
    }

    /** Turns the lengths of {@code text} that {@code which} allows, and keeps the offer when it keeps the promise. */
    private void turn(
            String name,
            String text,
            Timeline before,
            List<String> changes,
            double cost,
            Predicate<AdjustableLength> which) {
        Length measured = PlanCheck.measured(before);
        boolean open = promise.form() == Promise.Form.UNDER && measured.compareTo(promise.most()) <= 0;
        int wanted = open ? 0 : (int) Math.round(wanted(measured));
        List<LengthSolver.Option> options = wanted == 0 ? List.of() : options(text, before, measured, which);
        boolean notAbove = promise.form() == Promise.Form.UNDER || (promise.form() == Promise.Form.RANGE && wanted < 0);
        boolean notBelow = promise.form() == Promise.Form.RANGE && wanted > 0;
        LengthSolver.Solution solution = wanted == 0 ? null : LengthSolver.solve(options, wanted, notAbove, notBelow);
        if (wanted != 0 && solution == null) {
            return;
        }
        String after = text;
        List<String> all = new ArrayList<>(changes);
        for (int i = 0; i < options.size(); i++) {
            AdjustableLength adjustable = options.get(i).adjustable();
            if (solution.values()[i] != adjustable.seconds()) {
                after = adjustable.turned(after, solution.values()[i]);
                all.add(adjustable.change(solution.values()[i]));
            }
        }
        Timeline result = expanded(after);
        Length now = PlanCheck.measured(result);
        if (promise.keeps(now) && !all.isEmpty()) {
            double total = cost + (solution == null ? 0 : solution.cost());
            String whole = timeline.sheet().text();
            offers.add(new Offer(name, all, SheetEdit.between(name, whole, after), after, now, price(result), total));
        }
    }

    /** The knobs with what a second of each changes, found by trying: expansion has too many rules to guess. */
    private List<LengthSolver.Option> options(
            String text, Timeline before, Length measured, Predicate<AdjustableLength> which) {
        return tried.computeIfAbsent(text, t -> options(t, before, measured)).stream()
                .filter(o -> which.test(o.adjustable()))
                .toList();
    }

    private List<LengthSolver.Option> options(String text, Timeline before, Length measured) {
        List<LengthSolver.Option> options = new ArrayList<>();
        for (AdjustableLength adjustable : AdjustableLength.of(before.sheet())) {
            Length longer =
                    PlanCheck.measured(expanded(adjustable.turned(text, adjustable.seconds() + LengthSolver.GRID)));
            double effect = longer.minus(measured).seconds() / LengthSolver.GRID;
            int least = seconds(adjustable.rest() ? ranges.restLeast() : ranges.workLeast());
            int most = seconds(adjustable.rest() ? ranges.restMost() : ranges.workMost());
            boolean whole = Math.abs(effect - Math.rint(effect)) < 1e-9 && Math.abs(effect) > 0.5;
            if (whole && adjustable.seconds() >= least / 2 && adjustable.seconds() <= 2 * most) {
                options.add(new LengthSolver.Option(adjustable, (int) Math.rint(effect), least, most));
            }
        }
        return options;
    }

    private static int seconds(Length length) {
        return (int) Math.round(length.seconds());
    }

    /** What it costs the viewer: work and rest gained or lost, and how dense it becomes. */
    private String price(Timeline after) {
        List<String> parts = new ArrayList<>();
        more(parts, after, SegmentKind.WORK, "work");
        more(parts, after, SegmentKind.REST, "rest");
        more(parts, after, SegmentKind.WARMUP, "warm-up");
        more(parts, after, SegmentKind.COOLDOWN, "cool-down");
        double was = 100 * Balance.density(timeline.segments());
        double is = 100 * Balance.density(after.segments());
        if (Math.round(was) != Math.round(is)) {
            parts.add(CoreText.of("plan.fit.fitter.density", was, is));
        }
        int moves = after.workMoves(true).size();
        if (promise.moves() != null
                && promise.moves() != moves
                && promise.moves() != after.workMoves(false).size()) {
            parts.add(CoreText.of("plan.fit.fitter.but-moves-are-promised", promise.moves()));
        }
        return parts.isEmpty() ? CoreText.of("plan.fit.fitter.nothing-but-its-order") : String.join(", ", parts);
    }

    private void more(List<String> parts, Timeline after, SegmentKind kind, String word) {
        Length change = after.total(kind).minus(timeline.total(kind));
        if (change.abs().seconds() >= 0.5) {
            parts.add(change.abs().clock()
                    + (change.isPositive() ? CoreText.of("plan.fit.fitter.more") : CoreText.of("plan.fit.fitter.less"))
                    + word);
        }
    }

    /** The offers, the least change first; of equal sheets one is kept. */
    private List<Offer> distinct() {
        offers.sort(Comparator.comparingDouble(Offer::cost));
        Set<String> sheets = new HashSet<>();
        Set<String> names = new HashSet<>();
        List<Offer> kept = new ArrayList<>();
        for (Offer offer : offers) {
            if (sheets.add(offer.sheet()) && names.add(offer.name())) {
                kept.add(offer);
            }
        }
        return kept;
    }

    /** Why nothing within the ranges keeps the promise. */
    private String why(Length measured) {
        RunSheet sheet = timeline.sheet();
        String text = sheet.text().replace("\r\n", "\n").replace('\r', '\n');
        String shortest = text;
        String longest = text;
        for (AdjustableLength k : AdjustableLength.of(sheet)) {
            int least = seconds(k.rest() ? ranges.restLeast() : ranges.workLeast());
            int most = seconds(k.rest() ? ranges.restMost() : ranges.workMost());
            shortest = k.turned(shortest, Math.min(k.seconds(), least));
            longest = k.turned(longest, Math.max(k.seconds(), most));
        }
        for (Block block : sheet.blocks()) {
            for (Attribute word : List.of(Attribute.ROUNDS, Attribute.SETS)) {
                int now = block.attributes().number(word).orElse(0);
                if (now > 0) {
                    shortest = with(shortest, block, word, Math.min(now, ranges.roundsLeast()));
                    longest = with(longest, block, word, Math.max(now, ranges.roundsMost()));
                }
            }
        }
        Length least = Length.min(measured, PlanCheck.measured(expanded(shortest)));
        Length most = Length.max(measured, PlanCheck.measured(expanded(longest)));
        return CoreText.of(
                "plan.fit.fitter.within-these-ranges-rest-work",
                ranges.restLeast(),
                ranges.restMost(),
                ranges.workLeast(),
                ranges.workMost(),
                ranges.roundsLeast(),
                ranges.roundsMost(),
                least.clock(),
                most.clock(),
                promise.shortest().clock(),
                promise.longest().clock());
    }

    private static String with(String text, Block block, Attribute word, int n) {
        String line = SheetText.line(text, block.line());
        return SheetEdit.replace("", block.line(), SheetText.with(line, word, "" + n))
                .apply(text);
    }
}
