package app.nosegay.series;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.GearItem;
import app.nosegay.plan.check.GearList;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.proof.PickUps;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * How a move was done the last time, in another workout.
 *
 * @param workout its title
 * @param sets how many intervals of work it had there
 * @param each the length of the first of them
 * @param reps the rep target of the first; null when a clock ended it
 * @param gear what was used in the first
 * @param missed lines of its intervals that were forgotten, late or wrong in the recording, as they should have been
 */
public record LastTime(String workout, int sets, Length each, Integer reps, List<String> gear, List<String> missed) {
    /** More lines than this are not read beside a move. */
    private static final int MOST_MISSED = 3;

    public LastTime {
        gear = List.copyOf(gear);
        missed = List.copyOf(missed);
    }

    /**
     * A workout that was made.
     *
     * @param missed what was to be said again when it was matched; nothing when it was not
     */
    public record Made(Timeline timeline, List<PickUps.Line> missed) {
        public Made {
            missed = List.copyOf(missed);
        }
    }

    /** By the names of moves in the library; {@code workouts} with the newest first. */
    public static Map<String, LastTime> of(List<Made> workouts, MoveLibrary library) {
        Map<String, LastTime> all = new HashMap<>();
        for (Made workout : workouts) {
            Map<String, LastTime> here = new HashMap<>();
            workout.timeline().intervals().stream()
                    .filter(i -> i.kind() == SegmentKind.WORK)
                    .forEach(i -> i.first()
                            .moves(library)
                            .forEach(m -> here.merge(m.name(), one(workout, i, library), LastTime::andAgain)));
            here.forEach(all::putIfAbsent);
        }
        return all;
    }

    private static LastTime one(Made made, Interval interval, MoveLibrary library) {
        Timeline workout = made.timeline();
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
        List<String> missed = made.missed().stream()
                .filter(l -> l.interval().id().equals(interval.id()))
                .map(PickUps.Line::say)
                .toList();
        return new LastTime(workout.sheet().header().title(), 1, interval.length(), s.reps(), gear, missed);
    }

    private static LastTime andAgain(LastTime first, LastTime again) {
        List<String> missed = Stream.concat(first.missed.stream(), again.missed.stream())
                .distinct()
                .toList();
        return new LastTime(first.workout, first.sets + again.sets, first.each, first.reps, first.gear, missed);
    }

    /** In one sentence, and another where something was missed. */
    public String words() {
        return CoreText.of(
                "series.last-time.words",
                workout.isEmpty() ? CoreText.of("series.series-report.workout") : workout,
                sets,
                Objects.requireNonNullElse(reps, 0),
                each.clock(),
                gear.size(),
                String.join(", ", gear),
                missed.size(),
                missed.stream()
                        .limit(MOST_MISSED)
                        .map(line -> CoreText.of("series.last-time.quoted", line))
                        .collect(Collectors.joining(" ")));
    }
}
