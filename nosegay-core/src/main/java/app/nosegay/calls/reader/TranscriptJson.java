package app.nosegay.calls.reader;

import app.nosegay.calls.Call;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;

/** Calls and heard structure as JSON (docs/format/transcript.schema.json): seconds with millisecond precision, absent values null. */
public final class TranscriptJson {
    private TranscriptJson() {}

    public static ObjectNode of(List<Call> calls, List<HeardStructure.Heard> heard) {
        ObjectNode root = JsonMapper.builder().build().createObjectNode();
        ArrayNode list = root.putArray("calls");
        calls.forEach(c -> call(list.addObject(), c)
                .put("time", round(c.time().seconds()))
                .put("end", round(c.end().seconds()))
                .put("text", c.text()));
        ArrayNode intervals = root.putObject("structure").putArray("intervals");
        for (HeardStructure.Heard h : heard) {
            intervals
                    .addObject()
                    .put("kind", h.kind())
                    .put("start", round(h.span().start().seconds()))
                    .put("end", round(h.span().end().seconds()))
                    .put("move", h.move())
                    .put("round", h.round())
                    .put("doubt", round(h.doubt()));
        }
        return root;
    }

    /** Kind, value, to and of, as every JSON with calls has them. */
    public static ObjectNode call(ObjectNode node, Call c) {
        return node.put("kind", c.kind().word())
                .put("value", c.value())
                .put("to", c.to())
                .put("of", c.of());
    }

    private static double round(double seconds) {
        return Math.round(seconds * 1000) / 1000.0;
    }
}
