package app.nosegay.evidence.sight;

import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Which part of a take's picture shows whoever leads, and when a move is at its clearest. */
public final class CloseUp {
    /** Air around the joints, as a share of what they take: heads and hands reach beyond them. */
    private static final double AIR = 0.16;
    /** A square is at least this high, in heights of the picture: less is all grain. */
    private static final double LEAST = 0.3;
    /** A joint counts as seen from this certainty on. */
    private static final double SEEN = 0.35;
    /** The ends of a stretch are getting ready and coming out, as a share of it. */
    private static final double ENDS = 0.15;
    /** Moments tried for the clearest. */
    private static final int TRIED = 60;
    /** A face to the camera is worth so much of the whole way of a move: people look at faces first. */
    private static final double FACE = 0.5;

    private CloseUp() {}

    /**
     * A square around whoever leads, for the whole of a stretch so that its pictures can be compared; empty where nobody was found.
     *
     * @return in heights of the picture; it may reach beyond it
     */
    public static Optional<Box> around(TakeEvidence take, Span<Axis.Take> span) {
        return JointRows.ofLeader(take).flatMap(person -> square(person, span));
    }

    private static Optional<Box> square(JointRows person, Span<Axis.Take> span) {
        double left = Double.MAX_VALUE;
        double right = -Double.MAX_VALUE;
        double top = Double.MAX_VALUE;
        double bottom = -Double.MAX_VALUE;
        Body body = person.body();
        for (int s = person.sample(span.start().seconds());
                s <= person.sample(span.end().seconds());
                s++) {
            if (!body.isIn(s)) {
                continue;
            }
            for (Joint joint : Joint.values()) {
                if (body.sure(s, joint) >= SEEN) {
                    left = Math.min(left, body.x(s, joint));
                    right = Math.max(right, body.x(s, joint));
                    top = Math.min(top, body.y(s, joint));
                    bottom = Math.max(bottom, body.y(s, joint));
                }
            }
        }
        if (left > right) {
            return Optional.empty();
        }
        double side = Math.max(LEAST, Math.max(right - left, bottom - top) * (1 + 2 * AIR));
        return Optional.of(new Box((left + right - side) / 2, (top + bottom - side) / 2, side, side));
    }

    /**
     * A moment for a still picture.
     *
     * @param face how far the face is seen and turned to the camera, 0 to 1
     */
    public record Still(Time<Axis.Take> time, double face) {}

    /** A moment that was tried: how far from the start the move is there, in its driving joint. */
    private record Tried(Time<Axis.Take> time, double away) {}

    /** When whoever leads is farthest from how they stand at the start; the middle where nobody was found. */
    public static Time<Axis.Take> clearest(TakeEvidence take, Span<Axis.Take> span) {
        return JointRows.ofLeader(take)
                .flatMap(person -> tried(person, span).stream()
                        .filter(t -> t.away() > 0)
                        .max(Comparator.comparingDouble(Tried::away)))
                .map(Tried::time)
                .orElse(span.start().plus(span.length().times(0.5)));
    }

    /** When a stretch makes the best still: the move far from its start and the face to the camera; none where nobody was found. */
    public static Optional<Still> best(TakeEvidence take, Span<Axis.Take> span) {
        return JointRows.ofLeader(take).flatMap(person -> {
            List<Tried> tried = tried(person, span);
            double farthest =
                    Math.max(1e-9, tried.stream().mapToDouble(Tried::away).max().orElse(0));
            return tried.stream()
                    .max(Comparator.comparingDouble(t -> t.away() / farthest + FACE * face(person, t.time())))
                    .map(t -> new Still(t.time(), face(person, t.time())));
        });
    }

    private static List<Tried> tried(JointRows person, Span<Axis.Take> span) {
        DrivingJoint joint =
                DrivingJoint.of(person, span.start().seconds(), span.end().seconds());
        double still = joint.at(person, span.start().seconds(), false);
        List<Tried> tried = new ArrayList<>();
        for (int i = 0; i <= TRIED; i++) {
            double share = ENDS + (1 - 2 * ENDS) * i / TRIED;
            Time<Axis.Take> time = span.start().plus(span.length().times(share));
            tried.add(new Tried(
                    time, Math.max(away(joint, person, time, false, still), away(joint, person, time, true, still))));
        }
        return tried;
    }

    /** A face is seen as far as nose and eyes are, and looks at the camera as far as its nose is midway between its ears. */
    private static double face(JointRows person, Time<Axis.Take> time) {
        Body body = person.body();
        int sample = person.sample(time.seconds());
        if (!body.isIn(sample)) {
            return 0;
        }
        double seen = Math.min(
                body.sure(sample, Joint.NOSE),
                Math.min(body.sure(sample, Joint.LEFT_EYE), body.sure(sample, Joint.RIGHT_EYE)));
        double half = Math.abs(body.x(sample, Joint.LEFT_EAR) - body.x(sample, Joint.RIGHT_EAR)) / 2;
        double off = Math.abs(body.x(sample, Joint.NOSE) - body.middleX(sample, Joint.LEFT_EAR));
        return seen * Math.max(0, 1 - off / Math.max(1e-9, half));
    }

    private static double away(
            DrivingJoint joint, JointRows person, Time<Axis.Take> time, boolean right, double still) {
        double at = joint.at(person, time.seconds(), right);
        return Double.isNaN(at) || Double.isNaN(still) ? 0 : Math.abs(at - still);
    }
}
