package app.nosegay.media;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.util.List;

/**
 * What stays of the picture through a programme that is shown in another shape than it was filmed in: a new view where somebody lies
 * down.
 */
public record Reframing(List<Step> steps) {
    /** From when on what stays. */
    public record Step(Time<Axis.Cut> from, Crop crop) {}

    public Reframing {
        steps = List.copyOf(steps);
        if (steps.isEmpty()) {
            throw new IllegalArgumentException("a picture that is reframed has at least one view");
        }
    }

    /** The same view all the time. */
    public static Reframing of(Crop crop) {
        return new Reframing(List.of(new Step(Time.zero(), crop)));
    }

    /** {@code whole} as it is at a moment, in a picture of {@code width} × {@code height} pixels: what rendering makes of it. */
    public BufferedImage shaped(BufferedImage whole, int width, int height, Time<Axis.Cut> time) {
        Crop crop = at(time);
        Crop.View view = crop.view(whole.getWidth(), whole.getHeight(), width, height);
        BufferedImage shaped = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = shaped.createGraphics();
        g.setColor(new Color(crop.bars()));
        g.fillRect(0, 0, width, height);
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        int top = (height - view.shownHeight()) / 2;
        g.drawImage(
                whole,
                0,
                top,
                width,
                top + view.shownHeight(),
                view.x(),
                view.y(),
                view.x() + view.width(),
                view.y() + view.height(),
                null);
        g.dispose();
        return shaped;
    }

    /** What stays at a moment. */
    Crop at(Time<Axis.Cut> time) {
        Crop crop = steps.get(0).crop();
        for (Step step : steps) {
            if (step.from().isAfter(time)) {
                break;
            }
            crop = step.crop();
        }
        return crop;
    }
}
