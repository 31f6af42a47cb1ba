package app.nosegay.library;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** The sixteen muscle groups of docs/domain.md, each tagged by region and face. */
public enum MuscleGroup {
    NECK(Region.UPPER, false),
    CHEST(Region.UPPER, true),
    FRONT_SHOULDER(Region.UPPER, true),
    REAR_SHOULDER(Region.UPPER, false),
    UPPER_BACK(Region.UPPER, false),
    LATS(Region.UPPER, false),
    BICEPS(Region.UPPER, true),
    TRICEPS(Region.UPPER, false),
    FOREARMS(Region.UPPER, true),
    ABDOMINALS(Region.CORE, true),
    OBLIQUES(Region.CORE, true),
    LOWER_BACK(Region.CORE, false),
    GLUTES(Region.LOWER, false),
    QUADRICEPS(Region.LOWER, true),
    HAMSTRINGS(Region.LOWER, false),
    CALVES(Region.LOWER, false);

    private final Region region;
    private final boolean front;

    MuscleGroup(Region region, boolean front) {
        this.region = region;
        this.front = front;
    }

    /** The third of the body. */
    public enum Region {
        UPPER,
        CORE,
        LOWER
    }

    public Region region() {
        return region;
    }

    public boolean isFront() {
        return front;
    }

    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The group called {@code word}; empty when there is none. */
    public static Optional<MuscleGroup> find(String word) {
        return Arrays.stream(values()).filter(g -> g.word().equals(word)).findFirst();
    }
}
