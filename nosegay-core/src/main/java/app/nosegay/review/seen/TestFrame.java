package app.nosegay.review.seen;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import app.nosegay.evidence.sight.JointRows;
import app.nosegay.evidence.sight.JointRows.Edge;
import app.nosegay.evidence.sight.Posture;
import app.nosegay.evidence.sight.Presenters;
import app.nosegay.shoot.Extreme;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * What a short recording made before a shoot tells of the frame: what leaves the picture, and which of the extremes were tried.
 *
 * @param isInside whether all that was shown stays well inside the picture
 * @param fits whether it does, and all that was asked for was shown
 * @param remarks what to know of it, the gravest first
 * @param done the extremes somebody was seen in
 */
public record TestFrame(boolean isInside, boolean fits, List<Remark> remarks, Set<Extreme> done) {
    /**
     * Nearer to an edge than this, in heights of the picture, a slightly wider step leaves it; and of what has left it the networks say
     * that it is just inside.
     */
    private static final double TIGHT = 0.03;
    /** What is held over the head reaches so much farther than the hands. */
    private static final double HELD = 0.08;
    /** With more than this all round the camera may come nearer. */
    private static final double ROOMY = 0.12;
    /** From the nose to the top of the head, in trunks. */
    private static final double CROWN = 0.4;
    /** Hands so far above the nose, in trunks, are up. */
    private static final double UP = 0.5;
    /** Ankles so far apart, in trunks, are a wide step; feet under the hips are apart by half of it. */
    private static final double STEP = 1;
    /** Hands so far apart, in trunks, are held out to both sides; arms are a little longer than a trunk. */
    private static final double OUT = 2.2;

    /**
     * A sentence.
     *
     * @param isWrong whether something is to be done about it before filming
     * @param at the moment it shows; null where it does at none
     */
    public record Remark(boolean isWrong, String text, Time<Axis.Take> at) {}

    /**
     * How near a part of somebody comes to an edge.
     *
     * @param held how much farther what they hold reaches, which is taken from the room
     */
    private record Margin(BodyPart part, Edge edge, double room, double held, double seconds) {
        Time<Axis.Take> at() {
            return Time.<Axis.Take>zero().plus(Length.ofSeconds(seconds));
        }
    }

    /**
     * What {@code bodies} tells, of those who show something in its {@code length}.
     *
     * @param wanted what the workout asks of the frame
     */
    public static TestFrame of(Bodies bodies, Length length, List<Extreme> wanted) {
        List<JointRows> people = Presenters.inPieces(bodies, length.seconds());
        if (people.isEmpty()) {
            return new TestFrame(
                    false, false, List.of(new Remark(true, CoreText.of("shoot.test-frame.nobody"), null)), Set.of());
        }
        Set<Extreme> done = EnumSet.noneOf(Extreme.class);
        List<Margin> margins = new ArrayList<>();
        for (JointRows person : people) {
            wanted.stream().filter(e -> isDone(person, e)).forEach(done::add);
            for (BodyPart part : BodyPart.values()) {
                for (Edge edge : Edge.values()) {
                    margin(person, part, edge, done).ifPresent(margins::add);
                }
            }
        }
        return told(margins, wanted, done);
    }

    private static Optional<Margin> margin(JointRows person, BodyPart part, Edge edge, Set<Extreme> done) {
        boolean top = edge == Edge.TOP;
        double crown = top && part == BodyPart.HEAD ? CROWN * person.trunk() : 0;
        double held = top && part == BodyPart.HANDS && done.contains(Extreme.WEIGHT_UP) ? HELD : 0;
        return person.nearest(part.joints(), edge)
                .map(n -> new Margin(part, edge, n.room() - crown - held, held, n.seconds()));
    }

    private static TestFrame told(List<Margin> margins, List<Extreme> wanted, Set<Extreme> done) {
        List<Remark> remarks = new ArrayList<>();
        for (Edge edge : Edge.values()) {
            // One sentence an edge: what comes through the others with it needs no word of its own.
            margins.stream()
                    .filter(m -> m.edge() == edge)
                    .min(Comparator.comparingDouble(Margin::room))
                    .filter(m -> m.room() < TIGHT)
                    .ifPresent(m -> remarks.add(new Remark(true, text(m), m.at())));
        }
        boolean inside = remarks.isEmpty();
        wanted.stream()
                .filter(e -> !done.contains(e))
                .forEach(e -> remarks.add(new Remark(true, CoreText.of("shoot.test-frame.not-tried", e.text()), null)));
        boolean all = done.containsAll(wanted);
        Optional<Margin> nearest = margins.stream().min(Comparator.comparingDouble(Margin::room));
        Time<Axis.Take> at = nearest.map(Margin::at).orElse(null);
        nearest.filter(m -> all && m.room() > ROOMY)
                .ifPresent(m -> remarks.add(
                        new Remark(false, CoreText.of("shoot.test-frame.roomy", Math.round(100 * m.room())), at)));
        if (inside) {
            remarks.add(0, new Remark(false, CoreText.of("shoot.test-frame.fits", all), at));
        }
        return new TestFrame(inside, inside && all, List.copyOf(remarks), Set.copyOf(done));
    }

    private static String text(Margin m) {
        String edge = FrameCheck.edge(m.edge());
        boolean isOut = m.room() < 0;
        String at = m.at().toString();
        String seen =
                switch (m.part()) {
                    case HEAD -> CoreText.of("shoot.test-frame.head", edge, isOut, at);
                    case HANDS ->
                        m.held() > 0 && m.room() + m.held() > TIGHT
                                ? CoreText.of("shoot.test-frame.held", edge, at)
                                : CoreText.of("shoot.test-frame.hands", edge, isOut, at);
                    case FEET -> CoreText.of("shoot.test-frame.feet", edge, isOut, at);
                };
        return seen + " " + CoreText.of("shoot.test-frame.more-room", m.edge().name());
    }

    private static boolean isDone(JointRows person, Extreme extreme) {
        Body body = person.body();
        double trunk = person.trunk();
        return switch (extreme) {
            case ARMS_UP, WEIGHT_UP ->
                isSeen(
                        body,
                        s -> Math.max(body.y(s, Joint.LEFT_WRIST), body.y(s, Joint.RIGHT_WRIST))
                                < body.y(s, Joint.NOSE) - UP * trunk);
            case LYING -> isSeen(body, s -> Posture.of(body, s, trunk).isOnFloor());
            case WIDE_STEP -> isSeen(body, s -> apart(body, s, Joint.LEFT_ANKLE) >= STEP * trunk);
            case ARMS_OUT -> isSeen(body, s -> apart(body, s, Joint.LEFT_WRIST) >= OUT * trunk);
        };
    }

    private static double apart(Body body, int sample, Joint joint) {
        return Math.hypot(
                body.x(sample, joint) - body.x(sample, joint.opposite()),
                body.y(sample, joint) - body.y(sample, joint.opposite()));
    }

    private static boolean isSeen(Body body, IntPredicate asked) {
        return IntStream.range(body.first(), body.end())
                        .filter(s -> body.isIn(s) && asked.test(s))
                        .count()
                >= JointRows.SAMPLES;
    }
}
