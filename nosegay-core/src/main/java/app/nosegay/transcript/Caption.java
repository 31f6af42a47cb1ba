package app.nosegay.transcript;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;

/**
 * One line of a timed transcript.
 *
 * @param start when it begins
 * @param end when it ends; equal to the next start where the format gives no end
 * @param text its words
 * @param timed its words at their own times, where the transcript gives them; empty otherwise
 */
public record Caption(Time<Axis.Take> start, Time<Axis.Take> end, String text, List<Word> timed) {
    public Caption {
        timed = List.copyOf(timed);
    }

    public Caption(Time<Axis.Take> start, Time<Axis.Take> end, String text) {
        this(start, end, text, List.of());
    }

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
        Length room = end.since(start);
        double spokenSeconds = SpeechRate.DEFAULT.toSay(text, false).seconds();
        // Captions often stay up after the last word: a line is never stretched beyond a slow reading of it.
        double seconds = Math.min(room.seconds(), Math.max(spokenSeconds * 1.6, 0.2));
        int total = Math.max(1, SpeechRate.syllables(text));
        List<Word> words = new ArrayList<>();
        int before = 0;
        for (String part : parts) {
            int syllables = SpeechRate.syllables(part);
            Time<Axis.Take> from = start.plus(Length.ofSeconds(seconds * before / total));
            before += syllables;
            words.add(new Word(from, start.plus(Length.ofSeconds(seconds * before / total)), part));
        }
        return words;
    }
}
