package app.nosegay.sight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.lang.management.ManagementFactory;
import org.junit.jupiter.api.Test;

class NetworkTest {
    private static final int INPUT = 256 * 256 * 3;

    /** Through another interface the fast kernels stay off without a word: ten times slower. */
    @Test
    void theFastKernelsAreUsed() {
        try (Network fast = new Network("landmarks.tflite");
                Network slow = new Network("landmarks.tflite", false)) {
            seconds(fast, 1);
            seconds(slow, 1);
            assertThat(seconds(fast, 4)).isLessThan(seconds(slow, 4) / 2);
        }
    }

    private static double seconds(Network network, int times) {
        float[] input = new float[INPUT];
        long before = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
        for (int i = 0; i < times; i++) {
            network.run(input);
        }
        return (ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - before) / 1e9;
    }

    @Test
    void bothWaysGiveTheSame() {
        float[] input = new float[INPUT];
        for (int i = 0; i < input.length; i++) {
            input[i] = (i * 31 % 255) / 255f;
        }
        float[] one = new float[195];
        float[] other = new float[195];
        try (Network fast = new Network("landmarks.tflite");
                Network slow = new Network("landmarks.tflite", false)) {
            fast.run(input);
            slow.run(input);
            fast.output(0, one);
            slow.output(0, other);
        }
        for (int i = 0; i < one.length; i++) {
            assertThat(one[i]).isCloseTo(other[i], org.assertj.core.api.Assertions.within(0.5f));
        }
    }

    @Test
    void aPictureOfAnotherSizeThanItsBytesIsRefused() {
        assertThatThrownBy(() -> new Picture(4, 4, new byte[40])).isInstanceOf(IllegalArgumentException.class);
    }
}
