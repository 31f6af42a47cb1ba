package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.captions.Caption;
import app.nosegay.listen.ScriptListener;
import app.nosegay.listen.ScriptListener.Expected;
import app.nosegay.standins.GuideVoice;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;

class ScriptListenerTest {
    private static final int HZ = ScriptListener.HZ;

    /** What is said and the second it begins. */
    private static Map<String, Double> said() {
        Map<String, Double> said = new LinkedHashMap<>();
        said.put("Pick up the kettlebell with both hands.", 2.0);
        said.put("Did the postman bring my tomatoes today?", 7.0);
        said.put("Keep your chest tall, weight through the whole foot.", 12.0);
        said.put("Last 10 seconds.", 18.0);
        return said;
    }

    private static final List<String> SCRIPT = List.of(
            "Pick up the kettlebell with both hands.",
            "Keep your chest tall, weight through the whole foot.",
            "Set the loop band down safely.",
            "Last 10 seconds.",
            "Breathe out as you stand.");

    private static float[] room(Map<String, Double> said) throws Exception {
        return room(said, 0.002);
    }

    private static float[] room(Map<String, Double> said, double quiet) throws Exception {
        float[] sound = new float[HZ * 22];
        Random noise = new Random(4);
        for (int i = 0; i < sound.length; i++) {
            sound[i] = (float) (noise.nextGaussian() * quiet);
        }
        GuideVoice voice = GuideVoice.loaded();
        for (Map.Entry<String, Double> e : said.entrySet()) {
            float[] words = voice.say(e.getKey(), HZ);
            int from = (int) (e.getValue() * HZ);
            for (int i = 0; i < words.length && from + i < sound.length; i++) {
                sound[from + i] += 0.5f * words[i];
            }
        }
        return sound;
    }

    private static List<Expected> expected() {
        Span<Axis.Take> anywhere = new Span<>(Time.zero(), Time.ofSeconds(22));
        return SCRIPT.stream().map(s -> new Expected(s, anywhere)).toList();
    }

    @Test
    void saidLinesAreHeardAtTheirTimeAndNothingIsMadeUp() throws Exception {
        List<Double> told = new ArrayList<>();

        List<Caption> heard = ScriptListener.listen(room(said()), expected(), told::add);

        String text = String.join(" ", heard.stream().map(Caption::text).toList());
        assertThat(text)
                .isEqualTo("Pick up the kettlebell with both hands. Keep your chest tall,"
                        + " weight through the whole foot. Last 10 seconds.");
        Caption.Word seconds = heard.get(heard.size() - 1).words().get(0);
        assertThat(heard.get(0).start().seconds()).isCloseTo(2.0, within(0.25));
        assertThat(seconds.start().seconds()).isCloseTo(18.0, within(0.25));
        assertThat(told).isNotEmpty().allSatisfy(share -> assertThat(share).isBetween(0.0, 1.0));
    }

    @Test
    void aRecordingWithNothingAtAllBetweenTheWordsIsHeardToo() throws Exception {
        List<Caption> heard = ScriptListener.listen(room(said(), 0), expected(), share -> {});
        assertThat(heard)
                .extracting(Caption::text)
                .contains("Pick up the kettlebell with both hands.", "Last 10 seconds.")
                .noneMatch(t -> t.contains("loop band") || t.contains("Breathe"));
    }

    @Test
    void linesOutOfReachAreNotHeard() throws Exception {
        List<Expected> late = SCRIPT.stream()
                .map(s -> new Expected(s, new Span<>(Time.ofSeconds(100), Time.ofSeconds(120))))
                .toList();

        assertThat(ScriptListener.listen(room(said()), late, share -> {})).isEmpty();
    }

    @Test
    void silenceAndNoSoundHoldNoWords() {
        assertThat(ScriptListener.listen(new float[0], expected(), share -> {})).isEmpty();
        assertThat(ScriptListener.listen(new float[HZ * 3], expected(), share -> {}))
                .isEmpty();
    }

    @Test
    void listeningCanBeCancelled() throws Exception {
        float[] sound = room(said());
        assertThatThrownBy(() -> ScriptListener.listen(sound, expected(), share -> {
                    throw new CancellationException();
                }))
                .isInstanceOf(CancellationException.class);
    }
}
