package app.nosegay.media;

/**
 * What stays of a picture that is shown in another shape.
 *
 * @param centre its middle, as a share of the source's width (or height)
 * @param share the share of the source's width that has to stay; where that is more than fills the shape, bars above and below make
 *     room. 0: what
 *     fills it
 * @param bars their colour, RGB
 */
public record Crop(double centre, double share, int bars) {
    /** A height this near to the whole fills it, in pixels: widths are even. */
    private static final int ABOUT_ALL = 3;

    /**
     * The part of the source that is seen, and how high it is in the new picture, over all of its width and in its middle; in pixels,
     * all even.
     */
    record View(int x, int y, int width, int height, int shownHeight) {}

    /** What is seen of a source of that size in a picture of {@code width} × {@code height}; all in pixels. */
    View view(int sourceWidth, int sourceHeight, int width, int height) {
        double fills = width / (double) height * sourceHeight / sourceWidth;
        int across = Math.min(sourceWidth / 2 * 2, even(sourceWidth * Math.max(share, fills)));
        int down = fills > 1 ? even(sourceHeight / fills) : sourceHeight / 2 * 2;
        int x = even(Math.max(0, Math.min(sourceWidth / 2 * 2 - across, centre * sourceWidth - across / 2.0)));
        int shown = even(width * (double) down / across);
        return new View(
                x,
                (sourceHeight - down) / 4 * 2,
                across,
                down,
                Math.abs(shown - height) <= ABOUT_ALL ? height : Math.min(height, shown));
    }

    private static int even(double pixels) {
        return (int) Math.round(pixels / 2) * 2;
    }
}
