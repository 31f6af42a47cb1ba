package app.nosegay.jobs;

import app.nosegay.cut.MatchNotes;
import app.nosegay.cut.SecondCamera;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sound.SameRun;
import app.nosegay.plan.Interval;
import app.nosegay.time.Length;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.util.List;

/** Recordings of the same run by another camera: found by their sound, and shown for whole intervals. */
public final class SecondCameras {
    private SecondCameras() {}

    /** The workout with {@code take} lying under {@code of}, where their sound says that they are of the same run. */
    public static Workout marked(Workout workout, List<TakeEvidence> evidence, String take, String of)
            throws IOException {
        TakeEvidence second = named(evidence, take);
        Length later = SameRun.later(named(evidence, of), second)
                .orElseThrow(() -> new IOException(JobText.of("second-cameras.not-alike", take, of)));
        SecondCamera camera = new SecondCamera(take, of, later, second.length());
        return workout.withMatching(workout.matching().withCamera(camera));
    }

    private static TakeEvidence named(List<TakeEvidence> evidence, String id) throws IOException {
        return evidence.stream()
                .filter(e -> e.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IOException(JobText.of("second-cameras.not-read", id)));
    }

    /** The workout with a recording as a take of its own again. */
    public static Workout unmarked(Workout workout, String take) {
        MatchNotes notes = workout.matching().withoutCamera(take);
        for (var choice : workout.matching().choices().entrySet()) {
            notes = choice.getValue().equals(take) ? notes.withoutChoice(choice.getKey()) : notes;
        }
        return workout.withMatching(notes);
    }

    /** The workout with an interval seen by {@code camera}; by the first camera where that is null. */
    public static Workout seen(Workout workout, Interval interval, String camera) {
        MatchNotes notes = workout.matching();
        for (var segment : interval.segments()) {
            notes = camera == null ? notes.withoutChoice(segment.id()) : notes.withChoice(segment.id(), camera);
        }
        return workout.withMatching(notes);
    }
}
