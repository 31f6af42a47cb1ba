package app.nosegay.plan.sheet;

import app.nosegay.plan.terms.CallStyle;
import app.nosegay.plan.terms.Level;
import app.nosegay.plan.terms.Policy;
import app.nosegay.plan.terms.Presenter;
import app.nosegay.plan.terms.Promise;
import java.util.List;

/**
 * The header lines of a run sheet, read.
 *
 * @param title the workout's name; empty when there is none
 * @param promise what it promises
 * @param audience who it is for
 * @param gear what it says is needed
 * @param presenters who is in front of the camera
 * @param levels the named levels; empty when there is one
 * @param calls the time calls made in every interval
 * @param countUp whether timers count up
 * @param mirrored whether side words are the viewer's
 * @param start the side one-sided moves start on
 * @param bpm beats per minute of the music, or null
 * @param voiceOnly whether it is an audio episode
 * @param voiceAfterwards whether the voice is recorded after the pictures, and laid over them
 * @param effort the effort aimed at; empty when none is given
 * @param talkDensity sparing, normal or talkative
 * @param policy the creator's standing choices; empty for the neutral ones
 */
public record Header(
        String title,
        Promise promise,
        List<String> audience,
        List<String> gear,
        List<Presenter> presenters,
        List<Level> levels,
        CallStyle calls,
        boolean countUp,
        boolean mirrored,
        Attribute.StartSide start,
        Double bpm,
        boolean voiceOnly,
        boolean voiceAfterwards,
        String effort,
        TalkDensity talkDensity,
        Policy policy) {

    /** The largest share of an interval that may be spoken. */
    public enum TalkDensity {
        SPARING(0.40),
        NORMAL(0.65),
        TALKATIVE(0.95);

        private final double share;

        TalkDensity(double share) {
            this.share = share;
        }

        public double share() {
            return share;
        }
    }
}
