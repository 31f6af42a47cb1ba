package app.nosegay.publish;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.TimedText.Cue;
import app.nosegay.plan.Finding;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.List;
import org.junit.jupiter.api.Test;

class PublishCheckTest {
    private static Cue cue(double from, double to, String text) {
        return new Cue(new Span<>(Time.ofSeconds(from), Time.ofSeconds(to)), text);
    }

    private static final List<Cue> GOOD =
            List.of(cue(0, 30, "Welcome"), cue(30, 200, "Ground"), cue(200, 240, "Goodbye"));

    private static List<String> codes(List<Cue> chapters, List<Cue> captions) {
        return PublishCheck.findings(chapters, captions, true).stream()
                .map(Finding::code)
                .toList();
    }

    @Test
    void goodChaptersAndCaptionsDrawNothing() {
        assertThat(codes(GOOD, List.of(cue(1, 3, "Chest tall."), cue(3, 5, "Breathe out."))))
                .isEmpty();
    }

    @Test
    void fewShortAndLateChaptersAreTold() {
        assertThat(codes(GOOD.subList(0, 2), List.of())).containsExactly("publish.chapters-few");
        assertThat(codes(List.of(cue(2, 30, "A"), cue(30, 35, "B"), cue(35, 60, "C")), List.of()))
                .containsExactly("publish.chapters-start", "publish.chapter-short");
    }

    @Test
    void fastLongAndFlickeringCaptionsAreTold() {
        String many = "one two three four five six seven eight nine ten eleven";
        List<Cue> captions = List.of(cue(0, 1, many), cue(1.04, 4, "Rest."), cue(5, 9, "a\nb\nc"));

        assertThat(codes(GOOD, captions))
                .containsExactly("publish.caption-fast", "publish.caption-long", "publish.caption-gap");
        assertThat(PublishCheck.findings(GOOD, captions, true).get(0).message()).contains("characters a second");
    }

    @Test
    void nothingIsAskedOfAPlanWithoutATake() {
        assertThat(PublishCheck.findings(List.of(), List.of(), false)).isEmpty();
    }
}
