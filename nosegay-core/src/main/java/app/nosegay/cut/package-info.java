/**
 * The finished programme as stretches of takes: proposed cuts, the length rule, and what the user decided.
 */
package app.nosegay.cut;
