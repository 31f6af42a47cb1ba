package app.nosegay.logbook;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * The creator's diary over all workouts.
 *
 * @param entries in the order they were made
 * @param spent seconds per workout title and stage
 */
public record Logbook(List<Entry> entries, Map<String, Map<String, Long>> spent) {
    public static final Logbook EMPTY = new Logbook(List.of(), Map.of());

    public Logbook {
        entries = List.copyOf(entries);
        spent = Map.copyOf(spent);
    }

    /** Kinds of entries. */
    public enum Kind {
        /** Something to do otherwise next time; shown again before the next shoot. */
        LESSON,
        /** What a viewer asked for. */
        REQUEST,
        /** A take was made. */
        TAKE,
        /** A workout was published. */
        PUBLISHED,
        /** What the channel told. */
        NEWS;

        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * One entry.
     *
     * @param date ISO 8601 day
     * @param workout the workout's title, or empty
     */
    public record Entry(String date, Kind kind, String workout, String text) {}

    public Logbook with(Entry entry) {
        List<Entry> more = new ArrayList<>(entries);
        more.add(entry);
        return new Logbook(more, spent);
    }

    /** With those of {@code news} that are not there yet. */
    public Logbook withNews(List<Entry> news) {
        List<Entry> more = new ArrayList<>(entries);
        news.stream().filter(e -> !more.contains(e)).forEach(more::add);
        return new Logbook(more, spent);
    }

    public Logbook without(Entry entry) {
        List<Entry> less = new ArrayList<>(entries);
        less.remove(entry);
        return new Logbook(less, spent);
    }

    /** With more time spent on a stage of a workout. */
    public Logbook withTime(String workout, String stage, long seconds) {
        Map<String, Map<String, Long>> more = new LinkedHashMap<>(spent);
        Map<String, Long> own = new LinkedHashMap<>(more.getOrDefault(workout, Map.of()));
        own.merge(stage, seconds, Long::sum);
        more.put(workout, Map.copyOf(own));
        return new Logbook(entries, more);
    }

    /** The entries of a kind, the newest first. */
    public List<Entry> of(Kind kind) {
        List<Entry> found =
                new ArrayList<>(entries.stream().filter(e -> e.kind() == kind).toList());
        found.sort(Comparator.comparing(Entry::date).reversed());
        return found;
    }

    /** The newest first, day by day. */
    public Map<String, List<Entry>> days() {
        List<Entry> sorted = new ArrayList<>(entries);
        sorted.sort(Comparator.comparing(Entry::date).reversed());
        Map<String, List<Entry>> days = new LinkedHashMap<>();
        sorted.forEach(
                e -> days.computeIfAbsent(e.date(), d -> new ArrayList<>()).add(e));
        return days;
    }
}
