package app.nosegay.plan.sheet;

import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.Pause;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** A block while its lines come in. */
final class OpenBlock {
    final int line;
    final BlockKind kind;
    final List<RunSheet.Cue> cues = new ArrayList<>();
    final List<RunSheet.Item> items = new ArrayList<>();
    final Slug slugs = new Slug();
    String name = "";
    Pause length;
    Attributes attributes = Attributes.NONE;
    OpenMove move;

    OpenBlock(int line, BlockKind kind) {
        this.line = line;
        this.kind = kind;
    }

    /** The attributes of the move that is open; null when none is. */
    Map<Attribute, Object> moveAttributes() {
        return move == null ? null : move.attributes;
    }

    void closeMove() {
        if (move != null) {
            items.add(move.line());
            move = null;
        }
    }

    Block block(Slug blockSlugs) {
        String shown = name.isEmpty() ? kind.word() : name;
        return new Block(line, kind, shown, blockSlugs.next(shown), length, attributes, cues, items);
    }
}
