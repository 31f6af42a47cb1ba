package app.nosegay.jobs;

import app.nosegay.cut.MatchNotes.Mute;
import app.nosegay.cut.Muting;
import app.nosegay.plan.Finding;
import app.nosegay.workout.CutDown;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/**
 * A shorter version of a filmed workout, written as a workout of its own beside it.
 *
 * @param file where it is
 * @param muted what is said in it of the whole workout and was muted, as it would have been heard
 * @param becomesFalse what else was true of the whole workout and is not of this version
 */
public record ShorterVersion(Path file, CutDown version, List<String> muted, List<Finding> becomesFalse) {
    /** The lengths that are offered, in minutes. */
    public static final List<Integer> MINUTES = List.of(5, 10, 20);

    private static final int MOST_NAMES = 99;

    /**
     * The longest version of at most {@code minutes}, written to {@code target}.
     *
     * @param folder what the paths of the whole workout's recordings are relative to
     */
    public static ShorterVersion write(Programme whole, int minutes, Path folder, Path target) throws IOException {
        CutDown version = CutDown.of(whole, minutes)
                .orElseThrow(() -> new IOException(JobText.of("shorter-version.there-is-none", minutes)));
        Programme loud = programme(version.workout(), whole);
        List<Mute> untrue = CutDown.untrue(whole, loud);
        Workout workout =
                version.workout().withMatching(version.workout().matching().withMutes(untrue));
        Programme shorter = programme(workout, whole);
        Path to = target.toAbsolutePath().normalize().getParent();
        WorkoutFile.save(target, MediaRelinker.toFolder(workout, folder, to));
        return new ShorterVersion(
                target,
                version,
                untrue.stream().map(m -> Muting.words(loud.heard(), m)).toList(),
                CutDown.becomesFalse(whole, shorter));
    }

    private static Programme programme(Workout workout, Programme whole) {
        return Programme.of(workout, whole.evidence(), whole.logs(), whole.library());
    }

    /** A name beside the workout's file that no file has yet. */
    public static Path beside(Path workout, int minutes) throws IOException {
        String name = workout.getFileName().toString();
        String stem = name.endsWith(WorkoutFile.ENDING)
                ? name.substring(0, name.length() - WorkoutFile.ENDING.length())
                : name;
        for (int i = 1; i <= MOST_NAMES; i++) {
            Path free = workout.resolveSibling(
                    stem + "-" + minutes + "-min" + (i == 1 ? "" : "-" + i) + WorkoutFile.ENDING);
            if (Files.notExists(free)) {
                return free;
            }
        }
        throw new IOException(JobText.of("shorter-version.no-name-is-free", workout.getFileName()));
    }
}
