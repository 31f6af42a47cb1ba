package app.nosegay.plan;

import app.nosegay.text.CoreText;
import java.util.Locale;

/** What a finding means to its maker: the first pile is to be looked at first. */
public enum FindingPile {
    /** Title or intro say something else than the plan does. */
    PROMISE,
    /** Somebody who follows along would be late, lost or hurt. */
    TRIPS,
    /** Of the finished video: wrong. */
    MUST,
    /** Of the finished video: perhaps wrong. */
    LOOK,
    /** Worth knowing; there are good plans that have it. */
    TASTE;

    /** Where a finding lies before a plan is filmed. */
    public static FindingPile of(Finding finding) {
        if (finding.code().startsWith("plan.promise-") || finding.code().equals("plan.title-length")) {
            return PROMISE;
        }
        return finding.severity() == Finding.Severity.NOTE ? TASTE : TRIPS;
    }

    /** Where a finding lies before a video is published. */
    public static FindingPile beforePublishing(Finding finding) {
        return switch (finding.severity()) {
            case STOP, FIX -> MUST;
            case LOOK -> LOOK;
            case NOTE -> TASTE;
        };
    }

    /** Its heading. */
    public String label() {
        return CoreText.of("plan.pile." + name().toLowerCase(Locale.ROOT));
    }
}
