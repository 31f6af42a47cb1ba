package app.nosegay.dress;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class TimerDigitsTest {
    private static Span<Axis.Cut> span(double start, double end) {
        return new Span<>(Time.ofSeconds(start), Time.ofSeconds(end));
    }

    @Property
    void theFirstFrameShowsTheFullLengthAndTheFirstAtTheEndShowsZero(
            @ForAll @IntRange(min = 0, max = 100_000) int startMillis,
            @ForAll @IntRange(min = 4_000, max = 90_000) int lengthMillis) {
        Span<Axis.Cut> interval = span(startMillis / 1000.0, (startMillis + lengthMillis) / 1000.0);
        Length frame = Length.ofSeconds(1 / 30.0);
        for (int n = (int) Math.floor(startMillis * 0.03) - 2; ; n++) {
            Time<Axis.Cut> shown = TimerDigits.ofFrame(Time.ofSeconds(n / 30.0), frame);
            if (!shown.isBefore(interval.start())) {
                assertThat(TimerDigits.remaining(interval, shown)).isEqualTo((int) Math.round(lengthMillis / 1000.0));
                break;
            }
        }
        for (int n = (int) Math.floor((startMillis + lengthMillis) * 0.03) - 2; ; n++) {
            Time<Axis.Cut> shown = TimerDigits.ofFrame(Time.ofSeconds(n / 30.0), frame);
            boolean ended = !shown.isBefore(interval.end());
            assertThat(TimerDigits.remaining(interval, shown) == 0).isEqualTo(ended);
            if (ended) {
                break;
            }
        }
    }

    @Property
    void digitsNeverGoUp(@ForAll @IntRange(min = 500, max = 70_000) int lengthMillis) {
        Span<Axis.Cut> interval = span(0, lengthMillis / 1000.0);
        int before = Integer.MAX_VALUE;
        for (int ms = 0; ms <= lengthMillis + 500; ms += 33) {
            int digits = TimerDigits.remaining(interval, Time.ofSeconds(ms / 1000.0));
            assertThat(digits).isLessThanOrEqualTo(before).isGreaterThanOrEqualTo(0);
            before = digits;
        }
    }

    @Test
    void aTimerStaysAtZeroForAMoment() {
        Piece timer = new Piece.Timer(span(10, 20), Face.Phase.WORK, false);
        assertThat(timer.span().end()).isEqualTo(Time.ofSeconds(20.4));
        assertThat(timer.at(Time.ofSeconds(20.2))).isEqualTo(new Face.Timer(Face.Phase.WORK, 0, 10, false));
        assertThat(timer.at(Time.ofSeconds(10))).isEqualTo(new Face.Timer(Face.Phase.WORK, 10, 10, false));
        assertThat(timer.at(Time.ofSeconds(10.001))).isEqualTo(new Face.Timer(Face.Phase.WORK, 10, 10, false));
        assertThat(timer.at(Time.ofSeconds(19.5))).isEqualTo(new Face.Timer(Face.Phase.WORK, 1, 10, false));
    }

    @Test
    void repsCountAsTheyComplete() {
        Piece reps = new Piece.RepCounter(span(0, 10), java.util.List.of(Time.ofSeconds(2), Time.ofSeconds(4)), 3);
        assertThat(reps.at(Time.ofSeconds(1.99))).isEqualTo(new Face.RepCounter(0, 3));
        assertThat(reps.at(Time.ofSeconds(2))).isEqualTo(new Face.RepCounter(1, 3));
        assertThat(reps.at(Time.ofSeconds(9))).isEqualTo(new Face.RepCounter(2, 3));
    }
}
