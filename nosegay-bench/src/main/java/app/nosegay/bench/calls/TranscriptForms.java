package app.nosegay.bench.calls;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.SpokenWords;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;

/**
 * The same speech as other programs write it down: without marks, with lines broken anywhere, in long captions. What is called in it stays
 * the same.
 */
public final class TranscriptForms {
    /** A pause of so many seconds ends a line. */
    private static final double PAUSE_SECONDS = 2;

    private static final Length SHORTEST = Length.ofMillis(300);

    private TranscriptForms() {}

    /** A form and how far its times may be off, in seconds. */
    public enum Form {
        AS_IS(0),
        STRIPPED(0),
        /** Automatic captions: no marks, short lines broken anywhere. */
        BROKEN(0),
        /** Marks, but captions of 2 to 40 s: words lie somewhere inside. */
        MERGED(MERGED_SLACK),
        STRIPPED_AND_MERGED(MERGED_SLACK),
        /** Long captions of a recording in which the voice was heard. */
        MERGED_AND_HEARD(0),
        STRIPPED_MERGED_AND_HEARD(0);

        private final double slack;

        Form(double slack) {
            this.slack = slack;
        }

        public double slack() {
            return slack;
        }

        /** {@code captions} in this form. */
        public List<Caption> of(List<Caption> captions, long seed) {
            return switch (this) {
                case AS_IS -> captions;
                case STRIPPED -> stripped(captions);
                case BROKEN -> broken(captions, WORDS_A_LINE);
                case MERGED -> merged(captions, new Random(seed));
                case STRIPPED_AND_MERGED -> merged(stripped(captions), new Random(seed));
                case MERGED_AND_HEARD -> SpokenWords.laid(MERGED.of(captions, seed), voice(captions, new Random(seed)));
                case STRIPPED_MERGED_AND_HEARD ->
                    SpokenWords.laid(STRIPPED_AND_MERGED.of(captions, seed), voice(captions, new Random(seed)));
            };
        }
    }

    /** Speech has pauses, and a long caption does not say where. */
    private static final double MERGED_SLACK = 4;
    /** A host's captions hold about so many words a line. */
    private static final int WORDS_A_LINE = 7;

    private static final double SHORTEST_MERGED = 2;
    private static final double LONGEST_MERGED = 40;

    /** A voice that begins or ends is noticed so much too early or late, in seconds (standard deviation). */
    private static final double NOTICED_SECONDS = 0.1;
    /** Shorter breaths are not noticed. */
    private static final Length BREATH = Length.ofMillis(260);
    /** How much longer than usual a slow speaker takes. */
    private static final double SLOW = 1.3;

    /** When somebody is heard speaking who says these words as the captions tell. */
    private static List<Span<Axis.Take>> voice(List<Caption> captions, Random random) {
        List<Span<Axis.Take>> voice = new ArrayList<>();
        List<Caption.Word> words =
                captions.stream().flatMap(c -> c.words().stream()).toList();
        for (Caption.Word word : words) {
            // No word is drawn out: who counts is silent between the numbers.
            Length said = SpeechRate.DEFAULT.toSay(word.text(), true).times(SLOW);
            Time<Axis.Take> from = noticed(word.start(), random);
            Time<Axis.Take> to = noticed(Time.min(word.end(), word.start().plus(said)), random);
            int last = voice.size() - 1;
            if (last >= 0 && from.since(voice.get(last).end()).compareTo(BREATH) < 0) {
                voice.set(
                        last,
                        new Span<>(
                                voice.get(last).start(),
                                Time.max(to, voice.get(last).end())));
            } else if (to.isAfter(from)) {
                voice.add(new Span<>(from, to));
            }
        }
        return voice;
    }

    private static Time<Axis.Take> noticed(Time<Axis.Take> at, Random random) {
        return Time.max(Time.zero(), at.plus(Length.ofSeconds(NOTICED_SECONDS * random.nextGaussian())));
    }

    /** Small letters and no marks. */
    static List<Caption> stripped(List<Caption> captions) {
        return captions.stream()
                .map(c -> new Caption(
                        c.start(),
                        c.end(),
                        String.join(
                                " ",
                                Stream.of(c.text().split("\\s+"))
                                        .map(TranscriptForms::plain)
                                        .filter(w -> !w.isEmpty())
                                        .toList())))
                .filter(c -> !c.text().isEmpty())
                .toList();
    }

    /** Several captions in one, of any length up to forty seconds. */
    static List<Caption> merged(List<Caption> captions, Random random) {
        List<Caption> merged = new ArrayList<>();
        int i = 0;
        while (i < captions.size()) {
            double length = SHORTEST_MERGED + random.nextDouble() * (LONGEST_MERGED - SHORTEST_MERGED);
            Time<Axis.Take> start = captions.get(i).start();
            int to = i + 1;
            while (to < captions.size() && captions.get(to).end().since(start).seconds() < length) {
                to++;
            }
            String text = String.join(
                    " ", captions.subList(i, to).stream().map(Caption::text).toList());
            merged.add(new Caption(start, captions.get(to - 1).end(), text));
            i = to;
        }
        return merged;
    }

    static List<Caption> broken(List<Caption> captions, int wordsALine) {
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
