/**
 * A learnt second opinion on which lines and numbers are calls.
 */
package app.nosegay.calls.learnt;
