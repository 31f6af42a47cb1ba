/**
 * What a phrase means where it is said: by what was called before it and by what is due.
 */
package app.nosegay.calls.meaning;
