package app.nosegay.plan.terms;

import app.nosegay.text.CoreText;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A load to lift, as written.
 *
 * @param text as written
 * @param kilograms in kg; the middle of a range; null for a weight class in words
 * @param perHand whether it is meant for each hand
 */
public record Load(String text, Double kilograms, boolean perHand) {
    public static final String EXPECTED = CoreText.of("plan.terms.load.a-load-such-as-12");
    /** International avoirdupois pound, exact. */
    private static final double KG_PER_POUND = 0.45359237;

    private static final Pattern FIGURE = Pattern.compile(
            "(?:(2) ?x ?)?(\\d{1,3}(?:\\.\\d+)?)(?:-(\\d{1,3}(?:\\.\\d+)?))? ?(kg|kgs|lb|lbs)( each| per hand)?");
    private static final Pattern CLASS = Pattern.compile("(very )?(light|medium|heavy|body ?weight|none)");

    /** Reads {@code 12 kg | 25 lb | 8-12 kg | 2 x 6 kg | light | medium | heavy}. */
    public static Optional<Load> parse(String text) {
        String t = text.strip().toLowerCase(Locale.ROOT);
        Matcher m = FIGURE.matcher(t);
        if (m.matches()) {
            double low = Double.parseDouble(m.group(2));
            double high = m.group(3) == null ? low : Double.parseDouble(m.group(3));
            double unit = m.group(4).startsWith("kg") ? 1 : KG_PER_POUND;
            return high < low
                    ? Optional.empty()
                    : Optional.of(
                            new Load(text.strip(), (low + high) / 2 * unit, m.group(1) != null || m.group(5) != null));
        }
        return CLASS.matcher(t).matches() ? Optional.of(new Load(text.strip(), null, false)) : Optional.empty();
    }

    /** Both units for people: {@code 12 kg (26 lb)}; the words where there is no figure. */
    public String shown() {
        if (kilograms == null) {
            return text;
        }
        String hands = perHand ? "2 × " : "";
        return CoreText.of("plan.terms.load.kg-lb", hands, plain(kilograms), Math.round(kilograms / KG_PER_POUND));
    }

    private static String plain(double kg) {
        double half = Math.round(kg * 2) / 2.0;
        return half == Math.rint(half) ? "" + (long) half : "" + half;
    }
}
