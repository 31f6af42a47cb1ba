package app.nosegay.plan.bed;

import app.nosegay.text.CoreText;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/** The shapes a workout can begin with: each a complete, small example to be changed. */
public enum Starter {
    BY_THE_CLOCK,
    BY_COUNT,
    BACK_TO_BACK,
    AS_MANY_ROUNDS,
    EVERY_MINUTE,
    TO_THE_BEAT,
    BUILD_UP,
    SHOWN_ONCE,
    VOICE_ONLY,
    CHAIR;

    private String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** What the card says. */
    public String label() {
        return CoreText.of("plan.bed.starter." + word());
    }

    /** Its run sheet. */
    public String sheet() {
        try (InputStream in = Starter.class.getResourceAsStream(word() + ".runsheet")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
