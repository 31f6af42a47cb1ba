package app.nosegay.bench;

import app.nosegay.jobs.Libraries;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FramePicker;
import app.nosegay.media.MediaInput;
import app.nosegay.media.MovieFormat;
import app.nosegay.media.MovieWriter;
import app.nosegay.media.Progress;
import app.nosegay.plan.Timeline;
import app.nosegay.standins.SimulatedCamera;
import app.nosegay.standins.SimulatedTake;
import app.nosegay.standins.Voice;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** The practice camera beside its encoder alone, which is given pictures that are drawn already. */
final class FilmBench {
    private static final String SHEET =
            "title: Bench\ncalls: 5, in 3, out 3\nlevels: Seedling easier left, Oak main centre\n"
                    + "talk Hi  0:05\ncircuit A  rounds 1  work 0:10  rest 0:05\n  goblet squat\n  reverse lunge\n";
    /** So many pictures in a row, from the middle of a set: to and fro they are a film that moves all the time. */
    private static final int PICTURES = 45;

    private static final double FROM = 10;

    private FilmBench() {}

    static void rows(PrintWriter out, Path folder) throws Exception {
        Timeline timeline = Timing.timeline(SHEET);
        // How long speaking takes is measured nowhere here: the voice is silence.
        Voice silent = (text, hz) -> new float[hz];
        Path film = SimulatedTake.make(
                        timeline,
                        Libraries.current(),
                        new SimulatedTake.Run(folder, "filmed", 1, Set.of()),
                        silent,
                        Progress.NONE)
                .movie();
        List<BufferedImage> pictures = new ArrayList<>();
        double seconds = MediaInput.probe(film).length().seconds();
        try (FramePicker picker = new FramePicker(film)) {
            for (int n = 0; n < PICTURES; n++) {
                pictures.add(picker.frameAt(
                        Time.ofSeconds(FROM + n / BenchCommand.RATE.perSecond()),
                        SimulatedCamera.WIDTH,
                        SimulatedCamera.HEIGHT));
            }
        }
        double[] both = Timing.medians(
                () -> encode(pictures, Math.round(seconds * BenchCommand.RATE.perSecond()), folder.resolve("bare.mp4")),
                () -> SimulatedTake.make(
                        timeline,
                        Libraries.current(),
                        new SimulatedTake.Run(folder, "filmed", 1, Set.of()),
                        silent,
                        Progress.NONE));
        BenchCommand.row(out, "filming ÷ encoder alone", both[1] / both[0], "none", both[1], both[0]);
        out.printf(
                Locale.ROOT,
                "   (%.1f seconds of film a second, the encoder alone %.1f; %dx%d)%n",
                seconds / both[1],
                seconds / both[0],
                SimulatedCamera.WIDTH,
                SimulatedCamera.HEIGHT);
    }

    private static void encode(List<BufferedImage> pictures, long frames, Path file) throws IOException {
        float[] quiet = new float[2 * MovieWriter.SOUND_HZ / 30];
        try (MovieWriter writer = new MovieWriter(
                file,
                new MovieFormat(
                        SimulatedCamera.WIDTH, SimulatedCamera.HEIGHT, BenchCommand.RATE, EncoderSettings.TAKE, true),
                "",
                List.of())) {
            for (long n = 0; n < frames; n++) {
                int turn = (int) (n % (2L * PICTURES - 2));
                writer.picture(pictures.get(turn < PICTURES ? turn : 2 * PICTURES - 2 - turn), n);
                writer.sound(quiet, 0, quiet.length / 2);
            }
            writer.finish();
        }
    }
}
