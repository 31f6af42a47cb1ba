/** The commands, and the entry the launcher starts. JavaFX is only loaded when the window is asked for. */
package app.nosegay.cli;
