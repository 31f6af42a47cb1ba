package app.nosegay.plan.terms;

import app.nosegay.text.CoreText;
import app.nosegay.time.DurationText;
import app.nosegay.time.Length;
import java.util.Optional;

/**
 * A rest or a stretch of work as planned: fixed, a range, or open with an estimate.
 *
 * @param planned what the timeline uses
 * @param least the shortest meant
 * @param most the longest meant
 * @param open whether its true length is measured from the take ("as needed", "until called")
 */
public record Pause(Length planned, Length least, Length most, boolean open) {
    public static final String EXPECTED = CoreText.of("plan.terms.pause.a-duration-0-30-a");

    /** What an open rest or stretch is taken for until it is measured. */
    private static final Length UNESTIMATED = Length.ofSeconds(45);

    /** Reads {@code 0:30 | 1:00-2:00 | as-needed ~0:45 | until-called ~0:40}; a range is planned at its middle. */
    public static Optional<Pause> parse(String text) {
        String t = text.strip();
        boolean open = t.startsWith("as-needed") || t.startsWith("until-called");
        if (open) {
            String estimate = t.replaceFirst("^(as-needed|until-called)", "").strip();
            estimate = estimate.startsWith("~") ? estimate.substring(1) : estimate;
            if (estimate.isEmpty()) {
                return Optional.of(new Pause(UNESTIMATED, Length.ZERO, UNESTIMATED.times(3), true));
            }
            return DurationText.parse(estimate).map(l -> new Pause(l, Length.ZERO, l.times(3), true));
        }
        int dash = t.indexOf('-');
        if (dash > 0) {
            Optional<Length> low = DurationText.parse(t.substring(0, dash));
            Optional<Length> high = DurationText.parse(t.substring(dash + 1));
            if (low.isEmpty() || high.isEmpty() || high.get().compareTo(low.get()) < 0) {
                return Optional.empty();
            }
            return Optional.of(new Pause(low.get().plus(high.get()).times(0.5), low.get(), high.get(), false));
        }
        return DurationText.parse(t).map(l -> new Pause(l, l, l, false));
    }
}
