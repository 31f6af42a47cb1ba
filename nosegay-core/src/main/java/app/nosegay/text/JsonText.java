package app.nosegay.text;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

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

    /** The tree of a file that ships beside a class. */
    public static JsonNode shipped(Class<?> beside, String name) {
        try (InputStream in = beside.getResourceAsStream(name)) {
            return tree(new String(in.readAllBytes(), StandardCharsets.UTF_8), name);
        } catch (IOException e) {
            throw new UncheckedIOException("the shipped file " + name + " cannot be read", e);
        }
    }
}
