package app.nosegay.transcript;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A number in a line, or a place in an order.
 *
 * @param to the second of a range, or null
 */
record SpokenNumber(int value, Integer to, Time<Axis.Take> start, Time<Axis.Take> end, String text) {
    private static final Pattern NUMBER = Pattern.compile("(?<= )(\\d{1,3})(?: (?:to|or) (\\d{1,3}))?(?= )");
    private static final Pattern PLACE =
            Pattern.compile("(?<= )(?:(" + String.join("|", CallReader.NTH) + ")|(last|final)|(\\d{1,2}))(?= )");

    /** The numbers of {@code caption} that a call of {@code kind} can be of. */
    static List<SpokenNumber> in(Caption caption, CallKind kind) {
        Speech speech = new Speech(List.of(caption));
        boolean place = kind == CallKind.ORDINAL;
        List<SpokenNumber> numbers = new ArrayList<>();
        Matcher m = (place ? PLACE : NUMBER).matcher(speech.text());
        while (m.find()) {
            int value = place ? place(m) : Integer.parseInt(m.group(1));
            Integer to = place || m.group(2) == null ? null : Integer.valueOf(m.group(2));
            if (place || value >= 2) {
                numbers.add(new SpokenNumber(
                        value,
                        to,
                        speech.start(m.start()),
                        speech.end(m.end() - 1),
                        speech.asSaid(m.start(), m.end())));
            }
        }
        return numbers;
    }

    private static int place(Matcher m) {
        if (m.group(2) != null) {
            return -1;
        }
        return m.group(1) != null ? CallReader.NTH.indexOf(m.group(1)) + 1 : Integer.parseInt(m.group(3));
    }

    /** A call that is made of it. */
    Call as(CallKind kind, String of) {
        return new Call(kind, value, kind == CallKind.TOTAL ? to : null, of, start, end, text);
    }

    /** Whether it is part of what {@code call} was made of. */
    boolean isIn(Call call) {
        return start.isBefore(call.end()) && call.time().isBefore(end);
    }
}
