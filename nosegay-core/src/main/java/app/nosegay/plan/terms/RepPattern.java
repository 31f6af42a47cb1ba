package app.nosegay.plan.terms;

import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import app.nosegay.time.Tempo;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What one rep is made of. One rep is one pass through all parts.
 *
 * @param parts in order; at least one
 */
public record RepPattern(List<Part> parts) {
    public static final String EXPECTED = CoreText.of("plan.terms.rep-pattern.the-parts-of-one-rep");
    /** A name, then a count and a tempo in either order. */
    private static final Pattern PART = Pattern.compile(
            "([\\p{L}][\\p{L} '-]*?)(?: (\\d+(?:\\.\\d+)?(?:-\\d+(?:\\.\\d+)?){2,3}))?(?: ?x ?(\\d{1,2}))?");

    public RepPattern {
        parts = List.copyOf(parts);
    }

    /**
     * One part.
     *
     * @param name a side word or what is done
     * @param count how often in a row
     * @param tempo its own tempo, or null for the move's
     */
    public record Part(String name, int count, Tempo tempo) {
        /** The side it works, where its name is a side word. */
        public Side side() {
            return switch (name) {
                case "left" -> Side.LEFT;
                case "right" -> Side.RIGHT;
                default -> Side.BOTH;
            };
        }
    }

    public static Optional<RepPattern> parse(String text) {
        List<Part> parts = new ArrayList<>();
        for (String piece : text.split(",")) {
            Matcher m = PART.matcher(piece.strip());
            if (!m.matches()) {
                return Optional.empty();
            }
            Tempo tempo = m.group(2) == null ? null : Tempo.parse(m.group(2)).orElse(null);
            int count = m.group(3) == null ? 1 : Integer.parseInt(m.group(3));
            if (count == 0 || (m.group(2) != null && tempo == null)) {
                return Optional.empty();
            }
            parts.add(new Part(m.group(1).strip().toLowerCase(java.util.Locale.ROOT), count, tempo));
        }
        return parts.isEmpty() ? Optional.empty() : Optional.of(new RepPattern(parts));
    }

    /** One pass, parts without a tempo of their own at {@code tempo}. */
    public Length passLength(Tempo tempo) {
        Length total = Length.ZERO;
        for (Part part : parts) {
            Tempo own = part.tempo() == null ? tempo : part.tempo();
            total = total.plus(own.repLength().times(part.count()));
        }
        return total;
    }

    /** What one rep is, for people: {@code left, right, then both are one rep}. */
    public String sentence() {
        List<String> names = parts.stream()
                .map(p -> p.count() == 1 ? p.name() : p.count() + " × " + p.name())
                .toList();
        return names.size() == 1
                ? CoreText.of("plan.terms.rep-pattern.is-one-rep", names.get(0))
                : CoreText.of(
                        "plan.terms.rep-pattern.and-make-one-rep",
                        String.join(", ", names.subList(0, names.size() - 1)),
                        names.get(names.size() - 1));
    }
}
