package app.nosegay.desktop.session;

import java.util.List;

/**
 * Something that has to be known, or decided, before going on; shown over the stages until it is.
 *
 * @param text what it is
 * @param ways what can be done, the usual one first
 * @param ofWorkout whether it concerns the open workout alone and goes with it
 */
public record Notice(String text, List<Way> ways, boolean ofWorkout) {
    /** A way on: what its button says and does. The notice goes when it is done. */
    public record Way(String label, Runnable does) {}
}
