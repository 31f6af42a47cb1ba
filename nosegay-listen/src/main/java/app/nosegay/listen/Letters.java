package app.nosegay.listen;

import java.util.Arrays;

/** A rough reading of a word by its letters, for words in no dictionary: good enough to find a word whose place is nearly known. */
final class Letters {
    /** Longest spellings first; each with its usual sound. */
    private static final String[][] SOUNDS = {
        {"tion", "SH AH N"},
        {"ough", "AO"},
        {"igh", "AY"},
        {"tch", "CH"},
        {"dge", "JH"},
        {"sch", "S K"},
        {"ch", "CH"},
        {"sh", "SH"},
        {"th", "TH"},
        {"ph", "F"},
        {"wh", "W"},
        {"ck", "K"},
        {"ng", "NG"},
        {"qu", "K W"},
        {"kn", "N"},
        {"wr", "R"},
        {"ee", "IY"},
        {"ea", "IY"},
        {"oo", "UW"},
        {"ou", "AW"},
        {"ow", "OW"},
        {"ai", "EY"},
        {"ay", "EY"},
        {"oa", "OW"},
        {"oi", "OY"},
        {"oy", "OY"},
        {"au", "AO"},
        {"aw", "AO"},
        {"ew", "UW"},
        {"ie", "IY"},
        {"ar", "AA R"},
        {"er", "ER"},
        {"ir", "ER"},
        {"or", "AO R"},
        {"ur", "ER"},
        {"a", "AE"},
        {"b", "B"},
        {"c", "K"},
        {"d", "D"},
        {"e", "EH"},
        {"f", "F"},
        {"g", "G"},
        {"h", "HH"},
        {"i", "IH"},
        {"j", "JH"},
        {"k", "K"},
        {"l", "L"},
        {"m", "M"},
        {"n", "N"},
        {"o", "AA"},
        {"p", "P"},
        {"q", "K"},
        {"r", "R"},
        {"s", "S"},
        {"t", "T"},
        {"u", "AH"},
        {"v", "V"},
        {"w", "W"},
        {"x", "K S"},
        {"y", "IY"},
        {"z", "Z"},
    };

    private Letters() {}

    static String phones(String word) {
        StringBuilder phones = new StringBuilder();
        int at = 0;
        while (at < word.length()) {
            boolean silentEnd = at > 1 && at == word.length() - 1 && word.charAt(at) == 'e';
            boolean doubled = at > 0 && word.charAt(at) == word.charAt(at - 1);
            String[] sound = soundAt(word, at);
            int taken = sound == null ? 1 : sound[0].length();
            if (sound != null && !silentEnd && !(doubled && taken == 1)) {
                phones.append(phones.isEmpty() ? "" : " ").append(sound[1]);
            }
            at += taken;
        }
        return phones.isEmpty() ? "AH" : phones.toString();
    }

    /** The first sound a word goes on with; null where no letter is known. */
    private static String[] soundAt(String word, int at) {
        return Arrays.stream(SOUNDS)
                .filter(s -> word.startsWith(s[0], at))
                .findFirst()
                .orElse(null);
    }
}
