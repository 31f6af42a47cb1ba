package app.nosegay.jobs;

import app.nosegay.captions.Caption;
import app.nosegay.captions.TranscriptWriter;
import app.nosegay.files.AtomicFile;
import app.nosegay.media.JoinedRecording;
import app.nosegay.media.MediaInput;
import app.nosegay.media.Progress;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import app.nosegay.workout.JoinedTakes;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Makes one take of two that a camera cut apart while it recorded; both stay where they are. */
public final class JoinJob {
    private JoinJob() {}

    /**
     * Joins {@code second} to the end of {@code first} in a new file beside it, with their transcripts, and gives the workout that uses it.
     *
     * @param programme what was matched with the two apart
     * @throws IOException when one of them is missing, they were recorded with different settings, or there is no room; the message
     * says which
     */
    public static Workout join(
            Workout workout, Programme programme, Path folder, String first, String second, Progress progress)
            throws IOException {
        Workout.TakeRef a = take(workout, first);
        Workout.TakeRef b = take(workout, second);
        if (a == b) {
            throw new IOException(JobText.of("join-job.a-take-cannot-be-joined"));
        }
        Path before = Media.present(folder, a);
        Path behind = Media.present(folder, b);
        DiskSpace.check(
                before.getParent(),
                (a.size() + b.size()) * 5,
                JobText.of("join-job.the-joined-recording")); // no smaller than both
        Path whole = free(before);
        Length offset = JoinedRecording.write(List.of(before, behind), whole, progress)
                .get(1)
                .since(Time.zero());
        Path log = a.log() != null
                ? Media.resolved(folder, a.log())
                : b.log() != null ? Media.resolved(folder, b.log()) : null;
        double seconds = MediaInput.probe(whole).length().seconds();
        Workout.TakeRef joined =
                Media.reference(folder, first, whole, seconds, transcript(a, b, folder, whole, offset), log);
        return JoinedTakes.of(workout, joined.withNote(note(a, b)), second, offset, programme.match());
    }

    private static Workout.TakeRef take(Workout workout, String id) throws IOException {
        return workout.takes().stream()
                .filter(t -> t.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IOException(JobText.of(
                        "join-job.there-is-no-take-in",
                        id,
                        String.join(
                                ", ",
                                workout.takes().stream()
                                        .map(Workout.TakeRef::id)
                                        .toList()))));
    }

    private static String note(Workout.TakeRef a, Workout.TakeRef b) {
        return (a.note() + " " + b.note()).strip();
    }

    /** A name beside {@code file} that nothing has; a container that pictures can be copied into as they are. */
    private static Path free(Path file) {
        String name = file.getFileName().toString();
        String stem = name.replaceFirst("\\.[^.]*$", "");
        boolean mp4 = name.toLowerCase(java.util.Locale.ROOT).matches(".*\\.(mp4|mov|m4v)");
        String ending = mp4 ? name.substring(stem.length()) : ".mkv";
        Path free = file.resolveSibling(stem + "-joined" + ending);
        for (int n = 2; Files.exists(free); n++) {
            free = file.resolveSibling(stem + "-joined-" + n + ending);
        }
        return free;
    }

    /** The captions of both, written beside the whole; null when neither has any. */
    private static Path transcript(Workout.TakeRef a, Workout.TakeRef b, Path folder, Path whole, Length offset)
            throws IOException {
        List<Caption> captions = new ArrayList<>();
        if (a.transcript() != null) {
            captions.addAll(WorkoutMedia.transcript(Media.resolved(folder, a.transcript())));
        }
        if (b.transcript() != null) {
            WorkoutMedia.transcript(Media.resolved(folder, b.transcript())).forEach(c -> captions.add(c.later(offset)));
        }
        if (captions.isEmpty()) {
            return null;
        }
        Path file = whole.resolveSibling(whole.getFileName().toString().replaceFirst("\\.[^.]*$", "") + ".vtt");
        if (Files.exists(file)) {
            throw new IOException(JobText.of("join-job.is-there-already-move-it", file));
        }
        AtomicFile.write(file, TranscriptWriter.webVtt(captions));
        return file;
    }
}
