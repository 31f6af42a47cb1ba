package app.nosegay.dress;

import app.nosegay.evidence.sight.Box;

/**
 * A face at its place.
 *
 * @param box where it may draw
 * @param opacity how much of the picture its backing hides, 0 to 1; raised where the picture behind it would make it hard to read
 * @param right whether it sits at the right of its box; else at the left
 * @param bottom whether it sits at the bottom of its box; else at the top
 */
public record PlacedOverlay(Face face, Box box, double opacity, boolean right, boolean bottom) {}
