package app.nosegay.calls.learnt;

import app.nosegay.captions.Caption;
import app.nosegay.captions.Speech;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;

/** A transcript in the lines that {@link CallModel} looks at: a sentence each, however the captions were broken. */
public final class CallLines {
    /** Longer lines without a mark in them are cut in pieces. */
    private static final int MOST_WORDS = 12;
    /** Pieces they are cut into, in words. */
    private static final int PIECE = 8;

    /** So many words at most are carried into the next line. */
    private static final int MOST_CARRIED = 3;
    /** A longer pause ends a sentence. */
    private static final Length LONGEST_BREATH = Length.ofMillis(2500);

    private static final Pattern ENDS_A_SENTENCE = Pattern.compile(".*[.!?;:…]\\W*");

    private CallLines() {}

    /** The lines of {@code captions}, in order of time; none is longer than its caption. */
    public static List<Caption> of(List<Caption> captions) {
        List<Caption> lines = new ArrayList<>();
        captions.stream()
                .filter(c -> !c.text().isBlank())
                .sorted(Comparator.comparing(Caption::start))
                .forEach(c -> add(c, lines));
        for (int i = 0; i + 1 < lines.size(); i++) {
            carry(i, lines);
        }
        return lines;
    }

    /** What line {@code i} ends with, and no sentence would, begins the next: "a 10" before "minute workout". */
    private static void carry(int i, List<Caption> lines) {
        List<Caption.Word> words = lines.get(i).words();
        List<Caption.Word> next = lines.get(i + 1).words();
        int from = words.size();
        while (from > 1
                && words.size() - from < MOST_CARRIED
                && next.get(0).start().since(words.get(words.size() - 1).end()).compareTo(LONGEST_BREATH) < 0
                && Speech.isOpen(
                        words.get(from - 1).text(),
                        from < words.size()
                                ? words.get(from).text()
                                : next.get(0).text())) {
            from--;
        }
        if (from < words.size()) {
            List<Caption.Word> joined = new ArrayList<>(words.subList(from, words.size()));
            joined.addAll(next);
            lines.set(i, Caption.of(words.subList(0, from)));
            lines.set(i + 1, Caption.of(joined));
        }
    }

    private static void add(Caption caption, List<Caption> lines) {
        List<Caption.Word> sentence = new ArrayList<>();
        List<List<Caption.Word>> pieces = new ArrayList<>();
        for (Caption.Word word : caption.words()) {
            sentence.add(word);
            if (ENDS_A_SENTENCE.matcher(word.text()).matches()) {
                cut(sentence, pieces);
                sentence = new ArrayList<>();
            }
        }
        cut(sentence, pieces);
        if (pieces.size() == 1) {
            lines.add(caption);
        } else {
            pieces.forEach(p -> lines.add(Caption.of(p)));
        }
    }

    private static void cut(List<Caption.Word> sentence, List<List<Caption.Word>> pieces) {
        int from = 0;
        while (sentence.size() - from > MOST_WORDS) {
            pieces.add(sentence.subList(from, from + PIECE));
            from += PIECE;
        }
        if (from < sentence.size()) {
            pieces.add(sentence.subList(from, sentence.size()));
        }
    }
}
