package app.nosegay.plan.terms;

import app.nosegay.text.CoreText;
import app.nosegay.time.DurationText;
import app.nosegay.time.Length;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How much of a move: reps or a time.
 *
 * @param sets how many times; 1 where only one amount is given
 * @param reps reps of one set, of a range the middle rounded up; or null
 * @param least the least of a range of reps, else the same as {@code reps}
 * @param most the most of a range of reps, else the same as {@code reps}
 * @param time length of one set, or null
 */
public record Amount(int sets, Integer reps, Integer least, Integer most, Length time) {
    public static final String EXPECTED = CoreText.of("plan.terms.amount.an-amount-such-as-6");
    private static final Pattern SETS =
            Pattern.compile("(\\d{1,2}) ?(?:x|×|sets? of) ?(\\S.*)", Pattern.CASE_INSENSITIVE);
    private static final Pattern REPS = Pattern.compile("(\\d{1,4})(?: ?- ?(\\d{1,4}))?(?: reps?)?");

    /** Reads {@code 6 | 6 reps | 10-15 | 0:20 | 3 x 12 | 3 x 0:40 | 3 sets of 12}. */
    public static Optional<Amount> parse(String text) {
        String t = text.strip();
        Matcher several = SETS.matcher(t);
        int sets = 1;
        if (several.matches()) {
            sets = Integer.parseInt(several.group(1));
            t = several.group(2).strip();
        }
        Matcher reps = REPS.matcher(t);
        if (sets == 0) {
            return Optional.empty();
        }
        if (reps.matches()) {
            int least = Integer.parseInt(reps.group(1));
            int most = reps.group(2) == null ? least : Integer.parseInt(reps.group(2));
            int n = (least + most + 1) / 2;
            return n == 0 || most < least ? Optional.empty() : Optional.of(new Amount(sets, n, least, most, null));
        }
        int count = sets;
        return DurationText.parse(t).filter(Length::isPositive).map(l -> new Amount(count, null, null, null, l));
    }

    /** The whole of it when one rep lasts {@code rep}. */
    public Length total(Length rep) {
        return (reps == null ? time : rep.times(reps)).times(sets);
    }

    private String numbers() {
        return least < most ? least + "–" + most : "" + reps;
    }

    /** As a person says it: {@code three sets of 12} is {@code 3 sets of 12}. */
    public String words() {
        String one = reps == null
                ? time.clock()
                : numbers()
                        + (reps == 1 ? CoreText.of("plan.terms.amount.rep") : CoreText.of("plan.terms.amount.reps"));
        return sets == 1 ? one : CoreText.of("plan.terms.amount.sets-of", sets, one);
    }
}
