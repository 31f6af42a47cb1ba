package app.nosegay.bench.faults;

import app.nosegay.jobs.LogbookFile;
import app.nosegay.jobs.Media;
import app.nosegay.jobs.Output;
import app.nosegay.jobs.PackJob;
import app.nosegay.jobs.PrintJob;
import app.nosegay.jobs.PublishJob;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.logbook.Logbook;
import app.nosegay.media.Device;
import app.nosegay.media.MediaInput;
import app.nosegay.media.Progress;
import app.nosegay.media.Recording;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;

/** A disk that is full, or may not be written to, in every stage: what is there stays as it is, and the failure is a sentence. */
public final class FullDisks {
    private static final int MEGABYTES = 60;

    private final Path folder;
    private final Path take;
    private final Map<String, String> faults = new TreeMap<>();
    private int tried;

    private interface Write {
        void to(Path disk) throws Exception;
    }

    /**
     * @param take a short film
     */
    public FullDisks(Path folder, Path take) {
        this.folder = folder;
        this.take = take;
    }

    public Map<String, String> faults() {
        return faults;
    }

    /** How many writes were tried. */
    public int tried() {
        return tried;
    }

    /** Whether a small disk can be mounted here; without that nothing is tried. */
    public boolean run() throws Exception {
        Path disk = Files.createDirectory(folder.resolve("disk"));
        if (!done("mount", "-t", "tmpfs", "-o", "size=" + MEGABYTES + "m", "tmpfs", disk.toString())) {
            return false;
        }
        String home = System.getProperty("nosegay.home");
        System.setProperty("nosegay.home", disk.resolve("home").toString());
        try {
            Files.createDirectory(disk.resolve("home"));
            LogbookFile.change(l -> l.with(new Logbook.Entry("2026-01-01", Logbook.Kind.LESSON, "", "kept")));
            Path movie = Files.copy(take, disk.resolve("take-1.mp4"));
            double seconds = MediaInput.probe(movie).length().seconds();
            Workout workout = Workout.EMPTY
                    .withSheet("title: Full\ntalk Hi  0:02\ncircuit A  work 0:05\n  squat\n")
                    .withTake(Media.reference(disk, "take-1", movie, seconds, null, null));
            WorkoutFile.save(disk.resolve("w.nosegay.json"), workout);
            WorkoutMedia media = WorkoutMedia.read(workout, disk, Progress.NONE);
            Programme programme = media.programme(workout);
            fill(disk);
            writes(workout, media, programme).forEach((name, write) -> tryIt("full: " + name, disk, write));
            done("mount", "-o", "remount,ro", disk.toString());
            writes(workout, media, programme).forEach((name, write) -> tryIt("read-only: " + name, disk, write));
        } finally {
            if (home == null) {
                System.clearProperty("nosegay.home");
            } else {
                System.setProperty("nosegay.home", home);
            }
            done("umount", "-l", disk.toString());
        }
        return true;
    }

    private static Map<String, Write> writes(Workout workout, WorkoutMedia media, Programme programme) {
        Map<String, Write> writes = new LinkedHashMap<>();
        Workout changed = workout.withSheet("title: Changed\n" + "# " + "x".repeat(40_000) + "\n");
        writes.put("save", disk -> WorkoutFile.save(disk.resolve("w.nosegay.json"), changed));
        writes.put("autosave", disk -> WorkoutFile.autosave(disk.resolve("w.nosegay.json"), changed));
        writes.put(
                "logbook",
                disk -> LogbookFile.change(
                        l -> l.with(new Logbook.Entry("2026-01-02", Logbook.Kind.LESSON, "", "y".repeat(20_000)))));
        writes.put("record", disk -> new Recording(Device.testPicture(320, 180), null, disk.resolve("shoot-1.mp4"))
                .close());
        writes.put("print", disk -> PrintJob.write(programme, PrintJob.Form.RUN_SHEET_PDF, disk.resolve("r.pdf")));
        writes.put(
                "pack",
                disk -> PackJob.into(workout, disk, disk.resolve("packed"), "w.nosegay.json", false, Progress.NONE));
        for (Output output : Output.values()) {
            if (PublishJob.possible(programme).contains(output)) {
                writes.put(
                        "publish " + output.word(),
                        disk -> PublishJob.write(
                                output,
                                new PublishJob.Export(
                                        programme, media, disk.resolve("out"), true, PublishJob.Choices.USUAL),
                                Progress.NONE));
            }
        }
        return writes;
    }

    private void tryIt(String name, Path disk, Write write) {
        tried++;
        try {
            Map<String, Long> before = sizes(disk);
            try {
                write.to(disk);
                faults.putIfAbsent(name + " passes for done", "");
            } catch (IOException e) {
                boolean said = e.getMessage() != null
                        && e.getMessage().length() > 25
                        && e.getMessage().lines().count() == 1;
                if (!said) {
                    faults.putIfAbsent(name + " is refused without a sentence", "" + e.getMessage());
                }
            } catch (Exception e) {
                faults.putIfAbsent(name + " throws " + e.getClass().getSimpleName(), "" + e.getMessage());
            }
            Map<String, Long> after = sizes(disk);
            if (!after.equals(before)) {
                faults.putIfAbsent(name + " leaves something behind", before + " then " + after);
            }
        } catch (IOException e) {
            faults.putIfAbsent(name + " cannot be looked at", "" + e);
        }
    }

    /** What is under final names. */
    private static Map<String, Long> sizes(Path disk) throws IOException {
        Map<String, Long> sizes = new TreeMap<>();
        try (Stream<Path> files = Files.walk(disk)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                String name = disk.relativize(file).toString();
                boolean counts = !name.endsWith(".part") && !name.endsWith(".lock") && !name.contains(".nosegay/");
                if (counts) {
                    sizes.put(name, Files.size(file));
                }
            }
        }
        return sizes;
    }

    private static void fill(Path disk) {
        byte[] block = new byte[4096];
        new Random(1).nextBytes(block);
        try (var out = Files.newOutputStream(disk.resolve("filler"))) {
            while (true) {
                out.write(block);
            }
        } catch (IOException full) {
            // As wished.
        }
    }

    private static boolean done(String... command) throws Exception {
        try {
            return new ProcessBuilder(command)
                            .redirectErrorStream(true)
                            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                            .start()
                            .waitFor()
                    == 0;
        } catch (IOException e) {
            return false;
        }
    }
}
