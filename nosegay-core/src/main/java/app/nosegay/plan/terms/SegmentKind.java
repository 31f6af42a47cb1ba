package app.nosegay.plan.terms;

import java.util.Locale;

/** The purpose of one stretch of the timeline. */
public enum SegmentKind {
    TALK,
    WARMUP,
    DEMO,
    COUNT_IN,
    WORK,
    SWITCH,
    REST,
    COOLDOWN;

    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Whether the viewer moves along: warm-up, work and cool-down. */
    public boolean isMoving() {
        return this == WARMUP || this == WORK || this == COOLDOWN;
    }
}
