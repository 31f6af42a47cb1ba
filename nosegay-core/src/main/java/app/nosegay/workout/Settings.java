package app.nosegay.workout;

import app.nosegay.plan.check.ChangeCosts;
import app.nosegay.plan.fit.FitRanges;

/**
 * The figures a creator may set for a workout.
 *
 * @param costs what changing over costs
 * @param ranges how far the fitter may go
 */
public record Settings(ChangeCosts costs, FitRanges ranges) {
    public static final Settings DEFAULT = new Settings(ChangeCosts.DEFAULT, FitRanges.DEFAULT);
}
