package app.nosegay.match.lattice;

import java.util.List;
import java.util.function.IntToDoubleFunction;

/** What a lattice asks of a plan and a take; bins are its own, of {@code binSeconds}. */
public interface LatticeEvidence {
    int bins();

    double binSeconds();

    int segments();

    /** Segments that may be done in each other's place. */
    List<Exchange> exchanges();

    /** Two segments that may be done in each other's place; {@code led} where the rest before tells which one follows. */
    record Exchange(int first, int second, boolean led) {}

    /** Planned length of segment {@code k} in bins, at least 1. */
    int planned(int k);

    /** What it costs that the take begins with segment {@code k}. */
    double entering(int k);

    /** What it costs to leave segment {@code k} out, alone or with the one before it. */
    double leftOut(int k, boolean again);

    /** What each bin off the planned length costs. */
    double costPerBin(int k);

    /** What a segment that is longer than planned costs at most. */
    double mostForLonger();

    /** For the boundary between segments k − 1 and k without a pause. */
    double joint(int k, int bin);

    /** For the boundary between two segments that do not follow each other in the plan, by bin. */
    IntToDoubleFunction between(int before, int after);

    /** For the end of segment k − 1 with a pause behind it. */
    double ending(int k, int bin);

    /** For the start of segment k after a pause, or as the first of the take. */
    double starting(int k, int bin);

    /** What speaks for breaking off at a bin. */
    double fluff(int bin);

    /** Cumulative fit of segment {@code k}, with {@code next} behind it, with what is seen and said, up to a bin. */
    IntToDoubleFunction within(int k, int next);

    /** Cumulative fit of a pause with what is seen, up to a bin. */
    double idle(int bin);

    /** The first and last boundary worth trying at a bin; neither ever goes back. */
    int low(int bin);

    int high(int bin);
}
