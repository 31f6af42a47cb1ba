/**
 * The window: a rail of stages, one package per stage. Views hold no reckoning: they show the session's programme and turn what the user does
 * into new workouts.
 */
package app.nosegay.desktop;
