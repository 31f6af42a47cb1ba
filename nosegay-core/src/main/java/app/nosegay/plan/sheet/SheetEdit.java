package app.nosegay.plan.sheet;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * A change of a run sheet's text, line by line, that leaves every other line as it is.
 *
 * @param name what it does, for the undo list: {@code rest 0:20 → 0:15}
 * @param changes none of them touch each other's lines
 */
public record SheetEdit(String name, List<Change> changes) {
    public SheetEdit {
        changes = List.copyOf(changes);
    }

    /**
     * One change.
     *
     * @param line the first line it touches, from 1
     * @param removes how many lines go from there on
     * @param lines what comes in their place
     */
    public record Change(int line, int removes, List<String> lines) {
        public Change {
            lines = List.copyOf(lines);
        }
    }

    public static SheetEdit replace(String name, int line, String text) {
        return new SheetEdit(name, List.of(new Change(line, 1, List.of(text))));
    }

    public static SheetEdit insert(String name, int line, List<String> lines) {
        return new SheetEdit(name, List.of(new Change(line, 0, lines)));
    }

    public static SheetEdit delete(String name, int line, int count) {
        return new SheetEdit(name, List.of(new Change(line, count, List.of())));
    }

    /** The edit that makes {@code after} of {@code before}: the lines between what both begin and end with. */
    public static SheetEdit between(String name, String before, String after) {
        List<String> old = List.of(before.split("\r\n|\n|\r", -1));
        List<String> now = List.of(after.split("\r\n|\n|\r", -1));
        int same = 0;
        while (same < Math.min(old.size(), now.size()) && old.get(same).equals(now.get(same))) {
            same++;
        }
        int tail = 0;
        while (tail < Math.min(old.size(), now.size()) - same
                && old.get(old.size() - 1 - tail).equals(now.get(now.size() - 1 - tail))) {
            tail++;
        }
        return new SheetEdit(
                name, List.of(new Change(same + 1, old.size() - tail - same, now.subList(same, now.size() - tail))));
    }

    /** This edit and {@code other}, which touches other lines of the same text. */
    public SheetEdit and(SheetEdit other) {
        List<Change> all = new ArrayList<>(changes);
        all.addAll(other.changes);
        return new SheetEdit(name + ", " + other.name, all);
    }

    /** The text with the changes made; its line ends are kept. */
    public String apply(String text) {
        String end = text.contains("\r\n") ? "\r\n" : "\n";
        List<String> lines = new ArrayList<>(Arrays.asList(text.split("\r\n|\n|\r", -1)));
        List<Change> fromBelow = new ArrayList<>(changes);
        fromBelow.sort(Comparator.comparingInt(Change::line).reversed());
        for (Change change : fromBelow) {
            int from = Math.max(0, Math.min(lines.size(), change.line() - 1));
            int to = Math.min(lines.size(), from + change.removes());
            lines.subList(from, to).clear();
            lines.addAll(from, change.lines());
        }
        return String.join(end, lines);
    }
}
