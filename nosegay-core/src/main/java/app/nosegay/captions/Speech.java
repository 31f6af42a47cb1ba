package app.nosegay.captions;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * A whole transcript as one line of plain lower-case words, one space between and around them, numbers as digits, {@code .} and {@code ,}
 * where the speaker stops, every character traceable to its time.
 */
public final class Speech {
    /** Silence this long between two words ends a sentence, with or without punctuation. */
    private static final Length STOP = Length.ofMillis(800);

    /** Nobody stops for longer in the middle of a sentence. */
    private static final Length LONGEST_BREATH = Length.ofMillis(2500);
    /** No sentence ends with these. */
    private static final Pattern OPEN =
            Pattern.compile("(?i)(?:a|an|the|your|our|my|of|for|with|to|into|onto|from|by|at|is|are|was|we're|you're|"
                    + "it's|i'm|we'll|you'll|i'll|we've|you've|going|gonna|some|each|every|about)");

    private static final Pattern NUMBER = Pattern.compile(
            "(?i)(?:\\d+|one|two|three|four|five|six|seven|eight|nine|ten|twelve|fifteen|twenty|thirty|forty|fifty|sixty)");
    private static final Pattern COUNTED = Pattern.compile(
            "(?i)(?:seconds?|minutes?|more|exercises|moves|movements|rounds|sets|reps|times|left|circuits|supersets|blocks)\\W*");
    private static final Pattern PLACE = Pattern.compile("(?i)(?:last|next|first|second|third|fourth|fifth|final)");
    private static final Pattern PLACED = Pattern.compile(
            "(?i)(?:exercises?|moves?|movement|round|set|reps?|circuit|superset|block|one|ten|five)\\W*");

    private static final Pattern PLURAL = Pattern.compile("\\d+s");
    private static final int LONGEST_WEIGHED = 20;
    /** "12s" behind these are weights of twelve, not seconds. */
    private static final Pattern WEIGHED = Pattern.compile(
            " (?:got|my|your|these|those|pair of|using|use|grab|grabbing|hold|holding|heavier|lighter|pick up|from) $");

    private static final Pattern LONG_DRAWN = Pattern.compile("(\\p{L})\\1{2,}");
    private static final Pattern EDGE = Pattern.compile("^[^\\p{L}\\p{N}']+|[^\\p{L}\\p{N}']+$");

    /** What is said this soon after something belongs to it, in characters and in seconds. */
    private static final int SOON_CHARACTERS = 40;

    private static final double SOON_SECONDS = 3;

    private final StringBuilder text = new StringBuilder(" ");
    private final List<Integer> offsets = new ArrayList<>();
    private final List<Caption.Word> words = new ArrayList<>();

    public Speech(List<Caption> captions) {
        Caption.Word last = null;
        for (Caption caption : captions) {
            captionStart = words.size();
            for (Caption.Word word : caption.words()) {
                if (last != null && ends(last, word, caption)) {
                    stop('.');
                }
                add(word);
                last = word;
            }
        }
        stop('.');
    }

    /** Whether the pause before a word ends a sentence: not where a caption breaks one off for a breath. */
    private boolean ends(Caption.Word last, Caption.Word word, Caption caption) {
        Length pause = word.start().since(last.end());
        boolean broken = words.size() == captionStart
                && caption.timed().isEmpty()
                && pause.compareTo(LONGEST_BREATH) < 0
                && isOpen(last.text(), word.text());
        return pause.compareTo(STOP) > 0 && !broken;
    }

    /** Whether no sentence ends between two words: captions break lines anywhere. */
    public static boolean isOpen(String last, String next) {
        return OPEN.matcher(last).matches()
                || SpokenSpellings.TENS.containsKey(last.toLowerCase(Locale.ROOT))
                        && NUMBER.matcher(next).matches()
                || NUMBER.matcher(last).matches() && COUNTED.matcher(next).matches()
                || last.equalsIgnoreCase("more") && (COUNTED.matcher(next).matches() || next.equals("time"))
                || PLACE.matcher(last).matches() && PLACED.matcher(next).matches();
    }

    private void add(Caption.Word word) {
        String raw = word.text().toLowerCase(Locale.ROOT).replace('’', '\'').replace('‘', '\'');
        if (raw.startsWith("[") || raw.startsWith("(") || raw.startsWith("♪") || raw.startsWith(">>")) {
            raw = raw.replaceAll("^[\\[(].*[\\])]$|[♪>\\[\\]()]", "");
        }
        String[] parts = raw.split("(?<=\\p{L})-(?=\\p{L}|\\p{N})|(?<=\\p{N})-(?=\\p{L})|[–—/…]+|\\.\\.\\.");
        for (String part : parts) {
            String bare = EDGE.matcher(part).replaceAll("");
            if (!bare.isEmpty()) {
                plain(bare, word);
            }
            char mark = part.isEmpty() ? ' ' : part.charAt(part.length() - 1);
            if (mark == '.' || mark == '!' || mark == '?' || mark == ';' || mark == ':') {
                stop('.');
            } else if (mark == ',') {
                stop(',');
            }
        }
    }

    private void plain(String bare, Caption.Word word) {
        // "Aaand" is "and", held until it is time.
        String quick = LONG_DRAWN.matcher(bare).replaceAll("$1");
        if (quick.equals("and") && !quick.equals(bare)) {
            stop('.');
        }
        String spelt = SpokenSpellings.SPELLINGS.getOrDefault(quick, quick);
        spelt = spelt.replace("'re", " are")
                .replace("'ll", " will")
                .replace("'ve", " have")
                .replace("n't", " not")
                .replace("'d", " would")
                .replaceAll("^(one|two|three|four|five|six|seven|eight|nine|ten|\\d+)'s$", "$1 is")
                .replace("'", "");
        boolean plural = PLURAL.matcher(spelt).matches();
        if (plural
                && !WEIGHED.matcher(text.substring(Math.max(0, text.length() - LONGEST_WEIGHED)))
                        .find()) {
            spelt = spelt.replaceAll("^(\\d+)s$", "$1 seconds");
        }
        spelt = spelt.replaceAll("^(\\d+)secs?$", "$1 seconds").replaceAll("^(\\d+)min(?:s)?$", "$1 minutes");
        if (spelt.matches("\\d{1,3}-\\d{1,3}")) {
            spelt = spelt.replace("-", " to ");
        }
        for (String one : spelt.strip().split("\\s+")) {
            // No call has a number of five digits or more.
            number(one.replaceAll("\\d{5,}", "figure"), word);
        }
    }

    private void number(String one, Caption.Word word) {
        Integer unit = SpokenSpellings.UNITS.get(one);
        Integer tens = SpokenSpellings.TENS.get(one);
        if (unit != null && unit >= 1 && unit <= 9 && endsWithTens()) {
            // "thirty five" and "thirty-five" are one number.
            int at = text.lastIndexOf(" ", text.length() - 2) + 1;
            int value = Integer.parseInt(text.substring(at, text.length() - 1)) + unit;
            text.setLength(at);
            text.append(value).append(' ');
            Caption.Word before = words.get(words.size() - 1);
            if (before != word) {
                words.set(
                        words.size() - 1,
                        new Caption.Word(before.start(), word.end(), before.text() + " " + word.text()));
            }
            return;
        }
        append(unit != null ? unit.toString() : tens != null ? tens.toString() : one, word);
        tensSpelt = tens != null;
    }

    private boolean tensSpelt;
    private int captionStart;

    private boolean endsWithTens() {
        return tensSpelt && text.length() > 2 && Character.isDigit(text.charAt(text.length() - 2));
    }

    private void append(String token, Caption.Word word) {
        if (token.isEmpty()) {
            return;
        }
        tensSpelt = false;
        if (token.matches("way|weigh|wait") && endsWith(" half ")) {
            text.setLength(text.length() - 1);
            text.append("way ");
            Caption.Word half = words.get(words.size() - 1);
            words.set(words.size() - 1, new Caption.Word(half.start(), word.end(), half.text() + " " + word.text()));
            return;
        }
        if (token.equals("right") && endsWith(" all ")) {
            text.setLength(text.length() - "all ".length());
            text.append("okay ");
            return;
        }
        if (token.equals("us") && endsWith(" let ")) {
            text.setLength(text.length() - 1);
            text.append("s ");
            return;
        }
        if (token.equals("more") && SpokenSpellings.MISHEARD.containsKey(lastOfPhrase())) {
            // "To more" at the start of a phrase is "two more".
            int at = text.lastIndexOf(" ", text.length() - 2) + 1;
            String number = SpokenSpellings.MISHEARD.get(lastOfPhrase());
            text.setLength(at);
            text.append(number).append(' ');
        }
        offsets.add(text.length());
        words.add(word);
        text.append(token).append(' ');
    }

    private boolean endsWith(String end) {
        return text.length() >= end.length()
                && text.substring(text.length() - end.length()).equals(end);
    }

    /** The last word, if a phrase or a caption begins with it; empty otherwise. */
    private String lastOfPhrase() {
        int at = text.lastIndexOf(" ", text.length() - 2) + 1;
        boolean begins =
                at < 3 || text.charAt(at - 2) == '.' || text.charAt(at - 2) == ',' || captionStart == words.size() - 1;
        return begins && text.length() > at ? text.substring(at, text.length() - 1) : "";
    }

    private void stop(char mark) {
        tensSpelt = false;
        int n = text.length();
        boolean stopped = n >= 2 && (text.charAt(n - 2) == '.' || text.charAt(n - 2) == ',');
        if (stopped && mark == '.') {
            text.setCharAt(n - 2, '.');
        } else if (!stopped) {
            text.append(mark).append(' ');
        }
    }

    /** The plain text. */
    public String text() {
        return text.toString();
    }

    /** The index of the word that holds character {@code at}, or the one before it. */
    int word(int at) {
        int low = 0;
        int high = offsets.size() - 1;
        while (low < high) {
            int mid = (low + high + 1) / 2;
            if (offsets.get(mid) <= at) {
                low = mid;
            } else {
                high = mid - 1;
            }
        }
        return low;
    }

    public boolean isEmpty() {
        return words.isEmpty();
    }

    public Time<Axis.Take> start(int at) {
        return words.get(word(at)).start();
    }

    public Time<Axis.Take> end(int at) {
        return words.get(word(at)).end();
    }

    /** What is said in the moments after character {@code at}. */
    public String soonAfter(int at) {
        int to = Math.min(text.length(), at + SOON_CHARACTERS);
        while (to > at + 1 && start(to - 1).since(end(at - 1)).seconds() > SOON_SECONDS) {
            to--;
        }
        return text.substring(at, to);
    }

    /** What was said in the moments before character {@code at}. */
    public String soonBefore(int at) {
        int from = Math.max(0, at - SOON_CHARACTERS);
        while (from < at - 1 && start(at).since(end(from)).seconds() > SOON_SECONDS) {
            from++;
        }
        return text.substring(from, at);
    }

    /** The words between two characters as they were transcribed. */
    public String asSaid(int from, int to) {
        StringBuilder said = new StringBuilder();
        Caption.Word last = null;
        for (int w = word(from); w <= word(Math.max(from, to - 1)); w++) {
            if (words.get(w) != last) {
                said.append(said.isEmpty() ? "" : " ").append(words.get(w).text());
            }
            last = words.get(w);
        }
        return said.toString();
    }
}
