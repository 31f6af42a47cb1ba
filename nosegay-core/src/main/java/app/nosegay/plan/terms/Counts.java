package app.nosegay.plan.terms;

import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A counted phrase: how many counts it lasts and how many reps it holds.
 *
 * @param text as written
 * @param counts its length in counts; a count is one beat, or one second without a tempo of beats
 * @param reps the reps it contains (half-range reps and pulses not counted)
 * @param parts what it is made of, in order, groups written out
 */
public record Counts(String text, int counts, int reps, List<Part> parts) {
    /**
     * One part of a phrase.
     *
     * @param text as written: {@code 2-2 x4}
     * @param from the count it begins at, from 0
     * @param counts its length in counts
     */
    public record Part(String text, int from, int counts) {}

    public Counts {
        parts = List.copyOf(parts);
    }

    public static final String EXPECTED = CoreText.of("plan.terms.counts.counts-such-as-2-2");
    private static final Pattern GROUP = Pattern.compile("\\(([^()]*)\\)\\s*x(\\d{1,3})");
    private static final Pattern REPS = Pattern.compile("(\\d{1,2})-(\\d{1,2})(?:\\s*x(\\d{1,3}))?");
    private static final Pattern WORD = Pattern.compile("(hold|pulse|halves)\\s+(\\d{1,3})(?:\\s*x\\s*(\\d{1,2}))?");
    private static final Pattern THEN = Pattern.compile("then\\s+\\S.*");

    /** Reads {@code x-y xN}, {@code hold N}, {@code pulse N [xM]}, {@code halves N}, {@code ( … ) xN}, {@code then MOVE}. */
    public static Optional<Counts> parse(String text) {
        String flat = text;
        Matcher group = GROUP.matcher(flat);
        while (group.find()) {
            int times = Integer.parseInt(group.group(2));
            if (times == 0 || flat.length() > 4000) {
                return Optional.empty();
            }
            String once = group.group(1).strip();
            flat = flat.substring(0, group.start())
                    + (once + ", ").repeat(times).replaceAll(", $", "")
                    + flat.substring(group.end());
            group = GROUP.matcher(flat);
        }
        List<Part> parts = new ArrayList<>();
        int counts = 0;
        int reps = 0;
        for (String part : flat.split(",")) {
            String p = part.strip();
            Matcher m = REPS.matcher(p);
            Matcher w = WORD.matcher(p);
            int length;
            if (m.matches()) {
                int n = m.group(3) == null ? 1 : Integer.parseInt(m.group(3));
                length = n * (Integer.parseInt(m.group(1)) + Integer.parseInt(m.group(2)));
                reps += n;
            } else if (w.matches()) {
                int times = w.group(3) == null ? 1 : Integer.parseInt(w.group(3));
                length = Integer.parseInt(w.group(2)) * (w.group(1).equals("halves") ? 2 : 1) * times;
            } else if (THEN.matcher(p).matches()) {
                length = 0;
            } else {
                return Optional.empty();
            }
            parts.add(new Part(p, counts, length));
            counts += length;
        }
        return counts == 0 ? Optional.empty() : Optional.of(new Counts(text.strip(), counts, reps, parts));
    }

    /** How a part is done, apart from how often: {@code 2-2}, {@code hold}, {@code pulse}. */
    public static String manner(String part) {
        return part.replaceFirst("\\s*x\\s*\\d+$", "").replaceFirst("^(hold|pulse|halves)\\b.*", "$1");
    }
}
