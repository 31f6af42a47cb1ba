package app.nosegay.series;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.GearItem;
import app.nosegay.plan.check.GearList;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * How a move was done the last time, in another workout.
 *
 * @param workout its title
 * @param sets how many intervals of work it had there
 * @param each the length of the first of them
 * @param reps the rep target of the first; null when a clock ended it
 * @param gear what was used in the first
 */
public record LastTime(String workout, int sets, Length each, Integer reps, List<String> gear) {
    public LastTime {
        gear = List.copyOf(gear);
    }

    /** By the names of moves in the library; {@code workouts} with the newest first. */
    public static Map<String, LastTime> of(List<Timeline> workouts, MoveLibrary library) {
        Map<String, LastTime> all = new HashMap<>();
        for (Timeline workout : workouts) {
            Map<String, LastTime> here = new HashMap<>();
            workout.intervals().stream()
                    .filter(i -> i.kind() == SegmentKind.WORK)
                    .forEach(i -> i.first()
                            .moves(library)
                            .forEach(m -> here.merge(m.name(), first(workout, i, library), LastTime::andAgain)));
            here.forEach(all::putIfAbsent);
        }
        return all;
    }

    private static LastTime first(Timeline workout, Interval interval, MoveLibrary library) {
        Segment s = interval.first();
        // How heavy it is stands with what the workout announces.
        List<GearItem> announced = GearList.of(workout, library).announced();
        List<String> gear = GearList.of(s, library, workout.sheet().header()).stream()
                .map(g -> announced.stream()
                        .filter(a -> a.name().equals(g.name()) && g.weight().isEmpty())
                        .findFirst()
                        .orElse(g)
                        .shown())
                .toList();
        return new LastTime(workout.sheet().header().title(), 1, interval.length(), s.reps(), gear);
    }

    private static LastTime andAgain(LastTime first, LastTime again) {
        return new LastTime(first.workout, first.sets + again.sets, first.each, first.reps, first.gear);
    }

    /** In one sentence. */
    public String words() {
        return CoreText.of(
                "series.last-time.words",
                workout.isEmpty() ? CoreText.of("series.series-report.workout") : workout,
                sets,
                Objects.requireNonNullElse(reps, 0),
                each.clock(),
                gear.size(),
                String.join(", ", gear));
    }
}
