package app.nosegay.logbook;

import app.nosegay.text.CoreText;
import app.nosegay.text.JsonText;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.Locale;
import java.util.TreeMap;

/** The logbook's file (docs/format/logbook.schema.json). */
public final class LogbookJson {
    private LogbookJson() {}

    public static String write(Logbook logbook) {
        ObjectNode root = JsonMapper.builder().build().createObjectNode();
        root.put("format", 1);
        ArrayNode entries = root.putArray("entries");
        for (Logbook.Entry e : logbook.entries()) {
            entries.addObject()
                    .put("date", e.date())
                    .put("kind", e.kind().word())
                    .put("workout", e.workout())
                    .put("text", e.text());
        }
        ObjectNode spent = root.putObject("spentSeconds");
        new TreeMap<>(logbook.spent()).forEach((workout, stages) -> {
            ObjectNode own = spent.putObject(workout);
            new TreeMap<>(stages).forEach(own::put);
        });
        return root.toPrettyString() + "\n";
    }

    public static Logbook read(String json) throws IOException {
        JsonNode root = JsonText.tree(json, CoreText.of("text.json-text.logbook"));
        if (!root.path("entries").isArray()) {
            throw new IOException("this is not a logbook: it has no \"entries\"");
        }
        if (root.path("format").asInt() > 1) {
            throw new IOException("this logbook was written by a newer Nosegay; update Nosegay to open it");
        }
        Logbook logbook = Logbook.EMPTY;
        for (JsonNode e : root.path("entries")) {
            try {
                Logbook.Kind kind = Logbook.Kind.valueOf(e.path("kind").asText().toUpperCase(Locale.ROOT));
                logbook = logbook.with(new Logbook.Entry(
                        e.path("date").asText(),
                        kind,
                        e.path("workout").asText(),
                        e.path("text").asText()));
            } catch (IllegalArgumentException unknown) {
                // An entry of a kind this version does not know is left out.
            }
        }
        var workouts = root.path("spentSeconds").properties().iterator();
        while (workouts.hasNext()) {
            var workout = workouts.next();
            var stages = workout.getValue().properties().iterator();
            while (stages.hasNext()) {
                var stage = stages.next();
                logbook = logbook.withTime(
                        workout.getKey(), stage.getKey(), stage.getValue().asLong());
            }
        }
        return logbook;
    }
}
