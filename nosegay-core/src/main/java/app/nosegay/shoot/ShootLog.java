package app.nosegay.shoot;

import app.nosegay.text.CoreText;
import app.nosegay.text.JsonText;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/**
 * What the shoot clock logged: the text it ran and where every boundary fell, in seconds of its own sound output.
 *
 * @param sheet the run sheet's text at the time
 * @param run the run number the sync tones carry, 0 to 255
 * @param startTone when the start tone was played
 * @param endTone when the end tone was played, or null when the run was broken off
 * @param entries the segments as run, in order; one broken off and begun again is there twice
 * @param events marks, fluffs, restarts and holds
 * @param began when the run began, as ISO 8601 local time, or empty
 * @param bySound whether times are sample positions of the sound output, else of the machine's clock
 */
public record ShootLog(
        String sheet,
        int run,
        Time<Axis.Clock> startTone,
        Time<Axis.Clock> endTone,
        List<Entry> entries,
        List<Event> events,
        String began,
        boolean bySound) {
    private static final int FORMAT = 2;

    public ShootLog {
        entries = List.copyOf(entries);
        events = List.copyOf(events);
    }

    public ShootLog(String sheet, int run, Time<Axis.Clock> startTone, Time<Axis.Clock> endTone, List<Entry> entries) {
        this(sheet, run, startTone, endTone, entries, List.of(), "", true);
    }

    /** One segment as the clock ran it. */
    public record Entry(String segment, Span<Axis.Clock> span) {}

    /**
     * Something the presenter logged.
     *
     * @param kind mark, fluff, again, hold or go-on
     */
    public record Event(String kind, Time<Axis.Clock> time, String segment) {}

    public String toJson() {
        ObjectNode root = JsonMapper.builder().build().createObjectNode();
        root.put("format", FORMAT);
        root.put("sheet", sheet);
        root.put("run", run);
        root.put("began", began);
        root.put("bySound", bySound);
        root.put("startTone", startTone.seconds());
        if (endTone == null) {
            root.putNull("endTone");
        } else {
            root.put("endTone", endTone.seconds());
        }
        ArrayNode list = root.putArray("segments");
        for (Entry e : entries) {
            list.addObject()
                    .put("segment", e.segment())
                    .put("start", e.span().start().seconds())
                    .put("end", e.span().end().seconds());
        }
        ArrayNode marks = root.putArray("events");
        for (Event e : events) {
            marks.addObject()
                    .put("kind", e.kind())
                    .put("time", e.time().seconds())
                    .put("segment", e.segment());
        }
        return root.toPrettyString() + "\n";
    }

    /** Reads a log file's text; fails with a sentence for the user when it is not one. */
    public static ShootLog fromJson(String json) throws IOException {
        JsonNode root = JsonText.tree(json, CoreText.of("text.json-text.shoot-log"));
        if (!root.path("segments").isArray() || !root.path("startTone").isNumber()) {
            throw new IOException(CoreText.of("shoot.shoot-log.this-is-not-a-shoot"));
        }
        List<Entry> entries = new ArrayList<>();
        for (JsonNode e : root.path("segments")) {
            Time<Axis.Clock> start = Time.ofSeconds(e.path("start").asDouble());
            Time<Axis.Clock> end = Time.ofSeconds(e.path("end").asDouble());
            entries.add(new Entry(e.path("segment").asText(), new Span<>(start, Time.max(start, end))));
        }
        List<Event> events = new ArrayList<>();
        for (JsonNode e : root.path("events")) {
            events.add(new Event(
                    e.path("kind").asText(),
                    Time.ofSeconds(e.path("time").asDouble()),
                    e.path("segment").asText()));
        }
        JsonNode end = root.path("endTone");
        return new ShootLog(
                root.path("sheet").asText(),
                root.path("run").asInt(),
                Time.ofSeconds(root.path("startTone").asDouble()),
                end.isNumber() ? Time.ofSeconds(end.asDouble()) : null,
                entries,
                events,
                root.path("began").asText(),
                root.path("bySound").asBoolean(true));
    }

    /** How many fluffs were logged. */
    public long fluffs() {
        return events.stream().filter(e -> e.kind().equals("fluff")).count();
    }
}
