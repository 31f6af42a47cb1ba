package app.nosegay.plan.bed;

/** A piece of a block's sentence: words as they are, or a value that can be changed. */
public sealed interface Part {
    /** Words between the values. */
    record Words(String text) implements Part {}

    /** A value. */
    record Value(Field field) implements Part {}
}
