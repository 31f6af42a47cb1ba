package app.nosegay.review.said;

import app.nosegay.calls.Call;

/**
 * A spoken call in a take, compared with what was true at that moment.
 *
 * @param take the take it is said in
 * @param call what was said
 * @param segment the segment it is said in, or null outside of all
 * @param truth what would have been right, or null where nothing can be compared
 * @param error said minus true, in the call's own unit; null where nothing can be compared
 */
public record HeardCall(String take, Call call, String segment, Double truth, Double error) {}
