/**
 * What a take holds, without any plan: sound and motion over time, tones, beeps and words.
 */
package app.nosegay.evidence;
