package app.nosegay.match;

import app.nosegay.plan.Finding;
import java.util.List;

/**
 * What comparing recording and plan brought up.
 *
 * @param slips what was said wrong or not at all, with what would be right
 */
public record Checked(List<Finding> findings, List<Slip> slips) {
    static final Checked NOTHING = new Checked(List.of(), List.of());

    public Checked {
        findings = List.copyOf(findings);
        slips = List.copyOf(slips);
    }
}
