/**
 * What is seen of bodies, measured on a figure of another make than the practice camera's: solid, lit, dressed, in rooms that are
 * not tidy.
 */
package app.nosegay.bench.sight;
