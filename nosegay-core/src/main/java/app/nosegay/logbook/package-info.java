/** What is worth remembering beside the workouts: lessons, viewers' requests, what was published, time spent. */
package app.nosegay.logbook;
