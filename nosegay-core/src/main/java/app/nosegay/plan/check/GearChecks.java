package app.nosegay.plan.check;

import static app.nosegay.plan.check.FlowChecks.capital;

import app.nosegay.library.Move;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Gear announced and used: missing, needless, told differently, in the way. */
final class GearChecks {
    private final PlanContext context;
    private final GearList gear;
    private final List<Finding> findings = new ArrayList<>();

    private GearChecks(PlanContext context) {
        this.context = context;
        this.gear = context.gear();
    }

    static List<Finding> findings(PlanContext context) {
        GearChecks checks = new GearChecks(context);
        checks.unannounced();
        checks.unused();
        checks.announcedTwice();
        checks.lighter();
        checks.underfoot();
        return checks.findings;
    }

    private int headerLine() {
        return SheetText.headerLine(context.timeline().sheet().text(), "gear");
    }

    private SheetEdit announcing(List<String> names) {
        return SheetText.header(context.timeline().sheet().text(), "gear", String.join(", ", names));
    }

    private void unannounced() {
        Set<String> told = new HashSet<>();
        for (GearList.Use use : gear.used()) {
            Optional<GearItem> announced = gear.announced(use.item());
            if (announced.isEmpty()) {
                if (!use.item().isAssumed() && told.add(use.item().name())) {
                    List<String> all =
                            new ArrayList<>(context.timeline().sheet().header().gear());
                    all.add((use.item().name() + " " + use.item().weight()).strip());
                    boolean surface = use.item().kind().equals("surface");
                    findings.add(Finding.at(
                                    "plan.gear-unannounced",
                                    surface ? Severity.NOTE : Severity.FIX,
                                    use.first(),
                                    CoreText.of(
                                            "plan.gear-unannounced.message",
                                            capital(use.item().name()),
                                            use.from()))
                            .withFix(CoreText.of("plan.gear-unannounced.fix"), announcing(all)));
                }
            } else if (differs(announced.get(), use.item())
                    && gear.announced().stream()
                            .filter(a -> a.name().equals(use.item().name()))
                            .noneMatch(a -> !differs(a, use.item()))) {
                findings.add(Finding.at(
                        "plan.gear-differs",
                        Severity.LOOK,
                        use.first(),
                        CoreText.of(
                                "plan.gear-differs.message",
                                capital(use.item().name()),
                                announced.get().weight(),
                                use.item().weight())));
            }
        }
    }

    private static boolean differs(GearItem a, GearItem b) {
        return !a.weight().isEmpty() && !b.weight().isEmpty() && !a.weight().equals(b.weight());
    }

    private void unused() {
        List<String> written = context.timeline().sheet().header().gear();
        for (int i = 0; i < gear.announced().size() && i < written.size(); i++) {
            GearItem item = gear.announced().get(i);
            boolean used = gear.used().stream()
                    .anyMatch(u -> u.item().name().equals(item.name())
                            || item.alternatives().stream().anyMatch(a -> GearList.item(a)
                                    .name()
                                    .equals(u.item().name())));
            boolean inWords = context.timeline()
                    .sheet()
                    .text()
                    .lines()
                    .filter(l -> !l.startsWith("gear:"))
                    .anyMatch(l -> l.toLowerCase(java.util.Locale.ROOT).contains(item.name()));
            if (!used
                    && !inWords
                    && !item.optional()
                    && !item.name().equals("water")
                    && !item.kind().equals("surface")) {
                List<String> rest = new ArrayList<>(written);
                rest.remove(i);
                findings.add(Finding.of(
                                "plan.gear-unused",
                                Severity.LOOK,
                                CoreText.of("plan.gear-unused.message", capital(item.name())))
                        .onLine(headerLine())
                        .withFix(CoreText.of("plan.gear-unused.fix"), rest.isEmpty() ? null : announcing(rest)));
            }
        }
    }

    private void announcedTwice() {
        Map<String, GearItem> seen = new LinkedHashMap<>();
        for (GearItem item : gear.announced()) {
            GearItem before = seen.putIfAbsent(item.name(), item);
            if (before != null && before.weight().equals(item.weight())) {
                findings.add(Finding.of(
                                "plan.gear-twice",
                                Severity.LOOK,
                                CoreText.of("plan.gear-twice.message", capital(item.name())))
                        .onLine(headerLine()));
            }
        }
    }

    /** A heavy set may fail: something lighter belongs within reach. */
    private void lighter() {
        Optional<GearList.Use> heavy = gear.used().stream()
                .filter(u -> u.item().weight().equals("heavy"))
                .findFirst();
        boolean lighter = java.util.stream.Stream.concat(
                        gear.announced().stream(), gear.used().stream().map(GearList.Use::item))
                .anyMatch(i -> i.isWeight() && i.weight().matches("light|medium"));
        if (heavy.isPresent() && !lighter) {
            findings.add(Finding.at(
                    "plan.lighter-missing",
                    Severity.NOTE,
                    heavy.get().first(),
                    CoreText.of(
                            "plan.lighter-missing.message", heavy.get().item().name())));
        }
    }

    /** A weight put down just before a move in which the feet travel, with no pause to put it out of the way. */
    private void underfoot() {
        Set<String> told = new HashSet<>();
        for (ChangeOver c : context.changeOvers()) {
            boolean putDown = c.steps().stream().anyMatch(s -> s.what().startsWith("put down"))
                    && GearList.of(
                                    c.before(),
                                    context.library(),
                                    context.timeline().sheet().header())
                            .stream()
                            .anyMatch(GearItem::isWeight);
            Segment s = c.segment();
            boolean travels = context.moves(s).stream().anyMatch(Move::travels);
            if (putDown && travels && !c.inRest() && told.add(s.move())) {
                findings.add(Finding.at(
                        "plan.weight-underfoot",
                        Severity.NOTE,
                        s,
                        CoreText.of("plan.weight-underfoot.message", s.move())));
            }
        }
    }
}
