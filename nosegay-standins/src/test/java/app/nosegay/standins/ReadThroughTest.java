package app.nosegay.standins;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.time.Axis;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** Without a sound device the script runs silently, in time. */
class ReadThroughTest {
    private static final Timeline TIMELINE = SampleSheets.timeline("talk Hi  0:03\ncircuit A  work 0:40\n  squat\n");
    private static final CuePlan CUES = CuePlanner.plan(TIMELINE, MoveLibrary.shipped(), SpeechRate.DEFAULT);

    @Test
    void itRunsInTimeFromWhereItIsToldAndTellsItsEnd() throws InterruptedException {
        List<Time<Axis.Plan>> heard = new CopyOnWriteArrayList<>();
        CountDownLatch ended = new CountDownLatch(1);
        long begun = System.nanoTime();
        try (ReadThrough reading =
                new ReadThrough(TIMELINE, CUES, null, Time.ofSeconds(41), heard::add, ended::countDown)) {
            reading.start();
            assertThat(ended.await(20, TimeUnit.SECONDS)).isTrue();
            assertThat(reading.hasSound()).isFalse();
        }
        double seconds = (System.nanoTime() - begun) / 1e9;
        assertThat(seconds).isBetween(1.9, 6.0);
        assertThat(heard.get(0).seconds()).isBetween(41.0, 41.6);
        assertThat(heard).isSortedAccordingTo(Time::compareTo);
        assertThat(heard.get(heard.size() - 1).seconds()).isGreaterThanOrEqualTo(42.9);
    }

    @Test
    void stoppedItNeverTellsAnEnd() throws InterruptedException {
        CountDownLatch first = new CountDownLatch(1);
        CountDownLatch ended = new CountDownLatch(1);
        ReadThrough reading =
                new ReadThrough(TIMELINE, CUES, null, Time.zero(), time -> first.countDown(), ended::countDown);
        reading.start();
        assertThat(first.await(20, TimeUnit.SECONDS)).isTrue();
        reading.close();
        assertThat(ended.await(1, TimeUnit.SECONDS)).isFalse();
    }
}
