package app.nosegay.time;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The tempo of one rep: first phase, pause, return, pause, in seconds. The library says which phase comes first.
 *
 * @param seconds three or four non-negative numbers
 */
public record Tempo(List<Double> seconds) {
    /** Without a tempo on the line or in the library. */
    public static final Tempo DEFAULT = new Tempo(List.of(2.0, 0.0, 1.0));

    public Tempo {
        seconds = List.copyOf(seconds);
    }

    /** Reads {@code a-b-c[-d]}; empty when it is not three or four numbers, or they add up to nothing. */
    public static Optional<Tempo> parse(String text) {
        List<Double> parts = new ArrayList<>();
        for (String part : text.strip().split("-", -1)) {
            if (!part.strip().matches("\\d{1,3}(\\.\\d+)?")) {
                return Optional.empty();
            }
            parts.add(Double.parseDouble(part.strip()));
        }
        boolean usable = (parts.size() == 3 || parts.size() == 4)
                && parts.stream().mapToDouble(d -> d).sum() > 0;
        return usable ? Optional.of(new Tempo(parts)) : Optional.empty();
    }

    /** One rep from start to start. */
    public Length repLength() {
        return Length.ofSeconds(seconds.stream().mapToDouble(d -> d).sum());
    }

    /** When the first phase, the pause and the return end, in seconds from the start of a rep. */
    public double[] phaseEnds() {
        double first = seconds.get(0);
        double pause = first + seconds.get(1);
        return new double[] {first, pause, pause + seconds.get(2)};
    }

    public String text() {
        return seconds.stream()
                .map(d -> d == Math.rint(d) ? "" + d.longValue() : "" + d)
                .collect(Collectors.joining("-"));
    }
}
