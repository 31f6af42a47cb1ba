package app.nosegay.desktop.plan.bed;

import app.nosegay.plan.bed.BedItem;
import app.nosegay.plan.bed.BedRow;
import app.nosegay.plan.bed.Gap;
import app.nosegay.plan.edit.SheetOrder;
import app.nosegay.plan.edit.SheetPieces;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.List;

/** What comes to the bed, goes from it and is carried about on it. */
final class BedPlacing {
    private static final Length FIRST_REST = Length.ofSeconds(20);

    private final BedDesk desk;

    BedPlacing(BedDesk desk) {
        this.desk = desk;
    }

    private BedChoice choice() {
        return desk.choice();
    }

    /** A rest behind the chosen leaf; where there is one, it is chosen. */
    void rest() {
        desk.gesture(() -> {
            if (choice().leaf().isEmpty()) {
                return;
            }
            Spot behind = choice().spot().at(choice().spot().item() + 1);
            if (choice().item(behind).orElse(null) instanceof Gap) {
                choice().choose(behind);
            } else {
                BedRow row = choice().rows().get(choice().spot().row());
                int index = choice().leafIndex(behind);
                desk.edit(
                        desk.pieceEdits().addRest(row.line(), index, "rest " + FIRST_REST.clock()),
                        choice().spot().row(),
                        index);
            }
        });
    }

    /** Puts a move, as written, behind what is chosen: behind all others where that is a row's tag. */
    void addMove(String written) {
        desk.gesture(() -> {
            if (choice().rows().isEmpty()) {
                String block = "circuit  work 0:40  rest 0:20";
                desk.edit(desk.pieceEdits().addBlock(0, List.of(block, "  " + written)), new Spot(0, 0));
                return;
            }
            BedRow row = choice().rows().get(choice().spot().row());
            if (!row.block().hasMoves()) {
                return;
            }
            int at = choice().spot().isTag()
                    ? row.block().items().size()
                    : choice().spot().item() + 1;
            at += choice().item(choice().spot().at(at))
                            .filter(i -> i instanceof Gap && !BedChoice.hasLine(i))
                            .isPresent()
                    ? 1
                    : 0;
            int index = choice().leafIndex(choice().spot().at(at));
            desk.edit(
                    desk.pieceEdits().addMove(row.line(), index, written),
                    choice().spot().row(),
                    index);
        });
    }

    /** Puts a block behind the chosen row. */
    void addBlock(String head) {
        desk.gesture(() -> {
            int line = choice().rows().isEmpty()
                    ? 0
                    : choice().rows().get(choice().spot().row()).line();
            desk.edit(
                    desk.pieceEdits().addBlock(line, List.of(head)),
                    new Spot(choice().rows().isEmpty() ? 0 : choice().spot().row() + 1, Spot.TAG));
        });
    }

    /** Removes what is chosen; a gap without a line of its own becomes no rest. */
    void remove() {
        desk.gesture(() -> {
            if (choice().rows().isEmpty()) {
                return;
            }
            BedItem item = choice().item(choice().spot()).orElse(null);
            if (item instanceof Gap && !BedChoice.hasLine(item)) {
                desk.rest(choice().spot(), Length.ZERO);
                return;
            }
            Spot after = choice().spot().isTag()
                    ? choice().spot()
                    : choice().spot().at(Math.max(Spot.TAG, choice().spot().item() - 1));
            desk.edit(desk.pieceEdits().remove(choice().chosenLines()), after);
        });
    }

    void duplicate() {
        desk.gesture(() -> {
            if (choice().rows().isEmpty()
                    || !choice().spot().isTag()
                            && !BedChoice.hasLine(choice().item(choice().spot()).orElseThrow())) {
                return;
            }
            SheetEdit edit = desk.pieceEdits().duplicate(choice().lineOf(choice().spot()));
            if (choice().spot().isTag()) {
                desk.edit(edit, new Spot(choice().spot().row() + 1, Spot.TAG));
            } else {
                desk.edit(edit, choice().spot().row(), choice().leafIndex(choice().spot()) + 1);
            }
        });
    }

    /** The chosen lines as notation; empty where nothing is. */
    String copied() {
        if (choice().rows().isEmpty() || desk.isBehind()) {
            return "";
        }
        List<String> lines = new ArrayList<>();
        SheetPieces pieces = new SheetPieces(desk.sheet());
        choice().chosenLines().forEach(l -> lines.addAll(pieces.piece(l)));
        return String.join("\n", lines) + "\n";
    }

    /** Puts notation, or notes as people write them, behind what is chosen. */
    void paste(List<String> lines) {
        desk.gesture(() -> {
            SheetEdit edit =
                    desk.pieceEdits().paste(choice().rows().isEmpty() ? 0 : choice().lineOf(choice().spot()), lines);
            if (choice().rows().isEmpty() || !lines.get(0).startsWith(" ")) {
                desk.edit(
                        edit,
                        new Spot(choice().rows().isEmpty() ? 0 : choice().spot().row() + 1, Spot.TAG));
            } else {
                int last = choice().rows()
                        .get(choice().spot().row())
                        .block()
                        .items()
                        .size();
                desk.edit(
                        edit,
                        choice().spot().row(),
                        choice().spot().isTag()
                                ? choice().leafIndex(choice().spot().at(last))
                                : choice().leafIndex(choice().spot()) + 1);
            }
        });
    }

    /** Carries the chosen leaf one place along its row, at its end into the next row; a tag does not move sideways. */
    void carryAlong(int by) {
        desk.gesture(() -> {
            if (choice().spot().isTag()
                    || !BedChoice.hasLine(choice().item(choice().spot()).orElseThrow())) {
                return;
            }
            List<BedItem> items =
                    choice().rows().get(choice().spot().row()).block().items();
            int next = choice().spot().item() + by;
            while (next >= 0 && next < items.size() && !BedChoice.hasLine(items.get(next))) {
                next += by;
            }
            if (next >= 0 && next < items.size()) {
                carry(choice().spot(), choice().spot().at(by > 0 ? next + 1 : next));
            } else {
                carryAcross(by);
            }
        });
    }

    /** Carries the chosen leaf into the next row that takes moves, or the chosen block one place up or down. */
    void carryAcross(int by) {
        desk.gesture(() -> {
            if (choice().rows().isEmpty()) {
                return;
            }
            if (choice().spot().isTag()) {
                SheetOrder order = new SheetOrder(desk.sheet());
                order.moved(choice().rows().get(choice().spot().row()).line(), by < 0)
                        .ifPresent(e -> desk.edit(e, new Spot(choice().spot().row() + by, Spot.TAG)));
                return;
            }
            for (int r = choice().spot().row() + by;
                    r >= 0 && r < choice().rows().size();
                    r += by) {
                if (choice().rows().get(r).block().hasMoves()) {
                    carry(
                            choice().spot(),
                            new Spot(
                                    r,
                                    by > 0
                                            ? 0
                                            : choice().rows()
                                                    .get(r)
                                                    .block()
                                                    .items()
                                                    .size()));
                    return;
                }
            }
        });
    }

    /** Carries what is at {@code from} before what is at {@code to}. */
    void carry(Spot from, Spot to) {
        desk.gesture(() -> {
            int line = choice().lineOf(from);
            int index = choice().leafIndex(to);
            boolean sameRow = from.row() == to.row();
            desk.pieceEdits()
                    .carry(line, choice().rows().get(to.row()).line(), index)
                    .ifPresent(e -> {
                        int after = index - (sameRow && choice().leafIndex(from) < index ? 1 : 0);
                        desk.edit(e, to.row(), after);
                    });
        });
    }
}
