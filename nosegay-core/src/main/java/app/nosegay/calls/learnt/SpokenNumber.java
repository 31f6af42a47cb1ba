package app.nosegay.calls.learnt;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.phrase.CallWords;
import app.nosegay.captions.Speech;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A number that is said, or a place in an order.
 *
 * @param value −1 for the last
 * @param to the second of a range, or null
 * @param isPlace "third", not "three"
 * @param secondsEach 60 where it is of minutes, 30 for half a minute, else 1
 * @param from its first character in the {@link Speech}
 * @param until the character behind it
 */
record SpokenNumber(
        int value,
        Integer to,
        boolean isPlace,
        int secondsEach,
        int from,
        int until,
        Time<Axis.Take> start,
        Time<Axis.Take> end,
        String text) {
    private static final Pattern NUMBER = Pattern.compile("(?<= )(?:(\\d{1,3})(?: (?:to|or) (\\d{1,3})(?= [a-z]))?"
            + "|(" + String.join("|", CallWords.NTH) + ")|(last|final)|(twice|couple)"
            + "|(?<= (?:a|full|whole) )(?<half>half a )?minute|half a minute)(?= )");
    private static final Pattern MINUTES = Pattern.compile("^ (?:full |whole )?minutes?\\b");
    /** A higher place is none of a move, block or round. */
    private static final int HIGHEST_PLACE = 30;

    /** What {@code speech} holds, in order. */
    static List<SpokenNumber> in(Speech speech) {
        List<SpokenNumber> numbers = new ArrayList<>();
        String text = speech.text();
        Matcher m = NUMBER.matcher(text);
        while (m.find()) {
            boolean place = m.group(3) != null || m.group(4) != null;
            boolean minutes = m.group().endsWith("minute")
                    || m.group(1) != null
                            && MINUTES.matcher(text)
                                    .region(m.end(), text.length())
                                    .lookingAt();
            numbers.add(new SpokenNumber(
                    value(m),
                    m.group(2) == null ? null : Integer.valueOf(m.group(2)),
                    place,
                    !minutes ? 1 : m.group().startsWith("half") || m.group("half") != null ? 30 : 60,
                    m.start(),
                    m.end(),
                    speech.start(m.start()),
                    speech.end(m.end() - 1),
                    speech.asSaid(m.start(), m.end())));
        }
        return numbers;
    }

    /** The value of a call of {@code kind} that is made of it; null where none can be. */
    Integer value(CallKind kind, String of) {
        if (kind == CallKind.ORDINAL) {
            return secondsEach > 1 || value > HIGHEST_PLACE || value == 0 ? null : Integer.valueOf(value);
        }
        if (kind == CallKind.ROUNDS_LEFT) {
            return secondsEach > 1 ? null : Integer.valueOf(Math.abs(value));
        }
        if (isPlace) {
            return null;
        }
        boolean ofSeconds = kind == CallKind.SECONDS_LEFT || of != null && of.endsWith("seconds");
        int asked = ofSeconds ? secondsEach * value : value;
        boolean ofMinutes = kind == CallKind.TOTAL && of != null && of.contains("minutes");
        return asked < 2 || secondsEach > 1 && !ofSeconds && !ofMinutes ? null : Integer.valueOf(asked);
    }

    /** The call of {@code kind} that is made of it, if one can be. */
    Call call(CallKind kind, String of) {
        return new Call(kind, value(kind, of), kind == CallKind.TOTAL ? to : null, of, start, end, text);
    }

    /** Whether it is part of what {@code call} was made of. */
    boolean isIn(Call call) {
        return start.isBefore(call.end()) && call.time().isBefore(end);
    }

    private static int value(Matcher m) {
        if (m.group(1) != null) {
            return Integer.parseInt(m.group(1));
        }
        if (m.group(3) != null) {
            return CallWords.NTH.indexOf(m.group(3)) + 1;
        }
        return m.group(4) != null ? -1 : m.group(5) != null ? 2 : 1;
    }
}
