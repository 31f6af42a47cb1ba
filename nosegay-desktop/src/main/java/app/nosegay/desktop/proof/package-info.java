/** The Proof stage: planned, said and shown side by side, findings of all stages, what to record again. */
package app.nosegay.desktop.proof;
