package app.nosegay.plan;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Properties;
import java.util.Set;

/** Why each finding matters, for people. */
public final class FindingReasons {
    private static final Properties REASONS = load();

    private FindingReasons() {}

    private static Properties load() {
        Properties reasons = new Properties();
        try (InputStreamReader in = new InputStreamReader(
                FindingReasons.class.getResourceAsStream("finding-reasons.properties"), StandardCharsets.UTF_8)) {
            reasons.load(in);
        } catch (IOException e) {
            throw new UncheckedIOException("the shipped reasons cannot be read", e);
        }
        return reasons;
    }

    /** The reason of a finding code; empty when none is known. */
    public static String of(String code) {
        return REASONS.getProperty(code, "");
    }

    public static Set<String> codes() {
        return REASONS.stringPropertyNames();
    }
}
