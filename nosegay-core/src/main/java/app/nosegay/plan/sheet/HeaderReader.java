package app.nosegay.plan.sheet;

import app.nosegay.library.CueKind;
import app.nosegay.library.Nearest;
import app.nosegay.plan.terms.CallStyle;
import app.nosegay.plan.terms.Level;
import app.nosegay.plan.terms.Policy;
import app.nosegay.plan.terms.Presenter;
import app.nosegay.plan.terms.Promise;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** Reads the header lines of a run sheet. */
final class HeaderReader {
    static final List<String> WORDS = List.of(
            "title",
            "promise",
            "audience",
            "gear",
            "presenters",
            "levels",
            "calls",
            "count",
            "sides-spoken",
            "start",
            "bpm",
            "picture",
            "voice",
            "effort",
            "talk-density",
            "policy");

    /** More cannot be told apart in one picture (docs/domain.md). */
    private static final int MOST_LEVELS = 4;

    private final Map<String, Object> values = new HashMap<>();
    private final List<Problem> problems;

    HeaderReader(List<Problem> problems) {
        this.problems = problems;
    }

    /** Takes {@code key: value}; false when the line has no colon and so is not a header line. */
    boolean take(SheetLine line) {
        int colon = line.text().indexOf(':');
        if (colon <= 0) {
            return false;
        }
        String key = line.text().substring(0, colon).strip().toLowerCase(Locale.ROOT);
        String value = line.text().substring(colon + 1).strip();
        if ((CueKind.of(key).isPresent() && !WORDS.contains(key)) || !key.matches("[\\p{L}-]+")) {
            return false;
        }
        if (!WORDS.contains(key)) {
            problems.add(new Problem(
                    line.number(),
                    line.column(),
                    key,
                    CoreText.of("plan.sheet.header-reader.is-not-a-header-word", String.join(", ", WORDS)),
                    Nearest.of(key, WORDS),
                    false));
            return true;
        }
        if (!value.isEmpty()) {
            read(key, value, line, line.column() + colon + 2);
        }
        return true;
    }

    private void read(String key, String value, SheetLine line, int column) {
        switch (key) {
            case "title", "effort" -> values.put(key, value);
            case "audience", "gear" -> values.put(key, list(value));
            case "presenters" ->
                values.put(key, list(value).stream().map(Presenter::parse).toList());
            case "policy" -> put(key, value, Policy::parse, Policy.EXPECTED, line, column);
            case "promise" -> put(key, value, Promise::parse, Promise.EXPECTED, line, column);
            case "calls" -> put(key, value, CallStyle::parse, CallStyle.EXPECTED, line, column);
            case "levels" ->
                put(
                        key,
                        value,
                        HeaderReader::levels,
                        CoreText.of("plan.sheet.header-reader.two-to-four-levels-such"),
                        line,
                        column);
            case "count" -> oneOf(key, value, List.of("down", "up"), line, column);
            case "sides-spoken" -> oneOf(key, value, List.of("own", "mirrored"), line, column);
            case "picture" -> oneOf(key, value, List.of("video", "voice-only"), line, column);
            case "voice" -> oneOf(key, value, List.of("live", "afterwards"), line, column);
            case "talk-density" -> oneOf(key, value, List.of("sparing", "normal", "talkative"), line, column);
            case "start" -> put(key, value, Attribute.START::read, Attribute.START.expected(), line, column);
            default -> put(key, value, Attribute.BPM::read, Attribute.BPM.expected(), line, column);
        }
    }

    private void put(
            String key,
            String value,
            Function<String, ? extends Optional<?>> reader,
            String expected,
            SheetLine line,
            int column) {
        Optional<?> read = reader.apply(value);
        if (read.isPresent()) {
            values.put(key, read.get());
        } else {
            problems.add(new Problem(
                    line.number(),
                    column,
                    value,
                    CoreText.of("plan.sheet.header-reader.is-not", expected),
                    null,
                    false));
        }
    }

    private void oneOf(String key, String value, List<String> words, SheetLine line, int column) {
        if (words.contains(value)) {
            values.put(key, value);
        } else {
            String expected = CoreText.of("plan.sheet.header-reader.is-not-one-of", String.join(", ", words));
            problems.add(new Problem(line.number(), column, value, expected, Nearest.of(value, words), false));
        }
    }

    private static Optional<List<Level>> levels(String value) {
        List<Level> levels = new ArrayList<>();
        for (String part : value.split(",")) {
            Optional<Level> level = Level.parse(part);
            if (level.isEmpty()) {
                return Optional.empty();
            }
            levels.add(level.get());
        }
        boolean oneMain =
                levels.stream().filter(l -> l.grade() == Level.Grade.MAIN).count() == 1;
        return oneMain && levels.size() <= MOST_LEVELS ? Optional.of(levels) : Optional.empty();
    }

    private static List<String> list(String value) {
        return Stream.of(value.split(","))
                .map(String::strip)
                .filter(s -> !s.isEmpty())
                .toList();
    }

    @SuppressWarnings("unchecked") // each key is written with one type only, in read()
    private <T> T get(String key, T otherwise) {
        return (T) values.getOrDefault(key, otherwise);
    }

    Header header() {
        return new Header(
                get("title", ""),
                get("promise", Promise.NOTHING),
                get("audience", List.of()),
                get("gear", List.of()),
                get("presenters", List.of()),
                get("levels", List.of()),
                get("calls", CallStyle.DEFAULT),
                "up".equals(get("count", "down")),
                "mirrored".equals(get("sides-spoken", "own")),
                get("start", Attribute.StartSide.RIGHT),
                get("bpm", (Double) null),
                "voice-only".equals(get("picture", "video")),
                "afterwards".equals(get("voice", "live")),
                get("effort", ""),
                Header.TalkDensity.valueOf(get("talk-density", "normal").toUpperCase(Locale.ROOT)),
                get("policy", Policy.NEUTRAL));
    }
}
