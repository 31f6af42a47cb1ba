/**
 * Stage one: the run sheet as written, and everything reckoned from it before a camera is on: timeline, promise, balance.
 *
 * <p>The order of the work: {@link app.nosegay.plan.RunSheetParser} reads text into a {@link app.nosegay.plan.RunSheet};
 * {@link app.nosegay.plan.Expansion} makes a {@link app.nosegay.plan.Timeline} of it; {@link app.nosegay.plan.Balance} and
 * {@link app.nosegay.plan.check.PlanCheck} say what that timeline is like.
 */
package app.nosegay.plan;
