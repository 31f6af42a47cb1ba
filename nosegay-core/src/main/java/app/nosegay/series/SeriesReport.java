package app.nosegay.series;

import app.nosegay.library.MoveLibrary;
import app.nosegay.library.MuscleGroup;
import app.nosegay.plan.Balance;
import app.nosegay.plan.Timeline;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * What a series loads, day by day and in all.
 *
 * @param days in order
 * @param muscles load per muscle group over all days
 * @param total the length of all workouts
 * @param repeated moves that come in more than one workout, with how often
 * @param variety distinct moves ÷ moves in all, 0 to 1
 * @param remarks what is worth a look, in words
 */
public record SeriesReport(
        List<Day> days,
        Map<MuscleGroup, Length> muscles,
        Length total,
        Map<String, Integer> repeated,
        double variety,
        List<String> remarks) {
    /** A muscle group is worked heavily when it gets this much load in a day… */
    private static final Length HEAVY = Length.ofSeconds(120);
    /** … and at least this share of the day's most loaded group. */
    private static final double HEAVY_SHARE = 0.5;
    /** Fewer distinct moves than this share make a series look the same every day. */
    private static final double LEAST_VARIETY = 0.6;

    /** Patterns that prepare and recover: nobody misses them among the work. */
    private static final Set<String> NO_WORK = Set.of("stretch", "mobility");

    public SeriesReport {
        days = List.copyOf(days);
        remarks = List.copyOf(remarks);
    }

    /** One workout on its day. */
    public record Day(int day, String title, Timeline timeline, Balance balance) {}

    /** Computes a series; {@code plans} holds day and timeline, in order of days. */
    public static SeriesReport of(List<Map.Entry<Integer, Timeline>> plans, MoveLibrary library) {
        List<Day> days = new ArrayList<>();
        Map<MuscleGroup, Length> muscles = new EnumMap<>(MuscleGroup.class);
        Map<String, Integer> counts = new LinkedHashMap<>();
        Length total = Length.ZERO;
        int all = 0;
        for (Map.Entry<Integer, Timeline> plan : plans) {
            Timeline timeline = plan.getValue();
            Balance balance = Balance.of(timeline, library);
            String title = timeline.sheet().header().title();
            days.add(new Day(
                    plan.getKey(),
                    title.isEmpty() ? CoreText.of("series.series-report.workout") : title,
                    timeline,
                    balance));
            balance.muscles().forEach((g, load) -> muscles.merge(g, load, Length::plus));
            total = total.plus(timeline.total());
            for (String move : timeline.workMoves(true)) {
                counts.merge(library.find(move).map(m -> m.name()).orElse(move), 1, Integer::sum);
                all++;
            }
        }
        Map<String, Integer> repeated = new LinkedHashMap<>();
        counts.forEach((move, n) -> {
            if (n > 1) {
                repeated.put(move, n);
            }
        });
        double variety = all == 0 ? 1 : (double) counts.size() / all;
        List<String> remarks = remarks(days, library, muscles, variety, repeated);
        return new SeriesReport(days, muscles, total, repeated, variety, remarks);
    }

    /** Whether a day works {@code group} heavily. */
    public static boolean isHeavy(Balance balance, MuscleGroup group) {
        Length load = balance.muscles().getOrDefault(group, Length.ZERO);
        double most = balance.muscles().values().stream()
                .mapToDouble(Length::seconds)
                .max()
                .orElse(0);
        return load.compareTo(HEAVY) >= 0 && load.seconds() >= HEAVY_SHARE * most;
    }

    /**
     * A muscle group that is worked heavily again before it has had a day.
     *
     * @param before the earlier of the two
     */
    public record Clash(MuscleGroup group, Day before, Day day) {}

    public List<Clash> clashes() {
        return clashes(days);
    }

    private static List<Clash> clashes(List<Day> days) {
        List<Clash> clashes = new ArrayList<>();
        for (MuscleGroup group : MuscleGroup.values()) {
            Day before = null;
            for (Day day : days) {
                if (!isHeavy(day.balance(), group)) {
                    continue;
                }
                if (before != null && day.day() - before.day() < 2) {
                    clashes.add(new Clash(group, before, day));
                }
                before = day;
            }
        }
        return clashes;
    }

    /** Patterns of movement that no workout of the series has, in words. */
    private static List<String> patternsNeverDone(List<Day> days, MoveLibrary library) {
        Set<String> never = new TreeSet<>();
        library.moves().forEach(m -> never.add(m.pattern()));
        never.removeAll(NO_WORK);
        days.forEach(d -> d.timeline().segments().stream()
                .flatMap(s -> s.moves(library).stream())
                .forEach(m -> never.remove(m.pattern())));
        return List.copyOf(never);
    }

    private static List<String> remarks(
            List<Day> days,
            MoveLibrary library,
            Map<MuscleGroup, Length> muscles,
            double variety,
            Map<String, Integer> repeated) {
        List<String> remarks = new ArrayList<>();
        for (Clash c : clashes(days)) {
            remarks.add(CoreText.of(
                    "series.series-report.heavily-on-day-and-on",
                    name(c.group()),
                    c.before().day(),
                    c.before().title(),
                    c.day().day(),
                    c.day().title()));
        }
        if (days.size() > 1 && variety < LEAST_VARIETY) {
            remarks.add(CoreText.of(
                    "series.series-report.of-the-moves-are-new",
                    100 * variety,
                    String.join(
                            ", ",
                            repeated.entrySet().stream()
                                    .sorted(Map.Entry.<String, Integer>comparingByValue()
                                            .reversed())
                                    .limit(3)
                                    .map(e -> e.getKey() + " (" + e.getValue() + " ×)")
                                    .toList())));
        }
        if (days.size() > 1) {
            List<String> never = new ArrayList<>();
            for (MuscleGroup group : MuscleGroup.values()) {
                if (group != MuscleGroup.NECK && !muscles.containsKey(group)) {
                    never.add(name(group).toLowerCase(Locale.ROOT));
                }
            }
            if (!never.isEmpty()) {
                remarks.add(CoreText.of("series.series-report.never-worked-in-the-series", String.join(", ", never)));
            }
            List<String> patterns = patternsNeverDone(days, library);
            if (!patterns.isEmpty()) {
                remarks.add(CoreText.of("series.series-report.never-done", String.join(", ", patterns)));
            }
        }
        return remarks;
    }

    private static String name(MuscleGroup group) {
        String word = group.word().replace('-', ' ');
        return Character.toUpperCase(word.charAt(0)) + word.substring(1);
    }
}
