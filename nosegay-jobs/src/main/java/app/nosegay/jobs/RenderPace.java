package app.nosegay.jobs;

import app.nosegay.files.InputFile;
import app.nosegay.media.RenderJob;
import app.nosegay.time.Length;
import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * How fast this computer renders, learned from what it has rendered and kept in the settings folder.
 *
 * @param secondsPerMegapixel seconds of work for a million pixels of finished picture, by the quality's word
 */
@JsonIgnoreProperties(ignoreUnknown = true)
public record RenderPace(Map<String, Double> secondsPerMegapixel) {
    /** A shorter film is mostly beginnings and ends. */
    private static final Length SHORTEST = Length.ofSeconds(10);
    /** The last film counts as much as all before it: computers change, and so does what else they do. */
    private static final double NEWEST = 0.5;

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final SharedFile<RenderPace> FILE = new SharedFile<>(
            "render-pace.json",
            InputFile.TEXT,
            new RenderPace(Map.of()),
            text -> JSON.readValue(text, RenderPace.class),
            RenderPace::json);

    /** Paces nobody can have measured are left out. */
    public RenderPace {
        Map<String, Double> measured = new TreeMap<>(secondsPerMegapixel == null ? Map.of() : secondsPerMegapixel);
        measured.values().removeIf(s -> s == null || !Double.isFinite(s) || s <= 0);
        secondsPerMegapixel = Map.copyOf(measured);
    }

    public static RenderPace read() throws IOException {
        return FILE.read();
    }

    /** About how long {@code job} takes; empty until a film of that quality was rendered whole. */
    public Optional<Length> of(PublishVideo.Quality quality, RenderJob job) {
        return Optional.ofNullable(secondsPerMegapixel.get(quality.word()))
                .map(s -> Length.ofSeconds(s * megapixels(job)));
    }

    /** Learns from a film that was rendered whole in {@code seconds}. */
    static void learn(PublishVideo.Quality quality, RenderJob job, double seconds) {
        if (job.cut().total().compareTo(SHORTEST) < 0) {
            return;
        }
        double pace = seconds / megapixels(job);
        try {
            FILE.change(known -> {
                Map<String, Double> all = new TreeMap<>(known.secondsPerMegapixel);
                all.merge(quality.word(), pace, (before, now) -> (1 - NEWEST) * before + NEWEST * now);
                return new RenderPace(all);
            });
        } catch (IOException e) {
            FailureLog.note("render-pace", e); // an estimate is not worth failing for
        }
    }

    private static double megapixels(RenderJob job) {
        return job.width()
                * (double) job.height()
                * job.rate().perSecond()
                * job.cut().total().seconds()
                / 1e6;
    }

    private static String json(RenderPace pace) {
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(pace) + "\n";
        } catch (JsonProcessingException e) {
            throw new UncheckedIOException(e);
        }
    }
}
