package app.nosegay.jobs;

import app.nosegay.captions.Caption;
import app.nosegay.listen.ScriptListener;
import app.nosegay.media.Progress;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Lines that are said once more, one after the other, before the camera: which one is up, and since when. */
public final class LinesRun implements AutoCloseable {
    /** How long somebody takes for one line, with a breath and a second try: to tell whether the disk holds all, in seconds. */
    public static final double EACH = 20;
    /** A line may be begun a little before it is asked for, and end a little after. */
    private static final Length EARLY = Length.ofSeconds(0.5);

    private final List<String> lines;
    private final KeptRecording recording;
    private final long began = System.nanoTime();
    private final List<ScriptListener.Expected> shown = new ArrayList<>();
    private Time<Axis.Take> since = Time.zero();
    private int at;

    /**
     * @param lines the words of each
     * @param recording null where the camera records by itself
     */
    public LinesRun(List<String> lines, KeptRecording recording) {
        this.lines = List.copyOf(lines);
        this.recording = recording;
    }

    /** Which line is to be said now, from 0. */
    public int at() {
        return at;
    }

    /** The next line; whether there was one. */
    public boolean next() {
        return go(at + 1);
    }

    /** The line before, once more. */
    public boolean back() {
        return go(at - 1);
    }

    private boolean go(int to) {
        if (to < 0 || to >= lines.size()) {
            return false;
        }
        note();
        at = to;
        return true;
    }

    private void note() {
        Time<Axis.Take> now = Time.ofSeconds((System.nanoTime() - began) / 1e9);
        Time<Axis.Take> from = Time.max(Time.zero(), since.minus(EARLY));
        shown.add(new ScriptListener.Expected(lines.get(at), new Span<>(from, now.plus(EARLY))));
        since = now;
    }

    /** The recorded level, 0 to 1; −1 when the camera records by itself. */
    public double level() {
        return recording == null ? -1 : recording.level();
    }

    /** What goes wrong with the recording, as one sentence with what to do; empty for nothing. */
    public String alert() {
        return recording == null ? "" : recording.alert();
    }

    /** Ends the recording, on the thread of the page; what takes long is left to {@link #heard}. */
    public void end() {
        note();
    }

    /**
     * Finishes the recording and listens for each line where it was up. What is heard is written beside the recording.
     *
     * @return the recording; null when the camera records by itself
     */
    public Heard heard(Progress progress) throws IOException {
        if (recording == null) {
            return new Heard(null, 0);
        }
        Path movie = recording.stop();
        List<Caption> heard = ListenJob.beside(movie, List.copyOf(shown), progress);
        return new Heard(movie, heard.size());
    }

    /**
     * What came of it.
     *
     * @param movie the recording; null when the camera records by itself
     * @param lines how many stretches of speech were understood
     */
    public record Heard(Path movie, int lines) {}

    @Override
    public void close() throws IOException {
        if (recording != null) {
            recording.close();
        }
    }
}
