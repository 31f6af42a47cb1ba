package app.nosegay.calls.reader;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.regex.Pattern;
import org.apache.commons.lang3.StringUtils;

/**
 * The start of a run sheet for an old video: totals told in it are the frame, what was heard fills it; every figure with its doubt as a
 * comment.
 */
public final class DraftSheet {
    /** The draft where neither work nor a move was heard. */
    public static final String NOTHING = "# No interval of work was heard: nothing said when work starts and stops.\n";

    /** The comment below a move: minutes and seconds of when it was first heard, and its doubt. */
    public static final Pattern HEARD = Pattern.compile("# heard .*first at (\\d+):(\\d\\d), doubt (\\d\\.\\d+)");

    private static final int GRID_SECONDS = 5;
    /** Where neither told nor heard. */
    private static final int USUAL_WORK = 40;

    private static final int USUAL_REST = 20;

    /** Doubt of a move that was brought up and not heard to be done. */
    private static final double ONLY_NAMED = 0.8;

    /** A move's own length differs by this share of its block's. */
    private static final double OWN_SHARE = 0.25;
    /** A shorter pause between two blocks is none, in seconds. */
    private static final double LEAST_PAUSE = 5;

    /** A shorter opening is no chapter of its own, in seconds. */
    private static final double LEAST_CHAPTER = 10;
    /** A chapter names so many of its moves. */
    private static final int CHAPTER_MOVES = 2;

    private final List<HeardStructure.Heard> heard;
    private final List<Call> calls;
    private final List<HeardBlocks.Block> blocks;

    private DraftSheet(List<HeardStructure.Heard> heard, List<Call> calls) {
        this.heard = heard;
        this.calls = calls;
        this.blocks = HeardBlocks.of(heard, calls);
    }

    /** Run-sheet text of what was heard; only a comment when neither work nor a move was. */
    public static String of(List<HeardStructure.Heard> heard, List<Call> calls) {
        DraftSheet draft = new DraftSheet(heard, calls);
        String body = draft.blocks.isEmpty() ? draft.named() : draft.written();
        return body.isEmpty() ? NOTHING : draft.head() + body;
    }

    /** When each part begins, as people list it under a video: {@code 0:45 Warm-up}; empty where no part was heard. */
    public static String chapters(List<HeardStructure.Heard> heard, List<Call> calls) {
        List<HeardBlocks.Block> blocks = HeardBlocks.of(heard, calls);
        List<String> chapters = new ArrayList<>();
        double first = blocks.isEmpty() ? 0 : blocks.get(0).moves().get(0).start();
        if (first >= LEAST_CHAPTER) {
            chapters.add("0:00 " + CoreText.of("calls.draft-sheet.welcome"));
        }
        for (int i = 0; i < blocks.size(); i++) {
            double start = blocks.get(i).moves().get(0).start();
            boolean fromTheTop = i == 0 && first < LEAST_CHAPTER;
            chapters.add((fromTheTop ? "0:00" : clock((int) start)) + " " + chapter(blocks, i));
        }
        return String.join("\n", chapters);
    }

    private static String chapter(List<HeardBlocks.Block> blocks, int i) {
        HeardBlocks.Block b = blocks.get(i);
        boolean alone = b.shape() == HeardBlocks.Shape.ONE_ROUND && blocks.size() > 1;
        if (alone && i == 0) {
            return CoreText.of("calls.draft-sheet.warm-up");
        }
        if (alone && i == blocks.size() - 1) {
            return CoreText.of("calls.draft-sheet.cool-down");
        }
        List<String> moves = b.moves().stream().map(HeardBlocks.Done::move).toList();
        String named =
                StringUtils.capitalize(String.join(", ", moves.subList(0, Math.min(CHAPTER_MOVES, moves.size()))));
        int more = moves.size() - CHAPTER_MOVES;
        return more > 0 ? CoreText.of("calls.draft-sheet.and-more", named, more) : named;
    }

    /** The first total of its kind that was told. */
    private OptionalInt told(String of) {
        return calls.stream()
                .filter(c -> c.kind() == CallKind.TOTAL && of.equals(c.of()) && c.value() != null)
                .mapToInt(Call::value)
                .findFirst();
    }

    private String head() {
        OptionalInt minutes = told("minutes");
        double last = Math.max(
                calls.isEmpty() ? 0 : calls.get(calls.size() - 1).end().seconds(),
                heard.isEmpty() ? 0 : heard.get(heard.size() - 1).span().end().seconds());
        String promise = minutes.isPresent() ? "" + minutes.getAsInt() : "about " + Math.max(1, Math.round(last / 60));
        String head = "title: Heard in an old recording\npromise: " + promise + " min\n\n";
        return heard.isEmpty() || !heard.get(0).kind().equals("talk")
                ? head
                : head + "talk Opening  "
                        + clock(grid(heard.get(0).span().length().seconds())) + "\n\n";
    }

    /** Moves that were brought up and not heard to be done. */
    private String named() {
        Map<String, Integer> times = new LinkedHashMap<>();
        Map<String, Double> firsts = new HashMap<>();
        calls.stream()
                .filter(c -> c.kind() == CallKind.NEXT_UP && c.of() != null)
                .forEach(c -> {
                    times.merge(c.of(), 1, Integer::sum);
                    firsts.putIfAbsent(c.of(), c.time().seconds());
                });
        if (times.isEmpty()) {
            return "";
        }
        int rounds = told("rounds")
                .orElse(times.values().stream().max(Integer::compare).orElse(1));
        StringBuilder sheet = new StringBuilder("circuit Heard" + (rounds > 1 ? "  rounds " + rounds : ""));
        sheet.append("  work ").append(clock(told("work-seconds").orElse(USUAL_WORK)));
        sheet.append("  rest ")
                .append(clock(told("rest-seconds").orElse(USUAL_REST)))
                .append('\n');
        promised(sheet, times.size());
        times.forEach((name, n) ->
                move(sheet, name, HeardStructure.Sides.NONE, "", new Evidence(n, firsts.get(name), ONLY_NAMED)));
        return sheet.toString();
    }

    private void promised(StringBuilder sheet, int heardMoves) {
        OptionalInt moves = told("moves");
        if (moves.isPresent() && moves.getAsInt() != heardMoves) {
            sheet.append("  # ")
                    .append(moves.getAsInt())
                    .append(" moves were promised, ")
                    .append(heardMoves)
                    .append(" were heard\n");
        }
    }

    /** How often a move was heard, when first (in seconds), and how sure that is. */
    private record Evidence(int times, double first, double doubt) {}

    private static void move(
            StringBuilder sheet, String name, HeardStructure.Sides sides, String attributes, Evidence heard) {
        sheet.append("  ").append(name);
        if (sides != HeardStructure.Sides.NONE) {
            sheet.append("  sides ").append(sides.name().toLowerCase(Locale.ROOT));
        }
        sheet.append(attributes)
                .append(String.format(
                        Locale.ROOT,
                        "\n  # heard %d time%s, first at %s, doubt %.2f\n",
                        heard.times(),
                        heard.times() == 1 ? "" : "s",
                        clock((int) heard.first()),
                        heard.doubt()));
    }

    private String written() {
        HeardBlocks.Block main = blocks.stream()
                .reduce((a, b) -> b.intervals() > a.intervals() ? b : a)
                .orElseThrow();
        StringBuilder sheet = new StringBuilder();
        for (int i = 0; i < blocks.size(); i++) {
            HeardBlocks.Block b = blocks.get(i);
            boolean alone = b.shape() == HeardBlocks.Shape.ONE_ROUND && b != main;
            if (alone && i == 0) {
                eased(sheet, "warm-up", b);
            } else if (alone && i == blocks.size() - 1) {
                eased(sheet, "cool-down", b);
            } else {
                block(sheet, b, b == main);
            }
            if (i + 1 < blocks.size() && b.gap() >= LEAST_PAUSE) {
                sheet.append("\nrest ").append(clock(grid(b.gap()))).append('\n');
            }
            sheet.append(i + 1 < blocks.size() ? "\n" : "");
        }
        return sheet.toString();
    }

    private void eased(StringBuilder sheet, String word, HeardBlocks.Block b) {
        sheet.append(word).append("  each ").append(clock(grid(b.work())));
        if (b.rest() >= LEAST_PAUSE) {
            sheet.append("  rest ").append(clock(grid(b.rest())));
        }
        sheet.append('\n');
        moves(sheet, b, grid(b.work()), "each");
    }

    private void block(StringBuilder sheet, HeardBlocks.Block b, boolean main) {
        boolean toldRounds = main && told("rounds").orElse(1) > 1;
        // One move over and over is done in sets, unless rounds were spoken of.
        boolean sets =
                b.shape() == HeardBlocks.Shape.SETS && !(toldRounds && b.moves().size() == 1);
        HeardBlocks.Shape shape = b.shape() == HeardBlocks.Shape.SETS && !sets ? HeardBlocks.Shape.ROUNDS : b.shape();
        String word =
                switch (shape) {
                    case SETS -> "straight-sets";
                    case BACK_TO_BACK -> "superset";
                    case EVERY_MINUTE -> "every-minute";
                    default -> "circuit";
                };
        int rounds = toldRounds ? told("rounds").getAsInt() : b.rounds();
        int work = main ? told("work-seconds").orElse(grid(b.work())) : grid(b.work());
        OptionalInt toldRest = main ? told("rest-seconds") : OptionalInt.empty();
        sheet.append(word).append(" Heard");
        switch (shape) {
            case EVERY_MINUTE -> sheet.append("  minutes ").append(b.intervals());
            case SETS, BACK_TO_BACK -> sheet.append("  sets ").append(rounds);
            default -> sheet.append(rounds > 1 ? "  rounds " + rounds : "");
        }
        sheet.append(b.reps() == null ? "  work " + clock(work) : "  reps " + b.reps());
        double rest = b.shape() == HeardBlocks.Shape.BACK_TO_BACK ? b.roundRest() : b.rest();
        boolean rests = toldRest.isPresent() || rest >= LEAST_PAUSE;
        if (rests && b.shape() != HeardBlocks.Shape.EVERY_MINUTE) {
            sheet.append("  rest ").append(clock(toldRest.orElse(grid(rest))));
        }
        if (b.shape() == HeardBlocks.Shape.ROUNDS && b.roundRest() > 0) {
            sheet.append("  round-rest ").append(clock(grid(b.roundRest())));
        }
        sheet.append('\n');
        if (main) {
            promised(sheet, (int)
                    blocks.stream().mapToLong(o -> o.moves().size()).sum());
        }
        moves(sheet, b, work, b.reps() == null ? "work" : "");
    }

    /** The moves of a block; a length or number of repetitions of its own stands on its line. */
    private static void moves(StringBuilder sheet, HeardBlocks.Block b, int work, String lengthWord) {
        for (HeardBlocks.Done d : b.moves()) {
            boolean reps = d.reps() != null && b.reps() != null && !d.reps().equals(b.reps());
            boolean length = !lengthWord.isEmpty()
                    && Math.abs(grid(d.length()) - work) > Math.max(GRID_SECONDS, OWN_SHARE * work);
            String own = reps ? "  reps " + d.reps() : length ? "  " + lengthWord + " " + clock(grid(d.length())) : "";
            move(sheet, d.move(), d.sides(), own, new Evidence(b.times().get(d.move()), d.start(), d.doubt()));
        }
    }

    private static int grid(double seconds) {
        return Math.max(GRID_SECONDS, (int) Math.round(seconds / GRID_SECONDS) * GRID_SECONDS);
    }

    private static String clock(int seconds) {
        return seconds / 60 + ":" + String.format(Locale.ROOT, "%02d", seconds % 60);
    }
}
