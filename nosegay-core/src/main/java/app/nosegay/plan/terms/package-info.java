/**
 * The values the notation can carry: amounts, sides, loads, levels, promises.
 */
package app.nosegay.plan.terms;
