package app.nosegay.standins;

import java.awt.image.BufferedImage;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;

/** Pictures in their order, drawn on a thread of their own a few ahead of who takes them. */
final class PictureQueue implements AutoCloseable {
    private final BlockingQueue<BufferedImage> empty;
    private final BlockingQueue<BufferedImage> drawn;
    private final Thread thread;
    private volatile RuntimeException failure;

    /** Draws picture {@code n}. */
    @FunctionalInterface
    interface Drawing {
        void draw(long n, BufferedImage onto);
    }

    PictureQueue(long from, long to, int ahead, int width, int height, Drawing drawing) {
        empty = new ArrayBlockingQueue<>(ahead);
        drawn = new ArrayBlockingQueue<>(ahead);
        for (int i = 0; i < ahead; i++) {
            empty.add(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB));
        }
        thread = new Thread(() -> draw(from, to, drawing), "practice-camera");
        thread.setDaemon(true);
        thread.start();
    }

    private void draw(long from, long to, Drawing drawing) {
        try {
            for (long n = from; n < to; n++) {
                BufferedImage picture = empty.take();
                drawing.draw(n, picture);
                drawn.put(picture);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (RuntimeException e) {
            failure = e;
        }
    }

    /** The next picture; to be given back. */
    BufferedImage take() {
        try {
            BufferedImage picture = drawn.poll();
            while (picture == null) {
                if (failure != null) {
                    throw failure;
                }
                picture = drawn.poll(POLL_MILLIS, java.util.concurrent.TimeUnit.MILLISECONDS);
            }
            return picture;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new java.util.concurrent.CancellationException();
        }
    }

    void giveBack(BufferedImage picture) {
        empty.add(picture);
    }

    @Override
    public void close() {
        thread.interrupt();
    }

    private static final long POLL_MILLIS = 50;
}
