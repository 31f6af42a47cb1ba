package app.nosegay.captions;

import java.util.Map;

/** How numbers and words are written that were said: spelt out, contracted, or misheard. */
final class SpokenSpellings {
    private SpokenSpellings() {}

    static final Map<String, Integer> UNITS = Map.ofEntries(
            Map.entry("zero", 0),
            Map.entry("one", 1),
            Map.entry("two", 2),
            Map.entry("three", 3),
            Map.entry("four", 4),
            Map.entry("five", 5),
            Map.entry("six", 6),
            Map.entry("seven", 7),
            Map.entry("eight", 8),
            Map.entry("nine", 9),
            Map.entry("ten", 10),
            Map.entry("eleven", 11),
            Map.entry("twelve", 12),
            Map.entry("thirteen", 13),
            Map.entry("fourteen", 14),
            Map.entry("fifteen", 15),
            Map.entry("sixteen", 16),
            Map.entry("seventeen", 17),
            Map.entry("eighteen", 18),
            Map.entry("nineteen", 19));

    static final Map<String, Integer> TENS = Map.of(
            "twenty", 20, "thirty", 30, "forty", 40, "fourty", 40, "fifty", 50, "sixty", 60, "seventy", 70, "eighty",
            80, "ninety", 90);

    /** Contractions, and what recognisers commonly write for words that matter here. */
    static final Map<String, String> SPELLINGS = Map.ofEntries(
            Map.entry("i'm", "i am"),
            Map.entry("im", "i am"),
            Map.entry("let's", "lets"),
            Map.entry("can't", "can not"),
            Map.entry("don't", "do not"),
            Map.entry("dont", "do not"),
            Map.entry("won't", "will not"),
            Map.entry("that's", "thats"),
            Map.entry("it's", "its"),
            Map.entry("here's", "heres"),
            Map.entry("there's", "theres"),
            Map.entry("what's", "whats"),
            Map.entry("youre", "you are"),
            Map.entry("youve", "you have"),
            Map.entry("weve", "we have"),
            Map.entry("gonna", "going to"),
            Map.entry("wanna", "want to"),
            Map.entry("em", "them"),
            Map.entry("'em", "them"),
            Map.entry("gotta", "got to"),
            Map.entry("ok", "okay"),
            Map.entry("alright", "okay"),
            Map.entry("sec", "seconds"),
            Map.entry("secs", "seconds"),
            Map.entry("secends", "seconds"),
            Map.entry("min", "minute"),
            Map.entry("mins", "minutes"),
            Map.entry("midway", "halfway"),
            Map.entry("midpoint", "halfway"),
            Map.entry("repetition", "rep"),
            Map.entry("repetitions", "reps"),
            Map.entry("raps", "reps"),
            Map.entry("wraps", "reps"),
            Map.entry("til", "till"),
            Map.entry("'til", "till"),
            Map.entry("swich", "switch"),
            Map.entry("swith", "switch"),
            Map.entry("haffway", "halfway"),
            Map.entry("hafway", "halfway"),
            Map.entry("wrest", "rest"),
            Map.entry("mo'", "more"),
            Map.entry("yeah", "yes"));

    static final Map<String, String> MISHEARD = Map.of("to", "2", "too", "2", "for", "4", "won", "1");
}
