package app.nosegay.plan.bed;

import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.terms.Pause;
import app.nosegay.plan.terms.Reps;
import app.nosegay.text.CoreText;
import app.nosegay.time.DurationText;
import java.util.Optional;

/** What the notation says, in the words people use; its own words are never shown. */
public final class PlainWords {
    private PlainWords() {}

    /** What an attribute, a name or a length is called. */
    public static String label(String word) {
        return CoreText.of("plan.bed.word." + word);
    }

    /** A value as people read it. */
    public static String shown(String word, String written) {
        return switch (word) {
            case Field.ENDS -> ends(written);
            case Field.LENGTH, "work", "each", "for", "hold", "switch", "side-rest", "demo-time", "alone" ->
                time(written);
            case "rest", "round-rest" ->
                written.isEmpty() || isNothing(written)
                        ? CoreText.of("plan.bed.no-rest")
                        : CoreText.of("plan.bed.rest", time(written));
            case "rounds" -> CoreText.of("plan.bed.rounds", number(written));
            case "sets" -> CoreText.of("plan.bed.sets", number(written));
            case "minutes" -> CoreText.of("plan.bed.minutes", number(written));
            case "reps" -> reps(written);
            case "sides" -> CoreText.of("plan.bed.sides." + (written.isEmpty() ? "none" : written));
            case "demo" -> CoreText.of("plan.bed.demo." + (written.isEmpty() ? "in-rest" : written));
            case "say" -> CoreText.of("plan.bed.say." + (written.isEmpty() ? "each-round" : written));
            case "start" -> CoreText.of("plan.bed.start." + (written.isEmpty() ? "right" : written));
            case "active" -> written.isEmpty() ? CoreText.of("plan.bed.standing-still") : written;
            case "bonus" -> CoreText.of("plan.bed.bonus");
            case "rest-after-last" ->
                written.equals("no") ? CoreText.of("plan.bed.no-last-rest") : CoreText.of("plan.bed.last-rest");
            default -> written;
        };
    }

    private static boolean isNothing(String written) {
        return Pause.parse(written).map(p -> !p.planned().isPositive()).orElse(false);
    }

    private static int number(String written) {
        return written.matches("\\d{1,4}") ? Integer.parseInt(written) : 1;
    }

    /** {@code 0:40}, a range with its dash, an open length with its estimate. */
    private static String time(String written) {
        Optional<Pause> pause = Pause.parse(written);
        if (pause.isEmpty()) {
            return written;
        }
        Pause p = pause.get();
        return p.open()
                ? CoreText.of("plan.bed.open", p.planned().clock())
                : p.least().equals(p.most())
                        ? p.planned().clock()
                        : p.least().clock() + "–" + p.most().clock();
    }

    private static String reps(String written) {
        Optional<Reps> reps = Reps.parse(written);
        if (reps.isEmpty()) {
            return written;
        }
        boolean about = !Character.isDigit(written.charAt(0));
        String numbers = (about ? "~" : "")
                + written.replaceFirst("^\\D+", "")
                        .replaceAll("[^\\d, -].*$", "")
                        .replace(" - ", "-")
                        .strip()
                        .replace('-', '–')
                        .replaceAll(",\\s*", ", ");
        boolean one = numbers.equals("1");
        return reps.get().sharing() == Reps.Sharing.EACH_SIDE
                ? CoreText.of("plan.bed.reps-each-side", numbers, one ? 1 : 2)
                : CoreText.of("plan.bed.reps", numbers, one ? 1 : 2);
    }

    /** What ends a set, from {@code work 0:40}, {@code reps 12} and the like. */
    private static String ends(String written) {
        int space = written.indexOf(' ');
        String word = space < 0 ? written : written.substring(0, space);
        String value = space < 0 ? "" : written.substring(space + 1);
        return switch (Attribute.of(word).orElse(Attribute.WORK)) {
            case REPS -> reps(value);
            case HOLD -> CoreText.of("plan.bed.hold", time(value));
            case COUNTS -> value;
            default -> time(value);
        };
    }

    /** What a person typed for a time, as the notation writes it: {@code 40}, {@code 0:40}, {@code 1 min}, {@code half a minute}. */
    static Optional<String> typedTime(String typed) {
        String t = typed.strip().toLowerCase(java.util.Locale.ROOT).replace('–', '-');
        if (t.matches("\\d{1,4}")) {
            t = t + "s";
        }
        t = t.replaceFirst("^half a min(ute)?$", "30s")
                .replaceFirst("^(?:a|one) min(ute)?$", "60s")
                .replaceFirst("^(?:a|one) and a half min(ute)?s?$", "90s");
        if (t.startsWith("as needed") || t.startsWith("as-needed")) {
            String rest = t.substring(9).replaceAll("[^\\d:]", "");
            return Optional.of(rest.isEmpty() ? "as-needed" : "as-needed ~" + rest);
        }
        if (t.indexOf('-') > 0 && Pause.parse(t).isPresent()) {
            return Optional.of(t);
        }
        return DurationText.parse(t).map(l -> l.clock());
    }
}
