package app.nosegay.plan.terms;

import app.nosegay.text.CoreText;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Choices made once for the whole workout, each a topic and what was chosen; silence means the neutral wording.
 *
 * @param choices by topic, as written
 */
public record Policy(Map<String, String> choices) {
    public static final Policy NEUTRAL = new Policy(Map.of());
    /** The topics of docs/domain.md ("Cue policy"), where warm-up and cool-down happen, and where the end card goes. */
    public static final List<String> TOPICS = List.of(
            "knee",
            "pelvis",
            "gaze",
            "elbow",
            CoreText.of("plan.terms.policy.press-path"),
            CoreText.of("plan.terms.policy.raise-height"),
            "breath",
            "warm-up",
            "cool-down",
            "end-card");

    public static final String EXPECTED =
            CoreText.of("plan.terms.policy.choices-such-as-knee-over", String.join(", ", TOPICS));

    public Policy {
        choices = Map.copyOf(choices);
    }

    public static Optional<Policy> parse(String text) {
        Map<String, String> choices = new LinkedHashMap<>();
        for (String part : text.split(",")) {
            String p = part.strip().toLowerCase(Locale.ROOT);
            Optional<String> topic = TOPICS.stream()
                    .filter(t -> p.startsWith(t + " ") || p.startsWith(t.replace("-", " ") + " "))
                    .findFirst();
            if (topic.isEmpty()) {
                return Optional.empty();
            }
            choices.put(topic.get(), p.substring(topic.get().length()).strip());
        }
        return Optional.of(new Policy(choices));
    }

    /** What was chosen for {@code topic}; empty for the neutral wording. */
    public Optional<String> choice(String topic) {
        return Optional.ofNullable(choices.get(topic));
    }

    /** Whether warm-up or cool-down is said to be elsewhere: another video, alone, or round one. */
    public boolean isElsewhere(String topic) {
        return choices.containsKey(topic);
    }
}
