package app.nosegay.listen;

import com.ibm.icu.text.RuleBasedNumberFormat;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A line as it is written and as it sounds.
 *
 * @param tokens its words as written, with their punctuation
 * @param clauses the spoken words, parted where a speaker may stop
 * @param token for each spoken word, in order, the index of the written one it belongs to
 */
record SpokenText(List<String> tokens, List<List<String>> clauses, int[] token) {
    private static final Pattern PIECE = Pattern.compile("\\d+|[a-z']+");
    private static final RuleBasedNumberFormat NUMBERS =
            new RuleBasedNumberFormat(Locale.ENGLISH, RuleBasedNumberFormat.SPELLOUT);

    static SpokenText of(String line) {
        List<String> tokens = List.of(line.strip().split("\\s+"));
        List<List<String>> clauses = new ArrayList<>();
        List<String> clause = new ArrayList<>();
        List<Integer> belongs = new ArrayList<>();
        for (int i = 0; i < tokens.size(); i++) {
            String token = tokens.get(i).replace('’', '\'');
            Matcher piece = PIECE.matcher(token.toLowerCase(Locale.ROOT));
            while (piece.find()) {
                for (String word : words(piece.group())) {
                    clause.add(word);
                    belongs.add(i);
                }
            }
            char end = token.charAt(token.length() - 1);
            if (",.;:!?…–—".indexOf(end) >= 0 && !clause.isEmpty()) {
                clauses.add(clause);
                clause = new ArrayList<>();
            }
        }
        if (!clause.isEmpty()) {
            clauses.add(clause);
        }
        return new SpokenText(
                tokens, clauses, belongs.stream().mapToInt(Integer::intValue).toArray());
    }

    private static List<String> words(String piece) {
        if (Character.isDigit(piece.charAt(0))) {
            long number = Long.parseLong(piece.substring(0, Math.min(9, piece.length())));
            synchronized (NUMBERS) {
                return List.of(NUMBERS.format(number).split("[ -]"));
            }
        }
        String word = piece.replaceAll("^'+|'+$", "");
        return word.isEmpty() ? List.of() : List.of(word);
    }

    /** Whether the spoken word at {@code place} is the last of its clause. */
    boolean endsClause(int place) {
        int end = -1;
        for (List<String> clause : clauses) {
            end += clause.size();
            if (end == place) {
                return true;
            }
        }
        return false;
    }

    int size() {
        return token.length;
    }
}
