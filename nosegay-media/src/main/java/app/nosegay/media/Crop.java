package app.nosegay.media;

/**
 * What stays of a picture that is shown in another shape.
 *
 * @param centre its middle, as a share of the source's width (or height)
 * @param share the share of the source's width that has to stay; where that is more than fills the shape, bars above and below make room. 0: what
 *     fills it
 * @param bars their colour, RGB
 */
public record Crop(double centre, double share, int bars) {}
