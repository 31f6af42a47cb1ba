package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.Pictures;
import app.nosegay.evidence.sight.Box;
import app.nosegay.media.FramePicker;
import app.nosegay.media.MediaException;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;

/**
 * Small pictures of takes at moments, cut to a part of the frame: made from the small copies beside the interface thread, what was asked
 * for last first, and kept. What cannot be decoded stays empty.
 */
public final class TakePictures implements AutoCloseable {
    /** A picture takes some 30 kB. */
    private static final int KEPT = 600;
    /** The frames they are cut from are at most so wide and high, in pixels; as the small copies are. */
    private static final int FRAME = 640;

    private static final String WISHED = "wished";

    private final UnaryOperator<Path> proxies;
    private final Deque<Wish> wishes = new ArrayDeque<>();
    private final ExecutorService thread = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "take-pictures");
        t.setDaemon(true);
        return t;
    });
    private final Map<Key, Image> kept = new LinkedHashMap<>(64, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Image> eldest) {
            return size() > KEPT;
        }
    };
    private final AtomicInteger under = new AtomicInteger();
    /** Counts how often everything was forgotten: what was asked for before is not kept any more. */
    private volatile int age;

    private FramePicker frames;
    private Path opened;

    private record Key(Path take, Time<Axis.Take> time, Box part, int width, int height, int age) {}

    private record Wish(Key key, ImageView view) {}

    /** @param proxies where the small copy of a take is; it need not be there */
    TakePictures(UnaryOperator<Path> proxies) {
        this.proxies = proxies;
    }

    /**
     * Has {@code view} show a take at a moment, at once or as soon as it is decoded; nothing until then.
     *
     * @param part what to cut out, in heights of the frame; null for as much of its middle as has the shape of the picture
     * @param width of the picture in pixels, as is {@code height}
     */
    public void show(ImageView view, Path take, Time<Axis.Take> time, Box part, int width, int height) {
        Key key = new Key(take, time, part, width, height, age);
        if (key.equals(view.getProperties().get(WISHED))) {
            return;
        }
        view.getProperties().put(WISHED, key);
        Image there = kept.get(key);
        view.setImage(there);
        if (there == null) {
            synchronized (wishes) {
                wishes.removeIf(w -> w.view() == view);
                wishes.addLast(new Wish(key, view));
            }
            beside(this::grant);
        }
    }

    /** Does {@code work} on its own thread; nothing once it is closed. */
    private void beside(Runnable work) {
        if (!thread.isShutdown()) {
            under.incrementAndGet();
            thread.execute(() -> {
                try {
                    work.run();
                } finally {
                    under.decrementAndGet();
                }
            });
        }
    }

    /** Whether all that was asked for is there. */
    public boolean isDone() {
        return under.get() == 0;
    }

    /** Has {@code view} show nothing. */
    public void clear(ImageView view) {
        view.getProperties().remove(WISHED);
        view.setImage(null);
        synchronized (wishes) {
            wishes.removeIf(w -> w.view() == view);
        }
    }

    /** Lets go of all pictures: the recordings are others now. */
    void forget() {
        age++;
        kept.clear();
        synchronized (wishes) {
            wishes.clear();
        }
        beside(this::letGo);
    }

    private void grant() {
        Wish wish;
        synchronized (wishes) {
            wish = wishes.pollLast();
        }
        if (wish == null || wish.key().age() != age) {
            return;
        }
        try {
            open(wish.key().take());
            BufferedImage frame = frames.frameAt(wish.key().time(), FRAME, FRAME);
            if (frame != null) {
                Image picture = Pictures.toFx(cut(frame, wish.key()));
                Platform.runLater(() -> arrived(wish, picture));
            }
        } catch (MediaException e) {
            // The stage that plays the take says what is wrong with it; here is no picture.
            letGo();
        }
    }

    private void arrived(Wish wish, Image picture) {
        if (wish.key().age() == age) {
            kept.put(wish.key(), picture);
            if (wish.key().equals(wish.view().getProperties().get(WISHED))) {
                wish.view().setImage(picture);
            }
        }
    }

    private static BufferedImage cut(BufferedImage frame, Key key) {
        double shape = key.width() / (double) key.height();
        int h = frame.getHeight();
        double wide = Math.min(frame.getWidth(), h * shape);
        double x =
                key.part() == null ? (frame.getWidth() - wide) / 2 : key.part().x() * h;
        double y = key.part() == null ? (h - wide / shape) / 2 : key.part().y() * h;
        double scale = key.width() / (key.part() == null ? wide : key.part().width() * h);
        BufferedImage picture = new BufferedImage(key.width(), key.height(), BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = picture.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        g.scale(scale, scale);
        g.translate(-x, -y);
        g.drawImage(frame, 0, 0, null);
        g.dispose();
        return picture;
    }

    private void open(Path take) throws MediaException {
        if (take.equals(opened)) {
            return;
        }
        letGo();
        Path proxy = proxies.apply(take);
        frames = new FramePicker(proxy != null && Files.isRegularFile(proxy) ? proxy : take);
        opened = take;
    }

    private void letGo() {
        if (frames != null) {
            frames.close();
        }
        frames = null;
        opened = null;
    }

    @Override
    public void close() {
        forget();
        thread.shutdown();
    }
}
