package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.cut.Cut;
import app.nosegay.jobs.PublishVideo.Quality;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.RenderJob;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.nio.file.Files;
import java.util.List;
import java.util.Map;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

class RenderPaceTest extends HomeFolder {
    private static final Offset<Double> CLOSE = Offset.offset(0.01);

    private static RenderJob job(int width, int height, double seconds) {
        Cut cut = new Cut(List.of(new Cut.Clip("t", new Span<>(Time.zero(), Time.ofSeconds(seconds)), Time.zero())));
        return new RenderJob(
                cut,
                Map.of(),
                null,
                (pieces, target) -> {},
                width,
                height,
                new FrameRate(30, 1),
                EncoderSettings.FINISHED,
                "",
                List.of());
    }

    private static double told(Quality quality, RenderJob job) throws Exception {
        return RenderPace.read().of(quality, job).orElseThrow().seconds();
    }

    @Test
    void nothingIsToldBeforeAFilmOfThatQualityWasMade() throws Exception {
        RenderJob job = job(1280, 720, 240);
        assertThat(RenderPace.read().of(Quality.GOOD, job)).isEmpty();
        RenderPace.learn(Quality.GOOD, job, 120);
        assertThat(told(Quality.GOOD, job)).isEqualTo(120, CLOSE);
        assertThat(RenderPace.read().of(Quality.BEST, job)).isEmpty();
    }

    @Test
    void aLargerOrLongerFilmTakesAsMuchLonger() throws Exception {
        RenderPace.learn(Quality.GOOD, job(1280, 720, 60), 30);
        assertThat(told(Quality.GOOD, job(1280, 720, 600))).isEqualTo(300, CLOSE);
        assertThat(told(Quality.GOOD, job(2560, 1440, 60))).isEqualTo(120, CLOSE);
    }

    @Test
    void theLastFilmCountsAsMuchAsAllBeforeAndAShortOneNothing() throws Exception {
        RenderJob job = job(1280, 720, 60);
        RenderPace.learn(Quality.DRAFT, job, 20);
        RenderPace.learn(Quality.DRAFT, job, 40);
        assertThat(told(Quality.DRAFT, job)).isEqualTo(30, CLOSE);
        RenderPace.learn(Quality.DRAFT, job(1280, 720, 4), 400);
        assertThat(told(Quality.DRAFT, job)).isEqualTo(30, CLOSE);
    }

    @Test
    void whatNobodyCanHaveMeasuredIsForgotten() throws Exception {
        Files.writeString(
                home.resolve("render-pace.json"),
                "{\"secondsPerMegapixel\": {\"good\": -3, \"draft\": null, \"best\": 0.01}, \"more\": 1}");
        assertThat(RenderPace.read().secondsPerMegapixel()).containsOnlyKeys("best");
    }
}
