package app.nosegay.bench.calls;

import app.nosegay.captions.Caption;
import app.nosegay.captions.LogisticModel;
import app.nosegay.captions.SentenceMarks;
import de.bwaldvogel.liblinear.Feature;
import de.bwaldvogel.liblinear.FeatureNode;
import de.bwaldvogel.liblinear.Linear;
import de.bwaldvogel.liblinear.Model;
import de.bwaldvogel.liblinear.Parameter;
import de.bwaldvogel.liblinear.Problem;
import de.bwaldvogel.liblinear.SolverType;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.zip.GZIPOutputStream;

/**
 * Learns where full stops and commas belong ({@link SentenceMarks}) from the sheets that have them. {@code ./nosegay bench --learn-marks}
 * runs it.
 */
public final class MarksLearner {
    private static final Pattern STOPS = Pattern.compile(".*[.!?;:…—–]\\W*");
    private static final Pattern PAUSES = Pattern.compile(".*,\\W*");
    /** Whoever writes marks puts one behind at least every eighth word. */
    private static final double MARKED = 0.12;
    /** Lines of other captions end after so many words, give or take two. */
    private static final int WORDS_A_LINE = 7;

    /** A trait of fewer words is an accident. */
    private static final int FEWEST = 8;
    /** How little the weights are held back; 1 and 3 gave the same on sheets left out, with larger models. */
    private static final double COST = 0.3;

    private static final double PRECISION = 1e-3;

    /** The gap behind a word and the mark in it. */
    private record Example(Set<String> traits, Set<String> marks) {}

    private MarksLearner() {}

    /** Learns from {@code sheets} and writes the model to {@code folder} as it is shipped. */
    public static void write(List<String> sheets, Path folder) throws IOException {
        try (OutputStream out = new GZIPOutputStream(Files.newOutputStream(folder.resolve("marks.model.gz")))) {
            out.write(learnt(sheets).written().getBytes(StandardCharsets.UTF_8));
        }
    }

    /** Learnt from {@code sheets}, with lines that end where they do, anywhere, and nowhere. */
    static LogisticModel learnt(List<String> sheets) throws IOException {
        List<Example> examples = new ArrayList<>();
        Random random = new Random(1);
        for (String sheet : sheets) {
            for (CallSheet.Recording recording : CallSheet.read(sheet)) {
                if (isMarked(recording.captions())) {
                    List<Set<String>> marks = marks(recording.captions());
                    List<SentenceMarks.Spoken> words = SentenceMarks.words(recording.captions());
                    add(words, marks, examples);
                    add(broken(words, random), marks, examples);
                    add(broken(words, null), marks, examples);
                }
            }
        }
        return learn(examples);
    }

    private static void add(List<SentenceMarks.Spoken> words, List<Set<String>> marks, List<Example> examples) {
        for (int i = 0; i < words.size(); i++) {
            examples.add(new Example(SentenceMarks.traits(words, i), marks.get(i)));
        }
    }

    private static List<Set<String>> marks(List<Caption> captions) {
        List<Set<String>> marks = new ArrayList<>();
        for (Caption caption : captions) {
            for (String word : caption.text().isBlank()
                    ? new String[0]
                    : caption.text().strip().split("\\s+")) {
                marks.add(
                        STOPS.matcher(word).matches()
                                ? Set.of(SentenceMarks.STOP)
                                : PAUSES.matcher(word).matches() ? Set.of(SentenceMarks.COMMA) : Set.of());
            }
        }
        return marks;
    }

    private static boolean isMarked(List<Caption> captions) {
        List<Set<String>> marks = marks(captions);
        return marks.stream().filter(m -> !m.isEmpty()).count() >= MARKED * marks.size();
    }

    /** With lines that end anywhere; without {@code random} nowhere. */
    private static List<SentenceMarks.Spoken> broken(List<SentenceMarks.Spoken> words, Random random) {
        List<SentenceMarks.Spoken> broken = new ArrayList<>();
        int left = WORDS_A_LINE;
        for (SentenceMarks.Spoken word : words) {
            left--;
            boolean ends = random != null && left == 0;
            left = ends ? WORDS_A_LINE - 2 + random.nextInt(5) : left;
            broken.add(new SentenceMarks.Spoken(word.word(), ends));
        }
        return broken;
    }

    private static LogisticModel learn(List<Example> examples) {
        Map<String, Integer> many = new HashMap<>();
        examples.forEach(e -> e.traits().forEach(t -> many.merge(t, 1, Integer::sum)));
        Map<String, Integer> numbers = new TreeMap<>();
        many.forEach((trait, times) -> {
            if (times >= FEWEST) {
                numbers.put(trait, 0);
            }
        });
        int next = 1;
        for (Map.Entry<String, Integer> trait : numbers.entrySet()) {
            trait.setValue(next++);
        }
        Feature[][] x = examples.stream().map(e -> line(e, numbers)).toArray(Feature[][]::new);
        Map<String, Map<String, Double>> learnt = Collections.synchronizedMap(new TreeMap<>());
        Map<String, Double> always = Collections.synchronizedMap(new TreeMap<>());
        Set<String> labels = new TreeSet<>();
        examples.forEach(e -> labels.addAll(e.marks()));
        Linear.disableDebugOutput();
        labels.parallelStream().forEach(label -> {
            Problem problem = new Problem();
            problem.l = examples.size();
            problem.n = numbers.size() + 1;
            problem.bias = 1;
            problem.x = x;
            problem.y = examples.stream()
                    .mapToDouble(e -> e.marks().contains(label) ? 1 : -1)
                    .toArray();
            Model model = Linear.train(problem, new Parameter(SolverType.L2R_LR, COST, PRECISION));
            double sign = model.getLabels()[0] == 1 ? 1 : -1;
            double[] weights = model.getFeatureWeights();
            Map<String, Double> of = new HashMap<>();
            numbers.forEach((trait, number) -> of.put(trait, sign * weights[number - 1]));
            learnt.put(label, of);
            always.put(label, sign * weights[numbers.size()]);
        });
        return LogisticModel.of(learnt, always);
    }

    private static Feature[] line(Example example, Map<String, Integer> numbers) {
        List<Integer> there = new ArrayList<>(example.traits().stream()
                .map(numbers::get)
                .filter(n -> n != null)
                .sorted()
                .toList());
        there.add(numbers.size() + 1);
        return there.stream().map(n -> (Feature) new FeatureNode(n, 1)).toArray(Feature[]::new);
    }
}
