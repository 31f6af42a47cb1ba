package app.nosegay.standins;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.time.SpeechRate;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The guide voice says whole lines, in about the time the speech fit computes with. */
class GuideVoiceTest {
    private static final int HZ = 48_000;

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Go!",
                "Ten seconds.",
                "Lift the knees to an easy height.",
                "Welcome to Potting Shed Strength.",
                "Step back long, drop straight down.",
                "12 goblet squats, 3-1-1, then 0:45 rest; about 8 kg each.",
                "At 3:30 pm on 5 May 2026, for $12 or 50% of that, e.g. www.example.org.",
                "Zercher xylophonic quoits, Mr. Pflaumbaum!",
                "Ask your doctor first if you are unsure, and stop at sharp pain, dizziness or anything that worries you."
            })
    void aLineIsSaidToItsEnd(String line) throws IOException {
        float[] said = GuideVoice.loaded().say(line, HZ);
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

    @Test
    void aLineSaidBeforeIsSaidAtTheRateAskedFor() throws IOException {
        int samples = GuideVoice.loaded().say("Well done.", HZ).length;
        assertThat(GuideVoice.loaded().say("Well done.", HZ / 3)).hasSizeBetween(samples / 3 - 200, samples / 3 + 200);
    }

    /**
     * What it never loads is left out of the build, and with it what nobody keeps up any more; docs/decisions has the reasons of the
     * rest.
     */
    @Test
    void theVoiceBringsOnlyTheJarsItLoads() throws IOException {
        try (Stream<Path> jars = Files.list(Path.of(System.getProperty("nosegay.voice")))) {
            assertThat(jars.map(j -> j.getFileName().toString().replaceFirst("-\\d.*", "")))
                    .containsExactlyInAnyOrder(
                            "commons-collections",
                            "commons-io",
                            "commons-lang",
                            "emotionml-checker-java",
                            "guava",
                            "icu4j",
                            "jama",
                            "jtok-core",
                            "log4j",
                            "log4j-api",
                            "log4j-core",
                            "marytts-common",
                            "marytts-lang-en",
                            "marytts-runtime",
                            "marytts-signalproc",
                            "opennlp-maxent",
                            "opennlp-tools",
                            "slf4j-api",
                            "voice-cmu-slt-hsmm");
        }
    }
}
