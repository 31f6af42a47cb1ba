package app.nosegay.calls;

import app.nosegay.cache.TextMemo;
import java.util.regex.Pattern;

/** What a presenter says when something went wrong while filming: "sorry, let me start that again". */
public final class Fluffs {
    /** Cheers are not meant: "hang on, ten seconds", "and do it again", "sorry, I know it burns". */
    private static final Pattern FLUFF = Pattern.compile(String.join(
            "|",
            "(?i)(?<!not )\\bsorry\\b(?!,? (?:not sorry|i know|if|but|to (?:say|tell)|in advance|legs|"
                    + "arms|abs|for (?:that|this) (?:one|burn)))",
            "\\b(?:start|try|take|say|film|shoot) (?:that|this|it)(?: one| bit)? (?:over|again)\\b",
            "\\b(?:let me|i'?ll|i will|i need to|i have to|can i)(?: just)? (?:redo|do|start|try|say|take|film) (?:that|this|it|over)\\b",
            "\\bagain from\\b",
            "\\bone more take\\b",
            "\\b(?:oops|whoops)\\b",
            "\\bmessed (?:that|it|this) up\\b",
            "\\bhang on,? (?:a (?:second|sec|minute|moment)|one (?:second|sec)|sorry|there(?:'s| is| "
                    + "was)|i(?:'m|'ve| am| have| think| need| forgot)|let me|wait|what|my|someone|somebody|the "
                    + "(?:dog|phone|door|timer))",
            "\\b(?:oh|wait|whoa),? hang on\\b",
            "(?:^|[,.!?] *)hold on(?:[,.!?]| a (?:second|minute|moment)|$)",
            "\\bwhat am i (?:doing|saying)",
            "\\bignore that\\b",
            "\\bcut that\\b",
            "\\bwrong (?:side|leg|arm|one), (?:sorry|let)"));

    /**
     * Of which what is said when something is done again from its beginning, and of nothing else: "I'll take it slow", "do it again" go
     * on.
     */
    private static final Pattern AGAIN = Pattern.compile(String.join(
            "|",
            "(?i)\\b(?:let me|i'?ll|i will|i need to|i have to|can i|i'?m going to)(?: just)? (?:redo|"
                    + "start|try|say|take|film|do) (?:that|this|it)(?: one| bit)? (?:over|again)\\b(?! (?:on|with|"
                    + "in|for|to|next|later))",
            "\\blet'?s (?:take|film) (?:that|this|it) again\\b",
            "\\b(?:let me|i'?ll|i need to|i have to) (?:just )?redo\\b",
            "\\bagain from the (?:top|start|beginning)\\b",
            "\\bone more take\\b"));

    private static final TextMemo<Boolean> IS_FLUFF =
            new TextMemo<>(words -> FLUFF.matcher(words).find());

    private Fluffs() {}

    /** Whether someone says that something went wrong. */
    public static boolean isFluff(String words) {
        return IS_FLUFF.of(words);
    }

    /** Whether someone says that it is done again. */
    public static boolean isDoneAgain(String words) {
        return AGAIN.matcher(words).find();
    }
}
