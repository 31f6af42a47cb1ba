package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.Libraries;
import app.nosegay.library.CueKind;
import app.nosegay.plan.bed.Bed;
import app.nosegay.plan.bed.BedEdits;
import app.nosegay.plan.bed.BedItem;
import app.nosegay.plan.bed.BedRow;
import app.nosegay.plan.bed.Field;
import app.nosegay.plan.bed.FieldValues;
import app.nosegay.plan.bed.Gap;
import app.nosegay.plan.bed.HeaderSentence;
import app.nosegay.plan.bed.Leaf;
import app.nosegay.plan.bed.Part;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.edit.PieceEdits;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.time.Length;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What can be done with what is chosen on the bed. Every gesture becomes one named edit of the sheet; one that comes while the plan is
 * still being computed waits for it, so that no key is lost.
 */
final class BedDesk {
    private static final double GRID_SECONDS = 5;

    private final Session session;
    private final Recollection recollection;
    private final Map<String, Integer> rounds = new HashMap<>();
    private final Deque<Runnable> waiting = new ArrayDeque<>();
    private PlanReport report;
    private final BedChoice choice = new BedChoice(() -> !isBehind());
    private final BedPlacing placing = new BedPlacing(this);
    private Spot wanted;
    private Arriving arriving;

    BedDesk(Session session) {
        this.session = session;
        recollection = new Recollection(session);
    }

    void show(PlanReport next) {
        report = next;
        refresh();
        Runnable gesture = isBehind() ? null : waiting.poll();
        if (gesture != null) {
            gesture.run();
        }
    }

    private void refresh() {
        List<BedRow> rows = Bed.rows(report, Libraries.current(), rounds);
        if (wanted == null) {
            choice.show(rows);
        } else {
            Spot next = wanted;
            wanted = null;
            choice.show(rows, next);
        }
    }

    boolean isBehind() {
        return report == null
                || !report.timeline().sheet().text().equals(session.workout().sheet());
    }

    /** Does it now, or as soon as what is shown is what is written. */
    void gesture(Runnable does) {
        if (isBehind()) {
            waiting.add(does);
        } else {
            does.run();
        }
    }

    BedChoice choice() {
        return choice;
    }

    BedPlacing placing() {
        return placing;
    }

    Session session() {
        return session;
    }

    Recollection recollection() {
        return recollection;
    }

    PlanReport report() {
        return report;
    }

    RunSheet sheet() {
        return report.timeline().sheet();
    }

    /** Shows a block as it is in one of its rounds or sets. */
    void showRound(BedRow row, int round) {
        rounds.put(row.block().slug(), round);
        refresh();
    }

    PieceEdits pieceEdits() {
        return new PieceEdits(sheet());
    }

    BedEdits edits() {
        return new BedEdits(sheet());
    }

    void edit(SheetEdit edit, Spot after) {
        wanted = after;
        session.edit(edit);
    }

    /** The same, for what arrives on a line of its own: gaps may come and go with it, so it is found by its place among the lines. */
    void edit(SheetEdit edit, int row, int index) {
        arriving = new Arriving(row, index);
        wanted = null;
        session.edit(edit);
    }

    /** Where something arrives: a row, and the place among its lines. */
    private record Arriving(int row, int index) {}

    /** Once what was added or carried has arrived it is the chosen one. */
    void arrived() {
        if (arriving != null && !isBehind()) {
            Arriving place = arriving;
            arriving = null;
            choice.chooseAmongLines(place.row(), place.index());
        }
    }

    /** Fills in a field of a block. */
    void set(int row, Field field, String written) {
        gesture(() -> edit(edits().set(choice.rows().get(row).line(), field, written), choice.spot()));
    }

    /** Fills in a field of the chosen leaves; in a later round it changes there only. */
    void setOnLeaves(Field field, String written) {
        gesture(() -> {
            List<Integer> lines = choice.chosenLeaves();
            int round = choice.rows().get(choice.spot().row()).block().round();
            if (lines.isEmpty()) {
                return;
            }
            if (round > 1 && lines.size() == 1 && isRoundWise(field)) {
                edit(edits().inRound(lines.get(0), round, field, written), choice.spot());
            } else if (lines.size() == 1) {
                edit(edits().set(lines.get(0), field, written), choice.spot());
            } else {
                edit(edits().set(lines, field, written), choice.spot());
            }
        });
    }

    private static boolean isRoundWise(Field field) {
        return switch (field.word()) {
            case Field.NAME, Field.ENDS, "reps", "tempo", "load", "gear" -> true;
            default -> false;
        };
    }

    /** One step up or down: seconds or repetitions of a leaf, seconds of a gap, what a block's sets are ended by. */
    void step(int by) {
        gesture(() -> {
            BedItem item = choice.item(choice.spot()).orElse(null);
            if (item instanceof Leaf leaf) {
                FieldValues.stepped(leaf.ends(), by).ifPresent(v -> setOnLeaves(leaf.ends(), v));
            } else if (item instanceof Gap gap) {
                rest(choice.spot(), Length.ofSeconds(Math.max(0, gap.length().seconds() + by * GRID_SECONDS)));
            } else {
                choice.row()
                        .flatMap(r -> r.block().field(Field.ENDS, Field.LENGTH, "for"))
                        .ifPresent(f -> FieldValues.stepped(f, by)
                                .ifPresent(v -> set(choice.spot().row(), f, v)));
            }
        });
    }

    /** Gives the rest at {@code s} another length. */
    void rest(Spot s, Length length) {
        gesture(() -> {
            if (choice.item(s).orElse(null) instanceof Gap gap) {
                edits().rest(choice.rows().get(s.row()), gap, length).ifPresent(e -> edit(e, s));
            }
        });
    }

    void active(Spot s, String active) {
        gesture(() -> {
            if (choice.item(s).orElse(null) instanceof Gap gap) {
                edit(edits().active(choice.rows().get(s.row()), gap, active), s);
            }
        });
    }

    /** The next way of sharing the chosen leaves between the sides. */
    void nextSides() {
        choice.leaf().ifPresent(leaf -> {
            List<SideWay> ways = FieldValues.sides(
                    choice.rows().get(choice.spot().row()).block().kind());
            SideWay next = ways.get(Math.floorMod(ways.indexOf(leaf.way()) + 1, ways.size()));
            sides(leaf, next);
        });
    }

    void sides(Leaf leaf, SideWay way) {
        setOnLeaves(Field.of("sides", leaf.way().word()), way.word());
    }

    /** The next place where moves are taught: in the rest, before the clock starts, while working. */
    void nextTeaching() {
        gesture(() -> choice.row().filter(r -> r.block().hasMoves()).ifPresent(r -> {
            Field inRest = Field.of("demo", "in-rest");
            Field now = r.block().field("demo").orElse(inRest);
            Field field = now.written().isEmpty() ? inRest : now;
            FieldValues.stepped(field, 1).ifPresent(v -> set(choice.spot().row(), field, v));
        }));
    }

    void join(Spot from, Spot onto, PieceEdits.Join how) {
        gesture(() ->
                pieceEdits().join(choice.lineOf(from), choice.lineOf(onto), how).ifPresent(e -> edit(e, onto)));
    }

    /** Says something of the chosen leaf or block. */
    void cue(CueKind kind, String text) {
        gesture(() -> {
            if (choice.leaf().isPresent()
                    || choice.spot().isTag() && !choice.rows().isEmpty()) {
                edit(edits().cue(choice.lineOf(choice.spot()), kind, text), choice.spot());
            }
        });
    }

    void withoutCue(int line) {
        gesture(() -> edit(edits().withoutCue(line), choice.spot()));
    }

    void level(String level, String what) {
        gesture(() -> {
            if (choice.leaf().isPresent()) {
                edit(edits().level(choice.lineOf(choice.spot()), level, what), choice.spot());
            }
        });
    }

    /** Fills in a header. */
    void header(Field field, String written) {
        gesture(() -> {
            SheetEdit edit = HeaderSentence.set(sheet(), field, written);
            if (!edit.changes().isEmpty()) {
                edit(edit, choice.spot());
            }
        });
    }

    /** How a row is called for those who hear the screen. */
    String spoken(BedRow row) {
        StringBuilder words = new StringBuilder(row.block().name().shown()).append(": ");
        row.block()
                .sentence()
                .forEach(p -> words.append(p instanceof Part.Value v ? v.field().shown() : ((Part.Words) p).text()));
        return DesktopText.of(
                "plan.bed.row-spoken",
                words,
                row.block().items().size(),
                row.block().length().clock());
    }
}
