/**
 * From a timeline and the evidence of takes to where everything is, with a doubt for every boundary.
 */
package app.nosegay.match;
