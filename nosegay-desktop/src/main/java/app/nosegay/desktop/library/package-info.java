/** The move library: drawers of drawn figures, a move edited on its own sheet. */
package app.nosegay.desktop.library;
