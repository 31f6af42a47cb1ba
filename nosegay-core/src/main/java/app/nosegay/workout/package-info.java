/** The project: what is stored of a workout, its file format, its history, and everything that follows from it. */
package app.nosegay.workout;
