package app.nosegay.bench;

import app.nosegay.bench.accuracy.Accuracy;
import app.nosegay.bench.accuracy.OtherEvidence;
import app.nosegay.bench.accuracy.OtherPresenter;
import app.nosegay.jobs.Demo;
import app.nosegay.match.features.Feature;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * What each feature of the matcher is worth: the share of boundaries within tolerance without it, less the share with everything, in
 * points, at each level of evidence; on another figure, and with somebody who talks freely, by voice and motion; by a timer that only
 * counts down. Each row is a process of its own, as features are turned off when a process begins.
 */
final class Ablation {
    /** Takes of another figure per sheet: they have pictures, which the simulated evidence has not. */
    private static final int OTHER_SEEDS = 4;
    /** Runs per sheet with other evidence. */
    private static final int EVIDENCE_SEEDS = 6;

    private static final List<String> OTHERS = List.of("another figure", "free talk", "pips alone");

    private Ablation() {}

    /** The table in Markdown; {@code runs} mixed runs per sheet and level. */
    static void table(PrintWriter out, Class<?> command, int runs) throws Exception {
        List<Double> whole = row(command, "", runs);
        out.println("| without | " + levels() + " | sure ones right, worst |");
        out.println("|---|" + "---:|".repeat(Accuracy.Level.values().length + OTHERS.size() + 1));
        out.println("| (nothing) | " + numbers(whole, "%.2f %%") + " |");
        out.flush();
        for (Feature feature : Feature.values()) {
            List<Double> without = row(command, feature.word(), runs);
            List<Double> worth = new ArrayList<>();
            for (int i = 0; i < whole.size(); i++) {
                worth.add(without.get(i) - whole.get(i));
            }
            out.println("| " + feature.word() + " | " + numbers(worth, "%+.2f") + " |");
            out.flush();
        }
    }

    private static String levels() {
        return List.of(Accuracy.Level.values()).stream()
                .map(l -> l.name().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(" | ", "", " | " + String.join(" | ", OTHERS)));
    }

    private static String numbers(List<Double> values, String form) {
        return values.stream().map(v -> String.format(Locale.ROOT, form, v)).collect(Collectors.joining(" | "));
    }

    /** The share within tolerance at each level in per cent, then of the sure ones the share that is right, at the worst level. */
    private static List<Double> row(Class<?> command, String without, int runs) throws Exception {
        Process child = new ProcessBuilder(List.of(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Xmx2g",
                        "-D" + Feature.PROPERTY + "=" + without,
                        "-cp",
                        System.getProperty("java.class.path"),
                        command.getName(),
                        "--levels",
                        "--runs",
                        "" + runs))
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        String said = new String(child.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (child.waitFor() != 0) {
            throw new IOException("the row without " + without + " failed");
        }
        List<Double> row = new ArrayList<>();
        for (String number : said.strip().split("\\s+")) {
            row.add(Double.valueOf(number));
        }
        return row;
    }

    /** One row as numbers, for the process that reads it. */
    static void levels(PrintWriter out, int runs) throws IOException {
        double worst = 1;
        for (Accuracy.Errors errors : Accuracy.levels(Demo.sheets(), runs).values()) {
            out.printf(Locale.ROOT, "%.4f ", 100 * errors.share());
            worst = Math.min(worst, errors.calibration());
        }
        for (Accuracy.Errors errors : List.of(
                OtherPresenter.errors(Demo.sheets(), OTHER_SEEDS),
                OtherEvidence.freeTalk(Demo.sheets(), EVIDENCE_SEEDS),
                OtherEvidence.pipsAlone(Demo.sheets(), EVIDENCE_SEEDS))) {
            out.printf(Locale.ROOT, "%.4f ", 100 * errors.share());
        }
        out.printf(Locale.ROOT, "%.4f%n", 100 * worst);
        out.flush();
    }
}
