/**
 * What the small pictures of a take show: movement, rhythm, repetitions, posture, and where people are.
 */
package app.nosegay.evidence.sight;
