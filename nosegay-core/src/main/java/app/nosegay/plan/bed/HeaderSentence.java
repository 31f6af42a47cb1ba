package app.nosegay.plan.bed;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.check.Audience;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetHeaders;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What holds for the whole workout, as sentences with values to fill in: what it is called and promises, for whom, with what. */
public final class HeaderSentence {
    private static final Pattern VALUE = Pattern.compile("\\[([a-z-]+)]");
    private static final MoveLibrary NO_MOVES = new MoveLibrary(List.of());
    /** Said in any case; the others where they are written. */
    private static final Set<String> ALWAYS = Set.of("title", "promise", "audience", "gear", "calls");

    private HeaderSentence() {}

    /** The sentences of a sheet; the title stands apart. */
    public static List<Part> of(RunSheet sheet) {
        StringBuilder pattern = new StringBuilder(CoreText.of("plan.bed.header"));
        for (String word : SheetHeaders.words()) {
            if (!ALWAYS.contains(word) && SheetText.headerLine(sheet.text(), word) > 0) {
                pattern.append(' ').append(CoreText.of("plan.bed.header." + word));
            }
        }
        List<Part> parts = new ArrayList<>();
        Matcher value = VALUE.matcher(pattern);
        int from = 0;
        while (value.find()) {
            parts.add(new Part.Words(pattern.substring(from, value.start())));
            parts.add(new Part.Value(field(sheet, value.group(1))));
            from = value.end();
        }
        parts.add(new Part.Words(pattern.substring(from)));
        return parts;
    }

    /** A header as a field. */
    public static Field field(RunSheet sheet, String word) {
        int line = SheetText.headerLine(sheet.text(), word);
        String text = SheetText.line(sheet.text(), line);
        String written = line == 0
                ? ""
                : text.substring(text.indexOf(':') + 1)
                        .replaceFirst("\\s#.*$", "")
                        .strip();
        return new Field(word, shown(word, written), written);
    }

    /** The headers a sheet does not have yet. */
    public static List<String> addable(RunSheet sheet) {
        return SheetHeaders.words().stream()
                .filter(w -> !ALWAYS.contains(w) && SheetText.headerLine(sheet.text(), w) == 0)
                .toList();
    }

    /** What a header is called. */
    public static String label(String word) {
        return CoreText.of("plan.bed.header-word." + word);
    }

    static String shown(String word, String written) {
        if (written.isEmpty()) {
            return CoreText.of("plan.bed.header-none." + (ALWAYS.contains(word) ? word : "other"));
        }
        return switch (word) {
            case "calls" -> calls(written);
            case "count" ->
                written.equals("up") ? CoreText.of("plan.bed.count.up") : CoreText.of("plan.bed.count.down");
            case "sides-spoken" ->
                written.equals("own") ? CoreText.of("plan.bed.spoken.own") : CoreText.of("plan.bed.spoken.mirrored");
            case "start" -> PlainWords.shown("start", written);
            case "picture" ->
                written.equals("video") ? CoreText.of("plan.bed.picture.video") : CoreText.of("plan.bed.picture.voice");
            case "voice" ->
                written.equals("live") ? CoreText.of("plan.bed.voice.live") : CoreText.of("plan.bed.voice.afterwards");
            default -> written;
        };
    }

    /** {@code half, 10, in 3, out 3} as it is called. */
    private static String calls(String written) {
        List<String> said = new ArrayList<>();
        for (String call : written.split(",")) {
            String c = call.strip();
            if (c.equals("half")) {
                said.add(CoreText.of("plan.bed.call.half"));
            } else if (c.startsWith("in ")) {
                said.add(CoreText.of("plan.bed.call.in", c.substring(3)));
            } else if (c.startsWith("out ")) {
                said.add(CoreText.of("plan.bed.call.out", c.substring(4)));
            } else if (c.equals("none")) {
                said.add(CoreText.of("plan.bed.call.none"));
            } else {
                said.add(CoreText.of("plan.bed.call.seconds", c));
            }
        }
        return String.join(", ", said);
    }

    private static final List<String> USUAL_GEAR = List.of(
            "kettlebell medium",
            "dumbbell pair light",
            "dumbbell pair medium",
            "loop band light",
            "long band medium",
            "mat optional",
            "chair",
            "bench");

    /** What a header is usually filled in with; of several things each choice adds or takes away one. */
    public static List<FieldValues.Choice> choices(Field field) {
        return switch (field.word()) {
            case "audience" ->
                toggles(
                        field.written(),
                        Arrays.stream(Audience.values()).map(Audience::word).toList());
            case "gear" -> toggles(field.written(), USUAL_GEAR);
            case "calls" ->
                plain(
                        "calls",
                        "half, 10, in 3, out 3",
                        "half, 10, 5, in 3, out 3",
                        "half, 20, 10, 5, in 3, out 3",
                        "10, in 3",
                        "none");
            case "promise" ->
                plain(
                        "promise",
                        "10 min",
                        "about 15 min",
                        "under 20 min",
                        "20-25 min",
                        "20 min, no floor",
                        "20 min, no jumps");
            case "count" -> plain("count", "down", "up");
            case "sides-spoken" -> plain("sides-spoken", "own", "mirrored");
            case "start" -> plain("start", "right", "left", "free");
            case "picture" -> plain("picture", "video", "voice-only");
            case "voice" -> plain("voice", "live", "afterwards");
            case "talk-density" -> plain("talk-density", "sparing", "normal", "talkative");
            case "levels" ->
                plain(
                        "levels",
                        "Easier easier left, Main main centre, Harder harder right",
                        "Easier easier left, Main main right");
            case "policy" -> plain("policy", "warm-up elsewhere", "end-card left", "end-card right");
            case "bpm" -> plain("bpm", "100", "120", "128");
            case "effort" -> plain("effort", "6", "7", "8");
            default -> List.of();
        };
    }

    private static List<FieldValues.Choice> plain(String word, String... written) {
        return Stream.of(written)
                .map(w -> new FieldValues.Choice(shown(word, w), w))
                .toList();
    }

    private static List<FieldValues.Choice> toggles(String written, List<String> items) {
        Set<String> now = new LinkedHashSet<>();
        Stream.of(written.split(","))
                .map(String::strip)
                .filter(s -> !s.isEmpty())
                .forEach(now::add);
        return items.stream()
                .map(item -> {
                    Set<String> next = new LinkedHashSet<>(now);
                    boolean there = !next.add(item) && next.remove(item);
                    String sign = there
                            ? CoreText.of("plan.bed.toggle.remove", item)
                            : CoreText.of("plan.bed.toggle.add", item);
                    return new FieldValues.Choice(sign, String.join(", ", next));
                })
                .toList();
    }

    /** What a person typed, as it is written; empty where it cannot be read. */
    public static Optional<String> typed(Field field, String typed) {
        String t = typed.replaceAll("[#\\n]", " ").strip();
        Optional<String> chosen = choices(field).stream()
                .filter(c -> c.shown().equalsIgnoreCase(t))
                .map(FieldValues.Choice::written)
                .findFirst();
        if (chosen.isPresent() || t.isEmpty()) {
            return chosen.isPresent() ? chosen : Optional.of("");
        }
        boolean read =
                RunSheetParser.parse(field.word() + ": " + t, NO_MOVES).errors().isEmpty();
        return read ? Optional.of(t) : Optional.empty();
    }

    /** The edit that fills a header in; an empty value removes its line. */
    public static SheetEdit set(RunSheet sheet, Field field, String written) {
        int line = SheetText.headerLine(sheet.text(), field.word());
        String name =
                CoreText.of("plan.bed.edit.set", label(field.word()), field.shown(), shown(field.word(), written));
        if (written.isEmpty()) {
            return line == 0 ? new SheetEdit(name, List.of()) : SheetEdit.delete(name, line, 1);
        }
        return new SheetEdit(
                name, SheetText.header(sheet.text(), field.word(), written).changes());
    }
}
