package app.nosegay.text;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;

/** JSON that people may have edited, or that was cut off: read as a tree, or refused with a sentence. */
public final class JsonText {
    private static final JsonMapper MAPPER = JsonMapper.builder().build();

    private JsonText() {}

    /**
     * The tree of {@code json}.
     *
     * @param what it should be, as it is named in the sentence: "a workout file"
     */
    public static JsonNode tree(String json, String what) throws IOException {
        try {
            return MAPPER.readTree(json);
        } catch (JsonProcessingException e) {
            // What is nested too deeply, or too long, has no place.
            int line = e.getLocation() == null ? 0 : e.getLocation().getLineNr();
            throw new IOException(
                    line > 0
                            ? CoreText.of("text.json-text.broken-at", what, line)
                            : CoreText.of("text.json-text.too-deep", what),
                    e);
        }
    }
}
