/** Changes of a run sheet's text: order of blocks and moves, notes turned into lines. */
package app.nosegay.plan.edit;
