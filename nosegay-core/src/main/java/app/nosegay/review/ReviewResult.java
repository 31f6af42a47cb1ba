package app.nosegay.review;

import app.nosegay.plan.Finding;
import java.util.List;

/**
 * What comparing recording and plan brought up.
 *
 * @param misstatements what was said wrong or not at all, with what would be right; those that are mended left out
 * @param overs lines said again in takes of their own, laid over the slips they mend
 */
public record ReviewResult(List<Finding> findings, List<Misstatement> misstatements, List<VoiceOver> overs) {
    static final ReviewResult NOTHING = new ReviewResult(List.of(), List.of(), List.of());

    ReviewResult(List<Finding> findings, List<Misstatement> misstatements) {
        this(findings, misstatements, List.of());
    }

    public ReviewResult {
        findings = List.copyOf(findings);
        misstatements = List.copyOf(misstatements);
        overs = List.copyOf(overs);
    }
}
