package app.nosegay.calls.reader;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;

/**
 * The start of a run sheet for an old video: totals told in it are the frame, what was heard fills it; every figure with its doubt as a
 * comment.
 */
public final class DraftSheet {
    private static final int GRID_SECONDS = 5;
    /** Where neither told nor heard. */
    private static final int USUAL_WORK = 40;

    private static final int USUAL_REST = 20;

    /** Doubt of a move that was brought up and not heard to be done. */
    private static final double ONLY_NAMED = 0.8;

    private final List<HeardStructure.Heard> heard;
    private final List<HeardStructure.Heard> work;
    private final List<Call> calls;
    private final Map<String, Double> doubts = new LinkedHashMap<>();
    private final Map<String, Integer> times = new LinkedHashMap<>();
    private final Map<String, HeardStructure.Sides> sides = new HashMap<>();

    private DraftSheet(List<HeardStructure.Heard> heard, List<Call> calls) {
        this.heard = heard;
        this.calls = calls;
        this.work = heard.stream().filter(h -> h.kind().equals("work")).toList();
    }

    /** Run-sheet text of what was heard; only a comment when neither work nor a move was. */
    public static String of(List<HeardStructure.Heard> heard, List<Call> calls) {
        DraftSheet draft = new DraftSheet(heard, calls);
        draft.moves();
        return draft.times.isEmpty()
                ? "# No interval of work was heard: nothing said when work starts and stops.\n"
                : draft.written();
    }

    private void moves() {
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
        if (work.isEmpty()) {
            calls.stream()
                    .filter(c -> c.kind() == CallKind.NEXT_UP && c.of() != null)
                    .forEach(c -> {
                        times.merge(c.of(), 1, Integer::sum);
                        doubts.put(c.of(), ONLY_NAMED);
                    });
        }
    }

    /** The first total of its kind that was told. */
    private OptionalInt told(String of) {
        return calls.stream()
                .filter(c -> c.kind() == CallKind.TOTAL && of.equals(c.of()) && c.value() != null)
                .mapToInt(Call::value)
                .findFirst();
    }

    private String written() {
        StringBuilder sheet = new StringBuilder("title: Heard in an old recording\n");
        OptionalInt minutes = told("minutes");
        OptionalInt moves = told("moves");
        double last = work.isEmpty()
                ? calls.get(calls.size() - 1).end().seconds()
                : work.get(work.size() - 1).span().end().seconds();
        sheet.append("promise: ")
                .append(minutes.isPresent() ? minutes.getAsInt() : "about " + Math.max(1, Math.round(last / 60)))
                .append(" min\n\n");
        if (!heard.isEmpty() && heard.get(0).kind().equals("talk")) {
            sheet.append("talk Opening  ")
                    .append(clock(grid(heard.get(0).span().length().seconds())))
                    .append("\n\n");
        }
        int rounds = told("rounds")
                .orElse(times.values().stream().mapToInt(i -> i).max().orElse(1));
        sheet.append("circuit Heard");
        if (rounds > 1) {
            sheet.append("  rounds ").append(rounds);
        }
        sheet.append("  work ").append(clock(length("work", "work-seconds", USUAL_WORK)));
        if (told("rest-seconds").isPresent()
                || work.isEmpty()
                || heard.stream().anyMatch(h -> h.kind().equals("rest"))) {
            sheet.append("  rest ").append(clock(length("rest", "rest-seconds", USUAL_REST)));
        }
        sheet.append('\n');
        if (moves.isPresent() && moves.getAsInt() != times.size()) {
            sheet.append(String.format(
                    Locale.ROOT, "  # %d moves were promised, %d were heard%n", moves.getAsInt(), times.size()));
        }
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

    /** A length as it was told, else the middle one of those heard. */
    private int length(String kind, String total, int usual) {
        List<Double> lengths = new ArrayList<>(heard.stream()
                .filter(h -> h.kind().equals(kind))
                .map(h -> h.span().length().seconds())
                .sorted()
                .toList());
        OptionalInt told = told(total);
        return told.isPresent() ? told.getAsInt() : lengths.isEmpty() ? usual : grid(lengths.get(lengths.size() / 2));
    }

    private static int grid(double seconds) {
        return Math.max(GRID_SECONDS, (int) Math.round(seconds / GRID_SECONDS) * GRID_SECONDS);
    }

    private static String clock(int seconds) {
        return seconds / 60 + ":" + String.format(Locale.ROOT, "%02d", seconds % 60);
    }
}
