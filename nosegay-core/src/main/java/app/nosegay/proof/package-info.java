/** Planned, said and shown compared: what parts where, and everything the stages found, in one list that reaches zero before publishing. */
package app.nosegay.proof;
