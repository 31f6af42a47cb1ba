/**
 * What one take's evidence indicates about each boundary and each segment, as scores on the matcher's grid.
 */
package app.nosegay.match.features;
