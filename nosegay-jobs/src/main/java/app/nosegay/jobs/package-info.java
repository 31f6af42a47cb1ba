/** What takes time or touches files, for command line and window alike: workout files, reading takes, simulating, publishing, the demo. */
package app.nosegay.jobs;
