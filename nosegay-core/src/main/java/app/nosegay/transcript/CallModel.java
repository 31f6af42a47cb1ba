package app.nosegay.transcript;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.zip.GZIPInputStream;

/**
 * How likely a line of a transcript is to hold a call of each kind: a logistic regression for each over {@link CallTraits}, learnt from
 * recordings written out by hand. Fan, Chang, Hsieh, Wang, Lin: LIBLINEAR, JMLR 9 (2008).
 */
public final class CallModel {
    /** Weights are kept in steps of this. */
    private static final double STEP = 0.01;

    private static final int KINDS = CallKind.values().length;
    /** Stands for what every line has. */
    private static final String ALWAYS = "always";

    /** Read when first asked for. */
    private static final class Shipped {
        private static final CallModel MODEL = read("calls.model.gz");
    }

    private final Map<String, short[]> weights;

    private CallModel(Map<String, short[]> weights) {
        this.weights = weights;
    }

    static CallModel shipped() {
        return Shipped.MODEL;
    }

    /** A model of the weights that were learnt: of each kind one for each trait, and for what every line has. */
    public static CallModel of(Map<CallKind, Map<String, Double>> learnt, Map<CallKind, Double> always) {
        Map<String, short[]> weights = new HashMap<>();
        learnt.forEach((kind, of) -> of.forEach((trait, weight) -> put(weights, trait, kind, weight)));
        always.forEach((kind, weight) -> put(weights, ALWAYS, kind, weight));
        weights.values().removeIf(w -> {
            for (short one : w) {
                if (one != 0) {
                    return false;
                }
            }
            return true;
        });
        return new CallModel(weights);
    }

    private static void put(Map<String, short[]> weights, String trait, CallKind kind, double weight) {
        weights.computeIfAbsent(trait, t -> new short[KINDS])[kind.ordinal()] = (short) Math.round(weight / STEP);
    }

    /** How likely a line of these traits is to hold a call of each kind, 0 to 1, by the order of {@link CallKind}. */
    public double[] likelihoods(Set<String> traits) {
        double[] sums = new double[KINDS];
        add(weights.get(ALWAYS), sums);
        traits.forEach(t -> add(weights.get(t), sums));
        for (int k = 0; k < KINDS; k++) {
            sums[k] = 1 / (1 + Math.exp(-sums[k] * STEP));
        }
        return sums;
    }

    private static void add(short[] of, double[] sums) {
        if (of != null) {
            for (int k = 0; k < KINDS; k++) {
                sums[k] += of[k];
            }
        }
    }

    /** As text: the kinds, then a line for each trait with its weights in hundredths, in order. */
    public String written() {
        StringBuilder text = new StringBuilder("# Made by CallLearner from the sheets of spoken calls. Do not edit.\n");
        for (CallKind kind : CallKind.values()) {
            text.append('\t').append(kind.word());
        }
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

    static CallModel read(Collection<String> lines) {
        Map<String, short[]> weights = new HashMap<>();
        for (String line : lines) {
            String[] parts = line.split("\t", -1);
            if (!line.startsWith("#") && !parts[0].isEmpty()) {
                short[] of = new short[KINDS];
                for (int k = 0; k < KINDS; k++) {
                    of[k] = parts[k + 1].isEmpty() ? 0 : Short.parseShort(parts[k + 1]);
                }
                weights.put(parts[0], of);
            }
        }
        return new CallModel(weights);
    }

    private static CallModel read(String name) {
        try (InputStream in = CallModel.class.getResourceAsStream(name);
                BufferedReader lines =
                        new BufferedReader(new InputStreamReader(new GZIPInputStream(in), StandardCharsets.UTF_8))) {
            return read(lines.lines().toList());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
