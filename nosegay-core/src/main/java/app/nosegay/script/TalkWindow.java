package app.nosegay.script;

import app.nosegay.time.Length;

/**
 * How much is to be said in a segment against how much can be.
 *
 * @param segment its id
 * @param needed seconds of all that is wanted there: what is placed, and what is missed for want of room
 * @param available seconds there are: while moving, the chosen talk density of it; else all of it
 * @param lines how many lines are placed
 * @param left how many are missed for want of room
 */
public record TalkWindow(String segment, Length needed, Length available, int lines, int left) {
    /** Half a second more or less is made up in speaking. */
    private static final Length WORTH_SAYING = Length.ofMillis(500);

    /** Needed ÷ available; 0 where nothing is wanted. */
    public double share() {
        return needed.micros() == 0 ? 0 : needed.seconds() / Math.max(0.1, available.seconds());
    }

    /** Whether it fits only because a little is made up in speaking. */
    public boolean isJustFull() {
        return needed.compareTo(available) > 0 && !isOverfull();
    }

    public boolean isOverfull() {
        return left > 0 || needed.minus(available).compareTo(WORTH_SAYING) > 0;
    }
}
