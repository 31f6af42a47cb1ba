package app.nosegay.plan.bed;

/**
 * A value of the plan that stands in a sentence or on a leaf and can be changed there.
 *
 * @param word what is changed: an attribute's word, or one of {@link #NAME}, {@link #LENGTH}, {@link #ENDS}
 * @param shown how people read it
 * @param written how the notation has it; empty where nothing is written. What ends a set is written with its word: {@code reps 12}
 */
public record Field(String word, String shown, String written) {
    /** A block's or a move's name. */
    public static final String NAME = "name";
    /** The bare length of talk and rests. */
    public static final String LENGTH = "length";
    /** What ends a set: a clock, repetitions, a hold or counts. */
    public static final String ENDS = "ends";

    /** A field of an attribute with what is written for it. */
    public static Field of(String word, String written) {
        return new Field(word, PlainWords.shown(word, written), written);
    }
}
