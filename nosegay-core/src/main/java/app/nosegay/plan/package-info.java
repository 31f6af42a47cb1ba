/**
 * The run sheet expanded, second by second, and what it adds up to.
 */
package app.nosegay.plan;
