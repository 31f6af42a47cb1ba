package app.nosegay.bench.calls;

import app.nosegay.calls.CallKind;
import app.nosegay.calls.learnt.CallModel;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;

/** Learns the models from two sheets of three and reads the rest with them: models alone, without what phrases found on the line itself. */
public final class LeftOutSheets {
    private static final int EVERY = 3;
    private static final double LIKELY = 0.5;

    private final List<CallLearner.Example> learntFrom = new ArrayList<>();
    private final List<CallLearner.Example> leftOut = new ArrayList<>();
    private CallModel model;

    private LeftOutSheets() {}

    /** A row for each kind that stands in lines, then for each that is of a number. */
    public static void rows(Consumer<String> lines) throws IOException {
        LeftOutSheets ofLines = new LeftOutSheets();
        LeftOutSheets ofNumbers = new LeftOutSheets();
        for (int i = 0; i < CallSheet.NAMES.size(); i++) {
            String sheet = CallSheet.NAMES.get(i);
            ofLines.add(CallLearner.examples(sheet), i % EVERY == 1);
            ofNumbers.add(CallLearner.numbers(sheet), i % EVERY == 1);
        }
        ofLines.model = CallLearner.learn("some", ofLines.learntFrom);
        ofNumbers.model = CallLearner.learn("some", ofNumbers.learntFrom);
        for (CallKind kind : CallKind.values()) {
            ofLines.row(kind, "lines", lines);
            ofNumbers.row(kind, "numbers", lines);
        }
    }

    private void add(List<CallLearner.Example> examples, boolean isLeftOut) {
        (isLeftOut ? leftOut : learntFrom).addAll(examples);
    }

    private void row(CallKind kind, String of, Consumer<String> lines) {
        int right = 0;
        int found = 0;
        int there = 0;
        for (CallLearner.Example example : leftOut) {
            boolean is = example.calls().contains(kind.word());
            boolean said = model.likely(example.traits()).of(kind) >= LIKELY;
            there += is ? 1 : 0;
            found += said ? 1 : 0;
            right += is && said ? 1 : 0;
        }
        if (there > 0) {
            lines.accept(String.format(
                    Locale.ROOT,
                    "calls, sheets left out, %-12s by %-7s: %d right of %d found, %d there",
                    kind.word(),
                    of,
                    right,
                    found,
                    there));
        }
    }
}
