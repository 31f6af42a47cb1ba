package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_BGRA;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/** Makes pictures of a take's frames as they are to be seen: turned upright, their pixels square, fitted into a size. Not thread-safe. */
final class UprightPicture implements AutoCloseable {
    private final int rotation;
    private final int width;
    private final int height;
    private final PictureScaler scaler;

    /**
     * @param width the picture is no wider …
     * @param height … and no higher than this, in pixels
     * @param quality an {@code SWS_…} flag
     */
    UprightPicture(MediaInfo.Video video, int width, int height, int quality) {
        double fit = Math.min(width / (double) video.shownWidth(), height / (double) video.shownHeight());
        this.rotation = video.rotation();
        this.width = even(video.shownWidth() * fit);
        this.height = even(video.shownHeight() * fit);
        this.scaler = video.isTurned()
                ? new PictureScaler(this.height, this.width, AV_PIX_FMT_BGRA, quality)
                : new PictureScaler(this.width, this.height, AV_PIX_FMT_BGRA, quality);
    }

    private static int even(double pixels) {
        return Math.max(2, (int) Math.round(pixels) / 2 * 2);
    }

    int width() {
        return width;
    }

    int height() {
        return height;
    }

    BufferedImage of(AVFrame frame) {
        scaler.scale(frame);
        BufferedImage stored = new BufferedImage(scaler.width(), scaler.height(), BufferedImage.TYPE_INT_ARGB);
        scaler.copyTo(stored);
        if (rotation == 0) {
            return stored;
        }
        BufferedImage upright = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        int[] from = ((DataBufferInt) stored.getRaster().getDataBuffer()).getData();
        int[] to = ((DataBufferInt) upright.getRaster().getDataBuffer()).getData();
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                to[y * width + x] = from[source(rotation, x, y, width, height)];
            }
        }
        return upright;
    }

    /** A grey picture of {@code width} × {@code height} as it is to be seen, from one stored turned. */
    static byte[] turned(byte[] stored, int rotation, int width, int height) {
        if (rotation == 0) {
            return stored;
        }
        byte[] upright = new byte[stored.length];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                upright[y * width + x] = stored[source(rotation, x, y, width, height)];
            }
        }
        return upright;
    }

    /** Where the pixel of an upright picture is in the stored one, which is turned clockwise by {@code rotation} degrees to be seen. */
    private static int source(int rotation, int x, int y, int width, int height) {
        return switch (rotation) {
            case 90 -> (width - 1 - x) * height + y;
            case 180 -> (height - 1 - y) * width + width - 1 - x;
            case 270 -> x * height + height - 1 - y;
            default -> y * width + x;
        };
    }

    @Override
    public void close() {
        scaler.close();
    }
}
