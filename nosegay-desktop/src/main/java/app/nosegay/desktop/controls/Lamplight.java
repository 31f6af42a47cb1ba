package app.nosegay.desktop.controls;

import app.nosegay.paint.DarkVariant;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import javafx.beans.InvalidationListener;
import javafx.beans.WeakInvalidationListener;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.Node;

/** Whether the window is dark. One for the whole program; what is drawn asks here for its colours and draws again when it changes. */
public final class Lamplight {
    private static final BooleanProperty ON = new SimpleBooleanProperty();
    /** For painters on other threads. */
    private static volatile boolean on;

    private static final Map<Integer, java.awt.Color> TURNED = new ConcurrentHashMap<>();
    private static final Pattern COLOUR = Pattern.compile("#([0-9a-f]{6})(?=(?:[0-9a-f]{2})?[; ,)][^{}]*\\})");

    static {
        // The first to hear of it: who draws again reads it.
        ON.addListener((InvalidationListener) o -> on = ON.get());
    }

    private Lamplight() {}

    /** Changed on the interface thread. */
    public static BooleanProperty on() {
        return ON;
    }

    /** Has {@code drawn} drawn again when the light changes, as long as it lives. */
    public static void follow(Node drawn, Runnable draw) {
        InvalidationListener changed = o -> draw.run();
        drawn.getProperties().put(Lamplight.class, changed);
        ON.addListener(new WeakInvalidationListener(changed));
    }

    /** Draws now, and again whenever the light changes. */
    public static void paint(Node drawn, Runnable draw) {
        draw.run();
        follow(drawn, draw);
    }

    /** A colour of the day as it is now. */
    public static java.awt.Color of(java.awt.Color day) {
        return on ? TURNED.computeIfAbsent(day.getRGB(), rgb -> DarkVariant.of(day)) : day;
    }

    /** A style sheet beside {@code owner} as it is now: where it is dark, all its colours are turned. */
    public static String styles(Class<?> owner, String name) {
        if (!on) {
            return owner.getResource(name).toExternalForm();
        }
        try (InputStream in = owner.getResourceAsStream(name)) {
            String dark = dark(new String(in.readAllBytes(), StandardCharsets.UTF_8));
            return "data:text/css;base64," + Base64.getEncoder().encodeToString(dark.getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The style sheet with every colour for dark paper. */
    static String dark(String sheet) {
        return COLOUR.matcher(sheet)
                .replaceAll(m -> String.format("#%06x", DarkVariant.of(Integer.parseInt(m.group(1), 16)) & 0xFFFFFF));
    }
}
