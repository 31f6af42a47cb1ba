/**
 * The wordings calls are recognised by: phrases, running counts, and what only sounds like a call.
 */
package app.nosegay.calls.phrase;
