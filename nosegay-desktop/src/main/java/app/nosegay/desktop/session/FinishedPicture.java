package app.nosegay.desktop.session;

import app.nosegay.cut.Cut;
import app.nosegay.desktop.controls.Pictures;
import app.nosegay.dress.Dressing;
import app.nosegay.jobs.PublishVideo;
import app.nosegay.media.CutPlayback;
import app.nosegay.media.Scrubber;
import app.nosegay.paint.PiecePainter;
import app.nosegay.publish.SoundPlan;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.image.ImageView;

/** The programme as it will be rendered: standing at a moment, or playing with the sound as it will be mixed. */
public final class FinishedPicture {
    private static final int STILL_WIDTH = 1280;
    private static final int STILL_HEIGHT = 720;
    private static final int PLAYED_WIDTH = 960;
    private static final int PLAYED_HEIGHT = 540;
    /** Between before and after, in pixels. */
    private static final int GAP = 12;

    private final Session session;
    private final Runnable shown;
    private final ImageView view = new ImageView();
    private final Scrubber frames;
    private final NewestFrame newest = new NewestFrame();
    private CutPlayback playing;
    private Runnable ended = () -> {};
    private volatile boolean beside;
    private PublishVideo.Shape shape = PublishVideo.Shape.AS_FILMED;
    private Programme shapedFor;
    private PublishVideo.Shape shapedAs;
    private PublishVideo.Shaped shaped;
    private int fromWidth;
    private int fromHeight;

    /**
     * @param shown told on the interface thread when a standing picture is there: where its pieces lie is known from then on
     */
    public FinishedPicture(Session session, Runnable shown) {
        this.session = session;
        this.shown = shown;
        this.frames = new Scrubber(
                "dress-frames",
                f -> session.media().proxy(f),
                why -> Platform.runLater(() -> session.jobs().say(why)));
        view.setPreserveRatio(true);
    }

    public ImageView view() {
        return view;
    }

    /** Has something done when playing has come to the end by itself. */
    public void onEnded(Runnable done) {
        ended = done;
    }

    public boolean isPlaying() {
        return playing != null;
    }

    /** From now on pictures have that shape. */
    public synchronized void setShape(PublishVideo.Shape wanted) {
        shape = wanted;
    }

    /** From now on the recording stands to the left of the finished picture, as it is. */
    public void setBeside(boolean wanted) {
        beside = wanted;
    }

    /** The dressing of {@code programme} as it was last shown: for the shape of its pictures. */
    public synchronized Dressing laidOut(Programme programme) {
        return shapedFor == programme && shapedAs == shape ? shaped.dressing() : programme.dressing();
    }

    /** Shows the programme at {@code time}; of several wishes in a row only the last is granted. */
    public void stand(Programme of, Time<Axis.Cut> time) {
        Cut.Clip clip = of.cut().pictureAt(time).orElse(null);
        if (clip == null) {
            return; // the recordings were just removed: nothing is shown of them
        }
        Path file = session.media().files(of.workout()).get(clip.take());
        if (file != null) {
            frames.show(file, clip.sourceAt(time), STILL_WIDTH, STILL_HEIGHT, image -> {
                BufferedImage dressed = dressed(image, of, time);
                Platform.runLater(() -> {
                    view.setImage(Pictures.toFx(dressed));
                    shown.run();
                });
            });
        }
    }

    /** Plays from {@code from} to the end; {@code follow} hears the moment that is seen. */
    public void play(Programme of, Time<Axis.Cut> from, Consumer<Time<Axis.Cut>> follow) {
        stop();
        SoundPlan sound;
        try {
            sound = PublishVideo.sound(of, session.media(), of.cut());
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
            return;
        }
        CutPlayback[] mine = new CutPlayback[1];
        mine[0] = new CutPlayback(
                new CutPlayback.Programme(of.cut(), session.media().files(of.workout()), sound),
                from,
                PLAYED_WIDTH,
                PLAYED_HEIGHT,
                new CutPlayback.Screen() {
                    @Override
                    public void show(BufferedImage image, Time<Axis.Cut> time) {
                        newest.offer(dressed(image, of, time), latest -> {
                            if (playing == mine[0]) {
                                view.setImage(latest);
                                follow.accept(time);
                            }
                        });
                    }

                    @Override
                    public void ended(String message) {
                        Platform.runLater(() -> {
                            if (playing == mine[0]) {
                                playing = null;
                                ended.run();
                            }
                            if (message != null) {
                                session.jobs().say(message);
                            }
                        });
                    }
                });
        playing = mine[0];
    }

    public void stop() {
        if (playing != null) {
            playing.close();
            playing = null;
        }
        newest.forget();
    }

    /** The programme in the chosen shape, from pictures of that size: takes need not be 16 : 9. Used from several threads. */
    private synchronized PublishVideo.Shaped shaped(Programme of, int width, int height) {
        PublishVideo.Shaped now = shaped;
        boolean same = shapedFor == of && shapedAs == shape && fromWidth == width && fromHeight == height;
        if (!same) {
            now = PublishVideo.shaped(of, shape, width, height);
            shaped = now;
            shapedFor = of;
            shapedAs = shape;
            fromWidth = width;
            fromHeight = height;
        }
        return now;
    }

    /** The pieces drawn on {@code image}, or on what stays of it in the chosen shape. */
    private BufferedImage dressed(BufferedImage image, Programme programme, Time<Axis.Cut> time) {
        PublishVideo.Shaped as = shaped(programme, image.getWidth(), image.getHeight());
        BufferedImage before = beside ? copy(image) : null;
        BufferedImage picture =
                as.reframing() == null ? image : as.reframing().shaped(image, as.width(), as.height(), time);
        Graphics2D g = picture.createGraphics();
        new PiecePainter(programme.dressing().notes().style())
                .draw(as.dressing().shown(time), g, picture.getWidth(), picture.getHeight());
        g.dispose();
        return before == null ? picture : beside(before, picture);
    }

    private static BufferedImage copy(BufferedImage image) {
        BufferedImage copy = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_ARGB);
        image.copyData(copy.getRaster());
        return copy;
    }

    /** Both pictures, half as large, one beside the other with a gap. */
    private static BufferedImage beside(BufferedImage before, BufferedImage after) {
        double scale = 0.5 * before.getHeight() / after.getHeight();
        int left = before.getWidth() / 2;
        int width = left + GAP + (int) (after.getWidth() * scale);
        BufferedImage both = new BufferedImage(width, before.getHeight() / 2, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = both.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        g.drawImage(before, 0, 0, left, both.getHeight(), null);
        g.drawImage(after, left + GAP, 0, width - left - GAP, both.getHeight(), null);
        g.dispose();
        return both;
    }
}
