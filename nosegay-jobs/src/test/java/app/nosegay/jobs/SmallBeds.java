package app.nosegay.jobs;

import app.nosegay.match.Pin;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MovieFormat;
import app.nosegay.media.MovieWriter;
import app.nosegay.media.Progress;
import app.nosegay.paint.Figure;
import app.nosegay.paint.Motion;
import app.nosegay.paint.StudioBackdrop;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** A workout of a minute, filmed. */
record SmallBeds(WorkoutMedia media, Programme programme) {
    static final String SHEET = "title: Small Beds\npromise: about 1 min, 2 moves\n"
            + "levels: Seedling easier left, Oak main centre\ngear: kettlebell medium\n"
            + "talk Hi  0:10\ncircuit A  work 0:12  rest 0:08\n  goblet squat  gear kettlebell medium\n  push-up\ntalk Bye  0:10\n";
    static final int WIDTH = 640;
    static final int HEIGHT = 360;
    static final double BEFORE = 2;

    /** Films it into {@code folder}: a figure in the middle, a tone at −26 dBFS, and a transcript; its boundaries are pinned. */
    static SmallBeds film(Path folder) throws IOException {
        Path movie = folder.resolve("take-1.mp4");
        BufferedImage set = StudioBackdrop.paint(WIDTH, HEIGHT);
        BufferedImage frame = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        try (MovieWriter writer = new MovieWriter(
                movie,
                new MovieFormat(WIDTH, HEIGHT, new FrameRate(15, 1), EncoderSettings.TAKE, true),
                "",
                List.of())) {
            float[] tone = new float[2 * MovieWriter.SOUND_HZ / 15];
            for (int n = 0; n < 60 * 15; n++) {
                double t = n / 15.0 - BEFORE;
                Graphics2D g = frame.createGraphics();
                g.drawImage(set, 0, 0, null);
                boolean moves = (t > 10 && t < 22) || (t > 30 && t < 42);
                double phase = moves ? 0.5 - 0.5 * Math.cos(t * 2) : 0;
                Figure.presenter()
                        .draw(
                                g,
                                new Figure.Stance(Motion.of("squat"), phase, false, Figure.Prop.NONE),
                                WIDTH / 2.0,
                                HEIGHT * 0.92,
                                210);
                g.dispose();
                writer.picture(frame, n);
                for (int i = 0; i < tone.length / 2; i++) {
                    double at = n / 15.0 + i / (double) MovieWriter.SOUND_HZ;
                    tone[2 * i] = (float) (0.05 * Math.sin(2 * Math.PI * 997 * at));
                    tone[2 * i + 1] = tone[2 * i];
                }
                writer.sound(tone, 0, tone.length / 2);
            }
            writer.finish();
        }
        Files.writeString(
                folder.resolve("take-1.vtt"),
                "WEBVTT\n\n00:00:03.000 --> 00:00:05.000\nWelcome to the beds.\n\n00:00:14.000 --> 00:00:16.000\nChest tall.\n");
        Workout.TakeRef take = Media.reference(folder, "take-1", movie, 60, folder.resolve("take-1.vtt"), null);
        Workout workout = Workout.EMPTY.withSheet(SHEET).withTake(take);
        double[] starts = {0, 10, 22, 30, 42};
        String[] ids = {"hi", "a/goblet-squat", "a/goblet-squat/rest", "a/push-up", "bye"};
        for (int i = 0; i < ids.length; i++) {
            workout = workout.withPin(new Pin(ids[i], false, "take-1", Time.ofSeconds(BEFORE + starts[i])));
        }
        workout = workout.withPin(new Pin("bye", true, "take-1", Time.ofSeconds(BEFORE + 52)));
        WorkoutMedia media = WorkoutMedia.read(workout, folder, Progress.NONE);
        return new SmallBeds(media, media.programme(workout));
    }
}
