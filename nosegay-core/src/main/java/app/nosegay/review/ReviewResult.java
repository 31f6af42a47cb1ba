package app.nosegay.review;

import app.nosegay.plan.Finding;
import java.util.List;

/**
 * What comparing recording and plan brought up.
 *
 * @param slips what was said wrong or not at all, with what would be right; those that are mended left out
 * @param overs lines said again in takes of their own, laid over the slips they mend
 */
public record ReviewResult(List<Finding> findings, List<Misstatement> slips, List<VoiceOver> overs) {
    static final ReviewResult NOTHING = new ReviewResult(List.of(), List.of(), List.of());

    ReviewResult(List<Finding> findings, List<Misstatement> slips) {
        this(findings, slips, List.of());
    }

    public ReviewResult {
        findings = List.copyOf(findings);
        slips = List.copyOf(slips);
        overs = List.copyOf(overs);
    }
}
