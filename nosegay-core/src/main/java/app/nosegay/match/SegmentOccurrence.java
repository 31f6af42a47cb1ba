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
 * @param startLikely between which seconds the start most likely is
 * @param endLikely the same of the end
 */
record SegmentOccurrence(
        int segment,
        double start,
        double end,
        double startDoubt,
        double endDoubt,
        boolean startPinned,
        boolean endPinned,
        boolean broken,
        Range startLikely,
        Range endLikely) {
    /** From one second of the take to another. */
    record Range(double from, double to) {
        static Range at(double seconds) {
            return new Range(seconds, seconds);
        }
    }

    /** Boundaries that are nowhere else. */
    SegmentOccurrence(
            int segment,
            double start,
            double end,
            double startDoubt,
            double endDoubt,
            boolean startPinned,
            boolean endPinned,
            boolean broken) {
        this(segment, start, end, startDoubt, endDoubt, startPinned, endPinned, broken, Range.at(start), Range.at(end));
    }

    double length() {
        return end - start;
    }

    SegmentOccurrence broken(boolean now) {
        return new SegmentOccurrence(
                segment, start, end, startDoubt, endDoubt, startPinned, endPinned, now, startLikely, endLikely);
    }
}
