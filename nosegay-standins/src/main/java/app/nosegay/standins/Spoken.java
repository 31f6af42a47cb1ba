package app.nosegay.standins;

import app.nosegay.captions.Caption;
import app.nosegay.library.CueKind;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;

/** A line as said; its length is an estimate until a voice has said it. */
record Spoken(Time<Axis.Take> start, Length length, CueKind kind, String text) {
    /** Calls are tied to their second. */
    boolean isCall() {
        return kind == CueKind.TIME || kind == CueKind.COUNT;
    }

    Caption caption() {
        return new Caption(start, start.plus(length), text);
    }
}
