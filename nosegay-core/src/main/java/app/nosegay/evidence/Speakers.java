package app.nosegay.evidence;

import app.nosegay.captions.Caption;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Who says which line of a transcript, where a name stands before it: "Fern: And rest." */
public final class Speakers {
    private static final Pattern NAMED = Pattern.compile("^(?:>>|-)?\\s*([^:]{1,40}?)\\s*:\\s+(\\S.*)$");

    private Speakers() {}

    /** A question to a take: who says what, of these. */
    private record Asked(List<String> names) {}

    /** The takes with the names of {@code presenters} taken out of their words; other words before a colon stay words. */
    public static List<TakeEvidence> told(List<TakeEvidence> takes, List<String> presenters) {
        List<String> names = presenters.stream()
                .filter(n -> !n.isBlank())
                .map(n -> n.toLowerCase(Locale.ROOT))
                .toList();
        if (names.isEmpty()) {
            return takes;
        }
        return takes.stream()
                .map(t -> t.derived().get(1, new Asked(names), () -> told(t, names, presenters)))
                .toList();
    }

    private static TakeEvidence told(TakeEvidence take, List<String> names, List<String> presenters) {
        List<Caption> words = new ArrayList<>();
        for (Caption c : take.words()) {
            Matcher named = NAMED.matcher(c.text());
            int who = named.matches() ? names.indexOf(named.group(1).toLowerCase(Locale.ROOT)) : -1;
            words.add(who < 0 ? c : without(c, named.group(2)).by(presenters.get(who)));
        }
        return words.equals(take.words()) ? take : take.withWords(words);
    }

    /** A caption of which the words before {@code said} were a name. */
    private static Caption without(Caption c, String said) {
        int left = said.split("\\s+").length;
        boolean timed = c.timed().size() >= left;
        return timed
                ? Caption.of(
                        c.timed().subList(c.timed().size() - left, c.timed().size()))
                : new Caption(c.start(), c.end(), said);
    }
}
