package app.nosegay.listen;

import app.nosegay.captions.Caption;
import app.nosegay.match.Match;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BiConsumer;
import java.util.function.DoubleConsumer;

/**
 * Listens for the lines of the script near the places where they are expected, and gives those it hears as a transcript with word times.
 */
public final class ScriptListener {
    /** Samples per second of the sound to listen to; mono. */
    public static final int HZ = SpeechRecognizer.HZ;
    /** A line is looked for this far from its place, in seconds: people say cues early and late. */
    private static final double REACH = 8;
    /** Where the place itself is in doubt, it is looked for further away. */
    private static final double REACH_IN_DOUBT = 25;

    private static final double DOUBT = 0.3;
    /** More lines than this are not told apart well: the nearest are listened for. */
    private static final int MOST_LINES = 24;

    private static final int THREADS = Math.min(4, Runtime.getRuntime().availableProcessors());

    private ScriptListener() {}

    /**
     * A line and when it is expected.
     *
     * @param within when it may be said
     */
    public record Expected(String text, Span<Axis.Take> within) {
        double distance(Span<Axis.Take> other) {
            double middle = (within.start().seconds() + within.end().seconds()) / 2;
            return Math.abs((other.start().seconds() + other.end().seconds()) / 2 - middle);
        }
    }

    /** The lines of the script that may be heard in one take, calls among them. */
    public static List<Expected> expected(Timeline timeline, CuePlan cues, Match match, String take) {
        Map<String, Match.Placed> placed = new HashMap<>();
        match.segments().forEach(p -> placed.put(p.id(), p));
        Map<String, Time<Axis.Plan>> starts = new HashMap<>();
        timeline.segments().forEach(s -> starts.put(s.id(), s.start()));
        List<Expected> expected = new ArrayList<>();
        for (ScriptLine line : cues.lines()) {
            Match.Placed p = placed.get(line.segment());
            if (p == null || !p.matched() || !p.take().equals(take)) {
                continue;
            }
            Length reach = Length.ofSeconds(p.startDoubt() > DOUBT ? REACH_IN_DOUBT : REACH);
            Time<Axis.Take> at = p.start().plus(line.start().since(starts.get(line.segment())));
            expected.add(new Expected(
                    line.text(),
                    new Span<>(at.minus(reach), at.plus(line.spoken()).plus(reach))));
        }
        return expected;
    }

    /**
     * What of {@code lines} is said in {@code sound}.
     *
     * @param sound mono samples at {@link #HZ}, −1 to 1, from take time 0
     * @param progress told how much is done, 0 to 1, from the calling thread; what it throws ends the listening
     * @return captions with word times, in order; nothing that is not in the script
     */
    public static List<Caption> listen(float[] sound, List<Expected> lines, DoubleConsumer progress) {
        List<Utterances.Stretch> stretches = Utterances.of(sound);
        Map<Integer, List<Caption>> heard = new ConcurrentHashMap<>();
        AtomicInteger next = new AtomicInteger();
        AtomicInteger done = new AtomicInteger();
        ExecutorService pool = Executors.newFixedThreadPool(THREADS, r -> {
            Thread thread = new Thread(r, "listening");
            thread.setDaemon(true);
            return thread;
        });
        try {
            List<Future<?>> recognizers = new ArrayList<>();
            for (int i = 0; i < Math.min(THREADS, stretches.size()); i++) {
                recognizers.add(pool.submit(() -> hearAll(next, stretches.size(), (recognizer, s) -> {
                    heard.put(s, hear(recognizer, sound, stretches.get(s), lines));
                    done.incrementAndGet();
                })));
            }
            await(recognizers, done, stretches.size(), progress);
        } finally {
            pool.shutdownNow();
        }
        List<Caption> captions = new ArrayList<>();
        heard.values().forEach(captions::addAll);
        captions.sort(Comparator.comparing(Caption::start));
        return captions;
    }

    /** Takes one stretch after the other until there is none left, or nobody wants them any more. */
    private static void hearAll(AtomicInteger next, int all, BiConsumer<SpeechRecognizer, Integer> hear) {
        SpeechRecognizer recognizer = SpeechRecognizer.idle();
        for (int s = next.getAndIncrement(); s < all && !Thread.interrupted(); s = next.getAndIncrement()) {
            hear.accept(recognizer, s);
        }
        // One that failed is not used again.
        recognizer.rest();
    }

    private static void await(List<Future<?>> recognizers, AtomicInteger done, int all, DoubleConsumer progress) {
        for (Future<?> recognizer : recognizers) {
            while (!recognizer.isDone()) {
                progress.accept(all == 0 ? 1 : done.get() / (double) all);
                try {
                    recognizer.get(200, TimeUnit.MILLISECONDS);
                } catch (TimeoutException e) {
                    // Not yet: told above how far it is.
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                    return;
                } catch (ExecutionException e) {
                    throw new IllegalStateException("listening failed: " + e.getCause(), e.getCause());
                }
            }
        }
    }

    private static List<Caption> hear(
            SpeechRecognizer recognizer, float[] sound, Utterances.Stretch stretch, List<Expected> lines) {
        Span<Axis.Take> span = new Span<>(at(stretch.from()), at(stretch.to()));
        List<SpokenText> near = lines.stream()
                .filter(l -> l.within().start().isBefore(span.end())
                        && span.start().isBefore(l.within().end()))
                .sorted(Comparator.comparingDouble(l -> l.distance(span)))
                .limit(MOST_LINES)
                .map(l -> SpokenText.of(l.text()))
                .filter(t -> t.size() > 0)
                .distinct()
                .toList();
        if (near.isEmpty()) {
            return List.of();
        }
        List<SpeechRecognizer.Word> words =
                recognizer.hear(near.stream().map(SpokenText::clauses).toList(), sound, stretch.from(), stretch.to());
        List<Caption> captions = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= words.size(); i++) {
            boolean ends = i == words.size()
                    || words.get(i).line() != words.get(i - 1).line()
                    || words.get(i).place() <= words.get(i - 1).place();
            if (ends) {
                SpokenText text = near.get(words.get(from).line());
                int whole = i;
                // The sound ended before the clause did: its first words fit by chance.
                while (whole > from && !text.endsClause(words.get(whole - 1).place())) {
                    whole--;
                }
                if (whole > from) {
                    captions.add(caption(text, words.subList(from, whole), span.start()));
                }
                from = i;
            }
        }
        return captions;
    }

    /** The written words from the first to the last that was heard, each from its first spoken word to its last. */
    private static Caption caption(SpokenText text, List<SpeechRecognizer.Word> words, Time<Axis.Take> from) {
        List<Caption.Word> written = new ArrayList<>();
        int token = -1;
        for (SpeechRecognizer.Word w : words) {
            int own = text.token()[w.place()];
            Time<Axis.Take> end = from.plus(Length.ofSeconds(w.end()));
            if (own == token) {
                Caption.Word before = written.remove(written.size() - 1);
                written.add(new Caption.Word(before.start(), end, before.text()));
            } else {
                written.add(new Caption.Word(
                        from.plus(Length.ofSeconds(w.start())),
                        end,
                        text.tokens().get(own)));
            }
            token = own;
        }
        return Caption.of(written);
    }

    private static Time<Axis.Take> at(int sample) {
        return Time.ofSeconds(sample / (double) HZ);
    }
}
