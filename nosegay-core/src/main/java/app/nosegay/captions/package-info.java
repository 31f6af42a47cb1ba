/**
 * Timed text: captions, their readers and writers, corrections, and the sentences of speech in them.
 */
package app.nosegay.captions;
