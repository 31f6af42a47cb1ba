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
import app.nosegay.plan.bed.Leaf;
import app.nosegay.plan.bed.Part;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.edit.SheetOrder;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.time.Length;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Consumer;

/**
 * What lies on the bed and what is chosen there. Every gesture becomes one named edit of the sheet; one that comes while the plan is still
 * being computed waits for it, so that no key is lost.
 */
final class BedDesk {
    private static final double GRID_SECONDS = 5;
    private static final Length FIRST_REST = Length.ofSeconds(20);

    private final Session session;
    private final Map<String, Integer> rounds = new HashMap<>();
    private final Deque<Runnable> waiting = new ArrayDeque<>();
    private final TreeSet<Integer> also = new TreeSet<>();
    private final List<Runnable> listeners = new ArrayList<>();
    private Consumer<Integer> lineChosen = line -> {};
    private PlanReport report;
    private List<BedRow> rows = List.of();
    private Spot spot = Spot.START;
    private Spot wanted;
    private Arriving arriving;

    BedDesk(Session session) {
        this.session = session;
    }

    /** Called after every change of what is shown or chosen. */
    void onChanged(Runnable listener) {
        listeners.add(listener);
    }

    /** Told the line of what was chosen here, so that the written sheet follows. */
    void onLine(Consumer<Integer> told) {
        lineChosen = told;
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
        rows = Bed.rows(report, Libraries.current(), rounds);
        if (wanted != null) {
            spot = wanted;
            wanted = null;
            also.clear();
        }
        spot = nearest(spot);
        also.removeIf(i -> item(spot.at(i)).isEmpty());
        listeners.forEach(Runnable::run);
    }

    private Spot nearest(Spot s) {
        int row = Math.max(0, Math.min(s.row(), rows.size() - 1));
        int last = rows.isEmpty() ? Spot.TAG : rows.get(row).block().items().size() - 1;
        return new Spot(row, Math.max(Spot.TAG, Math.min(s.item(), last)));
    }

    private boolean isBehind() {
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

    Session session() {
        return session;
    }

    PlanReport report() {
        return report;
    }

    RunSheet sheet() {
        return report.timeline().sheet();
    }

    List<BedRow> rows() {
        return rows;
    }

    Spot spot() {
        return spot;
    }

    /** Whether something at a place is chosen, alone or with others. */
    boolean isChosen(Spot s) {
        return s.equals(spot) || s.row() == spot.row() && also.contains(s.item());
    }

    Optional<BedRow> row() {
        return spot.row() < rows.size() ? Optional.of(rows.get(spot.row())) : Optional.empty();
    }

    Optional<BedItem> item(Spot s) {
        return s.row() < rows.size()
                        && s.item() >= 0
                        && s.item() < rows.get(s.row()).block().items().size()
                ? Optional.of(rows.get(s.row()).block().items().get(s.item()))
                : Optional.empty();
    }

    Optional<Leaf> leaf() {
        return item(spot).filter(Leaf.class::isInstance).map(Leaf.class::cast);
    }

    /** The lines of all leaves that are chosen together. */
    List<Integer> chosenLeaves() {
        TreeSet<Integer> items = new TreeSet<>(also);
        items.add(spot.item());
        return items.stream()
                .flatMap(i -> item(spot.at(i)).stream())
                .filter(Leaf.class::isInstance)
                .map(i -> rows.get(spot.row()).lineOf(i))
                .toList();
    }

    int lineOf(Spot s) {
        BedRow row = rows.get(s.row());
        return item(s).map(row::lineOf).orElse(row.line());
    }

    void choose(Spot s) {
        also.clear();
        spot = nearest(s);
        listeners.forEach(Runnable::run);
        if (!rows.isEmpty() && !isBehind()) {
            lineChosen.accept(lineOf(spot));
        }
    }

    /** Chooses what is at {@code s} besides, or no longer. */
    void chooseAlso(Spot s) {
        if (s.row() != spot.row() || s.isTag()) {
            choose(s);
            return;
        }
        if (s.equals(spot)) {
            return;
        }
        if (!also.remove(s.item())) {
            also.add(s.item());
        }
        listeners.forEach(Runnable::run);
    }

    /** Chooses what stands at a line of the sheet, without telling it back. */
    void chooseLine(int line) {
        for (int r = rows.size() - 1; r >= 0; r--) {
            if (rows.get(r).line() <= line) {
                List<BedItem> items = rows.get(r).block().items();
                int found = Spot.TAG;
                for (int i = 0; i < items.size(); i++) {
                    boolean first = items.get(i) instanceof Leaf || ((Gap) items.get(i)).source() == Gap.Source.LINE;
                    found = first && rows.get(r).lineOf(items.get(i)) <= line ? i : found;
                }
                also.clear();
                spot = new Spot(r, found);
                listeners.forEach(Runnable::run);
                return;
            }
        }
    }

    /** Shows a block as it is in one of its rounds or sets. */
    void showRound(BedRow row, int round) {
        rounds.put(row.block().slug(), round);
        refresh();
    }

    private BedEdits edits() {
        return new BedEdits(sheet());
    }

    private void edit(SheetEdit edit, Spot after) {
        wanted = after;
        session.edit(edit);
    }

    /** The same, for what arrives on a line of its own: gaps may come and go with it, so it is found by its place among the lines. */
    private void edit(SheetEdit edit, int row, int index) {
        arriving = new Arriving(row, index);
        wanted = null;
        session.edit(edit);
    }

    /** Fills in a field of a block. */
    void set(int row, Field field, String written) {
        gesture(() -> edit(edits().set(rows.get(row).line(), field, written), spot));
    }

    /** Fills in a field of the chosen leaves; in a later round it changes there only. */
    void setOnLeaves(Field field, String written) {
        gesture(() -> {
            List<Integer> lines = chosenLeaves();
            int round = rows.get(spot.row()).block().round();
            if (lines.isEmpty()) {
                return;
            }
            if (round > 1 && lines.size() == 1 && isRoundWise(field)) {
                edit(edits().inRound(lines.get(0), round, field, written), spot);
            } else if (lines.size() == 1) {
                edit(edits().set(lines.get(0), field, written), spot);
            } else {
                edit(edits().set(lines, field, written), spot);
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
            BedItem item = item(spot).orElse(null);
            if (item instanceof Leaf leaf) {
                FieldValues.stepped(leaf.ends(), by).ifPresent(v -> setOnLeaves(leaf.ends(), v));
            } else if (item instanceof Gap gap) {
                rest(spot, Length.ofSeconds(Math.max(0, gap.length().seconds() + by * GRID_SECONDS)));
            } else {
                row().flatMap(r -> r.block().sentence().stream()
                                .filter(Part.Value.class::isInstance)
                                .map(p -> ((Part.Value) p).field())
                                .filter(f -> f.word().equals(Field.ENDS)
                                        || f.word().equals(Field.LENGTH)
                                        || f.word().equals("for"))
                                .findFirst())
                        .ifPresent(f -> FieldValues.stepped(f, by).ifPresent(v -> set(spot.row(), f, v)));
            }
        });
    }

    /** Gives the rest at {@code s} another length. */
    void rest(Spot s, Length length) {
        gesture(() -> {
            if (item(s).orElse(null) instanceof Gap gap) {
                edits().rest(rows.get(s.row()), gap, length).ifPresent(e -> edit(e, s));
            }
        });
    }

    void active(Spot s, String active) {
        gesture(() -> {
            if (item(s).orElse(null) instanceof Gap gap) {
                edit(edits().active(rows.get(s.row()), gap, active), s);
            }
        });
    }

    /** The next way of sharing the chosen leaves between the sides. */
    void nextSides() {
        leaf().ifPresent(leaf -> {
            List<SideWay> ways = FieldValues.sides(rows.get(spot.row()).block().kind());
            SideWay next = ways.get(Math.floorMod(ways.indexOf(leaf.way()) + 1, ways.size()));
            sides(leaf, next);
        });
    }

    void sides(Leaf leaf, SideWay way) {
        setOnLeaves(Field.of("sides", leaf.way().word()), way.word());
    }

    /** The next place where moves are taught: in the rest, before the clock starts, while working. */
    void nextTeaching() {
        gesture(() -> row().filter(r -> r.block().hasMoves()).ifPresent(r -> {
            Field now = r.block().sentence().stream()
                    .filter(Part.Value.class::isInstance)
                    .map(p -> ((Part.Value) p).field())
                    .filter(f -> f.word().equals("demo"))
                    .findFirst()
                    .orElse(Field.of("demo", "in-rest"));
            Field field = now.written().isEmpty() ? Field.of("demo", "in-rest") : now;
            FieldValues.stepped(field, 1).ifPresent(v -> set(spot.row(), field, v));
        }));
    }

    /** A rest behind the chosen leaf; where there is one, it is chosen. */
    void rest() {
        gesture(() -> {
            if (leaf().isEmpty()) {
                return;
            }
            Spot behind = spot.at(spot.item() + 1);
            if (item(behind).orElse(null) instanceof Gap) {
                choose(behind);
            } else {
                BedRow row = rows.get(spot.row());
                int index = leafIndex(behind);
                edit(edits().addRest(row.line(), index, "rest " + FIRST_REST.clock()), spot.row(), index);
            }
        });
    }

    /** Where an item stands among the lines of its block: gaps that have no line of their own are not counted. */
    int leafIndex(Spot s) {
        List<BedItem> items = rows.get(s.row()).block().items();
        int index = 0;
        for (int i = 0; i < Math.min(s.item(), items.size()); i++) {
            index += hasLine(items.get(i)) ? 1 : 0;
        }
        return index;
    }

    private static boolean hasLine(BedItem item) {
        return item instanceof Leaf || ((Gap) item).source() == Gap.Source.LINE;
    }

    /** Puts a move, as written, behind what is chosen: behind all others where that is a row's tag. */
    void addMove(String written) {
        gesture(() -> {
            if (rows.isEmpty()) {
                String block = "circuit  work 0:40  rest 0:20";
                edit(edits().addBlock(0, List.of(block, "  " + written)), new Spot(0, 0));
                return;
            }
            BedRow row = rows.get(spot.row());
            if (!row.block().hasMoves()) {
                return;
            }
            int at = spot.isTag() ? row.block().items().size() : spot.item() + 1;
            at += item(spot.at(at)).filter(i -> i instanceof Gap && !hasLine(i)).isPresent() ? 1 : 0;
            int index = leafIndex(spot.at(at));
            edit(edits().addMove(row.line(), index, written), spot.row(), index);
        });
    }

    /** Puts a block behind the chosen row. */
    void addBlock(String head) {
        gesture(() -> {
            int line = rows.isEmpty() ? 0 : rows.get(spot.row()).line();
            edit(edits().addBlock(line, List.of(head)), new Spot(rows.isEmpty() ? 0 : spot.row() + 1, Spot.TAG));
        });
    }

    private List<Integer> chosenLines() {
        TreeSet<Integer> lines = new TreeSet<>();
        lines.add(lineOf(spot));
        also.forEach(i -> lines.add(lineOf(spot.at(i))));
        return List.copyOf(lines);
    }

    /** Removes what is chosen; a gap without a line of its own becomes no rest. */
    void remove() {
        gesture(() -> {
            if (rows.isEmpty()) {
                return;
            }
            BedItem item = item(spot).orElse(null);
            if (item instanceof Gap && !hasLine(item)) {
                rest(spot, Length.ZERO);
                return;
            }
            Spot after = spot.isTag() ? spot : spot.at(Math.max(Spot.TAG, spot.item() - 1));
            edit(edits().remove(chosenLines()), after);
        });
    }

    void duplicate() {
        gesture(() -> {
            if (rows.isEmpty() || !spot.isTag() && !hasLine(item(spot).orElseThrow())) {
                return;
            }
            SheetEdit edit = edits().duplicate(lineOf(spot));
            if (spot.isTag()) {
                edit(edit, new Spot(spot.row() + 1, Spot.TAG));
            } else {
                edit(edit, spot.row(), leafIndex(spot) + 1);
            }
        });
    }

    /** The chosen lines as notation; empty where nothing is. */
    String copied() {
        if (rows.isEmpty() || isBehind()) {
            return "";
        }
        List<String> lines = new ArrayList<>();
        chosenLines().forEach(l -> lines.addAll(edits().piece(l)));
        return String.join("\n", lines) + "\n";
    }

    /** Puts notation, or notes as people write them, behind what is chosen. */
    void paste(List<String> lines) {
        gesture(() -> {
            SheetEdit edit = edits().paste(rows.isEmpty() ? 0 : lineOf(spot), lines);
            if (rows.isEmpty() || !lines.get(0).startsWith(" ")) {
                edit(edit, new Spot(rows.isEmpty() ? 0 : spot.row() + 1, Spot.TAG));
            } else {
                int last = rows.get(spot.row()).block().items().size();
                edit(edit, spot.row(), spot.isTag() ? leafIndex(spot.at(last)) : leafIndex(spot) + 1);
            }
        });
    }

    /** Carries the chosen leaf one place along its row, at its end into the next row; a tag does not move sideways. */
    void carryAlong(int by) {
        gesture(() -> {
            if (spot.isTag() || !hasLine(item(spot).orElseThrow())) {
                return;
            }
            List<BedItem> items = rows.get(spot.row()).block().items();
            int next = spot.item() + by;
            while (next >= 0 && next < items.size() && !hasLine(items.get(next))) {
                next += by;
            }
            if (next >= 0 && next < items.size()) {
                carry(spot, spot.at(by > 0 ? next + 1 : next));
            } else {
                carryAcross(by);
            }
        });
    }

    /** Carries the chosen leaf into the next row that takes moves, or the chosen block one place up or down. */
    void carryAcross(int by) {
        gesture(() -> {
            if (rows.isEmpty()) {
                return;
            }
            if (spot.isTag()) {
                SheetOrder order = new SheetOrder(sheet());
                order.moved(rows.get(spot.row()).line(), by < 0)
                        .ifPresent(e -> edit(e, new Spot(spot.row() + by, Spot.TAG)));
                return;
            }
            for (int r = spot.row() + by; r >= 0 && r < rows.size(); r += by) {
                if (rows.get(r).block().hasMoves()) {
                    carry(
                            spot,
                            new Spot(r, by > 0 ? 0 : rows.get(r).block().items().size()));
                    return;
                }
            }
        });
    }

    /** Carries what is at {@code from} before what is at {@code to}. */
    void carry(Spot from, Spot to) {
        gesture(() -> {
            int line = lineOf(from);
            int index = leafIndex(to);
            boolean sameRow = from.row() == to.row();
            edits().carry(line, rows.get(to.row()).line(), index).ifPresent(e -> {
                int after = index - (sameRow && leafIndex(from) < index ? 1 : 0);
                edit(e, to.row(), after);
            });
        });
    }

    /** Where something arrives: a row, and the place among its lines. */
    private record Arriving(int row, int index) {}

    /** Once what was added or carried has arrived it is the chosen one. */
    void arrived() {
        if (arriving == null || isBehind()) {
            return;
        }
        Arriving place = arriving;
        arriving = null;
        List<BedItem> items =
                rows.get(Math.min(place.row(), rows.size() - 1)).block().items();
        int index = 0;
        for (int i = 0; i < items.size(); i++) {
            if (hasLine(items.get(i)) && index++ == place.index()) {
                choose(new Spot(place.row(), i));
                return;
            }
        }
    }

    void join(Spot from, Spot onto, BedEdits.Join how) {
        gesture(() -> edits().join(lineOf(from), lineOf(onto), how).ifPresent(e -> edit(e, onto)));
    }

    /** Says something of the chosen leaf or block. */
    void cue(CueKind kind, String text) {
        gesture(() -> {
            if (leaf().isPresent() || spot.isTag() && !rows.isEmpty()) {
                edit(edits().cue(lineOf(spot), kind, text), spot);
            }
        });
    }

    void withoutCue(int line) {
        gesture(() -> edit(edits().withoutCue(line), spot));
    }

    void level(String level, String what) {
        gesture(() -> {
            if (leaf().isPresent()) {
                edit(edits().level(lineOf(spot), level, what), spot);
            }
        });
    }

    /** Fills in a header. */
    void header(Field field, String written) {
        gesture(() -> {
            SheetEdit edit = app.nosegay.plan.bed.HeaderSentence.set(sheet(), field, written);
            if (!edit.changes().isEmpty()) {
                edit(edit, spot);
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
