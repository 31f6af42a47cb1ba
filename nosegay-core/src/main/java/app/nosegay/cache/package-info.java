/**
 * Answers kept so that the same work is not done twice; always a pure function's, so that nothing depends on what was asked before.
 */
package app.nosegay.cache;
