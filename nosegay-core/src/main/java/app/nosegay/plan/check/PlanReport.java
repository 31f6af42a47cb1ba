package app.nosegay.plan.check;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Balance;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Timeline;
import java.util.List;

/**
 * Everything that is computed of a plan besides its timeline.
 *
 * @param changeOvers getting ready for each movement, in order
 * @param cautions the caution rules the plan sets off
 * @param findings what the creator should know, the gravest first
 * @param sentence the promise and what becomes of it, in plain words
 */
public record PlanReport(
        Timeline timeline,
        Balance balance,
        List<ChangeOver> changeOvers,
        GearList gear,
        List<Cautions.Raised> cautions,
        List<Finding> findings,
        String sentence) {
    public PlanReport {
        changeOvers = List.copyOf(changeOvers);
        cautions = List.copyOf(cautions);
        findings = List.copyOf(findings);
    }

    public static PlanReport of(Timeline timeline, MoveLibrary library, ChangeCosts costs) {
        Balance balance = Balance.of(timeline, library);
        List<ChangeOver> changeOvers = ChangeOver.of(timeline, library, costs);
        GearList gear = GearList.of(timeline, library);
        List<Cautions.Raised> cautions = Cautions.raised(timeline, library);
        PlanContext context = new PlanContext(
                timeline,
                library,
                balance,
                changeOvers,
                gear,
                cautions,
                timeline.sheet().text().split("\r\n|\n|\r", -1));
        List<Finding> findings = PlanCheck.findings(context);
        String sentence = PlanCheck.sentence(timeline, library, findings);
        return new PlanReport(timeline, balance, changeOvers, gear, cautions, findings, sentence);
    }

    public boolean promiseKept() {
        return PlanCheck.promiseKept(findings);
    }
}
