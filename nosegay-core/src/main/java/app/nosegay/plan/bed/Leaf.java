package app.nosegay.plan.bed;

import app.nosegay.plan.terms.SideWay;
import app.nosegay.time.Length;
import java.util.List;

/**
 * A move on the bed.
 *
 * @param offset its line, counted from its block's line
 * @param name as written, or what the shown round does instead
 * @param moves the library's names of its parts; empty where it knows none
 * @param ends what ends it; a field of its own or its block's
 * @param amount how much it is, in words: {@code 12 reps each side}
 * @param way how its sides are shared
 * @param length all its time in the shown round, switches included; zero where others share its clock
 * @param tags what it has
 * @param missing what it should have
 * @param changed whether the shown round changes something
 * @param bonus whether it is outside the promise
 * @param beads its counts to a beat; empty without
 */
public record Leaf(
        int offset,
        String name,
        List<String> moves,
        Field ends,
        String amount,
        SideWay way,
        Length length,
        List<Tag> tags,
        List<Tag.Kind> missing,
        boolean changed,
        boolean bonus,
        List<Bead> beads,
        List<Mark> marks)
        implements BedItem {
    public Leaf {
        moves = List.copyOf(moves);
        tags = List.copyOf(tags);
        missing = List.copyOf(missing);
        beads = List.copyOf(beads);
        marks = List.copyOf(marks);
    }

    /** This leaf without what was found about it: findings come and go without the leaf changing. */
    public Leaf unmarked() {
        return new Leaf(
                offset, name, moves, ends, amount, way, length, tags, missing, changed, bonus, beads, List.of());
    }

    /** This leaf without what was found about it, done as much as {@code other}. */
    public Leaf asMuchAs(Leaf other) {
        return new Leaf(
                offset,
                name,
                moves,
                other.ends,
                other.amount,
                way,
                other.length,
                tags,
                missing,
                changed,
                bonus,
                beads,
                List.of());
    }

    /** The line as it would be spoken, for those who hear the screen. */
    public String spoken() {
        StringBuilder words = new StringBuilder(name).append(", ").append(amount);
        if (way != SideWay.NONE) {
            words.append(", ").append(PlainWords.shown("sides", way.word()));
        }
        tags.forEach(t -> words.append(", ").append(t.spoken()));
        return words.toString();
    }
}
