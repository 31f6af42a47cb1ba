package app.nosegay.standins;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.transcript.CallKind;
import app.nosegay.transcript.CallModel;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is learnt from some sheets of calls holds for others. */
class CallLearnerTest {
    private static final int EVERY = 3;
    private static final List<CallLearner.Example> LEARNT_FROM = new ArrayList<>();
    private static final List<CallLearner.Example> LEFT_OUT = new ArrayList<>();
    private static final List<CallLearner.Example> ALL = new ArrayList<>();
    private static CallModel model;

    @BeforeAll
    static void learn() throws IOException {
        List<String> sheets = CallSheet.NAMES;
        for (int i = 0; i < sheets.size(); i++) {
            List<CallLearner.Example> examples = CallLearner.examples(sheets.get(i));
            (i % EVERY == 1 ? LEFT_OUT : LEARNT_FROM).addAll(examples);
            ALL.addAll(examples);
        }
        model = CallLearner.learn("some", LEARNT_FROM);
    }

    /** Not a test but the way to learn anew: writes the model that ships. */
    @Test
    @EnabledIfSystemProperty(named = "nosegay.learn-calls", matches = "true")
    void writesTheModelAnew() throws IOException {
        CallLearner.write(Path.of("../nosegay-core/src/main/resources/app/nosegay/transcript/calls.model.gz"));
    }

    /** By words, surroundings and what patterns found elsewhere, without the patterns' word on the line itself. */
    @ParameterizedTest
    @CsvSource({
        "START, 0.83",
        "REST, 0.86",
        "NEXT_UP, 0.84",
        "SWITCH_SIDE, 0.8",
        "HALF_WAY, 0.92",
        "SECONDS_LEFT, 0.88",
        "COUNT_IN, 0.9",
        "TOTAL, 0.78"
    })
    void linesOfSheetsLeftOutAreToldApart(CallKind kind, double least) {
        int right = 0;
        int found = 0;
        int there = 0;
        for (CallLearner.Example example : LEFT_OUT) {
            boolean is = example.calls().contains(kind.word());
            boolean said = model.likely(example.traits()).of(kind) >= 0.5;
            there += is ? 1 : 0;
            found += said ? 1 : 0;
            right += is && said ? 1 : 0;
        }
        double balance = 2.0 * right / (found + there);
        System.out.printf("%s on sheets left out: %d right of %d found, %d there%n", kind, right, found, there);
        assertThat(balance).as("harmonic mean of precision and recall").isGreaterThan(least);
    }

    @Test
    void theShippedModelWasMadeOfTheSheetsAsTheyAre() {
        assertThat(CallModel.shipped().madeOf())
                .as("after a change of sheets, traits or patterns, learn it anew (docs/architecture.md)")
                .isEqualTo(CallLearner.fingerprint(ALL));
    }
}
