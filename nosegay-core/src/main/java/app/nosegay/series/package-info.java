/** Several workouts side by side: a week, a course. */
package app.nosegay.series;
