/**
 * Small controls and drawings that several stages share; they know no workout.
 */
package app.nosegay.desktop.controls;
