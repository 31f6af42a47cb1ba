package app.nosegay.workout;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.match.Pin;
import app.nosegay.plan.SampleSheets;
import app.nosegay.time.Time;
import java.io.IOException;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** Workout files cut off or damaged: opened as they are, or refused with a sentence; never anything else. */
class BrokenWorkoutsTest {
    private static final String FILE = WorkoutJson.write(new Workout(
            SampleSheets.wheelbarrow(),
            List.of(new Workout.TakeRef("take-1", "media/take 1.mp4", 123, 61.5, "abc", "take-1.vtt", null)),
            List.of(new Pin("a/b/r1", true, "take-1", new Time<>(1_234_567)))));
    private static final List<String> SCRAPS = List.of(
            "null",
            "[]",
            "{}",
            "-1",
            "\"\"",
            "1e999",
            ",",
            "}",
            "]",
            "true",
            "\"a\":",
            "\u0000",
            "99999999999999999999");

    @Property(tries = 500)
    void aDamagedFileIsOpenedOrRefusedWithASentence(@ForAll Random random) {
        StringBuilder text = new StringBuilder(FILE);
        for (int i = 0; i < 1 + random.nextInt(3); i++) {
            int at = random.nextInt(text.length());
            switch (random.nextInt(3)) {
                case 0 -> text.insert(at, SCRAPS.get(random.nextInt(SCRAPS.size())));
                case 1 -> text.delete(at, Math.min(text.length(), at + random.nextInt(20)));
                default -> replaceValue(text, random);
            }
        }
        check(text.toString());
    }

    /** Puts something else where a value stood, so that the file stays well formed. */
    private static void replaceValue(StringBuilder text, Random random) {
        int colon = text.indexOf(" : ", random.nextInt(text.length()));
        int end = colon < 0 ? -1 : text.indexOf("\n", colon);
        if (end > 0) {
            String comma = text.charAt(end - 1) == ',' ? "," : "";
            text.replace(colon + 3, end, SCRAPS.get(random.nextInt(6)) + comma);
        }
    }

    @Property(tries = 200)
    void aFileCutOffIsRefused(@ForAll Random random) {
        check(FILE.substring(0, random.nextInt(FILE.length() - 2)));
    }

    private static void check(String text) {
        try {
            Workout read = WorkoutJson.read(text);
            assertThat(WorkoutJson.read(WorkoutJson.write(read))).isEqualTo(read);
        } catch (IOException e) {
            assertThat(e.getMessage()).isNotBlank();
        }
    }
}
