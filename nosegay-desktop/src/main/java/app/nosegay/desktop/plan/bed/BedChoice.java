package app.nosegay.desktop.plan.bed;

import app.nosegay.plan.bed.BedItem;
import app.nosegay.plan.bed.BedRow;
import app.nosegay.plan.bed.Gap;
import app.nosegay.plan.bed.Leaf;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;

/** What lies on the bed, and what of it is chosen: one place, or several of one row. */
final class BedChoice {

    private final TreeSet<Integer> also = new TreeSet<>();

    private final List<Runnable> listeners = new ArrayList<>();

    private final BooleanSupplier inStep;
    private Consumer<Integer> lineChosen = line -> {};
    private List<BedRow> rows = List.of();
    private Spot spot = Spot.START;

    /** @param inStep whether what is shown is what is written */
    BedChoice(BooleanSupplier inStep) {
        this.inStep = inStep;
    }

    /** Shows other rows; what was chosen stays chosen where it is still there. */
    void show(List<BedRow> next) {
        rows = next;
        spot = nearest(spot);
        also.removeIf(i -> item(spot.at(i)).isEmpty());
        listeners.forEach(Runnable::run);
    }

    /** Shows other rows with something else chosen. */
    void show(List<BedRow> next, Spot wanted) {
        also.clear();
        spot = wanted;
        show(next);
    }

    /** Called after every change of what is shown or chosen. */
    void onChanged(Runnable listener) {
        listeners.add(listener);
    }

    /** Told the line of what was chosen here, so that the written sheet follows. */
    void onLine(Consumer<Integer> told) {
        lineChosen = told;
    }

    private Spot nearest(Spot s) {
        int row = Math.max(0, Math.min(s.row(), rows.size() - 1));
        int last = rows.isEmpty() ? Spot.TAG : rows.get(row).block().items().size() - 1;
        return new Spot(row, Math.max(Spot.TAG, Math.min(s.item(), last)));
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

    List<Integer> chosenLines() {
        TreeSet<Integer> lines = new TreeSet<>();
        lines.add(lineOf(spot));
        also.forEach(i -> lines.add(lineOf(spot.at(i))));
        return List.copyOf(lines);
    }

    int lineOf(Spot s) {
        BedRow row = rows.get(s.row());
        return item(s).map(row::lineOf).orElse(row.line());
    }

    void choose(Spot s) {
        also.clear();
        spot = nearest(s);
        listeners.forEach(Runnable::run);
        if (!rows.isEmpty() && inStep.getAsBoolean()) {
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
        int row = rows.size() - 1;
        while (row >= 0 && rows.get(row).line() > line) {
            row--;
        }
        if (row < 0) {
            return;
        }
        List<BedItem> items = rows.get(row).block().items();
        int found = Spot.TAG;
        for (int i = 0; i < items.size(); i++) {
            found = hasLine(items.get(i)) && rows.get(row).lineOf(items.get(i)) <= line ? i : found;
        }
        also.clear();
        spot = new Spot(row, found);
        listeners.forEach(Runnable::run);
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

    static boolean hasLine(BedItem item) {
        return item instanceof Leaf || ((Gap) item).source() == Gap.Source.LINE;
    }

    /** Chooses what stands at a place among the lines of a row. */
    void chooseAmongLines(int row, int place) {
        int r = Math.min(row, rows.size() - 1);
        List<BedItem> items = rows.get(r).block().items();
        int index = 0;
        for (int i = 0; i < items.size(); i++) {
            if (hasLine(items.get(i)) && index++ == place) {
                choose(new Spot(row, i));
                return;
            }
        }
    }
}
