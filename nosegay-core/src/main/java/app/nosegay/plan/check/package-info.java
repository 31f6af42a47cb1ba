/**
 * What a plan is like beyond its timeline: change-overs, gear, cautions, and every finding, gathered in
 * {@link app.nosegay.plan.check.PlanReport}.
 */
package app.nosegay.plan.check;
