package app.nosegay.jobs;

import app.nosegay.files.InputFile;
import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.function.UnaryOperator;

/**
 * How the window was left: its place on the screens in pixels, how large everything in it is, whether things move, and by what light. Kept
 * in the settings folder; values out of range are brought back into it.
 *
 * @param width 0 when no place is known
 * @param zoom 1 for the usual size, up to 2
 * @param still whether drawn figures stand and nothing pulses
 */
@JsonIgnoreProperties(ignoreUnknown = true)
public record WindowSettings(
        double x,
        double y,
        double width,
        double height,
        boolean maximised,
        double zoom,
        boolean still,
        Appearance appearance) {
    /** Paper by day or by lamplight. */
    public enum Appearance {
        LIGHT,
        DARK,
        AS_THE_SYSTEM
    }

    public static final WindowSettings USUAL = new WindowSettings(0, 0, 0, 0, false, 1, false, Appearance.LIGHT);
    public static final double LARGEST_ZOOM = 2;
    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(com.fasterxml.jackson.databind.DeserializationFeature.READ_UNKNOWN_ENUM_VALUES_AS_NULL)
            .build();
    private static final SharedFile<WindowSettings> FILE = new SharedFile<>(
            "window.json",
            InputFile.TEXT,
            USUAL,
            text -> JSON.readValue(text, WindowSettings.class),
            WindowSettings::json);

    public WindowSettings {
        zoom = Double.isFinite(zoom) ? Math.max(1, Math.min(LARGEST_ZOOM, zoom)) : 1;
        width = Math.max(0, width);
        height = Math.max(0, height);
        appearance = appearance == null ? Appearance.LIGHT : appearance;
    }

    public static WindowSettings read() throws IOException {
        return FILE.read();
    }

    /** Keeps the settings as {@code step} makes them of those kept so far. */
    public static void change(UnaryOperator<WindowSettings> step) throws IOException {
        FILE.change(step);
    }

    public WindowSettings withPlace(double x, double y, double width, double height, boolean maximised) {
        return new WindowSettings(x, y, width, height, maximised, zoom, still, appearance);
    }

    public WindowSettings withZoom(double zoom) {
        return new WindowSettings(x, y, width, height, maximised, zoom, still, appearance);
    }

    public WindowSettings withStill(boolean still) {
        return new WindowSettings(x, y, width, height, maximised, zoom, still, appearance);
    }

    public WindowSettings withAppearance(Appearance appearance) {
        return new WindowSettings(x, y, width, height, maximised, zoom, still, appearance);
    }

    private static String json(WindowSettings settings) {
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(settings) + "\n";
        } catch (JsonProcessingException e) {
            throw new UncheckedIOException(e);
        }
    }
}
