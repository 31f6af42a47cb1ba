package app.nosegay.match;

import app.nosegay.calls.Fluffs;
import app.nosegay.evidence.SpokenStretches;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.match.features.BoundaryFeatures;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What an unplanned stretch of a take is, by what is said, seen and heard in it. */
final class UnplannedClassifier {
    /** A stretch is silent while a voice has no larger share of it. */
    private static final double SILENT_SHARE = 0.08;

    private static final double LEAST_MOVEMENT = 0.25;
    private static final double LEAST_DEAD_AIR = 5;
    /** Rests kept by hand are often some seconds longer; a break is more than that, in seconds and as a share of the plan. */
    private static final double LONG_REST_BY = 12;

    private static final double LONG_REST_SHARE = 0.5;
    /** Somebody speaks at least this share of a take. */
    private static final double LEAST_SPEECH = 0.05;
    /** A breath after the last word and before the next one. */
    private static final double BREATH = 0.5;

    private UnplannedClassifier() {}

    static String kind(TakeEvidence take, BoundaryFeatures features, Span<Axis.Take> span) {
        double spoken = 0;
        for (var c : take.words()) {
            if (!c.end().isBefore(span.start()) && c.start().isBefore(span.end())) {
                if (Fluffs.isFluff(c.text())) {
                    return "fluff";
                }
                spoken += Time.min(c.end(), span.end())
                        .since(Time.max(c.start(), span.start()))
                        .seconds();
            }
        }
        double length = span.length().seconds();
        if (length > LEAST_DEAD_AIR
                && features.movement(span.start().seconds(), span.end().seconds()) > LEAST_MOVEMENT) {
            return "unplanned";
        }
        boolean silent = !take.words().isEmpty() && spoken < 0.15 * length
                || take.words().isEmpty() && silent(take, span);
        return silent && length > LEAST_DEAD_AIR ? "dead air" : "interruption";
    }

    /**
     * Which part of a rest can be taken out, when it lasted far longer than planned: of its longest stretch without a word as much as it
     * was too long, so that what is said at its beginning and before the next move stays.
     */
    static Optional<Span<Axis.Take>> tooLong(TakeEvidence take, Span<Axis.Take> rest, Length planned) {
        double over = rest.length().minus(planned).seconds();
        if (over < Math.max(LONG_REST_BY, LONG_REST_SHARE * planned.seconds())) {
            return Optional.empty();
        }
        List<Span<Axis.Take>> said =
                take.words().stream().map(w -> new Span<>(w.start(), w.end())).toList();
        Span<Axis.Take> quiet = longestBetween(said.isEmpty() ? loud(take, rest) : said, rest);
        double room = quiet.length().seconds() - 2 * BREATH;
        if (room < LEAST_DEAD_AIR) {
            return Optional.empty();
        }
        double cut = Math.min(over, room);
        Time<Axis.Take> from =
                quiet.start().plus(Length.ofSeconds((quiet.length().seconds() - cut) / 2));
        return Optional.of(new Span<>(from, from.plus(Length.ofSeconds(cut))));
    }

    private static Span<Axis.Take> longestBetween(List<Span<Axis.Take>> heard, Span<Axis.Take> rest) {
        Span<Axis.Take> longest = new Span<>(rest.start(), rest.start());
        Time<Axis.Take> silentFrom = rest.start();
        for (Span<Axis.Take> s : heard) {
            Time<Axis.Take> until = Time.min(s.start(), rest.end());
            if (until.isAfter(silentFrom) && until.since(silentFrom).compareTo(longest.length()) > 0) {
                longest = new Span<>(silentFrom, until);
            }
            silentFrom = Time.max(silentFrom, s.end());
        }
        boolean last =
                rest.end().isAfter(silentFrom) && rest.end().since(silentFrom).compareTo(longest.length()) > 0;
        return last ? new Span<>(silentFrom, rest.end()) : longest;
    }

    /** The moments in which something is heard, in order; all of them where the sound hardly changes (music), since nobody can tell. */
    private static List<Span<Axis.Take>> loud(TakeEvidence take, Span<Axis.Take> span) {
        if (!take.voice().isEmpty()) {
            return SpokenStretches.of(take).stream()
                    .filter(s -> s.end().isAfter(span.start()) && s.start().isBefore(span.end()))
                    .toList();
        }
        Trace level = take.loudness();
        double quiet = level.isEmpty() ? 0 : quietest(level);
        if (level.isEmpty() || share(level, quiet) < LEAST_SPEECH) {
            return List.of(span);
        }
        List<Span<Axis.Take>> heard = new ArrayList<>();
        for (int i = level.index(span.start()); i < level.index(span.end()); i++) {
            if (level.values()[i] > quiet) {
                heard.add(new Span<>(Time.ofSeconds(i / level.hz()), Time.ofSeconds((i + 1) / level.hz())));
            }
        }
        return heard;
    }

    private static double share(Trace level, double above) {
        int louder = 0;
        for (float v : level.values()) {
            louder += v > above ? 1 : 0;
        }
        return (double) louder / level.values().length;
    }

    /** Louder than this is not the room alone, in decibels. */
    private static double quietest(Trace level) {
        float[] sorted = level.values().clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 10] + 12;
    }

    /** Whether nobody speaks throughout; by loudness, whether the sound stays near the take's quietest. */
    private static boolean silent(TakeEvidence take, Span<Axis.Take> span) {
        if (!take.voice().isEmpty()) {
            double spoken = loud(take, span).stream()
                    .mapToDouble(s -> Time.min(s.end(), span.end())
                            .since(Time.max(s.start(), span.start()))
                            .seconds())
                    .sum();
            return spoken < SILENT_SHARE * span.length().seconds();
        }
        Trace level = take.loudness();
        if (level.isEmpty()) {
            return false;
        }
        double quiet = quietest(level);
        int loud = 0;
        int from = level.index(span.start());
        int to = level.index(span.end());
        for (int i = from; i < to; i++) {
            loud += level.values()[i] > quiet ? 1 : 0;
        }
        return loud < SILENT_SHARE * Math.max(1, to - from);
    }
}
