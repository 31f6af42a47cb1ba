/**
 * The one way a file is written: beside its name, synced, and then renamed.
 */
package app.nosegay.files;
