package app.nosegay.plan.terms;

import app.nosegay.text.CoreText;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A rep target.
 *
 * @param perSet the target of each set in turn; the last repeats
 * @param eachSide whether the number is meant for each side of a one-sided move, else it is the total
 */
public record Reps(List<Integer> perSet, boolean eachSide) {
    public static final String EXPECTED = CoreText.of("plan.terms.reps.a-number-of-reps-12");
    private static final Pattern FORM = Pattern.compile("(\\d{1,4}(?:-\\d{1,4}|(?:, ?\\d{1,4})+)?)( each[- ]side)?");

    public Reps {
        perSet = List.copyOf(perSet);
    }

    /** Reads {@code 12 | 10-15 | 10,8,6 | 12 each-side}; a range is planned at its middle, rounded up. */
    public static Optional<Reps> parse(String text) {
        Matcher m = FORM.matcher(text.strip());
        if (!m.matches()) {
            return Optional.empty();
        }
        String numbers = m.group(1);
        boolean each = m.group(2) != null;
        List<Integer> targets;
        if (numbers.contains("-")) {
            String[] ends = numbers.split("-");
            int low = Integer.parseInt(ends[0]);
            int high = Integer.parseInt(ends[1]);
            targets = List.of((low + high + 1) / 2);
        } else {
            targets = Stream.of(numbers.split(","))
                    .map(s -> Integer.parseInt(s.strip()))
                    .toList();
        }
        return targets.stream().anyMatch(n -> n == 0) ? Optional.empty() : Optional.of(new Reps(targets, each));
    }

    /** The target of set or round {@code index}, from 1. */
    public int ofSet(int index) {
        return perSet.get(Math.min(index, perSet.size()) - 1);
    }
}
