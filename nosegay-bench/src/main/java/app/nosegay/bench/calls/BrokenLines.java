package app.nosegay.bench.calls;

import app.nosegay.captions.Caption;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** A transcript as a host's own captions show it: small letters, no marks, short lines broken anywhere. */
final class BrokenLines {
    /** A pause of so many seconds ends a line. */
    private static final double PAUSE_SECONDS = 2;

    private static final Length SHORTEST = Length.ofMillis(300);

    private BrokenLines() {}

    static List<Caption> of(List<Caption> captions, int wordsALine) {
        List<Caption.Word> words = captions.stream()
                .flatMap(c -> c.words().stream())
                .map(w -> new Caption.Word(w.start(), w.end(), plain(w.text())))
                .filter(w -> !w.text().isEmpty())
                .toList();
        List<Caption> lines = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= words.size(); i++) {
            boolean ends = i == words.size()
                    || i - from == wordsALine
                    || words.get(i).start().since(words.get(i - 1).start()).seconds() >= PAUSE_SECONDS;
            if (ends) {
                Time<Axis.Take> start = words.get(from).start();
                Time<Axis.Take> next = i < words.size()
                        ? words.get(i).start()
                        : words.get(i - 1).end();
                Time<Axis.Take> end = next.since(start).compareTo(SHORTEST) < 0 ? start.plus(SHORTEST) : next;
                String text = String.join(
                        " ",
                        words.subList(from, i).stream().map(Caption.Word::text).toList());
                lines.add(new Caption(start, end, text));
                from = i;
            }
        }
        return lines;
    }

    private static String plain(String word) {
        return word.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}'-]", "");
    }
}
