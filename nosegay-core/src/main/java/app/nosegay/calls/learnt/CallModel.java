package app.nosegay.calls.learnt;

import app.nosegay.calls.CallKind;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.zip.GZIPInputStream;

/**
 * How likely a line of a transcript is to hold a call of each kind, or a number to be of one, and of what: a logistic regression for each
 * over {@link CallLineFeatures} or {@link NumberFeatures}, learnt from recordings written out by hand. Fan, Chang, Hsieh, Wang, Lin:
 * LIBLINEAR, JMLR 9 (2008).
 */
public final class CallModel {
    /** Weights are kept in steps of this. */
    private static final double STEP = 0.01;
    /** Stands for what every line has. */
    private static final String ALWAYS = "always";

    /** What a number can be of. */
    public static final List<CallKind> NUMBERED =
            List.of(CallKind.TOTAL, CallKind.ORDINAL, CallKind.SECONDS_LEFT, CallKind.REPS_LEFT, CallKind.ROUNDS_LEFT);

    /** Read when first asked for. */
    private static final class Shipped {
        private static final CallModel LINES = read("calls.model.gz");
        private static final CallModel NUMBERS = read("numbers.model.gz");
    }

    private final String madeOf;
    private final List<String> labels;
    private final Map<String, Integer> places = new HashMap<>();
    private final Map<String, short[]> weights = new HashMap<>();

    private CallModel(String madeOf, List<String> labels) {
        this.madeOf = madeOf;
        this.labels = List.copyOf(labels);
        for (int i = 0; i < labels.size(); i++) {
            places.put(labels.get(i), i);
        }
    }

    /** The model of lines that comes with the application. */
    public static CallModel ofLines() {
        return Shipped.LINES;
    }

    /** The model of numbers that comes with the application. */
    public static CallModel ofNumbers() {
        return Shipped.NUMBERS;
    }

    /** What tells the examples it was learnt from. */
    public String madeOf() {
        return madeOf;
    }

    /** What is told apart: the kind of a call, or the kind and what it is of: "total", "total reps". */
    public static String label(CallKind kind, String of) {
        return of == null ? kind.word() : kind.word() + " " + of;
    }

    /**
     * A model of the weights that were learnt.
     *
     * @param madeOf what tells the examples it was learnt from
     * @param learnt for each label the weight of each trait
     * @param always for each label the weight of what every line has
     */
    public static CallModel of(String madeOf, Map<String, Map<String, Double>> learnt, Map<String, Double> always) {
        CallModel model = new CallModel(madeOf, new ArrayList<>(new TreeSet<>(learnt.keySet())));
        learnt.forEach((label, of) -> of.forEach((trait, weight) -> model.put(trait, label, weight)));
        always.forEach((label, weight) -> model.put(ALWAYS, label, weight));
        return model;
    }

    private void put(String trait, String label, double weight) {
        short steps = (short) Math.round(weight / STEP);
        if (steps != 0) {
            weights.computeIfAbsent(trait, t -> new short[labels.size()])[places.get(label)] = steps;
        }
    }

    /** What a line is likely to hold. */
    public final class Likely {
        private final double[] of;

        private Likely(double[] of) {
            this.of = of;
        }

        /** How likely a call of {@code kind} is, 0 to 1. */
        public double of(CallKind kind) {
            return of(kind, null);
        }

        /** How likely one of {@code kind} and {@code what} is, 0 to 1; 0 for what was never learnt. */
        double of(CallKind kind, String what) {
            Integer place = places.get(label(kind, what));
            return place == null ? 0 : of[place];
        }

        /** What calls of {@code kind} can be of; null alone where the kind says all. */
        List<String> whats(CallKind kind) {
            List<String> whats = new ArrayList<>();
            for (String label : labels) {
                if (label.startsWith(kind.word() + " ")) {
                    whats.add(label.substring(kind.word().length() + 1));
                }
            }
            return whats.isEmpty() ? Collections.singletonList(null) : whats;
        }

        /** What a call of {@code kind} is most likely of; null where its kind says all. */
        String what(CallKind kind) {
            return Collections.max(whats(kind), Comparator.comparingDouble(what -> of(kind, what)));
        }
    }

    /** What a line of these traits is likely to hold. */
    public Likely likely(Set<String> traits) {
        double[] sums = new double[labels.size()];
        add(weights.get(ALWAYS), sums);
        traits.forEach(t -> add(weights.get(t), sums));
        for (int k = 0; k < sums.length; k++) {
            sums[k] = 1 / (1 + Math.exp(-sums[k] * STEP));
        }
        return new Likely(sums);
    }

    private static void add(short[] of, double[] sums) {
        if (of != null) {
            for (int k = 0; k < sums.length; k++) {
                sums[k] += of[k];
            }
        }
    }

    /** As text: what it was made of, the labels, then a line for each trait with its weights in hundredths, in order. */
    public String written() {
        StringBuilder text = new StringBuilder(madeOf).append('\n');
        labels.forEach(l -> text.append('\t').append(l));
        text.append('\n');
        new TreeMap<>(weights).forEach((trait, of) -> {
            text.append(trait);
            for (short weight : of) {
                text.append('\t').append(weight == 0 ? "" : Integer.toString(weight));
            }
            text.append('\n');
        });
        return text.toString();
    }

    private static CallModel read(String name) {
        try (InputStream in = CallModel.class.getResourceAsStream(name);
                BufferedReader lines =
                        new BufferedReader(new InputStreamReader(new GZIPInputStream(in), StandardCharsets.UTF_8))) {
            String madeOf = lines.readLine();
            List<String> labels = List.of(lines.readLine().strip().split("\t"));
            CallModel model = new CallModel(madeOf, labels);
            lines.lines().forEach(line -> {
                String[] parts = line.split("\t", -1);
                short[] of = new short[labels.size()];
                for (int k = 0; k < of.length; k++) {
                    of[k] = parts[k + 1].isEmpty() ? 0 : Short.parseShort(parts[k + 1]);
                }
                model.weights.put(parts[0], of);
            });
            return model;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
