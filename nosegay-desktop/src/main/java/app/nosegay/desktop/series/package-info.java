/** Several workouts side by side, one bouquet per day. */
package app.nosegay.desktop.series;
