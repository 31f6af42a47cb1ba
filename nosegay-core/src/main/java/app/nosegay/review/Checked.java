package app.nosegay.review;

import app.nosegay.plan.Finding;
import java.util.List;

/**
 * What comparing recording and plan brought up.
 *
 * @param slips what was said wrong or not at all, with what would be right; those that are mended left out
 * @param overs lines said again in takes of their own, laid over the slips they mend
 */
public record Checked(List<Finding> findings, List<Slip> slips, List<VoiceOver> overs) {
    static final Checked NOTHING = new Checked(List.of(), List.of(), List.of());

    Checked(List<Finding> findings, List<Slip> slips) {
        this(findings, slips, List.of());
    }

    public Checked {
        findings = List.copyOf(findings);
        slips = List.copyOf(slips);
        overs = List.copyOf(overs);
    }
}
