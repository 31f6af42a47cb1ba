package app.nosegay.workout;

import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Which segments are the same before and after an edit of the sheet. Lines are paired by difference, so that what hangs on a segment (pins,
 * script lines, waivers) survives the renaming of its block or move.
 */
final class Renaming {
    private Renaming() {}

    /** New ids by old ones, where they differ. */
    static Map<String, String> of(Timeline before, Timeline after) {
        Map<Integer, Integer> lines = paired(
                before.sheet().text().split("\r\n|\n|\r", -1),
                after.sheet().text().split("\r\n|\n|\r", -1));
        Map<String, String> now = new HashMap<>();
        for (Segment s : after.segments()) {
            now.putIfAbsent(place(s, lineOf(s)), s.id());
        }
        Map<String, String> renamed = new HashMap<>();
        for (Segment s : before.segments()) {
            Integer line = lines.get(lineOf(s));
            String id = line == null ? null : now.get(place(s, line));
            if (id != null && !id.equals(s.id())) {
                renamed.put(s.id(), id);
            }
        }
        return renamed;
    }

    private static int lineOf(Segment s) {
        return s.line() != null ? s.line().line() : s.block().line();
    }

    /** A segment's place: its line, and what of it. */
    private static String place(Segment s, int line) {
        String part = s.id().substring(s.id().lastIndexOf('/') + 1);
        boolean named = part.matches("left|right|switch|rest|demo|count-in");
        boolean alone = s.line() != null
                && s.line().parts().size() > 1
                && !s.move().equals(s.line().name());
        return line + " " + s.round() + " " + s.set() + " " + (named ? part : "") + " " + s.side()
                + (alone ? s.move() : "");
    }

    /** Old line numbers to new ones: equal lines at both ends, and between them line by line while neither side runs out. */
    private static Map<Integer, Integer> paired(String[] old, String[] now) {
        int same = 0;
        while (same < Math.min(old.length, now.length) && old[same].equals(now[same])) {
            same++;
        }
        int tail = 0;
        while (tail < Math.min(old.length, now.length) - same
                && old[old.length - 1 - tail].equals(now[now.length - 1 - tail])) {
            tail++;
        }
        Map<Integer, Integer> pairs = new HashMap<>();
        for (int i = 0; i < same; i++) {
            pairs.put(i + 1, i + 1);
        }
        for (int i = 0; i < tail; i++) {
            pairs.put(old.length - i, now.length - i);
        }
        List<Integer> oldLeft = new ArrayList<>();
        List<Integer> nowLeft = new ArrayList<>();
        for (int i = same; i < old.length - tail; i++) {
            oldLeft.add(i + 1);
        }
        for (int i = same; i < now.length - tail; i++) {
            nowLeft.add(i + 1);
        }
        // Lines that moved keep themselves; what is left pairs in order, a changed line with the line that took its
        // place.
        for (Integer line : List.copyOf(oldLeft)) {
            for (Integer to : nowLeft) {
                if (old[line - 1].equals(now[to - 1]) && !old[line - 1].isBlank()) {
                    pairs.put(line, to);
                    oldLeft.remove(line);
                    nowLeft.remove(to);
                    break;
                }
            }
        }
        for (int i = 0; i < Math.min(oldLeft.size(), nowLeft.size()); i++) {
            pairs.put(oldLeft.get(i), nowLeft.get(i));
        }
        return pairs;
    }
}
