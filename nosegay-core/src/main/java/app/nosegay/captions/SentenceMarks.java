package app.nosegay.captions;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Full stops and commas for transcripts that have none, as automatic captions mostly do: for the gap behind each word a logistic regression
 * over the words around it, learnt from written-out recordings with their marks taken off ({@link LogisticModel}).
 */
public final class SentenceMarks {
    /** Where this share of words or more carries a mark, somebody put them. */
    private static final double MARKED = 0.04;
    /** A few words say nothing of how somebody writes: they stay as they are. */
    private static final int FEWEST_WORDS = 60;
    /** A mark is put from this likelihood on. */
    private static final double LIKELY = 0.5;

    public static final String STOP = ".";
    public static final String COMMA = ",";

    private static final Pattern MARK = Pattern.compile(".*[.!?,;:…]\\W*");
    private static final Pattern NUMBER = Pattern.compile(
            "\\d+|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|twenty|thirty|forty|fifty|sixty");
    private static final String NONE = "-";

    private final LogisticModel model;

    public SentenceMarks(LogisticModel model) {
        this.model = model;
    }

    /** Read when first asked for. */
    private static final class Shipped {
        private static final SentenceMarks MARKS = new SentenceMarks(LogisticModel.shipped("marks.model.gz"));
    }

    /** With the model that comes with the application. */
    public static SentenceMarks shipped() {
        return Shipped.MARKS;
    }

    /** A word in running speech. */
    public record Spoken(String word, boolean endsCaption) {}

    /** The captions with the marks they lack; those that have marks stay as they are. */
    public List<Caption> restored(List<Caption> captions) {
        List<Spoken> words = words(captions);
        long marked = captions.stream()
                .flatMap(c -> List.of(c.text().strip().split("\\s+")).stream())
                .filter(w -> MARK.matcher(w).matches())
                .count();
        if (words.size() < FEWEST_WORDS || marked >= MARKED * words.size()) {
            return captions;
        }
        List<Caption> restored = new ArrayList<>();
        int at = 0;
        for (Caption caption : captions) {
            if (caption.text().isBlank()) {
                restored.add(caption);
                continue;
            }
            StringBuilder text = new StringBuilder();
            List<Caption.Word> timed = new ArrayList<>();
            String[] said = caption.text().strip().split("\\s+");
            for (int i = 0; i < said.length; i++) {
                String word = said[i] + mark(words, at + i);
                text.append(i == 0 ? "" : " ").append(word);
                if (caption.timed().size() == said.length) {
                    Caption.Word own = caption.timed().get(i);
                    timed.add(new Caption.Word(own.start(), own.end(), word));
                }
            }
            at += said.length;
            restored.add(
                    caption.timed().size() == said.length || caption.timed().isEmpty()
                            ? new Caption(caption.start(), caption.end(), text.toString(), timed, caption.speaker())
                            : caption);
        }
        return restored;
    }

    private String mark(List<Spoken> words, int i) {
        Map<String, Double> likely = model.likely(traits(words, i));
        double stop = likely.getOrDefault(STOP, 0.0);
        double comma = likely.getOrDefault(COMMA, 0.0);
        return stop + comma < LIKELY ? "" : stop >= comma ? STOP : COMMA;
    }

    /** The words of captions without their marks. */
    public static List<Spoken> words(List<Caption> captions) {
        List<Spoken> words = new ArrayList<>();
        for (Caption caption : captions) {
            if (!caption.text().isBlank()) {
                String[] said = caption.text().strip().split("\\s+");
                for (int i = 0; i < said.length; i++) {
                    words.add(new Spoken(plain(said[i]), i == said.length - 1));
                }
            }
        }
        return words;
    }

    private static String plain(String word) {
        return word.toLowerCase(Locale.ROOT).replace('’', '\'').replaceAll("[^\\p{L}\\p{N}'-]", "");
    }

    /** What is around the gap behind word {@code i}. */
    public static Set<String> traits(List<Spoken> words, int i) {
        Set<String> traits = new HashSet<>();
        String last = word(words, i);
        String before = word(words, i - 1);
        String next = word(words, i + 1);
        String second = word(words, i + 2);
        traits.add("0" + last);
        traits.add("a" + before);
        traits.add("b" + word(words, i - 2));
        traits.add("1" + next);
        traits.add("2" + second);
        traits.add("3" + word(words, i + 3));
        traits.add("0" + last + "|1" + next);
        traits.add("a" + before + "|0" + last);
        traits.add("1" + next + "|2" + second);
        traits.add("n" + isNumber(before) + isNumber(last) + isNumber(next) + isNumber(second));
        traits.add("1" + next + "|n" + isNumber(last));
        traits.add("0" + last + "|n" + isNumber(next));
        if (words.get(i).endsCaption()) {
            traits.add("end");
            traits.add("end|1" + next);
            traits.add("end|0" + last);
        }
        return traits;
    }

    private static String word(List<Spoken> words, int i) {
        return i < 0 || i >= words.size() ? NONE : words.get(i).word();
    }

    private static char isNumber(String word) {
        return NUMBER.matcher(word).matches() ? 'n' : 'w';
    }
}
