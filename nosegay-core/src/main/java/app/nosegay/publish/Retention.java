package app.nosegay.publish;

import app.nosegay.cut.Cut;
import app.nosegay.match.Match;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Timeline;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How many viewers are still there, as hosts give it.
 *
 * @param points in order of time
 */
public record Retention(List<Point> points) {
    public Retention {
        points = List.copyOf(points);
    }

    /**
     * @param second of the finished video
     * @param share of the viewers still there, 0 to 1; more than 1 where it is watched again
     */
    public record Point(double second, double share) {}

    /**
     * An interval and what it lost.
     *
     * @param lost share of all viewers who left in it
     * @param perMinute the same per minute, so that long and short ones can be compared
     */
    public record Loss(Interval interval, Span<Axis.Cut> at, double lost, double perMinute) {}

    /**
     * Reads CSV with the columns second and share (a heading line may come first; shares may be per cent), or JSON: a list of objects
     * with both.
     */
    public static Retention read(String text) throws IOException {
        List<Point> points = text.strip().startsWith("[") ? json(text) : csv(text);
        if (points.size() < 2) {
            throw new IOException(CoreText.of("publish.retention.no-retention-curve-was-found"));
        }
        points.sort(Comparator.comparingDouble(Point::second));
        boolean percent = points.stream().anyMatch(p -> p.share() > 3);
        return new Retention(points.stream()
                .map(p -> new Point(p.second(), percent ? p.share() / 100 : p.share()))
                .toList());
    }

    private static List<Point> json(String text) throws IOException {
        List<Point> points = new ArrayList<>();
        for (JsonNode n : JsonMapper.builder().build().readTree(text)) {
            if (n.path("second").isNumber() && n.path("share").isNumber()) {
                points.add(
                        new Point(n.path("second").asDouble(), n.path("share").asDouble()));
            }
        }
        return points;
    }

    private static List<Point> csv(String text) {
        List<Point> points = new ArrayList<>();
        for (String line : text.split("\\R")) {
            String[] cells = line.strip().split("[,;\\t]");
            try {
                points.add(new Point(
                        Double.parseDouble(cells[0].strip()),
                        Double.parseDouble(cells[1].strip().replace("%", ""))));
            } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
                // A heading or an empty line.
            }
        }
        return points;
    }

    /** The share still there at a moment, between points along a straight line. */
    public double at(double second) {
        Point before = points.get(0);
        for (Point p : points) {
            if (p.second() >= second) {
                double span = p.second() - before.second();
                double along = span <= 0 ? 1 : (second - before.second()) / span;
                return before.share() + (p.share() - before.share()) * Math.max(0, Math.min(1, along));
            }
            before = p;
        }
        return before.share();
    }

    /** What each interval lost, the worst per minute first. */
    public List<Loss> losses(Timeline timeline, Match match, Cut cut) {
        List<Loss> losses = new ArrayList<>();
        for (Interval interval : timeline.intervals()) {
            Optional<Span<Axis.Cut>> first =
                    match.segment(interval.first().id()).flatMap(cut::shown);
            Optional<Span<Axis.Cut>> last = match.segment(interval.last().id()).flatMap(cut::shown);
            if (first.isEmpty() || last.isEmpty()) {
                continue;
            }
            Span<Axis.Cut> at = new Span<>(
                    first.get().start(), Time.max(first.get().end(), last.get().end()));
            double lost = at(at.start().seconds()) - at(at.end().seconds());
            losses.add(new Loss(
                    interval, at, lost, lost / Math.max(1 / 60.0, at.length().seconds() / 60)));
        }
        losses.sort(Comparator.comparingDouble(Loss::perMinute).reversed());
        return losses;
    }
}
