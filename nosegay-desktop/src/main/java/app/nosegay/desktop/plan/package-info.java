/** The Plan stage: run-sheet editor, ribbon, bouquet, promise. */
package app.nosegay.desktop.plan;
