/**
 * Planned, said and shown compared after the match: calls, lines, sides, repetitions, sound, captions.
 */
package app.nosegay.review;
