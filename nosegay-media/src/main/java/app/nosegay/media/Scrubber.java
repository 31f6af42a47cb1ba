package app.nosegay.media;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/**
 * Shows moments of takes while somebody goes back and forth in them: at once from the proxy where there is one, and then the exact frame.
 * Of several wishes in a row only the last is granted in full. Opens one take at a time; works on a thread of its own.
 */
public final class Scrubber implements AutoCloseable {
    private final ExecutorService thread;
    private final UnaryOperator<Path> proxies;
    private final Consumer<String> failed;
    private final AtomicLong wished = new AtomicLong();
    private FramePicker exact;
    private FramePicker quick;
    private Path opened;

    /**
     * @param name of its thread
     * @param proxies where the small copy of a take is, asked on that thread; it need not be there, and null is none
     * @param failed hears on that thread why something cannot be shown
     */
    public Scrubber(String name, UnaryOperator<Path> proxies, Consumer<String> failed) {
        this.proxies = proxies;
        this.failed = failed;
        this.thread = Executors.newSingleThreadExecutor(r -> {
            Thread t = new Thread(r, name);
            t.setDaemon(true);
            return t;
        });
    }

    /**
     * Shows {@code take} at {@code time}.
     *
     * @param screen hears, on the scrubber's thread, the proxy's picture and then the exact one; may draw on them
     */
    public void show(Path take, Time<Axis.Take> time, int width, int height, Consumer<BufferedImage> screen) {
        long mine = wished.incrementAndGet();
        thread.execute(() -> {
            if (mine != wished.get()) {
                return; // a newer moment is already asked for
            }
            try {
                open(take);
                BufferedImage near = quick == null ? null : quick.frameAt(time, width, height);
                if (near != null) {
                    screen.accept(near);
                }
                BufferedImage there = exact.frameAt(time, width, height, () -> mine == wished.get());
                if (there != null) {
                    screen.accept(there);
                }
            } catch (MediaException e) {
                failed.accept(e.getMessage());
            }
        });
    }

    private void open(Path take) throws MediaException {
        if (take.equals(opened) && quick != null) {
            return;
        }
        Path proxy = proxies.apply(take);
        boolean there = proxy != null && Files.isRegularFile(proxy);
        if (take.equals(opened) && !there) {
            return;
        }
        letGo();
        exact = new FramePicker(take);
        opened = take;
        if (there) {
            try {
                quick = new FramePicker(proxy);
            } catch (MediaException e) {
                quick = null; // a damaged copy only makes it slower
            }
        }
    }

    private void letGo() {
        if (exact != null) {
            exact.close();
        }
        if (quick != null) {
            quick.close();
        }
        exact = null;
        quick = null;
        opened = null;
    }

    /** Lets go of the files once what is under way is done; nothing is shown any more. */
    @Override
    public void close() {
        wished.incrementAndGet();
        thread.execute(this::letGo);
        thread.shutdown();
    }
}
