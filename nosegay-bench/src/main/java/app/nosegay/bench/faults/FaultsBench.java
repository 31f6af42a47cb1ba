package app.nosegay.bench.faults;

import app.nosegay.jobs.Demo;
import app.nosegay.jobs.Media;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MediaInput;
import app.nosegay.media.MovieFormat;
import app.nosegay.media.MovieWriter;
import app.nosegay.workout.Workout;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** {@code nosegay bench --faults}: what kills, hostile inputs, full disks and random actions do to Nosegay. */
public final class FaultsBench {
    private static final int SECONDS = 8;

    private final PrintWriter out;
    private final Path folder;
    private final Path take;

    public FaultsBench(PrintWriter out, Path folder) throws IOException {
        this.out = out;
        this.folder = folder;
        this.take = film(folder.resolve("film.mp4"));
    }

    /** A film of {@value #SECONDS} s with a tone, small enough to be copied two hundred times. */
    static Path film(Path movie) throws IOException {
        BufferedImage frame = new BufferedImage(320, 180, BufferedImage.TYPE_INT_RGB);
        try (MovieWriter writer = new MovieWriter(
                movie, new MovieFormat(320, 180, new FrameRate(30, 1), EncoderSettings.TAKE, true), "", List.of())) {
            float[] tone = new float[2 * MovieWriter.SOUND_HZ / 30];
            for (int n = 0; n < SECONDS * 30; n++) {
                Graphics2D g = frame.createGraphics();
                g.setColor(Color.DARK_GRAY);
                g.fillRect(0, 0, 320, 180);
                g.setColor(Color.ORANGE);
                g.fillRect(140, 60 + (int) (40 * Math.sin(n / 9.0)), 40, 60);
                g.dispose();
                writer.picture(frame, n);
                for (int i = 0; i < tone.length; i++) {
                    tone[i] = (float) (0.1 * Math.sin(i / 2 * 0.06 + n));
                }
                writer.sound(tone, 0, tone.length / 2);
            }
            writer.finish();
        }
        return movie;
    }

    /** Hostile inputs. */
    public void inputs(int count, long seed) throws IOException {
        HostileInputs.Outcome found = new HostileInputs(folder, take).run(count, seed);
        out.printf(
                Locale.ROOT,
                "%d mutated inputs (%s): %d refused with a sentence, slowest %.2f s, most given out %d MB%n",
                found.inputs(),
                HostileInputs.bars(),
                found.refused(),
                found.slowestSeconds(),
                found.largestBytes() >> 20);
        faults(found.faults());
    }

    /** Kills. */
    public void kills(int count, long seed) throws Exception {
        Kills kills = new Kills(Files.createDirectory(folder.resolve("kills")), take);
        kills.run(count, seed);
        out.printf(
                Locale.ROOT,
                "%d kills %s: at most %.2f s of typing lost (1.5), %.2f s of a recording (1.0)%n",
                count,
                kills.kills(),
                kills.typingLost(),
                kills.recordingLost());
        faults(kills.faults());
    }

    /** A full and a read-only disk. */
    public void disks() throws Exception {
        FullDisks disks = new FullDisks(folder, take);
        if (disks.run()) {
            out.printf("%d writes to a full and to a read-only disk%n", disks.tried());
            faults(disks.faults());
        } else {
            out.println("no small disk can be mounted here: full disks were not tried");
        }
    }

    /** Random actions. */
    public void actions(Duration length, long seed) throws Exception {
        System.setProperty("nosegay.home", folder.resolve("home").toString());
        RandomActions acting = RandomActions.inAWindow(workout(), length, 0, seed);
        out.printf("%d random actions in %d s%n", acting.actions(), length.toSeconds());
        faults(acting.faults());
    }

    private Path workout() throws IOException {
        Path file = folder.resolve("acted" + WorkoutFile.ENDING);
        Path movie = Files.copy(take, folder.resolve("take-1.mp4"));
        double seconds = MediaInput.probe(movie).length().seconds();
        WorkoutFile.save(
                file,
                Workout.EMPTY
                        .withSheet(Demo.sheet())
                        .withTake(Media.reference(folder, "take-1", movie, seconds, null, null)));
        return file;
    }

    private void faults(Map<String, String> faults) {
        faults.forEach((what, where) -> out.println("  FAULT " + what + "  [" + where + "]"));
        if (faults.isEmpty()) {
            out.println("  no faults");
        }
        out.flush();
    }
}
