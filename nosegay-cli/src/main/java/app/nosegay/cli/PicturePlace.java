package app.nosegay.cli;

import app.nosegay.evidence.Bodies;
import app.nosegay.time.DurationText;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.TypeConversionException;

/** A place in a picture as it is written on the command line: {@code 1:05,31,60} or {@code take-2@1:05,31,60}. */
final class PicturePlace implements ITypeConverter<PicturePlace.Percent> {
    private static final Pattern WRITTEN = Pattern.compile(
            "(?:(?<take>[^@]+)@)?(?<time>[^,@]+),(?<across>\\d+(?:\\.\\d+)?),(?<down>\\d+(?:\\.\\d+)?)");

    /**
     * @param across from the left edge, in percent of the picture's width
     * @param down from the upper edge, in percent of its height
     * @param text as it was written
     */
    record Percent(String take, Length time, double across, double down, String text) {
        /** The place in pictures of the shape of these. */
        Bodies.Place of(Bodies bodies) {
            return new Bodies.Place(new Time<>(time.micros()), across / 100 * bodies.shape(), down / 100);
        }
    }

    @Override
    public Percent convert(String text) {
        Matcher m = WRITTEN.matcher(text);
        Length time = m.matches() ? DurationText.parse(m.group("time")).orElse(null) : null;
        if (time == null) {
            throw new TypeConversionException(CliText.of("picture-place.expected", text));
        }
        String take = m.group("take") == null ? "take-1" : m.group("take");
        return new Percent(
                take, time, Double.parseDouble(m.group("across")), Double.parseDouble(m.group("down")), text);
    }
}
