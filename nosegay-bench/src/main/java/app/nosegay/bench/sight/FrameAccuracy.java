package app.nosegay.bench.sight;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Joint;
import app.nosegay.evidence.sight.JointRows.Edge;
import app.nosegay.evidence.sight.JointRows.Nearest;
import app.nosegay.evidence.sight.Presenters;
import app.nosegay.review.seen.TestFrame;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/**
 * Test frames by sameness: the same take, its upper rows cut off so that hands lifted over the head leave it or stay in it.
 */
final class FrameAccuracy {
    /** By so much the hands are out of the picture, in heights of the whole one, */
    private static final double OUT = 0.04;
    /** or in it: twice what is called too close, as the networks are out as well. */
    private static final double IN = 0.08;

    private static final List<Joint> HANDS = List.of(Joint.LEFT_WRIST, Joint.RIGHT_WRIST);

    private int out;
    private int told;
    private int in;
    private int made;

    private FrameAccuracy() {}

    /** Rows of takes {@code first} and those behind it. */
    static void table(int first, int takes, Consumer<String> lines) {
        FrameAccuracy all = new FrameAccuracy();
        IntStream.range(first, first + takes)
                .forEach(seed -> all.add(new SolidTake(seed, List.of(SolidMove.SINGLE_ARM_PRESS)), lines));
        lines.accept(String.format(
                Locale.ROOT,
                "test frames: hands out of the picture told in %d of %d, made up in %d of %d",
                all.told,
                all.out,
                all.made,
                all.in));
    }

    private void add(SolidTake take, Consumer<String> lines) {
        Bodies whole = take.cutOff(0);
        Optional<Nearest> hands = Presenters.inPieces(whole, take.length().seconds()).stream()
                .flatMap(person -> person.nearest(HANDS, Edge.TOP).stream())
                .min(Comparator.comparingDouble(Nearest::room));
        if (hands.isEmpty() || hands.get().room() < IN) {
            return;
        }
        boolean beyond = isOut(take, hands.get().room() + OUT, lines);
        boolean inside = isOut(take, hands.get().room() - IN, lines);
        out++;
        told += beyond ? 1 : 0;
        in++;
        made += inside ? 1 : 0;
    }

    private static boolean isOut(SolidTake take, double cut, Consumer<String> lines) {
        TestFrame frame = TestFrame.of(take.cutOff((int) (cut * take.height())), take.length(), List.of());
        frame.remarks()
                .forEach(r -> lines.accept(
                        String.format(Locale.ROOT, "solid take %d cut by %.2f: %s", take.seed(), cut, r.text())));
        return !frame.isInside();
    }
}
