package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import app.nosegay.media.Device;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.shoot.OwedLines;
import app.nosegay.shoot.ShootClock;
import app.nosegay.shoot.ShootLog;
import app.nosegay.shoot.VoiceMeter;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;

/**
 * Runs the shoot clock in the room: sound out, log to a file, camera and clap listener beside it. The clock goes by the sample positions
 * of the sound output, or without one by the machine's clock. The log is rewritten at least once a second, so that a kill loses no more.
 */
public final class ShootRun implements AutoCloseable {
    private static final int MOST_RUNS = 255;
    private static final long LOG_EVERY_NANOS = 800_000_000L;
    /** The end tone is followed by a little quiet. */
    private static final Length AFTER_THE_END = Length.ofSeconds(0.5);

    /**
     * What is used for a run.
     *
     * @param volume of the beeps, 0 (off) to 1
     * @param tones whether sync tones are played
     * @param claps whether two claps let a held clock go on, or begin the interval again while it runs
     * @param camera null when the camera records by itself
     * @param microphone null for the camera's own sound
     * @param rehearsal whether nothing is kept: no tones, no recording, no log
     */
    public record Settings(
            double volume, boolean tones, boolean claps, Device camera, Device microphone, boolean rehearsal) {
        /** The same without anything that is kept. */
        public Settings rehearsed() {
            return new Settings(volume, false, claps, null, null, true);
        }
    }

    private final ShootClock clock;
    private final Settings settings;
    private final Path logFile;
    private final Consumer<String> notice;
    private final Thread thread;
    /** Null when the camera records by itself. */
    private final KeptRecording recording;

    private final CountDownLatch closing = new CountDownLatch(1);
    private volatile String logProblem = "";
    private volatile boolean over;
    private volatile ShootClock.Moment moment;
    private final ClockSpeaker speaker;
    private final RoomListener room;
    private final OwedLines owedLines;
    private final VoiceMeter voice = new VoiceMeter();
    private volatile OwedLines.Owed owed;

    /**
     * Which run it is.
     *
     * @param from index of the segment to start from
     * @param number 0 to 255
     * @param folder where the log, and the recording, are written
     */
    public record Run(int from, int number, Path folder) {}

    /**
     * Starts a run.
     *
     * @param notice told in a sentence what does not work, on another thread
     */
    public ShootRun(Timeline timeline, CuePlan cues, Run run, Settings settings, Consumer<String> notice)
            throws IOException {
        this.settings = settings;
        this.notice = notice;
        this.logFile = run.folder().resolve("shoot-" + run.number() + ".log.json");
        speaker = new ClockSpeaker(settings, run.number(), notice);
        room = new RoomListener(settings.claps(), notice, this::clapped, () -> isClosing() || over);
        String began = LocalDateTime.now().truncatedTo(ChronoUnit.SECONDS).toString();
        clock = new ShootClock(timeline, cues, run.from(), run.number(), began, speaker.hasOutput());
        moment = clock.moment();
        owedLines = new OwedLines(timeline, cues);
        Files.createDirectories(run.folder());
        writeLog();
        Path movie = movie(run.folder(), run.number());
        recording = settings.camera() == null
                ? null
                : new KeptRecording(
                        settings.camera(),
                        settings.microphone(),
                        movie,
                        timeline.total().seconds(),
                        notice);
        thread = new Thread(this::play, "shoot-clock");
        thread.setDaemon(true);
        thread.start();
        if (settings.claps() || recording == null) {
            room.start();
        }
    }

    private static Path movie(Path folder, int run) {
        return folder.resolve("shoot-" + run + ".mp4");
    }

    /** A free run number: one that no log and no recording in {@code folder} has. The tones can say no more than 255. */
    public static int freeRun(Path folder) throws IOException {
        for (int run = 1; run <= MOST_RUNS; run++) {
            boolean taken = Files.exists(folder.resolve("shoot-" + run + ".log.json"))
                    || Files.exists(movie(folder, run))
                    || Files.exists(CutOffRecordings.part(movie(folder, run)));
            if (!taken) {
                return run;
            }
        }
        throw new IOException(JobText.of("shoot-run.no-run-number-is-free", folder.getFileName(), MOST_RUNS));
    }

    private void play() {
        long logged = 0;
        speaker.begin();
        while (!isClosing() && !hasEnded(speaker.until())) {
            if (!speaker.playBlock()) {
                pause();
            }
            if (System.nanoTime() - logged > LOG_EVERY_NANOS) {
                logged = System.nanoTime();
                keepLog();
            }
        }
        speaker.close();
        over = true;
        keepLog();
    }

    /** Brings the clock to what can be heard, and starts what is due before {@code until}; whether the run is over by then. */
    private boolean hasEnded(Time<Axis.Clock> until) {
        synchronized (clock) {
            clock.at(Time.ofSeconds(speaker.heard()));
            clock.sounds(until).forEach(speaker::start);
            owedLines.at(clock.planTime(), ear());
            owed = clock.isFinished() ? null : owedLines.now().orElse(null);
            moment = clock.moment();
            over = clock.over() != null && clock.now().isAfter(clock.over());
            return clock.over() != null && !until.isBefore(clock.over().plus(AFTER_THE_END));
        }
    }

    /** Whether somebody speaks now; what the clock itself plays into the room is no voice. */
    private OwedLines.Ear ear() {
        double level = recording == null ? room.level() : recording.level();
        if (level < 0) {
            return OwedLines.Ear.NONE;
        }
        boolean speaks = voice.hear(level, ClockSpeaker.BLOCK / (double) ClockSpeaker.HZ) && !speaker.isPlaying();
        return speaks ? OwedLines.Ear.VOICE : OwedLines.Ear.QUIET;
    }

    private boolean isClosing() {
        return closing.getCount() == 0;
    }

    private void pause() {
        try {
            closing.await(10, TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            closing.countDown();
        }
    }

    private void clapped() {
        synchronized (clock) {
            if (clock.isHeld()) {
                clock.hold();
            } else {
                clock.again();
            }
        }
    }

    private void keepLog() {
        try {
            writeLog();
            logProblem = "";
        } catch (IOException e) {
            logProblem = JobText.of("shoot-run.the-shoot-log-cannot-be", logFile.getFileName(), e.getMessage());
        }
    }

    private void writeLog() throws IOException {
        if (settings.rehearsal()) {
            return;
        }
        ShootLog log;
        synchronized (clock) {
            log = clock.log();
        }
        AtomicFile.write(logFile, log.toJson());
    }

    /** Does something with the clock, such as a mark, and keeps it in the log at once. */
    public void tell(Consumer<ShootClock> what) {
        synchronized (clock) {
            what.accept(clock);
            moment = clock.moment();
        }
        keepLog();
    }

    /** The creator says that the line that is owed has been said. */
    public void said() {
        synchronized (clock) {
            owedLines.said();
            owed = owedLines.now().orElse(null);
        }
    }

    /** The line that should have been said by now and, as far as was heard, was not; null for none. */
    public OwedLines.Owed owed() {
        return owed;
    }

    /** What nobody was heard saying although its time is over; nothing where nobody listens. */
    public List<ScriptLine> missed() {
        synchronized (clock) {
            return owedLines.missed();
        }
    }

    public boolean isRehearsal() {
        return settings.rehearsal();
    }

    /** What is to be seen now. */
    public ShootClock.Moment moment() {
        return moment;
    }

    /** Whether the end tone has been played. */
    public boolean isOver() {
        return over;
    }

    /** The recorded level, 0 to 1; −1 when the camera records by itself. */
    public double level() {
        return recording == null ? -1 : recording.level();
    }

    /** What goes wrong with the recording or the log at this moment, as one sentence with what to do; empty for nothing. */
    public String alert() {
        String said = recording == null ? "" : recording.alert();
        return said.isEmpty() ? logProblem : said;
    }

    /** Whether what happens in front of the camera is not being recorded, though it should be. */
    public boolean isLosing() {
        return recording != null && recording.isLosing();
    }

    /** Whether nothing is recorded any more, though it should be. */
    public boolean isStopped() {
        return recording != null && recording.isStopped();
    }

    public Path logFile() {
        return logFile;
    }

    public ShootLog log() {
        synchronized (clock) {
            return clock.log();
        }
    }

    /**
     * Ends the run and its recording; gives the recording, or null when the camera records by itself. What was recorded is kept whatever
     * happened; {@link #alert()} says what did.
     */
    public Path finish() throws IOException {
        tell(c -> {
            if (!c.isFinished()) {
                c.stop();
            }
        });
        try {
            thread.join(4000);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        close();
        keepLog();
        return recording == null ? null : recording.stop();
    }

    /** Ends a rehearsal, of which nothing is kept. */
    public void end() {
        closing.countDown();
    }

    @Override
    public void close() throws IOException {
        closing.countDown();
        if (recording != null) {
            recording.close();
        }
    }
}
