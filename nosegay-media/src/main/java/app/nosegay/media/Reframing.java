package app.nosegay.media;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.List;

/** What stays of the picture through a programme that is shown in another shape than it was filmed in: a new view where somebody lies down. */
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
