package app.nosegay.script;

import java.util.List;

/**
 * How a creator says what every trainer says.
 *
 * @param start what starts a set
 * @param rest what ends it, before a rest
 * @param namesSides whether sides are called left and right; else the second is the other one
 * @param cheers what encourages, in turn
 */
public record SpeechStyle(String start, String rest, boolean namesSides, List<String> cheers) {
    public static final SpeechStyle DEFAULT = new SpeechStyle(
            "Go!",
            "And rest.",
            true,
            List.of(
                    "It may get hard towards the end. Keep the shape.",
                    "You know this one by now.",
                    "Good. Keep it tidy.",
                    "Make every rep like the first.",
                    "Stay with me.",
                    "Slow is fine. Stopping is fine. Sloppy is not.",
                    "Strong and steady.",
                    "Nearly through this one."));

    public SpeechStyle {
        cheers = List.copyOf(cheers);
        if (start.isBlank() || rest.isBlank() || cheers.isEmpty()) {
            throw new IllegalArgumentException("start, rest and cheers are never empty");
        }
    }

    /** A cheer; another for each {@code time}. */
    String cheer(int time) {
        return cheers.get(Math.floorMod(time, cheers.size()));
    }
}
