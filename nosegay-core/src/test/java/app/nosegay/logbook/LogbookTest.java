package app.nosegay.logbook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.library.MoveLibrary;
import app.nosegay.library.MuscleGroup;
import app.nosegay.logbook.Logbook.Entry;
import app.nosegay.logbook.Logbook.Kind;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import java.io.IOException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LogbookTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();

    @Test
    void entriesAndTimeComeBackFromTheFile() throws Exception {
        Logbook logbook = Logbook.EMPTY
                .with(new Entry("2026-05-01", Kind.LESSON, "Beds", "Shoes are loud on this floor."))
                .with(new Entry("2026-05-03", Kind.REQUEST, "", "20 min legs with a kettlebell"))
                .withTime("Beds", "match", 90)
                .withTime("Beds", "match", 30);

        Logbook read = LogbookJson.read(LogbookJson.write(logbook));

        assertThat(read).isEqualTo(logbook);
        assertThat(read.spent().get("Beds")).containsEntry("match", 120L);
        assertThat(read.days().keySet()).containsExactly("2026-05-03", "2026-05-01");
        assertThat(read.without(logbook.entries().get(0)).of(Kind.LESSON)).isEmpty();
    }

    @Test
    void brokenAndNewerFilesAreRefusedAndUnknownKindsLeftOut() throws Exception {
        assertThatThrownBy(() -> LogbookJson.read("nothing")).isInstanceOf(IOException.class);
        assertThatThrownBy(() -> LogbookJson.read("{\"format\":9,\"entries\":[]}"))
                .hasMessageContaining("newer");
        assertThat(LogbookJson.read("{\"format\":1,\"entries\":[{\"kind\":\"dream\"}]}")
                        .entries())
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "half an hour for my glutes please | 30 | GLUTES",
                "fifteen minutes of abs | 15 | ABDOMINALS",
                "Twenty-five min quads | 25 | QUADRICEPS",
                "15-min bum workout | 15 | GLUTES",
                "three quarters of an hour of back | 45 | LATS",
                "an hour of calf stretches | 60 | CALVES"
            })
    void lengthsAndGroupsAreReadInEverydayWords(String words, int minutes, MuscleGroup group) {
        Request request = Request.of(words, LIBRARY);
        assertThat(request.minutes()).isEqualTo(minutes);
        assertThat(request.muscles()).contains(group);
    }

    @Test
    void gearIsKnownByItsLastWord() {
        assertThat(Request.of("something with a band", LIBRARY).gear())
                .singleElement()
                .asString()
                .endsWith("band");
        assertThat(Request.of("two kettlebells", LIBRARY).gear()).containsExactly("kettlebell");
        assertThat(Request.of("no gear at all", LIBRARY).gear()).isEmpty();
    }

    @Test
    void requestsAreTaggedByMuscleGearAndLength() {
        Request request = Request.of("Could you do 20 min for legs and core with a kettlebell?", LIBRARY);

        assertThat(request.minutes()).isEqualTo(20);
        assertThat(request.muscles()).contains(MuscleGroup.GLUTES, MuscleGroup.QUADRICEPS, MuscleGroup.ABDOMINALS);
        assertThat(request.gear()).containsExactly("kettlebell");
        assertThat(request.tags()).contains("kettlebell").contains("20 min");
        assertThat(Request.of("More please!", LIBRARY).tags()).isEqualTo("no tags");
    }

    @Test
    void anIdeaIsASheetOfAboutTheLengthAskedThatTrainsWhatIsAsked() {
        Request request = Request.of("Could you do 20 min for legs with a kettlebell?", LIBRARY);

        Timeline timeline = SampleSheets.timeline(request.sheet(LIBRARY));

        assertThat(timeline.sheet().problems()).isEmpty();
        assertThat(timeline.total().seconds()).isBetween(17 * 60.0, 23 * 60.0);
        assertThat(timeline.workMoves(true)).hasSize(4);
        long leg = timeline.workMoves(true).stream()
                .filter(m -> LIBRARY.find(m).orElseThrow().primary().stream().anyMatch(request.muscles()::contains))
                .count();
        assertThat(leg).isGreaterThanOrEqualTo(3);
    }
}
