/** The lattice of what may follow what in a take: solved forwards for the best order, backwards for its doubt. */
package app.nosegay.match.lattice;
