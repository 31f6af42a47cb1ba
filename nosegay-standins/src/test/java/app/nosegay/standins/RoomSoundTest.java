package app.nosegay.standins;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.cut.Cut;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.match.Matcher;
import app.nosegay.media.Progress;
import app.nosegay.media.TakeReader;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import app.nosegay.review.SoundCheck;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.time.SpeechRate;
import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CancellationException;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Filmed takes with something wrong in their sound, and one that was stopped half-way. */
class RoomSoundTest {
    private static final Timeline TIMELINE = SampleSheets.timeline(
            "title: T\ncalls: 5, in 3, out 3\ntalk Hi  0:12\ncircuit A  work 0:14  rest 0:08\n  goblet squat\n  push-up\ntalk Bye  0:08\n");

    private static final int HZ = 48_000;
    private static final List<Long> SEEDS = List.of(5L);

    /** A voice for the test: a steady hum with the loudness of speech, as long as the words take. */
    private static float[] hum(String text, int sampleRate) {
        int n = (int) (sampleRate * SpeechRate.DEFAULT.toSay(text, false).seconds());
        float[] samples = new float[Math.max(n, sampleRate / 5)];
        for (int i = 0; i < samples.length; i++) {
            double syllable = 0.6 + 0.4 * Math.sin(2 * Math.PI * 4.5 * i / sampleRate);
            samples[i] = (float) (0.45
                    * syllable
                    * (Math.sin(2 * Math.PI * 140 * i / sampleRate)
                            + 0.5 * Math.sin(2 * Math.PI * 700 * i / sampleRate)));
        }
        return samples;
    }

    @ParameterizedTest
    @CsvSource({
        "QUIET_VOICE, sound.quiet",
        "CLIPPING, sound.clipping",
        "MUSIC, sound.voice-under-music",
        "SUNG_MUSIC, sound.voice-under-music",
        "FOOTSTEPS, sound.noises"
    })
    void isToldByTheSoundCheck(Trouble trouble, String code, @TempDir Path folder) throws Exception {
        for (long seed : SEEDS) {
            assertThat(codes(folder, EnumSet.of(trouble), seed))
                    .as("run %d", seed)
                    .contains(code);
        }
    }

    @Test
    void anHonestTakeSoundsRight(@TempDir Path folder) throws Exception {
        for (long seed : SEEDS) {
            assertThat(codes(folder, Set.of(), seed)).as("run %d", seed).isEmpty();
        }
    }

    /** The sound of a run as a file, read and checked. */
    private static List<String> codes(Path folder, Set<Trouble> troubles, long seed) throws Exception {
        CuePlan cues = CuePlanner.plan(TIMELINE, MoveLibrary.shipped(), SpeechRate.DEFAULT);
        Performance p = Performance.of(TIMELINE, cues, seed, troubles);
        RoomSound sound = new RoomSound(p, RoomSoundTest::hum, HZ, Progress.NONE);
        int n = (int) (p.length().seconds() * HZ);
        float[] mixed = sound.next(n);
        byte[] bytes = new byte[2 * n];
        for (int i = 0; i < n; i++) {
            int value = Math.round(mixed[2 * i] * 32_767);
            bytes[2 * i] = (byte) value;
            bytes[2 * i + 1] = (byte) (value >> 8);
        }
        Path file = folder.resolve("take-1.wav");
        try (AudioInputStream in =
                new AudioInputStream(new ByteArrayInputStream(bytes), new AudioFormat(HZ, 16, 1, true, false), n)) {
            AudioSystem.write(in, AudioFileFormat.Type.WAVE, file.toFile());
        }
        TakeEvidence take = TakeReader.read(file, "take-1", Progress.NONE)
                .evidence()
                .withWords(sound.said().stream().map(Spoken::caption).toList());
        Match match = Matcher.match(TIMELINE, List.of(take), List.of(), List.of());
        return SoundCheck.findings(match, Cut.of(match), List.of(take), false).stream()
                .peek(f -> System.out.println(f.message()))
                .map(Finding::code)
                .toList();
    }

    @Test
    void theVoiceCanBeStopped() {
        CuePlan cues = CuePlanner.plan(TIMELINE, MoveLibrary.shipped(), SpeechRate.DEFAULT);
        Performance p = Performance.of(TIMELINE, cues, 1, Set.of());
        int[] lines = {0};
        Voice counted = (text, rate) -> {
            lines[0]++;
            return new float[rate];
        };
        assertThatThrownBy(() -> new RoomSound(p, counted, HZ, share -> {
                    if (lines[0] > 0) {
                        throw new CancellationException();
                    }
                }))
                .isInstanceOf(CancellationException.class);
        assertThat(lines[0]).isLessThan(p.spoken().size());
    }

    @Test
    void aStoppedRecordingHasATranscriptPerFile(@TempDir Path folder) throws Exception {
        SimulatedTake.make(
                SampleSheets.timeline(SampleSheets.wheelbarrow()),
                MoveLibrary.shipped(),
                new SimulatedTake.Run(folder, "take-1", 5, EnumSet.of(Trouble.STOP_START)),
                null,
                Progress.NONE);
        assertThat(Files.readString(folder.resolve("take-1-2.vtt"))).startsWith("WEBVTT");
        assertThat(Files.size(folder.resolve("take-1.vtt"))).isGreaterThan(100);
        assertThat(Files.readString(folder.resolve("take-1.truth.json"))).contains("\"take-1-2\"");
    }
}
