package app.nosegay.evidence.sound;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Which of many sounds are a timer's, by their number and strength. */
class TimerToneFilterTest {
    /** Amplitudes about 3 dB either way. */
    private static List<Double> notes(int count, long seed) {
        Random random = new Random(seed);
        List<Double> notes = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            notes.add(Math.exp(0.35 * random.nextGaussian()));
        }
        return notes;
    }

    private static List<Double> of(List<Double> sounds, double minutes) {
        return TimerToneFilter.of(sounds, minutes, a -> a);
    }

    @Property(tries = 50)
    void aTimerFarLouderThanAMelodyIsFoundWhole(@ForAll @IntRange(min = 12, max = 60) int signals, @ForAll long seed) {
        List<Double> sounds = notes(900, seed);
        Random random = new Random(seed);
        for (int i = 0; i < signals; i++) {
            sounds.add(20 + 4 * random.nextDouble());
        }
        Collections.shuffle(sounds, random);
        assertThat(of(sounds, 16)).hasSize(signals).allMatch(a -> a >= 20);
    }

    @Property(tries = 50)
    void aMelodyAloneHoldsNoTimer(@ForAll long seed) {
        assertThat(of(notes(900, seed), 16)).isEmpty();
    }

    @Test
    void whatIsNotTooOftenStaysButForLoneNotesFarWeaker() {
        List<Double> timer = Collections.nCopies(40, 1.0);
        List<Double> sounds = new ArrayList<>(timer);
        sounds.add(0.5);
        sounds.add(0.05);
        assertThat(of(sounds, 16)).hasSize(41).doesNotContain(0.05);
        assertThat(of(List.of(1.0, 0.01), 16)).as("of so few nothing is known").hasSize(2);
    }
}
