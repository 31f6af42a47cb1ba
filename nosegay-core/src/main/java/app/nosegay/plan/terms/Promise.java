package app.nosegay.plan.terms;

import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What the title promises.
 *
 * @param text as written
 * @param form how the minutes are meant; null when no length is promised
 * @param base what the minutes are measured over
 * @param least the promised length, or the lower end of a range; null without a length
 * @param most the promised length, or the upper end of a range; null without a length
 * @param moves promised moves, or null
 * @param rounds promised rounds, or null
 * @param each the promised sets and repetitions of every move worked in sets, or null
 * @param absent what the workout promises to do without: floor, jumps, …
 */
public record Promise(
        String text,
        Form form,
        Base base,
        Length least,
        Length most,
        Integer moves,
        Integer rounds,
        Amount each,
        List<String> absent) {
    public static final String EXPECTED = CoreText.of("plan.terms.promise.a-promise-such-as-18");
    public static final Promise NOTHING = new Promise("", null, Base.WHOLE, null, null, null, null, null, List.of());

    private static final Pattern MINUTES =
            Pattern.compile("(?:(under|about|exactly) )?(\\d{1,3})(?:-(\\d{1,3}))? ?min(?:utes)?(?: (work|moving))?");
    private static final Pattern SETS = Pattern.compile("\\d{1,2} ?[x×] ?\\d.*");
    private static final Pattern NUMBER = Pattern.compile("(\\d{1,3}) (moves?|rounds?)");

    /** Exact means within half a minute or 3 %, the larger (docs/domain.md, "Promise"). */
    private static final Length EXACT_LEAST = Length.ofSeconds(30);

    private static final double EXACT_SHARE = 0.03;
    /** "About" forgives a minute or a tenth: what a viewer still rounds to the promised number. */
    private static final Length ABOUT_LEAST = Length.ofSeconds(60);

    private static final double ABOUT_SHARE = 0.10;

    public Promise {
        absent = List.copyOf(absent);
    }

    /** How the promised minutes are meant. */
    public enum Form {
        EXACTLY,
        UNDER,
        ABOUT,
        RANGE;

        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** What the promised minutes are measured over. */
    public enum Base {
        WHOLE,
        MOVING,
        WORK
    }

    public static Optional<Promise> parse(String text) {
        Form form = null;
        Base base = Base.WHOLE;
        Length least = null;
        Length most = null;
        Integer moves = null;
        Integer rounds = null;
        Amount each = null;
        List<String> absent = new ArrayList<>();
        for (String part : text.split(",")) {
            String p = part.strip().toLowerCase(Locale.ROOT);
            Matcher minutes = MINUTES.matcher(p);
            Matcher number = NUMBER.matcher(p);
            if (minutes.matches()) {
                least = Length.ofSeconds(60 * Double.parseDouble(minutes.group(2)));
                most = minutes.group(3) == null ? least : Length.ofSeconds(60 * Double.parseDouble(minutes.group(3)));
                form = minutes.group(3) != null ? Form.RANGE : formOf(minutes.group(1));
                base = minutes.group(4) == null
                        ? Base.WHOLE
                        : minutes.group(4).equals("work") ? Base.WORK : Base.MOVING;
            } else if (number.matches() && number.group(2).startsWith("move")) {
                moves = Integer.parseInt(number.group(1));
            } else if (number.matches()) {
                rounds = Integer.parseInt(number.group(1));
            } else if (SETS.matcher(p).matches() && Amount.parse(p).isPresent()) {
                each = Amount.parse(p).get();
            } else if (p.startsWith("no ") && p.length() > 3) {
                absent.add(p.substring(3).strip());
            } else {
                return Optional.empty();
            }
        }
        if (least != null && most.compareTo(least) < 0) {
            return Optional.empty();
        }
        return Optional.of(new Promise(text.strip(), form, base, least, most, moves, rounds, each, absent));
    }

    private static Form formOf(String word) {
        return word == null || word.equals("exactly") ? Form.EXACTLY : word.equals("under") ? Form.UNDER : Form.ABOUT;
    }

    /** The shortest length that keeps the promise; null without a promised length. */
    public Length shortest() {
        if (form == null) {
            return null;
        }
        return switch (form) {
            case EXACTLY -> least.minus(tolerance(least, EXACT_LEAST, EXACT_SHARE));
            case ABOUT -> least.minus(tolerance(least, ABOUT_LEAST, ABOUT_SHARE));
            case UNDER -> Length.ZERO;
            case RANGE -> least;
        };
    }

    /** The longest length that keeps the promise; null without a promised length. */
    public Length longest() {
        if (form == null) {
            return null;
        }
        return switch (form) {
            case EXACTLY -> most.plus(tolerance(most, EXACT_LEAST, EXACT_SHARE));
            case ABOUT -> most.plus(tolerance(most, ABOUT_LEAST, ABOUT_SHARE));
            case UNDER, RANGE -> most;
        };
    }

    /** Whether a workout that lasts {@code measured} keeps the promised length; any does where none is promised. */
    public boolean keeps(Length measured) {
        return form == null || measured.compareTo(shortest()) >= 0 && measured.compareTo(longest()) <= 0;
    }

    private static Length tolerance(Length promised, Length least, double share) {
        return Length.max(least, promised.times(share));
    }
}
