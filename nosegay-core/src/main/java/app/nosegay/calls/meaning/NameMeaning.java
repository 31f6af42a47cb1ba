package app.nosegay.calls.meaning;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.phrase.FoundCall;
import app.nosegay.captions.Speech;
import java.util.Locale;
import java.util.regex.Pattern;

/** Names of moves in passing: brought up for later, to be begun at once, or only said. */
final class NameMeaning {
    /** Names of moves that tell to begin with them. */
    private static final Pattern IMPERATIVE = Pattern.compile("(?:(?:and|ready|okay|now) )*VERB(?: and VERB)?"
            .replace(
                    "VERB",
                    "(?:press|row|curl|squat|lunge|march|twist|crawl|dip|swing|clean|raise|thrust|tap|snatch)"
                            + "(?: (?:up|down|out|in|back))?"));

    /** "Move four is a row" only names it. */
    private static final Pattern ANNOUNCED =
            Pattern.compile("\\b(?:a|an|the|our|your|is|some|next|up|for|to|into|called|with|its|be) $");

    /** Words that lead on to something new, whatever goes on. */
    private static final Pattern MOVES_ON = Pattern.compile(
            "^(?:on to|onto|into|now (?:we (?:have|are|will)|its|into|the|our|a|some)|time for|its time "
                    + "for|we are (?:moving|heading)|up is|next is|it is time|(?:we|you) (?:will|are going to) "
                    + "(?:then )?(?:go|head|flow|move|come) (?:into|onto|to)|lets (?:go|head) (?:into|onto)|lets "
                    + "(?:add|try|do|get into) |take (?:it|this|that) (?:into|onto)|(?:and )?(?:down|back|up|over)"
                    + " (?:for|into))");

    private static final Pattern SEVERAL =
            Pattern.compile("(?:(?:and|now|okay) )*(?!(?:thats|those|these|good|nice|great|your|my|no|like|love|hate|"
                    + "all|more|big|two|few|some) )(?:[a-z]+ ){0,2}[a-z]+[a-rt-z]s");

    /** "Kickbacks in five." */
    private static final Pattern SOON = Pattern.compile(" in (?:5|10|15|20)(?: seconds)? [.,]");

    /** What to do is said this soon after a count that starts it, in seconds. */
    private static final double BEHIND_THE_COUNT = 2;

    /** A last word shorter than this, "up" or "in", tells nothing of a move. */
    private static final int TELLS_A_MOVE = 3;

    private static final double SAME_NEXT = 12;

    private final String text;
    private final CallContext heard;
    private final ExpectedCalls expected;
    private final CallCollector said;
    private final WorkMeaning work;

    NameMeaning(Speech speech, CallContext heard, ExpectedCalls expected, CallCollector said, WorkMeaning work) {
        this.text = speech.text();
        this.heard = heard;
        this.expected = expected;
        this.said = said;
        this.work = work;
    }

    void settle(FoundCall f) {
        boolean imperative =
                IMPERATIVE.matcher(text.substring(f.from(), f.to())).matches()
                        && !ANNOUNCED.matcher(said.before(f)).find();
        if (imperative && begins(f)) {
            return;
        }
        boolean ends = heard.isWorking(f) && heard.isAnnounced(f.from() + 1);
        boolean again = heard.saidWithin(CallKind.NEXT_UP, SAME_NEXT, f)
                && !heard.isSaidSince(CallKind.ORDINAL, CallKind.NEXT_UP);
        if ((isFree(f) || ends) && !again) {
            next(f);
        }
    }

    /** What to do is told: it goes with the count before it, or it is begun with it. */
    private boolean begins(FoundCall f) {
        if (heard.saidWithin(CallKind.COUNT_IN, BEHIND_THE_COUNT, f)) {
            return true;
        }
        FoundCall begin = new FoundCall(ExpectedPatterns.BEGIN, null, f.from(), f.to(), null, null, null);
        if (heard.isPreviewed() && expected.isOfTheName(f)) {
            heard.work(f);
            said.say(CallKind.START, begin);
            return true;
        }
        boolean due = !heard.isWorking(f)
                && (expected.isBroughtUp()
                        || heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST)
                        || heard.saidWithin(CallKind.ROUNDS_LEFT, CallCollector.AT_ONCE, f)
                        || heard.isRestOver(f));
        if (due) {
            work.start(begin);
        }
        return due;
    }

    /** Whether a move may be brought up here. */
    private boolean isFree(FoundCall f) {
        return !heard.isWorking(f)
                || heard.isCounted(f)
                || heard.saidWithin(CallKind.LAST_REP, CallCollector.AT_ONCE, f)
                || heard.isFewLeft(CallCollector.AT_ONCE, f)
                || heard.saidWithin(CallKind.ORDINAL, CallCollector.AT_ONCE, f)
                || said.isJustStarted(f) && !heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST)
                || isNow(f)
                || SOON.matcher(text).region(f.to(), text.length()).lookingAt()
                || MOVES_ON.matcher(text.substring(f.from(), f.to())).find()
                || text.startsWith(" first", f.to() - 6)
                || heard.isOver(f)
                || heard.isPastTheEnd(f)
                || isNamedAlone(f)
                || isDue(f);
    }

    /** "Rows.": more than one of them, and nothing else in the sentence. What to do is told in the singular. */
    private boolean isNamedAlone(FoundCall f) {
        String words = text.substring(f.from(), f.to());
        Call before = heard.last(CallKind.NEXT_UP);
        boolean ends = text.startsWith(" .", f.to());
        boolean several = SEVERAL.matcher(words).matches() && text.startsWith(". ", f.from() - 2);
        boolean known = f.move() != null
                && f.move().contains(" ")
                && !heard.saidWithin(CallKind.NEXT_UP, SAME_NEXT, f)
                && (text.startsWith(". ", f.from() - 2) || text.startsWith(", ", f.from() - 2));
        return ends
                && (several || known)
                && (before == null || !before.text().toLowerCase(Locale.ROOT).contains(words));
    }

    /** "Now inchworms": another move by its whole name. */
    private boolean isNow(FoundCall f) {
        return text.startsWith("now ", f.from())
                && f.move() != null
                && (f.move().contains(" ") || text.charAt(f.to() - 1) == 's');
    }

    /** Another move at the beginning of a sentence when this one has lasted as long as one does. */
    private boolean isDue(FoundCall f) {
        String words = text.substring(f.from(), f.to());
        boolean begins = text.startsWith(". ", f.from() - 2) || text.startsWith(", ", f.from() - 2);
        boolean name = SEVERAL.matcher(words).matches()
                || f.move() != null && (f.move().contains(" ") || f.move().equals("plank"));
        Call before = heard.last(CallKind.NEXT_UP);
        String kind = words.substring(words.lastIndexOf(' ') + 1).replaceAll("e?s$", "");
        boolean same = before != null
                && (f.move() != null && f.move().equals(before.of())
                        || kind.length() >= TELLS_A_MOVE
                                && before.text().toLowerCase(Locale.ROOT).contains(kind));
        return begins && name && !same && heard.isLongSinceStart(f);
    }

    /** A move brought up; while working, where the end was foretold, it takes the place of a "rest". */
    void next(FoundCall f) {
        boolean working = heard.isWorking(f);
        boolean unannounced = heard.isSaidSince(CallKind.NEXT_UP, CallKind.COUNT_IN)
                && heard.isSaidSince(CallKind.NEXT_UP, CallKind.START);
        if (working && (unannounced || heard.isLongSinceStart(f)) && !heard.isTimeLeft(f)) {
            // Who began the last move without a word begins this one so.
            heard.goOn(f);
        }
        said.say(CallKind.NEXT_UP, f);
        if (working && heard.isAnnounced(f.from() + 1)) {
            heard.rest(f);
        }
    }
}
