package app.nosegay.time;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads durations as the run sheet writes them: {@code 45s}, {@code m:ss}, {@code h:mm:ss}, {@code N min}. */
public final class DurationText {
    /** What an error tells the user to write. */
    public static final String EXPECTED = "a duration such as 0:40, 45s, 1:05:00 or 2 min";

    private static final Pattern SECONDS = Pattern.compile("(\\d{1,6}(?:\\.\\d+)?) ?(?:s|sec|secs|seconds)");
    private static final Pattern MINUTES = Pattern.compile("(\\d{1,4}(?:\\.\\d+)?) ?(?:min|mins|minutes|minute)");
    private static final Pattern CLOCK = Pattern.compile("(?:(\\d{1,3}):)?(\\d{1,4}):(\\d{2}(?:\\.\\d+)?)");

    private DurationText() {}

    /** The duration {@code text} stands for, or empty when it is not written as one. Seconds above 59 in {@code m:ss} are refused. */
    public static Optional<Length> parse(String text) {
        String t = text.strip();
        Matcher m = SECONDS.matcher(t);
        if (m.matches()) {
            return Optional.of(Length.ofSeconds(Double.parseDouble(m.group(1))));
        }
        m = MINUTES.matcher(t);
        if (m.matches()) {
            return Optional.of(Length.ofSeconds(60 * Double.parseDouble(m.group(1))));
        }
        m = CLOCK.matcher(t);
        if (!m.matches()) {
            return Optional.empty();
        }
        double seconds = Double.parseDouble(m.group(3));
        long minutes = Long.parseLong(m.group(2));
        long hours = m.group(1) == null ? 0 : Long.parseLong(m.group(1));
        if (seconds >= 60 || (hours > 0 && minutes >= 60)) {
            return Optional.empty();
        }
        return Optional.of(Length.ofSeconds(hours * 3600 + minutes * 60 + seconds));
    }
}
