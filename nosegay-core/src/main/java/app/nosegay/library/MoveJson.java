package app.nosegay.library;

import app.nosegay.text.CoreText;
import app.nosegay.text.JsonText;
import app.nosegay.time.Tempo;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** The move library file format (docs/format/moves.md). */
public final class MoveJson {
    private MoveJson() {}

    /** Reads a library file's text; fails with a sentence for the user. */
    public static List<Move> read(String json) throws IOException {
        return read(List.of(json));
    }

    /** Reads library files that build on each other: a move may be like one of any of them. */
    static List<Move> read(List<String> files) throws IOException {
        Map<String, JsonNode> patterns = new HashMap<>();
        Map<String, ObjectNode> nodes = new LinkedHashMap<>();
        for (String json : files) {
            JsonNode root = JsonText.tree(json, CoreText.of("text.json-text.moves"));
            if (!root.path("moves").isArray()) {
                throw new IOException("this is not a file of moves: it has no \"moves\"");
            }
            root.path("patterns").properties().forEach(e -> patterns.put(e.getKey(), e.getValue()));
            for (JsonNode node : root.path("moves")) {
                String like = node.path("like").asText();
                ObjectNode base = nodes.get(like);
                if (!like.isEmpty() && base == null) {
                    throw new IllegalArgumentException(
                            node.path("name").asText() + ": there is no \"" + like + "\" above it to be like");
                }
                nodes.put(node.path("name").asText(), base == null ? (ObjectNode) node : like(base, (ObjectNode) node));
            }
            root.path("aliases").properties().forEach(e -> {
                ObjectNode of = nodes.get(e.getKey());
                if (of != null) {
                    ArrayNode aliases = of.withArray("/aliases");
                    e.getValue().forEach(aliases::add);
                }
            });
        }
        List<Move> moves = new ArrayList<>();
        for (ObjectNode node : nodes.values()) {
            String pattern = node.path("pattern").asText();
            moves.add(move(
                    node,
                    patterns.getOrDefault(pattern, JsonMapper.builder().build().createObjectNode())));
        }
        return moves;
    }

    /** {@code own} with all it does not say taken from {@code base}, but for names and what is said of other gear. */
    private static ObjectNode like(ObjectNode base, ObjectNode own) {
        ObjectNode node = base.deepCopy();
        node.remove("aliases");
        ObjectNode cues = (ObjectNode) node.path("cues").deepCopy();
        cues.remove("name");
        if (own.has("gear")) {
            cues.remove("gear");
        }
        if (own.has("position")) {
            List.copyOf(cues.properties())
                    .forEach(e -> holding(cues, e.getKey(), own.path("position").asText()));
        }
        own.path("cues").properties().forEach(e -> cues.set(e.getKey(), e.getValue()));
        Set<String> traits = new LinkedHashSet<>(strings(node.path("traits")));
        traits.removeAll(strings(own.path("traits-")));
        traits.addAll(strings(own.path("traits+")));
        own.properties().forEach(e -> node.set(e.getKey(), e.getValue()));
        List<String> secondary = new ArrayList<>(strings(node.path("secondary")));
        secondary.removeAll(strings(node.path("primary")));
        put(node.putArray("secondary"), secondary);
        node.set("cues", cues);
        put(node.putArray("traits"), List.copyOf(traits));
        return node;
    }

    /** Keeps of the wordings of a kind those that hold in another position. */
    private static void holding(ObjectNode cues, String kind, String position) {
        List<String> hold = strings(cues.path(kind)).stream()
                .filter(t -> Position.all().stream()
                        .filter(p -> p.body().equals(position))
                        .limit(1)
                        .noneMatch(p -> p.against().matcher(t).find()))
                .toList();
        if (hold.isEmpty()) {
            cues.remove(kind);
        } else {
            put(cues.putArray(kind), hold);
        }
    }

    private static Move move(JsonNode node, JsonNode pattern) {
        String name = node.path("name").asText();
        if (name.isBlank()) {
            throw new IllegalArgumentException("a move has no name");
        }
        Map<CueKind, List<String>> cues = new EnumMap<>(CueKind.class);
        for (JsonNode source : List.of(pattern.path("cues"), node.path("cues"))) {
            source.properties()
                    .forEach(e -> cues.put(
                            CueKind.of(e.getKey())
                                    .orElseThrow(() -> new IllegalArgumentException(
                                            name + ": \"" + e.getKey() + "\" is not a cue kind")),
                            strings(e.getValue())));
        }
        cues.putIfAbsent(CueKind.NAME, List.of(name));
        String tempo = node.path("tempo").asText("2-0-1");
        return new Move(
                name,
                strings(node.path("aliases")),
                node.path("pattern").asText(),
                node.path("motion").asText(node.path("pattern").asText()),
                groups(name, node.path("primary")),
                groups(name, node.path("secondary")),
                node.path("position").asText("standing"),
                strings(node.path("gear")),
                node.path("sided").asText(""),
                Tempo.parse(tempo).orElseThrow(() -> new IllegalArgumentException(name + ": tempo " + tempo)),
                node.path("first").asText("down").equals("down"),
                node.path("view").asText("front"),
                new LinkedHashSet<>(strings(node.path("traits"))),
                cues);
    }

    static List<String> strings(JsonNode node) {
        List<String> list = new ArrayList<>();
        if (node.isTextual()) {
            list.add(node.asText());
        } else {
            node.forEach(n -> list.add(n.asText()));
        }
        return list;
    }

    private static Set<MuscleGroup> groups(String name, JsonNode node) {
        return strings(node).stream()
                .map(g -> MuscleGroup.find(g)
                        .orElseThrow(
                                () -> new IllegalArgumentException(name + ": \"" + g + "\" is not a muscle group")))
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** The text of a library file that holds {@code moves}. */
    public static String write(List<Move> moves) {
        ObjectNode root = JsonMapper.builder().build().createObjectNode();
        root.put("format", 1);
        ArrayNode list = root.putArray("moves");
        for (Move m : moves) {
            ObjectNode node = list.addObject().put("name", m.name());
            put(node.putArray("aliases"), m.aliases());
            node.put("pattern", m.pattern()).put("motion", m.motion());
            put(
                    node.putArray("primary"),
                    m.primary().stream().map(MuscleGroup::word).toList());
            put(
                    node.putArray("secondary"),
                    m.secondary().stream().map(MuscleGroup::word).toList());
            node.put("position", m.position());
            put(node.putArray("gear"), m.gear());
            node.put("sided", m.sided())
                    .put("tempo", m.tempo().text())
                    .put("first", m.startsDown() ? "down" : "up")
                    .put("view", m.view());
            put(node.putArray("traits"), List.copyOf(m.traits()));
            ObjectNode cues = node.putObject("cues");
            m.cues().forEach((kind, texts) -> put(cues.putArray(kind.word()), texts));
        }
        return root.toPrettyString() + "\n";
    }

    private static void put(ArrayNode array, List<String> values) {
        values.forEach(array::add);
    }
}
