package app.nosegay.listen;

import edu.cmu.sphinx.frontend.util.StreamDataSource;
import edu.cmu.sphinx.recognizer.Recognizer;
import edu.cmu.sphinx.result.Result;
import edu.cmu.sphinx.result.WordResult;
import edu.cmu.sphinx.util.props.ConfigurationManager;
import java.io.ByteArrayInputStream;
import java.lang.ref.SoftReference;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.Random;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.logging.Level;
import java.util.logging.Logger;

/** Tells which of a few lines were said in a stretch of sound, and when each word was. Not thread-safe; making one takes some seconds. */
final class SpeechRecognizer {
    static final int HZ = 16_000;

    /** The recogniser tells its whole life; a logger is only quiet while someone holds it. */
    private static final List<Logger> TALK =
            List.of(Logger.getLogger("edu.cmu.sphinx"), Logger.getLogger("listen.config"));

    /** Made before and not at work, for the next recording; the memory is given back where it is wanted. */
    private static final Queue<SoftReference<SpeechRecognizer>> IDLE = new ConcurrentLinkedQueue<>();

    private final Recognizer recognizer;
    private final LineGrammar grammar;
    private final StreamDataSource source;

    private SpeechRecognizer() {
        TALK.forEach(logger -> logger.setLevel(Level.OFF));
        ConfigurationManager parts = new ConfigurationManager(SpeechRecognizer.class.getResource("listen.config.xml"));
        recognizer = (Recognizer) parts.lookup("recognizer");
        grammar = (LineGrammar) parts.lookup("grammar");
        source = (StreamDataSource) parts.lookup("dataSource");
        recognizer.allocate();
    }

    /** One that is not at work, or a new one. */
    static SpeechRecognizer idle() {
        for (SoftReference<SpeechRecognizer> kept = IDLE.poll(); kept != null; kept = IDLE.poll()) {
            SpeechRecognizer made = kept.get();
            if (made != null) {
                return made;
            }
        }
        return new SpeechRecognizer();
    }

    /** Nothing more is to be heard now. */
    void rest() {
        IDLE.add(new SoftReference<>(this));
    }

    /**
     * One word heard.
     *
     * @param line which of the lines it belongs to
     * @param place its place in the line, from 0
     * @param start seconds from the start of the sound
     * @param end seconds from the start of the sound
     */
    record Word(int line, int place, double start, double end) {}

    /**
     * The words of {@code lines} heard in {@code sound}; empty when something else was said.
     *
     * @param lines lines of clauses of words
     * @param sound mono samples at {@link #HZ}, −1 to 1
     */
    List<Word> hear(List<List<List<String>>> lines, float[] sound, int from, int to) {
        grammar.listenFor(marked(lines));
        source.setInputStream(new ByteArrayInputStream(pcm(sound, from, to)));
        List<Word> words = new ArrayList<>();
        for (Result result = recognizer.recognize(); result != null; result = recognizer.recognize()) {
            for (WordResult w : result.getTimedBestResult(false)) {
                String[] parts = w.getWord().getSpelling().split("#");
                if (parts.length == 3) {
                    words.add(new Word(
                            Integer.parseInt(parts[1]),
                            Integer.parseInt(parts[2]),
                            w.getTimeFrame().getStart() / 1000.0,
                            w.getTimeFrame().getEnd() / 1000.0));
                }
            }
        }
        return words;
    }

    private static List<List<List<String>>> marked(List<List<List<String>>> lines) {
        List<List<List<String>>> marked = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            List<List<String>> clauses = new ArrayList<>();
            int place = 0;
            for (List<String> clause : lines.get(i)) {
                List<String> words = new ArrayList<>();
                for (String word : clause) {
                    words.add(word + "#" + i + "#" + place++);
                }
                clauses.add(words);
            }
            marked.add(clauses);
        }
        return marked;
    }

    /** A gate leaves nothing at all between words; the recogniser, which computes in logarithms, needs a room's quiet there: −74 dBFS. */
    private static final double HISS = 0.0002;

    private static byte[] pcm(float[] sound, int from, int to) {
        Random random = new Random(from);
        byte[] bytes = new byte[2 * (to - from)];
        for (int i = from; i < to; i++) {
            double hiss = HISS * random.nextGaussian();
            int value = (int) Math.round(Math.max(-1, Math.min(1, sound[i] + hiss)) * 32767);
            bytes[2 * (i - from)] = (byte) value;
            bytes[2 * (i - from) + 1] = (byte) (value >> 8);
        }
        return bytes;
    }
}
