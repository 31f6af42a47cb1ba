package app.nosegay.time;

import app.nosegay.cache.TextMemo;
import java.util.Locale;

/**
 * How long words take to say: syllables over rate, plus a pause for each comma and stop (docs/domain.md, "Speech fit").
 *
 * @param atRest syllables per second while resting or talking
 * @param working syllables per second while moving
 */
public record SpeechRate(double atRest, double working) {
    public static final SpeechRate DEFAULT = new SpeechRate(4.5, 4.3);
    private static final TextMemo<Integer> SYLLABLES = new TextMemo<>(SpeechRate::counted);
    private static final Length COMMA = Length.ofMillis(250);
    private static final Length STOP = Length.ofMillis(500);

    /** Seconds to say {@code line} at rest or while working, its closing pause left out. */
    public Length toSay(String line, boolean whileWorking) {
        return Length.ofSeconds(syllables(line.strip()) / (whileWorking ? working : atRest))
                .plus(pauses(line));
    }

    /** The pauses inside a line: a quarter of a second at a comma, half a second at a stop; the closing one left out. */
    public static Length pauses(String line) {
        String text = line.strip();
        Length total = Length.ZERO;
        int end = text.length();
        while (end > 0 && !Character.isLetterOrDigit(text.charAt(end - 1))) {
            end--;
        }
        for (int i = 0; i < end; i++) {
            total = total.plus(pauseAfter(text, i));
        }
        return total;
    }

    private static Length pauseAfter(String text, int i) {
        char c = text.charAt(i);
        boolean inNumber = i + 1 < text.length()
                && Character.isDigit(text.charAt(i + 1))
                && i > 0
                && Character.isDigit(text.charAt(i - 1));
        if (inNumber) {
            return Length.ZERO;
        }
        return switch (c) {
            case ',', ';' -> COMMA;
            case '.', '!', '?', ':' -> STOP;
            default -> Length.ZERO;
        };
    }

    /** Syllables of an English text: vowel groups, less a silent final e; a digit group counts as its spoken number. */
    public static int syllables(String text) {
        return SYLLABLES.of(text);
    }

    private static int counted(String text) {
        int total = 0;
        for (String word : text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}']+")) {
            if (!word.isEmpty()) {
                total += Character.isDigit(word.charAt(0)) ? ofNumber(word) : ofWord(word);
            }
        }
        return total;
    }

    private static int ofNumber(String digits) {
        int n = 0;
        for (int i = 0; i < digits.length(); i++) {
            // Digits of any script; letters after them ("40s") are not part of the number.
            int digit = Character.digit(digits.charAt(i), 10);
            n = digit < 0 ? n : Math.min(9999, 10 * n + digit);
        }
        if (n <= 12) {
            return n == 7 ? 2 : n == 11 ? 3 : 1;
        }
        if (n < 20) {
            return n == 17 ? 3 : 2;
        }
        return n < 100 ? 2 + (n % 10 == 0 ? 0 : ofNumber("" + n % 10)) : 5;
    }

    private static int ofWord(String word) {
        int groups = 0;
        boolean inVowels = false;
        for (int i = 0; i < word.length(); i++) {
            boolean vowel = "aeiouyàâäéèêëíîïóôöúûü".indexOf(word.charAt(i)) >= 0;
            if (vowel && !inVowels) {
                groups++;
            }
            inVowels = vowel;
        }
        boolean silentE = word.length() > 2 && word.endsWith("e") && !word.endsWith("le") && !inVowelPair(word);
        boolean silentEd = word.length() > 3 && word.endsWith("ed") && !word.endsWith("ted") && !word.endsWith("ded");
        return Math.max(1, groups - (silentE || silentEd ? 1 : 0));
    }

    private static boolean inVowelPair(String word) {
        return "aeiouy".indexOf(word.charAt(word.length() - 2)) >= 0;
    }
}
