/**
 * Sheets of spoken calls with what a person would call in them, how well they are read, and the learner of the call models.
 */
package app.nosegay.bench.calls;
