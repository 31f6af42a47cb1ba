/**
 * Ways to keep the promised length: {@link app.nosegay.plan.fit.Fitter} proposes, {@link app.nosegay.plan.fit.LengthSolver} makes them
 * exact.
 */
package app.nosegay.plan.fit;
