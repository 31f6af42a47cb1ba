package app.nosegay.cut;

import app.nosegay.captions.Caption;
import app.nosegay.cut.MatchNotes.Mute;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Words that are said in a take and not to be heard in the finished video. */
public final class Muting {
    /** Whoever pauses this long has said a clause to its end. */
    private static final Length PAUSE = Length.ofMillis(350);
    /** More is not taken out around a few words, where nobody pauses and nothing is punctuated. */
    private static final int MOST_WORDS = 14;

    private static final String STOPS = ".!?;";

    private Muting() {}

    /** A question to a take: its words without these. */
    private record Muted(List<Mute> mutes) {}

    /** The takes without the words that are muted; the same takes where nothing is. */
    public static List<TakeEvidence> heard(List<TakeEvidence> takes, List<Mute> mutes) {
        if (mutes.isEmpty()) {
            return takes;
        }
        return takes.stream()
                .map(take -> {
                    List<Mute> own = mutes.stream()
                            .filter(m -> m.take().equals(take.id()))
                            .toList();
                    return own.isEmpty()
                            ? take
                            : take.derived().get(1, new Muted(own), () -> take.withWords(heard(take, own)));
                })
                .toList();
    }

    private static List<Caption> heard(TakeEvidence take, List<Mute> mutes) {
        List<Caption> heard = new ArrayList<>();
        for (Caption caption : take.words()) {
            List<Caption.Word> words = caption.words();
            List<Caption.Word> left =
                    words.stream().filter(w -> !isMuted(w, mutes)).toList();
            if (left.size() == words.size()) {
                heard.add(caption);
            } else if (!left.isEmpty()) {
                heard.add(Caption.of(left).by(caption.speaker()));
            }
        }
        return heard;
    }

    /** A word is muted where its middle is. */
    private static boolean isMuted(Caption.Word word, List<Mute> mutes) {
        Time<Axis.Take> middle =
                word.start().plus(word.end().since(word.start()).times(0.5));
        return mutes.stream().anyMatch(m -> m.span().contains(middle));
    }

    /**
     * The clause around what is said in a stretch of a take, so that no half sentence is left: from the full stop or pause before it to the
     * one after it. Empty where nothing is said there.
     */
    public static Optional<Mute> clause(List<TakeEvidence> takes, String take, Span<Axis.Take> said) {
        List<Caption.Word> words = takes.stream()
                .filter(t -> t.id().equals(take))
                .flatMap(t -> t.words().stream())
                .flatMap(c -> c.words().stream())
                .toList();
        int from = 0;
        while (from < words.size() && !words.get(from).end().isAfter(said.start())) {
            from++;
        }
        int to = from;
        while (to + 1 < words.size() && words.get(to + 1).start().isBefore(said.end())) {
            to++;
        }
        if (from == words.size() || !words.get(from).start().isBefore(said.end())) {
            return Optional.empty();
        }
        int first = from;
        while (from > 0 && first - from < MOST_WORDS && !isEnd(words, from - 1)) {
            from--;
        }
        int last = to;
        while (to + 1 < words.size() && to - last < MOST_WORDS && !isEnd(words, to)) {
            to++;
        }
        return Optional.of(
                new Mute(take, new Span<>(words.get(from).start(), words.get(to).end())));
    }

    /** What is said in the stretch that is muted. */
    public static String words(List<TakeEvidence> takes, Mute mute) {
        return takes.stream()
                .filter(t -> t.id().equals(mute.take()))
                .flatMap(t -> t.words().stream())
                .flatMap(c -> c.words().stream())
                .filter(w -> isMuted(w, List.of(mute)))
                .map(Caption.Word::text)
                .collect(Collectors.joining(" "));
    }

    /** Whether a clause ends with the word at {@code i}. */
    private static boolean isEnd(List<Caption.Word> words, int i) {
        String text = words.get(i).text();
        boolean stops = !text.isEmpty() && STOPS.indexOf(text.charAt(text.length() - 1)) >= 0;
        boolean pauses = i + 1 < words.size()
                && words.get(i + 1).start().since(words.get(i).end()).compareTo(PAUSE) >= 0;
        return stops || pauses;
    }
}
