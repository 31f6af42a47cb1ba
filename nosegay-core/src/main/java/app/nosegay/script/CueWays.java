package app.nosegay.script;

import app.nosegay.cache.TextMemo;
import app.nosegay.plan.terms.Policy;
import app.nosegay.text.JsonText;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/** The ways of cueing on which trainers differ, found in a line and held against the one that was chosen (docs/domain.md, "Cue policy"). */
public final class CueWays {
    private static final Map<String, Map<String, Pattern>> TOPICS = topics();
    private static final TextMemo<List<Way>> FOUND = new TextMemo<>(CueWays::found);

    /** Go with any choice of their topic. */
    private static final Set<String> WITH_ANY = Set.of("in line", "neutral", "soft");

    private CueWays() {}

    /** One way of cueing a topic: {@code knee}, {@code over toes}. */
    public record Way(String topic, String way) {
        /** Whether it says something else than was chosen for its topic. */
        public boolean isAgainst(Policy policy) {
            String wanted = chosen(policy, topic);
            return !wanted.isEmpty() && !way.equals(wanted) && !WITH_ANY.contains(way);
        }
    }

    public static Set<String> allTopics() {
        return TOPICS.keySet();
    }

    /** The ways a line cues. */
    public static List<Way> in(String text) {
        return FOUND.of(text);
    }

    /** The way chosen for a topic; empty where nothing is chosen, or nothing that is known. */
    public static String chosen(Policy policy, String topic) {
        String choice = policy.choice(topic).orElse("");
        return choice.isEmpty()
                ? ""
                : TOPICS.get(topic).keySet().stream()
                        .filter(w -> choice.contains(w) || w.contains(choice))
                        .findFirst()
                        .orElse("");
    }

    private static List<Way> found(String text) {
        List<Way> found = new ArrayList<>();
        TOPICS.forEach((topic, ways) -> ways.forEach((way, pattern) -> {
            if (pattern.matcher(text).find()) {
                found.add(new Way(topic, way));
            }
        }));
        return List.copyOf(found);
    }

    private static Map<String, Map<String, Pattern>> topics() {
        Map<String, Map<String, Pattern>> topics = new LinkedHashMap<>();
        for (JsonNode topic : JsonText.shipped(CueWays.class, "policies.json").path("topics")) {
            Map<String, Pattern> ways = new LinkedHashMap<>();
            topic.path("ways")
                    .forEach(w -> ways.put(
                            w.path("way").asText(),
                            Pattern.compile(w.path("pattern").asText(), Pattern.CASE_INSENSITIVE)));
            topics.put(topic.path("topic").asText(), ways);
        }
        return topics;
    }
}
