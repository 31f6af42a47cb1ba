/** The first screen: workouts to go on with, and ways to begin one. */
package app.nosegay.desktop.start;
