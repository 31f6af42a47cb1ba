package app.nosegay.media;

import app.nosegay.captions.TimedText;
import app.nosegay.cut.Cut;
import app.nosegay.dress.Dressing;
import app.nosegay.publish.SoundPlan;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/**
 * What to render.
 *
 * @param cut which stretches of which takes
 * @param files the takes' files by id
 * @param dressing the pieces; null renders the bare cut
 * @param painter draws faces; unused without dressing
 * @param width in pixels; 0 for the sound alone
 * @param sound what is done to the sound
 * @param reframing what stays where the picture is of another shape; null
 *     shows all of it, with bars where the shapes differ
 */
public record RenderJob(
        Cut cut,
        Map<String, Path> files,
        Dressing dressing,
        FacePainter painter,
        int width,
        int height,
        FrameRate rate,
        EncoderSettings settings,
        String title,
        List<TimedText.Cue> chapters,
        SoundPlan sound,
        Reframing reframing) {
    /** With the sound as it was recorded. */
    public RenderJob(
            Cut cut,
            Map<String, Path> files,
            Dressing dressing,
            FacePainter painter,
            int width,
            int height,
            FrameRate rate,
            EncoderSettings settings,
            String title,
            List<TimedText.Cue> chapters) {
        this(
                cut,
                files,
                dressing,
                painter,
                width,
                height,
                rate,
                settings,
                title,
                chapters,
                SoundPlan.AS_RECORDED,
                null);
    }
}
