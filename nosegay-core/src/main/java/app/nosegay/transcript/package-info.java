/**
 * What was said, from timed transcripts: reading them, spoken calls about time and number, the structure they tell of. Knows nothing of
 * the plan but the names of its moves.
 */
package app.nosegay.transcript;
