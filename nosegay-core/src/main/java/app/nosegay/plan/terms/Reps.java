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
 * @param sharing what the number is meant for where a move has two sides
 * @param least the least of a range, or null for one number
 * @param most the most of a range, or null for one number
 * @param about whether the number is not to be taken strictly
 */
public record Reps(List<Integer> perSet, Sharing sharing, Integer least, Integer most, boolean about) {
    public static final String EXPECTED = CoreText.of("plan.terms.reps.a-number-of-reps-12");
    private static final Pattern FORM = Pattern.compile(
            "(about |~ ?)?(\\d{1,4}(?: ?- ?\\d{1,4}|(?:, ?\\d{1,4})+)?)(?: (each[- ]side|per side|in[- ]all))?");

    /** What the number is meant for. */
    public enum Sharing {
        /** As people mean it: each side's where a side is done on its own, else the total. */
        USUAL,
        EACH_SIDE,
        IN_ALL
    }

    public Reps {
        perSet = List.copyOf(perSet);
    }

    /** Reads {@code 12 | 10-15 | about 10 | 10,8,6 | 12 each-side | 12 in-all}; a range is planned at its middle, rounded up. */
    public static Optional<Reps> parse(String text) {
        Matcher m = FORM.matcher(text.strip());
        if (!m.matches()) {
            return Optional.empty();
        }
        String numbers = m.group(2);
        Sharing sharing =
                m.group(3) == null ? Sharing.USUAL : m.group(3).startsWith("in") ? Sharing.IN_ALL : Sharing.EACH_SIDE;
        boolean about = m.group(1) != null;
        if (numbers.contains("-")) {
            String[] ends = numbers.split(" ?- ?");
            int least = Integer.parseInt(ends[0]);
            int most = Integer.parseInt(ends[1]);
            return sound(new Reps(List.of((least + most + 1) / 2), sharing, least, most, about));
        }
        List<Integer> targets = Stream.of(numbers.split(","))
                .map(s -> Integer.parseInt(s.strip()))
                .toList();
        return sound(new Reps(targets, sharing, null, null, about));
    }

    private static Optional<Reps> sound(Reps reps) {
        return Optional.of(reps).filter(r -> r.perSet().stream().noneMatch(n -> n == 0));
    }

    /** Whether the number is each side's, the sides being shared in {@code way}. */
    public boolean eachSide(SideWay way) {
        return sharing == Sharing.EACH_SIDE || sharing == Sharing.USUAL && way.isSideAlone();
    }

    /** The target of set or round {@code index}, from 1. */
    public int ofSet(int index) {
        return perSet.get(Math.min(index, perSet.size()) - 1);
    }
}
