package app.nosegay.bench.calls;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.calls.CallKind;
import app.nosegay.calls.learnt.CallModel;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is learnt from some sheets of calls holds for others. */
class CallLearnerTest {
    private static final int EVERY = 3;

    /** Examples of all sheets, and what was learnt without every third. */
    private static final class Of {
        private final List<CallLearner.Example> learntFrom = new ArrayList<>();
        private final List<CallLearner.Example> leftOut = new ArrayList<>();
        private final List<CallLearner.Example> all = new ArrayList<>();
        private CallModel model;

        void add(List<CallLearner.Example> examples, boolean isLeftOut) {
            (isLeftOut ? leftOut : learntFrom).addAll(examples);
            all.addAll(examples);
        }

        /** The harmonic mean of precision and recall on the sheets left out. */
        double balance(CallKind kind) {
            int right = 0;
            int found = 0;
            int there = 0;
            for (CallLearner.Example example : leftOut) {
                boolean is = example.calls().contains(kind.word());
                boolean said = model.likely(example.traits()).of(kind) >= 0.5;
                there += is ? 1 : 0;
                found += said ? 1 : 0;
                right += is && said ? 1 : 0;
            }
            System.out.printf("%s on sheets left out: %d right of %d found, %d there%n", kind, right, found, there);
            return 2.0 * right / (found + there);
        }
    }

    private static final Of LINES = new Of();
    private static final Of NUMBERS = new Of();

    @BeforeAll
    static void learn() throws IOException {
        List<String> sheets = CallSheet.NAMES;
        for (int i = 0; i < sheets.size(); i++) {
            LINES.add(CallLearner.examples(sheets.get(i)), i % EVERY == 1);
            NUMBERS.add(CallLearner.numbers(sheets.get(i)), i % EVERY == 1);
        }
        LINES.model = CallLearner.learn("some", LINES.learntFrom);
        NUMBERS.model = CallLearner.learn("some", NUMBERS.learntFrom);
    }

    /** By words, surroundings and what patterns found elsewhere, without the patterns' word on the line itself. */
    @ParameterizedTest
    @CsvSource({
        "START, 0.8",
        "REST, 0.86",
        "NEXT_UP, 0.84",
        "SWITCH_SIDE, 0.8",
        "HALF_WAY, 0.92",
        "SECONDS_LEFT, 0.88",
        "COUNT_IN, 0.9",
        "TOTAL, 0.78"
    })
    void linesOfSheetsLeftOutAreToldApart(CallKind kind, double least) {
        assertThat(LINES.balance(kind)).isGreaterThan(least);
    }

    @ParameterizedTest
    @CsvSource({"SECONDS_LEFT, 0.88", "REPS_LEFT, 0.85", "ORDINAL, 0.78", "TOTAL, 0.82"})
    void numbersOfSheetsLeftOutAreToldApart(CallKind kind, double least) {
        assertThat(NUMBERS.balance(kind)).isGreaterThan(least);
    }

    @Test
    void theShippedModelsWereMadeOfTheSheetsAsTheyAre() {
        assertThat(List.of(CallModel.ofLines().madeOf(), CallModel.ofNumbers().madeOf()))
                .as("after a change of sheets, traits or patterns, learn them anew (./nosegay bench --learn-calls)")
                .containsExactly(CallLearner.fingerprint(LINES.all), CallLearner.fingerprint(NUMBERS.all));
    }
}
