package app.nosegay.jobs;

import app.nosegay.evidence.Bodies;
import app.nosegay.media.FramePicker;
import app.nosegay.media.MediaInfo;
import app.nosegay.media.MediaInput;
import app.nosegay.media.Progress;
import app.nosegay.paint.Palette;
import app.nosegay.paint.Skeleton;
import app.nosegay.review.seen.TestFrame;
import app.nosegay.shoot.SetUp;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * A short recording made before a shoot, looked at.
 *
 * @param pictures one for each remark of the frame: its moment with whoever is there, and what lies beyond the edges
 */
public record TestClip(TestFrame frame, List<BufferedImage> pictures) {
    /** What lasts longer was not made to try the frame, and would take long to look at. */
    private static final Length MOST = Length.ofSeconds(180);

    private static final int WIDTH = 960;
    private static final int HEIGHT = 540;
    /** What is shown beyond each edge, as a share of the picture's height. */
    private static final double BEYOND = 0.16;

    /** Looks at {@code movie} for what the workout asks of the frame. */
    public static TestClip look(Path movie, Programme programme, Progress progress) throws IOException {
        MediaInfo info = MediaInput.probe(movie);
        if (info.video() == null) {
            throw new IOException(JobText.of("test-clip.no-picture", movie.getFileName()));
        }
        if (info.length().compareTo(MOST) > 0) {
            throw new IOException(JobText.of(
                    "test-clip.too-long", movie.getFileName(), info.length().clock(), MOST.clock()));
        }
        SetUp setUp = SetUp.of(
                programme.timeline(), programme.cues(), programme.report().gear(), Libraries.current());
        Bodies bodies = SightJob.bodies(movie, () -> false, progress);
        TestFrame frame = TestFrame.of(bodies, info.length(), setUp.extremes());
        List<BufferedImage> pictures = new ArrayList<>();
        Time<Axis.Take> middle = Time.<Axis.Take>zero().plus(info.length().times(0.5));
        try (FramePicker frames = new FramePicker(movie)) {
            for (TestFrame.Remark remark : frame.remarks()) {
                Time<Axis.Take> at = remark.at() == null ? middle : remark.at();
                BufferedImage picture = frames.frameAt(at, WIDTH, HEIGHT);
                if (picture == null) {
                    throw new IOException(JobText.of("test-clip.no-picture", movie.getFileName()));
                }
                pictures.add(beyond(picture, bodies, at));
            }
        }
        return new TestClip(frame, pictures);
    }

    private static BufferedImage beyond(BufferedImage picture, Bodies bodies, Time<Axis.Take> at) {
        int border = (int) (BEYOND * picture.getHeight());
        BufferedImage wide = new BufferedImage(
                picture.getWidth() + 2 * border, picture.getHeight() + 2 * border, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = wide.createGraphics();
        g.setColor(Palette.INK);
        g.fillRect(0, 0, wide.getWidth(), wide.getHeight());
        g.translate(border, border);
        g.drawImage(picture, 0, 0, null);
        g.setColor(Palette.PAPER);
        g.draw(new Rectangle2D.Double(-1, -1, picture.getWidth() + 1, picture.getHeight() + 1));
        Skeleton.draw(g, bodies, at, picture.getHeight());
        g.dispose();
        return wide;
    }
}
