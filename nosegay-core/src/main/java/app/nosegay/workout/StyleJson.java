package app.nosegay.workout;

import app.nosegay.dress.Style;
import app.nosegay.text.CoreText;
import app.nosegay.text.JsonText;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.Locale;

/** A style as a file that can be given on (docs/format/style.schema.json): colours as {@code #rrggbb}. */
public final class StyleJson {
    private StyleJson() {}

    public static ObjectNode write(Style style) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("name", style.name());
        node.put("timer", style.timer().name().toLowerCase(Locale.ROOT));
        node.put("scale", style.scale());
        node.put("serif", style.serif());
        node.put("edge", style.edge().name().toLowerCase(Locale.ROOT));
        node.put("corner", style.corner());
        node.put("opacity", style.opacity());
        node.putObject("colours")
                .put("paper", hex(style.paper()))
                .put("ink", hex(style.ink()))
                .put("faded", hex(style.faded()))
                .put("work", hex(style.work()))
                .put("rest", hex(style.rest()))
                .put("count", hex(style.count()))
                .put("option", hex(style.option()))
                .put("caution", hex(style.caution()))
                .put("voice", hex(style.voice()));
        return node;
    }

    /** Reads a style file; fails saying what is wrong with it. */
    public static Style read(String json) throws IOException {
        JsonNode node = JsonText.tree(json, CoreText.of("text.json-text.style"));
        if (!node.path("colours").isObject() || node.path("name").asText().isBlank()) {
            throw new IOException("this is not a style: it has no name or no colours");
        }
        return read(node);
    }

    /** Reads a style; what is missing is as in "Pressed". */
    public static Style read(JsonNode node) throws IOException {
        Style usual = Style.PRESSED;
        JsonNode c = node.path("colours");
        try {
            return new Style(
                    node.path("name").asText(usual.name()),
                    Style.Clock.valueOf(
                            node.path("timer").asText(usual.timer().name()).toUpperCase(Locale.ROOT)),
                    node.path("scale").asDouble(usual.scale()),
                    node.path("serif").asBoolean(usual.serif()),
                    Style.Edge.valueOf(
                            node.path("edge").asText(usual.edge().name()).toUpperCase(Locale.ROOT)),
                    node.path("corner").asDouble(usual.corner()),
                    node.path("opacity").asDouble(usual.opacity()),
                    colour(c.path("paper"), usual.paper()),
                    colour(c.path("ink"), usual.ink()),
                    colour(c.path("faded"), usual.faded()),
                    colour(c.path("work"), usual.work()),
                    colour(c.path("rest"), usual.rest()),
                    colour(c.path("count"), usual.count()),
                    colour(c.path("option"), usual.option()),
                    colour(c.path("caution"), usual.caution()),
                    colour(c.path("voice"), usual.voice()));
        } catch (IllegalArgumentException e) {
            throw new IOException("this style cannot be used: " + e.getMessage(), e);
        }
    }

    private static String hex(int rgb) {
        return String.format(Locale.ROOT, "#%06x", rgb);
    }

    private static int colour(JsonNode node, int usual) {
        if (node.isMissingNode()) {
            return usual;
        }
        if (!node.asText().matches("#[0-9a-fA-F]{6}")) {
            throw new IllegalArgumentException("\"" + node.asText() + "\" is not a colour; write it as #rrggbb");
        }
        return Integer.parseInt(node.asText().substring(1), 16);
    }
}
