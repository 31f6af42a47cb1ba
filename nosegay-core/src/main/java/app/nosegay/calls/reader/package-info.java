/**
 * Reads the calls of a whole transcript, the intervals they imply, and a draft run sheet from an old video.
 */
package app.nosegay.calls.reader;
