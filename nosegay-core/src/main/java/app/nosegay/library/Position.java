package app.nosegay.library;

import app.nosegay.text.JsonText;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * A position a move can be done in other than its own ({@code positions.json}): what the body rests on, how one gets into it, and which
 * of a move's usual words no longer hold.
 *
 * @param word as the notation has it
 * @param aliases other words for it
 * @param body the position of a move done in it
 * @param setUp how one gets into it
 * @param easier an option that holds for whatever is done in it
 * @param gear what it needs, or empty
 * @param off traits a move loses in it
 * @param on traits a move gains in it
 * @param against words that are wrong in it
 */
public record Position(
        String word,
        List<String> aliases,
        String body,
        String setUp,
        String easier,
        String gear,
        Set<String> off,
        Set<String> on,
        Pattern against) {
    private static final List<Position> ALL = load();

    private static List<Position> load() {
        List<Position> all = new ArrayList<>();
        for (JsonNode n : JsonText.shipped(Position.class, "positions.json").path("positions")) {
            all.add(new Position(
                    n.path("word").asText(),
                    MoveJson.strings(n.path("aliases")),
                    n.path("body").asText(),
                    n.path("setup").asText(),
                    n.path("easier").asText(),
                    n.path("gear").asText(),
                    Set.copyOf(MoveJson.strings(n.path("off"))),
                    Set.copyOf(MoveJson.strings(n.path("on"))),
                    Pattern.compile("(?i)\\b(?:" + n.path("against").asText() + ")\\b")));
        }
        return List.copyOf(all);
    }

    public static List<Position> all() {
        return ALL;
    }

    /** The position called {@code word}. */
    public static Optional<Position> of(String word) {
        String w = word.strip().toLowerCase(Locale.ROOT);
        return ALL.stream()
                .filter(p -> p.word.equals(w) || p.aliases.contains(w))
                .findFirst();
    }

    /** {@code move} as it is done in this position; itself where that is its own. */
    Move apply(Move move) {
        if (move.position().equals(body) && (gear.isEmpty() || move.gear().contains(gear))) {
            return move;
        }
        Map<CueKind, List<String>> cues = new EnumMap<>(CueKind.class);
        move.cues().forEach((kind, texts) -> {
            List<String> hold = texts.stream()
                    .filter(t -> kind == CueKind.NAME || !against.matcher(t).find())
                    .toList();
            if (!hold.isEmpty()) {
                cues.put(kind, hold);
            }
        });
        List<String> first = cues.getOrDefault(CueKind.SETUP, List.of());
        cues.put(CueKind.SETUP, first.isEmpty() ? List.of(setUp) : List.of(setUp + " " + first.get(0), setUp));
        cues.putIfAbsent(CueKind.EASIER, List.of(easier));
        Set<String> traits = new LinkedHashSet<>(move.traits());
        traits.removeAll(off);
        traits.addAll(on);
        List<String> needs = new ArrayList<>(move.gear());
        needs.removeIf(g -> g.equals("mat") && !on.contains("floor") || g.equals("bench") || g.equals("chair"));
        if (!gear.isEmpty() && !needs.contains(gear)) {
            needs.add(gear);
        }
        return move.done(body, List.copyOf(needs), Set.copyOf(traits), Map.copyOf(cues));
    }
}
