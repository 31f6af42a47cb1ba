package app.nosegay.paint;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;

/**
 * How a motion is drawn: two keyframes of bone directions (see motions.txt).
 *
 * @param front whether it is seen from the front, else from the side
 * @param anchor what stays where it is: foot, hand or hip
 * @param from the keyframe a rep starts and ends with
 * @param to the other end of the rep
 */
public record Motion(String name, boolean front, String anchor, double[] from, double[] to) {
    private static final Map<String, Motion> ALL = load();

    /** The motion called {@code name}; standing still when there is none. */
    public static Motion of(String name) {
        return ALL.getOrDefault(name, ALL.get("stand"));
    }

    public static boolean isKnown(String name) {
        return ALL.containsKey(name);
    }

    /** The bone directions at {@code phase}: 0 is {@code from}, 1 is {@code to}. */
    double[] at(double phase) {
        double[] pose = new double[from.length];
        for (int i = 0; i < pose.length; i++) {
            pose[i] = from[i] + (to[i] - from[i]) * phase;
        }
        return pose;
    }

    private static Map<String, Motion> load() {
        Map<String, Motion> all = new HashMap<>();
        try (BufferedReader in = new BufferedReader(
                new InputStreamReader(Motion.class.getResourceAsStream("motions.txt"), StandardCharsets.UTF_8))) {
            in.lines().filter(l -> !l.isBlank() && !l.startsWith("#")).forEach(line -> {
                String[] head = line.split("\\s+", 4);
                String[] frames = head[3].split("\\|");
                all.put(
                        head[0],
                        new Motion(head[0], head[1].equals("front"), head[2], numbers(frames[0]), numbers(frames[1])));
            });
        } catch (IOException e) {
            throw new UncheckedIOException("the shipped motions cannot be read", e);
        }
        return all;
    }

    private static double[] numbers(String text) {
        double[] given = Arrays.stream(text.strip().split("\\s+"))
                .mapToDouble(Double::parseDouble)
                .toArray();
        return Arrays.copyOf(given, 10);
    }
}
