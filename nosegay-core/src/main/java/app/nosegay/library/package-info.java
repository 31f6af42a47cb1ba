/** The move library: what each move is, trains, needs and how it is cued. Shipped as a data file, read once. */
package app.nosegay.library;
