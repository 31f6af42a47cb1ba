/** The plan as a picture that can be taken hold of: blocks as sentences, moves as leaves, rests as gaps. Computed from the sheet. */
package app.nosegay.plan.bed;
