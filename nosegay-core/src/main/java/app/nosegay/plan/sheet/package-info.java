/**
 * The run sheet as text: its lines, attributes and headers, and edits of them.
 */
package app.nosegay.plan.sheet;
