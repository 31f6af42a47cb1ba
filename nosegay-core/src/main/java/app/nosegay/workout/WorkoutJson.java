package app.nosegay.workout;

import app.nosegay.match.Pin;
import app.nosegay.plan.edit.OldReps;
import app.nosegay.text.CoreText;
import app.nosegay.text.JsonText;
import app.nosegay.time.Time;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/** The workout file format (docs/format/workout.schema.json): stable key order, the sheet as one string per line. */
public final class WorkoutJson {
    public static final int FORMAT = 6;

    /** Before, a number of repetitions was the total of both sides. */
    private static final int EACH_SIDE_SINCE = 6;

    private WorkoutJson() {}

    public static String write(Workout workout) {
        ObjectNode root = JsonMapper.builder().build().createObjectNode();
        root.put("format", FORMAT);
        ArrayNode sheet = root.putArray("sheet");
        for (String line : workout.sheet().split("\n", -1)) {
            sheet.add(line);
        }
        ArrayNode takes = root.putArray("takes");
        for (Workout.TakeRef t : workout.takes()) {
            takes.addObject()
                    .put("id", t.id())
                    .put("file", t.file())
                    .put("size", t.size())
                    .put("seconds", t.seconds())
                    .put("fingerprint", t.fingerprint())
                    .put("transcript", t.transcript())
                    .put("log", t.log())
                    .put("note", t.note());
        }
        ArrayNode pins = root.putArray("pins");
        for (Pin p : workout.pins()) {
            pins.addObject()
                    .put("segment", p.segment())
                    .put("edge", p.end() ? "end" : "start")
                    .put("take", p.take())
                    .put("micros", p.time().micros());
        }
        DecisionsJson.write(root, workout);
        return root.toPrettyString() + "\n";
    }

    /** Reads a workout file's text; fails with a sentence for the user. */
    public static Workout read(String json) throws IOException {
        JsonNode root = JsonText.tree(json, CoreText.of("text.json-text.workout"));
        if (!root.path("sheet").isArray()) {
            throw new IOException("this is not a workout file: it has no \"sheet\"");
        }
        if (root.path("format").asInt() > FORMAT) {
            throw new IOException("this workout was saved by a newer Nosegay (format "
                    + root.path("format").asInt() + ", this one reads up to " + FORMAT
                    + "); update Nosegay to open it");
        }
        List<String> lines = new ArrayList<>();
        root.path("sheet").forEach(l -> lines.add(l.asText()));
        List<Workout.TakeRef> takes = new ArrayList<>();
        for (JsonNode t : root.path("takes")) {
            takes.add(new Workout.TakeRef(
                    t.path("id").asText(),
                    t.path("file").asText(),
                    t.path("size").asLong(),
                    t.path("seconds").asDouble(),
                    t.path("fingerprint").asText(),
                    t.path("transcript").isTextual() ? t.path("transcript").asText() : null,
                    t.path("log").isTextual() ? t.path("log").asText() : null,
                    t.path("note").asText()));
        }
        List<Pin> pins = new ArrayList<>();
        for (JsonNode p : root.path("pins")) {
            boolean end = p.path("edge").asText().equals("end");
            pins.add(new Pin(
                    p.path("segment").asText(),
                    end,
                    p.path("take").asText(),
                    new Time<>(p.path("micros").asLong())));
        }
        String text = String.join("\n", lines);
        boolean old = root.path("format").asInt() < EACH_SIDE_SINCE;
        return DecisionsJson.read(root, new Workout(old ? OldReps.upgraded(text) : text, takes, pins));
    }
}
