package app.nosegay.calls.reader;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** The start of a run sheet for an old video, from what was heard in it; every figure with its doubt as a comment. */
public final class DraftSheet {
    private static final int GRID_SECONDS = 5;

    private DraftSheet() {}

    /** Run-sheet text of {@code heard}; only a comment when no work was heard. */
    public static String of(List<HeardStructure.Heard> heard) {
        List<HeardStructure.Heard> work =
                heard.stream().filter(h -> h.kind().equals("work")).toList();
        if (work.isEmpty()) {
            return "# No interval of work was heard: nothing said when work starts and stops.\n";
        }
        StringBuilder sheet = new StringBuilder("title: Heard in an old recording\n");
        double last = work.get(work.size() - 1).span().end().seconds();
        sheet.append("promise: about ")
                .append(Math.max(1, Math.round(last / 60)))
                .append(" min\n\n");
        HeardStructure.Heard first = heard.get(0);
        if (first.kind().equals("talk")) {
            sheet.append("talk Opening  ")
                    .append(clock(grid(first.span().length().seconds())))
                    .append("\n\n");
        }
        Map<String, Double> doubts = new LinkedHashMap<>();
        Map<String, Integer> times = new LinkedHashMap<>();
        Map<String, HeardStructure.Sides> sides = new HashMap<>();
        int unnamed = 0;
        for (HeardStructure.Heard h : work) {
            boolean otherSide = h.sides() == HeardStructure.Sides.SEPARATE;
            unnamed += h.move() == null && !otherSide ? 1 : 0;
            String name = h.move() == null ? "move " + unnamed : h.move();
            doubts.merge(name, h.doubt(), Math::max);
            if (!otherSide) {
                times.merge(name, 1, Integer::sum);
            }
            if (h.sides() != HeardStructure.Sides.NONE) {
                sides.put(name, h.sides());
            }
        }
        List<Double> lengths = new ArrayList<>(
                work.stream().map(h -> h.span().length().seconds()).sorted().toList());
        List<Double> rests = heard.stream()
                .filter(h -> h.kind().equals("rest"))
                .map(h -> h.span().length().seconds())
                .sorted()
                .toList();
        int rounds = times.values().stream().mapToInt(i -> i).max().orElse(1);
        sheet.append("circuit Heard");
        if (rounds > 1) {
            sheet.append("  rounds ").append(rounds);
        }
        sheet.append("  work ").append(clock(grid(lengths.get(lengths.size() / 2))));
        if (!rests.isEmpty()) {
            sheet.append("  rest ").append(clock(grid(rests.get(rests.size() / 2))));
        }
        sheet.append('\n');
        times.forEach((name, n) -> sheet.append(String.format(
                Locale.ROOT,
                "  %s%s%n  # heard %d time%s, doubt %.2f%n",
                name,
                sides.containsKey(name) ? "  sides " + sides.get(name).name().toLowerCase(Locale.ROOT) : "",
                n,
                n == 1 ? "" : "s",
                doubts.get(name))));
        return sheet.toString().replace("\r\n", "\n");
    }

    private static int grid(double seconds) {
        return Math.max(GRID_SECONDS, (int) Math.round(seconds / GRID_SECONDS) * GRID_SECONDS);
    }

    private static String clock(int seconds) {
        return seconds / 60 + ":" + String.format(Locale.ROOT, "%02d", seconds % 60);
    }
}
