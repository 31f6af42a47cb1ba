/**
 * The open workout of a window: its history, file, takes and jobs, and what every stage is to the window.
 */
package app.nosegay.desktop.session;
