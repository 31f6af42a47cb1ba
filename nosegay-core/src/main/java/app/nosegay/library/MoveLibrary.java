package app.nosegay.library;

import app.nosegay.time.Tempo;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** All known moves, found by name or alias, whatever the case and plural. */
public final class MoveLibrary {
    private static final String SHIPPED = "moves.json";
    private static MoveLibrary shipped;

    private final List<Move> moves;
    private final Map<String, Move> byName = new TreeMap<>();

    public MoveLibrary(Collection<Move> moves) {
        this.moves = List.copyOf(moves);
        for (Move move : moves) {
            byName.put(key(move.name()), move);
            move.aliases().forEach(alias -> byName.putIfAbsent(key(alias), move));
        }
    }

    /** The library that comes with the application. */
    public static synchronized MoveLibrary shipped() {
        if (shipped == null) {
            try (InputStream in = MoveLibrary.class.getResourceAsStream(SHIPPED)) {
                shipped = read(in);
            } catch (IOException e) {
                throw new UncheckedIOException("the shipped move library " + SHIPPED + " cannot be read", e);
            }
        }
        return shipped;
    }

    /** Reads a library file (docs/format/moves.md). */
    public static MoveLibrary read(InputStream in) throws IOException {
        JsonNode root = JsonMapper.builder().build().readTree(in);
        Map<String, JsonNode> patterns = new HashMap<>();
        root.path("patterns").fields().forEachRemaining(e -> patterns.put(e.getKey(), e.getValue()));
        List<Move> moves = new ArrayList<>();
        for (JsonNode node : root.path("moves")) {
            String pattern = node.path("pattern").asText();
            moves.add(move(
                    node,
                    patterns.getOrDefault(pattern, JsonMapper.builder().build().createObjectNode())));
        }
        return new MoveLibrary(moves);
    }

    private static Move move(JsonNode node, JsonNode pattern) {
        String name = node.path("name").asText();
        Map<CueKind, List<String>> cues = new EnumMap<>(CueKind.class);
        for (JsonNode source : List.of(pattern.path("cues"), node.path("cues"))) {
            source.fields()
                    .forEachRemaining(e -> cues.put(CueKind.of(e.getKey()).orElseThrow(), strings(e.getValue())));
        }
        cues.putIfAbsent(CueKind.NAME, List.of(name));
        String tempo = node.path("tempo").asText("2-0-1");
        return new Move(
                name,
                strings(node.path("aliases")),
                node.path("pattern").asText(),
                node.path("motion").asText(node.path("pattern").asText()),
                groups(node.path("primary")),
                groups(node.path("secondary")),
                node.path("position").asText("standing"),
                strings(node.path("gear")),
                node.path("sided").asText(""),
                Tempo.parse(tempo).orElseThrow(() -> new IllegalArgumentException(name + ": tempo " + tempo)),
                node.path("first").asText("down").equals("down"),
                node.path("view").asText("front"),
                new LinkedHashSet<>(strings(node.path("traits"))),
                cues);
    }

    private static List<String> strings(JsonNode node) {
        List<String> list = new ArrayList<>();
        if (node.isTextual()) {
            list.add(node.asText());
        } else {
            node.forEach(n -> list.add(n.asText()));
        }
        return list;
    }

    private static Set<MuscleGroup> groups(JsonNode node) {
        return strings(node).stream().map(MuscleGroup::of).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    public List<Move> moves() {
        return moves;
    }

    /** The move called {@code name}, by name or alias. */
    public Optional<Move> find(String name) {
        return Optional.ofNullable(byName.get(key(name)));
    }

    /** The known name nearest to {@code name}, or null when none is near. */
    public String nearestName(String name) {
        String nearest = Nearest.of(key(name), byName.keySet());
        return nearest == null ? null : byName.get(nearest).name();
    }

    private static String key(String name) {
        String words = name.toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", " ")
                .strip();
        return words.length() > 4 && words.endsWith("s") && !words.endsWith("ss")
                ? words.substring(0, words.length() - 1)
                : words;
    }
}
