package app.nosegay.bench.faults;

import app.nosegay.bench.faults.Victim.Doing;
import app.nosegay.files.AtomicFile;
import app.nosegay.files.Fingerprint;
import app.nosegay.jobs.EvidenceCache;
import app.nosegay.jobs.Media;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.media.MediaInput;
import app.nosegay.media.Progress;
import app.nosegay.media.TakeReader;
import app.nosegay.workout.Workout;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/** Kills a process at a random moment of what it does and looks at what is left. */
public final class Kills {
    private static final double MOST_TYPING_LOST = 1.5;
    private static final double MOST_RECORDING_LOST = 1.0;
    private static final int FRAMES_A_SECOND = 30;
    /** A process is killed between so many milliseconds after it began its work and so many more. */
    private static final int AFTER_MILLIS = 300;

    private static final int SPREAD_MILLIS = 3200;

    private final Path folder;
    private final Path take;
    private final Map<Doing, Integer> kills = new EnumMap<>(Doing.class);
    private final Map<String, String> faults = new TreeMap<>();
    private double typingLost;
    private double recordingLost;

    /** One line a victim printed. */
    private record Came(long n, long nanos) {}

    /**
     * @param take a short film
     */
    public Kills(Path folder, Path take) {
        this.folder = folder;
        this.take = take;
    }

    public Map<String, String> faults() {
        return faults;
    }

    /** The most seconds of typing one kill cost. */
    public double typingLost() {
        return typingLost;
    }

    /** The most seconds of a recording one kill cost. */
    public double recordingLost() {
        return recordingLost;
    }

    /** How often each was killed. */
    public Map<?, Integer> kills() {
        return kills;
    }

    /** Kills {@code count} processes, what they do in turn. */
    public void run(int count, long seed) throws Exception {
        Random random = new Random(seed);
        for (int i = 0; i < count; i++) {
            Doing doing = Doing.values()[i % Doing.values().length];
            Path at = Files.createDirectory(folder.resolve("kill-" + i));
            prepare(doing, at);
            List<Came> came = kill(doing, at, AFTER_MILLIS + random.nextInt(SPREAD_MILLIS));
            kills.merge(doing, 1, Integer::sum);
            try {
                look(doing, at, came);
            } catch (IOException | RuntimeException e) {
                fault(doing, "what is left cannot be used", i + ": " + e);
            }
            delete(at);
        }
    }

    private void prepare(Doing doing, Path at) throws IOException {
        if (doing == Doing.READING || doing == Doing.RENDERING || doing == Doing.PACKING) {
            Path movie = Files.copy(take, at.resolve("take-1.mp4"));
            double seconds = MediaInput.probe(movie).length().seconds();
            Workout workout = Workout.EMPTY
                    .withSheet("title: Killed\ntalk Hi  0:02\ncircuit A  work 0:05\n  squat\n")
                    .withTake(Media.reference(at, "take-1", movie, seconds, null, null));
            WorkoutFile.save(at.resolve("w.nosegay.json"), workout);
        }
    }

    private static List<Came> kill(Doing doing, Path at, int afterMillis) throws Exception {
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Xmx1g",
                        "-Dnosegay.home=" + at.resolve("home"),
                        "-cp",
                        System.getProperty("java.class.path"),
                        Victim.class.getName(),
                        doing.name(),
                        at.toString())
                .redirectError(at.resolve("err").toFile())
                .start();
        List<Came> came = new ArrayList<>();
        try (BufferedReader lines = process.inputReader(StandardCharsets.UTF_8)) {
            String line = lines.readLine();
            if (line == null) {
                throw new IOException(Files.readString(at.resolve("err")));
            }
            Thread killer = new Thread(() -> {
                try {
                    TimeUnit.MILLISECONDS.sleep(afterMillis);
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
                process.destroyForcibly();
            });
            killer.start();
            for (; line != null; line = next(lines)) {
                String[] words = line.split(" ");
                if (words.length == 2) {
                    came.add(new Came(Long.parseLong(words[0]), Long.parseLong(words[1])));
                }
            }
            killer.join();
        }
        process.waitFor();
        return came;
    }

    /** The next line; null at the end, which a kill may bring in the middle of one. */
    private static String next(BufferedReader lines) {
        try {
            return lines.readLine();
        } catch (IOException closed) {
            return null;
        }
    }

    private void look(Doing doing, Path at, List<Came> came) throws IOException {
        Came last = came.get(came.size() - 1);
        switch (doing) {
            case TYPING -> {
                Path kept = at.resolve("w.autosave");
                long n = Files.exists(kept) ? number(kept) : 0;
                // The first change that is not kept was typed then.
                Came first = came.get((int) Math.min(came.size() - 1, n));
                double lost = n >= last.n() ? 0 : (last.nanos() - first.nanos()) / 1e9;
                typingLost = Math.max(typingLost, lost);
                if (lost > MOST_TYPING_LOST) {
                    fault(doing, "loses typing", lost + " s");
                }
            }
            case SAVING -> {
                long n = number(at.resolve("w.nosegay.json"));
                if (n < last.n()) {
                    fault(doing, "a save that was done is gone", n + " of " + last.n());
                }
            }
            case RECORDING -> {
                Path part = AtomicFile.part(at.resolve("shoot-1.mp4"));
                double there = Files.exists(part) && Files.size(part) > 0
                        ? TakeReader.read(part, "t", Progress.NONE)
                                .evidence()
                                .length()
                                .seconds()
                        : 0;
                double lost = last.n() / (double) FRAMES_A_SECOND - there;
                recordingLost = Math.max(recordingLost, lost);
                if (lost > MOST_RECORDING_LOST) {
                    fault(doing, "loses more than its last second", lost + " s");
                }
            }
            case READING -> EvidenceCache.read(at.resolve("take-1.mp4"), "take-1", at, Progress.NONE);
            case RENDERING -> published(at);
            case PACKING -> packed(at);
        }
    }

    private static long number(Path file) throws IOException {
        String sheet = WorkoutFile.open(file).sheet();
        return Long.parseLong(sheet.lines().findFirst().orElseThrow().replace("title: change ", ""));
    }

    private void published(Path at) throws IOException {
        for (Path out : folders(at, "out-")) {
            for (Path file : files(out)) {
                String name = file.getFileName().toString();
                if (name.equals("video.mp4") && MediaInput.probe(file).length().seconds() < 1) {
                    fault(Doing.RENDERING, "a half video under its name", file.toString());
                }
                if (name.endsWith(".txt") && Files.size(file) == 0) {
                    fault(Doing.RENDERING, "an empty file under its name", file.toString());
                }
                if (name.contains("(yours")) {
                    fault(Doing.RENDERING, "takes its own file for somebody's", file.toString());
                }
            }
        }
    }

    private void packed(Path at) throws IOException {
        String print = Fingerprint.of(at.resolve("take-1.mp4"));
        for (Path out : folders(at, "pack-")) {
            Path movie = out.resolve("take-1.mp4");
            if (Files.exists(movie) && !Fingerprint.of(movie).equals(print)) {
                fault(Doing.PACKING, "a half copy under its name", movie.toString());
            }
            if (Files.exists(out.resolve("w.nosegay.json")) && !Files.exists(movie)) {
                fault(Doing.PACKING, "a workout without its recording", out.toString());
            }
        }
    }

    private static List<Path> folders(Path at, String begin) throws IOException {
        return files(at).stream()
                .filter(f -> Files.isDirectory(f) && f.getFileName().toString().startsWith(begin))
                .toList();
    }

    private static List<Path> files(Path at) throws IOException {
        try (Stream<Path> files = Files.list(at)) {
            return files.sorted().toList();
        }
    }

    private void fault(Doing doing, String what, String where) {
        faults.putIfAbsent(doing + ": " + what, where);
    }

    static void delete(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted(java.util.Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        }
    }
}
