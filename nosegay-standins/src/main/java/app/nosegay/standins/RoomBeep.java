package app.nosegay.standins;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;

/** A beep of the room clock. */
record RoomBeep(Time<Axis.Take> time, double hz, Length length) {}
