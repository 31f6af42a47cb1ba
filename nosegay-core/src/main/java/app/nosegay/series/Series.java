package app.nosegay.series;

import app.nosegay.text.CoreText;
import app.nosegay.text.JsonText;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Which workout is on which day.
 *
 * @param name of the series
 * @param entries in order of days
 */
public record Series(String name, List<Entry> entries) {
    public static final Series EMPTY = new Series(CoreText.of("series.series.new-series"), List.of());
    private static final int FORMAT = 1;

    public Series {
        List<Entry> sorted = new ArrayList<>(entries);
        sorted.sort(Comparator.comparingInt(Entry::day));
        entries = List.copyOf(sorted);
    }

    /**
     * A workout on a day.
     *
     * @param day from 1
     * @param file the workout file, relative to the series file where both are on one volume
     */
    public record Entry(int day, String file) {}

    public Series withEntry(Entry entry) {
        List<Entry> more = new ArrayList<>(entries);
        more.add(entry);
        return new Series(name, more);
    }

    public Series withoutEntry(Entry entry) {
        return new Series(name, entries.stream().filter(e -> e != entry).toList());
    }

    /** With {@code entry} on another day. */
    public Series moved(Entry entry, int day) {
        return new Series(
                name,
                entries.stream()
                        .map(e -> e == entry ? new Entry(Math.max(1, day), e.file()) : e)
                        .toList());
    }

    public Series named(String other) {
        return new Series(other, entries);
    }

    /** The first day with nothing on it yet, with a day of rest behind the last. */
    public int nextDay() {
        return entries.isEmpty() ? 1 : entries.get(entries.size() - 1).day() + 2;
    }

    /** The file's text (docs/format/README.md). */
    public String toJson() {
        ObjectNode root = JsonMapper.builder().build().createObjectNode();
        root.put("format", FORMAT).put("name", name);
        ArrayNode list = root.putArray("workouts");
        entries.forEach(e -> list.addObject().put("day", e.day()).put("file", e.file()));
        return root.toPrettyString() + "\n";
    }

    /** Reads a file's text; fails with a sentence for the user. */
    public static Series fromJson(String json) throws IOException {
        JsonNode root = JsonText.tree(json, CoreText.of("text.json-text.series"));
        if (!root.path("workouts").isArray()) {
            throw new IOException(CoreText.of("series.series.this-is-not-a-series-2"));
        }
        if (root.path("format").asInt() > FORMAT) {
            throw new IOException(CoreText.of("series.series.this-series-was-saved-by"));
        }
        List<Entry> entries = new ArrayList<>();
        root.path("workouts")
                .forEach(w -> entries.add(new Entry(
                        Math.max(1, w.path("day").asInt(1)), w.path("file").asText())));
        return new Series(root.path("name").asText(CoreText.of("series.series.series")), entries);
    }
}
