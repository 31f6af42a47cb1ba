package app.nosegay.plan.check;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.Header;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.plan.terms.SegmentKind;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiPredicate;
import java.util.stream.Collectors;

/**
 * Something a workout promises to do without.
 *
 * @param has whether a segment has it
 * @param repeats whether it is the repeating of moves that is ruled out
 */
public record Absence(BiPredicate<Segment, MoveLibrary> has, boolean repeats) {
    /** The words people promise with, and the trait each rules out. */
    private static final Map<String, String> TRAITS = new TreeMap<>(Map.ofEntries(
            Map.entry("floor", "floor"),
            Map.entry("floor work", "floor"),
            Map.entry("jumps", "impact"),
            Map.entry("jumping", "impact"),
            Map.entry("impact", "impact"),
            Map.entry("lying down", "lying"),
            Map.entry("lying", "lying"),
            Map.entry("press-ups", "press-up"),
            Map.entry("push-ups", "press-up"),
            Map.entry("planks", "plank"),
            Map.entry("kneeling", "kneeling"),
            Map.entry("overhead", "overhead"),
            Map.entry("balance", "balance"),
            Map.entry("twisting", "twist"),
            Map.entry("crunches", "flexion"),
            Map.entry("wrists", "wrist"),
            Map.entry("weight on the wrists", "wrist")));

    /** Whichever weight is announced, a weight is a weight. */
    private static final Header NONE =
            RunSheetParser.parse("", new MoveLibrary(List.of())).header();

    private static final Set<String> GEARLESS = Set.of("gear", "equipment", "kit", "weights");
    private static final Set<String> REPEATS = Set.of("repeats", "repeated moves", "repeat");

    /** The traits a move may not have where all of {@code absences} are promised. */
    public static Set<String> traits(List<String> absences) {
        return absences.stream().filter(TRAITS::containsKey).map(TRAITS::get).collect(Collectors.toSet());
    }

    /** What {@code words} rule out; empty when it cannot be checked. */
    static Optional<Absence> of(String words, MoveLibrary library) {
        String trait = TRAITS.get(words);
        if (trait != null) {
            return Optional.of(moves(m -> m.has(trait)));
        }
        if (GEARLESS.contains(words)) {
            return Optional.of(new Absence(
                    (s, l) -> GearList.of(s, l, NONE).stream()
                            .anyMatch(i -> !i.isAssumed() && (!words.equals("weights") || i.isWeight())),
                    false));
        }
        if (REPEATS.contains(words)) {
            return Optional.of(new Absence((s, l) -> true, true));
        }
        String one = words.endsWith("s") ? words.substring(0, words.length() - 1) : words;
        if (library.moves().stream().anyMatch(m -> m.pattern().equals(one))) {
            return Optional.of(moves(m -> m.pattern().equals(one)));
        }
        return library.find(words).map(move -> moves(m -> m.name().equals(move.name())));
    }

    private static Absence moves(java.util.function.Predicate<Move> has) {
        return new Absence((s, library) -> s.moves(library).stream().anyMatch(has), false);
    }

    static String known() {
        return String.join(", ", TRAITS.keySet()) + ", gear, repeats, a pattern such as squats, a move";
    }

    /** The first segment that has what was ruled out. */
    Optional<Segment> broken(Timeline timeline, MoveLibrary library) {
        List<Segment> moving =
                timeline.segments().stream().filter(s -> s.kind().isMoving()).toList();
        if (!repeats) {
            return moving.stream().filter(s -> has.test(s, library)).findFirst();
        }
        Set<String> done = new HashSet<>();
        Segment before = null;
        for (Segment s : moving) {
            boolean sameGo = before != null && before.move().equals(s.move()) && before.side() != s.side();
            if (s.kind() == SegmentKind.WORK && !done.add(s.move()) && !sameGo) {
                return Optional.of(s);
            }
            before = s;
        }
        return Optional.empty();
    }
}
