package app.nosegay.jobs;

import app.nosegay.evidence.Bodies;
import app.nosegay.media.FramePicker;
import app.nosegay.media.MediaInfo;
import app.nosegay.media.MediaInput;
import app.nosegay.media.Progress;
import app.nosegay.media.ProxyWriter;
import app.nosegay.sight.BodyFinder;
import app.nosegay.sight.Picture;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import app.nosegay.workout.Workout;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;

/**
 * Looks for the bodies in takes that were read. The pictures are those of the small copy that was written while reading, so that
 * nothing is decoded twice at full size; stretches of a take are looked at side by side.
 */
public final class SightJob {
    /** A stretch begins with a look for everybody anew, which costs some pictures' time. */
    private static final int STRETCH_SECONDS = 90;

    /** Each has two networks of some 30 MB; more than this helps little where memory is what they wait for. */
    private static final int MOST_THREADS = 4;

    private static final long POLL_MILLIS = 200;

    private SightJob() {}

    /** The takes of a workout with a picture nobody has looked at yet. */
    public static List<Workout.TakeRef> open(Workout workout, WorkoutMedia media) {
        return workout.takes().stream()
                .filter(t -> media.readings().containsKey(t.id()))
                .filter(t -> media.readings().get(t.id()).info().video() != null)
                .filter(t -> EvidenceCache.bodies(Media.resolved(media.folder(), t.file()), media.folder())
                        .isEmpty())
                .toList();
    }

    /**
     * Looks at all open takes of {@code workout} and keeps what was seen.
     *
     * @param paused asked often; nothing is looked at while it is true
     */
    public static void look(Workout workout, WorkoutMedia media, BooleanSupplier paused, Progress progress)
            throws IOException {
        List<Workout.TakeRef> open = open(workout, media);
        for (int i = 0; i < open.size(); i++) {
            int before = i;
            Path movie = Media.present(media.folder(), open.get(i));
            Path small = EvidenceCache.proxy(movie, media.folder());
            Bodies seen =
                    bodies(Files.exists(small) ? small : movie, paused, s -> progress.at((before + s) / open.size()));
            EvidenceCache.keep(movie, media.folder(), seen);
        }
    }

    /** The bodies in {@code movie}. */
    public static Bodies bodies(Path movie, BooleanSupplier paused, Progress progress) throws IOException {
        MediaInfo info = MediaInput.probe(movie);
        double hz = ProxyWriter.HZ;
        int samples = (int) Math.ceil(info.length().seconds() * hz);
        int stretch = (int) (STRETCH_SECONDS * hz);
        AtomicInteger done = new AtomicInteger();
        List<BodyFinder> finders = new ArrayList<>();
        int threads = Math.max(1, Math.min(MOST_THREADS, Runtime.getRuntime().availableProcessors()));
        ExecutorService pool = Executors.newFixedThreadPool(threads, SightJob::thread);
        try {
            List<Future<BodyFinder>> parts = new ArrayList<>();
            for (int from = 0; from < samples; from += stretch) {
                int first = from;
                int to = Math.min(samples, from + stretch);
                parts.add(pool.submit(() -> stretch(movie, first, to, hz, paused, done)));
            }
            for (Future<BodyFinder> part : parts) {
                finders.add(finished(part, () -> progress.at(done.get() / (double) Math.max(1, samples))));
            }
            progress.at(1);
            return BodyFinder.found(finders);
        } finally {
            pool.shutdownNow();
        }
    }

    private static Thread thread(Runnable r) {
        Thread t = new Thread(r, "sight");
        t.setDaemon(true);
        // Whoever works at the window comes first.
        t.setPriority(Thread.MIN_PRIORITY);
        return t;
    }

    private static BodyFinder finished(Future<BodyFinder> part, Runnable progress) throws IOException {
        while (true) {
            try {
                progress.run();
                return part.get(POLL_MILLIS, TimeUnit.MILLISECONDS);
            } catch (TimeoutException e) {
                // Not yet.
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new CancellationException();
            } catch (ExecutionException e) {
                throw e.getCause() instanceof IOException io ? io : new IOException(e.getCause());
            }
        }
    }

    private static BodyFinder stretch(
            Path movie, int first, int end, double hz, BooleanSupplier paused, AtomicInteger done)
            throws IOException, InterruptedException {
        try (BodyFinder finder = new BodyFinder(hz, first);
                FramePicker pictures = new FramePicker(movie)) {
            Picture last = null;
            for (int i = first; i < end; i++) {
                while (paused.getAsBoolean()) {
                    TimeUnit.MILLISECONDS.sleep(POLL_MILLIS);
                }
                if (Thread.interrupted()) {
                    throw new InterruptedException();
                }
                Time<Axis.Take> at = Time.<Axis.Take>zero().plus(Length.ofSeconds(i / hz));
                BufferedImage image = pictures.frameAt(at, ProxyWriter.WIDTH, ProxyWriter.HEIGHT);
                last = image == null ? last : picture(image);
                if (last != null) {
                    finder.see(last);
                }
                done.incrementAndGet();
            }
            return finder;
        }
    }

    private static Picture picture(BufferedImage image) {
        int width = image.getWidth();
        int height = image.getHeight();
        int[] pixels = image.getRGB(0, 0, width, height, null, 0, width);
        byte[] rgb = new byte[pixels.length * 3];
        for (int i = 0; i < pixels.length; i++) {
            rgb[3 * i] = (byte) (pixels[i] >> 16);
            rgb[3 * i + 1] = (byte) (pixels[i] >> 8);
            rgb[3 * i + 2] = (byte) pixels[i];
        }
        return new Picture(width, height, rgb);
    }
}
