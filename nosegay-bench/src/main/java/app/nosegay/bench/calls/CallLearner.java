package app.nosegay.bench.calls;

import app.nosegay.calls.CallKind;
import app.nosegay.calls.learnt.CallLineFeatures;
import app.nosegay.calls.learnt.CallLines;
import app.nosegay.calls.learnt.CallModel;
import app.nosegay.calls.learnt.NumberFeatures;
import app.nosegay.calls.reader.CallReader;
import app.nosegay.captions.Caption;
import app.nosegay.library.MoveLibrary;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import de.bwaldvogel.liblinear.Feature;
import de.bwaldvogel.liblinear.FeatureNode;
import de.bwaldvogel.liblinear.Linear;
import de.bwaldvogel.liblinear.Model;
import de.bwaldvogel.liblinear.Parameter;
import de.bwaldvogel.liblinear.Problem;
import de.bwaldvogel.liblinear.SolverType;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.zip.CRC32;
import java.util.zip.GZIPOutputStream;

/** Learns the two models ({@link CallModel}) from the sheets of spoken calls. {@code ./nosegay bench --learn-calls} runs it. */
public final class CallLearner {
    /** A trait of fewer lines is an accident. */
    private static final int FEWEST_LINES = 8;
    /**
     * How little the weights are held back: with more, likelihoods are too sure on other recordings (tried on five hundred calls left
     * out).
     */
    private static final double COST = 0.3;

    private static final double PRECISION = 1e-3;
    /** Shorter lines may be part of a count. */
    private static final int FEWEST_WORDS_OF_TALK = 5;
    /** Pauses from here on hold a line of talk, in seconds. */
    private static final double LONG_ENOUGH_FOR_TALK = 6;
    /** Words have their times by syllables: a number may seem to be said so many seconds outside its line. */
    private static final double ROUNDED = 0.3;
    /** A host's captions hold about so many words a line. */
    private static final int WORDS_A_LINE = 7;

    /**
     * A line of a sheet, or a number.
     *
     * @param calls what is called in it, or made of it
     */
    record Example(Set<String> traits, Set<String> calls) {}

    private CallLearner() {}

    /** A name for these examples: of others it is another. */
    static String fingerprint(List<Example> examples) {
        CRC32 crc = new CRC32();
        for (Example example : examples) {
            crc.update((new TreeSet<>(example.traits()) + "" + example.calls()).getBytes(StandardCharsets.UTF_8));
        }
        return examples.size() + " lines, " + Long.toHexString(crc.getValue());
    }

    /** What is learnt. */
    public record Learnt(CallModel ofLines, CallModel ofNumbers) {
        public void write(Path folder) throws IOException {
            write(ofLines, folder.resolve("calls.model.gz"));
            write(ofNumbers, folder.resolve("numbers.model.gz"));
        }

        private static void write(CallModel model, Path file) throws IOException {
            try (OutputStream out = new GZIPOutputStream(Files.newOutputStream(file))) {
                out.write(model.written().getBytes(StandardCharsets.UTF_8));
            }
        }
    }

    /**
     * Learnt from {@code sheets} line by line, and then from their sentences and numbers, also as a host's captions show them: without
     * marks, broken anywhere.
     */
    public static Learnt learnt(List<String> sheets) throws IOException {
        List<Example> lines = new ArrayList<>();
        List<Example> plain = new ArrayList<>();
        List<CallSheet.Recording> recordings = new ArrayList<>();
        for (String sheet : sheets) {
            lines.addAll(examples(sheet));
            plain.addAll(numbers(sheet));
            recordings.addAll(CallSheet.read(sheet));
        }
        CallModel first = learn("lines", lines);
        List<String> talk = talk(recordings);
        Random random = new Random(1);
        List<Example> pieces = new ArrayList<>();
        List<Example> numbers = new ArrayList<>();
        for (CallSheet.Recording recording : recordings) {
            List<Caption> captions = recording.captions();
            CallSheet.Recording talkative = talkedOver(recording, talk, random);
            Map<List<Caption>, CallSheet.Recording> ways = new LinkedHashMap<>();
            ways.put(captions, recording);
            ways.put(BrokenLines.of(captions, WORDS_A_LINE), recording);
            ways.put(talkative.captions(), talkative);
            ways.forEach((way, of) -> {
                List<Caption> sentences = CallLines.of(way);
                CallLineFeatures traits = traits(sentences);
                pieces.addAll(pieces(sentences, traits, of, first));
                numbers.addAll(numbers(way, traits, of));
            });
        }
        return new Learnt(learn(fingerprint(lines), pieces), learn(fingerprint(plain), numbers));
    }

    /** The numbers of {@code sheet}, each with what is made of it. */
    static List<Example> numbers(String sheet) throws IOException {
        List<Example> examples = new ArrayList<>();
        for (CallSheet.Recording recording : CallSheet.read(sheet)) {
            List<Caption> captions = recording.captions();
            examples.addAll(numbers(captions, traits(CallLines.of(captions)), recording));
        }
        return examples;
    }

    /** The numbers of {@code captions}; a call is made of the first of its line that is not of another. */
    private static List<Example> numbers(
            List<Caption> captions, CallLineFeatures traits, CallSheet.Recording recording) {
        NumberFeatures numbers = NumberFeatures.of(captions, traits);
        List<Set<String>> calls = new ArrayList<>();
        for (int i = 0; i < numbers.size(); i++) {
            calls.add(new TreeSet<>());
        }
        for (CallSheet.Expected call : recording.expected()) {
            String[] words = call.call().split(" ");
            CallKind kind = kind(call.call());
            String of = kind == CallKind.TOTAL ? words[2] : null;
            for (int i = 0; i < numbers.size() && CallModel.NUMBERED.contains(kind); i++) {
                boolean said = numbers.seconds(i) >= call.seconds() - ROUNDED
                        && numbers.seconds(i) < call.until() + ROUNDED
                        && String.valueOf(numbers.value(i, kind, of)).equals(words[1].split("(?<=\\d)-")[0]);
                if (said && !calls.get(i).contains(CallModel.label(kind, of))) {
                    calls.get(i).addAll(labels(call.call()));
                    break;
                }
            }
        }
        List<Example> examples = new ArrayList<>();
        for (int i = 0; i < numbers.size(); i++) {
            examples.add(new Example(numbers.of(i), calls.get(i)));
        }
        return examples;
    }

    /** The lines of {@code sheet}, each with what is called in it. */
    static List<Example> examples(String sheet) throws IOException {
        List<Example> examples = new ArrayList<>();
        for (CallSheet.Recording recording : CallSheet.read(sheet)) {
            List<Caption> captions = recording.captions();
            CallLineFeatures traits = traits(captions);
            for (int i = 0; i < captions.size(); i++) {
                double start = captions.get(i).start().seconds();
                Set<String> calls = new TreeSet<>();
                recording.expected().stream()
                        .filter(e -> e.seconds() == start)
                        .forEach(e -> calls.addAll(labels(e.call())));
                examples.add(new Example(traits.of(i), calls));
            }
        }
        return examples;
    }

    /** The library as it was when the sheets were written: what is learnt from it does not change with every new wording. */
    private static MoveLibrary cuesOfTheSheets() {
        try (InputStream in = CallLearner.class.getResourceAsStream("moves-of-the-sheets.json")) {
            return MoveLibrary.read(in);
        } catch (IOException e) {
            throw new UncheckedIOException("moves-of-the-sheets.json cannot be read", e);
        }
    }

    /** What is said besides: lines without a call, and the cues of the library. */
    private static List<String> talk(List<CallSheet.Recording> recordings) {
        List<String> talk = new ArrayList<>();
        for (CallSheet.Recording recording : recordings) {
            Set<Double> called = recording.expected().stream()
                    .map(CallSheet.Expected::seconds)
                    .collect(Collectors.toSet());
            recording.captions().stream()
                    .filter(c -> !called.contains(c.start().seconds()))
                    .map(Caption::text)
                    .filter(t -> t.split(" ").length >= FEWEST_WORDS_OF_TALK)
                    .forEach(talk::add);
        }
        cuesOfTheSheets().moves().forEach(m -> m.cues().values().forEach(talk::addAll));
        return talk;
    }

    /** The same with more talk in its pauses: most people say far more than what is called. */
    private static CallSheet.Recording talkedOver(CallSheet.Recording recording, List<String> talk, Random random) {
        List<Caption> lines = new ArrayList<>();
        Map<Double, Double> ends = new HashMap<>();
        for (Caption caption : recording.captions()) {
            double free = caption.end().since(caption.start()).seconds();
            if (free < LONG_ENOUGH_FOR_TALK) {
                lines.add(caption);
            } else {
                Time<Axis.Take> middle = caption.start().plus(Length.ofSeconds(free / 2));
                lines.add(new Caption(caption.start(), middle, caption.text()));
                lines.add(new Caption(middle, caption.end(), talk.get(random.nextInt(talk.size()))));
                ends.put(caption.start().seconds(), middle.seconds());
            }
        }
        List<CallSheet.Expected> expected = recording.expected().stream()
                .map(e -> new CallSheet.Expected(e.call(), e.seconds(), ends.getOrDefault(e.seconds(), e.until())))
                .toList();
        return new CallSheet.Recording(lines, expected);
    }

    private static CallLineFeatures traits(List<Caption> captions) {
        List<String> moves = MoveLibrary.shipped().heardNames();
        return new CallLineFeatures(captions, moves).with(CallReader.byPatterns(captions, moves));
    }

    /** Other lines of the same; a call is in that of its line's pieces that {@code model} finds most like one. */
    private static List<Example> pieces(
            List<Caption> captions, CallLineFeatures traits, CallSheet.Recording recording, CallModel model) {
        List<Set<String>> calls = new ArrayList<>();
        captions.forEach(c -> calls.add(new TreeSet<>()));
        for (CallSheet.Expected call : recording.expected()) {
            int best = -1;
            double most = -1;
            for (int i = 0; i < captions.size(); i++) {
                boolean overlaps = captions.get(i).end().seconds() > call.seconds()
                        && captions.get(i).start().seconds() < call.until();
                double likely = overlaps ? model.likely(traits.of(i)).of(kind(call.call())) : -1;
                if (likely > most) {
                    most = likely;
                    best = i;
                }
            }
            if (best >= 0) {
                calls.get(best).addAll(labels(call.call()));
            }
        }
        List<Example> examples = new ArrayList<>();
        for (int i = 0; i < captions.size(); i++) {
            examples.add(new Example(traits.of(i), calls.get(i)));
        }
        return examples;
    }

    private static CallKind kind(String call) {
        return CallKind.valueOf(call.split(" ")[0].toUpperCase(Locale.ROOT).replace('-', '_'));
    }

    /** A call's kind, and with it what it is of. */
    private static List<String> labels(String call) {
        CallKind kind = kind(call);
        boolean isOf = kind == CallKind.TOTAL || kind == CallKind.HALF_WAY;
        String of = call.substring(call.lastIndexOf(' ') + 1);
        return isOf
                ? List.of(CallModel.label(kind, null), CallModel.label(kind, of))
                : List.of(CallModel.label(kind, null));
    }

    static CallModel learn(String madeOf, List<Example> examples) {
        Map<String, Integer> many = new HashMap<>();
        examples.forEach(e -> e.traits().forEach(t -> many.merge(t, 1, Integer::sum)));
        Map<String, Integer> numbers = new TreeMap<>();
        many.forEach((trait, lines) -> {
            if (lines >= FEWEST_LINES) {
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
        examples.forEach(e -> labels.addAll(e.calls()));
        Linear.disableDebugOutput();
        labels.parallelStream().forEach(label -> {
            Problem problem = new Problem();
            problem.l = examples.size();
            problem.n = numbers.size() + 1;
            problem.bias = 1;
            problem.x = x;
            problem.y = examples.stream()
                    .mapToDouble(e -> e.calls().contains(label) ? 1 : -1)
                    .toArray();
            Model model = Linear.train(problem, new Parameter(SolverType.L2R_LR, COST, PRECISION));
            double sign = model.getLabels()[0] == 1 ? 1 : -1;
            double[] weights = model.getFeatureWeights();
            Map<String, Double> of = new HashMap<>();
            numbers.forEach((trait, number) -> of.put(trait, sign * weights[number - 1]));
            learnt.put(label, of);
            always.put(label, sign * weights[numbers.size()]);
        });
        return CallModel.of(madeOf, learnt, always);
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
