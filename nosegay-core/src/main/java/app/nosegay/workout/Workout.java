package app.nosegay.workout;

import app.nosegay.match.Pin;
import java.util.ArrayList;
import java.util.List;

/**
 * All that is stored of a workout. The run-sheet text is the truth; timeline, cue plan, match and dressing are reckoned from it.
 *
 * @param sheet the run-sheet text verbatim
 * @param takes the recordings it refers to, in order
 * @param pins boundaries fixed by hand
 */
public record Workout(String sheet, List<TakeRef> takes, List<Pin> pins) {
    public static final Workout EMPTY = new Workout("", List.of(), List.of());

    public Workout {
        takes = List.copyOf(takes);
        pins = List.copyOf(pins);
    }

    /**
     * A recording, which stays where it is.
     *
     * @param id short name, unique in the workout
     * @param file path, relative to the workout file where both are on one volume
     * @param size in bytes
     * @param seconds its length
     * @param fingerprint SHA-256 of its first and last 1 MiB, in hex
     * @param transcript path of a timed transcript, or null
     * @param log path of the shoot log, or null
     */
    public record TakeRef(
            String id, String file, long size, double seconds, String fingerprint, String transcript, String log) {}

    public Workout withSheet(String text) {
        return new Workout(text, takes, pins);
    }

    public Workout withTake(TakeRef take) {
        List<TakeRef> more = new ArrayList<>(takes);
        more.add(take);
        return new Workout(sheet, more, pins);
    }

    /** Without a take and the pins that lie in it. */
    public Workout withoutTake(String id) {
        return new Workout(
                sheet,
                takes.stream().filter(t -> !t.id().equals(id)).toList(),
                pins.stream().filter(p -> !p.take().equals(id)).toList());
    }

    /** With {@code pin} in place of any pin of the same boundary. */
    public Workout withPin(Pin pin) {
        List<Pin> more =
                new ArrayList<>(pins.stream().filter(p -> !p.sameBoundary(pin)).toList());
        more.add(pin);
        return new Workout(sheet, takes, more);
    }

    public Workout withoutPin(Pin pin) {
        return new Workout(
                sheet, takes, pins.stream().filter(p -> !p.sameBoundary(pin)).toList());
    }
}
