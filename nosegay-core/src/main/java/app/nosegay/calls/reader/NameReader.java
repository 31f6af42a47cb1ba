package app.nosegay.calls.reader;

import app.nosegay.calls.CallKind;
import app.nosegay.calls.meaning.ExpectedPatterns;
import app.nosegay.calls.phrase.AnyOf;
import app.nosegay.calls.phrase.Beginnings;
import app.nosegay.calls.phrase.CallPatterns;
import app.nosegay.calls.phrase.CallRule;
import app.nosegay.calls.phrase.CallWords;
import app.nosegay.calls.phrase.FoundCall;
import app.nosegay.captions.Speech;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Finds the names of moves that are brought up, those of the plan and what sounds like one. */
final class NameReader {
    private static final Pattern A_PLACE = Pattern.compile(
            "(?:exercise|move|movement|drill|number)(?: number)? \\d+$|(?:first|second|third|fourth|fifth|"
                    + "sixth|last|final) (?:exercise|move|movement|stretch)(?: is)?$|last but not least$");

    /** Words a name does not begin with. */
    private static final String NO_NAME =
            "(?!(?:in|let|lets|okay|ready|here|coming|come|up|for|get|got|gotta|go|going|and|or|but|of|"
                    + "off|everyone|everybody|guys|team|you|we|i|so|now|this|that|these|those|it|its|are|at|to|"
                    + "complete|completed|done|down|finished|over|next|again|with|from|on|take|grab|keep|start|"
                    + "starting|begin|same|then|still|if|is|was|has|have|had|will|can|there|what|when|good|nice|"
                    + "right|left|just|really|only)\\b)[a-z]{3,}";

    /** "Is the", and then a name of two words or three. */
    private static final Pattern CALLED =
            Pattern.compile("^ (?:(?:is|its|the|a|an|our|going to be|will be|we have|called|,|everyone|everybody|guys|"
                    + "folks|team|we are going to|we will) )*(" + NO_NAME + "(?: " + NO_NAME + "){1,2})(?= )");

    /** What brings up a move by its name; {@code ~} stands for "will" or "are going to". */
    private static final String BRINGS_UP =
            "(?<= )(?:lets (?:do|go (?:in)?to|get into|try|add)|now(?: (?:its|we have|for|we (?:will|"
                    + "are (?:just |now |then )?going to)(?: do)?|we are))?|on to|onto|into|we have(?: got)?|we "
                    + "(?:~|are (?:just|now|then) going to) (?:do|be doing)|we are (?:doing|going for|on)|this "
                    + "(?:1|next 1) is|this is|its time for|time for|back (?:up |down |on |over |in |out )?to|ready "
                    + "for|then|start(?:ing)?(?: (?:on|in|from)(?: [a-z]+){1,4}?)? with|called|we got|you have|"
                    + "we (?:go|move|are moving|head|shift) (?:on |over |down |up |straight |right |back )*(?:to|"
                    + "into|onto)|(?<=[.,] |\\b1 )(?:and )?(?:down|back|up|over) (?:for|into)|(?:we|you|lets) (?:~ "
                    + ")?(?:then )?(?:go|come|head|step|drop|sink|flow|roll|transition) (?:(?:on|over|down|up|straight|"
                    + "right|back) )*(?:to|into|onto)|take (?:it|this|that) (?:down |up |back )?(?:to|into|onto)"
                    + "|move (?:on |over |down |up |straight |right |back )*(?:to|into|onto)|show you|for this "
                    + "1|up is|next is|(?<!the |your |our |this |that |is |are )next|last thing|last up|(?<=(?:1|"
                    + "2|3|4|5|6|up|next|exercise|move|minute) )which is|it is|its)(?: (?:a|an|our|some|the|your|"
                    + "set of|with|\\d+|for|into|to|more|back|heavy|light|weighted|slow|quick|nice))* ";

    /** How one gets into a move, before its name. */
    private static final String GETS_INTO =
            "(?:(?:(?:back|over|down|up) )*(?:on|onto) your (?:back|side|front|belly|stomach|knees|hands "
                    + "and knees) for|(?:lift|come|get|bring|turn|roll|lie|sit|stand|kneel|set|flip|drop|head|rock|"
                    + "straighten)(?: (?!(?:into|for) )[a-z]+){1,5} for|(?:come|step|walk|press|roll|lower|climb)"
                    + "(?: (?:up|down|over|out|back|all|the|way|yourself|onto|your|hands|knees|side|forearms|and)"
                    + "){0,4} (?:to|into))";

    /** What sounds like a move's name. Its patterns are long, and the same for every transcript. */
    private static final String ANY_NAME = "((?:[a-z]+ ){0,2}?" + CallWords.MOVE_WORDS + ")";

    private static final Pattern ANY_NAME_FOLLOWS = Pattern.compile("^(?: [a-z0-9]+){0,2}? " + ANY_NAME + "(?= )");

    private static final Pattern AFTER_WITH_ANY_NAME = after(ANY_NAME);

    private static final List<Pattern> WAYS_WITH_ANY_NAME = ways(ANY_NAME);

    private final ClaimedText claimed;
    private final String text;
    private final Beginnings beginnings;
    private final List<FoundCall> found;

    NameReader(ClaimedText claimed, Beginnings beginnings, List<FoundCall> found) {
        this.claimed = claimed;
        this.text = claimed.text();
        this.beginnings = beginnings;
        this.found = found;
    }

    /** @param moves the names of moves to know */
    void read(Collection<String> moves) {
        Map<String, String> names =
                new TreeMap<>(Comparator.comparing((String s) -> -s.length()).thenComparing(s -> s));
        moves.forEach(m -> names.put(plain(m), m));
        names.remove("");
        String planned = names.isEmpty() ? "(?!)" : "(" + AnyOf.pattern(names.keySet()) + ")(?:e?s)?";
        introduced(names, planned);
        afterOrdinals(names, after(planned));
        named(names, ways(planned));
        afterOrdinals(names, AFTER_WITH_ANY_NAME);
        calledAfterOrdinals();
        named(names, WAYS_WITH_ANY_NAME);
        CallRule anyName = ExpectedPatterns.anyName(planned);
        Matcher m = anyName.pattern().matcher(claimed.unclaimed(found));
        while (m.find()) {
            String move = m.group(1) == null ? null : known(names, m.group(1));
            found.add(new FoundCall(anyName, null, m.start(), m.end(), null, null, move));
        }
    }

    /** "Exercise five, everyone, is the row": the name soon behind its number. */
    private static Pattern after(String name) {
        return Pattern.compile("^(?:[ .,]+[a-z0-9]+){0,6}?[ .,]+" + name + "(?= )");
    }

    private void afterOrdinals(Map<String, String> names, Pattern after) {
        List<FoundCall> ordinals = found.stream()
                .filter(f -> f.rule() != null && f.rule().kind() == CallKind.ORDINAL)
                .filter(f -> CallWords.OF_A_MOVE
                        .matcher(text.substring(f.from(), f.to()))
                        .find())
                .toList();
        for (FoundCall ordinal : ordinals) {
            Matcher m = after.matcher(text.substring(ordinal.to(), Math.min(text.length(), ordinal.to() + 60)));
            if (m.find()) {
                int from = ordinal.to() + m.start(1);
                int to = ordinal.to() + m.end();
                if (claimed.isFree(ordinal.to(), to)) {
                    claimed.claim(from, to);
                    found.add(new FoundCall(null, null, from, to, null, null, known(names, m.group(1))));
                }
            }
        }
    }

    /** "Exercise one, external rotation": behind its number a move has a name, known or not. */
    private void calledAfterOrdinals() {
        for (FoundCall ordinal : List.copyOf(found)) {
            boolean place = ordinal.rule() != null
                    && ordinal.rule().kind() == CallKind.ORDINAL
                    && A_PLACE.matcher(text.substring(ordinal.from(), ordinal.to()))
                            .find();
            Matcher m = CALLED.matcher(text.substring(ordinal.to(), Math.min(text.length(), ordinal.to() + 60)));
            if (place && m.find() && claimed.isFree(ordinal.to(), ordinal.to() + m.end())) {
                int from = ordinal.to() + m.start(1);
                claimed.claim(from, ordinal.to() + m.end());
                found.add(new FoundCall(null, null, from, ordinal.to() + m.end(), null, null, null));
            }
        }
    }

    /** Moves brought up by their names alone. */
    private static List<Pattern> ways(String name) {
        return List.of(
                Pattern.compile(BRINGS_UP.replace("~", "(?:will|are going to)") + name + "(?= )"),
                Pattern.compile(
                        "(?<=(?:exercise|move|movement|number|station|drill|round) (?:number )?\\d{1,2} |(?:circuit|"
                                + "block|superset|set) \\d |(?:first|second|third|fourth|last|final|next) (?:block|circuit|"
                                + "superset|tabata|pair) |(?:first|second|third|fourth|fifth|sixth|last|final) (?:exercise|"
                                + "move|movement|1) )(?:(?:with|starts with|begins with|of (?:this|the|our) (?:round|circuit|"
                                + "block|workout|session)|is|is going to be|will be|its|the|a|our|some|,) )*" + name
                                + "(?= )"),
                Pattern.compile(
                        "(?<=[.,] |\\b2 1 )(?:(?:and|okay|so|now|its|then|a|our|some|the|into|to|heavy|light|weighted|"
                                + "alternating|same|more|next) )*" + name + "(?= [.,])"),
                Pattern.compile("(?<= )(?:(?:and|okay|so|now|our|the|some|then) )*" + name
                        + " (?:(?:is|are|is coming|coming|come) (?:up )?(?:next|first)|first(?= (?:[.,]|\\d|get|grab|"
                        + "we|so|lie|feet|hands|palms|arms|elbows|with|right|left|standing|in))|coming (?:up|at you|"
                        + "in)|up next)(?= )"),
                Pattern.compile("(?<=[.,] )(?:(?:and|okay|so|now|our|the|some|then) )*" + name
                        + " (?:next(?= )|again(?= (?:[.,]|in \\d)))"),
                Pattern.compile("(?<=[.,] )(?:(?:and|okay|so|now|our|the|some|then|\\d+) )*" + name
                        + " to (?:begin|start|finish)(?: with)?(?= )"),
                Pattern.compile("(?<=[.,] )(?:(?:and|okay|so|now|then|our|the|some) )*"
                        + "(?!(?:thats|those|these|good|nice|great|your|my|no|like|love|hate|all|more) )" + name
                        + "(?<=[a-rt-z]s)(?= )(?! (?:is |are |all )?(?:finished|done|over|complete)\\b)"),
                Pattern.compile("(?<=seconds (?:to|till|until) )(?:(?:the|our|your|some|a) )?" + name + "(?= )"),
                Pattern.compile("(?<= )" + GETS_INTO + " (?:(?:a|an|some|our|the|your) )*" + name + "(?= )"),
                Pattern.compile("(?<=[.,] )(?:(?:and|okay|so|now|then|our|the|some) )*" + name
                        + "(?= (?:with|grab|on|we|so|you|feet|hands|lie|right|left|in|for \\d+)\\b)"));
    }

    private void named(Map<String, String> names, List<Pattern> ways) {
        for (Pattern pattern : ways) {
            Matcher m = pattern.matcher(text);
            m.useTransparentBounds(true);
            int next = 0;
            for (int from : beginnings.of(pattern, text)) {
                if (from < next || !CallReader.isAt(m, from)) {
                    continue;
                }
                next = m.end();
                if (claimed.isFree(from, next)) {
                    claimed.claim(from, next);
                    found.add(new FoundCall(null, null, from, next, null, null, known(names, m.group(1))));
                }
            }
        }
    }

    /** "Next up" and the like, with the move where it is one of {@code names}, else up to what sounds like one. */
    private void introduced(Map<String, String> names, String planned) {
        Pattern known = Pattern.compile("^(?:[ .,]+[a-z0-9]+){0,5}?[ .,]+" + planned + "(?= )");
        for (CallRule rule : CallPatterns.INTRODUCTIONS) {
            Matcher m = rule.pattern().matcher(text);
            while (m.find()) {
                if (claimed.isFree(m.start(), m.end())) {
                    String after = text.substring(m.end(), Math.min(text.length(), m.end() + 90));
                    Matcher move = known.matcher(after);
                    Matcher other = ANY_NAME_FOLLOWS.matcher(after);
                    boolean hasOther = other.find();
                    // The nearer name is the one that was brought up.
                    boolean hasMove = move.find() && (!hasOther || move.start(1) <= other.end());
                    int to = m.end() + (hasMove ? move.end() : hasOther ? other.end() : 0);
                    claimed.claim(m.start(), to);
                    found.add(new FoundCall(
                            rule, null, m.start(), to, null, null, hasMove ? known(names, move.group(1)) : null));
                }
            }
        }
    }

    /** The move of that name, also in the plural; null for one nobody planned. */
    private static String known(Map<String, String> names, String said) {
        return names.getOrDefault(
                said, names.getOrDefault(said.replaceAll("e?s$", ""), names.get(said.replaceAll("s$", ""))));
    }

    /** A move's name as {@link Speech} writes it. */
    private static String plain(String move) {
        return move.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", " ").strip();
    }
}
