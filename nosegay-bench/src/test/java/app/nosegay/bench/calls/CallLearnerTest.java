package app.nosegay.bench.calls;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.calls.learnt.CallModel;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The models that ship are those the sheets give; {@code bench --accuracy} says how well they do on sheets left out. */
class CallLearnerTest {
    @Test
    void theShippedModelsWereMadeOfTheSheetsAsTheyAre() throws IOException {
        List<CallLearner.Example> lines = new ArrayList<>();
        List<CallLearner.Example> numbers = new ArrayList<>();
        for (String sheet : CallSheet.NAMES) {
            lines.addAll(CallLearner.examples(sheet));
            numbers.addAll(CallLearner.numbers(sheet));
        }
        assertThat(List.of(CallModel.ofLines().madeOf(), CallModel.ofNumbers().madeOf()))
                .as("after a change of sheets, features or phrases, learn them anew (./nosegay bench --learn-calls)")
                .containsExactly(CallLearner.fingerprint(lines), CallLearner.fingerprint(numbers));
    }
}
