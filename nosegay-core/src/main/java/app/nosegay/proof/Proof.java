package app.nosegay.proof;

import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/**
 * Whether what was planned, said and shown agree.
 *
 * @param comparisons one per interval
 * @param open the findings still open, the gravest first, then in the order of the stages and of the work
 * @param waived the findings left as they are
 */
public record Proof(List<IntervalComparison> comparisons, List<Finding> open, List<Finding> waived) {
    /** The stages in the order of the work; a finding's code starts with its stage. */
    public static final List<String> STAGES = List.of("plan", "script", "match", "sound", "dress", "publish");

    /** Threads this near to each other agree. */
    private static final double AGREES = 0.1;

    public Proof {
        comparisons = List.copyOf(comparisons);
        open = List.copyOf(open);
        waived = List.copyOf(waived);
    }

    /**
     * @param found all findings, stage after stage
     * @param isWaived whether one is left as it is
     */
    public static Proof of(List<IntervalComparison> comparisons, List<Finding> found, Predicate<Finding> isWaived) {
        List<Finding> open =
                new ArrayList<>(found.stream().filter(isWaived.negate()).toList());
        open.sort(Comparator.comparing(Finding::severity));
        return new Proof(comparisons, open, found.stream().filter(isWaived).toList());
    }

    /** The stage a finding belongs to. */
    public static String stage(Finding finding) {
        int dot = finding.code().indexOf('.');
        return dot < 0 ? finding.code() : finding.code().substring(0, dot);
    }

    public long count(Severity severity) {
        return open.stream().filter(f -> f.severity() == severity).count();
    }

    /** Whether nothing speaks against publishing: no stop is open. */
    public boolean mayPublish() {
        return count(Severity.STOP) == 0;
    }

    /** Whether nothing has to be mended. */
    public boolean isClear() {
        return mayPublish() && count(Severity.FIX) == 0;
    }

    /** Whether nothing that matters is open in an interval, and what was planned, said and shown there agrees. */
    public boolean isProven(IntervalComparison comparison) {
        return comparison.at() != null
                && comparison.apart() <= AGREES
                && comparison.findings().stream().noneMatch(f -> f.severity() != Severity.NOTE && open.contains(f));
    }

    /** The share of the planned time that is proven, 0 to 1. */
    public double proven() {
        double all = 0;
        double proven = 0;
        for (IntervalComparison c : comparisons) {
            double seconds = c.interval().length().seconds();
            all += seconds;
            proven += isProven(c) ? seconds : 0;
        }
        return all == 0 ? 0 : proven / all;
    }

    /** The state in one sentence. */
    public String sentence() {
        if (open.isEmpty()) {
            return waived.isEmpty()
                    ? CoreText.of("proof.proof.planned-said-and-shown-agree")
                    : CoreText.of("proof.proof.nothing-is-open-left-as", waived.size());
        }
        StringBuilder words = new StringBuilder();
        Map<Severity, String> names = Map.of(
                Severity.STOP,
                CoreText.of("proof.proof.to-stop-for"),
                Severity.FIX,
                CoreText.of("proof.proof.to-fix"),
                Severity.LOOK,
                CoreText.of("proof.proof.to-look-at"),
                Severity.NOTE,
                "noted");
        for (Severity s : Severity.values()) {
            if (count(s) > 0) {
                words.append(words.isEmpty() ? "" : ", ")
                        .append(count(s))
                        .append(' ')
                        .append(names.get(s));
            }
        }
        return words.append('.').toString();
    }
}
