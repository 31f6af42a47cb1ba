/**
 * Signals in the sound of a take: beeps, bells, whistles, claps, sync tones, and timers under music.
 */
package app.nosegay.evidence.sound;
