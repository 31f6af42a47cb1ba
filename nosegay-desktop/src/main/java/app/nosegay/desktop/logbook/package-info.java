/** The logbook: a dated page of lessons, requests, takes and what was published; where viewers leave. */
package app.nosegay.desktop.logbook;
