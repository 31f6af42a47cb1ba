package app.nosegay.plan;

import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.MoveLine;

/**
 * Where in the sheet a segment comes from, and how its id begins.
 *
 * @param move the move line, with what its round or set overrides; null for a plain rest or talk
 * @param infix a further part of the id, such as the side a rest follows; or null
 * @param instead the move done instead in this round or set, or null
 */
public record Place(Block block, MoveLine move, Integer round, Integer set, String infix, String instead) {
    Place(Block block, MoveLine move, Integer round, Integer set) {
        this(block, move, round, set, null, null);
    }

    Place withPart(String part) {
        return new Place(block, move, round, set, part, instead);
    }

    String shownMove() {
        return instead != null ? instead : move.name();
    }

    /** The move's attributes over its block's. */
    Attributes attributes() {
        return move == null ? block.attributes() : move.attributes().over(block.attributes());
    }

    /** This place with what its round or set changes. */
    Place overridden(int index) {
        MoveLine line = move;
        String other = null;
        for (RunSheet.Override o : move.overrides()) {
            if (o.index() == index) {
                line = new MoveLine(
                        line.line(),
                        line.name(),
                        line.slug(),
                        line.parts(),
                        o.attributes().over(line.attributes()),
                        line.cues(),
                        line.levels(),
                        line.overrides(),
                        line.turns());
                other = o.move() == null ? other : o.move();
            }
        }
        return new Place(block, line, round, set, infix, other);
    }

    String id(String part) {
        StringBuilder id = new StringBuilder(block.slug());
        if (move != null) {
            id.append('/').append(move.slug());
        }
        if (round != null) {
            id.append("/r").append(round);
        }
        if (set != null) {
            id.append("/s").append(set);
        }
        if (infix != null) {
            id.append('/').append(infix);
        }
        return part == null ? id.toString() : id.append('/').append(part).toString();
    }
}
