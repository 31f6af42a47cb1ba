package app.nosegay.plan.terms;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Which time calls are made in every interval.
 *
 * @param half whether half-way is called
 * @param secondsLeft the seconds-left calls, longest first
 * @param countIn the number a count-in starts from; 0 for none
 * @param countOut the number a count-out starts from; 0 for none
 */
public record CallStyle(boolean half, List<Integer> secondsLeft, int countIn, int countOut) {
    public static final CallStyle DEFAULT = new CallStyle(true, List.of(10), 3, 3);
    public static final String EXPECTED = "calls such as half, 20, 10, 5, in 3, out 3, or none";

    public CallStyle {
        secondsLeft = List.copyOf(secondsLeft);
    }

    public static Optional<CallStyle> parse(String text) {
        boolean half = false;
        List<Integer> left = new ArrayList<>();
        int in = 0;
        int out = 0;
        for (String part : text.split(",")) {
            String p = part.strip();
            if (p.equals("half")) {
                half = true;
            } else if (p.matches("\\d{1,2}")) {
                left.add(Integer.parseInt(p));
            } else if (p.matches("in \\d")) {
                in = Integer.parseInt(p.substring(3));
            } else if (p.matches("out \\d{1,2}")) {
                out = Integer.parseInt(p.substring(4));
            } else if (!p.equals("none")) {
                return Optional.empty();
            }
        }
        left.sort((a, b) -> b - a);
        return Optional.of(new CallStyle(half, left, in, out));
    }
}
