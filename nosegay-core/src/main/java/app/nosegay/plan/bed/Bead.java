package app.nosegay.plan.bed;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One piece of a counted phrase as a bead on a string.
 *
 * @param shape a repetition, a hold, a pulse, a half-range repetition, or the bracket around a group
 * @param counts how long it lasts, in counts; 0 for a bracket
 */
public record Bead(Shape shape, int counts) {
    /** What a bead stands for. */
    public enum Shape {
        REP,
        HOLD,
        PULSE,
        HALF,
        OPEN,
        CLOSE
    }

    /** Longer strings are cut off: nobody counts them. */
    private static final int MOST = 80;

    private static final Pattern PIECE =
            Pattern.compile("(\\()|\\)\\s*x(\\d{1,3})|(\\d{1,2})-(\\d{1,2})(?:\\s*x(\\d{1,3}))?"
                    + "|(hold|pulse|halves)\\s+(\\d{1,3})(?:\\s*x(\\d{1,3}))?");

    /** The beads of a phrase as written, {@code 2-2 x4, hold 4, pulse 8}; a group is drawn once within its brackets. */
    public static List<Bead> of(String counts) {
        List<Bead> beads = new ArrayList<>();
        Matcher m = PIECE.matcher(counts);
        while (m.find() && beads.size() < MOST) {
            if (m.group(1) != null) {
                beads.add(new Bead(Shape.OPEN, 0));
            } else if (m.group(2) != null) {
                beads.add(new Bead(Shape.CLOSE, Integer.parseInt(m.group(2))));
            } else if (m.group(3) != null) {
                int one = Integer.parseInt(m.group(3)) + Integer.parseInt(m.group(4));
                add(beads, Shape.REP, one, times(m.group(5)));
            } else {
                int n = Integer.parseInt(m.group(7)) * times(m.group(8));
                switch (m.group(6)) {
                    case "hold" -> beads.add(new Bead(Shape.HOLD, n));
                    case "pulse" -> add(beads, Shape.PULSE, 1, n);
                    default -> add(beads, Shape.HALF, 2, n);
                }
            }
        }
        return beads;
    }

    private static int times(String group) {
        return group == null ? 1 : Integer.parseInt(group);
    }

    private static void add(List<Bead> beads, Shape shape, int counts, int times) {
        for (int i = 0; i < times && beads.size() < MOST; i++) {
            beads.add(new Bead(shape, counts));
        }
    }
}
