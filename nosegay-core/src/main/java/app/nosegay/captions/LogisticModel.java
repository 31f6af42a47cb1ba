package app.nosegay.captions;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.zip.GZIPInputStream;

/**
 * A logistic regression for each of a few labels over traits that are there or not. Fan, Chang, Hsieh, Wang, Lin: LIBLINEAR, JMLR 9
 * (2008).
 */
public final class LogisticModel {
    /** Weights are kept in steps of this. */
    private static final double STEP = 0.01;
    /** Stands for what every example has. */
    private static final String ALWAYS = "always";

    private final List<String> labels;
    private final Map<String, short[]> weights = new HashMap<>();

    private LogisticModel(List<String> labels) {
        this.labels = List.copyOf(labels);
    }

    /**
     * A model of the weights that were learnt.
     *
     * @param learnt for each label the weight of each trait
     * @param always for each label the weight of what every example has
     */
    public static LogisticModel of(Map<String, Map<String, Double>> learnt, Map<String, Double> always) {
        LogisticModel model = new LogisticModel(new ArrayList<>(new TreeSet<>(learnt.keySet())));
        learnt.forEach((label, of) -> of.forEach((trait, weight) -> model.put(trait, label, weight)));
        always.forEach((label, weight) -> model.put(ALWAYS, label, weight));
        return model;
    }

    private void put(String trait, String label, double weight) {
        short steps = (short) Math.round(weight / STEP);
        if (steps != 0) {
            weights.computeIfAbsent(trait, t -> new short[labels.size()])[labels.indexOf(label)] = steps;
        }
    }

    /** How likely each label is for something of these traits, 0 to 1. */
    public Map<String, Double> likely(Set<String> traits) {
        double[] sums = new double[labels.size()];
        add(weights.get(ALWAYS), sums);
        traits.forEach(t -> add(weights.get(t), sums));
        Map<String, Double> likely = new HashMap<>();
        for (int k = 0; k < sums.length; k++) {
            likely.put(labels.get(k), 1 / (1 + Math.exp(-sums[k] * STEP)));
        }
        return likely;
    }

    private static void add(short[] of, double[] sums) {
        if (of != null) {
            for (int k = 0; k < sums.length; k++) {
                sums[k] += of[k];
            }
        }
    }

    /** As text: the labels, then a line for each trait with its weights in hundredths, in order. */
    public String written() {
        StringBuilder text = new StringBuilder();
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

    /** A model that comes with the application, gzipped. */
    static LogisticModel shipped(String name) {
        try (InputStream in = LogisticModel.class.getResourceAsStream(name);
                BufferedReader lines =
                        new BufferedReader(new InputStreamReader(new GZIPInputStream(in), StandardCharsets.UTF_8))) {
            List<String> labels = List.of(lines.readLine().strip().split("\t"));
            LogisticModel model = new LogisticModel(labels);
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
