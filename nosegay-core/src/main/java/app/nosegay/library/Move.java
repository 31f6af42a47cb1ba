package app.nosegay.library;

import app.nosegay.time.Tempo;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * One move of the library.
 *
 * @param name its name, lower case
 * @param aliases other names it is known by
 * @param pattern push, pull, squat, hinge, lunge, carry, core, raise, jump, mobility or stretch
 * @param motion the drawn motion that shows it
 * @param primary muscle groups that count fully
 * @param secondary muscle groups that count half
 * @param position standing, kneeling, all-fours, plank, seated, lying-back, lying-front or side-lying
 * @param gear what it needs; empty for nothing
 * @param sided what its side names (working leg, working arm …); empty when it uses both sides alike
 * @param tempo its usual tempo
 * @param startsDown whether the first phase goes down
 * @param view the view that shows its usual fault best
 * @param traits attributes that cautions and promises look at: floor, impact, overhead, balance, flexion, breath-hold …
 * @param cues wordings by kind, in order of use; options are ladders, easiest first
 */
public record Move(
        String name,
        List<String> aliases,
        String pattern,
        String motion,
        Set<MuscleGroup> primary,
        Set<MuscleGroup> secondary,
        String position,
        List<String> gear,
        String sided,
        Tempo tempo,
        boolean startsDown,
        String view,
        Set<String> traits,
        Map<CueKind, List<String>> cues) {

    /** Gear that is not held. */
    private static final Set<String> TRAVELLING = Set.of("lunge", "jump", "carry");

    private static final Set<String> FIXED = Set.of("bench", "chair", "step", "wall", "mat", "slider", "exercise ball");

    /** The wordings of one kind; empty when it has none. */
    public List<String> cues(CueKind kind) {
        return cues.getOrDefault(kind, List.of());
    }

    /** With {@code text} behind its wordings of a kind; itself when it is among them. */
    public Move withCue(CueKind kind, String text) {
        if (cues(kind).stream().anyMatch(text::equalsIgnoreCase)) {
            return this;
        }
        Map<CueKind, List<String>> more = new EnumMap<>(CueKind.class);
        more.putAll(cues);
        List<String> texts = new ArrayList<>(cues(kind));
        texts.add(text);
        more.put(kind, List.copyOf(texts));
        return done(position, gear, traits, more);
    }

    /** The same move under another name of its own: its muscles, cues and options stay. */
    public Move called(String other) {
        Map<CueKind, List<String>> named = new EnumMap<>(CueKind.class);
        named.putAll(cues);
        named.put(CueKind.NAME, List.of(other));
        return new Move(
                other,
                List.of(),
                pattern,
                motion,
                primary,
                secondary,
                position,
                gear,
                sided,
                tempo,
                startsDown,
                view,
                traits,
                named);
    }

    /** The same move done in another way: what it rests on, what it needs and what is said of it. */
    Move done(String inPosition, List<String> withGear, Set<String> withTraits, Map<CueKind, List<String>> said) {
        return new Move(
                name,
                aliases,
                pattern,
                motion,
                primary,
                secondary,
                inPosition,
                withGear,
                sided,
                tempo,
                startsDown,
                view,
                withTraits,
                said);
    }

    /** The same move with other gear in the hands; a seat or a mat stays; with none for an empty one. */
    Move with(String held) {
        List<String> kept =
                new ArrayList<>(gear.stream().filter(FIXED::contains).toList());
        if (!held.isEmpty()) {
            kept.add(0, held);
        }
        return done(position, List.copyOf(kept), traits, cues);
    }

    /** How high the body is; changes between these take time. */
    public enum Height {
        STANDING,
        /** On a chair, a bench or leaning on one. */
        RAISED,
        FLOOR
    }

    public Height height() {
        if (traits.contains("floor")) {
            return Height.FLOOR;
        }
        return switch (position) {
            case "standing" -> Height.STANDING;
            case "seated", "plank" -> Height.RAISED;
            default -> Height.FLOOR;
        };
    }

    /** How it is drawn: the motion, and the position it is done in where that is not standing. */
    public String figure() {
        return position.equals("standing") ? motion : motion + "@" + position;
    }

    /** What drives it. */
    public Driver driver() {
        return Driver.of(this);
    }

    public boolean isOnFloor() {
        return height() == Height.FLOOR;
    }

    /** Whether the feet travel: nothing may lie where they go. */
    public boolean travels() {
        return TRAVELLING.contains(pattern) || has("travel");
    }

    /** Whether it has {@code trait}: as listed in the library, or as follows from its position, pattern and gear. */
    public boolean has(String trait) {
        return traits.contains(trait)
                || switch (trait) {
                    case "floor" -> isOnFloor();
                    case "supine" -> position.equals("lying-back");
                    case "prone" -> position.equals("lying-front");
                    case "lying" -> position.startsWith("lying") || position.equals("side-lying");
                    case "kneeling" -> position.equals("kneeling") || position.equals("all-fours");
                    case "plank" -> position.equals("plank");
                    case "wrist" ->
                        position.equals("plank") || position.equals("all-fours") || traits.contains("press-up");
                    case "knee-bend" -> Set.of("squat", "lunge", "jump").contains(pattern);
                    case "loaded-hinge" -> pattern.equals("hinge") && !gear.isEmpty();
                    case "loaded" -> !gear.isEmpty();
                    case "static" -> traits.contains("held");
                    case "single-leg" -> traits.contains("balance");
                    default -> false;
                };
    }

    /** Whether the viewer cannot see the screen in it. */
    public boolean isFacingAway() {
        return has("prone")
                || position.equals("all-fours")
                || position.equals("plank")
                || pattern.equals("stretch") && has("floor");
    }

    /** How much of this move's time counts for {@code group}: 1 as primary, 0.5 as secondary, else 0. */
    public double share(MuscleGroup group) {
        return primary.contains(group) ? 1.0 : secondary.contains(group) ? 0.5 : 0;
    }
}
