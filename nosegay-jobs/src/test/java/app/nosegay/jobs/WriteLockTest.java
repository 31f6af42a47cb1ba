package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** One window writes a workout at a time. */
class WriteLockTest {
    @TempDir
    private Path folder;

    @Test
    void theSecondWindowDoesNotGetItUntilTheFirstGivesItBack() throws IOException {
        Path file = folder.resolve("legs.nosegay.json");
        WriteLock first = WriteLock.take(file).orElseThrow();
        assertThat(WriteLock.take(file)).isEmpty();
        first.close();
        WriteLock second = WriteLock.take(file).orElseThrow();
        second.close();
    }

    @Test
    void workoutsBesideEachOtherDoNotGetInEachOthersWay() throws IOException {
        try (WriteLock legs =
                        WriteLock.take(folder.resolve("legs.nosegay.json")).orElseThrow();
                WriteLock arms =
                        WriteLock.take(folder.resolve("arms.nosegay.json")).orElseThrow()) {
            assertThat(legs).isNotSameAs(arms);
        }
    }

    /** Takes a workout in a process of its own and stays until it is killed. */
    static final class Holder {
        private Holder() {}

        public static void main(String[] file) throws Exception {
            WriteLock held = WriteLock.take(Path.of(file[0])).orElseThrow();
            System.out.println("held");
            System.in.read();
            held.close();
        }
    }

    @Test
    void aProcessThatIsKilledLeavesNothingLocked() throws Exception {
        Path file = folder.resolve("legs.nosegay.json");
        Process other = new ProcessBuilder(List.of(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        System.getProperty("java.class.path"),
                        Holder.class.getName(),
                        file.toString()))
                .redirectErrorStream(true)
                .start();
        try (var said = other.inputReader()) {
            // A Java that is given options by the system tells of them first.
            assertThat(said.lines().anyMatch("held"::equals)).isTrue();
            assertThat(WriteLock.take(file)).isEmpty();
            other.destroyForcibly();
            assertThat(other.waitFor(20, TimeUnit.SECONDS)).isTrue();
        }
        WriteLock.take(file).orElseThrow().close();
    }
}
