package app.nosegay.match;

/**
 * One stretch of a take in which a planned segment is done.
 *
 * @param segment its index in the timeline
 * @param start in seconds of the take
 * @param end in seconds of the take
 * @param startDoubt 0 to 1
 * @param endDoubt 0 to 1
 * @param broken whether it was broken off, to be done again
 */
record SegmentOccurrence(
        int segment,
        double start,
        double end,
        double startDoubt,
        double endDoubt,
        boolean startPinned,
        boolean endPinned,
        boolean broken) {
    double length() {
        return end - start;
    }

    SegmentOccurrence broken(boolean now) {
        return new SegmentOccurrence(segment, start, end, startDoubt, endDoubt, startPinned, endPinned, now);
    }
}
