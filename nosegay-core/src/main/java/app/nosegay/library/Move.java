package app.nosegay.library;

import app.nosegay.time.Tempo;
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

    /** The wordings of one kind; empty when it has none. */
    public List<String> cues(CueKind kind) {
        return cues.getOrDefault(kind, List.of());
    }

    public boolean isOnFloor() {
        return !position.equals("standing");
    }

    /** How much of this move's time counts for {@code group}: 1 as primary, 0.5 as secondary, else 0. */
    public double share(MuscleGroup group) {
        return primary.contains(group) ? 1.0 : secondary.contains(group) ? 0.5 : 0;
    }
}
