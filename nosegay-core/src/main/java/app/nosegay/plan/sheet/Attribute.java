package app.nosegay.plan.sheet;

import app.nosegay.plan.terms.Amount;
import app.nosegay.plan.terms.CallStyle;
import app.nosegay.plan.terms.Counts;
import app.nosegay.plan.terms.Load;
import app.nosegay.plan.terms.Pause;
import app.nosegay.plan.terms.RepPattern;
import app.nosegay.plan.terms.Reps;
import app.nosegay.plan.terms.Side;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.text.CoreText;
import app.nosegay.time.DurationText;
import app.nosegay.time.Tempo;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The attribute words of block and move lines, each with the reader of its value. */
public enum Attribute {
    EACH(Pause.EXPECTED, Pause::parse),
    WORK(Pause.EXPECTED, Pause::parse),
    REST(Pause.EXPECTED, Pause::parse),
    ROUND_REST(Pause.EXPECTED, Pause::parse),
    ROUNDS(Reader.WHOLE, Reader::whole),
    SETS(Reader.WHOLE, Reader::whole),
    REPS(Reps.EXPECTED, Reps::parse),
    TEMPO(CoreText.of("plan.sheet.attribute.a-tempo-of-three-or"), Tempo::parse),
    HOLD(DurationText.EXPECTED, DurationText::parse),
    COUNTS(Counts.EXPECTED, Counts::parse),
    BPM(CoreText.of("plan.sheet.attribute.beats-per-minute-between-20"), Reader::bpm),
    MINUTES(Reader.WHOLE, Reader::whole),
    FOR(DurationText.EXPECTED, DurationText::parse),
    SIDES(
            CoreText.of("plan.sheet.attribute.none-alternate-halves-separate"),
            t -> Reader.oneOf(SideWay.values(), t),
            Reader.words(SideWay.values())),
    SIDE_REST(DurationText.EXPECTED, DurationText::parse),
    START(
            CoreText.of("plan.sheet.attribute.right-left-or-free"),
            t -> Reader.oneOf(StartSide.values(), t),
            Reader.words(StartSide.values())),
    SWITCH(DurationText.EXPECTED, DurationText::parse),
    DEMO(
            CoreText.of("plan.sheet.attribute.in-rest-before-or-in"),
            t -> Reader.oneOf(Demo.values(), t),
            Reader.words(Demo.values())),
    DEMO_TIME(DurationText.EXPECTED, DurationText::parse),
    GEAR(CoreText.of("plan.sheet.attribute.gear-comma-separated"), Reader::list),
    LOAD(Load.EXPECTED, Load::parse),
    POSITION(CoreText.of("plan.sheet.attribute.a-position"), Reader::words),
    ANGLE(CoreText.of("plan.sheet.attribute.a-camera-angle"), Reader::words),
    LEVEL(CoreText.of("plan.sheet.attribute.the-name-of-a-level"), Reader::words),
    BONUS(CoreText.of("plan.sheet.attribute.nothing-after-it"), Reader::flag),
    ALONE(DurationText.EXPECTED, DurationText::parse),
    SAY(
            CoreText.of("plan.sheet.attribute.once-or-each-round"),
            t -> Reader.oneOf(Say.values(), t),
            Reader.words(Say.values())),
    ACTIVE(CoreText.of("plan.sheet.attribute.a-light-movement"), Reader::words),
    SHOWN(Amount.EXPECTED, Amount::parse),
    DOSE(Amount.EXPECTED, Amount::parse),
    REP(RepPattern.EXPECTED, RepPattern::parse),
    CALLS(CallStyle.EXPECTED, CallStyle::parse),
    EFFORT(CoreText.of("plan.sheet.attribute.an-effort-0-to-10"), Reader::words),
    REST_AFTER_LAST(CoreText.of("plan.sheet.attribute.nothing-yes-or-no-after"), Reader::flag);

    private final String expected;
    private final Function<String, Optional<?>> reader;
    private final List<String> choices;

    Attribute(String expected, Function<String, Optional<?>> reader) {
        this(expected, reader, List.of());
    }

    Attribute(String expected, Function<String, Optional<?>> reader, List<String> choices) {
        this.expected = expected;
        this.reader = reader;
        this.choices = choices;
    }

    /** The words it may have where there are only a few; else empty. */
    public List<String> choices() {
        return choices;
    }

    /** Whether it says something of a whole block and nothing of a single move. */
    public boolean isOfBlock() {
        return this == ROUNDS || this == ROUND_REST || this == MINUTES || this == FOR || this == REST_AFTER_LAST;
    }

    /** Where a move is taught. */
    public enum Demo {
        IN_REST,
        BEFORE,
        IN_WORK
    }

    /** How often a move is explained. */
    public enum Say {
        ONCE,
        EACH_ROUND
    }

    /** The side one-sided moves start on. */
    public enum StartSide {
        RIGHT,
        LEFT,
        FREE;

        /** The first side; a viewer's free choice is filmed on the right. */
        public Side side() {
            return this == LEFT ? Side.LEFT : Side.RIGHT;
        }
    }

    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** What a value of this attribute looks like, for error messages. */
    public String expected() {
        return expected;
    }

    /** The value {@code text} stands for; its type is the one the reader gives; empty when it cannot be read. */
    public Optional<?> read(String text) {
        return reader.apply(text.strip());
    }

    public static Optional<Attribute> of(String word) {
        return Optional.ofNullable(Words.BY_WORD.get(word));
    }

    public static List<String> allWords() {
        return Arrays.stream(values()).map(Attribute::word).toList();
    }

    /** The attributes by their words; asked for every piece of every line. */
    private static final class Words {
        static final Map<String, Attribute> BY_WORD =
                Arrays.stream(values()).collect(Collectors.toUnmodifiableMap(Attribute::word, a -> a));
    }

    /** The readers of plain values. */
    private static final class Reader {
        static final String WHOLE = CoreText.of("plan.sheet.attribute.a-whole-number-from-1");

        static Optional<Integer> whole(String text) {
            return text.matches("\\d{1,3}") && Integer.parseInt(text) > 0
                    ? Optional.of(Integer.parseInt(text))
                    : Optional.empty();
        }

        static Optional<Double> bpm(String text) {
            if (!text.matches("\\d{1,3}(\\.\\d+)?")) {
                return Optional.empty();
            }
            double bpm = Double.parseDouble(text);
            return bpm >= 20 && bpm <= 300 ? Optional.of(bpm) : Optional.empty();
        }

        static Optional<String> words(String text) {
            return text.isEmpty() ? Optional.empty() : Optional.of(text);
        }

        static Optional<List<String>> list(String text) {
            List<String> items = Stream.of(text.split(","))
                    .map(String::strip)
                    .filter(s -> !s.isEmpty())
                    .toList();
            return items.isEmpty() ? Optional.empty() : Optional.of(items);
        }

        static Optional<Boolean> flag(String text) {
            return switch (text) {
                case "", "yes" -> Optional.of(true);
                case "no" -> Optional.of(false);
                default -> Optional.empty();
            };
        }

        static <E extends Enum<E>> Optional<E> oneOf(E[] values, String text) {
            return Arrays.stream(values).filter(v -> word(v).equals(text)).findFirst();
        }

        static <E extends Enum<E>> List<String> words(E[] values) {
            return Arrays.stream(values).map(Reader::word).toList();
        }

        private static String word(Enum<?> value) {
            return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }
}
