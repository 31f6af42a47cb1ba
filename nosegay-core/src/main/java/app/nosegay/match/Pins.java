package app.nosegay.match;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.List;

/** Pins beside each other: what is done one after the other cannot be pinned the other way round. */
public final class Pins {
    private Pins() {}

    /** Those of {@code pins} that cannot stand beside {@code next}, by the order in which {@code found} has what they bound. */
    public static List<Pin> against(Pin next, List<Pin> pins, Match found) {
        Time<Axis.Take> here = at(next, found);
        return pins.stream()
                .filter(p -> !p.sameBoundary(next) && p.take().equals(next.take()))
                .filter(p -> here != null && at(p, found) != null && isTurned(p, at(p, found), next, here))
                .toList();
    }

    private static boolean isTurned(Pin pin, Time<Axis.Take> there, Pin next, Time<Axis.Take> here) {
        int was = there.compareTo(here);
        // Where one ends and the other starts at the same moment, the end comes first.
        int order = was != 0 ? was : pin.end() == next.end() ? 0 : pin.end() ? -1 : 1;
        return order * pin.time().compareTo(next.time()) < 0;
    }

    /** Where the boundary of {@code pin} was found; null where it was not found in that take. */
    private static Time<Axis.Take> at(Pin pin, Match found) {
        return found.segments().stream()
                .filter(s -> s.id().equals(pin.segment()) && pin.take().equals(s.take()))
                .findFirst()
                .map(s -> pin.end() ? s.end() : s.start())
                .orElse(null);
    }
}
