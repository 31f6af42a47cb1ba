package app.nosegay.plan.bed;

import app.nosegay.library.Position;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.Pause;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** How a value is chosen, stepped and typed. */
public final class FieldValues {
    /** Times step on the grid plans are written on. */
    private static final int STEP_SECONDS = 5;

    private static final int STEP_BPM = 2;
    private static final int LEAST_BPM = 20;
    private static final int MOST_BPM = 300;
    private static final int MOST_NUMBER = 999;
    private static final List<String> TIMES = List.of("0:20", "0:30", "0:40", "0:45", "0:50", "1:00", "1:30", "2:00");
    private static final List<String> RESTS = List.of("0:00", "0:10", "0:15", "0:20", "0:30", "0:45", "1:00", "1:30");
    private static final List<String> LONG = List.of("3:00", "4:00", "5:00", "6:00", "8:00", "10:00", "12:00", "15:00");
    private static final List<String> REPS = List.of("6", "8", "10", "12", "15", "20", "8-12", "10 each-side");
    private static final List<String> NUMBERS = List.of("1", "2", "3", "4", "5", "6");
    private static final List<String> COUNTS = List.of(
            "2-2 x4",
            "2-2 x4, pulse 8",
            "1-3 x4, hold 4",
            "2-2 x4, 1-3 x4, hold 4, pulse 8",
            "(2-2, pulse 3) x4",
            "4-4 x4");

    private FieldValues() {}

    /** One way to fill a field in. */
    public record Choice(String shown, String written) {}

    /** What a field is usually filled in with. */
    public static List<Choice> choices(Field field, BlockKind kind) {
        return switch (field.word()) {
            case Field.ENDS -> ends(kind);
            case Field.NAME -> List.of();
            default ->
                written(field.word()).stream()
                        .map(w -> new Choice(PlainWords.shown(field.word(), w), w))
                        .toList();
        };
    }

    /** The same for a field of a block's own sentence: rounds may have to fit into one time for all moves. */
    public static List<Choice> ofBlock(Field field, BlockKind kind) {
        if (kind != BlockKind.AMRAP || !field.word().equals(Field.ENDS)) {
            return choices(field, kind);
        }
        return Stream.concat(
                        LONG.stream().map(t -> new Choice(CoreText.of("plan.bed.in-all", t), "for " + t)),
                        TIMES.stream().limit(6).map(t -> new Choice(CoreText.of("plan.bed.each-move", t), "work " + t)))
                .toList();
    }

    private static List<Choice> ends(BlockKind kind) {
        List<String> all = kind == BlockKind.PHRASE
                ? COUNTS.stream().map(c -> "counts " + c).toList()
                : Stream.of(
                                TIMES.stream().limit(6).map(t -> clockWord(kind) + " " + t),
                                REPS.stream().limit(7).map(r -> "reps " + r),
                                Stream.of("hold 0:20", "hold 0:30"))
                        .flatMap(s -> s)
                        .toList();
        return all.stream()
                .map(w -> new Choice(PlainWords.shown(Field.ENDS, w), w))
                .toList();
    }

    private static List<String> written(String word) {
        return switch (word) {
            case Field.LENGTH, "work", "each", "hold" -> TIMES;
            case "rest", "round-rest", "side-rest", "switch", "demo-time" -> RESTS;
            case "for", "alone" -> LONG;
            case "rounds", "sets", "minutes" -> NUMBERS;
            case "reps" -> REPS;
            case "bpm" -> List.of("90", "100", "110", "120", "128", "140");
            case "tempo" -> List.of("2-0-1", "3-0-1", "3-1-1", "4-0-1", "1-0-1", "2-1-2");
            case "counts" -> COUNTS;
            case "active" -> List.of("march in place", "arm swing", "shoulder roll", "hip circle", "calf stretch");
            case "position" -> Position.all().stream().map(Position::word).toList();
            case "gear" ->
                List.of(
                        "kettlebell medium",
                        "dumbbell medium",
                        "dumbbell pair medium",
                        "dumbbell pair light",
                        "loop band light",
                        "long band medium",
                        "bench",
                        "chair",
                        "step",
                        "towel",
                        "mat");
            case "load" -> List.of("light", "medium", "heavy", "8 kg", "12 kg", "16 kg");
            case "angle" -> List.of("front", "side", "above");
            case "effort" -> List.of("5", "6", "7", "8", "9");
            case "start" -> List.of("right", "left", "free");
            case "rest-after-last" -> List.of("yes", "no");
            default -> Attribute.of(word).map(Attribute::choices).orElse(List.of());
        };
    }

    /** The ways of sharing a move between the sides that fit a kind of block, the commonest first. */
    public static List<SideWay> sides(BlockKind kind) {
        SideWay other = kind == BlockKind.SUPERSET || kind == BlockKind.STRAIGHT_SETS ? SideWay.SETS : SideWay.ROUNDS;
        return List.of(SideWay.NONE, SideWay.HALVES, SideWay.SEPARATE, other, SideWay.ALTERNATE, SideWay.CHAIN);
    }

    /** The value {@code by} steps up or down, as it is written; empty where it cannot be stepped. */
    public static Optional<String> stepped(Field field, int by) {
        if (field.word().equals(Field.ENDS)) {
            int space = field.written().indexOf(' ');
            if (space < 0) {
                return Optional.empty();
            }
            String word = field.written().substring(0, space);
            return stepped(Field.of(word, field.written().substring(space + 1)), by)
                    .map(v -> word + " " + v);
        }
        String now = field.written();
        return switch (field.word()) {
            case Field.LENGTH, "work", "each", "hold", "for", "alone" ->
                time(now.isEmpty() ? field.shown() : now, by, STEP_SECONDS);
            case "rest", "round-rest", "side-rest", "switch", "demo-time" -> time(now.isEmpty() ? "0:00" : now, by, 0);
            case "rounds", "sets", "minutes", "reps", "effort" -> number(now.isEmpty() ? field.shown() : now, by);
            case "bpm" ->
                number(now.isEmpty() ? field.shown() : now, by * STEP_BPM)
                        .filter(n -> Integer.parseInt(n) >= LEAST_BPM && Integer.parseInt(n) <= MOST_BPM);
            default -> among(choices(field, BlockKind.CIRCUIT), now, by);
        };
    }

    /** A time on the grid; a range or an open one keeps its form. */
    private static Optional<String> time(String now, int by, int least) {
        Optional<Pause> pause = Pause.parse(now);
        if (pause.isEmpty()) {
            return Optional.empty();
        }
        Pause p = pause.get();
        Length planned = onGrid(p.planned(), by, least);
        if (p.open()) {
            return Optional.of(now.replaceFirst("[\\s~].*$", "") + " ~" + planned.clock());
        }
        if (!p.least().equals(p.most())) {
            return Optional.of(onGrid(p.least(), by, least).clock() + "-"
                    + onGrid(p.most(), by, least).clock());
        }
        return Optional.of(planned.clock());
    }

    private static Length onGrid(Length length, int by, int least) {
        double grid = length.seconds() / STEP_SECONDS;
        // From between two lines of the grid a step goes to the next line, not past it.
        double next = by > 0 ? Math.floor(grid + 1e-6) + by : Math.ceil(grid - 1e-6) + by;
        return Length.ofSeconds(Math.max(least, next * STEP_SECONDS));
    }

    /** A number, or all numbers of a range or list, one up or down; what stands behind is kept. */
    private static Optional<String> number(String now, int by) {
        java.util.regex.Matcher m = java.util.regex.Pattern.compile("\\d{1,4}").matcher(now);
        String stepped = m.replaceAll(n -> "" + Math.max(1, Math.min(MOST_NUMBER, Integer.parseInt(n.group()) + by)));
        boolean any = m.reset().find();
        return any
                ? Optional.of(stepped.replaceAll("[^\\d,\\- a-z].*$", "").replaceAll(" (rounds?|sets?|minutes?)$", ""))
                : Optional.empty();
    }

    private static Optional<String> among(List<Choice> choices, String now, int by) {
        int at = -1;
        for (int i = 0; i < choices.size(); i++) {
            at = choices.get(i).written().equals(now) ? i : at;
        }
        return choices.isEmpty()
                ? Optional.empty()
                : Optional.of(choices.get(Math.floorMod(at < 0 ? 0 : at + by, choices.size()))
                        .written());
    }

    /** What a person typed, as it is written; empty where it cannot be read. */
    public static Optional<String> typed(Field field, String typed, BlockKind kind) {
        String t = typed.strip().replaceAll("\\s+", " ");
        if (t.isEmpty()) {
            return Optional.empty();
        }
        Optional<String> chosen = choices(field, kind).stream()
                .filter(c -> c.shown().equalsIgnoreCase(t))
                .map(Choice::written)
                .findFirst();
        if (chosen.isPresent()) {
            return chosen;
        }
        return switch (field.word()) {
            case Field.NAME ->
                Optional.of(
                        t.replaceAll("[#|\\t]", " ").replaceAll(" {2,}", " ").strip());
            case Field.ENDS -> typedEnd(field, t, kind);
            default -> typedValue(field.word(), t);
        };
    }

    private static Optional<String> typedValue(String word, String typed) {
        String t = typed.toLowerCase(Locale.ROOT);
        Optional<String> written =
                switch (word) {
                    case Field.LENGTH,
                            "work",
                            "each",
                            "rest",
                            "round-rest",
                            "side-rest",
                            "switch",
                            "demo-time",
                            "hold",
                            "alone",
                            "for" ->
                        t.equals("none") || t.equals("no rest")
                                ? Optional.of("0:00")
                                : PlainWords.typedTime(t.replaceAll(" rest$", ""));
                    case "rounds", "sets", "minutes" -> Optional.of(t.replaceAll("\\D.*$", ""));
                    case "reps" ->
                        Optional.of(t.replaceAll("\\breps?\\b", " ")
                                .replace('–', '-')
                                .replaceAll("\\beach side\\b", "each-side")
                                .replaceAll("\\s+", " ")
                                .strip());
                    default ->
                        Optional.of(typed.replaceAll("[#|]", " ")
                                .replaceAll(" {2,}", " ")
                                .strip());
                };
        if (word.equals(Field.LENGTH)) {
            return written.filter(w -> Pause.parse(w).isPresent());
        }
        Attribute attribute = Attribute.of(word).orElseThrow();
        return written.filter(w -> attribute.read(w).isPresent());
    }

    /** {@code 12 reps}, {@code 0:40}, {@code hold 0:30}, {@code 2-2 x4}; a bare number is what the set is ended by now. */
    private static Optional<String> typedEnd(Field field, String typed, BlockKind kind) {
        String t = typed.toLowerCase(Locale.ROOT);
        boolean counted = t.contains("rep") || t.contains("each side");
        boolean number = t.matches("\\d{1,3}(?: ?[-–] ?\\d{1,3}|(?:, ?\\d{1,3})+)?");
        if (t.startsWith("hold")) {
            return typedValue(
                            "hold", t.substring(4).replaceFirst("^\\s*for", "").strip())
                    .map(v -> "hold " + v);
        }
        if (counted || number && field.written().startsWith("reps")) {
            return typedValue("reps", t).map(v -> "reps " + v);
        }
        Optional<String> counts = kind == BlockKind.PHRASE ? typedValue("counts", t) : Optional.empty();
        return counts.isPresent()
                ? counts.map(v -> "counts " + v)
                : typedValue("work", t)
                        .map(v -> (field.written().startsWith("for ") ? "for" : clockWord(kind)) + " " + v);
    }

    /** The word for a clock in a kind of block. */
    static String clockWord(BlockKind kind) {
        return kind == BlockKind.WARM_UP || kind == BlockKind.COOL_DOWN ? "each" : "work";
    }
}
