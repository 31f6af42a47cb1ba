package app.nosegay.library;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Moves joined to one: one repetition is all of them, in their order. What is said of it is put together from its parts, nothing twice
 * and nothing that contradicts itself.
 */
final class Compound {
    /** Holds of any two moves that ask for opposite breaths. */
    private static final String BREATH = "Breathe out on the hard part, in on the way back.";

    private Compound() {}

    /** The move that {@code parts} make together; there are at least two. */
    static Move of(List<Move> parts) {
        Move first = parts.get(0);
        Map<CueKind, List<String>> cues = new EnumMap<>(CueKind.class);
        String name = parts.stream().map(Move::name).collect(Collectors.joining(" + "));
        cues.put(CueKind.NAME, List.of(name));
        put(cues, CueKind.SETUP, first.cues(CueKind.SETUP));
        put(cues, CueKind.FORM, inTurn(parts, CueKind.FORM));
        put(cues, CueKind.AVOID, inTurn(parts, CueKind.AVOID));
        put(cues, CueKind.FEEL, inTurn(parts, CueKind.FEEL));
        put(cues, CueKind.IMAGE, inTurn(parts, CueKind.IMAGE));
        List<String> breaths = inTurn(parts, CueKind.BREATH);
        put(cues, CueKind.BREATH, breaths.size() > 1 ? List.of(BREATH) : breaths);
        List<String> easier = new ArrayList<>();
        easier.add("Leave out the " + parts.get(parts.size() - 1).name() + ".");
        easier.addAll(inTurn(parts, CueKind.EASIER));
        put(cues, CueKind.EASIER, easier);
        put(cues, CueKind.PERMIT, List.of("Do one of the two for a while whenever you like."));
        return new Move(
                name,
                List.of(),
                first.pattern(),
                first.motion(),
                all(parts, Move::primary),
                all(parts, Move::secondary),
                first.position(),
                parts.stream().flatMap(m -> m.gear().stream()).distinct().toList(),
                parts.stream()
                        .map(Move::sided)
                        .filter(s -> !s.isEmpty())
                        .findFirst()
                        .orElse(""),
                first.tempo(),
                first.startsDown(),
                first.view(),
                all(parts, Move::traits),
                cues);
    }

    private static <T> Set<T> all(List<Move> parts, Function<Move, Set<T>> of) {
        return parts.stream().flatMap(m -> of.apply(m).stream()).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static void put(Map<CueKind, List<String>> cues, CueKind kind, List<String> texts) {
        if (!texts.isEmpty()) {
            cues.put(kind, List.copyOf(texts));
        }
    }

    /** The first wording of each part, then the second of each; no text twice. */
    private static List<String> inTurn(List<Move> parts, CueKind kind) {
        Set<String> texts = new LinkedHashSet<>();
        int most = parts.stream().mapToInt(m -> m.cues(kind).size()).max().orElse(0);
        for (int i = 0; i < most; i++) {
            for (Move part : parts) {
                if (i < part.cues(kind).size()) {
                    texts.add(part.cues(kind).get(i));
                }
            }
        }
        return List.copyOf(texts);
    }
}
