package app.nosegay.bench;

import app.nosegay.cut.Cut;
import app.nosegay.jobs.Demo;
import app.nosegay.jobs.EvidenceCache;
import app.nosegay.jobs.SightJob;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MediaInfo;
import app.nosegay.media.MediaInput;
import app.nosegay.media.Progress;
import app.nosegay.media.RenderJob;
import app.nosegay.media.Renderer;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPOutputStream;

/** Makes the demo's take again, as it is shipped: filmed by the practice camera, encoded small, and read. */
final class DemoTake {
    private DemoTake() {}

    /** Writes {@code take-1.mp4}, {@code .vtt}, {@code .log.json}, {@code .reading.gz} and {@code .bodies} to {@code out}. */
    static void make(Path folder, Path out) throws IOException {
        Files.createDirectories(out);
        var workout = WorkoutFile.open(Demo.prepare(folder, Progress.NONE));
        var take = workout.takes().get(0);
        Path filmed = folder.resolve(take.file());
        MediaInfo info = MediaInput.probe(filmed);
        Span<Axis.Take> whole = new Span<>(Time.zero(), Time.<Axis.Take>zero().plus(info.length()));
        RenderJob small = new RenderJob(
                new Cut(List.of(new Cut.Clip("take-1", whole, Time.zero()))),
                Map.of("take-1", filmed),
                null,
                null,
                info.video().width(),
                info.video().height(),
                FrameRate.nearest(info.video().framesPerSecond()),
                EncoderSettings.SHIPPED,
                "",
                List.of());
        Path movie = out.resolve("take-1.mp4");
        Renderer.render(small, movie, Progress.NONE);
        Files.copy(folder.resolve(take.transcript()), out.resolve("take-1.vtt"));
        Files.copy(folder.resolve(take.log()), out.resolve("take-1.log.json"));
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        Path shelf = folder.resolve("read");
        try (GZIPOutputStream gzip = new GZIPOutputStream(packed)) {
            gzip.write(EvidenceCache.kept(movie, "take-1", shelf, Progress.NONE));
        }
        Files.write(out.resolve("take-1.reading.gz"), packed.toByteArray());
        Path pictures = EvidenceCache.proxy(movie, shelf);
        EvidenceCache.keep(movie, shelf, SightJob.bodies(pictures, () -> false, Progress.NONE));
        Files.copy(EvidenceCache.bodiesFile(movie, shelf), out.resolve("take-1.bodies"));
    }
}
