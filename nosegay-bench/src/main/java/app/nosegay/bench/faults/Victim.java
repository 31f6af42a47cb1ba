package app.nosegay.bench.faults;

import app.nosegay.jobs.ChangeKeeper;
import app.nosegay.jobs.EvidenceCache;
import app.nosegay.jobs.Output;
import app.nosegay.jobs.PackJob;
import app.nosegay.jobs.PublishJob;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.media.Device;
import app.nosegay.media.Progress;
import app.nosegay.media.Recording;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;

/** The process that is killed: it does one thing over and over and prints how far it has come. */
public final class Victim {
    /** What it is killed in. */
    enum Doing {
        TYPING,
        SAVING,
        RECORDING,
        READING,
        RENDERING,
        PACKING
    }

    /** A person types no faster. */
    private static final long KEY_MILLIS = 25;

    private Victim() {}

    /** Does {@code args[0]} in the folder {@code args[1]} until it is killed. */
    public static void main(String[] args) throws Exception {
        Path folder = Path.of(args[1]);
        switch (Doing.valueOf(args[0])) {
            case TYPING -> type(folder);
            case SAVING -> save(folder);
            case RECORDING -> record(folder);
            case READING -> read(folder);
            case RENDERING -> render(folder);
            case PACKING -> pack(folder);
        }
    }

    static Workout numbered(long n) {
        return Workout.EMPTY.withSheet("title: change " + n + "\ntalk Hi  0:10\n");
    }

    private static void type(Path folder) throws InterruptedException {
        ChangeKeeper keeper = new ChangeKeeper(failure -> {});
        keeper.flush(); // a window takes longer to come up than its keeper to be ready: nobody types before
        for (long n = 1; ; n++) {
            keeper.changed(folder.resolve("w.autosave"), numbered(n));
            System.out.println(n + " " + System.nanoTime());
            TimeUnit.MILLISECONDS.sleep(KEY_MILLIS);
        }
    }

    private static void save(Path folder) throws Exception {
        for (long n = 1; ; n++) {
            WorkoutFile.save(folder.resolve("w.nosegay.json"), numbered(n));
            System.out.println(n + " " + System.nanoTime());
        }
    }

    private static void record(Path folder) throws Exception {
        try (Recording recording = new Recording(Device.testPicture(320, 180), null, folder.resolve("shoot-1.mp4"))) {
            while (true) {
                System.out.println(recording.frames() + " " + System.nanoTime());
                TimeUnit.MILLISECONDS.sleep(KEY_MILLIS);
            }
        }
    }

    private static void read(Path folder) throws Exception {
        for (long n = 1; ; n++) {
            System.out.println(n + " " + System.nanoTime());
            EvidenceCache.read(folder.resolve("take-1.mp4"), "take-1", folder, Progress.NONE);
            try (var kept = Files.list(folder.resolve(".nosegay"))) {
                for (Path file :
                        kept.filter(f -> f.toString().endsWith(".reading")).toList()) {
                    Files.delete(file);
                }
            }
        }
    }

    private static void render(Path folder) throws Exception {
        Workout workout = WorkoutFile.open(folder.resolve("w.nosegay.json"));
        WorkoutMedia media = WorkoutMedia.read(workout, folder, Progress.NONE);
        Programme programme = media.programme(workout);
        for (long n = 1; ; n++) {
            System.out.println(n + " " + System.nanoTime());
            for (Output output : new Output[] {Output.VIDEO, Output.DESCRIPTION, Output.RUN_SHEET}) {
                PublishJob.write(
                        output,
                        new PublishJob.Export(
                                programme, media, folder.resolve("out-" + n % 3), true, PublishJob.Choices.USUAL),
                        Progress.NONE);
            }
        }
    }

    private static void pack(Path folder) throws Exception {
        Workout workout = WorkoutFile.open(folder.resolve("w.nosegay.json"));
        for (long n = 1; ; n++) {
            System.out.println(n + " " + System.nanoTime());
            PackJob.into(workout, folder, folder.resolve("pack-" + n), "w.nosegay.json", false, Progress.NONE);
        }
    }
}
