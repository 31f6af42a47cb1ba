package app.nosegay.captions;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * One line of a timed transcript.
 *
 * @param start when it begins
 * @param end when it ends; equal to the next start where the format gives no end
 * @param text its words
 * @param timed its words at their own times, where the transcript gives them; empty otherwise
 * @param speaker who says it, where the transcript tells; empty otherwise
 */
public record Caption(Time<Axis.Take> start, Time<Axis.Take> end, String text, List<Word> timed, String speaker) {
    public Caption {
        timed = List.copyOf(timed);
    }

    public Caption(Time<Axis.Take> start, Time<Axis.Take> end, String text) {
        this(start, end, text, List.of());
    }

    public Caption(Time<Axis.Take> start, Time<Axis.Take> end, String text, List<Word> timed) {
        this(start, end, text, timed, "");
    }

    /** The same, said by {@code name}. */
    public Caption by(String name) {
        return new Caption(start, end, text, timed, name);
    }

    /** The same, {@code by} later. */
    public Caption later(Length by) {
        return new Caption(
                start.plus(by),
                end.plus(by),
                text,
                timed.stream()
                        .map(w -> new Word(w.start().plus(by), w.end().plus(by), w.text()))
                        .toList(),
                speaker);
    }

    /** What counts are made of. */
    private static final Pattern NUMBER = Pattern.compile(
            "(?i)\\W*(?:\\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen)\\W*");
    /** A count goes by the second or the repetition: each number takes as long as this many syllables. */
    private static final int COUNTED_SYLLABLES = 3;

    /** From here on a caption is several lines that were put together. */
    private static final double LONG_SECONDS = 8;

    private static final int LONG_WORDS = 15;
    /** How much longer than usual a slow reading takes. */
    private static final double SLOW = 1.3;

    /** A line of words that have their own times; at least one. */
    public static Caption of(List<Word> words) {
        String text = String.join(" ", words.stream().map(Word::text).toList());
        Time<Axis.Take> end = words.stream().map(Word::end).max(Time::compareTo).orElseThrow();
        return new Caption(words.get(0).start(), end, text, words);
    }

    /** One word at its time. */
    public record Word(Time<Axis.Take> start, Time<Axis.Take> end, String text) {}

    /** The words at their own times, or else interpolated by syllables inside the caption. */
    public List<Word> words() {
        if (!timed.isEmpty()) {
            return timed;
        }
        String[] parts = text.strip().split("\\s+");
        int[] syllables = new int[parts.length];
        int total = 0;
        int plain = 0;
        for (int i = 0; i < parts.length; i++) {
            int own = SpeechRate.syllables(parts[i]);
            plain += own;
            syllables[i] = isCounted(parts, i) ? Math.max(own, COUNTED_SYLLABLES) : own;
            total += syllables[i];
        }
        Length room = end.since(start);
        double spokenSeconds = SpeechRate.DEFAULT.toSay(text, false).seconds() * total / Math.max(1, plain);
        // Short captions often stay up after the last word: they are not stretched beyond a slow reading. A long one
        // holds what was said
        // in all its time, pauses and all.
        boolean long_ = room.seconds() >= LONG_SECONDS && parts.length >= LONG_WORDS;
        double seconds = long_ ? room.seconds() : Math.min(room.seconds(), Math.max(spokenSeconds * SLOW, 0.2));
        List<Word> words = new ArrayList<>();
        int before = 0;
        for (int i = 0; i < parts.length; i++) {
            Time<Axis.Take> from = start.plus(Length.ofSeconds(seconds * before / Math.max(1, total)));
            before += syllables[i];
            Time<Axis.Take> to = start.plus(Length.ofSeconds(seconds * before / Math.max(1, total)));
            words.add(new Word(from, to, parts[i]));
        }
        return words;
    }

    /** Whether a word is one of at least three numbers in a row. */
    private static boolean isCounted(String[] parts, int at) {
        int from = at;
        int to = at;
        while (from >= 0 && isNumber(parts[from])) {
            from--;
        }
        while (to < parts.length && isNumber(parts[to])) {
            to++;
        }
        return to - from - 1 >= 3;
    }

    private static boolean isNumber(String word) {
        return NUMBER.matcher(word).matches();
    }
}
