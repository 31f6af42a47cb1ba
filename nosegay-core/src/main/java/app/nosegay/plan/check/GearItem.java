package app.nosegay.plan.check;

import app.nosegay.plan.terms.Load;
import app.nosegay.text.CoreText;
import java.util.List;
import java.util.Set;

/**
 * One piece of gear as announced or used.
 *
 * @param name its name, as the gear file knows it, else as written
 * @param weight light, medium or heavy, a load in figures, or empty
 * @param optional whether one can do without it
 * @param alternatives what does as well ({@code bench or low wall})
 * @param kind weight, band, seat, surface or other
 * @param standIns what a household has instead
 * @param pair whether it is two of them
 */
public record GearItem(
        String name,
        String weight,
        boolean optional,
        List<String> alternatives,
        String kind,
        List<String> standIns,
        boolean pair) {
    private static final Set<String> ASSUMED = Set.of("wall", "floor", "mat");

    public GearItem {
        alternatives = List.copyOf(alternatives);
        standIns = List.copyOf(standIns);
    }

    /** Its name as it is said: two of them are "dumbbells". */
    public String spoken() {
        return pair && !name.endsWith("s") ? name + "s" : name;
    }

    public boolean isBand() {
        return kind.equals("band");
    }

    /** What every room has, and what one lies on: nobody calls it equipment. */
    public boolean isAssumed() {
        return ASSUMED.contains(name);
    }

    /** Whether it is held or worn, so that it has to be picked up and put down. */
    public boolean isHeld() {
        return kind.equals("weight") || kind.equals("band") || kind.equals("held");
    }

    public boolean isWeight() {
        return kind.equals("weight");
    }

    /** For people: {@code kettlebell, medium}, {@code kettlebell, 12 kg (26 lb)}. */
    public String shown() {
        String load = Load.parse(weight).map(Load::shown).orElse(weight);
        String either = alternatives.isEmpty()
                ? ""
                : CoreText.of(
                        "plan.check.gear-item.or", String.join(CoreText.of("plan.check.gear-item.or-2"), alternatives));
        String several = load.startsWith("2 ×") && !name.endsWith("s") ? name + "s" : spoken();
        String two = pair && !load.startsWith("2 ×") ? CoreText.of("plan.check.gear-item.pair-of") : "";
        return (load.isEmpty()
                        ? two + several
                        : load.matches("light|medium|heavy") ? two + load + " " + several : two + several + ", " + load)
                + either
                + (optional ? " (optional)" : "");
    }
}
