package app.nosegay.sight;

/**
 * A picture to look at.
 *
 * @param width in pixels
 * @param height in pixels
 * @param rgb red, green and blue of each pixel, row by row, 0 to 255 unsigned
 */
public record Picture(int width, int height, byte[] rgb) {
    public Picture {
        if (width < 1 || height < 1 || rgb.length != width * height * 3) {
            throw new IllegalArgumentException(width + " × " + height + " with " + rgb.length + " bytes");
        }
    }

    /**
     * Writes a square of it to {@code into}, {@code size} × {@code size} pixels of three colours, by one bilinear sample each;
     * black beyond its edges.
     *
     * @param scale what a brightness of 0 to 255 is multiplied with
     * @param shift and what is added then
     */
    void sample(Crop crop, int size, float scale, float shift, float[] into) {
        double step = crop.size() / size;
        double stepX = Math.cos(crop.turn()) * step;
        double stepY = Math.sin(crop.turn()) * step;
        double middle = (size - 1) / 2.0;
        int at = 0;
        for (int v = 0; v < size; v++) {
            double x = crop.x() - middle * stepX - (v - middle) * stepY - 0.5;
            double y = crop.y() - middle * stepY + (v - middle) * stepX - 0.5;
            for (int u = 0; u < size; u++) {
                pixel(x, y, scale, shift, into, at);
                at += 3;
                x += stepX;
                y += stepY;
            }
        }
    }

    /** The three colours at a place between pixels. */
    private void pixel(double x, double y, float scale, float shift, float[] into, int at) {
        int next = at;
        int left = (int) Math.floor(x);
        int top = (int) Math.floor(y);
        if (left < 0 || top < 0 || left >= width - 1 || top >= height - 1) {
            into[next++] = shift;
            into[next++] = shift;
            into[next++] = shift;
        } else {
            float right = (float) (x - left);
            float below = (float) (y - top);
            int one = (top * width + left) * 3;
            int under = one + width * 3;
            for (int c = 0; c < 3; c++) {
                float a = (rgb[one + c] & 0xff) + ((rgb[one + 3 + c] & 0xff) - (rgb[one + c] & 0xff)) * right;
                float b = (rgb[under + c] & 0xff) + ((rgb[under + 3 + c] & 0xff) - (rgb[under + c] & 0xff)) * right;
                into[next++] = (a + (b - a) * below) * scale + shift;
            }
        }
    }
}
