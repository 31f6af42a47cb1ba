package app.nosegay.match;

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
 */
public record Caption(Time<Axis.Take> start, Time<Axis.Take> end, String text) {
    /** One word at its time. */
    public record Word(Time<Axis.Take> start, Time<Axis.Take> end, String text) {}

    /** The words, their times interpolated by syllables inside the caption. */
    public List<Word> words() {
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
