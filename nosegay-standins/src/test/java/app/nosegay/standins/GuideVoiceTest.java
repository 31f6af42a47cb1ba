package app.nosegay.standins;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.time.SpeechRate;
import java.io.IOException;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The guide voice says whole lines, in about the time the speech fit computes with. */
class GuideVoiceTest {
    private static final int HZ = 48_000;
    private static GuideVoice voice;

    private static synchronized GuideVoice voice() throws IOException {
        voice = voice == null ? new GuideVoice() : voice;
        return voice;
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Go!",
                "Ten seconds.",
                "Lift the knees to an easy height.",
                "Welcome to Potting Shed Strength.",
                "Step back long, drop straight down.",
                "Ask your doctor first if you are unsure, and stop at sharp pain, dizziness or anything that worries you."
            })
    void aLineIsSaidToItsEnd(String line) throws IOException {
        float[] said = voice().say(line, HZ);
        double seconds = said.length / (double) HZ;
        double computed = SpeechRate.DEFAULT.toSay(line, false).seconds();
        System.out.printf("%.2f s said, %.2f s computed: %s%n", seconds, computed, line);
        assertThat(seconds).isBetween(0.6 * computed, 1.5 * computed + 0.4);
        int loud = 0;
        for (int i = 0; i + HZ / 10 <= said.length; i += HZ / 10) {
            float peak = 0;
            for (int k = i; k < i + HZ / 10; k++) {
                peak = Math.max(peak, Math.abs(said[k]));
            }
            loud += peak > 0.05f ? 1 : 0;
        }
        assertThat(loud / (said.length / (HZ / 10.0)))
                .as("share of it that is speech")
                .isGreaterThan(0.5);
    }
}
