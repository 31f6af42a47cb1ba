package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.SoundSilhouette;
import app.nosegay.evidence.Trace;
import app.nosegay.evidence.sight.DrivingJoint;
import app.nosegay.evidence.sight.JointRows;
import app.nosegay.paint.Palette;
import app.nosegay.paint.Skeleton;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Path2D;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** What was heard and how somebody moved, as silhouette and curves along a line of the Score. */
final class ScoreTraces {
    /** A curve of a joint is drawn where somebody was found for this share of the interval. */
    private static final double MOSTLY_FOUND = 0.7;

    private final ScoreGrid grid;
    private final Function<ScoreLine, Optional<ScoreLine>> compared;
    private final Map<Trace, SoundSilhouette> silhouettes = new IdentityHashMap<>();

    /** @param compared another round of what a line is, to be laid over it */
    ScoreTraces(ScoreGrid grid, Function<ScoreLine, Optional<ScoreLine>> compared) {
        this.grid = grid;
        this.compared = compared;
    }

    void draw(Graphics2D g, ScoreLine line, double from, double to) {
        sound(g, line, from, to);
        if (!joints(g, line, from, to)) {
            motion(g, line, from, to);
        }
    }

    private void sound(Graphics2D g, ScoreLine line, double from, double to) {
        Trace loudness = line.take().loudness();
        if (loudness.isEmpty()) {
            return;
        }
        SoundSilhouette silhouette = silhouettes.computeIfAbsent(loudness, SoundSilhouette::new);
        for (double x = grid.at(from, from); x < grid.at(to, from); x += 1.5) {
            double seconds = (x - ScoreGrid.LEFT) / grid.scale() + from;
            ScoreMarks.sound(g, x, silhouette.level(take(line, seconds)));
        }
    }

    private static Time<Axis.Take> take(ScoreLine line, double seconds) {
        return line.recorded().start().plus(Length.ofSeconds(seconds));
    }

    /** Where the joint that drives the move is, left and right in an ink each; false where nobody was found or nobody is to move. */
    private boolean joints(Graphics2D g, ScoreLine line, double from, double to) {
        JointRows leader = JointRows.ofLeader(line.take()).orElse(null);
        double start = line.recorded().start().seconds();
        double end = line.recorded().end().seconds();
        boolean moves = !line.isUnplanned() && line.interval().kind().isMoving();
        if (leader == null || !moves || leader.seen(start, end) < MOSTLY_FOUND) {
            return false;
        }
        DrivingJoint joint = DrivingJoint.of(leader, start, end);
        compared.apply(line).ifPresent(other -> compared(g, joint, other, from, to));
        for (int side = joint.isPaired() ? 1 : 0; side >= 0; side--) {
            ScoreMarks.curve(g, way(joint, leader, start, side == 1, from, to), ink(joint, side == 1));
        }
        return true;
    }

    private static Color ink(DrivingJoint joint, boolean right) {
        return !joint.isPaired()
                ? Lamplight.of(Palette.COUNT)
                : right ? Lamplight.of(Skeleton.RIGHT) : Lamplight.of(Skeleton.LEFT);
    }

    /** The way the joint goes in another round, from its own start on. */
    private void compared(Graphics2D g, DrivingJoint joint, ScoreLine other, double from, double to) {
        JointRows leader = JointRows.ofLeader(other.take()).orElse(null);
        double start = other.recorded().start().seconds();
        double end = Math.min(to, other.recorded().length().seconds());
        for (int side = joint.isPaired() ? 1 : 0; leader != null && side >= 0; side--) {
            Path2D way = way(joint, leader, start, side == 1, Math.max(0, from), end);
            ScoreMarks.compared(g, way, ink(joint, side == 1));
        }
    }

    private Path2D way(DrivingJoint joint, JointRows leader, double start, boolean right, double from, double to) {
        Path2D path = new Path2D.Double();
        boolean begun = false;
        for (double seconds = from; seconds < to; seconds += 0.1) {
            double at = joint.at(leader, start + seconds, right);
            double y = ScoreMarks.TRACE_TOP + ScoreMarks.TRACE * (1 - at);
            if (Double.isNaN(at)) {
                begun = false;
            } else if (begun) {
                path.lineTo(grid.x(seconds), y);
            } else {
                path.moveTo(grid.x(seconds), y);
                begun = true;
            }
        }
        return path;
    }

    private void motion(Graphics2D g, ScoreLine line, double from, double to) {
        Trace motion = line.take().motion();
        if (motion.isEmpty()) {
            return;
        }
        Path2D path = new Path2D.Double();
        boolean first = true;
        for (double seconds = from; seconds < to; seconds += 0.1) {
            double level = Math.min(1, Math.sqrt(motion.at(take(line, seconds))) * 4);
            double y = ScoreMarks.TRACE_END - level * ScoreMarks.TRACE;
            if (first) {
                path.moveTo(grid.at(seconds, from), y);
                first = false;
            } else {
                path.lineTo(grid.at(seconds, from), y);
            }
        }
        ScoreMarks.curve(g, path, Lamplight.of(Palette.COUNT));
    }
}
